"""Many studios on one machine: 300 of them, 1,000 heads in mid-lift, two process groups on one database.

Every head has a device that follows it on one group, and an act from another device through the other group every two
to three minutes (the demo's services log one in that time). Measured while that goes on: how long an act takes, how
long until the other device has its board anew, what the database spends on an act, what a device on the line costs in
memory; then, with the load gone, boards of very long logs.

How it could be wrong: the load itself runs on the same two cores, so that a machine for the server alone does better;
all heads are one head at the same minute, their readings all of one zone; nobody drags plans meanwhile.

Run: bin/bench load (SECONDS, STUDIOS and BOARDS in the environment change it)
"""

from __future__ import annotations

import asyncio
import contextlib
import datetime as dt
import json
import os
import re
import resource
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

ROOT = Path(__file__).parents[1]
sys.path.insert(0, str(ROOT / "ops"))
from cluster import Cluster, free_port  # noqa: E402
from project import PYTHON, ensure_page, python_env  # noqa: E402
from system import ensure_postgres  # noqa: E402

SEED = 20261127
STUDIOS, BOARDS = int(os.environ.get("STUDIOS", "300")), int(os.environ.get("BOARDS", "1000"))
SECONDS = float(os.environ.get("SECONDS", "90"))
ACT_EVERY_S = (120.0, 180.0)
LONG = (2_000, 10_000)
CSRF = "b" * 32
EVENTS = re.compile(r"events")


def head_of(one: dict[str, str]) -> str:
    """Headers of a device that is signed in."""
    return f"Cookie: sessionid={one['session']}; csrftoken={CSRF}\r\nX-CSRFToken: {CSRF}\r\n"


async def ask(port: int, one: dict[str, str], path: str, body: Any = None) -> float:
    """One request of a device; how long it took, ms. Raises RuntimeError where it was refused."""
    began = time.perf_counter()
    reader, writer = await asyncio.open_connection("127.0.0.1", port)
    sent = b"" if body is None else json.dumps(body).encode()
    method = "GET" if body is None else "POST"
    head = f"{method} /api{path} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\nConnection: close\r\n{head_of(one)}"
    head += f"Origin: http://127.0.0.1:{port}\r\nContent-Type: application/json\r\nContent-Length: {len(sent)}\r\n\r\n"
    writer.write(head.encode() + sent)
    await writer.drain()
    answer = await reader.read()
    writer.close()
    if b" 200 " not in answer[:20]:
        raise RuntimeError(answer[:300].decode(errors="replace"))
    return (time.perf_counter() - began) * 1e3


def reading(zone: str, level: float = 7.0) -> dict[str, Any]:
    now = dt.datetime.now(dt.UTC).isoformat()
    data = {"zone_key": zone, "level": level, "mode": "wiped"}
    return {"event_id": str(uuid4()), "kind": "ReadingTaken", "occurred_at": now, "data": data}


class Load:
    """All devices, and what they saw."""

    def __init__(self, ports: tuple[int, int], boards: list[dict[str, str]]) -> None:
        self.ports, self.boards = ports, boards
        self.acts: list[float] = []
        self.heard: list[float] = []
        self.sent: dict[str, float] = {}
        self.refused: list[str] = []
        self.open = 0
        self.is_counted = False

    async def follow(self, at: int) -> None:
        """A device on the line of one head."""
        one = self.boards[at]
        port = self.ports[at % 2]
        reader, writer = await asyncio.open_connection("127.0.0.1", port, limit=2**21)
        head = f"GET /api/stream?service={one['service']}&device=d{at} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\n"
        writer.write(f"{head}{head_of(one)}\r\n".encode())
        self.open += 1
        while line := await reader.readline():
            if line.startswith(b"data: ") and b'"board": ' in line:
                began = self.sent.pop(one["service"], None)
                if began is not None and self.is_counted:
                    self.heard.append((time.perf_counter() - began) * 1e3)

    async def act(self, at: int, zone: str) -> None:
        """Another device of the same head: an act now and then, through the other group."""
        dice = np.random.default_rng(SEED + at)
        one, port = self.boards[at], self.ports[(at + 1) % 2]
        await asyncio.sleep(float(dice.uniform(0.0, ACT_EVERY_S[1])))
        while True:
            self.sent[one["service"]] = time.perf_counter()
            try:
                took = await ask(port, one, f"/services/{one['service']}/events", reading(zone))
                if self.is_counted:
                    self.acts.append(took)
            except (RuntimeError, OSError) as error:
                self.refused.append(str(error)[:200])
            await asyncio.sleep(float(dice.uniform(*ACT_EVERY_S)))


def memory_mb(pid: int) -> float:
    """What a process holds that is its own, MB."""
    text = (Path("/proc") / str(pid) / "smaps_rollup").read_text()
    return sum(int(x) for x in re.findall(r"^Private_\w+:\s+(\d+) kB", text, re.MULTILINE)) / 1024.0


def spent(port: int) -> dict[str, float]:
    """Time and questions of the database for acts, and how many, as a group tells them."""
    text = urllib.request.urlopen(f"http://127.0.0.1:{port}/metrics", timeout=10).read().decode()
    found = {}
    for name in ("fervens_database_seconds_total", "fervens_database_queries_total"):
        rows = re.findall(rf'^{name}{{route="([^"]*)"}} (\S+)$', text, re.MULTILINE)
        found[name] = sum(float(v) for route, v in rows if EVENTS.search(route))
    rows = re.findall(r'^fervens_requests_total{method="POST",route="([^"]*)",status="200"} (\S+)$', text, re.MULTILINE)
    found["acts"] = sum(float(v) for route, v in rows if EVENTS.search(route))
    return found


def say(name: str, values: list[float]) -> None:
    if not values:
        print(f"  {name:<62} none")
        return
    p50, p95, worst = np.percentile(values, [50, 95, 100])
    print(f"  {name:<62} {p50:7.0f} {p95:7.0f} {worst:7.0f}")


async def measure(ports: tuple[int, int], groups: list[subprocess.Popen[bytes]], made: dict[str, Any]) -> None:
    """The load, then the rest."""
    load = Load(ports, made["boards"])
    zone = made["long"][0]["zone"]
    for i in range(40):  # what a process loads once
        with contextlib.suppress(RuntimeError):
            await ask(ports[i % 2], made["boards"][i], f"/services/{made['boards'][i]['service']}/board")
    held = [memory_mb(g.pid) for g in groups]
    tasks = []
    for i in range(len(load.boards)):
        tasks.append(asyncio.create_task(load.follow(i)))
        if i % 25 == 24:
            await asyncio.sleep(0.2)
    while load.open < len(load.boards):
        await asyncio.sleep(0.2)
    await asyncio.sleep(5.0)
    more = sum(memory_mb(g.pid) - was for g, was in zip(groups, held, strict=True))
    print(f"  memory of a device on the line: {more / len(load.boards) * 1024:.0f} kB ({len(load.boards)} of them)")
    tasks += [asyncio.create_task(load.act(i, zone)) for i in range(len(load.boards))]
    await asyncio.sleep(20.0)
    before = [spent(p) for p in ports]
    load.is_counted = True
    began = time.monotonic()
    await asyncio.sleep(SECONDS)
    took = time.monotonic() - began
    load.is_counted = False
    after = [spent(p) for p in ports]
    acts, seconds, asked = (
        sum(a[k] - b[k] for a, b in zip(after, before, strict=True))
        for k in ("acts", "fervens_database_seconds_total", "fervens_database_queries_total")
    )
    print(
        f"  {len(load.acts)} acts in {took:.0f} s ({len(load.acts) / took:.1f} a second), {len(load.refused)} refused"
    )
    for text in load.refused[:2]:
        print("   ", text.splitlines()[0] if text else "")
    print(f"  {'ms':<62} {'median':>7} {'95 %':>7} {'worst':>7}")
    say("an act, until its own answer", load.acts)
    say("an act, until the other device has its board anew", load.heard)
    if acts:
        print(f"  the database spends {1e3 * seconds / acts:.1f} ms and {asked / acts:.0f} questions on an act")
    for task in tasks:
        task.cancel()
    await asyncio.gather(*tasks, return_exceptions=True)
    await asyncio.sleep(3.0)
    for one in made["long"]:
        times = []
        for i in range(12):
            await ask(ports[0], one, f"/services/{one['service']}/events", reading(one["zone"], 7.0 + 0.5 * (i % 2)))
            await asyncio.sleep(1.2)  # boards are kept for a second
            times.append(await ask(ports[0], one, f"/services/{one['service']}/board"))
        say(f"a board of {int(one['lines']):,} lines, after one more", times[2:])


def main() -> None:
    """Print the table."""
    ensure_page()
    hard = resource.getrlimit(resource.RLIMIT_NOFILE)[1]
    resource.setrlimit(resource.RLIMIT_NOFILE, (min(hard, 16_384), hard))
    folder = Path(tempfile.mkdtemp(prefix="fervens-load-"))
    folder.chmod(0o755)
    cluster = Cluster(ensure_postgres(), folder / "pg")
    cluster.create()
    cluster.start()
    env = python_env(DATABASE_URL=cluster.url, FERVENS_SECRET_KEY="b" * 50)
    groups: list[subprocess.Popen[bytes]] = []
    try:
        began = time.monotonic()
        asked = [str(PYTHON), str(ROOT / "bench/_studios.py"), str(STUDIOS), str(BOARDS), *map(str, LONG)]
        made = json.loads(subprocess.run(asked, env=env, check=True, capture_output=True, text=True).stdout)
        print(f"{STUDIOS} studios, {BOARDS} heads of 8 zones ({time.monotonic() - began:.0f} s to write); seed {SEED}")
        ports = (free_port(), free_port())
        for port in ports:
            command = [str(PYTHON), "-m", "config.serve", "--port", str(port)]
            groups.append(subprocess.Popen(command, env=env, cwd=ROOT, start_new_session=True))
        for port in ports:
            for _ in range(300):
                with contextlib.suppress(OSError):
                    urllib.request.urlopen(f"http://127.0.0.1:{port}/readyz", timeout=2)
                    break
                time.sleep(0.1)
        asyncio.run(measure(ports, groups, made))
    finally:
        for group in groups:
            with contextlib.suppress(ProcessLookupError):
                os.killpg(group.pid, signal.SIGKILL)
        cluster.stop()
        shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    main()
