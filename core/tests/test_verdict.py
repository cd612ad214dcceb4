"""The verdict, the visits it takes and the time in the chair."""

import pytest
from make import request, zone
from told import told

from fervens_core.colour import Undertone
from fervens_core.head import Density, Findings, HomeCare, Scalp, TestResult
from fervens_core.planning import Aim, chair_time, head_sessions, make_plan, make_verdict, sessions_needed, total_min
from fervens_core.planning.verdict import Sign, VerdictKind
from fervens_core.safety import lightening_cautions

CLEAR = {"patch_test": TestResult.NEGATIVE, "patch_test_age_h": 50.0}


def verdict(*zones, **findings):
    found = Findings(**CLEAR | findings)
    return make_verdict(found, zones, lightening_cautions(found, zones), request(*zones) if zones else None)


def test_go_today():
    found = verdict(zone("a", 6, 8, foil_count=5), zone("b", 6, 8, foil_count=5), booked_min=240.0)
    assert (found.kind, told(found.title), found.visits) == (VerdictKind.TODAY, "Go today", 1)
    assert all(line.sign is not Sign.STOP for line in found.lines)
    assert told(found.reach[0].text) == "all to 7.5"  # what is promised, where 8 is likely
    assert found.promised_level < 8.0 - 0.25 <= found.likely_level
    assert "4 h is booked" in " ".join(told(x.text) for x in found.lines)


def test_two_visits_with_what_each_reaches():
    found = verdict(zone("a", 2, 9, foil_count=5), zone("b", 4, 8, foil_count=4))
    assert (found.kind, told(found.title)) == (VerdictKind.VISITS, "Go in 2 visits")
    assert [r.visit for r in found.reach] == [1, 2]
    assert told(found.reach[1].text).endswith("A to 9")
    lane = next(x for x in make_plan(request(zone("a", 2, 9, foil_count=5), zone("b", 4, 8, foil_count=4))).lanes)
    assert found.promised_level < found.likely_level
    assert f"promise {lane.level_sure:.1f} today ({lane.level_at_rinse:.1f} is likely)" in told(found.lines[0].text)


def test_not_today_and_clarify_first():
    broken = verdict(zone("a", 6, 8), scalp=Scalp.BROKEN)
    assert broken.kind is VerdictKind.NOT_TODAY
    assert broken.lines[0].sign is Sign.STOP
    assert broken.chair == ()
    build_up = {"home_care": frozenset({HomeCare.ASH_SHAMPOO})}
    assert verdict(zone("a", 6, 8), **build_up).kind is VerdictKind.CLARIFY
    assert verdict(zone("a", 6, 8), **build_up, scalp=Scalp.BROKEN).kind is VerdictKind.NOT_TODAY
    assert verdict(zone("a", 6, 8), **build_up, is_clarified=True).kind is VerdictKind.TODAY


def test_nothing_read_and_nothing_to_lift():
    assert verdict().kind is VerdictKind.UNREAD
    kept = verdict(zone("a", 8, 8))
    assert kept.kind is VerdictKind.UNREAD
    assert "nothing" not in told(kept.title).lower()
    assert "No zone has anything to lift" in told(kept.lines[-1].text)


def test_a_wish_out_of_reach():
    # delicate hair stays at 20 vol, and each visit lifts a little less far
    found = verdict(zone("a", 1, 10, is_delicate=True, foil_count=30, pace_min_per_foil=1.4))
    assert found.kind is VerdictKind.VISITS
    assert found.visits is None or found.visits > 2


def test_too_little_time_asks_for_another_visit():
    zones = [zone(f"z{i}", 5, 8, foil_count=6) for i in range(6)]
    found = verdict(*zones, time_min=90.0)
    assert (found.kind, told(found.title), found.reach) == (VerdictKind.VISITS, "More time, or two visits", ())
    assert any("1 h 30 the client has" in told(line.text) for line in found.lines)


def test_a_long_day_is_flagged_whatever_time_there_is():
    long = [zone(f"z{i}", 3, 9, foil_count=14) for i in range(12)]
    for more in ({}, {"time_min": 900.0}):
        found = verdict(*long, **more)
        (line,) = [x for x in found.lines if "a long day" in told(x.text)]
        assert line.sign is Sign.CARE
        assert found.needed_min > 300.0
    assert not any("a long day" in told(x.text) for x in verdict(zone("a", 5, 8)).lines)


def test_an_undertone_of_another_level_is_named():
    found = verdict(zone("a", 9, 10, undertone=Undertone.YELLOW_ORANGE))
    assert any("yellow-orange is what a 7 shows" in told(line.text) for line in found.lines)
    assert not any("shows" in told(x.text) for x in verdict(zone("a", 7, 9, undertone=Undertone.YELLOW_ORANGE)).lines)


def test_an_open_patch_test_is_said():
    found = verdict(zone("a", 6, 8), patch_test=TestResult.NOT_DONE, patch_test_age_h=None)
    assert any("non-oxidative toner today" in told(x.text) for x in found.lines)


def test_an_empty_shelf_is_said():
    zones = (zone("a", 6, 8),)
    found = make_verdict(Findings(**CLEAR), zones, (), None)
    assert any("shelf has no lightener" in told(x.text) for x in found.lines)


def test_gentle_takes_more_visits_than_quick():
    hard = zone("a", 3, 9, foil_count=4)
    gentle, quick = (
        head_sessions(r, make_plan(r)) for r in (request(hard, aim=Aim.GENTLE), request(hard, aim=Aim.QUICK))
    )
    assert sessions_needed(gentle) == 2
    assert sessions_needed(quick) == 1
    assert gentle[0].levels[0] < 8.2 < gentle[0].levels[1]
    assert sessions_needed(()) == 0


@pytest.mark.parametrize("count", [1, 8])
def test_chair_time_is_the_sum_of_its_parts(count):
    zones = tuple(zone(f"z{i}", 5, 8.5, foil_count=6, density=Density.THICK) for i in range(count))
    wanted = request(*zones)
    plan = make_plan(wanted)
    items = {told(x.name): x.minutes for x in chair_time(plan, wanted)}
    assert items["applying"] == pytest.approx(count * 7.2)
    trips = sum(v.at_min < max(x.end_min for x in plan.lanes) for v in plan.visits)
    assert items.get("trips to the basin between", 0.0) == wanted.pace.rinse_min * trips
    assert items["drying"] == 30.0
    lightening = [
        items.get(k, 0.0) for k in ("applying", "trips to the basin between", "processing and changing zones")
    ]
    assert sum(lightening) == pytest.approx(plan.finish_min)
    assert total_min(chair_time(plan, wanted)) > plan.finish_min
    assert chair_time(make_plan(request()), request()) == ()


def test_own_pace_makes_the_chair_time():
    slow, brisk = (
        total_min(chair_time(make_plan(request(*z)), request(*z)))
        for z in (tuple(zone(f"z{i}", 6, 8, pace_min_per_foil=p) for i in range(4)) for p in (2.0, 0.8))
    )
    assert slow > brisk + 4 * 6 * (2.0 - 0.8) * 0.9
