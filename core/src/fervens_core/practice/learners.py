"""Scripted learners: heads worked by a rule, for benches, tests and for what the board's own advice would have come to.

They act through the log, as a learner does: the same chair, the same truth, readings in half levels.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace
from datetime import datetime
from itertools import count

import numpy as np

from fervens_core.chair import Board, Chair, Lane, after, make_board
from fervens_core.head import ReadingMode, lanes_of
from fervens_core.lift import mode_bias, mode_std
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    Event,
    EventData,
    MishapMet,
    Phase,
    PlanTaken,
    ReadingTaken,
    Rinsed,
    fold,
)
from fervens_core.planning import Plan, PlanRequest, make_plan
from fervens_core.practice.mishaps import Mishaps, answers_of
from fervens_core.practice.rounds import Round
from fervens_core.practice.setup import Setup
from fervens_core.practice.truth import truth_of

LOOK_MIN = 0.5
STEP_MIN = 1.0
LONGEST_MIN = 600.0


@dataclass(frozen=True, slots=True)
class Seen:
    """What a learner sees of a lane: how long it has been on, when it was last looked at and what was read then."""

    lane: Lane
    on_min: float
    looks: int
    since_look_min: float
    last_level: float | None


Does = Callable[[Seen], str]
"""What a learner does about a lane that is on: "read", "rinse", or "" for nothing now."""


def follows_advice(seen: Seen) -> str:
    """Does what the board says, when it says so."""
    advice = seen.lane.advice
    if advice is None or seen.on_min < advice.due_min - 1e-6:
        return ""
    act = advice.then if advice.act.value == "leave" else advice.act
    return "read" if act.value == "read" else "rinse"


def looks_every(minutes: float, first_min: float = 10.0) -> Does:
    """Looks at every lane so often, and rinses what was read at its target, or at the label's time."""

    def does(seen: Seen) -> str:
        if seen.on_min >= seen.lane.wall_min - 1.0:
            return "rinse"
        if seen.last_level is not None and seen.last_level >= seen.lane.target_level and seen.since_look_min < 0.1:
            return "rinse"
        is_due = seen.on_min >= first_min if not seen.looks else seen.since_look_min >= minutes
        return "read" if is_due else ""

    return does


def rinses_at(minutes: float) -> Does:
    """Looks at nothing and rinses after a fixed time."""

    def does(seen: Seen) -> str:
        return "rinse" if seen.on_min >= min(minutes, seen.lane.wall_min - 0.5) else ""

    return does


@dataclass
class _Hands:
    """One pair of hands at a simulated chair, with the log they write."""

    setup: Setup
    request: PlanRequest
    plan: Plan
    now: datetime
    eye_off: float
    random: np.random.Generator
    events: list[Event] = field(default_factory=list)
    ids: count[int] = field(default_factory=lambda: count(1))

    def act(self, data: EventData) -> None:
        """One event more, now; a moment later than the one before, so that the order of the hand is kept."""
        self.now = after(self.now, 1.0 / 60_000.0)
        self.events.append(Event(f"e{next(self.ids)}", self.now, self.now, "learner", data))

    def chair(self) -> Chair:
        """The chair now."""
        request = self.request
        return Chair(
            state=fold(self.events),
            zones={z.key: z for z in request.choice.on(lanes_of(request.zones))},
            lightener=request.lightener,
            now=self.now,
            has_additive=request.choice.has_additive,
            strands=request.strands,
            others=request.others,
            pace=request.pace,
            known=request.choice.known_head,
        )

    def pass_by(self, minutes: float) -> None:
        """Time goes by."""
        self.now = after(self.now, minutes)

    def read(self, key: str) -> float:
        """Opens, wipes and names a level, to the half."""
        chair = self.chair()
        truth = truth_of(self.setup, chair, self.events)
        level = truth.level_at(chair.state.lane(key), self.now)
        seen = level + mode_bias(ReadingMode.WIPED) + self.eye_off
        seen += float(self.random.normal()) * mode_std(ReadingMode.WIPED)
        told = float(np.clip(round(seen * 2.0) / 2.0, 1.0, 10.0))
        self.act(ReadingTaken(key, told, ReadingMode.WIPED))
        self.pass_by(LOOK_MIN)
        return told


def play(
    setup: Setup,
    request: PlanRequest,
    does: Does,
    *,
    begins: datetime,
    eye_off: float = 0.0,
    seed: int = 0,
    is_heedful: bool = True,
) -> Round:
    """A round as a scripted learner plays it, up to the last rinse.

    Args:
        does: about each lane that is on. begins: with time zone. eye_off: levels its eye reads too light.
        seed: of what it misreads. is_heedful: rinses at once where it burns.
    """
    plan = make_plan(request)
    hands = _Hands(setup, request, plan, begins, eye_off, np.random.default_rng([setup.seed, seed]))
    lanes = plan.lanes
    hands.act(ConsultationFinished())
    hands.act(
        PlanTaken(
            tuple(x.zone.key for x in lanes),
            tuple(x.volume_strength for x in lanes),
            plan.finish_min,
            tuple(x.start_min for x in lanes),
            tuple(x.rinse_min for x in lanes),
            tuple(x.visit for x in lanes),
        )
    )
    applying: tuple[str, datetime] | None = None
    to_go = [(x.zone.key, x.start_min, x.volume_strength, x.end_min - x.start_min) for x in lanes]
    rinsed: set[str] = set()
    while len(rinsed) < len(lanes) and (hands.now - begins).total_seconds() < LONGEST_MIN * 60.0:
        if applying is not None and hands.now >= applying[1]:
            hands.act(ApplicationFinished(applying[0]))
            applying = None
        minute = (hands.now - begins).total_seconds() / 60.0
        if applying is None and to_go and minute >= to_go[0][1] - 1e-6:
            key, _, volume, took = to_go.pop(0)
            hands.act(BowlMixed(key, volume, 20.0, 30.0))
            hands.act(ApplicationStarted(key, volume))
            applying = (key, after(hands.now, took))
        rinsed |= _watch(hands, does, rinsed, is_heedful=is_heedful)
        hands.pass_by(STEP_MIN)
    return Round(
        setup=setup,
        chair=hands.chair(),
        events=tuple(hands.events),
        zones=request.zones,
        request=request,
    )


def _watch(hands: _Hands, does: Does, rinsed: set[str], *, is_heedful: bool) -> set[str]:
    """Looks at what is on; the lanes that were rinsed."""
    off: set[str] = set()
    chair = hands.chair()
    burning = _burning(hands, chair) if is_heedful else {}
    for key, mishap in burning.items():
        hands.act(MishapMet(mishap))
        if key not in rinsed:
            hands.act(Rinsed(key))
            off.add(key)
    if not any(x.phase is Phase.PROCESSING for x in chair.state.lanes):
        return off
    board = make_board(chair)
    for lane in board.lanes:
        if lane.key in rinsed | off or lane.phase is not Phase.PROCESSING:
            continue
        if _do(hands, does, lane, board) == "rinse":
            off.add(lane.key)
    return off


def _do(hands: _Hands, does: Does, lane: Lane, board: Board) -> str:
    last = lane.readings[-1] if lane.readings else None
    on_min = (hands.now - lane.zero_at).total_seconds() / 60.0
    since = on_min - last.minute if last else np.inf
    seen = Seen(lane, on_min, len(lane.readings), since, last.level if last else None)
    act = does(seen)
    if act == "read":
        level = hands.read(lane.key)
        again = does(replace(seen, looks=seen.looks + 1, since_look_min=0.0, last_level=level))
        if again != "rinse" or does is follows_advice:
            return "read"
        act = again
    if act == "rinse":
        hands.act(Rinsed(lane.key))
    return act


def _burning(hands: _Hands, chair: Chair) -> dict[str, str]:
    truth = truth_of(hands.setup, chair, hands.events)
    told = answers_of(hands.events)
    return {
        m.lane_key: m.key
        for m in truth.mishaps
        if m.kind is Mishaps.BURNS and m.lane_key and m.at <= hands.now and m.key not in told
    }
