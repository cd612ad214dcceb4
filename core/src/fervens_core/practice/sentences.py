"""The three sentences of a debrief: two things that worked and one to change. docs/models/practice.md."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import Message, say
from fervens_core.head import ReadingMode, TestResult
from fervens_core.log import PracticeAsked, ToneBowlApplied, TonerApplied, Topic
from fervens_core.practice.debrief import LATE_MIN, outcome_of
from fervens_core.practice.mishaps import Mishaps
from fervens_core.practice.outcome import Outcome
from fervens_core.practice.rounds import Round
from fervens_core.practice.setup import Person, person_of

EYE_TRUE_LEVELS, EYE_OFF_LEVELS, EYE_READINGS = 0.15, 0.25, 5
"""[MODEL] an eye that is so little off is true, so far off is worth a word, after so many readings."""
BURN_MIN = 3.0
LOOKS_MORE = 1.6
"""[MODEL] so many times the openings that the board's advice takes, a third of them early, are too many."""
SLOW_MIN = 12.0


@dataclass(frozen=True, slots=True)
class Sentences:
    """Two things that worked, at most, and one to change."""

    worked: tuple[Message, ...]
    change: Message


@dataclass(frozen=True, slots=True)
class FoundOut:
    """One hidden thing of the person: whether it was so, and whether it was asked or tested for."""

    topic: Topic
    is_so: bool
    was_asked: bool


def found_out(played: Round) -> tuple[FoundOut, ...]:
    """What there was to find out, and what was."""
    person = person_of(played.setup)
    asked = {e.data.topic for e in played.live if isinstance(e.data, PracticeAsked)}
    is_so = {
        Topic.REACTIONS: person.reacts,
        Topic.HISTORY: person.had_tint,
        Topic.HOME_CARE: bool(person.home_care),
        Topic.SCALP: person.is_scalp_sensitive,
        Topic.STRETCH: person.elasticity.value != "returns",
        Topic.SALTS: person.has_salts,
    }
    return tuple(FoundOut(topic, is_so[topic], topic in asked) for topic in Topic)


def debrief_of(played: Round) -> tuple[Outcome, Sentences]:
    """What a round came to, and its three sentences."""
    outcome = outcome_of(played)
    return outcome, sentences_of(played, outcome)


Weighed = list[tuple[float, Message]]


def sentences_of(played: Round, outcome: Outcome) -> Sentences:
    """Two things that worked and one to change, the weightiest of each."""
    person = person_of(played.setup)
    worked: Weighed = []
    change: Weighed = []
    _person(played, person, worked, change)
    if outcome.lanes:
        _lanes(outcome, worked, change)
        _looks(outcome, worked, change)
        _eye(outcome, worked, change)
        _mishaps(outcome, worked, change)
        _tone(outcome, worked, change)
    else:
        _unstarted(played, person, worked, change)
    worked.sort(key=lambda x: -x[0])
    change.append((0.0, say("debrief_change-harder")))
    return Sentences(tuple(m for _, m in worked[:2]), max(change, key=lambda x: x[0])[1])


def _unstarted(played: Round, person: Person, worked: Weighed, change: Weighed) -> None:
    if person.has_salts and played.findings.salts_test is TestResult.POSITIVE:
        worked.append((99.0, say("debrief_worked-declined")))
    else:
        change.append((50.0, say("debrief_change-not_started")))


def _person(played: Round, person: Person, worked: Weighed, change: Weighed) -> None:
    asked = {x.topic for x in found_out(played) if x.was_asked}
    has_lightened = played.chair is not None and any(x.started_at for x in played.chair.state.lanes)
    keys = [e.data.shade_key for e in played.live if isinstance(e.data, TonerApplied | ToneBowlApplied)]
    oxidative = {s.key for s in played.shades if s.is_oxidative}
    if person.has_salts and has_lightened:
        change.append((100.0, say("debrief_change-salts")))
    if person.reacts and any(k in oxidative for k in keys):
        change.append((100.0, say("debrief_change-reacted")))
    elif person.reacts and Topic.REACTIONS not in asked:
        change.append((84.0, say("debrief_change-never_asked")))
    elif person.reacts:
        worked.append((70.0, say("debrief_worked-asked_reactions")))
    if person.had_tint and Topic.HISTORY not in asked:
        change.append((62.0, say("debrief_change-history")))
    elif person.had_tint:
        worked.append((50.0, say("debrief_worked-asked_history")))
    if any(s.readings for s in (played.request.strands if played.request else ())):
        worked.append((45.0, say("debrief_worked-strand")))


def _lanes(outcome: Outcome, worked: Weighed, change: Weighed) -> None:
    lanes = outcome.lanes
    passed = [x for x in lanes if x.is_passed_wall]
    over = [x for x in lanes if not x.is_on_target and x.miss > 0.0]
    short = [x for x in lanes if not x.is_on_target and x.miss < 0.0]
    could = [x for x in short if x.best_end - x.true_end > 0.3]
    on_target = len(lanes) - len(over) - len(short)
    if on_target == len(lanes):
        worked.append((80.0, say("debrief_worked-all_on_target", count=len(lanes))))
    elif on_target >= 0.75 * len(lanes):
        worked.append((60.0, say("debrief_worked-most_on_target", count=on_target, of=len(lanes))))
    elif on_target:
        worked.append((10.0, say("debrief_worked-some_on_target", count=on_target, of=len(lanes))))
    if passed:
        change.append((92.0, say("debrief_change-passed_wall", lane=passed[0].name, count=len(passed))))
    else:
        worked.append((40.0, say("debrief_worked-walls")))
    unread = [x for x in lanes if not x.looks and x.minutes is not None]
    if len(unread) > len(lanes) / 2:
        change.append((88.0, say("debrief_change-unread", count=len(unread), of=len(lanes))))
    if over:
        worst = max(over, key=lambda x: x.miss)
        change.append((78.0, say("debrief_change-too_long", lane=worst.name, levels=worst.miss)))
    if could:
        worst = min(could, key=lambda x: x.miss)
        change.append((76.0, say("debrief_change-too_soon", lane=worst.name, levels=-worst.miss)))
    elif short:
        worst = min(short, key=lambda x: x.miss)
        change.append((52.0, say("debrief_change-planned_short", lane=worst.name, levels=-worst.miss)))
    done, advised = outcome.done, outcome.advised
    if done and advised and done.minutes <= advised.minutes + 3.0:
        worked.append((35.0, say("debrief_worked-time", minutes=done.minutes)))
    if done and advised and done.minutes > advised.minutes + SLOW_MIN:
        change.append((42.0, say("debrief_change-slow", minutes=done.minutes - advised.minutes)))


def _looks(outcome: Outcome, worked: Weighed, change: Weighed) -> None:
    lanes = outcome.lanes
    looks, early = sum(x.looks for x in lanes), sum(x.early_looks for x in lanes)
    fewer = outcome.advised.looks if outcome.advised else 2 * len(lanes)
    if looks >= LOOKS_MORE * fewer and early >= looks / 3:
        change.append((74.0, say("debrief_change-too_many_looks", count=looks, fewer=fewer)))
    elif looks and early <= 0.2 * looks:
        worked.append((48.0, say("debrief_worked-looks", count=looks)))
    late = [x for x in lanes if x.late_min > LATE_MIN and x.miss > 0.25]
    if late:
        worst = max(late, key=lambda x: x.late_min)
        change.append((58.0, say("debrief_change-late", lane=worst.name, minutes=worst.late_min)))


def _eye(outcome: Outcome, worked: Weighed, change: Weighed) -> None:
    own = [e for e in outcome.eyes if e.count >= EYE_READINGS and e.mode is not ReadingMode.THROUGH_PRODUCT]
    if not own:
        return
    eye = max(own, key=lambda e: e.count)
    if abs(eye.bias) >= EYE_OFF_LEVELS:
        way = "light" if eye.bias > 0.0 else "dark"
        change.append((86.0, say(f"debrief_change-eye_{way}", levels=abs(eye.bias), count=eye.count, mode=eye.mode)))
    elif abs(eye.bias) <= EYE_TRUE_LEVELS:
        worked.append((65.0, say("debrief_worked-eye", count=eye.count)))


def _mishaps(outcome: Outcome, worked: Weighed, change: Weighed) -> None:
    for told in outcome.mishaps:
        if told.kind is Mishaps.BURNS:
            if told.seen_to_min is None or told.seen_to_min > BURN_MIN:
                change.append((98.0, say("debrief_change-burn")))
            else:
                worked.append((75.0, say("debrief_worked-burn", minutes=told.seen_to_min)))
        if told.kind is Mishaps.SLIPPED and told.seen_to_min is None:
            change.append((48.0, say("debrief_change-slipped")))
        if told.kind is Mishaps.DRIED and told.seen_to_min is None:
            change.append((48.0, say("debrief_change-dried")))
        if told.kind is Mishaps.STALE and told.seen_to_min is None:
            change.append((47.0, say("debrief_change-stale")))


def _tone(outcome: Outcome, worked: Weighed, change: Weighed) -> None:
    if not outcome.tones:
        return
    far = max(outcome.tones, key=lambda t: t.delta_e)
    if far.delta_e <= 5.0:
        worked.append((55.0, say("debrief_worked-tone")))
    elif far.delta_e > 8.0:
        change.append((54.0, say("debrief_change-tone", lane=far.name)))
