"""A tone session in the browser: case 28 of a master's, and how many acts it takes."""

import json
import re

from playwright.sync_api import expect

from .test_told_as_it_is import take_on_cautions

NAMES = ("Low back", "High back", "Crown", "Left side", "Right side", "Top", "Left back", "Right back")


def long_head():
    """Case 28 as a file: eight zones in three parts, five of them at 9 and three at 7.5, only to be toned."""
    zones = []
    for i, name in enumerate(NAMES):
        own = {"start_level": 9.0 if i < 5 else 7.5, "history": "lightened"}
        ends = own | {"from_mm": 200.0, "porosity": "high"}
        key = name.lower().replace(" ", "_")
        parts = [own | {"to_mm": 30.0}, ends]
        zones.append(own | {"key": key, "name": name, "target_level": own["start_level"], "parts": parts})
    findings = {"patch_test": "negative", "patch_test_age_h": 60, "age_years": 31, "reacts_to_oxidative": False}
    return {
        "format": "fervens-service",
        "version": 4,
        "client": "Hedda Lark",
        "kind": "tone_only",
        "tone": "cool",
        "findings": findings,
        "zones": zones,
    }


def moved_on(page, before):
    """The next act is another one, or there is none."""
    page.wait_for_function(
        "before => document.querySelector('[aria-label=Next] h2')?.textContent.trim() !== before", arg=before
    )


def test_a_long_head_of_24_parts_is_on_in_four_acts_and_rinsed_in_eight(signed_in, tmp_path):
    page = signed_in
    path = tmp_path / "hedda.json"
    path.write_text(json.dumps(long_head()))
    page.get_by_label("Take a file in").set_input_files(path)
    page.wait_for_url("**/services/*/consultation")
    take_on_cautions(page)
    page.get_by_role("button", name="To the tone").click()
    page.wait_for_url("**/tone")
    expect(page.get_by_role("article")).to_have_count(24)
    count = 24
    acts = page.get_by_role("region", name="Next").first
    taps = {"on": 0, "rinsed": 0}
    done = re.compile(r"^(Bowl \d is on|Emulsified|Look at it|Rinsed|Rinsed all)$")
    for _ in range(12):
        if page.get_by_text("Nothing on the hair; nothing left to tone.").count():
            break
        button = acts.get_by_role("button", name=done)
        text = button.inner_text()
        taps["rinsed"] += 1
        if text.startswith("Bowl"):
            taps["on"] = taps["rinsed"]
        before = acts.get_by_role("heading").inner_text()
        button.click()
        if text == "Look at it":
            page.get_by_role("button", name="As expected by now").click()
            page.get_by_role("button", name="Close").click()
        moved_on(page, before)
    expect(page.get_by_text("Nothing on the hair; nothing left to tone.")).to_be_visible()
    assert taps["on"] <= 4
    assert taps["rinsed"] <= 8
    assert page.get_by_role("article").filter(has_text="rinsed").count() == count
