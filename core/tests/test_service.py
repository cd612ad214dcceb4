"""The fold: the same log gives the same state, however it arrives; what does not fit is refused or shown."""

import datetime as dt
import itertools

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from make import START, event
from told import refused

from fervens_core.base import ConflictError, CoreError, LimitError
from fervens_core.head import Covering, DyeHue, Elasticity, ReadingMode, ScalpFeel, Tone
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BarrierLeft,
    BowlMixed,
    BowlPart,
    CautionAcknowledged,
    ConsultationFinished,
    CoveringChanged,
    DeveloperChanged,
    DriedOut,
    Event,
    EventVoided,
    Grab,
    HairNoted,
    HeatEnded,
    HeatStarted,
    LightenerRefreshed,
    LighteningResumed,
    Phase,
    PlanTaken,
    ProbeRead,
    ProductDragged,
    ReadingTaken,
    ReviewFinished,
    Rinsed,
    ServiceClosed,
    ShadowSet,
    Step,
    ToneBowlApplied,
    ToneFormulaSet,
    TonerApplied,
    TonerEmulsified,
    TonerPulledBack,
    TonerRinsed,
    TonersEmulsified,
    TonersRinsed,
    TonerStrandRead,
    WaveRinsed,
    WishSet,
    check_addition,
    data_from_json,
    data_to_json,
    fold,
    live_events,
    merge_addition,
)
from fervens_core.log.events import KINDS

TONER = TonerApplied("back", "fog", "Fog 9", 12.0, 15.0, 22.5)


def whole_log():
    data = [
        CautionAcknowledged("professional_use"),
        ConsultationFinished(),
        PlanTaken(("back", "top"), (20.0, 25.0), 60.0),
        BowlMixed("back", 20.0, 20.0, 30.0, "30 g of 20 vol"),
        ApplicationStarted("back", 20.0),
        ApplicationFinished("back"),
        ApplicationStarted("top", 25.0),
        ApplicationFinished("top"),
        ReadingTaken("back", 6.5, ReadingMode.WIPED),
        Rinsed("back"),
        Rinsed("top"),
        ReadingTaken("back", 8.0, ReadingMode.DRY),
        ReviewFinished(),
        TONER,
        TonerRinsed("back"),
        ServiceClosed("fresh bowls", "more time"),
    ]
    return [event(5.0 * i, d) for i, d in enumerate(data)]


def test_steps_follow_the_log():
    log = whole_log()
    steps = [fold(log[:n]).step for n in range(len(log) + 1)]
    assert [k for k, _ in itertools.groupby(steps)] == [
        Step.CONSULTATION,
        Step.PLAN,
        Step.CHAIR,
        Step.REVIEW,
        Step.TONE,
        Step.RECORD,
    ]
    state = fold(log)
    assert state.conflicts == ()
    assert state.lane("back").readings[-1].level == 8.0
    assert state.lane("back").toner.rinsed_at == log[14].occurred_at
    assert state.closed.change == "more time"


@settings(max_examples=40)
@given(st.randoms(use_true_random=False))
def test_order_of_arrival_does_not_matter(random):
    log = whole_log()
    shuffled = log[:]
    random.shuffle(shuffled)
    assert fold(shuffled) == fold(log)


def test_one_act_more_on_a_known_state_is_the_fold_of_all():
    log = whole_log()
    for n, new in enumerate(log):
        assert check_addition(log[:n], new, fold(log[:n])) == fold(log[: n + 1])
    late = [e for e in log if e is not log[4]]
    assert check_addition(late[:6], log[4], fold(late[:6])) == fold(log[:7])


def test_a_void_takes_an_event_back_as_if_it_had_not_been():
    log = whole_log()[:9]
    voided = [*log, event(50, EventVoided(log[8].event_id))]
    assert fold(voided).lane("back").readings == ()
    assert fold(voided).undoable.event_id == log[7].event_id
    assert [e.event_id for e in live_events(voided)] == [e.event_id for e in log[:8]]


def test_undo_of_what_others_rest_on_is_refused():
    log = whole_log()[:9]
    with refused(ConflictError, match="Later acts rest on this one") as caught:
        check_addition(log, event(50, EventVoided(log[5].event_id)))
    assert caught.value.code == "later_acts_depend"
    with refused(ConflictError, match="no such event"):
        check_addition(log, event(50, EventVoided("nothing")))


def test_an_acknowledgement_stands_under_a_finished_consultation():
    log = whole_log()
    void = event(50, EventVoided(log[0].event_id))
    assert check_addition(log[:1], void).acknowledged == frozenset()
    for length in (2, 3, 9):
        with refused(ConflictError, match="finished on this acknowledgement"):
            check_addition(log[:length], void)


@pytest.mark.parametrize(
    ("length", "data", "code"),
    [
        (0, PlanTaken(("a",), (20.0,), 40.0), "consultation_open"),
        (3, ApplicationFinished("back"), "not_applying"),
        (3, ReadingTaken("back", 7.0, ReadingMode.WIPED), "nothing_to_read"),
        (3, Rinsed("back"), "nothing_to_rinse"),
        (3, ApplicationStarted("ear", 20.0), "unknown_zone"),
        (5, ApplicationStarted("back", 20.0), "already_started"),
        (6, PlanTaken(("back",), (20.0,), 40.0), "already_started"),
        (10, BowlMixed("back", 20.0, 5.0, 5.0), "too_late"),
        (4, HeatStarted("back"), "not_processing"),
        (6, HeatEnded("back"), "not_warm"),
        (3, HairNoted("back", scalp=ScalpFeel.WARM), "nothing_on"),
        (5, DeveloperChanged("back", 25.0), "already_started"),
        (6, ProductDragged("back", "top"), "already_started"),
        (4, ProductDragged("top", "back"), "nothing_to_drag"),
        (10, WaveRinsed(("top", "back")), "already_rinsed"),
        (6, TONER, "not_rinsed"),
        (9, ServiceClosed(), "zones_open"),
        (10, Rinsed("back"), "already_rinsed"),
        (11, TonerRinsed("back"), "no_toner"),
        (14, TONER, "toner_on"),
        (14, ServiceClosed(), "toner_open"),
        (16, Rinsed("top"), "service_closed"),
        (16, EventVoided("e1"), "service_closed"),
    ],
)
def test_acts_that_do_not_fit_are_refused(length, data, code):
    with pytest.raises(ConflictError) as caught:
        check_addition(whole_log()[:length], event(300, data))
    assert caught.value.code == code


def test_two_devices_rinsing_the_same_zone_leaves_one_rinse_and_a_conflict():
    log = whole_log()[:10]
    twice = [*log, event(46, Rinsed("back"), late=2.0)]
    state = fold(twice)
    assert [c.code for c in state.conflicts] == ["already_rinsed"]
    assert state.lane("back").rinsed_at == log[9].occurred_at


def test_rinsing_while_applying_ends_the_application_too():
    state = fold([*whole_log()[:5], event(23, Rinsed("back"))])
    assert state.lane("back").phase is Phase.RINSED
    assert state.lane("back").finished_at == START + dt.timedelta(minutes=23)


@pytest.mark.parametrize("entry", whole_log(), ids=lambda e: e.kind)
def test_events_go_to_json_and_back(entry):
    assert data_from_json(entry.kind, data_to_json(entry.data)) == entry.data


@pytest.mark.parametrize(
    ("kind", "values", "message"),
    [
        ("Dreamt", {}, "kind: must be one of CautionAcknowledged"),
        ("Rinsed", {}, "zone_key: must be given"),
        ("Rinsed", {"zone_key": 4}, "zone_key: must be a text"),
        ("Rinsed", {"zone_key": "a", "heat": 1}, "heat: must be a field of Rinsed"),
        ("ReadingTaken", {"zone_key": "a", "level": 11, "mode": "dry"}, r"level: must be a number from 1 to 10"),
        ("ReadingTaken", {"zone_key": "a", "level": 7, "mode": "guessed"}, "mode: must be one of through_product"),
        ("PlanTaken", {"zone_keys": ["a"], "volumes": [], "finish_min": 5}, "volumes: must be 1 values"),
        ("PlanTaken", {"zone_keys": [], "volumes": [], "finish_min": 5}, "zone_keys: must be 1 to 120 lanes"),
        ("PlanTaken", {"zone_keys": "ab", "volumes": [], "finish_min": 5}, "zone_keys: must be a list"),
        ("BowlMixed", {"zone_key": "a", "volume_strength": 50, "product_g": 1, "developer_g": 1}, "volume_strength"),
        ("ServiceClosed", {"worked": "x" * 2001}, "worked: must be at most 2000 characters"),
    ],
)
def test_bad_events_are_named(kind, values, message):
    with refused(CoreError, match=message):
        data_from_json(kind, values)


def test_every_kind_of_event_is_folded_in_these_tests():
    kinds = {e.kind for log in (whole_log(), worked_log(), toned_log()) for e in log}
    practice = {"FoilOpened", "PracticeAsked", "MishapMet"}  # they change nothing: test_practice.py
    assert kinds | {"EventVoided"} | practice == set(KINDS)


def toned_log():
    """A head that is lightened once more, reviewed again, and toned with a root shadow."""
    data = [
        *(e.data for e in whole_log()[:11]),
        ReadingTaken("back", 7.0, ReadingMode.DRY, (), 1.0, DyeHue.GREEN, 0.4),
        ReviewFinished(),
        LighteningResumed(("back",), (10.0,), (7.0,)),
        ApplicationStarted("back.again", 10.0),
        ApplicationFinished("back.again"),
        Rinsed("back.again"),
        ReviewFinished(),
        WishSet(Tone.PEARL, 8.5),
        ShadowSet(6.0, 30.0, 12.0),
        ProbeRead("top", Grab.MUCH),
        TonerApplied("top", "fog", "Fog 9", 12.0, 15.0, 22.5, "rime", "Rime 10", 0.75, 1.5),
        TonerApplied("top", "deep", "Deep 6", 15.0, 9.0, 9.0, part="shadow", length_mm=30.0, blend_mm=12.0),
        TonerEmulsified("top"),
        TonerStrandRead("top", 0.5),
        TonerPulledBack("top", 16.0),
        TonerRinsed("top"),
        ToneFormulaSet(("back.again",), "fog"),
        ToneBowlApplied("fog", "Fog 9", (BowlPart("back.again", 10.0, 8.0, 12.0, 2.0),)),
        TonersEmulsified(("back.again",)),
        TonersRinsed(("back.again",)),
    ]
    return [event(5.0 * i, d) for i, d in enumerate(data)]


def test_a_bowl_on_many_parts_is_toner_on_each_at_its_own_moment():
    lane = fold(toned_log()).lane("back.again")
    assert lane.toner.applied.zone_key == "back.again"
    put, rinsed = (next(e for e in toned_log() if isinstance(e.data, k)) for k in (ToneBowlApplied, TonersRinsed))
    assert put.occurred_at - lane.toner.applied_at == dt.timedelta(minutes=2)
    assert lane.toner.rinsed_at == rinsed.occurred_at
    assert dict(fold(toned_log()).own_formulas)["back.again"].shade_key == "fog"


def test_a_head_lightened_again_is_at_the_chair_and_reviewed_again():
    log = toned_log()
    steps = [fold(log[:n]).step for n in range(11, len(log) + 1)]
    wanted = [Step.REVIEW, Step.TONE, Step.CHAIR, Step.REVIEW, Step.TONE]
    assert [k for k, _ in itertools.groupby(steps)] == wanted
    state = fold(log)
    assert state.conflicts == ()
    assert state.lane("back.again").again_of == "back"
    assert state.lane("back").readings[-1].rest == "green"
    assert state.wish.tone == "pearl"
    assert state.shadow.length_mm == 30.0


def test_a_toner_is_moved_on_by_its_own_events_and_its_root_shadow_apart():
    top = fold(toned_log()).lane("top")
    assert top.grab is Grab.MUCH
    assert top.toner.minutes == 16.0
    assert top.toner.is_pulled_back
    assert top.toner.strands[0].deposit_share == 0.5
    assert not top.toner.is_on
    assert top.shadow.is_on
    assert top.shadow.applied.blend_mm == 12.0


@pytest.mark.parametrize(
    ("minutes", "data", "code"),
    [
        (52, TONER, "not_rinsed"),
        (70, TonerRinsed("back"), "no_toner"),
        (70, TonerEmulsified("back"), "no_toner"),
        (70, ShadowSet(6.0, 0.0), None),
        (70, LighteningResumed(("back", "back"), (10.0, 10.0), (7.0, 7.0)), "already_again"),
    ],
)
def test_what_cannot_be_at_the_basin(minutes, data, code):
    log = whole_log()[:11] if minutes > 60 else whole_log()[:9]
    if code is None:
        assert check_addition(log, event(minutes, data)).shadow is None
        return
    with pytest.raises(ConflictError) as raised:
        check_addition(log, event(minutes, data))
    assert raised.value.code == code


def test_a_service_with_a_shadow_still_on_is_not_filed():
    with pytest.raises(ConflictError) as raised:
        check_addition(toned_log(), event(200, ServiceClosed()))
    assert raised.value.code == "toner_open"


@pytest.mark.parametrize(
    ("make", "field"),
    [
        (lambda: WishSet("mauve", 8.0), "tone"),
        (lambda: WishSet(Tone.ICY, 8.0, 361.0), "hue_deg"),
        (lambda: ShadowSet(6.0, 30.0, 40.0), "blend_mm"),
        (lambda: TonerApplied("top", "a", "A", 10.0, 5.0, 5.0, share=0.5), "share"),
        (lambda: TonerRinsed("top", "fringe"), "part"),
        (lambda: LighteningResumed(("a", "b"), (10.0,), (7.0, 7.0)), "volumes"),
        (lambda: ReadingTaken("a", 7.0, ReadingMode.DRY, (), 2.0), "warmth"),
        (lambda: ReadingTaken("a", 7.0, ReadingMode.DRY, (), 0.0, "mud"), "rest"),
    ],
)
def test_limits_of_the_events_at_the_basin(make, field):
    with refused(LimitError, match=f"^{field}: must be"):
        make()


def worked_log():
    """A lane to which everything is done that can be done to a lane."""
    data = [
        ConsultationFinished(),
        PlanTaken(
            ("back", "back.ends", "top"), (20.0, 20.0, 25.0), 60.0, (0.0, 8.0, 5.0), (50.0, 50.0, 50.0), (1, 1, 1)
        ),
        DeveloperChanged("top", 30.0, "back lifts less"),
        ApplicationStarted("back", 20.0),
        ApplicationFinished("back"),
        HeatStarted("back"),
        HeatEnded("back"),
        ProductDragged("back.ends", "back"),
        BarrierLeft("back"),
        CoveringChanged("back", Covering.FOIL),
        DriedOut("back"),
        BowlMixed("back", 20.0, 10.0, 15.0),
        LightenerRefreshed("back", 20.0, True),
        ApplicationFinished("back"),
        HairNoted("back", Elasticity.SLOW, ScalpFeel.WARM),
        WaveRinsed(("back", "back.ends")),
    ]
    return [event(3.0 * i, d) for i, d in enumerate(data)]


def test_what_is_done_to_a_lane_is_kept_on_it():
    log = worked_log()
    state = fold(log)
    assert state.conflicts == ()
    back = state.lane("back")
    assert [a.volume_strength for a in back.applications] == [20.0, 20.0]
    assert back.finished_at == log[4].occurred_at
    assert [(h.from_at, h.to_at) for h in back.heats] == [(log[5].occurred_at, log[6].occurred_at)]
    assert [c for _, c in back.coverings] == [Covering.OPEN_AIR, Covering.FOIL]
    assert (back.is_dried, back.is_barrier) == (False, False)
    assert (back.elasticity, back.scalp) == (Elasticity.SLOW, ScalpFeel.WARM)
    assert (back.rinsed_at, state.lane("back.ends").rinsed_at) == (log[15].occurred_at,) * 2
    assert state.lane("back.ends").applications[0].dragged_from == "back"
    assert state.lane("top").volume_strength == 30.0
    assert fold(log[:11]).lane("back").is_dried
    assert fold(log[:9]).lane("back").is_barrier
    # while new product goes on the zone is being applied again, and it can be read once its last section is on
    assert [fold(log[:n]).lane("back").phase for n in (12, 13, 14)] == [
        Phase.PROCESSING,
        Phase.APPLYING,
        Phase.PROCESSING,
    ]


def test_two_hands_at_once_merge_and_a_conflict_is_kept_and_shown():
    log = whole_log()[:9]
    seen = {e.event_id for e in log}
    first = event(45, Rinsed("back"), by="Ada")
    both = [*log, first]
    # the other device did not know: its rinse is kept as a conflict, with who and when, and moves nothing
    second = event(45.5, Rinsed("back"), by="Ben")
    state = merge_addition(both, second, seen=seen)
    assert [(c.by, c.code, c.zone_key, c.kind) for c in state.conflicts] == [
        ("Ben", "already_rinsed", "back", "Rinsed")
    ]
    assert state.lane("back").rinsed_at == first.occurred_at
    # it knew: refused
    with refused(ConflictError, match="rinsed already"):
        merge_addition(both, second, seen=seen | {first.event_id})
    # it never fitted: refused, whatever it knew
    with refused(ConflictError, match="no zone"):
        merge_addition(both, event(46, Rinsed("ear")), seen=seen)
    # sent late, it lands where it belongs: what the other did meanwhile is the conflict then
    early = event(44, Rinsed("back"), by="Ben", late=9.0)
    state = merge_addition(both, early, seen=seen)
    assert state.lane("back").rinsed_at == early.occurred_at
    assert [c.by for c in state.conflicts] == ["Ada"]
    # what fits both is simply added
    reading = event(45.5, ReadingTaken("top", 7.0, ReadingMode.WIPED), by="Ben")
    assert merge_addition(both, reading, seen=seen).conflicts == ()


def test_a_moment_needs_its_time_zone():
    naive = dt.datetime(2026, 3, 1, 9, 0)  # noqa: DTZ001
    with refused(LimitError, match="occurred_at: must be a moment with a time zone"):
        Event("e", naive, START, "Ada", ConsultationFinished())


def test_one_bowl_fills_several_lanes():
    log = whole_log()[:3]
    both = fold([*log, event(16, BowlMixed("back", 22.0, 40.0, 60.0, "", ("top",)))])
    assert [(x.has_bowl, x.volume_strength) for x in both.lanes] == [(True, 22.0), (True, 22.0)]
    assert fold([*log, event(16, BowlMixed("back", 22.0, 40.0, 60.0))]).lanes[1].has_bowl is False
    # a rinsed lane takes no bowl: the whole event does not fit, and nothing is half done
    started = [*log, event(16, ApplicationStarted("top", 25.0)), event(17, Rinsed("top"))]
    late = fold([*started, event(18, BowlMixed("back", 22.0, 40.0, 60.0, "", ("top",)))])
    assert [c.code for c in late.conflicts] == ["too_late"]
    assert late.lanes[0].has_bowl is False
