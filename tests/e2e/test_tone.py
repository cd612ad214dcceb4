"""Review and tone in the browser: three undertones, three formulas; a strand that moves its lane; lightened again."""

import re

from django.utils import timezone
from playwright.sync_api import expect

from apps.services import loading
from apps.services.models import Service
from apps.shelf.queries import toners
from fervens_core.basin import read_zones
from fervens_core.basin.parts import wish_of
from fervens_core.head import Tone
from fervens_core.toning import Bowl, all_formulas, goal_of, match, toning_plan_of

from .conftest import open_service
from .test_walk import pick_level


def least_spread_of_any_single_formula(name):
    """How near to one another any one formula of the shelf would leave the zones of a client's head."""
    row = loading.with_parts(Service.objects.filter(client__name=name)).get()
    there = loading.chair(loading.load(row), timezone.now())
    reads = read_zones(there)
    wished = wish_of(there, reads, Tone(row.tone)).wanted
    found = []
    for formula in all_formulas(tuple(t for t in toners(row.studio_id) if t.is_oxidative)):
        matches = {r.lane.key: match(r.result, formula, goal_of(r.result, wished)) for r in reads}
        found.append(toning_plan_of((Bowl(formula, matches),), wished).spread)
    return min(found)


def test_three_undertones_leave_with_three_formulas_nearer_than_any_one(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    expect(page.get_by_role("article", name="Low back")).to_contain_text("Yellow at 8: violet")
    expect(page.get_by_role("article", name="High back")).to_contain_text("Yellow-orange at 7: blue-violet")
    expect(page.get_by_role("article", name="Crown")).to_contain_text("Orange at 6: blue")
    expect(page.get_by_role("article", name="Crown")).to_contain_text("2.0 levels darker than most of the head")
    page.get_by_role("button", name="To the tone").click()
    bowls = page.get_by_role("region", name="Bowls").get_by_role("listitem").filter(has_text="label")
    expect(bowls).to_have_count(3)
    single = least_spread_of_any_single_formula("Sanna Quill")

    page.get_by_role("radio", name="At most 1 bowls").click()
    expect(bowls).to_have_count(1)
    page.get_by_role("radio", name="At most 3 bowls").click()
    expect(bowls).to_have_count(3)
    minutes = {}
    lanes = page.get_by_role("article")
    for i in range(lanes.count()):
        name = lanes.nth(i).get_attribute("aria-label")
        minutes[name] = int(re.search(r"(\d+) min", lanes.nth(i).inner_text())[1])
    for name in minutes:
        lane = page.get_by_role("article", name=name, exact=True)
        lane.get_by_role("button", name=re.compile(r"Bowl \d is on")).click()
        expect(lane.get_by_role("timer")).to_be_visible()
    expect(page.get_by_text("Toner on 7 of 7")).to_be_visible()
    for name in minutes:
        lane = page.get_by_role("article", name=name, exact=True)
        lane.get_by_role("button", name="Rinsed").click()
        expect(lane).to_contain_text("rinsed")
    page.get_by_role("link", name="To the record").click()
    toner = page.get_by_role("region", name="Toner", exact=True)
    expect(toner).to_contain_text(re.compile(r"Zones ended [\d.]+ apart"))
    lines = toner.get_by_role("listitem").filter(has_text="on at").all_inner_texts()
    names = {re.search(r", at [\d.]+: (.*?),", text)[1] for text in lines}
    assert len(names) == 3
    expect(toner).to_contain_text("Orange at 6: blue")
    assert single > 0.0


def test_what_was_planned_ends_nearer_than_any_single_formula(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    page.get_by_role("button", name="To the tone").click()
    text = page.get_by_text(re.compile(r"Zones end [\d.]+ apart"))
    text.wait_for()
    apart = float(re.search(r"Zones end ([\d.]+) apart", text.inner_text())[1])
    assert apart < least_spread_of_any_single_formula("Sanna Quill")


def test_a_rinsed_strand_moves_the_lane_and_pulling_back_goes_on(signed_in):
    page = signed_in
    open_service(page, "Tobias Renn", "tone")
    lane = page.get_by_role("article", name="Low back", exact=True)

    def seconds():
        minutes, rest = lane.get_by_role("timer").inner_text().lstrip("+").split(":")
        return int(minutes) * 60 + int(rest)

    lane.get_by_role("timer").wait_for()
    before = seconds()
    lane.get_by_role("button", name="Strand").click()
    page.get_by_role("button", name=re.compile(r"^Dye at")).last.click()
    expect(page.get_by_text("One strand rinsed: this hair takes")).to_be_visible()
    page.get_by_role("button", name="Close").click()
    expect(lane).to_contain_text("ready")
    after = seconds()
    assert after < before - 60  # deeper than expected: this hair takes more and is ready sooner
    lane.get_by_role("button", name="Strand").click()
    page.get_by_role("button", name=re.compile("min in all")).first.click()
    expect(page.get_by_role("status").filter(has_text="pulled back over")).to_be_visible()
    page.get_by_role("button", name="Undo").first.click()


def test_toner_that_is_on_stands_on_the_chairs_board_as_well(signed_in):
    page = signed_in
    open_service(page, "Tobias Renn", "tone")
    page.get_by_role("article", name="Low back", exact=True).wait_for()
    page.get_by_role("link", name="Chair").click()
    page.get_by_role("heading", name="At the basin").wait_for()
    clocks = page.get_by_role("article").get_by_role("timer")
    expect(clocks).to_have_count(3)
    first = page.get_by_role("region", name="Next")
    expect(first.get_by_role("heading", name=re.compile("^Tone: "))).to_be_visible()
    page.get_by_role("article", name="Low back", exact=True).get_by_role("button", name="Rinsed").click()
    expect(clocks).to_have_count(2)
    page.get_by_role("button", name="Undo").first.click()
    expect(clocks).to_have_count(3)


def test_lightened_again_today_from_the_review(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    page.get_by_role("article", name="Top").get_by_role("radio", name="Another visit").click()
    page.get_by_role("article", name="High back").get_by_role("radio", name="Tone it now").click()
    page.get_by_role("button", name=re.compile("Lighten again")).click()
    page.get_by_role("img", name=re.compile("^Crown again: ")).wait_for()
    expect(page.get_by_role("heading", name=re.compile("Crown again"))).to_be_visible()


def test_the_wish_is_picked_from_the_painted_scale_and_a_shadow_planned(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    page.get_by_role("button", name="To the tone").click()
    page.get_by_role("button", name=re.compile("^Wanted:")).click()
    page.get_by_role("button", name="beige at 6.5").click()
    expect(page.get_by_role("button", name=re.compile("^Wanted:"))).to_contain_text("Wanted: beige, 6.5")
    page.get_by_role("button", name="Root shadow").click()
    page.get_by_role("button", name="Plan the shadow").click()
    expect(page.get_by_role("article", name="Nape, root shadow")).to_be_visible()
    expect(page.get_by_role("img", name="The meeting line from the scalp down").first).to_be_visible()
    page.get_by_role("button", name="Own formula").click()
    page.get_by_label("Shade").select_option(label="Pewter 8")
    expect(page.get_by_text(re.compile("Pewter 8: zones end"))).to_be_visible()


def test_the_probe_moves_the_formula(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    page.get_by_role("article", name="Nape").get_by_role("button", name="read again").click()
    pick_level(page, "Tap the swatch that matches", "8.5")
    expect(page.get_by_role("status").filter(has_text="Nape read at 8.5")).to_be_visible()
    page.get_by_role("button", name="To the tone").click()
    page.get_by_role("button", name="Nape", exact=True).click()
    page.locator("label").filter(has_text="Grabbed").click()
    expect(page.get_by_text("Before the probe:").last).to_be_visible()
