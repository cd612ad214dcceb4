"""As a new owner would: from the address the server printed to a first service, with no demo anywhere."""

import pytest
from playwright.sync_api import expect

from apps.studio.begin import begin_token

from .conftest import violations


@pytest.fixture
def empty(address, transactional_db, page):
    errors: list[str] = []
    page.on("pageerror", lambda e: errors.append(str(e)))
    yield page
    assert errors == []


def test_a_new_owner_makes_a_studio_and_is_led_on(empty, address):
    page = empty
    page.goto(f"{address}/begin?token={begin_token()}")
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
    page.goto(f"{address}/begin?token={begin_token()}")
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
