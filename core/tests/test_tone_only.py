"""A service that only tones: brassy stripes at 8 and 6, no lightener today."""

import dataclasses

import pytest
from make import at, event, zone
from test_basin import CLEAR, SHELF
from told import refused, told

from fervens_core.base import ConflictError, LimitError
from fervens_core.basin import lanes_today, read_zones, tone_step
from fervens_core.chair import Chair
from fervens_core.formats import ServiceFile, read_service_file, tone_answer, write_service_file
from fervens_core.head import (
    NO_LIGHTENER,
    Elasticity,
    Findings,
    History,
    Scalp,
    ServiceKind,
    TestResult,
    Tone,
    kept_parts_of,
    lanes_of,
)
from fervens_core.log import ConsultationFinished, EventVoided, PlanTaken, Step, TonerApplied, TonerRinsed, fold
from fervens_core.planning import tone_verdict
from fervens_core.planning.verdict import VerdictKind
from fervens_core.safety import Severity, toning_cautions

ZONES = (
    zone("crown", 8.0, 8.0, history=History.LIGHTENED),
    zone("back", 6.0, 6.0, history=History.LIGHTENED),
)
ON = ConsultationFinished(("crown", "back"), (8.0, 6.0))


def there(*more, zones=ZONES):
    state = fold([event(0, ON), *(event(m, d) for m, d in more)])
    assert state.conflicts == ()
    lanes = lanes_today(zones, state, ServiceKind.TONE_ONLY)
    return Chair(state, {z.key: z for z in lanes}, NO_LIGHTENER, at(20))


def test_nothing_is_lightened_and_every_part_may_be_toned():
    wished = tuple(dataclasses.replace(z, target_level=10.0) for z in ZONES)
    assert lanes_of(wished, ServiceKind.TONE_ONLY) == ()
    assert [z.key for z in kept_parts_of(wished, ())] == ["crown", "back"]


def test_it_goes_from_the_consultation_to_the_tone():
    assert there().state.step is Step.TONE
    assert fold([event(0, ON, event_id="on"), event(1, EventVoided("on"))]).step is Step.CONSULTATION
    # a service that lightens goes to its plan, as before
    assert fold([event(0, ConsultationFinished())]).step is Step.PLAN


def test_parts_are_known_as_the_consultation_read_them_and_need_no_second_look():
    reads = read_zones(there())
    assert [(r.lane.key, r.result.level, r.is_read, r.is_kept) for r in reads] == [
        ("crown", 8.0, True, True),
        ("back", 6.0, True, True),
    ]
    # lightened from a level nobody read: warm as lifted hair is, not grey as it grows
    assert all(r.before_level == 4.0 for r in reads)
    assert all(r.result.lab[2] > 15.0 for r in reads)


def test_both_stripes_get_a_bowl_and_are_rinsed():
    found = tone_step(there(), SHELF, findings=CLEAR, tone=Tone.NEUTRAL)
    assert {x.key for x in found.lanes} == {"crown", "back"}
    assert all(x.proposal for x in found.lanes)
    first = found.acts[0]
    on = TonerApplied(first.ids[0], "fog", "Fog", 15.0, 12.0, 18.0)
    state = there((2, on), (17, TonerRinsed(first.ids[0]))).state
    assert state.step is Step.TONE
    assert state.lane(first.ids[0]).toner.rinsed_at == at(17)


def test_a_plan_is_not_taken_on_top_of_it():
    state = fold([event(0, ON), event(1, TonerApplied("crown", "fog", "Fog", 15.0, 12.0, 18.0))])
    assert state.toners_on == 1
    assert state.lanes == ()


def test_levels_stand_beside_their_parts():
    with refused(LimitError, match="levels: must be 2 values, one for each zone, got 1"):
        ConsultationFinished(("crown", "back"), (8.0,))


@pytest.mark.parametrize(
    ("findings", "code", "severity"),
    [
        (Findings(scalp=Scalp.BROKEN), "scalp_broken", Severity.BLOCK),
        (Findings(allergies="hair dye, years ago"), "reaction_open", Severity.BLOCK),
        (Findings(age_years=14), "under_16", Severity.WARN),
    ],
)
def test_what_holds_for_the_person_holds_here_too(findings, code, severity):
    found = {c.code: c.severity for c in toning_cautions(findings, ZONES)}
    assert found[code] is severity
    assert "toning_use" in found


def test_what_is_about_lifting_does_not_stand_in_the_way():
    salts = Findings(salts_test=TestResult.POSITIVE, elasticity=Elasticity.SLOW)
    codes = {c.code for c in toning_cautions(salts, ZONES)}
    assert not codes & {"metallic_salts", "elasticity_slow", "lightened", "no_strand_test"}
    gummy = (zone("back", 8.0, 8.0, history=History.LIGHTENED, elasticity=Elasticity.STAYS_STRETCHED),)
    assert "frail_toned" in {c.code for c in toning_cautions(Findings(), gummy)}


def test_the_verdict_is_to_tone_today_and_for_how_long():
    found = tone_verdict(CLEAR, ZONES, toning_cautions(CLEAR, ZONES))
    assert (found.kind, told(found.title), found.visits) == (VerdictKind.TODAY, "Tone today", 1)
    assert told(found.lines[0].text) == "2 parts go to the basin as read; nothing is lightened."
    assert 40.0 < found.needed_min < 90.0
    assert tone_verdict(CLEAR, (), ()).kind is VerdictKind.UNREAD
    blocked = Findings(scalp=Scalp.BROKEN)
    assert tone_verdict(blocked, ZONES, toning_cautions(blocked, ZONES)).kind is VerdictKind.NOT_TODAY


def test_a_file_of_it_answers_with_its_toner_and_comes_back_the_same():
    file = ServiceFile("Ida Fern", kind=ServiceKind.TONE_ONLY, zones=ZONES, toners=tuple(SHELF), findings=CLEAR)
    document = write_service_file(file)
    document["events"] = [
        {
            "at_min": 0,
            "by": "M",
            "kind": "ConsultationFinished",
            "data": {"tone_keys": ["crown", "back"], "levels": [8, 6]},
        }
    ]
    read = read_service_file(document)
    assert read.kind is ServiceKind.TONE_ONLY
    assert write_service_file(read)["kind"] == "tone_only"
    answer = tone_answer(read)
    assert {p.key for p in answer.parts} == {"crown", "back"}
    assert answer.blocked is None
    with refused(ConflictError, match="No plan has been taken"):
        tone_answer(dataclasses.replace(read, events=()))


def test_a_plan_taken_later_makes_it_a_lightening_again():
    state = fold([event(0, ConsultationFinished()), event(1, PlanTaken(("crown",), (20.0,), 40.0))])
    assert state.step is Step.CHAIR
