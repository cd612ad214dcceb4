"""Bowls and blends. The alligation rule (Pearson square) is checked by its own arithmetic."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from make import BOTTLES, POWDER, request, zone
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.head import Covering, Density, Developer
from fervens_core.planning import (
    BowlStyle,
    Pour,
    Serving,
    WeighedPour,
    blend,
    lift_lost_share,
    make_plan,
    plan_bowls,
    section_mix_g,
    simulated_pour,
    weigh_mix,
)
from fervens_core.planning.bowls import LARGE_BOWL_G


def test_equal_parts_of_20_and_30_make_25():
    # common practice, and arithmetic
    pours = blend(25.0, 36.0, BOTTLES)
    assert [(p.developer.volume_strength, p.mass_g) for p in pours] == [(20, 18.0), (30, 18.0)]


def test_seven_raised_by_additions_of_twenty_climbs_step_by_step():
    strengths = [
        weigh_mix(POWDER, 20.0, (WeighedPour(7, 30.0), WeighedPour(20, 10.0 * n)), 20.0).volume_strength
        for n in range(1, 5)
    ]
    assert strengths == sorted(strengths)
    assert strengths[0] == pytest.approx((30 * 7 + 10 * 20) / 40)


@given(st.floats(7.0, 40.0), st.floats(1.0, 500.0))
def test_blend_has_the_strength_and_the_mass(wanted, mass):
    pours = blend(wanted, mass, BOTTLES)
    assert len(pours) <= 2
    assert sum(p.mass_g for p in pours) == pytest.approx(mass)
    mixed = sum(p.mass_g * p.developer.volume_strength for p in pours) / mass
    assert mixed == pytest.approx(wanted, abs=0.05)


@given(st.floats(7.2, 39.8))
def test_pearson_square(wanted):
    pours = blend(wanted, 100.0, BOTTLES)
    if len(pours) == 2:
        low, high = (p.developer.volume_strength for p in pours)
        # parts of the weak bottle are strong minus wanted, and the other way round
        assert pours[0].mass_g / pours[1].mass_g == pytest.approx((high - wanted) / (wanted - low), rel=1e-6)


def test_a_strength_outside_the_bottles_is_named():
    with refused(LimitError, match=r"volume_strength: must be from 7 to 40 vol .*got 5\b"):
        blend(5.0, 10.0, BOTTLES)
    with refused(LimitError, match="bottles"):
        blend(20.0, 10.0, ())


def serving(key, volume=20.0, start=0.0, end=10.0, **more):
    return Serving(zone(key, **more), POWDER, volume, start, end)


def test_a_long_zone_takes_fresh_bowls():
    (one,) = plan_bowls((serving("a", end=20.0, foil_count=20),), BOTTLES)
    two = plan_bowls((serving("a", end=24.0, foil_count=20),), BOTTLES)
    assert [b.mix_min for b in two] == [0.0, 12.0]
    assert one.oldest_min == POWDER.bowl_life_min
    # over-mixed by 8 % and what stays in the bowl, rather than run out
    assert sum(b.total_g for b in two) == pytest.approx(20 * 7.0 * 1.08 + 2 * 3.0)
    assert two[0].product_g * 1.5 == pytest.approx(two[0].developer_g)
    assert sum(b.waste_g for b in two) == pytest.approx(20 * 7.0 * 0.08 + 2 * 3.0)


def test_one_large_bowl_wastes_less_and_goes_stale():
    lanes = tuple(serving(k, start=12.0 * i, end=12.0 * i + 10.0, foil_count=8) for i, k in enumerate("abcdef"))
    fresh = plan_bowls(lanes, BOTTLES)
    large = plan_bowls(lanes, BOTTLES, style=BowlStyle.LARGE)
    assert len(fresh) == 6
    assert len(large) == 2
    assert all(b.total_g - b.waste_g <= LARGE_BOWL_G for b in large)
    assert sum(b.waste_g for b in large) < sum(b.waste_g for b in fresh)
    assert all(f.lift_lost_share == 0.0 for b in fresh for f in b.fills)
    assert max(f.lift_lost_share for b in large for f in b.fills) == pytest.approx(0.38)  # 58 min old, lives 20
    other = (*lanes[:2], serving("g", volume=30.0, start=30.0, end=40.0))
    assert len(plan_bowls(other, BOTTLES, style=BowlStyle.LARGE)) == 2  # another strength, another bowl


def test_small_lanes_share_a_fresh_bowl_while_it_lives():
    roots = tuple(
        serving(k, start=6.0 * i, end=6.0 * i + 5.0, foil_count=3, length_mm=12) for i, k in enumerate("abcd")
    )
    bowls = plan_bowls(roots, BOTTLES)
    assert [[f.lane_key for f in b.fills] for b in bowls] == [["a", "b", "c"], ["d"]]
    assert all(b.oldest_min <= POWDER.bowl_life_min for b in bowls)


def test_staleness_starts_at_the_bowls_life_and_ends_at_half():
    assert lift_lost_share(20.0, 20.0) == 0.0
    assert lift_lost_share(30.0, 20.0) == pytest.approx(0.1)
    assert lift_lost_share(500.0, 20.0) == 0.5


def test_amounts_follow_density_length_and_covering():
    plain = section_mix_g(zone())
    assert plain == 7.0
    assert section_mix_g(zone(density=Density.THICK)) > plain > section_mix_g(zone(density=Density.THIN))
    assert section_mix_g(zone(length_mm=500)) == pytest.approx(2 * plain)
    assert section_mix_g(zone(covering=Covering.OPEN_AIR)) > plain
    assert section_mix_g(zone(length_mm=12)) == pytest.approx(0.2 * plain)


@given(st.lists(st.tuples(st.floats(2, 7), st.integers(1, 20), st.booleans()), min_size=1, max_size=8), st.booleans())
def test_a_mixing_list_adds_up_to_what_the_lanes_use(shapes, is_large):
    zones = [zone(f"z{i}", s, min(s + 3, 10), foil_count=n, is_delicate=d) for i, (s, n, d) in enumerate(shapes)]
    plan = make_plan(request(*zones, bowl_style=BowlStyle.LARGE if is_large else BowlStyle.FRESH))
    used = sum(z.zone.foil_count * section_mix_g(z.zone) for z in plan.lanes)
    assert sum(f.mass_g for b in plan.bowls for f in b.fills) == pytest.approx(used)
    assert sum(b.total_g - b.waste_g for b in plan.bowls) == pytest.approx(used)
    assert [b.mix_min for b in plan.bowls] == sorted(b.mix_min for b in plan.bowls)
    by_lane = {z.zone.key: z for z in plan.lanes}
    for b in plan.bowls:
        assert sum(p.mass_g * p.developer.volume_strength for p in b.pours) == pytest.approx(
            b.volume_strength * b.developer_g, rel=5e-3
        )
        assert all(by_lane[f.lane_key].volume_strength == b.volume_strength for f in b.fills)


def test_simulated_scale_rises_and_settles_near_the_mark():
    for seed in range(8):
        shown = simulated_pour(36.0, seed)
        assert shown == simulated_pour(36.0, seed)
        assert shown[-1] == shown[-2]
        assert abs(shown[-1] - 36.0) < 2.0
        assert all(round(v * 10) == pytest.approx(v * 10) for v in shown)
    assert len({simulated_pour(36.0, seed)[-1] for seed in range(8)}) > 1


def test_a_mix_off_its_mark_is_put_right():
    right = weigh_mix(POWDER, 24.0, (WeighedPour(20, 18.0), WeighedPour(30, 18.0)), 25.0)
    assert (right.volume_strength, right.developer_parts, told(right.advice)) == (25.0, 1.5, "")
    strong = weigh_mix(POWDER, 24.0, (WeighedPour(20, 10.0), WeighedPour(30, 26.0)), 25.0)
    assert "add 16 g of 20 vol" in told(strong.advice)
    # what it says brings it there: (10 + 16) * 20 + 26 * 30 over 52
    assert pytest.approx(25.0, abs=0.1) == ((10 + 16) * 20 + 26 * 30) / 52
    assert "add 8 g of lightener" in told(weigh_mix(POWDER, 16.0, (WeighedPour(20, 36.0),), 20.0).advice)
    assert "add 9 g of developer" in told(weigh_mix(POWDER, 30.0, (WeighedPour(20, 36.0),), 20.0).advice)
    assert "mix anew" in told(weigh_mix(POWDER, 24.0, (WeighedPour(20, 36.0),), 30.0).advice)
    with refused(LimitError, match="pours"):
        weigh_mix(POWDER, 24.0, (), 30.0)


def test_one_bottle_is_poured_alone():
    assert blend(20.02, 40.0, (Developer("a", "A", 20.0),)) == (Pour(Developer("a", "A", 20.0), 40.0),)
