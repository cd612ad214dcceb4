"""The board: what it paints is what the model says, walls are never planned past, and the next act is the right one."""

from dataclasses import replace

import numpy as np
import pytest
from make import POWDER, at, event, zone
from told import refused

from fervens_core.base import LimitError
from fervens_core.chair import Chair, achieved_level, make_board
from fervens_core.chair.acts import Leaves
from fervens_core.chair.advice import Act
from fervens_core.colour import hair_hex
from fervens_core.head import Covering, Foils, Hair, Lightener, ReadingMode
from fervens_core.lift import Strand, StrandReading, level_at
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    Phase,
    PlanTaken,
    ReadingTaken,
    Rinsed,
    fold,
)
from fervens_core.log.events import data_from_json

ZONES = {z.key: z for z in (zone("back", 3, 8, foil_count=5), zone("top", 3, 8, foil_count=5))}
BASE = [event(0, ConsultationFinished()), event(1, PlanTaken(("back", "top"), (22.0, 26.0), 60.0))]
BACK_ON = [
    *BASE,
    event(2, BowlMixed("back", 22.0, 15.0, 22.5)),
    event(3, ApplicationStarted("back", 22.0)),
    event(9, ApplicationFinished("back")),
]


def board(log, minute, lightener=POWDER):
    return make_board(Chair(fold(log), ZONES, lightener, at(minute)))


def read(minute, level, mode=ReadingMode.WIPED, key="back"):
    return event(minute, ReadingTaken(key, level, mode))


def test_before_the_plan_there_is_nothing():
    assert make_board(Chair(fold([]), {}, POWDER, at(0))).lanes == ()


def test_acts_lead_from_bowl_to_rinse():
    def first(log, minute):
        return board(log, minute).acts[0].code

    assert first(BASE, 1) == "mix"
    assert first(BACK_ON[:3], 2) == "start"
    assert first(BACK_ON[:4], 9.5) == "finish"
    assert first(BACK_ON, 9.5) == "mix"
    assert first([*BACK_ON, event(9.4, BowlMixed("top", 26.0, 15.0, 22.5))], 9.5) == "start"
    assert first(BACK_ON, 29.5) == "read"
    assert first([*BACK_ON, read(19.5, 7.0), read(29, 8.5)], 30) == "rinse"
    assert first(BACK_ON, 54) == "stop"
    done = [*BACK_ON, event(40, Rinsed("back")), event(41, ApplicationStarted("top", 26.0)), event(42, Rinsed("top"))]
    assert [a.code for a in board(done, 43).acts] == ["tone"]


def taken(starts, rinses, visits):
    return event(1, PlanTaken(("back", "top"), (22.0, 26.0), max(rinses), starts, rinses, visits))


def test_a_lane_the_plan_wipes_out_is_not_sent_to_the_basin_alone():
    on = [BASE[0], taken((0.0, 8.0), (30.0, 50.0), (1, 1)), *BACK_ON[2:]]
    due = board([*on, read(19.5, 7.0), read(29, 8.5)], 30)
    assert due.lanes[0].leaves is Leaves.WIPED
    assert due.lanes[1].leaves is Leaves.BASIN
    assert (due.acts[0].code, due.acts[0].title.code) == ("wipe", "act-wipe_out")
    same = board([BASE[0], taken((0.0, 8.0), (50.0, 50.0), (1, 1)), *on[2:], read(19.5, 7.0), read(29, 8.5)], 30)
    assert same.acts[0].code == "rinse"
    open_air = {**ZONES, "back": replace(ZONES["back"], covering=Covering.OPEN_AIR)}
    painted = make_board(Chair(fold([*on, read(19.5, 7.0), read(29, 8.5)]), open_air, POWDER, at(30)))
    assert painted.acts[0].title.code == "act-dry_out"
    off = board([*on, event(30, Rinsed("back", is_wiped=True))], 31)
    assert off.lanes[0].phase is Phase.RINSED
    assert fold([*on, event(30, data_from_json("Rinsed", {"zone_key": "back"}, 1))]).lanes[0].phase is Phase.RINSED


def test_hands_that_are_late_go_to_the_basin_all_the_same():
    plan = taken((0.0, 24.0), (15.0, 60.0), (1, 2))
    late = [BASE[0], plan, event(2, BowlMixed("back", 22.0, 15.0, 22.5)), event(3, ApplicationStarted("back", 22.0)),
            event(40, ApplicationFinished("back"))]  # fmt: skip
    before, rinsed = (board([*late, *more], 41) for more in ([], [event(40.5, Rinsed("back"))]))
    wait = (before.lanes[1].started_at - rinsed.lanes[1].started_at).total_seconds() / 60.0
    assert wait == pytest.approx(7.0), "the trip comes between"


def test_wall_counts_from_the_first_section():
    lane = board(BACK_ON, 20).lanes[0]
    assert lane.wall_min == pytest.approx(50 - 6)
    assert lane.zero_at == at(9)
    assert lane.curve[-1].minute == pytest.approx(lane.wall_min)
    assert not lane.is_passed_wall
    late = board(BACK_ON, 60).lanes[0]
    assert late.is_passed_wall
    assert late.advice.act is Act.STOP
    assert late.curve[-1].minute == pytest.approx(51)


def test_unread_lane_is_painted_as_the_model_says():
    lane = board(BACK_ON, 29).lanes[0]
    # the median of levels is near the level of the median hair: far and fast spread apart, 157 points
    for point in lane.curve[::10]:
        expected = float(level_at(point.minute, start_level=3.0, volume_strength=22.0))
        assert point.level_likely == pytest.approx(expected, abs=0.1)
        assert point.level_slow <= point.level_likely <= point.level_fast
    assert lane.hex_target == hair_hex(3.0, [8.0])[0]
    assert lane.level_now.likely == pytest.approx(float(level_at(20, start_level=3.0, volume_strength=22.0)), abs=0.1)
    assert [c.level for c in lane.crossings][:4] == [4, 5, 6, 7]


def test_fibres_of_a_lane_lie_about_what_is_read_there():
    lane = board(BACK_ON, 29).lanes[0]
    assert [lane.fibres[0].minute, lane.fibres[-1].minute] == [lane.curve[0].minute, lane.curve[-1].minute]
    grey = [sum(int(x[i : i + 2], 16) for i in (1, 3, 5)) for x in (p.hex for p in lane.curve)]
    for fibre in lane.fibres:
        body = np.interp(fibre.minute, [p.minute for p in lane.curve], grey)
        told = (fibre.shade, fibre.light, fibre.sheen)
        shade, light, sheen = (sum(int(x[i : i + 2], 16) for i in (1, 3, 5)) for x in told)
        assert shade < body < light < sheen
        # as much darker as lighter: from afar the lane is still the colour to read by
        assert (shade + light) / 2 == pytest.approx(body, rel=0.06)


def test_a_reading_in_one_zone_moves_the_other():
    plain, taught = (board(log, 25).lanes for log in (BACK_ON, [*BACK_ON, read(19, 8.0)]))
    assert taught[0].ratio_rate > 1.1
    assert taught[1].ratio_rate > 1.05
    assert taught[1].window_min.likely < plain[1].window_min.likely
    assert taught[0].readings[0].minute == pytest.approx(10.0)


def test_waiting_lane_is_forecast_after_the_hands_are_free():
    lanes = board(BACK_ON[:4], 5).lanes
    assert lanes[0].is_forecast
    assert lanes[0].phase is Phase.APPLYING
    assert lanes[0].zero_at == at(9)
    assert lanes[1].started_at == at(10.5)
    assert lanes[1].wall_min == pytest.approx(50 - 6)


def test_a_slow_hand_moves_the_forecast_not_the_wall():
    lane = board(BACK_ON[:4], 20).lanes[0]
    assert lane.zero_at == at(20)
    assert lane.wall_min == pytest.approx(50 - 17)


def test_the_first_foils_have_been_on_for_longer_and_are_looked_at_first():
    back = board(BACK_ON, 20).lanes[0]
    own = ZONES["back"]
    assert back.span_min == pytest.approx(6.0 * 4 / 5)  # five foils in six minutes: four went on before the last
    later = board(BACK_ON, 20 + back.span_min).lanes[0]
    assert back.level_first.likely == pytest.approx(later.level_now.likely)
    assert back.hex_first == later.hex_now
    (single,) = (replace(own, foil_count=1, pace_min_per_foil=own.application_min),)
    alone = make_board(Chair(fold(BACK_ON), {**ZONES, "back": single}, POWDER, at(20))).lanes[0]
    assert alone.span_min == 0.0
    assert alone.window_min.early == pytest.approx(back.window_min.early + back.span_min)
    assert alone.window_min.late == back.window_min.late
    assert back.advice.foils is Foils.FIRST
    assert alone.advice.foils is Foils.LAST
    assert back.advice.due_min <= alone.advice.due_min
    seen = board([*BACK_ON, read(19.5, 6.5)], 20).lanes[0]
    assert seen.advice.foils is Foils.LAST


def test_a_reading_says_which_foils():
    def taught(minute, foils):
        log = [*BACK_ON, event(minute, ReadingTaken("back", 6.5, ReadingMode.WIPED, foils=foils))]
        return board(log, 30).lanes[0]

    span = board(BACK_ON, 20).lanes[0].span_min
    first, last, as_first = taught(20, Foils.FIRST), taught(20, Foils.LAST), taught(20 + span, Foils.LAST)
    # (a foil that is opened later cools later)
    assert first.level_now.likely == pytest.approx(as_first.level_now.likely, abs=0.08)
    assert first.level_now.likely < last.level_now.likely - 0.16  # they had longer to come so far
    assert first.readings[0].foils is Foils.FIRST
    before = {"zone_key": "back", "level": 6.5, "mode": "wiped"}
    assert data_from_json("ReadingTaken", before, 2).foils is Foils.LAST  # as logs before had it


def test_readings_after_the_rinse_say_what_was_reached():
    log = [*BACK_ON, read(30, 7.0), event(40, Rinsed("back")), read(45, 7.5, ReadingMode.DRY)]
    lane = board(log, 50).lanes[0]
    assert lane.achieved_level == 7.5
    assert lane.rinsed_min == pytest.approx(31.0)
    assert lane.advice is None
    assert achieved_level(fold(BACK_ON).lane("back")) is None


def test_dark_lightener_makes_a_reading_count_for_less():
    dark = Lightener("dark", "Dark", 2, 50, is_dark=True)
    log = [*BACK_ON, read(19, 8.0, ReadingMode.THROUGH_PRODUCT)]
    plain, hidden = (board(log, 25, x).lanes[0].ratio_rate for x in (POWDER, dark))
    assert 1.0 < hidden < plain


def test_the_same_log_and_moment_give_the_same_board():
    log = [*BACK_ON, read(19, 6.5)]
    assert board(log, 25) == board(log[::-1], 25)


# When to look: first at 10 min, then every 5 to 10 (common practice, no source), never past the wall.
def slow_strand():
    readings = tuple(StrandReading(m, v, ReadingMode.DRY) for m, v in ((10.0, 4.5), (20.0, 5.5), (30.0, 6.0)))
    return Strand("s", "", Hair(4.0), POWDER, 20.0, readings=readings)


def test_strands_move_the_board_as_they_moved_the_plan():
    state = fold(BACK_ON)
    plain = make_board(Chair(state, ZONES, POWDER, at(20))).lanes
    taught = make_board(Chair(state, ZONES, POWDER, at(20), strands=(slow_strand(),))).lanes
    assert len(taught) == len(plain)
    assert all(t.ratio_rate < 1.0 for t in taught)
    assert all(
        t.window_min.likely is None or t.window_min.likely > p.window_min.likely
        for t, p in zip(taught, plain, strict=True)
    )
    # a strand without readings says nothing
    blank = replace(slow_strand(), readings=())
    assert make_board(Chair(state, ZONES, POWDER, at(20), strands=(blank,))).lanes == plain


def test_a_lane_that_waits_is_not_expected_before_the_plan_has_it():
    starts = (0.0, 45.0)
    log = [
        event(0, ConsultationFinished()),
        event(1, PlanTaken(tuple(ZONES), (20.0,) * len(ZONES), 60.0, starts)),
        event(2, ApplicationStarted("back", 20.0)),
        event(8, ApplicationFinished("back")),
    ]
    first, second = board(log, 12).lanes[:2]
    assert (second.started_at - first.started_at).total_seconds() / 60.0 == pytest.approx(45.0)
    late = board(log, 70).lanes[1]
    assert late.started_at == at(70)  # a plan that was missed is not a time in the past


def test_plans_say_when_each_lane_starts_or_nothing():
    with refused(LimitError, match="starts_min: must be 2 values"):
        PlanTaken(("a", "b"), (20.0, 20.0), 60.0, (0.0,))
    assert PlanTaken(("a",), (20.0,), 60.0).starts_min == ()
