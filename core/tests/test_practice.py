"""Practice: scripted learners get the debrief they should, the drill finds an eye, a round replays from its file."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace

import numpy as np
import pytest
from make import POWDER, START, at
from practice_rounds import a_debrief, a_round, a_setup, codes, head_on

from fervens_core.base import CoreError, LimitError, plain, read
from fervens_core.chair import make_board
from fervens_core.colour import Undertone
from fervens_core.formats import FileEvent, ServiceFile
from fervens_core.head import HomeCare, ReadingMode, TestResult, lanes_of
from fervens_core.log import (
    Answer,
    Event,
    FoilOpened,
    MishapMet,
    PracticeAsked,
    ReadingTaken,
    Topic,
    fold,
)
from fervens_core.practice import (
    HEADS,
    Difficulty,
    Round,
    RoundFile,
    RoundResult,
    answer_of,
    drill,
    drill_eye,
    drill_pairs,
    eyes_over,
    found_out,
    minutes_over_advice,
    outcome_of,
    person_of,
    random_head,
    read_round_file,
    result_of,
    sentences_of,
    setup_of,
    told_zones,
    with_names,
    write_round_file,
)

# scripted learners


def test_who_follows_advice_ends_on_target_and_is_told_so():
    outcome, told = a_debrief("advice", "six", 1)
    assert outcome.done.on_target == outcome.done.lanes == 6
    assert "debrief_worked-all_on_target" in codes(told)
    assert told.change.code == "debrief_change-harder"
    assert outcome.done.looks <= outcome.advised.looks + 6


def test_who_looks_every_five_minutes_is_told_of_looks_too_many():
    outcome, told = a_debrief("every5", "six", 1)
    assert outcome.done.looks >= 1.6 * outcome.advised.looks
    assert sum(x.early_looks for x in outcome.lanes) >= outcome.done.looks / 3
    assert told.change.code == "debrief_change-too_many_looks"


def test_who_rinses_at_a_fixed_time_is_told_to_look():
    outcome, told = a_debrief("fixed", "six", 1)
    assert outcome.done.looks == 0
    assert told.change.code == "debrief_change-unread"


def test_who_leaves_all_on_to_the_label_goes_past_the_target():
    outcome, told = a_debrief("late", "light", 2)
    assert max(x.miss for x in outcome.lanes) > 0.3 or any(x.is_passed_wall for x in outcome.lanes)
    assert outcome.best.worst < outcome.done.worst
    assert told.change.code in ("debrief_change-unread", "debrief_change-passed_wall", "debrief_change-too_long")


def test_an_eye_half_a_level_off_is_found_in_the_debrief():
    outcome, told = a_debrief("advice", "six", 1, eye_off=0.5)
    (eye,) = [e for e in outcome.eyes if e.mode is ReadingMode.WIPED]
    assert eye.bias == pytest.approx(0.5, abs=0.2)
    assert told.change.code == "debrief_change-eye_light"
    assert outcome.done.worst > a_debrief("advice", "six", 1)[0].done.worst


@pytest.mark.parametrize("seed", [3, 4])
def test_the_best_for_the_known_truth_is_no_worse_than_what_was_done(seed):
    for name in ("advice", "fixed"):
        for lane in a_debrief(name, "first", seed)[0].lanes:
            assert abs(lane.best_end - lane.target_level) <= abs(lane.miss) + 0.06


# the person


def test_what_is_hidden_is_answered_when_asked():
    for seed in range(40):
        setup = a_setup("tint", seed)
        person = person_of(setup)
        assert person.had_tint
        assert answer_of(setup, Topic.HISTORY).code == "practice_answer-history"
        assert (answer_of(setup, Topic.REACTIONS).code == "practice_answer-reactions") is person.reacts
        assert (answer_of(setup, Topic.SALTS).code == "practice_answer-salts") is person.has_salts
        has_violet = HomeCare.VIOLET_SHAMPOO in person.home_care
        assert (answer_of(setup, Topic.HOME_CARE).code == "practice_answer-home_care") >= has_violet
    assert any(person_of(a_setup("tint", s)).has_salts for s in range(40))
    assert all(told.hair.history.value == "virgin" for told in told_zones(a_setup("tint", 3)))


def test_lightening_hair_with_salts_outweighs_everything_and_declining_it_is_right():
    setup = next(s for s in (a_setup("tint", i) for i in range(60)) if person_of(s).has_salts)
    played = head_on(setup)
    assert sentences_of(played, outcome_of(played)).change.code == "debrief_change-salts"
    declined = Round(setup, None, (Event("x", at(0), at(0), "Ada", PracticeAsked(Topic.SALTS)),), setup.zones)
    declined = replace(declined, findings=replace(declined.findings, salts_test=TestResult.POSITIVE))
    told = sentences_of(declined, outcome_of(declined))
    assert told.worked[0].code == "debrief_worked-declined"


def test_what_was_never_asked_is_told():
    setup = next(s for s in (a_setup("first", i) for i in range(60)) if person_of(s).reacts)
    silent = head_on(setup)
    asked = head_on(setup, [(0.05, PracticeAsked(Topic.REACTIONS))])
    assert sentences_of(silent, outcome_of(silent)).change.code == "debrief_change-never_asked"
    assert sentences_of(asked, outcome_of(asked)).change.code != "debrief_change-never_asked"
    assert {x.topic for x in found_out(asked) if x.was_asked} == {Topic.REACTIONS}


# the drill


def test_the_drill_finds_half_a_level_within_sixty_answers():
    off = []
    for member in range(80):
        random = np.random.default_rng([member, 5])
        answers = []
        for number in range(5):
            for strand in drill(member * 10 + number):
                seen = strand.level + 0.5 + random.normal(0.0, 0.25)
                answers.append((float(np.clip(round(seen * 2.0) / 2.0, 1.0, 10.0)), strand.level))
        eye = drill_eye(ReadingMode.DRY, answers[:60])
        off.append(abs(eye.bias - 0.5))
    assert np.quantile(off, 0.95) <= 0.15


def test_a_drill_is_the_same_for_its_seed_and_spreads_over_the_scale():
    strands = drill(7)
    assert strands == drill(7) != drill(8)
    levels = sorted(s.level for s in strands)
    assert len(strands) == 12
    assert levels[0] < 5.0
    assert levels[-1] > 9.0
    assert all(isinstance(s.undertone, Undertone) and s.start_level < s.level for s in strands)


def test_answers_on_a_screen_are_weak_evidence():
    answers = [(7.5, 7.0)] * 12
    weak = drill_eye(ReadingMode.DRY, answers)
    strong = drill_eye(ReadingMode.DRY, answers * 4)
    assert strong.bias_std < weak.bias_std
    assert {p.weight for p in drill_pairs(ReadingMode.DRY, answers)} == {0.5}


# heads and files


def test_every_head_can_be_planned_with_every_difficulty():
    assert len(HEADS) == 12
    for i, head in enumerate(HEADS):
        difficulty = list(Difficulty)[i % len(Difficulty)]
        setup = setup_of(head, i, difficulty=difficulty)
        assert all(1.0 <= z.hair.start_level <= z.target_level <= 10.0 for z in told_zones(setup))
        assert lanes_of(told_zones(setup))


@pytest.mark.parametrize("difficulty", list(Difficulty))
def test_a_head_from_a_seed_is_the_same_for_everyone(difficulty):
    assert random_head(11, difficulty) == random_head(11, difficulty)
    assert len({random_head(s, difficulty) for s in range(6)}) > 3


def _file(played: Round) -> RoundFile:
    events = tuple(FileEvent((e.occurred_at - START).total_seconds() / 60.0, e.by, e.data) for e in played.events)
    service = ServiceFile(
        client="Practice", zones=played.zones, lightener=POWDER, developers=played.request.bottles, events=events
    )
    return RoundFile(played.setup, service)


def test_a_round_replays_exactly_from_its_file():
    import json

    played = a_round("advice", "first", 2)
    document = json.loads(json.dumps(write_round_file(_file(played))))
    back = read_round_file(document)
    assert back.setup == played.setup
    events = tuple(
        Event(f"e{i + 1}", START + dt.timedelta(minutes=e.at_min), START + dt.timedelta(minutes=e.at_min), e.by, e.data)
        for i, e in enumerate(back.service.events)
    )
    again = replace(played, setup=back.setup, events=events)
    assert plain(outcome_of(again)) == plain(outcome_of(played))


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"format": "other"}, "format"),
        ({"version": 2}, "version"),
        ({"version": True}, "version"),
        ({"more": 1}, "more"),
        ({"setup": {"head": "first", "seed": -1, "zones": []}}, "setup"),
        ({"service": {"format": "other"}}, "service.format"),
    ],
)
def test_a_file_that_is_not_as_it_should_be_is_refused_by_field(change, field):
    document = write_round_file(_file(a_round("advice"))) | change
    with pytest.raises((LimitError, CoreError)) as error:
        read_round_file(document)
    assert str(getattr(error.value, "field", "")).startswith(field)


def test_looks_are_counted_once_whether_opened_or_read():
    setup = a_setup("first")
    key = lanes_of(setup.zones)[0].key
    both = [(20.0, FoilOpened(key)), (20.5, ReadingTaken(key, 6.5, ReadingMode.WIPED)), (32.0, FoilOpened(key))]
    outcome = outcome_of(head_on(setup, both))
    assert [x.looks for x in outcome.lanes] == [2]
    assert make_board(head_on(setup, both).chair).lanes[0].readings[0].level == 6.5


def test_practice_events_change_no_state_and_are_nothing_to_undo():
    played = head_on(a_setup("first"))
    key = played.chair.state.lanes[0].key
    more = [Event("p", at(6), at(6), "Ada", d) for d in (FoilOpened(key), MishapMet("x", Answer.LET_BE))]
    assert fold([*played.events, *more]) == fold(played.events)


def test_rounds_and_drills_together_say_what_an_eye_is():
    results = [result_of(a_debrief("advice", "six", 1, eye_off=0.5)[0])] * 3
    (eye,) = eyes_over(results, ())
    assert eye.mode is ReadingMode.WIPED
    assert eye.bias == pytest.approx(0.5, abs=0.15)
    drilled = drill_pairs(ReadingMode.DRY, [(7.5, 7.0)] * 24)
    assert {e.mode for e in eyes_over(results, drilled)} == {ReadingMode.WIPED, ReadingMode.DRY}
    assert eyes_over(results, drilled)[0].count == results[0].numbers.looks * 3
    assert eyes_over((), ()) == ()


def test_what_is_kept_of_a_round_is_read_back_as_it_was():
    kept = result_of(a_debrief("fixed", "six", 1)[0])
    assert read(RoundResult, plain(kept)) == kept
    assert kept.numbers.looks == 0
    assert minutes_over_advice([kept]) == pytest.approx(kept.numbers.minutes - kept.numbers.advised_minutes)
    assert minutes_over_advice([]) is None


def test_zones_are_called_by_the_language_and_by_nothing_a_studio_wrote():
    setup = a_setup("first")
    named = with_names(setup, lambda message: message.code)
    assert [z.name for z in named.zones] == [f"head-{z.key}" for z in setup.zones]
    odd = replace(setup, zones=(replace(setup.zones[0], key="annas", name="Annas"),))
    assert with_names(odd, lambda m: m.code).zones[0].name == "practice_zone"
