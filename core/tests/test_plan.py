"""The plan: limits held, reasons given, and the proposed line as good as trying them all."""

import itertools

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from make import POWDER, request, zone
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.chair import paint_plan
from fervens_core.head import DyeHue, History, Lightener
from fervens_core.lift import effective_volume, level_at, zone_factors
from fervens_core.planning import make_plan


def test_the_plan_of_nobody_is_empty():
    plan = make_plan(request())
    assert plan.zones == ()
    assert paint_plan(plan) == ()


@settings(max_examples=60)
@given(
    st.lists(
        st.tuples(st.floats(1, 8), st.floats(0, 4), st.integers(1, 14), st.booleans(), st.booleans()),
        min_size=1,
        max_size=9,
    ),
    st.lists(st.floats(1, 300), max_size=4),
    st.booleans(),
)
def test_no_plan_passes_a_limit(shapes, finish, additive):
    zones = [
        zone(f"z{i}", start, min(start + gain, 10.0), foil_count=n, is_delicate=delicate, is_on_scalp=scalp)
        for i, (start, gain, n, delicate, scalp) in enumerate(shapes)
    ]
    plan = make_plan(request(*zones, finish_mins=tuple(finish), has_additive=additive))
    for z in plan.zones:
        assert 7.0 <= z.volume_strength <= z.strongest_volume <= 40.0
        if z.zone.is_delicate or z.zone.is_on_scalp:
            assert z.volume_strength <= 20.0
        assert z.rinse_min <= max(z.wall_min, z.end_min) + 1e-9
        assert z.wall_min - z.start_min == pytest.approx(POWDER.label_max_min)
        assert (z.reason is None) == (z.level_at_rinse >= z.zone.target_level - 0.25)
    assert all(b.start_min > a.end_min for a, b in itertools.pairwise(plan.zones))
    assert [k for w in plan.waves for k in w.zone_keys] == [z.zone.key for z in plan.zones]


def test_later_line_means_weaker_developer():
    zones = (zone("a", 3, 7.5), zone("b", 3, 7.5), zone("c", 3, 7.5))
    early, late = (make_plan(request(*zones, finish_mins=(f,))) for f in (45.0, 60.0))
    assert all(b.volume_strength <= a.volume_strength for a, b in zip(early.zones, late.zones, strict=True))
    assert late.zones[-1].volume_strength < early.zones[-1].volume_strength


def test_chosen_developer_is_the_weakest_whole_one_that_gets_there():
    plan = make_plan(request(zone("a", 3, 8)))
    z = plan.zones[0]
    minutes, factors = z.rinse_min - z.end_min, zone_factors(z.zone, POWDER)

    def at(volume):
        return float(level_at(minutes, start_level=3.0, volume_strength=volume, factors=factors))

    assert at(z.volume_strength) >= 8.0 - 0.02
    assert at(z.volume_strength - 1) < 8.0


def test_additive_asks_for_stronger_developer():
    plain, weakened = (make_plan(request(zone("a", 3, 8), finish_mins=(50.0,), has_additive=h)) for h in (False, True))
    assert weakened.zones[0].volume_strength > plain.zones[0].volume_strength
    assert effective_volume(weakened.zones[0].volume_strength, has_additive=True) == pytest.approx(
        plain.zones[0].volume_strength, abs=1.0
    )


def test_reasons_say_what_would_help():
    hair = make_plan(request(zone("a", 3, 9.5, is_on_scalp=True))).zones[0]
    assert "stops short" in told(hair.reason)
    assert "on the scalp" in told(hair.reason)
    early = make_plan(request(zone("a", 3, 8.5), finish_mins=(14.0,))).zones[0]
    assert "finish line comes too early" in told(early.reason)
    own = make_plan(request(zone("a", 3, 9), volumes={"a": 10.0})).zones[0]
    assert "up to 40 vol is allowed" in told(own.reason)
    slow = make_plan(request(zone("a", 3, 8, foil_count=33, pace_min_per_foil=1.5))).zones[0]
    assert "label's 50 min end first" in told(slow.reason)


def test_own_developer_is_kept_but_not_over_the_limit():
    assert make_plan(request(zone("a"), volumes={"a": 33.0})).zones[0].volume_strength == 33.0
    held = make_plan(request(zone("a", is_delicate=True), volumes={"a": 25.0})).zones[0]
    assert held.volume_strength == 20.0
    assert "25 vol asked, held at 20 (delicate hair)" in told(held.note)


def test_a_label_weaker_than_every_bottle_leaves_the_zone_out_with_its_reason():
    gentle = Lightener("g", "Gentle", 1.5, 50, max_volume=6, max_volume_on_scalp=6)
    plan = make_plan(request(zone("a"), lightener=gentle))
    assert plan.zones == ()
    assert "allows 6 vol, the weakest bottle is 7 vol" in told(plan.left_out[0].reason)
    dyed = zone("b", 5, 8, history=History.DIRECT_DYE, dye_hue=DyeHue.GREEN)
    assert "old direct dye is lifted with 1.5 %" in told(make_plan(request(zone("a"), dyed)).left_out[0].reason)


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"finish_mins": (0.0,)}, "finish_mins"),
        ({"volumes": {"elsewhere": 20.0}}, "volumes"),
        ({"volumes": {"a": 80.0}}, "volumes.a"),
    ],
)
def test_bad_requests_name_their_field(more, field):
    with pytest.raises(LimitError) as caught:
        request(zone("a"), **more)
    assert caught.value.field == field
    with refused(LimitError, match="different keys"):
        request(zone("a"), zone("a"))


def test_painted_plan_follows_the_likely_level():
    wanted = request(zone("a", 3, 8), zone("b", 5, 8))
    plan = make_plan(wanted)
    for z, (curve, crossed) in zip(plan.zones, paint_plan(plan), strict=True):
        assert curve[0].level_likely == z.zone.hair.start_level
        assert curve[-1].minute == pytest.approx(z.wall_min - z.end_min)
        assert all(p.level_slow <= p.level_likely <= p.level_fast for p in curve)
        assert [c.level for c in crossed] == list(range(crossed[0].level, crossed[-1].level + 1))
        for c in crossed:
            near = min(curve, key=lambda p: abs(p.minute - c.minute))
            assert near.level_likely == pytest.approx(c.level, abs=0.2)
