"""Zones read in segments, the lanes they become, and when roots and ends join."""

import itertools
from dataclasses import replace

import heads
from hypothesis import given, settings
from hypothesis import strategies as st
from make import Apart, request, zone
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.head import (
    ROOT_MM,
    Density,
    Hair,
    History,
    Part,
    Pieces,
    Porosity,
    StrandPart,
    Thickness,
    in_rows,
    kept_parts_of,
    lanes_of,
    row_of,
    without_row,
)
from fervens_core.head.lanes import lanes_of_zone
from fervens_core.head.zones import regrowth_mm
from fervens_core.planning import PlanChoice, make_plan, propose_order, section_mix_g

PALE_ENDS = Apart(Hair(8.0, History.LIGHTENED, porosity=Porosity.HIGH), 40.0)


def keys(*zones):
    return [x.key for x in lanes_of(zones)]


def test_a_zone_read_as_one_is_one_lane():
    whole = zone("crown")
    assert lanes_of_zone(whole) == (whole,)
    assert lanes_of_zone(zone("crown", start=8, target=8)) == ()
    assert lanes_of_zone(zone("crown", keeps_depth=True)) == ()


def test_a_big_zone_in_rows_is_as_many_lanes_one_after_the_other():
    rooted = zone("crown", 7, 9.5, foil_count=11, parts=(StrandPart(Hair(7.0), 0.0, 12.0, 9.5),))
    parted = in_rows(lanes_of((rooted, zone("top"))), {"crown": 3})
    assert [x.key for x in parted] == [
        "crown.row1", "crown.row2", "crown.row3", "crown.row1.root", "crown.row2.root", "crown.row3.root", "top",
    ]  # fmt: skip
    assert [x.foil_count for x in parted[:3]] == [4, 4, 3]
    assert parted[4].waits_for == "crown.row2"
    assert (row_of("crown.row2.root"), without_row("crown.row2.root"), row_of("crown.root")) == (2, "crown.root", 0)
    plan = make_plan(replace(request(rooted, zone("top")), choice=PlanChoice(rows={"crown": 3})))
    on = {x.zone.key: x for x in plan.lanes}
    assert on["crown.row1"].end_min <= on["crown.row2"].start_min <= on["crown.row3"].start_min
    assert all(on[f"crown.row{i}.root"].start_min >= on[f"crown.row{i}"].end_min for i in (1, 2, 3))
    few = in_rows((zone("top", foil_count=2),), {"top": 6})
    assert [x.foil_count for x in few] == [1, 1], "as many rows as it has sections"


def test_rows_of_a_big_zone_let_its_last_sections_work_longer():
    """20 sections take 22 of a label's 50 min: in one piece the last has 28, in rows each has its own label."""
    whole = heads.four_quarters()
    rows = replace(whole, choice=PlanChoice(rows={z.key: 2 for z in whole.zones}))
    lowest = [min(x.level_at_rinse for x in make_plan(r).lanes) for r in (whole, rows)]
    assert lowest[1] > lowest[0] + 0.2


def test_pieces_with_a_wish_of_their_own_are_lightened_over_depth_that_is_kept():
    own = Pieces(hair=Hair(5), name="pieces", share=0.5, target_level=8)
    kept = zone("crown", keeps_depth=True, pieces=own)
    assert [x.key for x in lanes_of_zone(kept)] == ["crown.pieces"]
    assert lanes_of_zone(replace(kept, pieces=replace(own, target_level=None))) == ()
    assert lanes_of_zone(replace(kept, pieces=replace(own, is_left_out=True))) == ()
    assert [x.key for x in kept_parts_of((kept,), lanes_of_zone(kept))] == ["crown"]


def test_lengths_first_then_root_then_ends():
    made = zone("crown", 5, 9, root=Apart(Hair(5.0), 10.0), ends=PALE_ENDS, is_on_scalp=True)
    lengths, root, ends = lanes_of_zone(made)
    assert [x.part for x in (lengths, root, ends)] == [Part.LENGTHS, Part.ROOT, Part.ENDS]
    assert [x.key for x in (lengths, root, ends)] == ["crown", "crown.root", "crown.ends"]
    assert (root.waits_for, ends.waits_for) == ("crown", "crown")
    assert (lengths.is_on_scalp, root.is_on_scalp, ends.is_on_scalp) == (False, True, False)
    assert lengths.length_mm == 250 - 10 - 40
    assert root.application_min < lengths.application_min
    assert section_mix_g(root) < section_mix_g(lengths)


def test_long_regrowth_is_two_applications_and_says_why():
    light = zone("top", 9, 9, history=History.LIGHTENED, root=Apart(Hair(5.0), 30.0))
    beyond, root = lanes_of_zone(light)
    assert (beyond.part, beyond.length_mm, root.length_mm) == (Part.REGROWTH, 18.0, ROOT_MM)
    assert root.waits_for == beyond.key
    assert "30 mm of regrowth would band" in told(beyond.note)


def test_left_out_and_lone_parts():
    out = Apart(PALE_ENDS.hair, 40.0, is_left_out=True)
    assert keys(zone("a", 5, 9, ends=out)) == ["a"]
    only_root = zone("a", 9, 9, root=Apart(Hair(5.0), 10.0, 9.0))
    (root,) = lanes_of_zone(only_root)
    assert root.waits_for is None
    assert root.application_min == 0.5 * only_root.application_min  # a retouch goes about twice as quick


def test_segments_fit_in_the_hair():
    with refused(LimitError, match=r"parts\[1\].from_mm: must be where the part before it ends .*, 30 mm, got 20"):
        zone("a", length_mm=60, root=Apart(Hair(5), 30), ends=Apart(Hair(5), 40))
    with refused(LimitError, match=r"parts\[0\].to_mm: must be within the length of the hair, 60 mm, got 90"):
        zone("a", length_mm=60, parts=[StrandPart(Hair(5), 20, 90)])
    with refused(LimitError, match="to_mm: must be past where it begins, 40 mm, got 30"):
        StrandPart(Hair(5), 40.0, 30.0)
    with refused(LimitError, match="days"):
        regrowth_mm(-1.0)


def test_roots_join_their_lengths_and_end_with_them():
    plan = make_plan(request(zone("crown", 5, 9, foil_count=5, root=Apart(Hair(5.0), 10.0), ends=PALE_ENDS)))
    by_part = {x.zone.part.value: x for x in plan.lanes}
    lengths, root, ends = (by_part[k] for k in ("lengths", "root", "ends"))
    assert 10.0 <= root.minutes_on <= 30.0
    assert root.start_min > lengths.end_min
    assert abs(root.level_at_rinse - lengths.level_at_rinse) <= 0.5
    assert root.volume_strength <= 20.0
    assert ends.start_min > root.end_min
    assert {x.rinse_min for x in plan.lanes} == {plan.finish_min}
    # porous light ends go on last, with less than the lengths
    assert ends.volume_strength <= lengths.volume_strength
    assert ends.minutes_on < root.minutes_on


@settings(max_examples=40)
@given(
    st.lists(
        st.tuples(
            st.floats(2, 8), st.floats(0, 3), st.floats(1, 60), st.floats(1, 60), st.booleans(), st.integers(1, 8)
        ),
        min_size=1,
        max_size=6,
    ),
    st.booleans(),
)
def test_any_head_in_segments_is_planned_or_told_why(shapes, is_one_visit):
    zones = tuple(
        zone(
            f"z{i}",
            start,
            min(start + gain, 10.0),
            foil_count=n,
            root=Apart(Hair(max(start - 1.0, 1.0)), root_mm),
            ends=Apart(Hair(start, porosity=Porosity.HIGH), ends_mm, is_left_out=out),
        )
        for i, (start, gain, root_mm, ends_mm, out, n) in enumerate(shapes)
    )
    plan = make_plan(request(*zones, visit_mins=(60.0,) if is_one_visit else ()))
    assert {z.zone.key for z in plan.lanes} == set(keys(*zones))
    for z in plan.lanes:
        assert (z.reason is None) == (z.level_at_rinse >= z.zone.target_level - 0.25)
        assert z.rinse_min <= max(z.wall_min, z.end_min) + 1e-9
        if z.zone.waits_for:
            waited = next(x for x in plan.lanes if x.zone.key == z.zone.waits_for)
            assert z.start_min >= waited.end_min or waited.start_min >= z.end_min  # light lengths wait for a dark root
    hands = sorted((z.start_min, z.end_min) for z in plan.lanes)
    assert all(b[0] >= a[1] - 1e-9 for a, b in itertools.pairwise(hands))


def test_order_resistant_first_delicate_last_back_before_front():
    zones = (
        zone("fringe", is_delicate=True),
        zone("top"),
        zone("low_back"),
        zone("crown", thickness=Thickness.COARSE),
        zone("temples", porosity=Porosity.LOW, areas=("left_temple", "right_temple")),
    )
    placed = propose_order(zones)
    assert [p.key for p in placed] == ["crown", "temples", "low_back", "top", "fringe"]
    assert told(placed[0].reason).startswith("coarse")
    assert told(placed[-1].reason) == "delicate: last and weaker"


def test_density_matters_for_amounts_only():
    thin, thick = (make_plan(request(zone("a", 5, 8, density=d))) for d in (Density.THIN, Density.THICK))
    assert thin.lanes[0].volume_strength == thick.lanes[0].volume_strength
    assert sum(b.total_g for b in thick.bowls) > sum(b.total_g for b in thin.bowls)
