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
from fervens_core.planning import make_plan, plan_from


def test_the_plan_of_nobody_is_empty():
    plan = make_plan(request())
    assert plan.lanes == ()
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
    plan = plan_from(request(*zones, visit_mins=tuple(finish), has_additive=additive))
    for z in plan.lanes:
        assert 7.0 <= z.volume_strength <= z.strongest_volume <= 40.0
        if z.zone.is_delicate or z.zone.is_on_scalp:
            assert z.volume_strength <= 20.0
        assert z.rinse_min <= max(z.wall_min, z.end_min) + 1e-9
        assert z.wall_min - z.start_min == pytest.approx(POWDER.label_max_min)
        assert (z.reason is None) == (z.level_at_rinse >= z.zone.target_level - 0.25)
    for one, other in itertools.pairwise(sorted(plan.lanes, key=lambda x: x.start_min)):
        assert other.start_min > one.end_min
    for visit in plan.visits:
        for lane in plan.lanes:
            # nobody applies while the client is at the basin
            assert not visit.at_min + 0.05 < lane.start_min < visit.at_min + 7.0 - 0.05


def test_a_later_visit_means_weaker_developer_or_no_more():
    zones = (zone("a", 3, 7.5), zone("b", 3, 7.5), zone("c", 3, 7.5))
    early, late = (make_plan(request(*zones, visit_mins=(f,))) for f in (38.0, 50.0))
    assert early.strongest_volume > late.strongest_volume
    assert early.finish_min < late.finish_min


def test_a_line_past_a_wall_shows_who_is_rinsed_before():
    zones = [zone(k, 3, 8, is_on_scalp=True) for k in ("a", "b")]  # on the scalp nothing is wiped out
    plan = make_plan(request(*zones, visit_mins=(56.0,), keeps_order=True))
    rinses = {x.zone.key: x.rinse_min for x in plan.lanes}
    assert rinses["a"] == pytest.approx(50.0)
    assert rinses["b"] == pytest.approx(57.0, abs=1.0)  # 7 min of the trip lie between
    assert [v.lane_keys for v in plan.visits] == [("a",), ("b",)]


def test_additive_asks_for_stronger_developer():
    plain, weakened = (make_plan(request(zone("a", 3, 8), visit_mins=(40.0,), has_additive=h)) for h in (False, True))
    assert weakened.lanes[0].volume_strength > plain.lanes[0].volume_strength


def test_reasons_say_what_would_help():
    hair = make_plan(request(zone("a", 3, 9.5, is_on_scalp=True))).lanes[0]
    assert "stops short" in told(hair.reason)
    assert "on the scalp" in told(hair.reason)
    early = make_plan(request(zone("a", 3, 8.5), visit_mins=(14.0,))).lanes[0]
    assert "would need longer" in told(early.reason)
    own = make_plan(request(zone("a", 3, 9), volumes={"a": 10.0})).lanes[0]
    assert "up to 40 vol is allowed" in told(own.reason)
    slow = make_plan(request(zone("a", 3, 8, foil_count=33, pace_min_per_foil=1.5))).lanes[0]
    assert "label's 50 min end before" in told(slow.reason)


def test_own_developer_is_kept_but_not_over_the_limit():
    assert make_plan(request(zone("a"), volumes={"a": 33.0})).lanes[0].volume_strength == 33.0
    held = make_plan(request(zone("a", is_delicate=True), volumes={"a": 25.0})).lanes[0]
    assert held.volume_strength == 20.0
    assert "25 vol asked, held at 20 (delicate hair)" in told(held.note)


def test_a_label_weaker_than_every_bottle_leaves_the_zone_out_with_its_reason():
    gentle = Lightener("g", "Gentle", 1.5, 50, max_volume=6, max_volume_on_scalp=6)
    plan = make_plan(request(zone("a"), lightener=gentle))
    assert plan.lanes == ()
    assert "allows 6 vol, the weakest bottle is 7 vol" in told(plan.left_out[0].reason)
    dyed = zone("b", 5, 8, history=History.DIRECT_DYE, dye_hue=DyeHue.GREEN)
    assert "old direct dye is lifted with 1.5 %" in told(make_plan(request(zone("a"), dyed)).left_out[0].reason)


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"visit_mins": (0.0,)}, "visit_mins"),
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
    for z, (curve, fibres, crossed) in zip(plan.lanes, paint_plan(plan), strict=True):
        assert curve[0].level_likely == z.zone.hair.start_level
        assert curve[-1].minute == pytest.approx(z.wall_min - z.end_min)
        assert [fibres[0].minute, fibres[-1].minute] == [0.0, curve[-1].minute]
        assert all(p.level_slow <= p.level_likely <= p.level_fast for p in curve)
        assert [c.level for c in crossed] == list(range(crossed[0].level, crossed[-1].level + 1))
        for c in crossed:
            near = min(curve, key=lambda p: abs(p.minute - c.minute))
            assert near.level_likely == pytest.approx(c.level, abs=0.2)
