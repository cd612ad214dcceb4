"""A hundred live boards on one machine: how long until an act on one device is painted on another.

Every board has a device on the stream that is sent its board anew at a change, and an act a minute (the demo's services
log one in two to three minutes). Two browsers share one more board: a reading is tapped in one, and painted in the
other; panels do not slide in them, since here the processor would draw that. Beside it, in the same run, how long one
plain request for a board takes, and what a page would wait that asks every eight seconds instead.

Run: bin/bench live
"""

from __future__ import annotations

import asyncio
import contextlib
import datetime as dt
import http.cookiejar
import itertools
import json
import os
import re
import shutil
import signal
import subprocess
import sys
import tempfile
import time
import urllib.request
from pathlib import Path
from typing import Any
from uuid import uuid4

import numpy as np
from playwright.sync_api import Page, sync_playwright

ROOT = Path(__file__).parents[1]
sys.path.insert(0, str(ROOT / "ops"))
from cluster import Cluster, free_port  # noqa: E402
from project import PYTHON, ensure_page, python_env  # noqa: E402
from system import ensure_chromium, ensure_postgres  # noqa: E402

WORKERS = int(os.environ.get("WORKERS", "2"))
SEED, BOARDS, ACTS, ACT_EVERY_S = 20260301, 100, 60, 60.0
PASSWORD = "a-long-password-for-the-bench"


class Session:
    """A signed-in member over HTTP."""

    def __init__(self, address: str) -> None:
        self.address = address
        self.jar = http.cookiejar.CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))
        self.opener.open(f"{address}/")
        self.ask("/session", {"username": "maren", "password": PASSWORD})

    @property
    def headers(self) -> dict[str, str]:
        token = next(c.value or "" for c in self.jar if c.name == "csrftoken")
        cookies = "; ".join(f"{c.name}={c.value}" for c in self.jar)
        return {
            "Content-Type": "application/json",
            "X-CSRFToken": token,
            "Referer": self.address,
            "Cookie": cookies,
        }

    def ask(self, path: str, body: dict[str, Any] | None = None) -> Any:
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(f"{self.address}/api{path}", data, self.headers)
        with self.opener.open(request, timeout=30) as answer:
            return json.loads(answer.read())


def reading(key: str, level: float) -> dict[str, Any]:
    data = {"zone_key": key, "level": level, "mode": "rinsed_wet"}
    now = dt.datetime.now(dt.UTC).isoformat()
    return {"event_id": str(uuid4()), "kind": "ReadingTaken", "occurred_at": now, "data": data}


async def _request(port: int, headers: dict[str, str], path: str, body: dict[str, Any] | None = None) -> None:
    reader, writer = await asyncio.open_connection("127.0.0.1", port)
    sent = b"" if body is None else json.dumps(body).encode()
    head = f"{'GET' if body is None else 'POST'} /api{path} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\nConnection: close\r\n"
    head += "".join(f"{k}: {v}\r\n" for k, v in headers.items()) + f"Content-Length: {len(sent)}\r\n\r\n"
    writer.write(head.encode() + sent)
    await writer.drain()
    answer = await reader.read()
    writer.close()
    if b" 200 " not in answer[:20]:
        print("  not answered:", answer[:60], file=sys.stderr)


async def _board(port: int, headers: dict[str, str], service: str, seed: int) -> None:
    """One live board: on the stream, taking its board anew when told, and an act a minute."""
    random = np.random.default_rng(seed)

    async def acts() -> None:
        await asyncio.sleep(float(random.uniform(0.0, ACT_EVERY_S)))
        while True:
            await _request(port, headers, f"/services/{service}/events", reading("crown", 7.0))
            await asyncio.sleep(ACT_EVERY_S)

    async def stream() -> None:
        line, writer = await asyncio.open_connection("127.0.0.1", port, limit=2**20)
        head = f"GET /api/stream?service={service} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\n"
        head += f"Cookie: {headers['Cookie']}\r\n\r\n"
        writer.write(head.encode())
        while await line.readline():  # its board comes with the news
            pass

    await asyncio.gather(acts(), stream())


def load(port: int, headers: dict[str, str], services: list[str]) -> None:
    """Run in a process of its own until it is killed."""

    async def run() -> None:
        await asyncio.gather(*(_board(port, headers, s, SEED + i) for i, s in enumerate(services)))

    asyncio.run(run())


WATCH = """(zone) => {
  const lane = [...document.querySelectorAll('[role=img]')].find((e) => e.ariaLabel?.startsWith(zone + ': '))
  window.painted = null
  performance.clearResourceTimings()
  const had = lane.innerText
  new MutationObserver((_, seen) => {
    if (lane.innerText === had) return
    seen.disconnect()
    requestAnimationFrame(() => setTimeout(() => (window.painted = performance.timeOrigin + performance.now()), 0))
  }).observe(lane, { subtree: true, childList: true, characterData: true })
}"""
TAPPED = """() => { window.tapped = null; performance.clearResourceTimings(); document.addEventListener('click',
  () => { window.tapped ??= performance.timeOrigin + performance.now() }, { capture: true, once: true }) }"""


STAGES = """() => performance.getEntriesByType('resource').filter((e) => /events$/.test(e.name))
  .map((e) => [e.startTime + performance.timeOrigin, e.responseEnd + performance.timeOrigin]).slice(-1)[0]"""


def _open(page: Page, address: str, service: str) -> None:
    page.goto(address)
    page.get_by_label("Name").fill("maren")
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today").wait_for()
    page.goto(f"{address}/services/{service}/chair")
    page.get_by_role("img", name=re.compile("^Crown: ")).wait_for()


def measured(address: str, service: str) -> dict[str, list[float]]:
    """Milliseconds from a tap on one page until it is painted on the other, act by act, and where they went."""
    found: dict[str, list[float]] = {
        name: []
        for name in (
            "tapped on one device until painted on the other",
            "  of it: tapped until sent",
            "  of it: sent until its own answer",
            "  of it: its own answer until painted on the other",
        )
    }
    with sync_playwright() as driver:
        flags = ["--disable-gpu", "--no-sandbox", "--disable-background-networking"]
        browser = driver.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=flags)
        view: Any = {"viewport": {"width": 1280, "height": 800}, "service_workers": "block", "reduced_motion": "reduce"}
        here, there = (browser.new_context(**view).new_page() for _ in range(2))
        for page in (here, there):
            _open(page, address, service)
        for number in range(ACTS):
            level = "7.5" if number % 2 else "7"
            there.evaluate(WATCH, "Crown")
            here.get_by_role("button", name=re.compile(r"^\d Crown")).click()
            swatches = here.get_by_role("group", name="Tap the swatch that matches")
            swatch = swatches.locator("label").filter(has=here.get_by_role("radio", name=re.compile(rf"^{level},")))
            swatch.wait_for()
            here.wait_for_timeout(350)
            here.evaluate(TAPPED)
            swatch.click()
            until = time.monotonic() + 10
            painted = None
            while painted is None and time.monotonic() < until:
                there.wait_for_timeout(40)
                painted = there.evaluate("window.painted")
            if painted is None:
                raise RuntimeError("never painted")
            tapped, sent = here.evaluate("window.tapped"), here.evaluate(STAGES)
            values = [painted - tapped]
            if sent:  # the browser keeps a request's times only once it has written them down
                values += [b - a for a, b in itertools.pairwise([tapped, *sent, painted])]
            for name, value in zip(found, values, strict=False):
                found[name].append(value)
            here.get_by_role("heading", name="Crown", exact=True).wait_for(state="detached")
        browser.close()
    return found


def plain_request_ms(session: Session, service: str) -> list[float]:
    """Milliseconds of plain requests for one board, one after another."""
    times = []
    for _ in range(40):
        began = time.perf_counter()
        session.ask(f"/services/{service}/board")
        times.append((time.perf_counter() - began) * 1e3)
    return times


def _processor_ticks() -> tuple[int, int]:
    """All processor time since the machine began, and that which its host gave to others (proc(5))."""
    ticks = [int(x) for x in Path("/proc/stat").read_text().split("\n", 1)[0].split()[1:9]]
    return sum(ticks), ticks[7]


def _say(name: str, values: list[float]) -> None:
    p50, p95, worst = np.percentile(values, [50, 95, 100])
    print(f"  {name:<58} {p50:7.0f} {p95:7.0f} {worst:7.0f}")


def main() -> None:
    """Print the table."""
    ensure_page()
    ensure_chromium()
    folder = Path(tempfile.mkdtemp(prefix="fervens-bench-"))
    folder.chmod(0o755)
    cluster = Cluster(ensure_postgres(), folder / "pg")
    cluster.create()
    cluster.start()
    env = python_env(DATABASE_URL=cluster.url, FERVENS_SECRET_KEY="b" * 50, FERVENS_SERVING="1")
    port = free_port()
    running: list[subprocess.Popen[bytes]] = []
    try:
        demo = ["load_demo", "--migrate", "--username", "maren", "--password", PASSWORD]
        manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
        subprocess.run([*manage, *demo], env=env, check=True, capture_output=True)
        server = [str(PYTHON), "-m", "uvicorn", "config.asgi:application", "--port", str(port), "--lifespan", "off"]
        quiet = ["--log-level", "critical", "--workers", str(WORKERS)]
        running.append(subprocess.Popen([*server, *quiet], env=env, cwd=ROOT, start_new_session=True))
        address = f"http://127.0.0.1:{port}"
        for _ in range(200):
            try:
                session = Session(address)
                break
            except OSError:
                time.sleep(0.1)
        ilse = next(s for s in session.ask("/day")["services"] if s["client_name"] == "Ilse Varga")
        document = json.loads((ROOT / "demo" / "services" / "ilse-mid-lift.json").read_text(encoding="utf-8"))
        services = []
        for number in range(BOARDS):
            body = {"document": document | {"client": f"Live board {number:03d}"}, "starts_at": ilse["starts_at"]}
            services.append(session.ask("/services/import", body)["service_id"])
        print(f"{BOARDS} live boards of 8 zones, an act each every {ACT_EVERY_S:.0f} s; {ACTS} taps; seed {SEED}")
        print(f"  {'ms':<58} {'median':>7} {'95 %':>7} {'worst':>7}")
        _say("a plain request for a board, nothing else going on", plain_request_ms(session, ilse["id"]))
        task = [str(PYTHON), __file__, "load", str(port), json.dumps(session.headers), json.dumps(services)]
        running.append(subprocess.Popen(task, env=env, start_new_session=True))
        time.sleep(5)
        _say(f"a plain request for a board, beside {BOARDS} live boards", plain_request_ms(session, ilse["id"]))
        before = _processor_ticks()
        for name, values in measured(address, ilse["id"]).items():
            _say(name, values)
        total, stolen = (now - then for now, then in zip(_processor_ticks(), before, strict=True))
        print(f"  meanwhile the host kept back {100 * stolen / total:.0f} % of the processors' time")
        waits = np.random.default_rng(SEED).uniform(0.0, 8000.0, 1000)
        _say("a page that asks every 8 s would wait (without any load)", waits.tolist())
        if running[-1].poll() is not None:
            print("  the load ended by itself: the figures are without it")
    finally:
        for process in reversed(running):
            with contextlib.suppress(ProcessLookupError):
                os.killpg(process.pid, signal.SIGKILL)
        cluster.stop()
        shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    if sys.argv[1:2] == ["load"]:
        load(int(sys.argv[2]), json.loads(sys.argv[3]), json.loads(sys.argv[4]))
    else:
        main()
