"""Afterwards: the next visit, the head as it comes back, what a studio learns, what a client takes home."""

from fervens_core.followup.closed import CLOSED_MAX, ClosedDays, closed_between, is_closed
from fervens_core.followup.eyes import eye_pairs, learn_eyes
from fervens_core.followup.filed import (
    READINGS_KEPT,
    Filed,
    FiledLane,
    FiledReading,
    FiledToner,
    read_filed,
)
from fervens_core.followup.learnt import (
    LaneFact,
    Learnt,
    LearntProduct,
    Pace,
    learnt_product,
    studio_numbers,
    swept,
    with_learnt,
)
from fervens_core.followup.next_visit import REMINDER_DAYS, REST_DAYS, NextVisit, grown_mm, propose_visit, reminder_text
from fervens_core.followup.recall import LastFormula, WornLane, has_regrowth, head_since, last_formulas
from fervens_core.followup.take_home import handout

__all__ = [
    "CLOSED_MAX",
    "READINGS_KEPT",
    "REMINDER_DAYS",
    "REST_DAYS",
    "ClosedDays",
    "Filed",
    "FiledLane",
    "FiledReading",
    "FiledToner",
    "LaneFact",
    "LastFormula",
    "Learnt",
    "LearntProduct",
    "NextVisit",
    "Pace",
    "WornLane",
    "closed_between",
    "eye_pairs",
    "grown_mm",
    "handout",
    "has_regrowth",
    "head_since",
    "is_closed",
    "last_formulas",
    "learn_eyes",
    "learnt_product",
    "propose_visit",
    "read_filed",
    "reminder_text",
    "studio_numbers",
    "swept",
    "with_learnt",
]
