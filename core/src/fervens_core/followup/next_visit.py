"""When a client should come again, for how long, and what to stop using before. docs/models/nextvisit.md."""

from __future__ import annotations

import datetime as dt
import math
from collections.abc import Sequence
from dataclasses import dataclass

from fervens_core.base import Message, check_range, say
from fervens_core.followup.closed import ClosedDays, earlier_week, later_day, later_week
from fervens_core.head import DAYS_PER_MONTH, GROWTH_MM_PER_MONTH, ROOT_MM

REST_DAYS = 42
"""[MODEL] hair that is to be lightened further rests six weeks."""
EARLY_DAYS, WEEK_DAYS = 2, 7
"""At least so long before the regrowth is too long for one root application, on the weekday of the visit before: then
the studio is open and the client free (common practice, no source)."""
SOONEST_DAYS = 14
"""[MODEL] no visit is proposed sooner, but the one a strand test was for."""
REMINDER_DAYS = (21, 14)
"""The reminder goes out three weeks before, two at the latest (common practice, no source)."""
TAUGHT_DAYS = 7
"""[MODEL] a week after its strand test a head is lightened: what it taught holds, and nothing has grown."""
REFRESH_DAYS = 56
"""[MODEL] a head with nothing to retouch at the root is toned again after about eight weeks."""


@dataclass(frozen=True, slots=True)
class NextVisit:
    """A proposed visit.

    Args:
        on: the day. regrowth_mm: expected by then. remind_on: when the reminder goes out.
        reason: why then. reminder: its text. expected_min: chair time, min, None when it cannot be planned.
        moved: why not on the day that was the first choice, or None.
    """

    on: dt.date
    regrowth_mm: float
    remind_on: dt.date
    reason: Message
    reminder: Message
    expected_min: float | None
    moved: Message | None = None


def days_to_regrowth(mm: float, mm_per_month: float = GROWTH_MM_PER_MONTH) -> int:
    """Whole days until so much has grown, 0 to 300 mm; mm_per_month 4 to 25."""
    check_range("mm", mm, 0.0, 300.0, "mm")
    check_range("mm_per_month", mm_per_month, 4.0, 25.0, "mm")
    return math.floor(mm / mm_per_month * DAYS_PER_MONTH)


def grown_mm(days: float, mm_per_month: float = GROWTH_MM_PER_MONTH) -> float:
    """Regrowth after some days, 0 to 3650, at 4 to 25 mm a month."""
    check_range("mm_per_month", mm_per_month, 4.0, 25.0, "mm")
    return check_range("days", days, 0.0, 3650.0, "days") / DAYS_PER_MONTH * mm_per_month


def reminder_text(on: dt.date, *, is_toned: bool, since: dt.date | None = None) -> Message:
    """What is told two to three weeks before: what to stop, so that the hair is what the plan expects.

    Args:
        since: told long before, the day it holds from; None for now.
    """
    begin = say("reminder-from_now") if since is None else say("reminder-from_day", day=since)
    return say("reminder", on=on, begin=begin, hair="toned" if is_toned else "plain")


def propose_visit(
    filed_on: dt.date,
    *,
    is_short: bool,
    has_roots: bool,
    is_toned: bool,
    is_strand_test: bool = False,
    mm_per_month: float = GROWTH_MM_PER_MONTH,
    expected_min: float | None = None,
    closed: Sequence[ClosedDays] = (),
) -> NextVisit:
    """The visit to propose after a service: whole weeks after it, on a day the studio is open.

    Args:
        is_short: some zone has further to go: it rests six weeks, unless the roots come first.
        has_roots: zones lightened up to the scalp: within 12 mm of regrowth they are one root application.
        is_toned: toner went on. is_strand_test: nothing but strands was lightened: the service itself comes next.
        mm_per_month: how fast this head grows, 4 to 25. closed: when the studio is shut: roots come a week sooner
            then, a rest is a week longer.
    """
    weeks = (days_to_regrowth(ROOT_MM, mm_per_month) - EARLY_DAYS) // WEEK_DAYS
    roots = max(weeks * WEEK_DAYS, SOONEST_DAYS)
    if is_strand_test:
        days = TAUGHT_DAYS
        reason = say("next_visit-taught")
    elif is_short:
        days = REST_DAYS
        is_long = has_roots and roots < REST_DAYS
        reason = say("next_visit-rests_long", most=ROOT_MM) if is_long else say("next_visit-rests")
    elif has_roots:
        days = roots
        reason = say("next_visit-roots", most=ROOT_MM)
    else:
        days = REFRESH_DAYS
        reason = say("next_visit-tone")
    usual = filed_on + dt.timedelta(days=days)
    if is_strand_test:
        on = later_day(closed, usual)
    elif is_short:
        on = later_week(closed, usual)
    else:
        on = earlier_week(closed, usual, filed_on + dt.timedelta(days=SOONEST_DAYS))
    days = (on - filed_on).days
    ahead = REMINDER_DAYS[0] if days >= REMINDER_DAYS[0] + 7 else min(REMINDER_DAYS[1], days)
    return NextVisit(
        on=on,
        regrowth_mm=grown_mm(days, mm_per_month),
        remind_on=on - dt.timedelta(days=ahead),
        reason=reason,
        reminder=reminder_text(on, is_toned=is_toned),
        expected_min=expected_min,
        moved=None if on == usual else say("next_visit-closed", day=usual),
    )
