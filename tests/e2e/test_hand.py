"""What a hand can do by mistake, and must not: notices in the way, keys that are meant for something else."""

from __future__ import annotations

import datetime as dt
import re

import pytest
from django.db.models import F
from playwright.sync_api import TimeoutError, expect

from apps.services.models import Service

from .conftest import kept, open_service
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
        ("Tobias Renn", "record"),
    ):
        open_service(page, client, "tone" if step == "record" else step)
        if step == "record":
            page.get_by_role("link", name="To the record").click()
            page.wait_for_url("**/record")
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
    page.get_by_role("button", name="Over time").click()
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


def arrive(page) -> None:
    """A new client's consultation, by name and Enter."""
    page.get_by_role("button", name="New service").click()
    expect(page.get_by_label("Name", exact=True)).to_be_focused()
    page.keyboard.type("Hedda Lark")
    page.keyboard.press("Enter")
    page.get_by_role("heading", name="The head", exact=True).wait_for()


def has_focus(page) -> bool:
    """Something on the page has it and keeps it, not the page's body."""
    held = "() => document.activeElement !== document.body && document.activeElement !== null"
    try:  # given back once a sheet has gone: later on a loaded machine
        page.wait_for_function(held, timeout=3_000)
    except TimeoutError:
        return False
    page.wait_for_timeout(250)
    return page.evaluate(held)


def test_the_focus_is_never_lost(signed_in):
    page = signed_in
    page.get_by_role("button", name="New service").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_label("Name", exact=True)).to_be_focused()
    page.keyboard.press("Escape")
    expect(page.get_by_role("dialog")).to_have_count(0)
    assert has_focus(page), "Escape"
    page.keyboard.press("Enter")
    expect(page.get_by_label("Name", exact=True)).to_be_focused()
    page.keyboard.type("Hedda Lark")
    page.keyboard.press("Enter")
    page.get_by_role("heading", name="The head", exact=True).wait_for()
    assert has_focus(page), "starting"
    page.get_by_label("Read the head in one typed line").fill("all 5 to 8")
    page.keyboard.press("Enter")
    expect(page.get_by_label("Read the head in one typed line")).to_have_value("")
    kept(page)
    seen = page.get_by_role("button", name="I have seen to it")
    seen.focus()
    page.keyboard.press("Enter")
    expect(seen).to_have_count(0)
    assert has_focus(page), "acknowledging"
    expect(page.get_by_role("button", name="Plan it")).to_be_enabled()
    page.get_by_role("button", name="Plan it").focus()
    page.keyboard.press("Enter")
    page.get_by_role("heading", name="Mixing list").wait_for()
    assert has_focus(page), "changing step"
    page.get_by_role("button", name="To the chair").focus()
    page.keyboard.press("Enter")
    act = page.get_by_role("region", name="Next", exact=True)
    for done in ("^Mixed", "^Last section on"):
        button = act.get_by_role("button", name=re.compile(done))
        button.focus()
        page.keyboard.press("Enter")
        expect(button).to_have_count(0) if done == "^Mixed" else page.wait_for_timeout(500)
        assert has_focus(page), done


def test_a_key_that_is_held_down_acts_once(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    service = Service.objects.get(client__name="Ilse Varga")
    act = page.get_by_role("region", name="Next", exact=True)
    act.get_by_role("button").first.wait_for()
    acts = service.events.count()
    free(page)
    held(page, " ")  # nothing is due yet: the space is the page's
    assert service.events.count() == acts
    service.events.update(occurred_at=F("occurred_at") - dt.timedelta(minutes=4))
    page.wait_for_timeout(1_500)
    page.reload()
    expect(
        act.locator("xpath=self::*[contains(@class, 'outline-signal') or contains(@class, '!bg-stop')]")
    ).to_be_visible()
    free(page)
    held(page, " ")
    assert service.events.count() == acts + 1
    page.get_by_role("button", name="Keys off").focus()
    held(page, "Enter")  # twenty turns would leave it as it was
    expect(page.get_by_role("button", name="Keys on")).to_be_visible()


def free(page) -> None:
    """The focus on nothing, as after a click beside everything."""
    page.mouse.click(700, 130)
    page.evaluate("() => document.activeElement?.blur()")


def held(page, key: str) -> None:
    """A key held down for two seconds: the second and later ones are repeats."""
    for _ in range(20):
        page.keyboard.down(key)
        page.wait_for_timeout(100)
    page.keyboard.up(key)
    page.wait_for_timeout(500)


def test_the_first_swatch_is_reached_by_few_keys(signed_in):
    page = signed_in
    arrive(page)
    assert has_focus(page)
    keys = 0
    while keys < 10 and not page.evaluate("document.activeElement.textContent.trim() === 'All'"):
        page.keyboard.press("Tab")
        keys += 1
    page.keyboard.press("Enter")
    expect(page.get_by_role("group", name="Level now").get_by_role("radio").first).to_be_focused()
    assert keys + 1 < 10
    page.keyboard.press("ArrowRight")
    expect(page.get_by_role("group", name="Zones").get_by_role("button").first).to_contain_text("1.5")


def test_lists_obey_arrows(signed_in):
    page = signed_in
    open_service(page, "Casimir Holt", "consultation")
    zones = page.get_by_role("group", name="Zones").get_by_role("button")
    zones.first.focus()
    page.keyboard.press("ArrowRight")
    expect(zones.nth(1)).to_be_focused()
    page.keyboard.press("End")
    expect(zones.last).to_be_focused()
    page.keyboard.press("Tab")
    expect(zones.last).not_to_be_focused()
    assert not page.evaluate("document.activeElement.closest('[aria-label=Zones]')")  # one stop of the Tab key


@pytest.mark.parametrize("step", ["consultation", "plan", "chair", "review", "tone"])
@pytest.mark.parametrize(("width", "height"), [(640, 400), (390, 844)])
def test_nothing_is_cut_off_where_there_is_little_room(signed_in, step, width, height):
    page = signed_in
    client = {"consultation": "Casimir Holt", "plan": "Wren Adair", "chair": "Ilse Varga", "review": "Sanna Quill"}
    open_service(page, client.get(step, "Tobias Renn"), step)
    page.set_viewport_size({"width": width, "height": height})
    page.get_by_role("main").wait_for()
    page.wait_for_timeout(400)
    assert page.evaluate("document.documentElement.scrollWidth") <= width
    fixed = page.evaluate(
        """() => [...document.querySelectorAll('*')]
          .filter((e) => ['fixed', 'sticky'].includes(getComputedStyle(e).position))
          .reduce((sum, e) => sum + Math.min(e.getBoundingClientRect().height, innerHeight), 0)"""
    )
    assert fixed < height / 2, "more than half of the height is content"
    cut = page.evaluate(
        """() => [...document.querySelectorAll('button, a')]
          .filter((e) => e.getClientRects().length && !e.closest('[tabindex="0"]') && !e.classList.contains('sr-only'))
          .filter((e) => e.getBoundingClientRect().right > innerWidth + 1 || e.getBoundingClientRect().left < -1)
          .map((e) => e.textContent.trim())"""
    )
    assert cut == []


def test_the_mixing_list_on_a_phone_is_cards(signed_in):
    page = signed_in
    page.set_viewport_size({"width": 390, "height": 844})
    open_service(page, "Wren Adair", "plan")
    table = page.get_by_role("region", name="Mixing list table")
    table.wait_for()
    assert table.evaluate("e => e.scrollWidth <= e.clientWidth")
    weigh = table.get_by_role("button").first.bounding_box()
    assert weigh["height"] >= 48


@pytest.mark.parametrize("size", SIZES)
def test_ticks_of_levels_never_overprint(signed_in, size):
    page = signed_in
    width, height = SIZES[size]
    page.set_viewport_size({"width": width, "height": height})
    open_service(page, "Wren Adair", "plan")
    page.locator("[data-tick]").first.wait_for()
    page.wait_for_timeout(500)
    over = page.evaluate(
        """() => [...document.querySelectorAll('.strip')].flatMap((strip) => {
          const boxes = [...strip.querySelectorAll('[data-tick]')].map((e) => e.getBoundingClientRect())
          boxes.sort((a, b) => a.left - b.left)
          return boxes.slice(1).filter((b, i) => b.left < boxes[i].right - 0.5).map((b) => b.left)
        })"""
    )
    assert page.evaluate("document.querySelectorAll('.strip [data-tick]').length") > 5
    assert over == []


def test_a_sheet_opened_to_read_does_not_shout_rinsed(signed_in):
    page = signed_in
    begin(page, "The whole head", seed=2)
    to_chair(page)
    act = page.get_by_role("region", name="Next", exact=True)
    for done in ("^Mixed", "^Last section on"):
        act.get_by_role("button", name=re.compile(done)).click()
    page.get_by_role("button", name="Who did what").wait_for()
    page.wait_for_timeout(500)
    page.get_by_role("region", name="Zones on the head").get_by_role("button", name=re.compile("^1 ")).click()
    rinsed = page.get_by_role("dialog").get_by_role("button", name=re.compile("^(Rinsed|Wiped out)")).first
    expect(rinsed).not_to_have_class(re.compile("btn-act|btn-stop"))


def test_the_strand_bench_calls_and_asks_before_it_reads_past_the_label(signed_in):
    page = signed_in
    arrive(page)
    page.goto(page.url.replace("/consultation", "/strands"))
    page.get_by_role("button", name="Add the first strand").click()
    page.get_by_role("button", name="Add a strand").click()
    for card in page.get_by_role("article").all():
        card.get_by_role("button", name="Product is on").click()
    first = page.get_by_role("article", name="Strand A")
    expect(first).to_contain_text(re.compile(r"Next look in (10|9):\d\d"))
    expect(page.get_by_role("status").filter(has_text="Kept")).to_be_visible()
    axes = page.evaluate(
        """() => [...document.querySelectorAll('article svg[role=img]')]
          .map((svg) => [...svg.querySelectorAll('text')].map((t) => t.textContent.trim()).join(' '))"""
    )
    assert len(axes) == 2
    assert axes[0] == axes[1]
    first.get_by_role("button", name="Read it").click()
    minutes = page.get_by_label("Minutes in", exact=True)
    minutes.fill("62")
    minutes.press("Enter")
    pick_level(page, "Tap the swatch that matches", "7")
    asked = page.get_by_role("alert").filter(has_text="is past its label")
    expect(asked).to_be_visible()
    asked.get_by_role("button", name="Leave it").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(first).not_to_contain_text("at 62 min")
    first.get_by_role("button", name="Read it").click()
    minutes.fill("62")
    minutes.press("Enter")
    pick_level(page, "Tap the swatch that matches", "7")
    asked.get_by_role("button", name="Note 7 all the same").click()
    expect(first).to_contain_text("yellow-orange, at 62 min")


def test_settings_that_may_not_be_changed_do_not_look_as_if_they_could(device):
    page = device("juno")
    page.get_by_role("link", name="Studio").click()
    page.get_by_text("Only an owner changes these.").wait_for()
    field = page.get_by_label("Pace, minutes a section")
    expect(field).to_be_disabled()
    assert field.evaluate("e => getComputedStyle(e).backgroundColor") == "rgba(0, 0, 0, 0)"
    expect(page.get_by_role("button", name="Keep", exact=True)).to_have_count(0)


def test_on_a_phone_the_next_visit_is_at_the_top_of_the_record(signed_in):
    page = signed_in
    page.set_viewport_size({"width": 390, "height": 844})
    page.get_by_role("region", name="Filed").get_by_role("link").first.click()
    page.wait_for_url("**/record")
    heading = page.get_by_role("heading", name="Next visit")
    expect(heading).to_be_in_viewport()
    page.get_by_role("button", name="Book the next visit").click()
    expect(page.get_by_label("Day", exact=True)).to_be_focused()
    expect(page.get_by_role("button", name="Book it", exact=True)).to_be_in_viewport(ratio=1)


@pytest.mark.parametrize("size", SIZES)
def test_what_the_record_says_stands_in_its_bar(signed_in, size):
    page = signed_in
    width, height = SIZES[size]
    page.set_viewport_size({"width": width, "height": height})
    page.get_by_role("region", name="Filed").get_by_role("link").first.click()
    page.wait_for_url("**/record")
    page.get_by_role("button", name="Book the next visit").wait_for()
    bar = page.locator("main > div.fixed.bottom-0")
    before = bar.bounding_box()
    page.get_by_role("button", name="Book it", exact=True).click()
    said = page.get_by_role("status").filter(has_text="Booked for")
    expect(said).to_be_visible()
    page.get_by_role("link", name="To the day", exact=True).wait_for()
    after, words = bar.bounding_box(), said.bounding_box()
    assert after["y"] == pytest.approx(before["y"], abs=1)  # it does not grow over what stands above it
    assert words["y"] >= after["y"]
    assert words["x"] + words["width"] <= width + 1
    said.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("button", name=re.compile("^Booked: "))).to_have_count(0)


def test_a_service_with_toner_on_is_not_filed_and_loses_nothing(signed_in):
    page = signed_in
    page.set_viewport_size({"width": 390, "height": 844})
    open_service(page, "Tobias Renn", "tone")
    page.get_by_role("link", name="To the record").click()
    page.get_by_label("Two things that worked").fill("Steady hands")
    page.get_by_role("button", name="File the service").click()
    said = page.get_by_role("status").filter(has_text="Toner still on")
    expect(said).to_be_visible()
    assert said.evaluate("e => e.scrollHeight <= e.clientHeight + 1")  # told whole
    page.get_by_role("navigation", name="Steps of this service").get_by_role("link", name="Tone").click()
    page.get_by_role("link", name="To the record").click()
    expect(page.get_by_label("Two things that worked")).to_have_value("Steady hands")
