"""Whose turn it is: lanes under one or two pairs of hands, interrupted by trips to the basin. docs/models/schedule.md.

Many sets of basin visits are tried side by side: arrays have an axis of m timelines.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import row_of
from fervens_core.planning.entry import Entry
from fervens_core.planning.request import Paces

JOIN_MOST_MIN, JOIN_LEAST_MIN = 30.0, 10.0
"""Roots join their lengths for 10 to 30 min (common practice, no source)."""
HEAD_LABEL_SHARE = 0.9
"""[MODEL] the head's minutes are what its other zones are on, or nine tenths of the label where they need less."""
DELICATE_SHARE = 0.6
"""[MODEL] delicate hair is never on for more of the head's minutes, unless the technician says so."""
NO_BLOCK = -1
SETTLING = 4
"""Two pairs of hands are laid out so often at most, each time with the trips as they had to wait before."""


@dataclass(frozen=True, slots=True)
class Task:
    """One turn under the hands.

    Args:
        rows: lanes that go on in it; low and high foils alternate and go on together.
        minutes: it takes. change_min: before the next. section_min: one section, so long a rinse may wait for it.
        block: the visit its lanes are meant for, or -1 for any.
        is_join: goes on once others of its strand work. most_min: longest it may be on.
        is_held: delicate, held back from the visit it is meant for. need_min: processing it needs at least.
        after: the lane it joins: it begins when that one is on; -1 for none.
        opens: the block that begins with it; -1 for none. Hands may wait until the one before it was rinsed.
    """

    rows: tuple[int, ...]
    minutes: float
    change_min: float
    section_min: float
    block: int = NO_BLOCK
    is_join: bool = False
    most_min: float = math.inf
    is_held: bool = False
    need_min: float = 0.0
    after: int = -1
    opens: int = NO_BLOCK


@dataclass(frozen=True, slots=True)
class Turns:
    """The order of hands.

    Args:
        blocks: how many visits they ask for (0: any number); firsts: the first lane of each block.
        moved_min: what this order has to buy, being another than was told.
    """

    tasks: tuple[Task, ...]
    blocks: int
    firsts: tuple[int, ...] = ()
    moved_min: float = 0.0


@dataclass(frozen=True, slots=True)
class Timelines:
    """Starts and ends of n lanes on m timelines, shape (n, m), and their visits, shape (m, k), infinity for none."""

    starts: Floats
    ends: Floats
    visits: Floats


@dataclass(frozen=True, slots=True)
class VisitSets:
    """Sets of basin visits to be tried side by side.

    Args:
        at: when, min, shape (m, k), rising, infinity for none.
        hold_min: a lane that would be broken off within so many minutes of its first section waits for the visit
            instead, shape (m,). Negative: the same, and delicate hair goes on in its turn and is not held back.
        columns: which visit each block is rinsed in, shape (m, blocks).
        waits: whether hands wait before each block until the one before it was rinsed, shape (m, blocks); None: never.
    """

    at: Floats
    hold_min: Floats
    columns: np.ndarray
    waits: np.ndarray | None = None


def lay_out(
    turns: Turns,
    entries: Sequence[Entry],
    sets: VisitSets,
    *,
    pace: Paces,
    hands: int = 1,
    start_min: float = 0.0,
) -> Timelines:
    """Starts and ends of every lane with sets of basin visits.

    Hands are in one place: a visit waits for the section under the brush, and the lane goes on after it. While the
    client is at the basin nobody applies.
    """
    found = _laid_out(turns, entries, sets, pace=pace, hands=hands, start_min=start_min)
    for _ in range(SETTLING if hands > 1 else 0):  # who waits for the one holds up the other
        before = found.visits
        found = _laid_out(turns, entries, replace(sets, at=before), pace=pace, hands=hands, start_min=start_min)
        if np.array_equal(found.visits, before):
            break
    return found


def _laid_out(
    turns: Turns, entries: Sequence[Entry], sets: VisitSets, *, pace: Paces, hands: int, start_min: float
) -> Timelines:
    hold, is_held_back = np.abs(sets.hold_min), sets.hold_min >= 0.0
    m, k = sets.at.shape
    rinse, every = pace.rinse_min, np.arange(m)
    at = np.column_stack([sets.at, np.full(m, np.inf)])
    for j in range(1, k):
        at[:, j] = np.maximum(at[:, j], at[:, j - 1] + rinse)
    last = np.where(np.isfinite(at), at, -np.inf).max(axis=1)
    starts, ends = np.zeros((len(entries), m)), np.zeros((len(entries), m))
    free, reached = np.full((hands, m), start_min), np.zeros((hands, m), dtype=int)
    on_sum, on_count = np.zeros(m), 0
    least_label = min((e.label_max_min for e in entries), default=0.0)
    for task in turns.tasks:
        who = np.argmin(free, axis=0) if hands > 1 else np.zeros(m, dtype=int)
        begin, number = free[who, every], reached[who, every]
        if task.is_join:
            joins = at[every, sets.columns[:, task.block]] - task.most_min
            begin = np.where(np.isfinite(joins), np.maximum(begin, joins), begin)
            begin = np.maximum(begin, ends[task.after])
        elif task.is_held:
            meant = at >= (begin + task.minutes + task.need_min)[:, None]
            visit = np.where(meant, at, np.inf).min(axis=1)
            visit = np.where(np.isfinite(visit), visit, last)
            usual = np.maximum(on_sum / max(on_count, 1), HEAD_LABEL_SHARE * least_label)
            held = visit - DELICATE_SHARE * usual
            begin = np.where(np.isfinite(held) & is_held_back, np.maximum(begin, held), begin)
        waits = np.minimum(hold, task.minutes - 1e-6) + 1e-9
        if task.opens > 0 and sets.waits is not None:
            own, other = sets.columns[:, task.opens], sets.columns[:, task.opens - 1]
            before = np.where(sets.waits[:, task.opens] & (own != other), at[every, other] + rinse, -np.inf)
            begin = np.where(np.isfinite(before), np.maximum(begin, before), begin)
        due = at[every, number]
        while (is_due := due <= begin + waits).any():
            begin = np.where(is_due, np.maximum(begin, due + rinse), begin)
            number = number + is_due
            due = at[every, number]
        through = begin  # where it would have begun had nothing come between
        while (is_inside := due < through + (task.minutes - 1e-9)).any():
            done = np.where(is_inside, np.maximum(due - through, 0.0), 0.0)
            wait = np.ceil(done / task.section_min - 1e-9) * task.section_min - done
            at[every, number] += np.where(is_inside, wait, 0.0)
            leaves = at[every, number] + rinse
            through = through + np.where(is_inside, rinse, 0.0)
            number = number + is_inside
            at[every, number] = np.maximum(at[every, number], np.where(is_inside, leaves, 0.0))
            due = at[every, number]
        end = through + task.minutes
        for row in task.rows:
            starts[row], ends[row] = begin, end
            if not (task.is_held or task.is_join):
                wall = (end if entries[row].counts_from_end else begin) + entries[row].label_max_min
                by = np.where(at <= wall[:, None] + 1e-9, at, -np.inf).max(axis=1)
                on_sum, on_count = on_sum + np.where(np.isfinite(by), by, wall) - begin, on_count + 1
        free[who, every] = end + task.change_min
        reached[who, every] = number
    return Timelines(starts, ends, at[:, :k])


def mirrored(entries: Sequence[Entry]) -> list[tuple[int, ...]]:
    """Lanes that are kept alike: left and right of the same part, hair and wish; every lane is in one group."""
    groups: dict[object, list[int]] = {}
    for i, e in enumerate(entries):
        side, z = e.zone.side_and_place, e.zone
        own = (z.part, z.piece, row_of(z.key), z.hair, z.target_level, e.strongest, e.own)
        key: object = i if side is None else (side[1], *own)
        groups.setdefault(key, []).append(i)
    return [tuple(rows) for rows in groups.values()]
