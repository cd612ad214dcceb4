"""A real server in a thread, a real browser on it, and the page's own words to drive it by."""

from __future__ import annotations

import socket
import threading
import time
from pathlib import Path

import pytest
import uvicorn
from conftest import PASSWORD
from django.core.management import call_command
from playwright.sync_api import expect

from config.asgi import application

expect.set_options(timeout=15_000)  # a loaded machine is slow, not wrong
AXE = (Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text()


@pytest.fixture(scope="session")
def browser_type_launch_args():
    return {
        "executable_path": "/usr/bin/chromium",
        "args": ["--disable-gpu", "--disable-quic", "--no-sandbox", "--disable-background-networking"],
    }


@pytest.fixture(scope="session")
def browser_context_args():
    return {"viewport": {"width": 1280, "height": 800}, "locale": "en-GB"}


@pytest.fixture
def address(transactional_db):
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    server = uvicorn.Server(uvicorn.Config(application, port=port, log_level="error", lifespan="off"))
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    for _ in range(200):
        if server.started:
            break
        time.sleep(0.02)
    yield f"http://127.0.0.1:{port}"
    server.should_exit = True
    thread.join(timeout=10)


@pytest.fixture
def signed_in(address, page):
    """The demo's owner on the day's page; fails the test on any error the page throws."""
    call_command("load_demo", username="maren", password=PASSWORD, verbosity=0)
    errors: list[str] = []
    page.on("pageerror", lambda e: errors.append(str(e)))
    page.goto(address)
    page.get_by_label("Name").fill("maren")
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today").wait_for()
    yield page
    assert errors == []


def open_service(page, client: str, step: str) -> None:
    page.get_by_role("link", name=client).click()
    page.wait_for_url(f"**/services/*/{step}")


def violations(page) -> list[str]:
    """What axe finds wrong on the page as it stands."""
    page.evaluate(AXE)
    found = page.evaluate("axe.run(document, {resultTypes: ['violations']})")
    return [
        f"{v['id']}: {v['nodes'][0]['html'][:160]} ({v['nodes'][0]['failureSummary'][:200]})"
        for v in found["violations"]
    ]
