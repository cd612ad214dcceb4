"""The server as a process: heavy work beside boards, who starts and ends with whom, a database that goes and comes."""

import os
import random
import shutil
import signal
import socket
import tempfile
import threading
import time
import urllib.error
import urllib.request
from pathlib import Path

import pytest
from serving import Device, Served


def made(**more):
    folder = Path(tempfile.mkdtemp(prefix="fervens-served-"))
    folder.chmod(0o755)
    return Served(folder, **more), folder


@pytest.fixture(scope="module")
def served():
    one, folder = made()
    yield one
    one.stop()
    shutil.rmtree(folder, ignore_errors=True)


def children(pid):
    """Of a process, all generations down."""
    found = []
    for entry in Path("/proc").iterdir():
        if entry.name.isdigit():
            try:
                parent = int((entry / "stat").read_text().rsplit(")", 1)[1].split()[1])
            except OSError:
                continue
            if parent == pid:
                found += [int(entry.name), *children(int(entry.name))]
    return found


def lives(pid):
    try:
        return (Path("/proc") / str(pid) / "stat").read_text().rsplit(")", 1)[1].split()[0] != "Z"
    except OSError:
        return False


def until(what, seconds=15.0):
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        if what():
            return
        time.sleep(0.1)
    raise AssertionError("it did not come to that in time")


def is_taken(port):
    with socket.socket() as probe:
        return probe.connect_ex(("127.0.0.1", port)) == 0


def quickest(times, share):
    return sorted(times)[int(share * (len(times) - 1))]


def test_thirty_toner_searches_among_two_hundred_shades_do_not_hold_the_board_up(served):
    device, dice = Device(served.address), random.Random(4)
    day = device.ask("/day")["services"]
    families = ["violet", "blue", "green", "yellow", "red", "orange"]
    for i in range(len(device.ask("/shelf")["toners"]), 200):
        one, two = dice.sample(families, 2)
        share = round(dice.random(), 2)
        dyes = {one: share, two: round(1 - share, 2)}
        device.ask("/stock/toner", {"name": f"T{i}", "level": dice.randrange(12, 21) / 2, "dyes": dyes})
    toned = [s["id"] for s in day if s["step"] in ("tone", "review")]
    chair = next(s["id"] for s in day if s["step"] == "chair")
    began = time.monotonic()
    assert device.ask(f"/services/{toned[0]}/tone")["tone_step"] is not None
    alone_s = time.monotonic() - began
    done, boards = [], []

    def search(i):
        path = f"/services/{toned[i % len(toned)]}/tone?bowls={1 + i % 3}&bright={'true' if i % 2 else 'false'}"
        done.append(device.ask(path, timeout=60)["tone_step"] is not None)

    threads = [threading.Thread(target=search, args=(i,)) for i in range(30)]
    for thread in threads:
        thread.start()
    while any(t.is_alive() for t in threads):
        began = time.monotonic()
        device.ask(f"/services/{chair}/board")
        boards.append(time.monotonic() - began)
        time.sleep(0.05)
    assert done == [True] * 30
    # on a quiet machine 1 s (19 s before), and 0.2 s (5 s before); the gate's machine is not quiet
    assert alone_s < 6.0
    assert quickest(boards, 0.9) < 2.0


def test_the_helpers_go_with_a_server_that_was_killed_and_the_port_is_free(served):
    helpers = children(served.server.pid)
    assert helpers
    served.kill_server()
    until(lambda: not any(lives(pid) for pid in helpers))
    assert not is_taken(served.port)
    served.start_server()


def test_a_stop_ends_open_lines_at_once_and_finishes(served):
    device = Device(served.address)
    cookies = "; ".join(f"{c.name}={c.value}" for c in device.jar)
    line = urllib.request.urlopen(
        urllib.request.Request(f"{served.address}/api/stream", headers={"Cookie": cookies}), timeout=20
    )
    assert b"retry" in line.readline()
    began = time.monotonic()
    served.server.terminate()
    served.server.wait(timeout=15)
    assert time.monotonic() - began < 8.0  # open lines that held it would take the whole grace of 10 s
    assert line.read() is not None  # it ended, and was not cut off
    served.start_server()


def test_the_database_is_used_soon_after_it_is_back(served):
    device = Device(served.address)
    served.kill_database()
    away_until = time.monotonic() + 20.0
    while time.monotonic() < away_until:  # devices go on asking all the while
        with pytest.raises(urllib.error.HTTPError) as refused:
            device.ask("/day")
        assert refused.value.code == 503
    served.start_database()
    began = time.monotonic()
    device.patiently("/day")
    assert time.monotonic() - began < 8.0  # a pool that waits longer and longer would take 11 s here


def test_a_killed_worker_comes_back_and_none_outlives_the_one_that_started_it():
    served, folder = made(workers=2)
    try:
        workers = [p for p in children(served.server.pid) if "spawn_main" in cmdline(p) and children(p)]
        assert len(workers) == 2
        os.kill(workers[0], signal.SIGKILL)
        until(lambda: len([p for p in children(served.server.pid) if children(p)]) == 2 and lives(served.server.pid))
        Device(served.address).ask("/day", timeout=60)  # the new worker may be starting
        left = children(served.server.pid)
        served.kill_server()
        until(lambda: not is_taken(served.port))
        until(lambda: not any(lives(p) for p in left))
    finally:
        served.cluster.stop()
        shutil.rmtree(folder, ignore_errors=True)


def cmdline(pid):
    try:
        return (Path("/proc") / str(pid) / "cmdline").read_text()
    except OSError:
        return ""
