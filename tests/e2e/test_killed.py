"""Server and database really killed, under load and under a page: afterwards the board is what it was."""

import re
import shutil
import tempfile
import threading
import time
from datetime import UTC, datetime
from pathlib import Path
from uuid import uuid4

import pytest
from playwright.sync_api import expect
from serving import Device, Served

from .conftest import open_service, sign_in_by_form


@pytest.fixture(scope="module")
def served():
    folder = Path(tempfile.mkdtemp(prefix="fervens-killed-"))
    folder.chmod(0o755)
    made = Served(folder)
    yield made
    made.stop()
    shutil.rmtree(folder, ignore_errors=True)


ENOUGH = 20


def test_nothing_is_lost_or_doubled_when_server_and_database_are_killed_under_load(served):
    device = Device(served.address)
    ilse = next(s for s in device.ask("/day")["services"] if s["client_name"] == "Ilse Varga")["id"]
    lanes = [x["key"] for x in device.ask(f"/services/{ilse}/board")["board"]["lanes"] if x["phase"] == "processing"]
    devices = [Device(served.address) for _ in lanes]
    until = time.monotonic() + 7.0
    taken: list[tuple[str, str]] = []
    resent: list[int] = []
    failed: list[BaseException] = []

    def work(own: Device, key: str) -> None:
        try:
            # on through both killings, and on a slow machine until enough was sent to say something
            while time.monotonic() < until or (len(taken) <= ENOUGH and time.monotonic() < until + 40.0):
                event_id = str(uuid4())
                data = {"zone_key": key, "level": 7.5, "mode": "rinsed_wet"}
                now = datetime.now(UTC).isoformat()
                body = {"event_id": event_id, "kind": "ReadingTaken", "occurred_at": now, "data": data}
                resent.append(own.insist(f"/services/{ilse}/events", body))
                taken.append((event_id, key))
        except BaseException as error:
            failed.append(error)

    hands = [threading.Thread(target=work, args=pair) for pair in zip(devices, lanes, strict=True)]
    for hand in hands:
        hand.start()
    time.sleep(2.0)
    served.kill_server()
    served.start_server()
    time.sleep(1.0)
    served.kill_database()
    served.start_database()
    for hand in hands:
        hand.join(timeout=60)
    assert failed == []
    assert len(taken) > ENOUGH
    assert max(resent) > 1  # the killing was felt

    def seen() -> list:
        board = device.patiently(f"/services/{ilse}/board")["board"]
        return [[x["key"], x["phase"], x["zero_at"], x["readings"], x["ratio_rate"]] for x in board["lanes"]]

    log = [x["event_id"] for x in device.patiently(f"/services/{ilse}/log")["lines"]]
    assert len(log) == len(set(log))
    assert {e for e, _ in taken} <= set(log)
    before = seen()
    on_lanes = {r["event_id"] for lane in before for r in lane[3]}
    assert {e for e, _ in taken} <= on_lanes
    served.kill_server()
    served.kill_database()
    served.start_database()
    served.start_server()
    assert seen() == before


def test_a_page_waits_for_a_killed_database_and_goes_on_by_itself(served, browser, browser_context_args):
    context = browser.new_context(**browser_context_args)
    page = context.new_page()
    sign_in_by_form(page, served.address, "maren")
    open_service(page, "Ilse Varga", "chair")
    row = page.get_by_role("img", name=re.compile("^Low back: "))
    row.wait_for()
    served.kill_database()
    expect(page.get_by_text("Behind: the database does not answer")).to_be_visible()
    page.get_by_role("button", name=re.compile("^1 Low back")).click()
    page.get_by_role("button", name=re.compile("^Rinsed")).last.click()
    expect(row).to_have_attribute("aria-label", re.compile("rinsed"))
    expect(page.get_by_text("1 act waits")).to_be_visible()
    served.start_database()
    expect(page.get_by_text("1 act waits")).to_have_count(0)
    expect(page.get_by_text("Behind")).to_have_count(0)
    expect(row).to_have_attribute("aria-label", re.compile("rinsed"))
    page.get_by_role("button", name="Who did what").click()
    expect(page.get_by_role("listitem").filter(has_text="Low back: rinsed")).to_have_count(1)
    context.close()
