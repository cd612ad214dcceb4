"""Choosing toner: the pick is the best of everything tried one by one."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fervens_core.colour import delta_e_2000
from fervens_core.errors import LimitError
from fervens_core.hair import Porosity, Tone
from fervens_core.pigment import absorption_to_lab, hair_absorption
from fervens_core.products import DyeFamily, TonerShade
from fervens_core.quantities import Ratio
from fervens_core.toner import deposit, minutes_grid, pick_minutes, shade_absorption, toned_absorption, wanted_lab
from fervens_core.toning import natural_lab, propose


def shade(key, level, ratio=1.5, longest=20.0, **dyes):
    return TonerShade(key, key, level, tuple((DyeFamily(k), v) for k, v in dyes.items()), Ratio(ratio), 7.0, longest)


SHELF = (
    shade("fog", 9, violet=0.6, blue=0.4),
    shade("rime", 10, ratio=2.0, violet=1.0),
    shade("hay", 9, yellow=0.7, orange=0.3),
    shade("deep", 6, blue=1.0),
)


@given(st.floats(0, 60), st.sampled_from(list(Porosity)))
def test_deposit_rises_to_its_uptake(minutes, porosity):
    full = float(deposit(1e6, porosity))
    assert 0.0 <= float(deposit(minutes, porosity)) <= full
    assert float(deposit(minutes, porosity)) <= float(deposit(minutes + 1, porosity))


def test_diluting_halves_the_dye():
    one, three = shade("a", 9, ratio=1.0, violet=1.0), shade("b", 9, ratio=3.0, violet=1.0)
    np.testing.assert_allclose(shade_absorption(one), 2.0 * shade_absorption(three))


@pytest.mark.parametrize("tone", list(Tone))
@pytest.mark.parametrize(("start", "level"), [(7.0, 9.5), (3.0, 8.0)])
def test_pick_is_the_best_minute_of_each_shade_tried_one_by_one(tone, start, level):
    found = propose(SHELF, start_level=start, level=level, porosity=Porosity.NORMAL, tone=tone, wanted_level=level)
    hair = hair_absorption(start, np.array(level))
    bare = absorption_to_lab(hair)
    wanted = wanted_lab(natural_lab(level), tone)
    assert len(found.choices) == len(SHELF)
    for choice in found.choices:
        tried = {}
        for minute in minutes_grid(choice.shade):
            lab = absorption_to_lab(toned_absorption(hair, choice.shade, float(minute), Porosity.NORMAL))
            if bare[0] - lab[0] <= 8.0:
                tried[float(minute)] = float(delta_e_2000(lab, wanted))
        if tried:
            assert choice.delta_e == pytest.approx(min(tried.values()))
            assert choice.minutes in tried


def test_cool_tones_ask_for_cool_shades_and_gold_for_warm():
    def best(tone):
        return propose(
            SHELF, start_level=6.0, level=9.5, porosity=Porosity.NORMAL, tone=tone, wanted_level=9.5
        ).choices[0]

    assert best(Tone.ICY).shade.key in ("fog", "rime", "deep")
    assert best(Tone.GOLD).shade.key == "hay"


def test_porous_hair_is_given_less_time():
    def minutes(porosity):
        found = propose(SHELF[:1], start_level=7.0, level=9.5, porosity=porosity, tone=Tone.NEUTRAL, wanted_level=9.5)
        return found.choices[0].minutes

    assert minutes(Porosity.HIGH) < minutes(Porosity.NORMAL) < minutes(Porosity.LOW)


def test_too_deep_a_shade_stands_last_and_says_what_it_costs():
    found = propose(
        SHELF,
        start_level=7.0,
        level=10.0,
        porosity=Porosity.HIGH,
        tone=Tone.WARM,
        wanted_level=10.0,
        max_depth_lost_l=1.0,
    )
    assert found.choices[-1].depth_lost_l > 1.0
    lost = [c.depth_lost_l > 1.0 for c in found.choices]
    assert lost == sorted(lost)


def test_wanted_is_never_lighter_than_the_hair_stands():
    lighter, same = (
        propose(SHELF, start_level=5.0, level=8.0, porosity=Porosity.NORMAL, tone=Tone.COOL, wanted_level=w)
        for w in (10.0, 8.0)
    )
    assert lighter.wanted_hex == same.wanted_hex


def test_shape_of_colours_is_guarded():
    with pytest.raises(LimitError, match=r"labs: must be of shape \(19, 3\)"):
        pick_minutes(SHELF[0], np.zeros((3, 3)), untoned_lab=np.zeros(3), wanted=np.zeros(3), max_depth_lost_l=5.0)
