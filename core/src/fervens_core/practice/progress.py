"""What is kept of a round that is over, and what rounds and drills together say of an eye."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Annotated

from fervens_core.base import Count, Level, Number, Whole, Within, contract
from fervens_core.head import ReadingMode
from fervens_core.lift import EyePair, learn_eye
from fervens_core.practice.eye_drill import SCREEN_WEIGHT
from fervens_core.practice.outcome import EyeTold, Outcome

PAIRS_MOST = 200
"""Of one round."""
Lanes = Annotated[Whole, Within(0, 240)]
Minutes = Annotated[Number, Within(-1e5, 1e5, "min")]


@dataclass(frozen=True, slots=True)
@contract
class SeenPair:
    """A level as it was named of hair in a round, and as that hair was."""

    mode: ReadingMode
    seen: Level
    known: Level


@dataclass(frozen=True, slots=True)
@contract
class RoundNumbers:
    """A round in numbers.

    Args:
        on_target: lanes within half a level; walls_kept: lanes rinsed within their label. minutes: from the first
        section to the last rinse; advised_minutes: of the board's own advice, None without a plan. worst: levels the
        worst lane missed by; tone_delta_e: of the part farthest from its wish. None where there was none.
    """

    lanes: Lanes
    on_target: Lanes
    walls_kept: Lanes
    minutes: Minutes
    looks: Annotated[Whole, Within(0, 100000)]
    advised_minutes: Minutes | None = None
    worst: Annotated[Number, Within(0.0, 9.0, "levels")] | None = None
    tone_delta_e: Annotated[Number, Within(0.0, 200.0)] | None = None


@dataclass(frozen=True, slots=True)
@contract
class RoundResult:
    """What is kept of a round: its numbers, and what its readings say of the eye."""

    numbers: RoundNumbers
    pairs: Annotated[tuple[SeenPair, ...], Count(0, PAIRS_MOST, "readings")] = ()


def result_of(outcome: Outcome) -> RoundResult:
    """What is kept of a round's outcome."""
    done = outcome.done
    tones = [t.delta_e for t in outcome.tones]
    numbers = RoundNumbers(
        lanes=done.lanes if done else 0,
        on_target=done.on_target if done else 0,
        walls_kept=sum(not x.is_passed_wall for x in outcome.lanes),
        minutes=done.minutes if done else 0.0,
        looks=done.looks if done else 0,
        advised_minutes=outcome.advised.minutes if outcome.advised else None,
        worst=done.worst if done else None,
        tone_delta_e=max(tones) if tones else None,
    )
    pairs = [SeenPair(r.mode, r.level, min(max(r.true_level, 1.0), 10.0)) for r in outcome.readings]
    return RoundResult(numbers, tuple(pairs[-PAIRS_MOST:]))


def eyes_over(results: Sequence[RoundResult], drilled: Sequence[EyePair]) -> tuple[EyeTold, ...]:
    """A member's eye in each way of reading, from rounds and drills together: all on a screen, so all weak evidence."""
    found = []
    for mode in ReadingMode:
        of_rounds = [p for r in results for p in r.pairs if p.mode is mode]
        pairs = [EyePair(mode, p.seen, p.known, weight=SCREEN_WEIGHT) for p in of_rounds]
        pairs += [p for p in drilled if p.mode is mode]
        if pairs:
            eye = learn_eye(mode, pairs)
            found.append(EyeTold(mode, len(pairs), eye.bias, eye.bias_std, eye.spread))
    return tuple(found)


def minutes_over_advice(results: Sequence[RoundResult]) -> float | None:
    """How much longer rounds took than by the board's own advice, on average, min; None where nothing is to compare."""
    over = [n.minutes - n.advised_minutes for r in results if (n := r.numbers).advised_minutes is not None and n.lanes]
    return sum(over) / len(over) if over else None
