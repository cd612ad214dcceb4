"""At the chair: what is done to a lane moves its curve, what must stop stops, and the plan follows what is learnt."""

from dataclasses import replace

import numpy as np
import pytest
from make import ANY, BOTTLES, POWDER, Apart, at, event, request, zone
from told import refused, told

from fervens_core.base import ConflictError
from fervens_core.chair import Chair, bowls_to_mix, head_belief, lane_options, lane_times, make_board
from fervens_core.chair.advice import Act
from fervens_core.head import Covering, Elasticity, Hair, ReadingMode, ScalpFeel, lanes_of
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BarrierLeft,
    BowlMixed,
    ConsultationFinished,
    CoveringChanged,
    DeveloperChanged,
    DriedOut,
    HairNoted,
    HeatStarted,
    LightenerRefreshed,
    Phase,
    PlanTaken,
    ProductDragged,
    ReadingTaken,
    Rinsed,
    WaveRinsed,
    fold,
)
from fervens_core.planning import BowlStyle, VolumeStep, make_plan

WARMABLE = replace(POWDER, is_heat_allowed=True, max_applications=2)
ZONES = {z.key: z for z in (zone("back", 3, 8, foil_count=5), zone("top", 3, 8, foil_count=5))}
PLAN = PlanTaken(("back", "top"), (22.0, 26.0), 60.0, (0.0, 8.0), (50.0, 50.0), (1, 1))
ON = [
    event(0, ConsultationFinished()),
    event(1, PLAN),
    event(3, ApplicationStarted("back", 22.0)),
    event(9, ApplicationFinished("back")),
]


def chair(log, minute, lightener=POWDER, zones=ZONES) -> Chair:
    return Chair(fold(log), zones, lightener, at(minute))


def board(log, minute, lightener=POWDER, wanted=None, zones=ZONES):
    return make_board(chair(log, minute, lightener, zones), wanted)


def back(log, minute, lightener=POWDER, zones=ZONES):
    return board(log, minute, lightener, zones=zones).lanes[0]


def level(lane, minute):
    return float(np.interp(minute, [p.minute for p in lane.curve], [p.level_likely for p in lane.curve]))


def read(minute, value, key="back", mode=ReadingMode.WIPED):
    return event(minute, ReadingTaken(key, value, mode))


def options(log, minute, lightener=POWDER, key="back", zones=ZONES):
    there = chair(log, minute, lightener, zones)
    times = lane_times(there)
    return {(o.kind, o.covering): o for o in lane_options(there, head_belief(there, times), times, key)}


def test_heat_lifts_faster_and_drying_holds_the_level():
    plain = back(ON, 30)
    warm = back([*ON, event(20, HeatStarted("back"))], 30)
    dry = back([*ON, event(20, DriedOut("back"))], 30)
    assert level(warm, 11) == pytest.approx(level(plain, 11), abs=1e-3)
    assert level(warm, 20) > level(plain, 20) + 0.2
    assert level(dry, 40) == pytest.approx(level(plain, 11), abs=0.02)
    assert [told(n) for n in warm.notes] == ["warmed"]
    assert [told(n) for n in dry.notes] == ["dried, stopped"]
    # its label's time runs on: the product is on the hair still
    assert dry.wall_min == plain.wall_min


def test_a_refresh_is_a_new_application_with_a_new_wall():
    log = [*ON, read(29, 7.0), event(40, LightenerRefreshed("back", 22.0, True))]
    going = board(log, 41)
    assert (going.lanes[0].phase, going.lanes[0].advice) == (Phase.APPLYING, None)
    assert (going.acts[0].code, told(going.acts[0].title)) == ("finish", "Finish the new product on Back")
    lane = back([*log, event(44, ApplicationFinished("back"))], 45)
    assert lane.phase is Phase.PROCESSING
    assert lane.wall_min == pytest.approx(40 + 50 - 9)
    assert level(lane, 60) > level(back(ON, 45), 41) + 0.3
    assert "refreshed" in [told(n) for n in lane.notes]
    assert lane.application_count == 2


def test_a_stale_bowl_counts_on_less_and_asks_for_a_new_one():
    planned = [event(-31, ConsultationFinished()), event(-30, PLAN)]
    fresh = [*planned, event(2, BowlMixed("back", 22.0, 15.0, 22.5)), *ON[2:]]
    stale = [*planned, event(-21, BowlMixed("back", 22.0, 15.0, 22.5)), *ON[2:]]
    assert back(fresh, 40).lift_lost_share == 0.0
    old = back(stale, 40)
    assert old.lift_lost_share == pytest.approx(0.10)  # 30 min at its last section, life 20, 1 % a minute
    assert level(old, 30) < level(back(fresh, 40), 30) - 0.3
    assert "stale bowl, lifts 10% less" in [told(n) for n in old.notes]
    # in use: named with its age; past its life a new one is asked for, unless one large bowl was chosen
    going = [*planned, event(-20, BowlMixed("back", 22.0, 15.0, 22.5, "", ("top",))), ON[2]]
    seen = board(going, 4)
    assert [(b.number, b.mass_g, b.stale_at) for b in seen.bowls] == [(1, 37.5, at(0))]
    assert (seen.acts[0].code, told(seen.acts[0].title)) == ("mix", "New bowl for Back")
    assert "24 min old" in told(seen.acts[0].detail)
    large = board(going, 4, wanted=request(*ZONES.values(), bowl_style=BowlStyle.LARGE))
    assert large.acts[0].code == "finish"
    renewed = board([*going, event(4.5, BowlMixed("back", 22.0, 15.0, 22.5))], 5)
    assert renewed.acts[0].code == "finish"
    assert [b.number for b in renewed.bowls] == [1, 2]  # the first still waits for the top
    # a bowl for a lane that waits goes stale as well
    waits = [*ON, event(10, BowlMixed("top", 26.0, 15.0, 22.5))]
    assert [told(a.title) for a in board(waits, 20).acts if a.code == "start"] == ["Start Top"]
    assert "New bowl for Top" in [told(a.title) for a in board(waits, 31).acts]


@pytest.mark.parametrize(
    ("note", "says"),
    [
        (HairNoted("back", scalp=ScalpFeel.BURNS), "scalp burns: rinse at once with cool water"),
        (HairNoted("back", elasticity=Elasticity.STAYS_STRETCHED), "stays stretched"),
        (HairNoted("back", elasticity=Elasticity.SNAPS), "snaps"),
    ],
)
def test_discomfort_and_gumminess_stop_at_once(note, says):
    lane = back([*ON, event(15, note)], 15.1)
    assert lane.advice.act is Act.STOP
    assert says in told(lane.advice.text)
    first = board([*ON, event(15, note)], 15.1).acts[0]
    assert (first.code, told(first.title)) == ("stop", "Rinse Back now")
    # while it is still being applied, too
    assert back([*ON[:3], event(5, note)], 6).advice.act is Act.STOP
    # noted fine again, or rinsed, nothing stops any more
    well = event(16, HairNoted("back", Elasticity.RETURNS, ScalpFeel.FINE))
    assert back([*ON, event(15, note), well], 17).advice.act is not Act.STOP
    assert back([*ON, event(15, note), event(16, Rinsed("back"))], 17).advice is None


def test_warnings_come_ten_and_three_minutes_before_the_wall():
    lane = back(ON, 20)
    assert lane.warn_mins == pytest.approx((lane.wall_min - 10, lane.wall_min - 3))


def test_readings_open_the_foil_and_a_dry_reading_does_not():
    wiped = back([*ON, read(20, 6.5)], 40)
    dry = back([*ON, read(20, 6.5, mode=ReadingMode.RINSED_WET)], 40)
    assert wiped.curve != dry.curve


def test_zones_ready_together_are_rinsed_together():
    log = [*ON, event(10, ApplicationStarted("top", 26.0)), event(16, ApplicationFinished("top"))]
    log += [read(24, 7.5), read(24.5, 7.5, "top"), read(30, 8.5), read(30.5, 8.5, "top")]
    act = board(log, 31).acts[0]
    assert (act.code, act.zone_keys, told(act.title)) == ("rinse_wave", ("back", "top"), "Rinse Back and Top")
    done = board([*log, event(31.5, WaveRinsed(("back", "top")))], 32)
    assert [x.phase for x in done.lanes] == [Phase.RINSED, Phase.RINSED]


def test_the_last_section_of_one_zone_and_the_first_of_the_next_are_one_act():
    going = [*ON[:3], event(2, BowlMixed("top", 26.0, 15.0, 22.5))]
    act = next(a for a in board(going, 5).acts if a.code == "finish")
    assert (act.then_key, told(act.then)) == ("top", "Top")
    passed = event(6, ApplicationStarted("top", 26.0, after_key="back"))
    done = board([*going, passed], 6.5)
    assert [x.phase for x in done.lanes] == [Phase.PROCESSING, Phase.APPLYING]
    apart = board([*going, event(6, ApplicationFinished("back")), event(6, ApplicationStarted("top", 26.0))], 6.5)
    assert done.lanes == apart.lanes
    # another hand has said already that it is on: what was meant is still done
    late = board([*going, event(5.5, ApplicationFinished("back")), passed], 6.5)
    assert late.lanes[0].zero_at == at(5.5)
    assert late.lanes[1].phase is Phase.APPLYING
    # with no bowl for the next, there is nothing to go on with
    assert next(a for a in board(ON[:3], 5).acts if a.code == "finish").then_key is None


def test_a_bowl_is_mixed_when_its_zone_is_due_not_before():
    taken = event(1, PlanTaken(("back", "top"), (22.0, 26.0), 80.0, (0.0, 40.0), (45.0, 80.0), (1, 2)))
    log = [ON[0], taken, *ON[2:]]
    seen = board(log, 12)
    mix = next(a for a in seen.acts if a.code == "mix")
    begun = seen.lanes[0].started_at
    assert (mix.due_at - begun).total_seconds() / 60 >= 38.0
    assert mix.then_key == "top"


def test_a_bowl_and_its_first_section_are_one_act_and_one_undo():
    mixed = event(3, BowlMixed("back", 22.0, 15.0, 22.5, "", ("top",), is_on=True))
    state = board([*ON[:2], mixed], 4)
    apart = [event(3, BowlMixed("back", 22.0, 15.0, 22.5, "", ("top",))), event(3, ApplicationStarted("back", 22.0))]
    assert state.lanes == board([*ON[:2], *apart], 4).lanes
    assert [x.phase for x in state.lanes] == [Phase.APPLYING, Phase.WAITING]


def test_a_bowl_still_to_be_mixed_holds_nothing_of_what_is_on_however_quick_the_hands():
    wanted, plan, _ = planned()
    zones = {z.zone.key: z.zone for z in plan.lanes}
    keys = [z.zone.key for z in plan.lanes]
    taken = PlanTaken(tuple(keys), tuple(20.0 for _ in keys), 90.0, tuple(float(5 * i) for i in range(len(keys))))
    log = [event(0, ConsultationFinished()), event(1, taken)]

    def to_mix(events, minute):
        there = Chair(fold(events), zones, POWDER, at(minute))
        return bowls_to_mix(there, lane_times(there), wanted)

    def grams(bowls):
        return sum(f.mass_g for b in bowls for f in b.fills)

    whole = grams(to_mix(log, 1))
    on = 0
    for i, key in enumerate(keys):  # one after the other at once: far quicker than planned
        bowl = to_mix(log, 2 + i / 10)[0]
        assert bowl.number == i + 1
        assert bowl.fills[0].lane_key == key
        assert grams(to_mix(log, 2 + i / 10)) == pytest.approx(whole - on)
        mine = next(f.mass_g for f in bowl.fills if f.lane_key == key)
        on += mine
        log += [event(2 + i / 10, BowlMixed(key, 20.0, mine / 2.5, mine * 0.6, is_on=True))]
        log += [event(2.05 + i / 10, ApplicationFinished(key))]
    assert to_mix(log, 5) == ()
    # a bowl that went stale under the hands is asked for anew, for what is left of its zone
    going = [
        event(0, ConsultationFinished()),
        event(1, taken),
        event(2, BowlMixed(keys[0], 20.0, 20.0, 30.0, is_on=True)),
    ]
    rest = to_mix(going, 23)
    assert rest[0].fills[0].lane_key == keys[0]
    assert rest[0].fills[0].mass_g < grams(to_mix(log[:2], 1)) / len(keys)


def test_a_look_at_several_parts_is_read_on_each():
    log = [*ON, event(10, ApplicationStarted("top", 26.0)), event(16, ApplicationFinished("top"))]
    both = board([*log, event(30, ReadingTaken("back", 7.5, ReadingMode.WIPED, also_for=("top", "back")))], 31)
    assert [[r.level for r in x.readings] for x in both.lanes] == [[7.5], [7.5]]


def test_the_last_placed_foils_are_marked_and_looked_at_before_the_rinse():
    assert not any(x.is_last_placed for x in board(ON, 20).lanes)  # the top still waits
    log = [*ON, event(10, ApplicationStarted("top", 26.0)), event(16, ApplicationFinished("top"))]
    assert [x.is_last_placed for x in board(log, 20).lanes] == [False, True]
    ready = [*log, read(30, 8.5, "top")]
    (act,) = [a for a in board(ready, 31).acts if a.zone_key == "top"]
    assert act.code == "rinse"
    assert "last foils, look at them first" in told(act.detail)


def test_options_say_what_they_do_and_what_is_forbidden():
    log = [*ON, read(29, 6.5)]
    found = options(log, 30, WARMABLE)
    heat, refresh = found["HeatStarted", None], found["LightenerRefreshed", None]
    assert heat.blocked is None
    assert heat.level_at_wall > found["DriedOut", None].level_at_wall
    assert refresh.volume_strength == 22.0
    assert not refresh.asks_label
    assert "stops at" in told(found["DriedOut", None].effect)
    assert told(found["CoveringChanged", Covering.OPEN_AIR].title) == "Pull it out of the foil"
    plain = options(log, 30)
    assert "does not allow heat" in told(plain["HeatStarted", None].blocked)
    assert plain["LightenerRefreshed", None].asks_label
    once = options(log, 30, replace(POWDER, max_applications=1))
    assert "allows one application in one visit" in told(once["LightenerRefreshed", None].blocked)
    on_scalp = {**ZONES, "back": replace(ZONES["back"], is_on_scalp=True)}
    assert "no heat on skin" in told(options(log, 30, WARMABLE, zones=on_scalp)["HeatStarted", None].blocked)
    warmed = options([*log, event(29.5, HeatStarted("back"))], 30, WARMABLE)
    assert ("HeatStarted", None) not in warmed
    assert ("HeatEnded", None) in warmed
    aired = options([*log, event(29.5, CoveringChanged("back", Covering.OPEN_AIR))], 30)
    assert ("CoveringChanged", Covering.FOIL) in aired
    assert options(log, 30, key="top") == {}
    with refused(ConflictError, match="no zone"):
        options(log, 30, key="ear")


def test_an_option_taken_does_what_it_said():
    log = [*ON, read(25, 6.5)]
    said = options(log, 30, WARMABLE)["HeatStarted", None]
    lane = back([*log, event(30, HeatStarted("back"))], 30.0, WARMABLE)
    assert lane.window_min.likely == pytest.approx(said.window_min.likely, abs=0.05)
    assert level(lane, lane.wall_min) == pytest.approx(said.level_at_wall, abs=0.01)


def test_product_is_dragged_to_the_ends_and_left_as_a_barrier():
    hair = Hair(5.0)
    whole = zone("back", 5, 8, foil_count=4, length_mm=300.0, root=Apart(hair, 20.0, 8.0), ends=Apart(hair, 80.0, 8.0))
    lanes = {x.key: x for x in lanes_of((whole,))}
    names = ("back", "back.ends", "back.root")
    assert set(names) <= set(lanes)
    plan = PlanTaken(names, (22.0,) * 3, 60.0)
    log = [event(0, ConsultationFinished()), event(1, plan), event(2, BowlMixed("back", 22.0, 15.0, 22.5))]
    log += [event(3, ApplicationStarted("back", 22.0)), event(9, ApplicationFinished("back"))]
    here = {k: lanes[k] for k in names}
    found = options(log, 32, zones=here)
    assert found["ProductDragged", None].to_key == "back.ends"
    assert told(found["BarrierLeft", None].title) == "Leave it on as a barrier, roots go on"
    dragged = board([*log, event(32, ProductDragged("back.ends", "back"))], 33, zones=here).lanes[1]
    assert (dragged.phase, dragged.volume_strength) == (Phase.PROCESSING, 22.0)
    assert dragged.lift_lost_share == pytest.approx(0.10)  # the product is 30 min old, its life 20
    assert "dragged product" in [told(n) for n in dragged.notes]
    barrier = board([*log, event(32, BarrierLeft("back"))], 60, zones=here).lanes[0]
    assert "barrier" in [told(n) for n in barrier.notes]
    assert level(barrier, 50) < level(board(log, 60, zones=here).lanes[0], 50)


def planned():
    """A head of four zones with its plan at the chair; the first two are on."""
    wanted = request(*(zone(k, 4, 8, foil_count=5) for k in ("back", "side", "crown", "top")), weakest=ANY)
    plan = make_plan(wanted)
    taken = PlanTaken(
        tuple(z.zone.key for z in plan.lanes),
        tuple(z.volume_strength for z in plan.lanes),
        plan.finish_min,
        tuple(z.start_min for z in plan.lanes),
        tuple(z.rinse_min for z in plan.lanes),
        tuple(z.visit for z in plan.lanes),
    )
    log = [event(0, ConsultationFinished()), event(1, taken)]
    for z in plan.lanes[:2]:
        log += [event(2 + z.start_min, ApplicationStarted(z.zone.key, z.volume_strength))]
        log += [event(2 + z.end_min, ApplicationFinished(z.zone.key))]
    return wanted, plan, log


def test_developers_of_zones_to_come_follow_what_is_learnt():
    wanted, plan, log = planned()
    zones = {z.zone.key: z.zone for z in plan.lanes}
    first = plan.lanes[0].zone.key
    minute = 2 + plan.lanes[1].end_min + 1

    def proposals(*readings):
        return board([*log, *readings], minute + 0.5, wanted=wanted, zones=zones).proposals

    assert proposals() == ()
    expected = level(board(log, minute, zones=zones).lanes[0], minute - 2 - plan.lanes[0].end_min)
    as_expected = round(expected * 2) / 2
    fast = proposals(read(minute - 1, min(as_expected + 1.5, 10.0), first), read(minute, as_expected + 1.5, first))
    slow = proposals(read(minute - 1, as_expected - 1.0, first), read(minute, as_expected - 1.0, first))
    assert [p.zone_key for p in fast] == [z.zone.key for z in plan.lanes[2:]]
    for p in fast:
        assert p.proposed_volume < p.volume_strength
        assert f"{p.volume_strength:g} → {p.proposed_volume:g} vol for {p.zone_name}" in told(p.reason)
        assert "more than expected" in told(p.reason)
    assert all(p.proposed_volume > p.volume_strength and "less than expected" in told(p.reason) for p in slow)
    # one hesitant look raises none by more than 5 vol; a second one may
    alone = proposals(read(minute, as_expected - 1.0, first))
    assert all(p.proposed_volume <= p.volume_strength + 5.0 for p in alone)
    assert max(p.proposed_volume - p.volume_strength for p in slow) > 5.0
    # taken on, it is the zone's developer and is not proposed again
    moved = [event(minute + 0.2, DeveloperChanged(p.zone_key, p.proposed_volume)) for p in fast]
    again = proposals(
        read(minute - 1, min(as_expected + 1.5, 10.0), first), read(minute, as_expected + 1.5, first), *moved
    )
    assert again == ()


@pytest.mark.parametrize("off", [0.0, 0.5, 1.0])
def test_hands_that_are_late_rinse_later_and_take_nothing_stronger(off):
    """Slower hands, weaker developer (common practice, no source): time lost is no reason for strength."""
    wanted, plan, log = planned()
    zones = {z.zone.key: z.zone for z in plan.lanes}
    first = plan.lanes[0].zone.key
    on_time = 2 + plan.lanes[1].end_min + 1
    expected = level(board(log, on_time, zones=zones).lanes[0], on_time - 2 - plan.lanes[0].end_min)
    seen = round(expected * 2) / 2 + off
    looks = [read(on_time - 1, seen, first), read(on_time, seen, first)]
    for late in (8, 16, 24):
        for p in board([*log, *looks], on_time + 0.5 + late, wanted=wanted, zones=zones).proposals:
            assert p.proposed_volume < p.volume_strength
            assert "less than expected" not in told(p.reason)


def test_nothing_stronger_is_proposed_once_scalp_or_hair_suffers():
    wanted, plan, log = planned()
    zones = {z.zone.key: z.zone for z in plan.lanes}
    first = plan.lanes[0].zone.key
    minute = 2 + plan.lanes[1].end_min + 1
    slow = [*log, read(minute - 1, 4.0, first), read(minute, 4.5, first)]
    assert board(slow, minute + 0.5, wanted=wanted, zones=zones).proposals
    for note in (
        HairNoted(first, scalp=ScalpFeel.WARM),
        HairNoted(first, elasticity=Elasticity.SLOW),
        HairNoted(first, scalp=ScalpFeel.BURNS),
    ):
        noted = [*slow, event(minute + 0.1, note)]
        assert board(noted, minute + 0.5, wanted=wanted, zones=zones).proposals == ()


def test_a_zone_that_must_stop_gets_neither_warmth_nor_new_product():
    found = options([*ON, event(29, HairNoted("back", scalp=ScalpFeel.BURNS))], 30, WARMABLE)
    assert "scalp burns" in told(found["HeatStarted", None].blocked)
    assert "scalp burns" in told(found["LightenerRefreshed", None].blocked)


def test_developers_stay_within_limits_and_bottles():
    wanted, plan, log = planned()
    zones = {z.zone.key: z.zone for z in plan.lanes}
    minute = 2 + plan.lanes[1].end_min + 1
    slow = [read(minute - 1, 4.0, plan.lanes[0].zone.key), read(minute, 4.5, plan.lanes[1].zone.key)]
    bottles = request(*wanted.zones, step=VolumeStep.BOTTLES)
    for p in board([*log, *slow], minute + 0.5, wanted=bottles, zones=zones).proposals:
        assert p.proposed_volume in [b.volume_strength for b in BOTTLES]
    weak = replace(wanted, lightener=replace(POWDER, max_volume=22.0))
    for p in board([*log, *slow], minute + 0.5, wanted=weak, zones=zones).proposals:
        assert p.proposed_volume <= 22.0
