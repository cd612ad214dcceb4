"""The fold: the same log gives the same state, however it arrives; what does not fit is refused or shown."""

import datetime as dt
import itertools

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from make import START, event

from fervens_core.errors import ConflictError, CoreError, LimitError
from fervens_core.events import (
    KINDS,
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    Event,
    EventVoided,
    PlanTaken,
    ReadingTaken,
    Rinsed,
    ServiceClosed,
    TonerApplied,
    TonerRinsed,
    data_from_json,
    data_to_json,
)
from fervens_core.readings import ReadingMode
from fervens_core.service import Phase, Step, check_addition, fold, live_events

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
        Step.TONE,
        Step.RECORD,
    ]
    state = fold(log)
    assert state.conflicts == ()
    assert state.lane("back").readings[-1].level == 8.0
    assert state.lane("back").toner.rinsed_at == log[13].occurred_at
    assert state.closed.change == "more time"


@settings(max_examples=40)
@given(st.randoms(use_true_random=False))
def test_order_of_arrival_does_not_matter(random):
    log = whole_log()
    shuffled = log[:]
    random.shuffle(shuffled)
    assert fold(shuffled) == fold(log)


def test_a_void_takes_an_event_back_as_if_it_had_not_been():
    log = whole_log()[:9]
    voided = [*log, event(50, EventVoided(log[8].event_id))]
    assert fold(voided).lane("back").readings == ()
    assert fold(voided).undoable.event_id == log[7].event_id
    assert [e.event_id for e in live_events(voided)] == [e.event_id for e in log[:8]]


def test_undo_of_what_others_rest_on_is_refused():
    log = whole_log()[:9]
    with pytest.raises(ConflictError, match="Later acts rest on this one") as caught:
        check_addition(log, event(50, EventVoided(log[5].event_id)))
    assert caught.value.code == "later_acts_depend"
    with pytest.raises(ConflictError, match="no such event"):
        check_addition(log, event(50, EventVoided("nothing")))


def test_an_acknowledgement_stands_under_a_finished_consultation():
    log = whole_log()
    void = event(50, EventVoided(log[0].event_id))
    assert check_addition(log[:1], void).acknowledged == frozenset()
    for length in (2, 3, 9):
        with pytest.raises(ConflictError, match="finished on this acknowledgement"):
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
        (6, BowlMixed("back", 20.0, 5.0, 5.0), "too_late"),
        (6, TONER, "not_rinsed"),
        (9, ServiceClosed(), "zones_open"),
        (10, Rinsed("back"), "already_rinsed"),
        (11, TonerRinsed("back"), "no_toner"),
        (13, TONER, "toner_on"),
        (13, ServiceClosed(), "toner_open"),
        (15, Rinsed("top"), "service_closed"),
        (15, EventVoided("e1"), "service_closed"),
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
        ("Rinsed", {}, "zone_key: must be given for Rinsed"),
        ("Rinsed", {"zone_key": 4}, "zone_key: must be a text"),
        ("Rinsed", {"zone_key": "a", "heat": 1}, "heat: must be a field of Rinsed"),
        ("ReadingTaken", {"zone_key": "a", "level": 11, "mode": "dry"}, r"level: must be a number from 1 to 10"),
        ("ReadingTaken", {"zone_key": "a", "level": 7, "mode": "guessed"}, "mode: must be one of through_product"),
        ("PlanTaken", {"zone_keys": ["a"], "volumes": [], "finish_min": 5}, "volumes: must be 1 values"),
        ("PlanTaken", {"zone_keys": [], "volumes": [], "finish_min": 5}, "zone_keys: must be at least one zone"),
        ("PlanTaken", {"zone_keys": "ab", "volumes": [], "finish_min": 5}, "zone_keys: must be a list"),
        ("BowlMixed", {"zone_key": "a", "volume_strength": 50, "product_g": 1, "developer_g": 1}, "volume_strength"),
        ("ServiceClosed", {"worked": "x" * 2001}, "worked: must be at most 2000 characters"),
    ],
)
def test_bad_events_are_named(kind, values, message):
    with pytest.raises(CoreError, match=message):
        data_from_json(kind, values)


def test_every_kind_of_event_is_in_the_log_above():
    assert {e.kind for e in whole_log()} | {"EventVoided"} == set(KINDS)


def test_a_moment_needs_its_time_zone():
    naive = dt.datetime(2026, 3, 1, 9, 0)  # noqa: DTZ001
    with pytest.raises(LimitError, match="occurred_at: must be a moment with a time zone"):
        Event("e", naive, START, "Ada", ConsultationFinished())


def test_one_bowl_fills_several_lanes():
    log = whole_log()[:3]
    both = fold([*log, event(16, BowlMixed("back", 22.0, 40.0, 60.0, "", ("top",)))])
    assert [(x.has_bowl, x.volume_strength) for x in both.lanes] == [(True, 22.0), (True, 22.0)]
    assert fold([*log, event(16, BowlMixed("back", 22.0, 40.0, 60.0))]).lanes[1].has_bowl is False
    # a lane that has its product on takes no bowl: the whole event does not fit, and nothing is half done
    started = [*log, event(16, ApplicationStarted("top", 25.0)), event(17, ApplicationFinished("top"))]
    late = fold([*started, event(18, BowlMixed("back", 22.0, 40.0, 60.0, "", ("top",)))])
    assert [c.code for c in late.conflicts] == ["too_late"]
    assert late.lanes[0].has_bowl is False
