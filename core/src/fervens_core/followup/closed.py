"""Days a studio is shut, and the open day nearest to one that is. docs/models/nextvisit.md."""

from __future__ import annotations

import datetime as dt
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from itertools import chain

from fervens_core.base import Flag, LimitError, contract, say

CLOSED_MAX = 60
"""So many holidays and breaks a studio may name."""
LONGEST_DAYS = 366
WEEK = dt.timedelta(days=7)
SEARCH_WEEKS = 26
"""No open day is looked for further away."""


@dataclass(frozen=True, slots=True)
@contract
class ClosedDays:
    """A holiday, or some days or weeks on end, on which a studio is shut.

    Args:
        first, last: both shut, at most 366 days. is_every_year: on the same dates of each year.
    """

    first: dt.date
    last: dt.date
    is_every_year: Flag = False

    def __post_init__(self) -> None:
        if not 0 <= (self.last - self.first).days < LONGEST_DAYS:
            raise LimitError("last", say("limit-closed_last", most=LONGEST_DAYS), self.last.isoformat())

    def holds(self, day: dt.date) -> bool:
        """Whether the studio is shut on a day."""
        if not self.is_every_year:
            return self.first <= day <= self.last
        long = self.last - self.first
        begins = (_in_year(self.first, day.year + i) for i in (-1, 0))  # a break may run over New Year
        return any(begin <= day <= begin + long for begin in begins)


def _in_year(day: dt.date, year: int) -> dt.date:
    try:
        return day.replace(year=year)
    except ValueError:  # 29 February
        return day.replace(year=year, day=28)


def is_closed(closed: Iterable[ClosedDays], day: dt.date) -> bool:
    """Whether a studio is shut on a day."""
    return any(x.holds(day) for x in closed)


def closed_between(closed: Sequence[ClosedDays], first: dt.date, last: dt.date) -> tuple[dt.date, ...]:
    """All days from the first to the last on which a studio is shut."""
    days = (first + dt.timedelta(days=i) for i in range((last - first).days + 1))
    return tuple(day for day in days if is_closed(closed, day))


def _open(closed: Sequence[ClosedDays], days: Iterator[dt.date]) -> dt.date | None:
    return next((day for day in days if not is_closed(closed, day)), None)


def earlier_week(closed: Sequence[ClosedDays], on: dt.date, not_before: dt.date) -> dt.date:
    """The last open day of this weekday up to a day; where there is none, the first after it; else the day itself."""
    before = (on - i * WEEK for i in range(SEARCH_WEEKS) if on - i * WEEK >= not_before)
    return _open(closed, chain(before, _later(on, WEEK))) or on


def later_week(closed: Sequence[ClosedDays], on: dt.date) -> dt.date:
    """The first open day of this weekday from a day on; the day itself where there is none in half a year."""
    return _open(closed, _later(on, WEEK)) or on


def later_day(closed: Sequence[ClosedDays], on: dt.date) -> dt.date:
    """The first open day from a day on; the day itself where there is none in 26 days."""
    return _open(closed, _later(on, dt.timedelta(days=1))) or on


def _later(on: dt.date, step: dt.timedelta) -> Iterator[dt.date]:
    return (on + i * step for i in range(SEARCH_WEEKS))
