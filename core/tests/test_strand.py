"""Strand tests: what they teach, against a fine grid and a simulated head; and their CSV."""

import numpy as np
import pytest
from beliefs import EXTENT, RATE, known, own
from hypothesis import given, settings
from hypothesis import strategies as st
from make import ANY, POWDER, request, zone
from told import refused, told

from fervens_core.base import CoreError, LimitError
from fervens_core.formats import strands_from_csv, strands_to_csv
from fervens_core.formats.strand_csv import COLUMNS
from fervens_core.head import Covering, Hair, ReadingMode
from fervens_core.lift import (
    HeadMove,
    LaneKinetics,
    LiftFactors,
    Reading,
    Strand,
    StrandReading,
    effort_gained,
    effort_to_level,
    fit_strands,
    head_move,
    learn,
    level_at,
    level_to_effort,
    next_look_min,
    teach,
    zone_factors,
)
from fervens_core.lift.belief import HEAD_EXTENT_STD, HEAD_RATE_STD, ZONE_EXTENT_STD, ZONE_RATE_STD
from fervens_core.planning import VolumeStep, make_plan, strand_moves

SHELF = {"Powder": POWDER}
LANE = LaneKinetics(3.0, 20.0, LiftFactors())


def strand(key="s1", start=3.0, volume=20.0, readings=(), zone_key="", **more):
    return Strand(key, zone_key, Hair(start), POWDER, volume, readings=tuple(readings), **more)


def read_from(extent, rate, *, start=3.0, volume=20.0, minutes=(10, 20, 30, 40)):
    """Half-level readings of hair with these hidden factors."""
    levels = level_at(
        np.array(minutes, dtype=float),
        start_level=start,
        volume_strength=volume,
        factors=LiftFactors(extent, rate),
    )
    return [StrandReading(m, round(float(v) * 2) / 2, ReadingMode.DRY) for m, v in zip(minutes, levels, strict=True)]


def taught_by(zones, strand):
    return teach(zones, (strand,), [zone_factors(z, POWDER) for z in zones])


def test_a_strand_that_lifts_as_expected_moves_little():
    taught = taught_by((zone(),), strand(readings=read_from(1.0, 1.0)))
    move = head_move(taught)
    assert abs(move.extent_ratio - 1.0) < 0.05
    assert abs(move.rate_ratio - 1.0) < 0.08


@pytest.mark.parametrize(("extent", "rate"), [(0.88, 1.0), (1.1, 1.3), (0.95, 0.7)])
def test_strands_pull_the_head_toward_its_truth(extent, rate):
    read = strand(readings=read_from(extent, rate, minutes=(5, 10, 15, 20, 30, 40)))
    move = head_move(taught_by((zone("a"), zone("b")), read))
    for found, truth in ((move.extent_ratio, extent), (move.rate_ratio, rate)):
        if truth != 1.0:
            assert (found - 1.0) * (truth - 1.0) > 0.0
            assert abs(found - truth) < abs(1.0 - truth)


def test_one_strand_against_a_fine_grid():
    readings = [StrandReading(10.0, 5.5, ReadingMode.WIPED), StrandReading(30.0, 7.5, ReadingMode.DRY)]
    one = strand(readings=readings)
    seen = [Reading(0, r.minutes, r.level, r.mode) for r in readings]
    found, spread = own(learn(known(one.kinetics), tuple(seen)), (EXTENT, RATE))
    axis = np.linspace(-0.9, 0.9, 361)
    log_extent, log_rate = np.meshgrid(axis, axis, indexing="ij")
    density = -0.5 * (
        log_extent**2 / (HEAD_EXTENT_STD**2 + ZONE_EXTENT_STD**2) + log_rate**2 / (HEAD_RATE_STD**2 + ZONE_RATE_STD**2)
    )
    for r in readings:
        seen = Reading(0, r.minutes, r.level, r.mode)
        gained = effort_gained(r.minutes, 20.0, np.exp(log_extent), np.exp(log_rate))
        level = effort_to_level(level_to_effort(3.0) + gained)
        density -= 0.5 * ((r.level - seen.bias - level) / seen.level_std) ** 2
    weight = np.exp(density - density.max())
    weight /= weight.sum()
    means = [float((weight * x).sum()) for x in (log_extent, log_rate)]
    assert found == pytest.approx(means, abs=0.03)
    by_grid = [float((weight * (x - m) ** 2).sum() ** 0.5) for x, m in zip((log_extent, log_rate), means, strict=True)]
    assert spread == pytest.approx(by_grid, rel=0.15)


def test_a_strand_says_more_of_the_zone_it_was_taken_from():
    read = strand(zone_key="crown", readings=read_from(0.85, 0.75))
    taught = taught_by((zone("crown"), zone("nape")), read)
    (crown, tight), (nape, wide) = (own(taught.belief((LANE, LANE)), (EXTENT, RATE), lane) for lane in (0, 1))
    assert (crown < nape).all()
    assert (nape < 0).all()
    assert (tight < wide).all()


def test_strands_side_by_side_teach_each_other():
    pair = (strand("a", readings=read_from(0.9, 0.8)), strand("b", volume=30.0))
    fits = fit_strands(pair)
    assert fits[1].extent_ratio < 1.0
    minutes = np.arange(0.0, 50.0, 5.0)
    slow, likely, fast = fits[0].bands(minutes)
    assert ((slow <= likely) & (likely <= fast)).all()
    alone = fit_strands((pair[1],))[0].bands(minutes)
    assert fits[1].bands(minutes)[2, -1] - fits[1].bands(minutes)[0, -1] < alone[2, -1] - alone[0, -1]


def test_a_strand_moves_the_plan_and_says_by_how_much():
    zones = (zone("a", 4, 8, foil_count=5), zone("b", 4, 8, foil_count=5))
    slow = strand(start=4.0, readings=read_from(0.9, 0.75, start=4.0))
    plain, taught = make_plan(request(*zones, weakest=ANY)), make_plan(request(*zones, weakest=ANY, strands=(slow,)))
    assert plain.move is None
    assert taught.strongest_volume > plain.strongest_volume or taught.finish_min > plain.finish_min
    assert "slower" in told(taught.move.text)
    by_bottle = request(*zones, weakest=ANY, strands=(slow,), visit_mins=(30.0,), step=VolumeStep.EXACT)
    moves = strand_moves(by_bottle, make_plan(by_bottle))
    assert moves
    assert all(m.volume > m.expected_volume for m in moves)
    assert strand_moves(request(*zones, weakest=ANY), plain) == ()
    # the window is narrower once something is known
    wide, narrow = (p.lanes[0].ready_min for p in (plain, taught))
    assert narrow[0] > wide[0]


def test_moves_are_said_plainly():
    assert told(HeadMove(1.01, 0.99).text) == "This head lifts as expected"
    assert told(HeadMove(0.88, 1.2).text) == "This head lifts 12 % less far and 20 % faster than expected"


def test_stretch_tells_when_a_strand_has_suffered():
    assert strand(stretch_before_percent=30, stretch_after_percent=50).has_suffered
    assert not strand(stretch_before_percent=30, stretch_after_percent=40).has_suffered
    with refused(LimitError, match="stretch_after_percent"):
        strand(stretch_after_percent=300)


strands = st.lists(
    st.builds(
        lambda i, start, volume, reads, before: strand(
            f"s{i}",
            start,
            volume,
            [StrandReading(m, v, mode) for m, v, mode in reads],
            covering=Covering.OPEN_AIR,
            stretch_before_percent=before,
        ),
        st.integers(0, 9),
        st.sampled_from([2.0, 3.5, 6.0]),
        st.sampled_from([7.0, 20.0, 33.0]),
        st.lists(
            st.tuples(st.sampled_from([0.0, 10.0, 22.5]), st.sampled_from([4.5, 7.0]), st.sampled_from(ReadingMode)),
            max_size=3,
        ),
        st.sampled_from([None, 30.0]),
    ),
    max_size=4,
    unique_by=lambda s: s.key,
)


@settings(max_examples=60)
@given(strands)
def test_csv_comes_back_as_it_went(made):
    assert strands_from_csv(strands_to_csv(tuple(made)), SHELF) == tuple(made)


HEADER = ",".join(COLUMNS)
ROW = "s1,crown,Powder,20,no,foil,3,30,,10,5.5,wiped"


@pytest.mark.parametrize(
    ("text", "message"),
    [
        ("a,b\n1,2", "line 1: must be the columns strand, zone"),
        (f"{HEADER}\n{ROW.replace('20', '90')}", "line 2, volume_vol: must be a number from 0.5 to 40, got 90"),
        (f"{HEADER}\n{ROW}\n{ROW.replace('5.5', 'x')}", "line 3, level: must be a number from 1 to 10, got 'x'"),
        (f"{HEADER}\n{ROW.replace('Powder', 'Other')}", "line 2, lightener: must be one of Powder"),
        (f"{HEADER}\n{ROW.replace('wiped', 'guess')}", "line 2, mode: must be one of through_product"),
        (f"{HEADER}\n{ROW.replace('foil', 'cap')}", "line 2, covering: must be one of open_air"),
        (f"{HEADER}\n{ROW.replace(',10,', ',,')}", "line 2: must be both minute and level"),
        (f"{HEADER}\n{ROW}\n{ROW.replace('20', '30')}", "line 3, strand: must be the same facts"),
        (f"{HEADER}\ns1,crown", "line 2: must be 12 cells"),
        (f"{HEADER}\n{ROW.replace('s1', '')}", "line 2, key: must be 1 to 40 characters"),
        (f"{HEADER}\n{ROW.replace(',3,', ',,')}", "line 2, start_level: must be given"),
        (HEADER + "\n" + "x" * 100_001, "file: must be at most 100000 characters"),
        (f"{HEADER}\n{ROW.replace('20', 'nan')}", "line 2, volume_vol: must be a number"),
    ],
)
def test_bad_csv_names_line_and_column(text, message):
    with refused(CoreError, match=message):
        strands_from_csv(text, SHELF)


def test_csv_cells_are_never_formulas():
    made = (strand("=1+1", zone_key="@x"),)
    text = strands_to_csv(made)
    assert "'=1+1" in text
    assert strands_from_csv(text, SHELF) == made


@pytest.mark.parametrize(
    ("label", "read_at", "due"),
    [(50, (), 10), (50, (10,), 20), (50, (8,), 20), (50, (7,), 10), (45, (10, 40), 45), (45, (44,), None), (8, (), 8)],
)
def test_a_strand_is_looked_at_every_ten_minutes_and_at_its_label(label, read_at, due):
    assert next_look_min(label, read_at) == due
