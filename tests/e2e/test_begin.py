"""As a new owner would: from the address the server printed to a first service, with no demo anywhere."""

import pytest
from playwright.sync_api import expect

from apps.studio.begin import begin_token

from .conftest import violations

COLUMNS = [
    "kind", "name", "volume_strength", "level", "developer_parts", "developer_volume", "label_min_min",
    "label_max_min", "max_volume", "max_volume_on_scalp", "bowl_life_min", "patch_test_wait_h", "max_applications",
    "is_dark", "is_heat_allowed", "counts_from_end", "is_oxidative", "use", "dyes", "measured", "stock_g", "low_g",
    "price_per_g",
]  # fmt: skip
ROWS = [
    {
        "kind": "lightener",
        "name": "Chalk powder",
        "developer_parts": "2",
        "label_max_min": "50",
        "max_applications": "2",
    },
    {"kind": "developer", "name": "Cream 20", "volume_strength": "20"},
    {"kind": "developer", "name": "Cream 30", "volume_strength": "30"},
    {"kind": "toner", "name": "Fog 9", "level": "9", "dyes": "violet 60; blue 40"},
    {"kind": "toner", "name": "Sand 8", "level": "8", "dyes": "violet 50; yellow 50"},
    {"kind": "toner", "name": "Ash 7", "level": "7", "dyes": "blue 70; violet 30"},
]
SHELF = "\r\n".join([",".join(COLUMNS), *(",".join(r.get(c, "") for c in COLUMNS) for r in ROWS)]) + "\r\n"


@pytest.fixture
def empty(address, transactional_db, page):
    errors: list[str] = []
    page.on("pageerror", lambda e: errors.append(str(e)))
    yield page
    assert errors == []


def test_a_new_owner_makes_a_studio_and_is_led_on(empty, address):
    page = empty
    token = begin_token()
    page.goto(f"{address}/begin?token={token}")
    page.get_by_label("Name of the studio").fill("The Dressing Room")
    page.get_by_label("Your first name").fill("Ines")
    page.get_by_label("Your last name").fill("Farrow")
    page.get_by_label("Name to sign in with").fill("ines")
    page.get_by_label("Password").fill("ines-farrow")
    assert violations(page) == []
    page.get_by_role("button", name="Make the studio").click()
    expect(page.get_by_role("alert")).to_contain_text("password")
    page.get_by_label("Password").fill("curtain-at-seven")
    page.get_by_role("button", name="Make the studio").click()
    page.get_by_role("heading", name="First steps").wait_for()
    assert violations(page) == []
    page.get_by_role("listitem").filter(has_text="What you lighten with").get_by_role("link").click()
    page.wait_for_url("**/shelf")
    expect(page.get_by_text("Nothing stands here yet.")).to_be_visible()
    assert violations(page) == []
    page.get_by_label("Bring a table or a file in").set_input_files(
        {"name": "shelf.csv", "mimeType": "text/csv", "buffer": SHELF.encode()}
    )
    expect(page.get_by_role("status").filter(has_text="can come in")).to_contain_text("6 products")
    page.get_by_role("button", name="Bring them in").click()
    expect(page.get_by_text("6 products stand on the shelf now.")).to_be_visible()
    page.goto(address)
    steps = page.get_by_role("region", name="First steps")
    expect(steps.get_by_role("listitem").filter(has_text="What you tone with")).to_contain_text("Done")
    steps.get_by_role("button", name="A practice head").click()
    page.get_by_role("heading", name="Consultation").wait_for()
    assert violations(page) == []
    plan_it = page.get_by_role("button", name="Plan it")
    seen = page.get_by_role("button", name="I have seen to it")
    expect(seen.first).to_be_visible()
    while seen.count():
        left = seen.count()
        seen.first.click()
        expect(seen).to_have_count(left - 1)
    expect(plan_it).to_be_enabled()
    plan_it.click()
    page.wait_for_url("**/plan")
    expect(page.get_by_role("button", name="To the chair")).to_be_visible()
    page.goto(f"{address}/begin?token={token}")
    expect(page.get_by_text("There is a studio here already.")).to_be_visible()


def test_an_address_that_is_not_the_printed_one_makes_nothing(empty, address):
    page = empty
    page.goto(f"{address}/begin?token=guessed")
    for label, text in (
        ("Name of the studio", "X"), ("Your first name", "I"), ("Your last name", "F"),
        ("Name to sign in with", "ines"), ("Password", "curtain-at-seven"),
    ):  # fmt: skip
        page.get_by_label(label).fill(text)
    page.get_by_role("button", name="Make the studio").click()
    expect(page.get_by_role("alert")).to_contain_text("not the one the server printed")
    expect(page.get_by_label("Name of the studio")).to_have_value("X")
