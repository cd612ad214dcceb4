"""What to do next with a lane, from what is believed of it. Never past the wall. docs/models/advice.md."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

FIRST_CHECK_MIN = 10.0
CHECK_GAP_MIN, CHECK_GAP_MAX = 5.0, 10.0
"""Check first at 10 min, then every 5 to 10 (common practice, no source)."""
WALL_WARNING_MIN = 10.0
CHANCE_SHORT = 0.25
LEVEL_READY_MARGIN = 0.15
SHORT_IN_DOUBT_BEFORE_MIN = 15.0


class Act(StrEnum):
    """What a lane asks for."""

    LEAVE = "leave"
    READ = "read"
    RINSE = "rinse"
    STOP = "stop"
    SHORT = "short"


@dataclass(frozen=True, slots=True)
class LaneAdvice:
    """Advice for one lane.

    Args:
        act: what to do. due_min: when, in min after application (may be past). text: said in a few words.
    """

    act: Act
    due_min: float
    text: str


def next_check_min(*, last_reading_min: float | None, ready_early_min: float, wall_min: float) -> float:
    """When to look next, in min after application.

    First at 10 min, or sooner when the zone may be ready sooner; then half the way to the early end of its window,
    held to 5..10 min; never later than the wall.
    """
    if last_reading_min is None:
        due = min(FIRST_CHECK_MIN, max(ready_early_min, CHECK_GAP_MIN))
    else:
        ahead = ready_early_min - last_reading_min
        gap = CHECK_GAP_MAX if not math.isfinite(ahead) else min(max(ahead / 2.0, CHECK_GAP_MIN), CHECK_GAP_MAX)
        due = last_reading_min + gap
    return min(due, max(wall_min, 0.0))


def advise(
    *,
    now_min: float,
    wall_min: float,
    likely_level_now: float,
    target_level: float,
    ready_min: tuple[float, float, float],
    chance_by_wall: float,
    level_at_wall: float,
    last_reading_min: float | None,
    reading_count: int,
) -> LaneAdvice:
    """Advice for a lane that is processing.

    Args:
        now_min, wall_min: min after application; the wall is the label's time.
        ready_min: (early, likely, late), infinity for never.
        chance_by_wall: 0 to 1. level_at_wall: likely level then.
    """
    if now_min >= wall_min:
        return LaneAdvice(Act.STOP, wall_min, "The label's time is up: rinse now")
    check = next_check_min(last_reading_min=last_reading_min, ready_early_min=ready_min[0], wall_min=wall_min)
    if reading_count > 0 and likely_level_now >= target_level - LEVEL_READY_MARGIN:
        return LaneAdvice(Act.RINSE, now_min, "Ready: rinse this zone")
    if now_min >= check:
        return LaneAdvice(Act.READ, check, "Wipe and read")
    if reading_count > 0 and chance_by_wall < CHANCE_SHORT and wall_min - now_min <= SHORT_IN_DOUBT_BEFORE_MIN:
        return LaneAdvice(
            Act.SHORT,
            check,
            f"Stops near {level_at_wall:.1f} by the label's time: plan a deeper tone or another visit",
        )
    if reading_count > 0 and ready_min[1] < check:
        return LaneAdvice(Act.LEAVE, ready_min[1], "Leave; likely ready before the next look")
    return LaneAdvice(Act.LEAVE, check, "Leave it")
