"""The demo, freshly loaded into a database of its own and served: for pictures, and for what a browser measures."""

from __future__ import annotations

import shutil
import subprocess
import time
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from playwright.sync_api import Browser, Page, Playwright

from cluster import Cluster, free_port
from project import PYTHON, ensure_page, python_env
from steps import ROOT, run, step
from system import ensure_chromium, ensure_postgres

USER, PASSWORD = "maren", "prompt-corner-7"


def browser_of(driver: Playwright) -> Browser:
    """Debian's headless Chromium."""
    return driver.chromium.launch(
        executable_path="/usr/bin/chromium-headless-shell",
        args=["--disable-gpu", "--disable-quic", "--no-sandbox"],
    )


def sign_in(page: Page, address: str) -> None:
    """On the day's page, as the demo's owner."""
    page.goto(address)
    page.get_by_label("Name").fill(USER)
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today").wait_for()


@contextmanager
def demo_served(folder: Path) -> Iterator[str]:
    """Its address, with a slash at the end; database, reader and server end with the block.

    Args:
        folder: of the database; what was in it is gone.
    """
    ensure_chromium()
    ensure_page()
    cluster = Cluster(ensure_postgres(), folder, is_for_tests=True)
    if folder.exists():
        cluster.stop()
        shutil.rmtree(folder)
    cluster.create()
    cluster.start()
    port = free_port()
    address = f"http://127.0.0.1:{port}/"
    env = python_env(DATABASE_URL=cluster.url, FERVENS_SECRET_KEY="only-for-pictures")
    manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
    server = None
    reader = subprocess.Popen(
        [str(PYTHON), "-m", "fervens_cli", "reader", "--port", str(reader_port := free_port())],
        env=env, cwd=ROOT, stdout=subprocess.DEVNULL,
    )  # fmt: skip
    env["FERVENS_READER"] = f"127.0.0.1:{reader_port}"
    env["FERVENS_CAMERA"] = "simulated"
    try:
        with step("Loading the demo"):
            run([*manage, "migrate", "--noinput"], env=env, fails="No tables")
            run([*manage, "load_demo", "--username", USER, "--password", PASSWORD], env=env, fails="No demo")
        server = subprocess.Popen(
            [str(PYTHON), "-m", "uvicorn", "config.asgi:application", "--port", str(port), "--log-level", "warning",
             "--lifespan", "off", "--timeout-graceful-shutdown", "1"], env=env, cwd=ROOT,
        )  # fmt: skip
        for _ in range(100):
            try:
                urllib.request.urlopen(address, timeout=1)
                break
            except OSError:
                time.sleep(0.1)
        yield address
    finally:
        reader.terminate()
        if server:
            server.terminate()
            server.wait(timeout=10)
        cluster.stop()
