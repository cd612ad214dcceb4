"""Review and tone in the browser: three undertones, three formulas; a strand that moves its lane; lightened again."""

import re

import numpy as np
from django.utils import timezone
from playwright.sync_api import expect

from apps.services import loading
from apps.services.models import Service
from apps.shelf.queries import toners
from fervens_core.basin import read_zones
from fervens_core.basin.parts import wishes_of
from fervens_core.colour import delta_e_2000
from fervens_core.head import Tone
from fervens_core.toning import all_formulas, goal_of, match

from .conftest import open_service
from .test_walk import pick_level


def nearest_of_any_single_formula(name):
    """How near to their own wishes any one formula of the shelf would bring the parts of a client's head."""
    row = loading.with_parts(Service.objects.filter(client__name=name)).get()
    there = loading.chair(loading.load(row), timezone.now())
    reads = read_zones(there)
    wishes = wishes_of(there, reads, Tone(row.tone))
    found = []
    for formula in all_formulas(tuple(t for t in toners(row.studio_id) if t.is_oxidative)):
        matches = [match(r.result, formula, goal_of(r.result, wishes[r.lane.key])) for r in reads]
        if any(m.is_too_dark for m in matches):
            continue
        labs = zip(matches, (wishes[r.lane.key].wanted for r in reads), strict=True)
        found.append(float(np.mean([delta_e_2000(np.array(m.lab), wanted) for m, wanted in labs])))
    return min(found)


def bowls_of(page):
    return page.get_by_role("region", name=re.compile("one rinse")).get_by_role("listitem").filter(has_text="label")


def test_three_undertones_leave_with_their_own_bowls_all_on_in_one_go_and_one_rinse(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    expect(page.get_by_role("article", name="High back")).to_contain_text("Yellow-orange at 7: blue-violet")
    expect(page.get_by_role("article", name="Crown")).to_contain_text("Orange at 6: blue")
    expect(page.get_by_role("article", name="Crown")).to_contain_text("levels darker than most of the head")
    page.get_by_role("button", name="To the tone").click()
    bowls = bowls_of(page)
    expect(bowls.nth(1)).to_be_visible()
    count = bowls.count()
    assert 2 <= count <= 3
    said = page.get_by_text(re.compile(r"difference [\d.]+ from the wishes")).inner_text()
    difference = float(re.search(r"difference ([\d.]+)", said)[1])
    assert difference < nearest_of_any_single_formula("Sanna Quill")

    page.get_by_role("radio", name="One bowl").click()
    expect(bowls).to_have_count(1)
    page.get_by_role("radio", name="At most 3 bowls").click()
    expect(bowls).to_have_count(count)

    # each bowl on all its parts in one act, the second with an exception
    acts = page.get_by_role("region", name="Next")
    for number in range(1, count + 1):
        acts.get_by_role("button", name=f"Bowl {number} is on").click()
        expect(acts.get_by_role("button", name=f"Bowl {number} is on")).to_have_count(0)
    expect(page.get_by_text("Toner on 7 of 7")).to_be_visible()
    acts.get_by_role("button", name="Emulsified").click()
    expect(page.get_by_role("status").filter(has_text="Emulsified: 7 parts")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Rinse all 7 parts")).click()
    expect(page.get_by_text("Nothing on the hair; nothing left to tone.")).to_be_visible()
    # the log takes one act for all of it, and takes it back as one
    page.get_by_role("button", name="Undo").first.click()
    expect(page.get_by_text("Toner on 7 of 7")).to_be_visible()
    page.get_by_role("button", name=re.compile("^Rinse all 7 parts")).click()
    expect(page.get_by_text("Nothing on the hair; nothing left to tone.")).to_be_visible()

    page.get_by_role("link", name="To the record").click()
    toner = page.get_by_role("region", name="Toner", exact=True)
    expect(toner).to_contain_text(re.compile(r"Difference [\d.]+ from the wishes"))
    lines = toner.get_by_role("listitem").filter(has_text="rinsed")
    expect(lines).to_have_count(count)
    rinses = {re.search(r"rinsed ([\d:]+)$", text)[1] for text in lines.all_inner_texts()}
    assert len(rinses) == 1


def test_a_bowl_is_not_on_a_part_that_was_left_out(signed_in):
    page = signed_in
    open_service(page, "Sanna Quill", "review")
    page.get_by_role("button", name="To the tone").click()
    page.wait_for_url("**/tone")
    acts = page.get_by_role("region", name="Next")
    acts.get_by_role("button", name="not all of them").click()
    parts = page.get_by_role("group", name="Which parts").get_by_role("button")
    left_out = parts.last.inner_text()
    parts.last.click()
    acts.get_by_role("button", name=re.compile(r"Bowl 1 is on: \d of \d")).click()
    expect(page.get_by_role("article", name=left_out, exact=True).get_by_role("timer")).to_have_count(0)
    expect(page.get_by_role("article").get_by_role("timer").first).to_be_visible()


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
    page.get_by_role("button", name=re.compile(r"^Dye at")).last.click()  # its sheet closes by itself
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(lane).to_contain_text("ready")
    for _ in range(50):
        if seconds() < before - 60:
            break
        page.wait_for_timeout(100)
    assert seconds() < before - 60  # deeper than expected: this hair takes more and is ready sooner
    lane.get_by_role("button", name="Strand").click()
    expect(page.get_by_text("One strand rinsed: this hair takes")).to_be_visible()
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
    expect(clocks).to_have_count(6)
    page.get_by_role("article", name="Low back", exact=True).get_by_role("button", name="Rinsed").click()
    expect(clocks).to_have_count(5)
    page.get_by_role("button", name="Undo").first.click()
    expect(clocks).to_have_count(6)


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
    wishes = page.get_by_role("group", name="Wishes").get_by_role("button")
    expect(wishes.first).to_be_visible()
    wishes.first.click()
    page.get_by_role("button", name="beige at 6.5").click()
    expect(page.get_by_role("button", name=re.compile("^beige 6.5"))).to_be_visible()
    # one wish for a part alone leaves the others theirs
    page.get_by_role("button", name=re.compile("^beige 6.5")).click()
    parts = page.get_by_role("dialog").get_by_role("group", name=re.compile("^For "))
    for name in parts.get_by_role("button", pressed=True).all_inner_texts():
        if name != "Crown":
            parts.get_by_role("button", name=name, exact=True).click()
    if parts.get_by_role("button", pressed=True).count() == 0:
        parts.get_by_role("button", name="Crown", exact=True).click()
    page.get_by_role("button", name="cool at 6", exact=True).click()
    expect(page.get_by_role("button", name=re.compile("^cool 6 ?Crown"))).to_be_visible()
    page.get_by_role("button", name="Root shadow").click()
    page.get_by_role("button", name="Plan the shadow").click()
    expect(page.get_by_role("article", name="Nape, root shadow")).to_be_visible()
    expect(page.get_by_role("img", name="The meeting line from the scalp down").first).to_be_visible()
    page.get_by_role("button", name="Own formula").click()
    page.get_by_label("Shade").select_option(label="Pewter 8")
    expect(page.get_by_text(re.compile("Pewter 8: difference"))).to_be_visible()
    page.get_by_role("button", name=re.compile("^Plan it on these")).click()
    expect(page.get_by_text("own formula ·")).to_be_visible()


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
