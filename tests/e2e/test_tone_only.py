"""A service that only tones, in the browser: told in a few taps, and never past a plan or a chair."""

import re

from playwright.sync_api import expect

from .conftest import pick
from .test_tone_session import moved_on


def read(page, names, level):
    zones = page.get_by_role("group", name="Zones")
    for name in names:
        zones.get_by_role("button", name=re.compile(f"^{name}")).click()
    pick(page.get_by_role("radio", name=level, exact=True).first)
    for name in names:
        zones.get_by_role("button", name=re.compile(f"^{name}")).click()


def test_brassy_stripes_go_from_the_consultation_to_the_filed_record(signed_in):
    page = signed_in
    page.get_by_role("button", name="New service").first.click()
    page.get_by_label("Name", exact=True).fill("Rosa Lintel")
    page.get_by_role("button", name="Add “Rosa Lintel” and start").click()
    page.get_by_role("heading", name="The head", exact=True).wait_for()
    pick(page.get_by_role("radio", name="Tone only"))
    expect(page.get_by_role("navigation", name="Steps of this service").get_by_role("listitem")).to_have_count(3)
    read(page, ["Crown", "High back"], "8")
    read(page, ["Top"], "6")
    expect(page.get_by_role("heading", name="Tone today")).to_be_visible()
    expect(page.get_by_text("Level wanted")).to_have_count(0)
    while page.get_by_role("button", name="I have seen to it").count():
        left = page.get_by_role("button", name="I have seen to it").count()
        page.get_by_role("button", name="I have seen to it").first.click()
        expect(page.get_by_role("button", name="I have seen to it")).to_have_count(left - 1)
    page.get_by_role("button", name="To the tone").click()
    page.wait_for_url("**/tone")
    expect(page.get_by_role("article")).to_have_count(3)
    # nobody has read a patch test: pigment only, and it is mixed with nothing
    expect(page.get_by_text("no developer").first).to_be_visible()
    on = page.get_by_role("region", name="Next").get_by_role("button", name=re.compile(r"^Bowl \d is on$"))
    while on.count():
        before = page.get_by_role("region", name="Next").get_by_role("heading").inner_text()
        on.click()
        moved_on(page, before)
    expect(page.get_by_role("article").get_by_role("timer")).to_have_count(3)
    for name in ("Crown", "High back", "Top"):
        lane = page.get_by_role("article", name=name, exact=True)
        lane.get_by_role("button", name="Rinsed").click()
        expect(lane).to_contain_text("rinsed")
    page.get_by_role("link", name="To the record").click()
    page.wait_for_url("**/record")
    page.get_by_role("button", name="File the service").click()
    expect(page.get_by_text("the tone is refreshed").first).to_be_visible()


def test_the_kind_can_be_taken_back_before_it_is_finished(signed_in):
    page = signed_in
    page.get_by_role("button", name="New service").first.click()
    page.get_by_label("Name", exact=True).fill("Rosa Lintel")
    page.get_by_role("button", name="Add “Rosa Lintel” and start").click()
    pick(page.get_by_role("radio", name="Tone only"))
    steps = page.get_by_role("navigation", name="Steps of this service").get_by_role("listitem")
    expect(steps).to_have_count(3)
    page.get_by_role("button", name="Undo").click()
    expect(steps).to_have_count(6)
    expect(page.get_by_role("button", name="Plan it")).to_be_visible()
