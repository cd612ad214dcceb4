"""Toner: what a formula does to hair, and the search over a whole shelf against trying everything one by one."""

import itertools

import colour
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.basin.uptake import HEAD_STD, STRAND_STD, ZONE_STD, UptakeSeen, learn_uptake
from fervens_core.colour import XYZ_WEIGHTS, absorption_to_lab, delta_e_2000, hue_deg
from fervens_core.head import DyeFamily, DyeHue, Porosity, Tone, TonerShade
from fervens_core.toning import (
    Formula,
    Hand,
    Result,
    SessionPart,
    Wish,
    all_formulas,
    choose_session,
    cool_share,
    deposit,
    dye_shares,
    explain,
    formulas_of,
    goal_of,
    lay_out,
    lightness_of_level,
    match,
    spread_of,
    toned_absorption,
)
from fervens_core.toning.dyes import dye_absorption
from fervens_core.toning.formula import DILUTIONS, whole_minutes
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


def test_a_mix_lies_between_its_shades():
    fog, hay = SHELF[0], SHELF[2]
    mixed = Formula((fog, hay), (0.25, 0.75))
    np.testing.assert_allclose(mixed.absorption, 0.25 * Formula((fog,)).absorption + 0.75 * Formula((hay,)).absorption)
    shades_g, developer_g = mixed.split_g(50.0)
    assert shades_g == pytest.approx((5.0, 15.0))
    assert developer_g == pytest.approx(30.0)
    assert mixed.name == "fog + hay 1:3"


def test_a_shelf_as_tables_is_the_same_formulas_one_by_one():
    own = (
        Formula((SHELF[0],), parts=1.5),
        Formula((SHELF[5],), dilution=7.0),
        Formula((SHELF[1], SHELF[4]), (0.6, 0.4)),
    )
    many, one_by_one = formulas_of(SHELF, own), (*FORMULAS, *own)
    assert tuple(many) == one_by_one
    assert many.keys == [f.key for f in one_by_one]
    assert many[-1] == own[-1]
    for shelf in (lay_out(many), lay_out(one_by_one)):
        made = list(shelf.formulas)
        assert sorted(f.key for f in made) == sorted(f.key for f in one_by_one)
        np.testing.assert_allclose(shelf.coarse, [f.absorption[::2] for f in made], rtol=1e-5)
        assert shelf.deepest.tolist() == [np.float32(min(s.level for s in f.shades)) for f in made]
        np.testing.assert_allclose(shelf.levels, [f.level for f in made])
        np.testing.assert_allclose(shelf.cool_shares, [cool_share(f) for f in made], atol=1e-12)
        assert shelf.is_single.tolist() == [len(f.shades) == 1 for f in made]
        for formula, off in zip(made, shelf.off, strict=True):
            assert shelf.minutes[off == 0].tolist() == whole_minutes(formula).tolist()
        for levels, first, last in shelf.classes:
            np.testing.assert_allclose([f.brighten_levels for f in made[first:last]], levels)
    assert many.are_among({own[0].key, "none"}).tolist() == [f == own[0] for f in one_by_one]


def test_of_a_very_big_shelf_few_mixes_are_ever_made():
    dice = np.random.default_rng(4)
    families = list(DyeFamily)
    big = []
    for i in range(120):
        one, two = dice.choice(len(families), 2, replace=False)
        share = round(float(dice.uniform(0.1, 0.9)), 2)
        dyes = ((families[one], share), (families[two], 1.0 - share))
        big.append(TonerShade(f"s{i}", f"S{i}", float(dice.integers(12, 21)) / 2, dyes, 20, 1.0, 7.0))
    shelf = lay_out(formulas_of(tuple(big)))
    levels, wish = {"a": 8.5, "b": 9.5}, Wish(Tone.COOL, 8.5)
    parts = [SessionPart(k, result(k, level), wish, Hand.FIRST, 1.0) for k, level in levels.items()]
    assert choose_session(parts, shelf)
    assert len(shelf.formulas) > 20_000
    assert len(shelf.formulas._made) < 500


def test_nothing_mixes_that_must_not():
    with refused(LimitError, match="both oxidative, or neither"):
        Formula((SHELF[0], SHELF[5]), (0.5, 0.5))
    with refused(LimitError, match="shares that sum to 1"):
        Formula((SHELF[0], SHELF[1]), (0.5, 0.6))
    assert not any({"wash"} < {s.key for s in f.shades} for f in FORMULAS)
    pairs = list(itertools.combinations(SHELF[:5], 2))
    assert len(FORMULAS) == len(SHELF) + len(DILUTIONS) + 3 * len(pairs)


def test_at_no_minutes_the_hair_is_as_it_was():
    hair = result(rest=DyeHue.GREEN, rest_amount=0.5, warmth=1.0)
    np.testing.assert_allclose(toned_absorption(hair, FORMULAS[0], 0.0), hair.absorption)


def test_an_oxidative_developer_brightens_and_a_wash_does_not():
    clear = Formula((shade("clear", 10, vol=10.0, yellow=1.0),), parts=4.0)
    assert clear.brighten_levels == pytest.approx(1.0)
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
    zone = result(level=level, **more)
    goal = goal_of(zone, Wish(tone, level))
    for formula in FORMULAS[::3]:
        if min(s.level for s in formula.shades) < level - 1.0:
            assert match(zone, formula, goal).is_too_dark
            continue
        found = match(zone, formula, goal)
        tried = {}
        for minute in whole_minutes(formula):
            lab = absorption_to_lab(toned_absorption(zone, formula, float(minute)))
            if lab[0] >= goal.least_l:
                short = 0.3 * max(0.0, 5.0 - minute)
                tried[float(minute)] = float(delta_e_2000(lab, goal.colour)) + short
        if tried:
            assert not found.is_too_dark
            assert found.minutes == min(tried, key=lambda m: tried[m])


def test_a_wash_is_diluted_and_never_meets_peroxide():
    neat, thin = Formula((SHELF[5],)), Formula((SHELF[5],), dilution=3.0)
    np.testing.assert_allclose(neat.absorption, 4.0 * thin.absorption)
    assert thin.developer_volume is None
    assert thin.split_g(40.0) == (pytest.approx((10.0,)), pytest.approx(30.0))
    with refused(LimitError, match="dilution: must be 0: only a pigment wash is diluted, got 2"):
        Formula((SHELF[0],), dilution=2.0)


def test_a_pale_wish_has_half_a_level_of_room_and_others_one():
    zone = result(level=9.0)
    bright, free = (goal_of(zone, Wish(Tone.COOL, 9.0), stays_bright=b) for b in (True, False))
    assert bright.levels_deeper((bright.least_l, 0.0, 0.0)) == pytest.approx(0.5)
    assert free.levels_deeper((free.least_l, 0.0, 0.0)) == pytest.approx(1.0)
    assert bright.levels_deeper((float(lightness_of_level(5.0)), 0.0, 0.0)) > 3.0
    # shades deeper than the hair by more than a level are for shadow, deepening and filling only
    assert bright.from_level == 8.0
    assert goal_of(zone, Wish(Tone.NEUTRAL, 7.0)).from_level == 5.5
    assert goal_of(zone, Wish(Tone.NEUTRAL, 9.0), may_deepen=True).from_level == 1.0


def test_warmth_read_beside_the_scale_never_makes_lifted_hair_natural():
    cool = result(level=5.0, start=4.5, warmth=-1.0)
    assert cool.lab[0] == pytest.approx(result(level=5.0, start=4.5).lab[0], abs=2.0)


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
    assert told(explain(result(level=9.0))) == "Pale yellow at 9: violet; blue alone would leave it green"
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
    # silver over a share of grey is blended toward the client's own white: less blue, as light as meant
    plain, blended = Wish(Tone.SILVER, 8.0), Wish(Tone.SILVER, 8.0, grey_share=0.6)
    assert plain.wanted[2] < blended.wanted[2]
    assert blended.wanted[0] == pytest.approx(plain.wanted[0], abs=2.0)
    assert Wish(Tone.GOLD, 9.0, lab=(70.0, 1.0, 2.0)).wanted.tolist() == [70.0, 1.0, 2.0]
    pastel = Wish(Tone.PASTEL, 9.5, hue_deg=340.0)
    assert hue_deg(pastel.wanted) == pytest.approx(340.0)
    # taking all the yellow out and putting another hue on costs light
    assert 3.0 < lightness_of_level(9.5) - pastel.wanted[0] < 8.0


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
