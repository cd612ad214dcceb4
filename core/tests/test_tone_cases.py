"""Heads a master would tone so: cases 21 to 30, on the core and through the command; common practice, no source."""

import itertools
import json
from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from fervens_cli.__main__ import main
from told import refused, told

from fervens_core.base import LimitError, read
from fervens_core.basin.step import bowl_counts
from fervens_core.colour import chroma, delta_e_2000, hue_deg
from fervens_core.head import DyeFamily, DyeHue, Porosity, Tone, TonerShade
from fervens_core.toning import (
    Formula,
    Hand,
    Result,
    SessionPart,
    Wish,
    all_formulas,
    best_session,
    choose_session,
    goal_of,
    lay_out,
    needed_for,
    toned_lab,
)
from fervens_core.toning.session import BOWL_PRICES, CHANGE_PRICE, MINUTE_PRICE, WORST_SHARE

SHELF = tuple(
    read(TonerShade, t)
    for t in json.loads((Path(__file__).parents[2] / "demo" / "studio.json").read_text(encoding="utf-8"))["toners"]
)
LAID_OUT = lay_out(all_formulas(SHELF))


def part(key, level, tone, wished=None, *, start=4.0, hand=Hand.LENGTHS, minutes=1.5, hue=0.0, **more):
    result = Result(key, key, start, level, more.pop("porosity", Porosity.NORMAL))
    return SessionPart(key, result, Wish(tone, level if wished is None else wished, hue), hand, minutes, **more)


def session(*parts, shelf=LAID_OUT, **more):
    return best_session(choose_session(parts, shelf, **more))


@pytest.mark.parametrize("tone", [Tone.ICY, Tone.PEARL, Tone.COOL])
def test_21_pale_stays_pale_and_never_khaki(tone):
    found = session(*(part(f"z{i}", v, tone) for i, v in enumerate((9.5, 10.0, 10.0, 9.5))))
    assert [len(found.bowls), len(found.rinses)] == [1, 1]
    assert all(s.level >= 9.0 for f in found.bowls for s in f.shades)
    for tone_of in found.tones:
        lab = np.array(tone_of.lab)
        assert tone_of.levels_deeper <= 0.5
        assert 60.0 <= float(hue_deg(lab)) <= 86.0
        assert not (86.0 <= float(hue_deg(lab)) <= 95.0 and lab[0] < 72.0)


def test_22_bands_get_their_own_bowls_and_end_nearer_than_with_any_one():
    bands = [part(f"b{v}", v, Tone.NEUTRAL, w, alike="x") for v, w in ((8.0, 7.0), (7.0, 6.5), (6.0, 6.0))]
    found = session(*bands)
    assert 2 <= len(found.bowls) <= 3
    assert len(found.rinses) == 1
    one = choose_session(bands, LAID_OUT, most_bowls=1)[0]
    assert found.mean_delta_e < one.mean_delta_e
    lightest = found.by_key["b8.0"]
    assert lightest.levels_deeper <= 1.0


def test_23_a_wanted_contrast_is_kept():
    panels = [part(f"p{v}", v, Tone.BEIGE) for v in (7.5, 8.5, 9.0)]
    found = session(*panels)
    assert all(abs(t.levels_deeper) <= 0.5 for t in found.tones)
    assert all(t.wish_delta_e < 3.0 for t in found.tones)
    lightness = [found.by_key[p.key].lab[0] for p in panels]
    assert lightness == sorted(lightness)


def test_24_shadow_and_lengths_are_on_together_for_their_full_time_and_rinsed_together():
    shadow = part("crown~shadow", 9.0, Tone.COOL, 6.0, hand=Hand.FIRST, minutes=0.6, may_deepen=True)
    lengths = [part(k, 9.0, Tone.COOL) for k in ("crown", "top")]
    found = session(shadow, *lengths)
    assert [len(found.bowls), len(found.rinses)] == [2, 1]
    on = found.by_key["crown~shadow"]
    assert on.minutes >= 15.0
    assert all(found.by_key[p.key].minutes >= 15.0 for p in lengths)
    assert on.wish_delta_e < 5.0
    assert on.lab[0] < min(found.by_key[p.key].lab[0] for p in lengths) - 20.0


def test_25_a_wash_is_all_there_is_for_who_reacts():
    washes = lay_out(all_formulas(tuple(s for s in SHELF if not s.is_oxidative)))
    found = session(part("crown", 9.0, Tone.COOL), part("top", 9.5, Tone.COOL), shelf=washes)
    assert all(not f.is_oxidative and f.developer_volume is None for f in found.bowls)
    assert all(sum(f.split_g(30.0)[0]) <= 30.0 for f in found.bowls)


def test_27_copper_is_met_or_the_shade_is_named_and_pastels_need_pale_hair():
    found = session(part("c", 7.5, Tone.COPPER), part("r", 9.5, Tone.ROSE), part("p", 8.5, Tone.PASTEL, hue=245.0))
    for tone_of, result, wish in (
        (found.by_key["c"], Result("c", "c", 4.0, 7.5), Wish(Tone.COPPER, 7.5)),
        (found.by_key["r"], Result("r", "r", 4.0, 9.5), Wish(Tone.ROSE, 9.5)),
    ):
        needed = needed_for(result, wish)
        assert tone_of.wish_delta_e <= 5.0 or (needed.families and needed.level)
    pastel = needed_for(Result("p", "p", 4.0, 8.5), Wish(Tone.PASTEL, 8.5, 245.0))
    assert (pastel.families, pastel.says.code) == ((), "would_reach-lighter")
    # what is named is true: such a shade would bring it there
    rose = needed_for(Result("r", "r", 4.0, 9.5), Wish(Tone.ROSE, 9.5))
    share = 1.0 / len(rose.families)
    named = TonerShade("n", "N", rose.level, tuple((f, share) for f in rose.families), 20.0, rose.developer_parts, 7.0)
    labs = toned_lab(Result("r", "r", 4.0, 9.5), Formula((named,)), np.arange(2.0, 21.0))
    assert float(delta_e_2000(labs, Wish(Tone.ROSE, 9.5).wanted).min()) < 7.0


def test_28_a_long_head_of_24_parts_has_few_bowls_and_one_rinse():
    parts = [
        part(f"{z}.{name}", level, Tone.COOL, hand=hand, minutes=minutes, porosity=porosity)
        for z, level in enumerate((9.0,) * 5 + (7.5,) * 3)
        for name, hand, minutes, porosity in (
            ("root", Hand.FIRST, 0.65, Porosity.NORMAL),
            ("lengths", Hand.LENGTHS, 0.65, Porosity.NORMAL),
            ("ends", Hand.LAST, 0.35, Porosity.HIGH),
        )
    ]
    found = session(*parts)
    assert len(found.tones) == 24
    assert len(found.bowls) <= 2
    assert len(found.rinses) == 1
    # hands put a bowl down at most as often as the acts allow: all on in four
    runs = [b for b, _ in itertools.groupby(t.bowl for t in found.tones)]
    assert len(runs) <= 4
    assert all(not t.is_too_deep for t in found.tones)


def test_30_a_veil_is_put_back_deeper_on_the_same_board():
    found = session(*(part(f"side{i}", 9.0, Tone.NEUTRAL, 7.0) for i in range(2)))
    assert all(abs(t.levels_deeper) <= 0.5 for t in found.tones)
    assert all(t.wish_delta_e < 3.0 for t in found.tones)


# ---- what every session holds


def random_parts(random, count):
    hands = (Hand.FIRST, Hand.LENGTHS, Hand.LAST)
    return [
        part(
            f"z{i}", float(random.integers(12, 21)) / 2,
            random.choice([Tone.COOL, Tone.NEUTRAL, Tone.BEIGE, Tone.WARM]),
            hand=hands[int(random.integers(0, 3))], minutes=float(random.uniform(0.4, 2.0)),
            porosity=random.choice(list(Porosity)),
        )
        for i in range(count)
    ]  # fmt: skip


@pytest.mark.parametrize("seed", range(12))
def test_hands_do_one_part_after_another_and_no_label_is_passed(seed):
    random = np.random.default_rng(seed)
    parts = random_parts(random, int(random.integers(2, 9)))
    found = session(*parts)
    assert {t.key for t in found.tones} == {p.key for p in parts}
    by_key = {p.key: p for p in parts}
    for before, after in itertools.pairwise(found.tones):
        assert after.on_min - by_key[after.key].application_min >= before.on_min - 1e-6
    for tone_of in found.tones:
        formula = tone_of.formula
        assert formula.label_min_min - 1e-6 <= tone_of.minutes <= formula.label_max_min + 1e-6
        lab = toned_lab(by_key[tone_of.key].result, formula, tone_of.minutes)
        assert tone_of.lab == pytest.approx(tuple(lab.tolist()), abs=1e-6)
        goal = goal_of(by_key[tone_of.key].result, by_key[tone_of.key].wish)
        assert tone_of.delta_e == pytest.approx(float(delta_e_2000(lab, goal.colour)), abs=1e-6)
    assert len(found.rinses) <= 2


@pytest.mark.parametrize("label_max_min", [5.0, 8.0, 10.0, 14.0])
def test_hands_slower_than_a_label_tone_in_goes(label_max_min):
    """A short wash on a whole head: half of it goes on and is rinsed, then the other; no label is passed."""
    washes = tuple(
        replace(t, label_min_min=min(t.label_min_min, 2.0), label_max_min=label_max_min)
        for t in SHELF
        if not t.is_oxidative
    )
    parts = [part(f"z{i}", 8.0, Tone.NEUTRAL, minutes=1.7) for i in range(12)]
    found = session(*parts, shelf=lay_out(all_formulas(washes)))
    assert len(found.rinses) > 1
    assert [t.key for t in found.tones] == [p.key for p in parts]  # nobody is left out, hands keep their order
    for tone_of in found.tones:
        assert 0.0 < tone_of.minutes <= label_max_min + 1e-6
    for before, tone_of in itertools.pairwise(found.tones):
        assert tone_of.start_min >= before.on_min - 1e-6  # one pair of hands
        if tone_of.off_min > before.off_min:
            assert tone_of.start_min >= before.off_min - 1e-6  # the next go begins when the one before is out
    goes = [[t for t in found.tones if t.off_min == rinse] for rinse in found.rinses]
    assert max(map(len, goes)) - min(map(len, goes)) <= 1
    if label_max_min >= 8.0:
        assert len(found.rinses) <= 4


def test_what_a_bowl_less_gives_up_is_told_by_what_was_weighed():
    """Where a wish is out of reach the bowl farther from it may be nearer to what the hair can hold."""
    washes = lay_out(all_formulas(tuple(s for s in SHELF if not s.is_oxidative)))
    minutes = (1.28, 1.47, 0.92, 0.92, 1.28, 1.1, 1.1, 1.28, 0.73, 0.73, 0.55, 0.55)
    lengths = [part(f"l{i}", 8.0, Tone.ICY, start=8.0, minutes=m) for i, m in enumerate(minutes)]
    more = {"start": 9.0, "porosity": Porosity.HIGH, "hand": Hand.LAST}
    sessions = choose_session(
        [*lengths, *(part(f"e{i}", 9.0, Tone.ICY, minutes=m / 2, **more) for i, m in enumerate(minutes))], washes
    )
    one, two = bowl_counts(sessions)
    assert two.is_proposed
    assert one.mean_delta_e < two.mean_delta_e
    assert "farther" in told(one.gives_up)


def brute(parts, formulas):
    """The cheapest session by trying every formula for every part, every whole minute of one rinse, in this order."""
    takes = [p.application_min for p in parts]
    later = [sum(takes[i + 1 :]) for i in range(len(parts))]
    goals = [goal_of(p.result, p.wish) for p in parts]
    best = np.inf
    for last in np.arange(2.0, 21.0, 1.0):
        table = []
        for p, goal, wait in zip(parts, goals, later, strict=True):
            row = []
            for f in formulas:
                on = last + wait
                lab = toned_lab(p.result, f, on)
                cost = float(delta_e_2000(lab, goal.colour)) + 0.3 * max(0.0, 5.0 - on) + 0.25 * (len(f.shades) - 1)
                under = goal.least_l - lab[0]
                cost += 3.0 + 8.0 * under if under > 0 else 0.0
                cost += 60.0 if min(s.level for s in f.shades) < goal.from_level - 1e-9 else 0.0
                coppery = sum(x for d, x in f.shades[0].dyes if d in (DyeFamily.RED, DyeFamily.ORANGE)) > 0.5
                cost += 4.5 if coppery and p.wish.tone is not Tone.WARM else 0.0  # three quarters of the bowl too much
                row.append(cost if f.label_min_min <= on <= f.label_max_min else 1e3)
            table.append(row)
        for some in itertools.product(range(len(formulas)), repeat=len(parts)):
            if len(set(some)) > 3:
                continue
            costs = [table[i][k] for i, k in enumerate(some)]
            price = np.mean(costs) + WORST_SHARE * max(costs) + MINUTE_PRICE * (last + later[0] + takes[0])
            again = 1 + sum(a != b for a, b in itertools.pairwise(some)) - len(set(some))
            best = min(best, price + BOWL_PRICES[len(set(some))] + CHANGE_PRICE * again)
    return best


@pytest.mark.parametrize("seed", range(8))
def test_never_dearer_than_trying_everything_on_small_heads_and_shelves(seed):
    random = np.random.default_rng(100 + seed)
    shades = tuple(random.choice([s for s in SHELF if s.is_oxidative], size=5, replace=False).tolist())
    formulas = tuple(Formula((s,)) for s in shades)
    parts = [replace(p, hand=Hand.LENGTHS) for p in random_parts(random, 3)]
    found = session(*parts, shelf=lay_out(formulas))
    # the order of hands is the search's own, so that it may be cheaper; the first pass may be off by a little
    assert found.price <= brute(parts, formulas) + 0.3


PLAIN = (Tone.ICY, Tone.SILVER, Tone.PEARL, Tone.COOL, Tone.NEUTRAL, Tone.BEIGE)


@pytest.mark.parametrize("tone", PLAIN)
@pytest.mark.parametrize("level", [6.0, 7.0, 8.0, 9.0])
def test_no_hand_mixes_copper_into_an_ash_bowl(tone, level):
    """Common practice, no source: red takes green out and nothing else, though blue and red do make a violet."""
    for bowl in session(part("z", level, tone)).bowls:
        assert dict(zip([s.key for s in bowl.shades], bowl.shares, strict=True)).get("coral9", 0.0) <= 0.25
        assert dict(zip([s.key for s in bowl.shades], bowl.shares, strict=True)).get("bracken8", 0.0) <= 0.25


@pytest.mark.parametrize("tone", [Tone.GOLD, Tone.COPPER])
def test_nor_ash_into_a_gold_or_a_copper_one(tone):
    for level in (7.0, 8.0, 9.0):
        for bowl in session(part("z", level, tone)).bowls:
            ash = {"rime10", "fog9", "pewter8", "driftwood7", "harbour6", "lilacwash", "inkwash"}
            assert sum(x for s, x in zip(bowl.shades, bowl.shares, strict=True) if s.key in ash) <= 0.25


def test_a_green_rest_is_taken_out_with_red_all_the_same():
    found = session(part("z", 9.0, Tone.NEUTRAL))
    greened = Result("z", "z", 4.0, 9.0, rest=DyeHue.GREEN, rest_amount=0.5)
    over = session(SessionPart("z", greened, Wish(Tone.NEUTRAL, 9.0)))
    assert over.bowls != found.bowls
    assert over.bowls[0].coppery_share > 0.25


@pytest.mark.parametrize("tone", [Tone.WARM, Tone.GOLD, Tone.NEUTRAL, Tone.BEIGE])
def test_a_demi_goes_on_who_may_have_one_a_wash_fades(tone):
    """Common practice, no source."""
    for level in (6.0, 8.0, 9.0):
        assert all(b.is_oxidative for b in session(part("z", level, tone)).bowls)


def test_porous_ends_go_on_in_the_last_minutes_though_their_colour_would_hold():
    """Common practice, no source: what grabs does so beyond what was expected of it."""
    shadow = part("s", 9.0, Tone.NEUTRAL, 6.0, hand=Hand.FIRST, may_deepen=True)
    ends = part("e", 9.5, Tone.BEIGE, hand=Hand.LAST, porosity=Porosity.HIGH)
    found = session(shadow, part("l", 9.0, Tone.BEIGE), ends).by_key
    assert found["e"].minutes <= 8.0
    assert min(found["s"].minutes, found["l"].minutes) >= 10.0


def test_a_shade_more_on_the_shelf_makes_no_session_dearer():
    peat = next(s for s in SHELF if s.key == "peat6")
    more = lay_out(all_formulas((*SHELF, replace(peat, key="more8", name="More 8", level=8.0, developer_parts=1.5))))
    shadow = part("s", 9.5, Tone.NEUTRAL, 7.0, hand=Hand.FIRST, may_deepen=True)
    heads = [[shadow, part("l", 9.5, Tone.ICY)], random_parts(np.random.default_rng(5), 6)]
    for parts in heads:
        assert session(*parts, shelf=more).price <= session(*parts).price + 0.1


def test_limits_of_a_session():
    with refused(LimitError, match="parts: must be at least one"):
        choose_session([], LAID_OUT)
    with refused(LimitError, match="most_bowls"):
        choose_session([part("a", 9.0, Tone.COOL)], LAID_OUT, most_bowls=4)
    with refused(LimitError, match="formulas"):
        lay_out([])


# ---- khaki, brightness and nearness over all wishes: what the constants were searched for (docs/decisions/0017)


def test_no_wish_ends_khaki_and_cool_ones_stay_bright():
    away, dull = [], []
    for level, tone in itertools.product((8.0, 9.0, 10.0), (Tone.ICY, Tone.COOL, Tone.NEUTRAL, Tone.BEIGE, Tone.WARM)):
        asked = part("z", level, tone)
        found = session(asked, most_bowls=1).tones[0]
        lab = np.array(found.lab)
        assert not (86.0 <= float(hue_deg(lab)) <= 95.0 and lab[0] < 72.0), (level, tone)
        away.append(found.wish_delta_e)
        if tone in (Tone.ICY, Tone.COOL):
            dull.append(asked.result.lab[0] - lab[0])
            assert float(chroma(lab)) < float(chroma(asked.result.lab)) * 0.6
    assert float(np.mean(away)) <= 3.2
    assert float(np.mean(dull)) <= 5.6


# ---- through the command


def service_file(tmp_path, zones, tone, readings, **more):
    demo = json.loads((Path(__file__).parents[2] / "demo" / "studio.json").read_text(encoding="utf-8"))
    events = [
        {"at_min": 0, "kind": "ConsultationFinished", "data": {}},
        {
            "at_min": 1, "kind": "PlanTaken",
            "data": {"zone_keys": list(readings), "volumes": [20] * len(readings), "finish_min": 50},
        },
    ]  # fmt: skip
    for i, (key, level) in enumerate(readings.items()):
        events += [
            {"at_min": 2 + i, "kind": "ApplicationStarted", "data": {"zone_key": key, "volume_strength": 20}},
            {"at_min": 2.5 + i, "kind": "ApplicationFinished", "data": {"zone_key": key}},
            {"at_min": 45 + i, "kind": "Rinsed", "data": {"zone_key": key}},
            {"at_min": 60 + i, "kind": "ReadingTaken", "data": {"zone_key": key, "level": level, "mode": "dry"}},
        ]
    document = {
        "format": "fervens-service", "version": 4, "client": "Hedda Lark", "tone": tone,
        "findings": {"patch_test": "negative", "patch_test_age_h": 60, **more}, "zones": zones,
        "lightener": demo["lighteners"][0], "developers": demo["developers"], "toners": demo["toners"],
        "events": [e | {"by": "Maren"} for e in sorted(events, key=lambda e: e["at_min"])],
    }  # fmt: skip
    path = tmp_path / "service.json"
    path.write_text(json.dumps(document))
    return path


def answered(capsys, path):
    assert main(["tone", str(path), "--json"]) == 0
    return json.loads(capsys.readouterr().out)


def told_zone(key, start, target, **more):
    return {"key": key, "name": key.title(), "start_level": start, "target_level": target, "foil_count": 6} | more


def test_the_command_keeps_contrast_in_one_session_with_one_rinse(tmp_path, capsys):
    zones = [told_zone("nape", 4, 7.5), told_zone("crown", 4, 8.5), told_zone("top", 4, 9, tone="warm")]
    path = service_file(tmp_path, zones, "beige", {"nape": 7.5, "crown": 8.5, "top": 9})
    found = answered(capsys, path)
    assert len(found["rinses"]) == 1
    assert sorted(found["rinses"][0]["parts"]) == ["crown", "nape", "top"]
    by_key = {p["key"]: p for p in found["parts"]}
    assert all(abs(p["levels_deeper"]) <= 0.5 and not p["is_out_of_reach"] for p in found["parts"])
    assert by_key["nape"]["result_lab"][0] < by_key["crown"]["result_lab"][0] < by_key["top"]["result_lab"][0]
    # "tone here" counts: the top is wished warm, the rest beige
    warm, beige = (Wish(t, 9.0).wanted for t in (Tone.WARM, Tone.BEIGE))
    assert by_key["top"]["wish_lab"] == pytest.approx(warm.tolist(), abs=0.01)
    assert by_key["top"]["wish_lab"] != pytest.approx(beige.tolist(), abs=0.5)
    total = sum(b["shade_g"] + b["developer_g"] for b in found["bowls"])
    assert 20.0 <= total <= 120.0


def test_the_command_tones_who_reacts_with_washes_alone(tmp_path, capsys):
    path = service_file(tmp_path, [told_zone("crown", 4, 9)], "cool", {"crown": 9}, reacts_to_oxidative=True)
    found = answered(capsys, path)
    assert all(b["developer_volume"] is None and b["developer_g"] == 0.0 for b in found["bowls"])
    assert found["bowls"][0]["dilution"] >= 0.0
    assert found["blocked"] is None


def test_the_command_says_what_would_reach_a_wish(tmp_path, capsys):
    path = service_file(tmp_path, [told_zone("crown", 4, 9.5, tone="rose")], "rose", {"crown": 9.5})
    crown = answered(capsys, path)["parts"][0]
    assert crown["is_out_of_reach"] is (crown["difference"] > 5.0)
    if crown["is_out_of_reach"]:
        assert "would reach it" in crown["would_reach"]["text"]


def test_29_a_violet_rest_in_the_lengths_never_takes_the_whole_head_deeper():
    lengths = SessionPart(
        "lengths", Result("l", "l", 4.0, 9.0, rest=DyeHue.VIOLET, rest_amount=0.5), Wish(Tone.COOL, 9.0)
    )
    roots = SessionPart("roots", Result("r", "r", 4.0, 8.5, warmth=1.0), Wish(Tone.COOL, 8.5), Hand.FIRST)
    found = session(roots, lengths).by_key
    assert found["roots"].levels_deeper <= 0.5
    # the lengths hold violet already: they lose hardly any more light, and roots are brought toward them
    assert lengths.result.lab[0] - found["lengths"].lab[0] <= 2.5
    assert needed_for(lengths.result, lengths.wish).says.code == "would_reach-drawn_out"
    before = float(delta_e_2000(roots.result.lab, lengths.result.lab))
    after = float(delta_e_2000(np.array(found["roots"].lab), np.array(found["lengths"].lab)))
    assert after < before
