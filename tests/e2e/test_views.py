"""Every main view: axe finds nothing, nothing is cut off on a phone, and it prints."""

import re

import pytest

from .conftest import loaded, open_service, still, violations

VIEWS = [
    ("day", None, None),
    ("consultation", "Casimir Holt", "consultation"),
    ("declined", "Bruno Salt", "consultation"),
    ("plan", "Wren Adair", "plan"),
    ("chair", "Ilse Varga", "chair"),
    ("review", "Sanna Quill", "review"),
    ("tone", "Tobias Renn", "tone"),
    ("record", "Noor Castell", "record"),
]
PLACES = [
    ("shelf", "/shelf", "Toners"),
    ("numbers", "/numbers", "Pace, minutes a section"),
    ("studio", "/studio", "Who did what"),
]


def settle(page, client, step):
    if client:
        open_service(page, client, step)
    page.locator("main").first.wait_for()
    page.wait_for_timeout(700)  # its stream never ends, so the network is never idle
    loaded(page)


def in_theme(page, theme):
    page.evaluate(f"document.documentElement.dataset.theme = '{theme}'")
    still(page)  # colours change slowly, and axe would read them half-way


def in_both_themes(page):
    """What axe finds in the light, and what it finds of contrast in the dark; left in the light."""
    found = violations(page)
    in_theme(page, "dark")
    found += [f"dark: {x}" for x in violations(page, only="color-contrast")]
    in_theme(page, "light")
    return found


def test_no_accessibility_violation_on_any_main_view(signed_in, address):
    page = signed_in
    page.evaluate("localStorage.setItem('fervens.theme', 'light')")
    found = {}
    for name, client, step in VIEWS:
        page.goto(address)
        page.get_by_role("heading", name="Today").wait_for()
        settle(page, client, step)
        if name == "consultation":
            page.get_by_role("group", name="Zones").get_by_role("button", name="Crown").click()
            page.get_by_role("group", name="Level wanted").wait_for()
        found[name] = in_both_themes(page)
        if name == "consultation":
            page.get_by_role("button", name="None", exact=True).click()
            page.get_by_role("button", name="Tests", exact=True).click()
            page.get_by_role("heading", name="Salts test").wait_for()
            found["tests"] = in_both_themes(page)
            page.get_by_role("link", name="To the strand bench").click()
            page.get_by_role("article", name="Strand B").wait_for()
            found["strands"] = in_both_themes(page)
        if name == "plan":
            page.get_by_role("button", name="Weigh bowl 1", exact=True).click()
            page.get_by_role("heading", name="Bowl 1").wait_for()
            still(page)
            found["weighing"] = in_both_themes(page)
        if name == "chair":
            page.keyboard.press("3")
            page.get_by_role("heading", name="Crown", exact=True).wait_for()
            still(page)
            found["reading"] = in_both_themes(page)
        if name == "record":
            page.get_by_role("link", name=client).first.click()
            page.get_by_role("heading", name="Contact load").wait_for()
            found["client"] = in_both_themes(page)
    page.goto(address)
    page.get_by_role("heading", name="Today").wait_for()
    settle(page, None, None)
    page.get_by_role("button", name="Week", exact=True).click()
    page.get_by_role("heading", name="Week of").wait_for()
    found["week"] = in_both_themes(page)
    for name, path, ready in PLACES:
        page.goto(f"{address}{path}")
        page.get_by_role("heading", name=ready).first.wait_for()
        found[name] = in_both_themes(page)
    assert {k: v for k, v in found.items() if v} == {}


def test_the_page_asks_for_its_letters_before_there_is_text(signed_in):
    faces = signed_in.locator("link[rel=preload][as=font]").evaluate_all("all => all.map((x) => x.href)")
    assert len(faces) == 2  # letters, and the arrow of "4 → 8"
    assert all(signed_in.request.get(face).ok for face in faces)


def test_sign_in_has_no_accessibility_violation(address, page):
    page.goto(address)
    page.get_by_role("button", name="Sign in").wait_for()
    assert violations(page) == []


def widest(page):
    """How far the page runs off a phone and a tablet in portrait, the worse of both, px."""
    off = []
    for width in (390, 820):
        page.set_viewport_size({"width": width, "height": 900})
        still(page)
        off.append(page.evaluate("document.documentElement.scrollWidth - window.innerWidth"))
    return max(off)


def test_nothing_runs_off_a_small_screen(signed_in, address):
    page = signed_in
    page.set_viewport_size({"width": 390, "height": 900})
    wide = {}
    for name, client, step in VIEWS:
        page.goto(address)
        page.get_by_role("heading", name="Today").wait_for()
        settle(page, client, step)
        wide[name] = widest(page)
        if name == "consultation":
            page.get_by_role("group", name="Zones").get_by_role("button", name="Crown").click()
            page.get_by_role("button", name="Root apart").click()
            page.get_by_label("Regrowth", exact=True).wait_for()
            wide["root"] = widest(page)
            page.goto(page.url.replace("/consultation", "/strands"))
            page.get_by_role("article", name="Strand B").wait_for()
            wide["strands"] = widest(page)
    for name, path, ready in PLACES:
        page.goto(f"{address}{path}")
        page.get_by_role("heading", name=ready).first.wait_for()
        wide[name] = widest(page)
    page.goto(address)
    open_service(page, "Noor Castell", "record")
    page.get_by_role("link", name="Noor Castell").first.click()
    page.get_by_role("heading", name="Contact load").wait_for()
    wide["client"] = widest(page)
    assert {k: v for k, v in wide.items() if v > 0} == {}


def test_chair_buttons_are_large_enough_for_a_glove(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("region", name="Next").get_by_role("button").wait_for()
    for way in ("Zones on the head", "Zones over time"):
        boxes = page.get_by_role("region", name="Next").get_by_role("button").all()
        boxes += page.get_by_role("region", name=way).get_by_role("button").all()
        sizes = [b.bounding_box() for b in boxes]
        assert len(sizes) == 9
        assert min(s["height"] for s in sizes) >= 48
        assert min(s["width"] for s in sizes) >= 48
        page.get_by_role("button", name="Over time").click()


SMALL = """() => [...document.querySelectorAll('main button, main a[href], main select, main summary, main input')]
  .map((el) => {
    const isHidden = el instanceof HTMLInputElement && ['radio', 'checkbox'].includes(el.type)
    const at = (isHidden ? el.closest('label') ?? el : el).getBoundingClientRect()
    return { name: (el.ariaLabel || el.textContent || el.id || '').trim().slice(0, 50), w: at.width, h: at.height }
  })
  .filter((t) => t.w > 0 && t.h > 0 && (t.w < 47.5 || t.h < 47.5))
  .map((t) => `${t.name}: ${Math.round(t.w)} x ${Math.round(t.h)}`)"""
"""What a gloved finger may miss: whatever can be tapped and is less than 48 px either way."""


@pytest.mark.parametrize("width", [390, 820, 1280])
def test_what_is_tapped_at_chair_and_plan_is_48_px(signed_in, width):
    page = signed_in
    page.set_viewport_size({"width": width, "height": 900})
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("region", name="Next").get_by_role("button").first.wait_for()
    assert page.evaluate(SMALL) == []
    page.get_by_role("button", name="Over time").click()
    page.get_by_role("region", name="Zones over time").wait_for()
    assert page.evaluate(SMALL) == []
    page.goto(page.url.split("/services/")[0])
    open_service(page, "Wren Adair", "plan")
    page.get_by_role("heading", name="Mixing list").wait_for()
    assert page.evaluate(SMALL) == []


def test_record_and_plan_print_on_paper(signed_in, address):
    page = signed_in
    for client, step, words in (("Noor Castell", "record", "As it ran"), ("Wren Adair", "plan", "Mixing list")):
        page.goto(address)
        page.get_by_role("heading", name="Today").wait_for()
        settle(page, client, step)
        page.emulate_media(media="print")
        page.get_by_role("heading", name=words).wait_for()
        assert not page.get_by_role("button", name="Print").is_visible()
        assert not page.get_by_role("banner").is_visible()
        paper = page.pdf(format="A4")
        assert len(paper) > 10_000
        if step == "plan":
            assert len(re.findall(rb"/Type */Page\b(?!s)", paper)) == 1  # one page for the trolley
        page.emulate_media(media="screen")


def test_unknown_address_says_where_to_go(signed_in, address):
    signed_in.goto(f"{address}/nowhere/at/all")
    signed_in.get_by_role("heading", name="There is no such page").wait_for()
    signed_in.get_by_role("link", name="To the day", exact=True).click()
    signed_in.get_by_role("heading", name="Today").wait_for()
