"""The clock of a practice round: as fast as the learner wants, and still while nobody tells it to run."""

from __future__ import annotations

import datetime as dt
from typing import Any

from django.utils import timezone

from apps.services.models import PracticeRound

SPEED_MOST = 60.0
RUNS_ALONE_S = 20.0
"""A device tells its clock every few seconds; without it the clock stops, so that no round runs on overnight."""


def told(at: dt.datetime, speed: float) -> dict[str, Any]:
    """A clock as it is kept: that it is `at` now, and how many minutes go by in one."""
    return {"at": at.isoformat(), "told_at": timezone.now().isoformat(), "speed": speed}


def clock_now(row: PracticeRound) -> dt.datetime:
    """The moment in a round."""
    at, told_at = (dt.datetime.fromisoformat(row.clock[k]) for k in ("at", "told_at"))
    gone = min(max((timezone.now() - told_at).total_seconds(), 0.0), RUNS_ALONE_S)
    return at + dt.timedelta(seconds=gone * float(row.clock["speed"]))


def at_least(row: PracticeRound, moment: dt.datetime) -> None:
    """An act happened at a moment of the round: its clock is not behind that."""
    if moment > clock_now(row):
        row.clock = told(moment, float(row.clock["speed"]))
        row.save(update_fields=["clock"])
