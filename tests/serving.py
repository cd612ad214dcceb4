"""The app as a process of its own, on a database of its own, and devices that speak to it over HTTP."""

from __future__ import annotations

import http.cookiejar
import json
import os
import signal
import subprocess
import sys
import time
import urllib.error
import urllib.request
from pathlib import Path

from conftest import PASSWORD

ROOT = Path(__file__).parents[1]
sys.path.insert(0, str(ROOT / "ops"))
from cluster import Cluster, free_port  # noqa: E402
from project import PYTHON, python_env  # noqa: E402
from system import ensure_postgres  # noqa: E402


class Served:
    """The app as bin/start serves it, on a database of its own that writes through to disk."""

    def __init__(self, folder: Path, *, workers: int = 1) -> None:
        self.workers = workers
        self.cluster = Cluster(ensure_postgres(), folder / "pg")
        self.cluster.create()
        self.cluster.start()
        self.env = python_env(DATABASE_URL=self.cluster.url, FERVENS_SECRET_KEY="a" * 50, FERVENS_SERVING="1")
        demo = ["load_demo", "--migrate", "--username", "maren", "--password", PASSWORD]
        subprocess.run(
            [str(PYTHON), str(ROOT / "server" / "manage.py"), *demo], env=self.env, check=True, capture_output=True
        )
        self.port = free_port()
        self.address = f"http://127.0.0.1:{self.port}"
        self.start_server()

    def start_server(self) -> None:
        command = [str(PYTHON), "-m", "config.serve", "--port", str(self.port), "--workers", str(self.workers)]
        self.server = subprocess.Popen(
            command, env=self.env, cwd=ROOT, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL
        )
        for _ in range(300):
            try:
                urllib.request.urlopen(f"{self.address}/api/session", timeout=2)
                return
            except OSError:
                time.sleep(0.05)
        raise AssertionError("the server did not come up")

    def kill_server(self) -> None:
        self.server.kill()
        self.server.wait()

    def kill_database(self) -> None:
        os.kill(int((self.cluster.folder / "postmaster.pid").read_text().splitlines()[0]), signal.SIGKILL)

    def start_database(self) -> None:
        self.cluster.start(port=self.cluster.port)

    def stop(self) -> None:
        self.kill_server()
        self.cluster.stop()


class Device:
    """A device that sends an act again, with its id, until it is answered."""

    def __init__(self, address: str) -> None:
        self.address = address
        self.jar = http.cookiejar.CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))
        self.opener.open(f"{address}/")
        self.ask("/session", {"username": "maren", "password": PASSWORD})

    def ask(self, path: str, body: dict | None = None, *, timeout: float = 10) -> dict:
        token = next((c.value for c in self.jar if c.name == "csrftoken"), "")
        headers = {"Content-Type": "application/json", "X-CSRFToken": token, "Referer": self.address}
        data = None if body is None else json.dumps(body).encode()
        with self.opener.open(
            urllib.request.Request(f"{self.address}/api{path}", data, headers), timeout=timeout
        ) as answer:
            return json.loads(answer.read())

    def patiently(self, path: str) -> dict:
        """Ask until the database answers again."""
        for _ in range(100):
            try:
                return self.ask(path)
            except urllib.error.HTTPError as error:
                if error.code != 503:
                    raise
            time.sleep(0.1)
        raise AssertionError("the database did not come back")

    def insist(self, path: str, body: dict) -> int:
        """Send until it is taken; how often it had to be sent."""
        for tries in range(1, 200):
            try:
                self.ask(path, body)
                return tries
            except urllib.error.HTTPError as error:
                if error.code not in (500, 502, 503):
                    raise
            except OSError:
                pass
            time.sleep(0.1)
        raise AssertionError("never taken")
