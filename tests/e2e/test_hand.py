"""What a hand can do by mistake, and must not: notices in the way, keys that are meant for something else."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import expect

from apps.services.models import Service

from .conftest import open_service
from .test_practice import begin, to_chair
from .test_walk import pick_level

SIZES = {"desk": (1280, 800), "tablet": (820, 1180), "phone": (390, 844)}


@pytest.mark.parametrize("size", SIZES)
def test_what_is_said_never_lies_over_a_lane(signed_in, size):
    page = signed_in
    width, height = SIZES[size]
    open_service(page, "Ilse Varga", "chair")
    page.set_viewport_size({"width": width, "height": height})
    bar = page.locator("main > div.fixed.bottom-0")
    expect(bar).to_be_visible()
    before = bar.bounding_box()
    page.get_by_role("button", name=re.compile("Low back")).first.click()
    pick_level(page, "Tap the swatch that matches", "7")
    said = page.get_by_role("status").filter(has_text="Low back read at 7")
    expect(said).to_be_visible()
    after, words = bar.bounding_box(), said.bounding_box()
    assert after["y"] == pytest.approx(before["y"], abs=1)  # it does not grow over what stands above it
    assert words["y"] >= after["y"] - 1
    assert words["y"] + words["height"] <= height + 1
    assert words["x"] + words["width"] <= width + 1


@pytest.mark.parametrize("size", SIZES)
def test_undo_stands_in_one_bar_on_every_step(signed_in, size):
    page = signed_in
    width, height = SIZES[size]
    page.set_viewport_size({"width": width, "height": height})
    for client, step in (
        ("Casimir Holt", "consultation"),
        ("Wren Adair", "plan"),
        ("Ilse Varga", "chair"),
        ("Sanna Quill", "review"),
        ("Tobias Renn", "tone"),
    ):
        open_service(page, client, step)
        undo = page.get_by_role("button", name=re.compile("^Undo")).first
        expect(undo).to_be_visible()
        box = undo.bounding_box()
        bar = page.locator("div.fixed.bottom-0").filter(has=undo).bounding_box()
        assert bar["y"] + bar["height"] <= height + 1, f"{step} at {size}"
        assert bar["height"] <= (height / 4 if size == "phone" else 90), f"{step} at {size}"
        assert box["y"] >= bar["y"], f"{step} at {size}"
        page.get_by_role("link", name="Fervens, to the day").click()
        page.get_by_role("heading", name="Today").wait_for()


def test_keys_work_after_a_click_and_can_be_switched_off(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("button", name="Who did what").click()
    page.get_by_role("button", name="Close").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_role("button", name="Who did what").focus()  # where a click leaves it
    page.keyboard.press("2")
    expect(page.get_by_role("heading", name="High back", exact=True)).to_be_visible()
    page.get_by_role("button", name="Close").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_role("button", name="Keys off").click()
    page.keyboard.press("2")
    page.wait_for_timeout(800)
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.reload()
    page.get_by_role("button", name="Keys on").wait_for()
    page.keyboard.press("1")
    page.wait_for_timeout(800)
    expect(page.get_by_role("dialog")).to_have_count(0)


def test_a_space_on_a_button_is_that_buttons(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("button", name="Who did what").wait_for()
    service = Service.objects.get(client__name="Ilse Varga")
    acts = service.events.count()
    page.get_by_role("button", name="Who did what").focus()
    page.keyboard.press(" ")
    expect(page.get_by_role("heading", name="Who did what")).to_be_visible()
    assert service.events.count() == acts


def test_zones_past_nine_are_opened_by_two_digits(signed_in):
    page = signed_in
    begin(page, "The whole head", seed=2)
    to_chair(page)
    lanes = page.locator(".lane-strip")
    expect(lanes).to_have_count(12)
    names = [x.get_attribute("aria-label").split(":")[0] for x in lanes.all()]
    page.keyboard.press("1")
    page.keyboard.press("2")
    expect(page.get_by_role("heading", name=names[11], exact=True)).to_be_visible()
    page.get_by_role("button", name="Close").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.keyboard.press("1")
    expect(page.get_by_role("heading", name=names[0], exact=True)).to_be_visible()


def test_a_new_service_opens_on_the_name(signed_in):
    page = signed_in
    page.get_by_role("button", name="New service").click()
    expect(page.get_by_label("Name", exact=True)).to_be_focused()
    page.keyboard.type("Hedda")
    expect(page.get_by_role("button", name="Add “Hedda” and start")).to_be_visible()
