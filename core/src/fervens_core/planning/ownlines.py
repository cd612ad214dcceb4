"""A schedule on the technician's own lines: they stand, and what none of them suits is rinsed alone.

docs/models/schedule.md
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import TypeVar

import numpy as np

from fervens_core.base import Floats
from fervens_core.planning.entry import PROCESSING_MIN_MIN
from fervens_core.planning.finder import Finder, Found, cheapness
from fervens_core.planning.hands import NO_BLOCK, Timelines, VisitSets
from fervens_core.planning.price import CLOSE_VISITS_MIN

KEPT_ROWS, FINISHED_ROWS = 4, 3
"""So many rows of lines go on from one block to the next, and so many have their bowls counted in the end."""
ROUGH_ORDERS, TOLD_ORDERS = 6, 2
"""Of all orders of hands so many have the bowls of one row counted, those that come out cheapest without; and so many
are gone through in full."""


Order = TypeVar("Order", bound=Finder)


@dataclass(frozen=True, slots=True)
class _Row:
    """One way of going by the lines.

    Args:
        hold: as a set of visits has it. of_block: the moment each block so far is rinsed at, min.
        waits: whether hands wait before each block so far.
        alone: moments of their own, beside her lines, and the lanes they are for.
    """

    hold: float
    of_block: tuple[float, ...] = ()
    waits: tuple[bool, ...] = ()
    alone: tuple[tuple[float, frozenset[int]], ...] = ()

    def with_line(self, at: float, *, waits: bool = False) -> _Row:
        return replace(self, of_block=(*self.of_block, at), waits=(*self.waits, waits))


def promising(searches: Sequence[Order], visits: Sequence[float], hold: float) -> list[Order]:
    """The orders of hands worth going through with her lines: as they come out cheapest."""
    if len(searches) <= TOLD_ORDERS:
        return list(searches)
    own = sorted(set(visits))

    def worth(row: tuple[VisitSets, Order], bowls: int | None) -> float:
        return float(row[1].weigh(row[0], bowls=bowls).prices.min()) + row[1].turns.moved_min

    rows = [(_sets(s, own, _rows(s, own, [_Row(hold)], most=1)), s) for s in searches]
    rows = sorted(rows, key=lambda row: worth(row, 0))[:ROUGH_ORDERS]
    return [s for _, s in sorted(rows, key=lambda row: worth(row, None))[:TOLD_ORDERS]]


def on_own_lines(search: Finder, visits: Sequence[float], holds: Sequence[float]) -> Found:
    """The cheapest schedule on her own visits; a lane, or a block, that none suits is rinsed alone before its wall."""
    own, alone = sorted(set(visits)), dict[float, frozenset[int]]()
    for _ in range(len(search.entries) + 1):
        found = _cheapest(search, own, [_Row(h, alone=tuple(alone.items())) for h in holds])
        has_worked = found.rinses >= found.ends + PROCESSING_MIN_MIN - 1e-6
        is_lost = ~has_worked | (found.rinses > found.walls + 1e-6)
        lost = np.flatnonzero(is_lost & (search.block == NO_BLOCK))
        if not lost.size:
            break
        holds = [h for h in holds if h < 0.0] or [found.hold]  # what is held back for a line would run before it
        first = _before(search, float(found.walls[lost].min()), found.starts, found.ends)
        # who is at the basin is not fetched again at once
        with_it = (found.walls[lost] < first + CLOSE_VISITS_MIN) & (found.ends[lost] + PROCESSING_MIN_MIN <= first)
        alone[first] = frozenset(lost[with_it | (found.walls[lost] < first + 1.0)].tolist())
    return found


def _before(search: Finder, wall: float, starts: Floats, ends: Floats) -> float:
    """The latest trip before a wall: it waits for the section under the brush, where there is one by then."""
    is_busy = bool(((starts < wall) & (ends > wall - 1.0)).any())
    section = max(e.section_min for e in search.entries) if is_busy else 0.0
    return math.floor((wall - section) * 2.0) / 2.0


def _rows(search: Finder, own: list[float], rows: list[_Row], *, most: int) -> list[_Row]:
    """Each block at one of the lines, one block after the other; the cheapest few rows of them go on."""
    for block in range(search.turns.blocks):
        if not (search.block == block).any():  # of zones in which nothing joins
            rows = [row.with_line(max(row.of_block, default=own[0])) for row in rows]
            continue
        tried = [
            row.with_line(t, waits=waits)
            for row in rows
            for t in own
            if t >= max(row.of_block, default=0.0)
            for waits in ((False, True) if block else (False,))
        ]
        good = [tried[i] for i in np.flatnonzero(_suits(search, own, tried, block))]
        served = {(row.hold, row.of_block[:-1], row.waits[:-1], row.alone) for row in good}
        good += [_alone(search, own, r, block) for r in rows if (r.hold, r.of_block, r.waits, r.alone) not in served]
        rows = _best(search, own, good, most)
    return rows


def _cheapest(search: Finder, own: list[float], rows: list[_Row]) -> Found:
    """The cheapest schedule that begins with some rows."""
    found = []
    for row in _best(search, own, _rows(search, own, rows, most=KEPT_ROWS), FINISHED_ROWS):
        sets = _sets(search, own, [row])
        lanes = [(t, lanes) for t, lanes in row.alone if t not in own]
        search.only = {int(np.flatnonzero(sets.at[0] == t)[0]): told for t, told in lanes}
        found += search.each(search.weigh(sets, bowls=None))
        search.only = {}
    return min(found, key=cheapness)


def _sets(search: Finder, own: list[float], rows: Sequence[_Row]) -> VisitSets:
    """Rows as sets of visits; blocks without a line yet have none."""
    lines = [np.unique([*own, *(t for t, _ in row.alone)]) for row in rows]
    count = max(t.size for t in lines)
    is_whole = all(len(row.of_block) == search.turns.blocks for row in rows)
    at = np.full((len(rows), count + (not is_whole)), np.inf)
    columns = np.full((len(rows), search.turns.blocks), at.shape[1] - 1)
    waits = np.zeros(columns.shape, dtype=bool)
    for i, (row, told) in enumerate(zip(rows, lines, strict=True)):
        waits[i, : len(row.waits)] = row.waits
        at[i, : told.size] = told
        columns[i, : len(row.of_block)] = np.searchsorted(told, row.of_block)
    return VisitSets(at, np.array([row.hold for row in rows]), columns, waits)


def _best(search: Finder, own: list[float], rows: list[_Row], most: int) -> list[_Row]:
    if len(rows) <= most:
        return rows
    prices = search.weigh(_sets(search, own, rows), bowls=0).prices
    return [rows[int(i)] for i in np.argsort(prices, kind="stable")[:most]]


def _suits(search: Finder, own: list[float], tried: Sequence[_Row], block: int) -> np.ndarray:
    """Which rows can have the last block they name rinsed there: every part has worked, and no label ends before."""
    if not tried:
        return np.zeros(0, dtype=bool)
    sets = _sets(search, own, tried)
    timelines: Timelines = search.lay_out(sets)
    rows = search.block == block
    at = timelines.visits[np.arange(len(tried)), sets.columns[:, block]]
    has_worked = timelines.ends[rows] + PROCESSING_MIN_MIN <= at + 1e-6
    return np.asarray((has_worked & (at <= search.walls(timelines)[rows] + 1e-6)).all(axis=0))


def _alone(search: Finder, own: list[float], row: _Row, block: int) -> _Row:
    """A row with a moment for the next block alone, before its first label ends."""
    timelines = search.lay_out(_sets(search, own, [row]))
    lanes = np.flatnonzero(search.block == block)
    wall = float(search.walls(timelines)[lanes, 0].min())
    at = _before(search, wall, timelines.starts[:, 0], timelines.ends[:, 0])
    return replace(row.with_line(at), alone=(*row.alone, (at, frozenset(lanes.tolist()))))
