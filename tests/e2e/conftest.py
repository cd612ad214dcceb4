"""A real server in a thread, a real browser on it, and the page's own words to drive it by."""

from __future__ import annotations

from pathlib import Path

import pytest
from conftest import PASSWORD, Actor
from demo import load_demo
from django.contrib.auth import get_user_model
from playwright.sync_api import Error, expect

expect.set_options(timeout=15_000)  # a loaded machine is slow, not wrong
AXE = (Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text()


@pytest.hookimpl(wrapper=True)
def pytest_runtest_makereport(item, call):
    """A browser test that fails tells what its page said then: a time-out alone tells nothing."""
    report = yield
    page = item.funcargs.get("page") if report.when == "call" and report.failed else None
    if page is not None and not page.is_closed():
        try:
            said = page.inner_text("body", timeout=2_000)[:2_000]
        except Error as error:
            said = str(error)
        report.sections.append(("What the page said", f"{page.url}\n{said}"))
        report.sections.append(("What failed on its way", "\n".join(getattr(page, "failed", []))))
    return report


@pytest.fixture(scope="session")
def browser_type_launch_args():
    return {
        "executable_path": "/usr/bin/chromium-headless-shell",
        "args": ["--disable-gpu", "--disable-quic", "--no-sandbox", "--disable-background-networking"],
    }


@pytest.fixture(scope="session")
def browser_context_args():
    return {"viewport": {"width": 1280, "height": 800}, "locale": "en-GB", "service_workers": "block"}


@pytest.fixture
def signed_in(address, page):
    """The demo's owner on the day's page; fails the test on any error the page throws."""
    load_demo()
    errors: list[str] = []
    page.on("pageerror", lambda e: errors.append(str(e)))
    page.failed = []
    page.on("requestfailed", lambda r: page.failed.append(f"{r.method} {r.url}: {r.failure}"))
    page.on("response", lambda r: r.status >= 400 and page.failed.append(f"{r.request.method} {r.url}: {r.status}"))
    sign_in(page, address, "maren")
    yield page
    assert errors == []


def sign_in(page, address: str, username: str) -> None:
    """On the day's page, as a member of the demo. The form itself is tried by the tests that are about it."""
    member = Actor(get_user_model().objects.get(username=username))
    cookies = [{"name": k, "value": v.value, "url": address} for k, v in member.browser.cookies.items()]
    page.context.add_cookies(cookies)
    page.goto(address)
    page.get_by_role("heading", name="Today").wait_for()


def sign_in_by_form(page, address: str, username: str) -> None:
    """On the day's page, by name and password: also where the server runs on another database."""
    page.goto(address)
    page.get_by_label("Name").fill(username)
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today").wait_for()


@pytest.fixture
def device(address, browser, browser_context_args):
    """Makes another device: a browser of its own, signed in as a member of the demo."""
    load_demo()
    opened = []

    def make(username: str, **more):
        context = browser.new_context(**(browser_context_args | more))
        opened.append(context)
        page = context.new_page()
        sign_in(page, address, username)
        return page

    yield make
    for context in opened:
        context.close()


def open_service(page, client: str, step: str) -> None:
    page.get_by_role("link", name=client).click()
    page.wait_for_url(f"**/services/*/{step}")


def violations(page, only: str | None = None) -> list[str]:
    """What axe finds wrong on the page as it stands, by all its rules or by only one."""
    page.evaluate(AXE)
    rules = f", runOnly: ['{only}']" if only else ""
    found = page.evaluate(f"axe.run(document, {{resultTypes: ['violations']{rules}}})")
    return [
        f"{v['id']}: {v['nodes'][0]['html'][:160]} ({v['nodes'][0]['failureSummary'][:200]})"
        for v in found["violations"]
    ]
