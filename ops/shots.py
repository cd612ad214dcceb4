"""bin/screenshots: pictures of each main view from freshly loaded demo data, in a real browser."""

from __future__ import annotations

import argparse
import re
from collections.abc import Callable
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

from served import browser_of, demo_served, sign_in
from steps import LOCAL, ROOT, SetupError, main, step

DESK = {"width": 1280, "height": 800}
TABLET = {"width": 820, "height": 1180}
PHONE = {"width": 390, "height": 844}


def _service(page: Page, address: str, client: str, view: str) -> None:
    page.goto(address)
    page.get_by_role("link", name=client).click()
    page.wait_for_url("**/services/*/*")
    service = page.url.split("/services/")[1].split("/")[0]
    page.goto(f"{address}services/{service}/{view}")
    _settle(page)


def _settle(page: Page) -> None:
    """Until the page stands still; its stream never ends, so the network is never idle."""
    page.wait_for_load_state("load")
    page.wait_for_timeout(1200)


def _offline(page: Page) -> None:
    page.context.set_offline(True)
    page.get_by_text("No line to the server").wait_for()
    _settle(page)  # what the banner moved takes no tap for a blink
    page.get_by_role("button", name="Wiped out", exact=True).click()
    page.get_by_text("act waits").wait_for()
    page.get_by_role("button", name="Dismiss").last.click()


def _sheet(page: Page) -> None:
    page.get_by_role("button", name="Left side").first.click()
    page.get_by_role("heading", name="Left side").wait_for()


def _zones(page: Page) -> None:
    for zone in ("Crown", "Left side", "Right side"):
        page.get_by_role("group", name="Zones").get_by_role("button", name=zone).click()
    page.evaluate("window.scrollTo(0, 0)")


def _debrief(page: Page) -> None:
    round_over = page.get_by_role("listitem").filter(has_text="Fine hairline")
    round_over.get_by_role("link", name="Debrief").click()
    page.get_by_role("region", name="Three sentences").wait_for()
    page.get_by_role("slider").fill("44")


def _to_the_tone(page: Page) -> None:
    page.get_by_role("button", name="To the tone").click()
    page.get_by_role("region", name=re.compile("rinse")).first.wait_for()
    page.get_by_role("status").filter(has_text="Review finished").wait_for(state="detached", timeout=12_000)


def _strand(page: Page) -> None:
    page.get_by_role("article", name="Low back").get_by_role("button", name="Strand").click()
    page.get_by_text("ringed: as expected by now").wait_for()


SHOTS: dict[str, tuple[str | None, str, dict[str, int], str, Callable[[Page], None] | None]] = {
    "day": (None, "", DESK, "light", None),
    "consultation": ("Casimir Holt", "consultation", DESK, "light", _zones),
    "strands": ("Casimir Holt", "strands", DESK, "light", None),
    "plan": ("Wren Adair", "plan", DESK, "light", None),
    "chair": ("Ilse Varga", "chair", DESK, "light", None),
    "chair-reading": ("Ilse Varga", "chair", DESK, "light", _sheet),
    "chair-tablet": ("Ilse Varga", "chair", TABLET, "light", None),
    "chair-phone": ("Ilse Varga", "chair", PHONE, "light", None),
    "chair-offline": ("Ilse Varga", "chair", TABLET, "dark", _offline),
    "review": ("Sanna Quill", "review", DESK, "light", None),
    "tone": ("Sanna Quill", "review", DESK, "light", _to_the_tone),
    "tone-strand": ("Tobias Renn", "tone", DESK, "dark", _strand),
    "record": ("Noor Castell", "record", DESK, "light", None),
    "client": ("Odile Brandt", "client", DESK, "light", None),
    "practice": (None, "practice", DESK, "light", None),
    "debrief": (None, "practice", DESK, "light", _debrief),
    "shelf": (None, "shelf", DESK, "light", None),
    "numbers": (None, "numbers", DESK, "light", None),
    "studio": (None, "studio", DESK, "light", None),
}


def _take(page: Page, address: str, name: str, out: Path) -> None:
    client, view, size, theme, then = SHOTS[name]
    page.context.set_offline(False)
    page.set_viewport_size(size)  # type: ignore[arg-type]
    page.evaluate(f"localStorage.setItem('fervens.theme', '{theme}')")
    if client is None:
        page.goto(f"{address}{view}")
    elif view == "client":
        _service(page, address, client, "chair")
        page.get_by_role("link", name=client).first.click()
    else:
        _service(page, address, client, view)
    _settle(page)
    if then:
        then(page)
    page.wait_for_timeout(500)
    page.screenshot(path=out / f"{name}.png")


def take() -> None:
    """Load the demo into a database of its own, serve it, photograph it."""
    parser = argparse.ArgumentParser(prog="bin/screenshots")
    parser.add_argument("names", nargs="*", help=f"of {', '.join(SHOTS)}; all when none is given")
    parser.add_argument("--out", type=Path, default=ROOT / "docs" / "screenshots")
    args = parser.parse_args()
    unknown = [n for n in args.names if n not in SHOTS]
    if unknown:
        raise SetupError(f"names: must be of {', '.join(SHOTS)}, got {unknown[0]!r}.")
    args.out.mkdir(parents=True, exist_ok=True)
    with demo_served(LOCAL / "pg-shots") as address, sync_playwright() as driver:
        browser = browser_of(driver)
        page = browser.new_context(viewport=DESK, service_workers="block").new_page()  # type: ignore[arg-type]
        page.on("console", lambda m: print("console:", m.text) if m.type in ("error", "warning") else None)
        page.on("pageerror", lambda e: print("page error:", e))
        sign_in(page, address)
        for name in args.names or SHOTS:
            with step(name):
                _take(page, address, name, args.out)
        browser.close()


if __name__ == "__main__":
    main(take)
