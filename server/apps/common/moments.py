"""Moments that devices send, as the database can keep them."""

from __future__ import annotations

import datetime as dt

from fervens_core.base import LimitError, say

EARLIEST, LATEST = dt.datetime(1900, 1, 1, tzinfo=dt.UTC), dt.datetime(2200, 1, 1, tzinfo=dt.UTC)


def moment(field: str, value: dt.datetime) -> dt.datetime:
    """A moment in UTC. Raises LimitError for one without a time zone, or out of all reach."""
    limit = say("limit-moment_between", low=str(EARLIEST.year), high=str(LATEST.year))
    if value.tzinfo is None:
        raise LimitError(field, limit, value.isoformat())
    try:
        found = value.astimezone(dt.UTC)
    except (OverflowError, ValueError):
        raise LimitError(field, limit, value.isoformat()) from None
    if not EARLIEST <= found <= LATEST:
        raise LimitError(field, limit, value.isoformat())
    return found
