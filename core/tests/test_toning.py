"""Toner: what a formula does to hair, and the search over a whole shelf against trying everything one by one."""

import itertools

import colour
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.basin.uptake import HEAD_STD, STRAND_STD, ZONE_STD, UptakeSeen, learn_uptake
from fervens_core.colour import XYZ_WEIGHTS, absorption_to_lab, delta_e_2000, hue_deg
from fervens_core.head import DyeFamily, DyeHue, Porosity, Tone, TonerShade
from fervens_core.toning import Bowl as MatchBowl
from fervens_core.toning import (
    Formula,
    Result,
    ToTone,
    Wish,
    all_formulas,
    choose,
    choose_for_wish,
    deposit,
    dye_shares,
    explain,
    goal_of,
    lay_out,
    match,
    natural_lab,
    spread_of,
    time_toner,
    toned_absorption,
    toned_lab,
    toning_plan_of,
)
from fervens_core.toning.dyes import dye_absorption
from fervens_core.toning.formula import formula_absorptions, whole_minutes
from fervens_core.toning.neutralise import colour_word, counter_tone


def shade(key, level, ratio=1.5, longest=20.0, vol=7.0, **dyes):
    is_oxidative = dyes.pop("is_oxidative", True)
    parts = tuple((DyeFamily(k), v) for k, v in dyes.items())
    with_developer = (ratio, vol) if is_oxidative else (None, None)
    return TonerShade(key, key, level, parts, longest, *with_developer, is_oxidative=is_oxidative)


SHELF = (
    shade("fog", 9, violet=0.6, blue=0.4),
    shade("rime", 10, ratio=2.0, vol=5.0, violet=1.0),
    shade("hay", 9, yellow=0.7, orange=0.3),
    shade("deep", 6, longest=25.0, blue=1.0),
    shade("rose", 8, red=0.8, violet=0.2),
    shade("wash", 9.5, longest=10.0, violet=0.8, blue=0.2, is_oxidative=False),
)
FORMULAS = all_formulas(SHELF)


def result(key="z", level=8.5, start=4.0, **more):
    return Result(key, key, start, level, **more)


@given(st.floats(0, 60), st.sampled_from(list(Porosity)))
def test_deposit_rises_to_its_uptake(minutes, porosity):
    full = float(deposit(1e6, porosity))
    assert 0.0 <= float(deposit(minutes, porosity)) <= full
    assert float(deposit(minutes, porosity)) <= float(deposit(minutes + 1, porosity))


def test_diluting_halves_the_dye():
    one, three = (Formula((shade("a", 9, violet=1.0),), parts=p) for p in (1.0, 3.0))
    np.testing.assert_allclose(one.absorption, 2.0 * three.absorption)


def test_a_mix_lies_between_its_shades_and_all_at_once_is_each_alone():
    fog, hay = SHELF[0], SHELF[2]
    mixed = Formula((fog, hay), (0.25, 0.75))
    np.testing.assert_allclose(mixed.absorption, 0.25 * Formula((fog,)).absorption + 0.75 * Formula((hay,)).absorption)
    np.testing.assert_allclose(formula_absorptions(FORMULAS), [f.absorption for f in FORMULAS])
    shades_g, developer_g = mixed.split_g(50.0)
    assert shades_g == pytest.approx((5.0, 15.0))
    assert developer_g == pytest.approx(30.0)
    assert mixed.name == "fog + hay 1:3"


def test_nothing_mixes_that_must_not():
    with refused(LimitError, match="both oxidative, or neither"):
        Formula((SHELF[0], SHELF[5]), (0.5, 0.5))
    with refused(LimitError, match="shares that sum to 1"):
        Formula((SHELF[0], SHELF[1]), (0.5, 0.6))
    assert not any({"wash"} < {s.key for s in f.shades} for f in FORMULAS)
    pairs = list(itertools.combinations(SHELF[:5], 2))
    assert len(FORMULAS) == len(SHELF) + 3 * len(pairs)


def test_at_no_minutes_the_hair_is_as_it_was():
    hair = result(rest=DyeHue.GREEN, rest_amount=0.5, warmth=1.0)
    np.testing.assert_allclose(toned_absorption(hair, FORMULAS[0], 0.0), hair.absorption)


def test_an_oxidative_developer_brightens_and_a_wash_does_not():
    clear = Formula((shade("clear", 10, vol=10.0, yellow=1.0),), parts=4.0)
    assert clear.brighten_levels == pytest.approx(0.5)
    assert Formula((SHELF[5],)).brighten_levels == 0.0


def test_warmer_hair_of_one_level_is_redder_not_lighter():
    cool, plain, warm = (result(warmth=w).lab for w in (-1.0, 0.0, 1.0))
    assert hue_deg(warm) < hue_deg(plain) < hue_deg(cool)
    assert warm[0] == pytest.approx(cool[0], abs=2.0)


@pytest.mark.parametrize("tone", [Tone.ICY, Tone.NEUTRAL, Tone.GOLD, Tone.PEARL])
@pytest.mark.parametrize(
    ("level", "more"),
    [(9.5, {}), (8.0, {"porosity": Porosity.HIGH}), (6.5, {"porosity": Porosity.LOW, "uptake_factor": 1.4})],
)
def test_a_match_is_the_best_minute_tried_one_by_one(tone, level, more):
    zone, wanted = result(level=level, **more), Wish(tone, level).wanted
    for formula in FORMULAS[::3]:
        found = match(zone, formula, wanted)
        tried = {}
        for minute in whole_minutes(formula):
            lab = absorption_to_lab(toned_absorption(zone, formula, float(minute)))
            if zone.lab[0] - lab[0] <= 8.0:
                short = 0.3 * max(0.0, 5.0 - minute)
                tried[float(minute)] = float(delta_e_2000(lab, wanted)) + short
        if tried:
            assert not found.is_too_dark
            assert found.minutes == min(tried, key=lambda m: tried[m])


shelves = st.lists(
    st.tuples(
        st.sampled_from([6.0, 7.0, 8.0, 9.0, 10.0]),
        st.lists(st.floats(0.05, 1.0), min_size=6, max_size=6),
        st.sampled_from([1.0, 1.5, 2.0]),
        st.sampled_from([10.0, 20.0, 25.0]),
        st.sampled_from([5.0, 7.0, 10.0]),
    ),
    min_size=2,
    max_size=6,
)
heads = st.lists(
    st.tuples(
        st.sampled_from([6.0, 6.5, 7.0, 7.5, 8.0, 8.5, 9.0, 9.5, 10.0]),
        st.sampled_from(list(Porosity)),
        st.sampled_from([0.75, 1.0, 1.45]),
        st.sampled_from([0.0, 1.0]),
    ),
    min_size=1,
    max_size=4,
)


@settings(max_examples=25, deadline=None)
@given(shelves, heads, st.sampled_from([Tone.ICY, Tone.COOL, Tone.BEIGE, Tone.GOLD]))
def test_the_search_gives_the_answer_of_trying_everything(shades, zones, tone):
    shelf = tuple(
        shade(f"s{i}", level, ratio, longest, vol, **dict(zip(DyeFamily, (np.array(w) / sum(w)).tolist(), strict=True)))
        for i, (level, w, ratio, longest, vol) in enumerate(shades)
    )
    results = [
        result(f"z{i}", level, 4.0, porosity=p, uptake_factor=u, warmth=w) for i, (level, p, u, w) in enumerate(zones)
    ]
    formulas, wanted = all_formulas(shelf), Wish(tone, min(r.level for r in results)).wanted
    found = choose_for_wish(results, lay_out(formulas), wanted, most_bowls=4)[-1]
    every = {r.key: [match(r, f, goal_of(r, wanted)).cost for f in formulas] for r in results}
    kinds = {r.kind: [x for x in results if x.kind == r.kind] for r in results}
    for alike in kinds.values():
        best = min(sum(every[r.key][i] for r in alike) for i in range(len(formulas)))
        assert sum(found.matches[r.key].cost for r in alike) == pytest.approx(best, abs=1e-9)


def test_fewer_bowls_are_shared_out_as_trying_all_of_them_would():
    results = [result(f"z{x}", x) for x in (6.5, 7.5, 8.5, 9.5)]
    shelf, wanted = lay_out(FORMULAS), Wish(Tone.NEUTRAL, 6.5).wanted
    found = choose_for_wish(results, shelf, wanted, most_bowls=2)
    costs = np.array([[match(r, f, goal_of(r, wanted)).cost for f in FORMULAS] for r in results])
    places = range(len(FORMULAS))
    for count, choice in enumerate(found, start=1):
        best = min(costs[:, list(some)].min(axis=1).sum() for some in itertools.combinations(places, count))
        assert sum(m.cost for m in choice.matches.values()) == pytest.approx(best, abs=1e-9)
    every = choose(results, shelf, wanted, most_bowls=4)
    assert [c.score for c in every] == sorted((c.score for c in every), reverse=True)


def test_bands_of_three_undertones_end_nearer_with_their_own_formulas_than_with_any_one():
    results = [result("yellow", 8.5), result("yellow_orange", 7.5), result("orange", 6.5)]
    wanted = Wish(Tone.NEUTRAL, 7.0).wanted
    best = choose(results, lay_out(FORMULAS), wanted, most_bowls=3)[-1]
    assert len(best.bowls) > 1
    for formula in FORMULAS:
        alone = toning_plan_of(
            (MatchBowl(formula, {r.key: match(r, formula, goal_of(r, wanted)) for r in results}),), wanted
        )
        assert best.spread < alone.spread


def test_too_dark_is_never_taken_while_something_else_is_there():
    zone = result(level=10.0, porosity=Porosity.HIGH)
    found = choose([zone], lay_out(FORMULAS), Wish(Tone.ICY, 10.0).wanted, most_bowls=1)[0].matches["z"]
    assert not found.is_too_dark
    assert match(zone, Formula((SHELF[3],), parts=0.5), Wish(Tone.ICY, 10.0).wanted).is_too_dark


def test_limits_of_a_choice():
    with refused(LimitError, match="most_bowls"):
        choose([result()], lay_out(FORMULAS), Wish(Tone.COOL, 8.0).wanted, most_bowls=5)
    with refused(LimitError, match="results: must be at least one"):
        choose([], lay_out(FORMULAS), Wish(Tone.COOL, 8.0).wanted)
    with refused(LimitError, match="formulas"):
        lay_out([])
    with refused(LimitError, match="level: must be at or above the start level 6"):
        result(level=5.0, start=6.0)


# What a dye takes is the complement of what it shows: the complementary wavelength of thinly dyed white (CIE 15:2018,
# dominant and complementary wavelengths, as the colour-science library computes them) is where the dye absorbs most.
@pytest.mark.parametrize(("family", "peak_nm"), [("orange", 490.0), ("violet", 565.0), ("blue", 602.0)])
def test_a_dye_shows_the_complement_of_what_it_takes(family, peak_nm):
    cmfs = colour.MSDS_CMFS["CIE 1964 10 Degree Standard Observer"]
    white = colour.CCS_ILLUMINANTS["CIE 1964 10 Degree Standard Observer"]["D65"]
    dyed = 0.02 * dye_absorption(DyeFamily(family))
    xyz = (np.exp(-dyed) @ XYZ_WEIGHTS)[None]
    xyz = xyz / XYZ_WEIGHTS.sum(axis=0) * colour.xy_to_XYZ(white)
    shown = float(colour.dominant_wavelength(colour.XYZ_to_xy(xyz[0]), white, cmfs)[0])
    taken = float(colour.complementary_wavelength(colour.XYZ_to_xy(xyz[0]), white, cmfs)[0])
    # a purple is told by its complement, negative; a band 35 to 42 nm wide is seen a little off its peak
    assert min(abs(abs(x) - peak_nm) for x in (shown, taken)) < 25.0


def test_what_a_colourist_would_say():
    assert told(explain(result(level=7.0, start=3.0))).startswith(
        "Yellow-orange at 7: blue-violet; violet alone would leave"
    )
    assert told(explain(result(level=9.0))) == "Pale yellow at 9: violet; blue alone would leave it khaki-warm"
    assert told(explain(result(level=9.0, rest=DyeHue.GREEN, rest_amount=0.5))).startswith(
        "A green rest on pale yellow"
    )
    assert counter_tone(result(level=9.0, rest=DyeHue.VIOLET, rest_amount=0.8)).families == (DyeFamily.YELLOW,)
    assert told(colour_word((60.0, 0.5, 1.0))) == "grey"
    assert sum(dye_shares(Formula((SHELF[0], SHELF[2]), (0.5, 0.5))).values()) == pytest.approx(1.0)


def test_white_has_a_little_warmth_put_back_beside_flat_grey():
    white, flat = Wish(Tone.SILVER, 10.0), Wish(Tone.SILVER, 10.0, is_warmth_back=False)
    assert white.is_white
    assert white.wanted[2] > 3.0 > abs(flat.wanted[2])
    assert white.flat_lab.tolist() == [white.wanted[0], 0.0, 0.0]
    assert not Wish(Tone.SILVER, 7.0).is_white
    assert Wish(Tone.GOLD, 9.0, lab=(70.0, 1.0, 2.0)).wanted.tolist() == [70.0, 1.0, 2.0]
    pastel = Wish(Tone.PASTEL, 9.5, hue_deg=340.0)
    assert hue_deg(pastel.wanted) == pytest.approx(340.0)
    assert natural_lab(9.5)[0] == pytest.approx(pastel.wanted[0])


# Timing: longest first, shortest last, one pair of hands, one line.
zones_to_tone = st.lists(st.tuples(st.floats(0.5, 6.0), st.floats(1.0, 20.0)), min_size=1, max_size=10)


@given(zones_to_tone)
def test_one_pair_of_hands_and_one_finish_line(asked):
    zones = [ToTone(f"z{i}", a, m, 25.0) for i, (a, m) in enumerate(asked)]
    times = time_toner(zones)
    by_key = {z.key: z for z in zones}
    for before, after in itertools.pairwise(times.starts):
        assert after.start_min >= before.end_min - 1e-9
    for start in times.starts:
        zone = by_key[start.key]
        on = start.rinse_min - start.end_min
        assert zone.minutes - 1e-9 <= on <= min(zone.minutes + 1.0, zone.label_max_min) + 1e-9
        assert start.start_min < start.emulsify_min < start.rinse_min <= times.finish_min + 1e-9
    assert times.starts[0].start_min == pytest.approx(0.0)
    minutes = [by_key[s.key].minutes for s in times.starts]
    assert minutes == sorted(minutes, reverse=True)


def test_porous_ends_go_on_in_the_last_minutes_and_all_are_ready_together():
    times = time_toner(
        [ToTone("ends", 2.0, 4.0, 20.0), ToTone("root", 3.0, 18.0, 25.0), ToTone("lengths", 3.0, 12.0, 20.0)]
    )
    assert [s.key for s in times.starts] == ["root", "lengths", "ends"]
    assert {round(s.rinse_min, 6) for s in times.starts} == {21.0}
    assert times.starts[2].end_min == pytest.approx(17.0)
    with pytest.raises(LimitError):
        time_toner([])


# What one strand teaches, the others use: against a fine grid on two zones.
def test_uptake_learnt_is_the_posterior_on_a_fine_grid():
    found = learn_uptake(2, [UptakeSeen(0, 1.5), UptakeSeen(0, 1.3)])
    grid = np.linspace(-1.5, 1.5, 301)
    a, b = np.meshgrid(grid, grid, indexing="ij")
    spread = HEAD_STD**2 * np.ones((2, 2)) + ZONE_STD**2 * np.eye(2)
    inverse = np.linalg.inv(spread)
    log = -0.5 * (inverse[0, 0] * a**2 + 2 * inverse[0, 1] * a * b + inverse[1, 1] * b**2)
    for ratio in (1.5, 1.3):
        log -= 0.5 * ((a - np.log(ratio)) / STRAND_STD) ** 2
    weight = np.exp(log - log.max())
    weight /= weight.sum()
    for own, seen in zip((a, b), found, strict=True):
        mean = float((weight * own).sum())
        std = float(np.sqrt((weight * (own - mean) ** 2).sum()))
        assert np.log(seen.likely) == pytest.approx(mean, abs=1e-3)
        assert np.log(seen.much / seen.likely) / 1.28155 == pytest.approx(std, abs=1e-3)
    assert found[0].likely > found[1].likely > 1.0
    with pytest.raises(LimitError):
        UptakeSeen(0, 0.0)


def test_the_eighty_per_cent_band_of_uptake_holds_eighty_per_cent():
    random, held = np.random.default_rng(20260301), 0
    for _ in range(600):
        head = random.normal(0, HEAD_STD)
        zones = head + random.normal(0, ZONE_STD, 3)
        seen = [UptakeSeen(i, float(np.exp(zones[i] + random.normal(0, STRAND_STD)))) for i in (0, 1)]
        third = learn_uptake(3, seen)[2]
        held += third.little <= np.exp(zones[2]) <= third.much
    assert held / 600 == pytest.approx(0.8, abs=0.05)


def test_spread_is_the_largest_difference():
    labs = [(60.0, 5.0, 20.0), (60.0, 5.0, 21.0), (55.0, 5.0, 20.0)]
    assert spread_of(labs) == pytest.approx(
        max(float(delta_e_2000(np.array(a), np.array(b))) for a in labs for b in labs)
    )
    assert spread_of(labs[:1]) == 0.0
    assert toned_lab(result(), FORMULAS[0], np.array([1.0, 2.0])).shape == (2, 3)
