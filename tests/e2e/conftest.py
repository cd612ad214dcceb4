"""A real server in a thread, a real browser on it, and the page's own words to drive it by."""

from __future__ import annotations

from pathlib import Path

import pytest
from conftest import PASSWORD, Actor
from demo import load_demo
from django.contrib.auth import get_user_model
from playwright.sync_api import Error, TimeoutError, expect

from apps.common import heavy

expect.set_options(timeout=15_000)  # a loaded machine is slow, not wrong
AXE = (Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text()


TAPPED = """() => {
  window.tapped = []
  for (const kind of ['pointerdown', 'click', 'keydown'])
    addEventListener(kind, (e) => {
      const said = (e.target.getAttribute?.('aria-label') || e.target.textContent || '').trim().slice(0, 40)
      window.tapped.push(`${Math.round(performance.now())} ${kind} ${e.key ?? ''} on ${e.target.tagName} ${said}`)
    }, true)
}"""
"""Notes where taps and keys land: of a lost one a time-out tells nothing."""


@pytest.hookimpl(wrapper=True)
def pytest_runtest_makereport(item, call):
    """A browser test that fails tells what its page said then: a time-out alone tells nothing."""
    report = yield
    browser = item.funcargs.get("browser") if report.when == "call" and report.failed else None
    for page in [p for c in browser.contexts for p in c.pages] if browser is not None else []:
        try:
            said = page.inner_text("body", timeout=2_000)[:2_000]
            tapped = page.evaluate("[Math.round(performance.now()), ...(window.tapped ?? []).slice(-12)].join('\\n')")
            said = f"{said}\n-- tapped --\n{tapped}"
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
    page.add_init_script(f"({TAPPED})()")
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


STILL = """() => Promise.allSettled(document.getAnimations()
    .filter((motion) => motion.effect.getComputedTiming().iterations !== Infinity)
    .map((motion) => motion.finished))"""


def still(page) -> None:
    """Once what moves or changes its colour has come to rest, however slow the machine."""
    page.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))")
    page.evaluate(STILL)


def loaded(page) -> None:
    """Once a view has its heading, nothing of it is being fetched and nothing moves."""
    page.locator("main h1").first.wait_for()
    expect(page.locator("[data-waiting]")).to_have_count(0)
    still(page)


def pick(choice) -> None:
    """A box or a radio, chosen as a hand does: brought clear of the bar at the foot, tapped once it stands still."""
    choice.evaluate("choice => choice.scrollIntoView({ block: 'center' })")
    if not choice.is_checked():
        choice.locator("xpath=ancestor::label[1]").click()
    expect(choice).to_be_checked()


def kept(page) -> None:
    """Once what was read of the head is on the server: that plans it anew, for as long as it takes on this machine."""
    said = page.get_by_role("status").filter(has_text="Kept")
    while True:
        try:
            return expect(said).to_be_visible()
        except AssertionError:
            if not heavy._here:  # nothing is being computed that it could wait for
                raise


def open_service(page, client: str, step: str) -> None:
    """From the day to a service's step; a day that is still being fetched may lay its rows anew under the tap."""
    link = page.get_by_role("link", name=client)
    link.wait_for()
    still(page)
    link.click()
    try:
        page.wait_for_url(f"**/services/*/{step}", timeout=10_000)
    except TimeoutError:
        if link.count():
            link.click()
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
