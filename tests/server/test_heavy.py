"""Work beside the boards: shared, short of a queue, within a budget, and its errors as they are."""

import threading
import time
from pathlib import Path

import pytest

from apps.common import heavy
from fervens_core.base import LimitError, say


def slow(seconds):
    time.sleep(seconds)
    return seconds


def counted(path):
    with Path(path).open("a") as file:
        file.write("x")
    time.sleep(0.3)
    return 7


def refused():
    raise LimitError("level", say("limit-email"), 12)


@pytest.fixture
def helper():
    one = heavy.Helper()
    yield one
    one.stop()


def test_who_asks_for_the_same_shares_one_answer(helper, tmp_path):
    found, path = [], tmp_path / "times"
    ask = [threading.Thread(target=lambda: found.append(helper.compute("a", counted, str(path)))) for _ in range(6)]
    for thread in ask:
        thread.start()
    for thread in ask:
        thread.join()
    assert found == [7] * 6
    assert path.read_text() == "x"
    assert helper.compute("a", counted, str(path)) == 7  # asked later it is computed again
    assert path.read_text() == "xx"
    assert helper.waiting() == 0


def test_in_place_too_what_is_asked_for_at_once_is_computed_once(tmp_path):
    found, path, errors = [], tmp_path / "times", []
    ask = [threading.Thread(target=lambda: found.append(heavy._in_place("a", counted, (str(path),)))) for _ in range(4)]

    def fail():
        try:
            heavy._in_place("b", refused, ())
        except LimitError as error:
            errors.append(error.field)

    ask += [threading.Thread(target=fail) for _ in range(3)]
    for thread in ask:
        thread.start()
    for thread in ask:
        thread.join()
    assert (found, errors) == ([7] * 4, ["level"] * 3)
    assert path.read_text() == "x"
    assert heavy._in_place("a", counted, (str(path),)) == 7  # asked later it is computed again
    assert path.read_text() == "xx"


def test_an_error_of_the_core_comes_back_as_it_is(helper):
    with pytest.raises(LimitError) as told:
        helper.compute("b", refused)
    assert (told.value.field, told.value.limit, told.value.value) == ("level", say("limit-email"), 12)


def test_what_takes_too_long_is_ended_and_the_next_is_computed(helper, monkeypatch):
    monkeypatch.setattr(heavy, "BUDGET_S", 0.6)
    with pytest.raises(heavy.BusyError):
        helper.compute("c", slow, 30.0)
    assert helper.compute("d", slow, 0.0) == 0.0


def test_a_full_queue_refuses_at_once(helper, monkeypatch):
    monkeypatch.setattr(heavy, "QUEUE_MAX", 2)
    helper.begin("e", slow, 3.0)
    helper.begin("f", slow, 0.0)
    began = time.monotonic()
    with pytest.raises(heavy.BusyError):
        helper.compute("g", slow, 0.0)
    assert time.monotonic() - began < 1.5  # not after what is computed now
    assert helper.compute("f", slow, 0.0) == 0.0  # shares the one that waits


def test_a_busy_server_says_so_and_when_to_come_again(owner, monkeypatch):
    from conftest import to_plan

    service = to_plan(owner)

    def full(*_, **__):
        raise heavy.BusyError

    monkeypatch.setattr("apps.services.planned.computed", full)
    answer = owner.browser.post(
        f"/api/services/{service['id']}/plan/preview",
        {"revision": 1, "lightener_key": owner.get("/shelf")["lighteners"][0]["key"], "visit_mins": [99.0]},
        content_type="application/json",
    )
    assert (answer.status_code, answer.json()["code"], answer["Retry-After"]) == (503, "busy", "5")


def test_no_connection_is_held_while_it_computes(transactional_db, settings, monkeypatch):
    from django.db import connection

    settings.SERVING = True
    connection.ensure_connection()
    held = []
    monkeypatch.setattr(
        heavy.Helper, "compute", lambda self, name, work, *arguments: held.append(connection.connection) or 1
    )
    assert heavy.computed("h", slow, 0.0) == 1
    assert held == [None]
