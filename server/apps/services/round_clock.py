"""The clock of a practice round: as fast as the learner wants, and still while nobody tells it to run."""

from __future__ import annotations

import datetime as dt
from typing import Any

from django.utils import timezone

from apps.services.models import PracticeRound

SPEED_MOST = 60.0
RUNS_ALONE_S = 20.0
"""A device tells its clock every few seconds; without it the clock stops, so that no round runs on overnight."""


def told(at: dt.datetime, speed: float, until: dt.datetime | None = None) -> dict[str, Any]:
    """A clock as it is kept: that it is `at` now, how many minutes go by in one, and where it stops by itself."""
    stop = None if until is None else max(at, until).isoformat()
    return {"at": at.isoformat(), "told_at": timezone.now().isoformat(), "speed": speed, "until": stop}


def clock_now(row: PracticeRound) -> dt.datetime:
    """The moment in a round."""
    at, told_at = (dt.datetime.fromisoformat(row.clock[k]) for k in ("at", "told_at"))
    gone = min(max((timezone.now() - told_at).total_seconds(), 0.0), RUNS_ALONE_S)
    now, stop = at + dt.timedelta(seconds=gone * float(row.clock["speed"])), _until(row)
    return now if stop is None else min(now, stop)


def _until(row: PracticeRound) -> dt.datetime | None:
    kept = row.clock.get("until")  # clocks told before there was such a thing have none
    return None if kept is None else dt.datetime.fromisoformat(kept)


def at_least(row: PracticeRound, moment: dt.datetime) -> None:
    """An act happened at a moment of the round: its clock is not behind that."""
    if moment > clock_now(row):
        row.clock = told(moment, float(row.clock["speed"]), _until(row))
        row.save(update_fields=["clock"])
