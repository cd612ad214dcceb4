"""Orders of hands worth trying; where parts join, which zones are rinsed in one visit. docs/models/schedule.md.

A block's price hardly depends on when it begins, so zones are parted by the shortest way through them: each block is
priced by itself, at its best visit, and the cheapest partings are gone on with.
"""

from __future__ import annotations

import itertools
import math
from collections.abc import Hashable, Sequence
from itertools import chain

import numpy as np

from fervens_core.base import Floats
from fervens_core.planning.entry import Entry, LaneTable
from fervens_core.planning.hands import JOIN_LEAST_MIN, Turns, VisitSets
from fervens_core.planning.request import DelicateWay, PlanRequest
from fervens_core.planning.turns import (
    Unit,
    block_minutes,
    by_two,
    in_blocks,
    longest_first,
    one_after_the_other,
    pairs_of,
    units_of,
    waiting_for,
)
from fervens_core.planning.weigh import APART_MIN, NEVER, Scales

TRIP_MIN = (0.0, 12.0, 25.0, 45.0)
"""A block priced by itself is rinsed while hands go on, which they seldom quite can: so the cheapest parting is looked
for with each of these on top of a trip, which gives fewer and larger blocks [MODEL]."""
BLOCK_MOST = 8
LONGEST_FIRST_MIN, BY_TWO_MIN = 10.0, 2.0
"""What another order than was told has to buy: one that goes to and fro over the head; the crown and the top together
before the sides [MODEL]."""
EARLY_MIN, JOINED_MIN = (0.0, 2.0, 6.0, 12.0), (JOIN_LEAST_MIN, 13.0, 17.0, 22.0)
"""A block's visit is tried so long before its first label ends, and so long after the last of it has joined."""


def visits_of(ended: Floats, wall: Floats) -> Floats:
    """Visits tried for a block; shape (m, c).

    Args:
        ended: when its last part has joined, were there no visit. wall: when its first label ends; shape (m,).
    """
    soon = np.ceil(ended)[:, None] + JOINED_MIN
    return np.column_stack([np.floor(wall)[:, None] - EARLY_MIN, np.minimum(soon, np.floor(wall - 1.0)[:, None])])


def turns_of(request: PlanRequest, entries: Sequence[Entry], table: LaneTable) -> tuple[Turns, ...]:
    """Orders of hands worth trying, the one that was told first.

    Where parts join, block by block. Unless the order is kept, delicate zones by their way, and also what needs longest
    first, and in blocks single zones two by two.
    """
    choice = request.choice
    waiting = waiting_for(entries)
    told = units_of(entries, waiting)
    has_sound = any(not u.is_delicate for u in told)
    is_first = choice.delicate_way is DelicateWay.WEAKEST_FIRST
    held = has_sound and not is_first
    orders = [(told, 0.0)]
    if not choice.keeps_order:
        other = (by_two(entries, told), BY_TWO_MIN) if waiting else (longest_first(table, told), LONGEST_FIRST_MIN)
        orders.append(other)
    found: dict[object, Turns] = {}
    costs: dict[Hashable, tuple[float, float]] = {}
    for units, moved_min in orders:
        if has_sound and not choice.keeps_order:
            units.sort(key=lambda u: u.is_delicate != is_first)
        if not waiting:
            turns = one_after_the_other(entries, table, request.pace, units, is_held=held, moved_min=moved_min)
            found.setdefault(tuple(t.rows for t in turns.tasks), turns)
            continue
        for is_usual in (False, True):
            for blocks in chain.from_iterable(
                _partings(request, entries, table, units, costs, is_held=held, waits=w, is_full=f, is_usual=is_usual)
                for w in (False, True)
                for f in (True, False)
            ):
                for is_sorted in (False, True):
                    turns = in_blocks(
                        entries,
                        table,
                        request.pace,
                        blocks,
                        is_held=held,
                        moved_min=moved_min,
                        is_sorted=is_sorted,
                        is_usual=is_usual,
                    )
                    found.setdefault(tuple((t.rows, t.block, t.most_min) for t in turns.tasks), turns)
    return tuple(found.values())


def _partings(
    request: PlanRequest,
    entries: Sequence[Entry],
    table: LaneTable,
    units: Sequence[Unit],
    costs: dict[Hashable, tuple[float, float]],
    *,
    is_held: bool,
    waits: bool,
    is_full: bool,
    is_usual: bool,
) -> list[list[list[Unit]]]:
    """The cheapest ways to part zones into blocks, in their order; left and right stay together unless that is dear.

    Args:
        waits: hands wait for a block's visit before they begin the next, instead of going on meanwhile.
        is_full: the last that joins has what it needs; else blocks may be larger, and its price says what that costs.
        is_usual: with each lane's usual strength, else with any: those of the blocks may be too many for one head.
        costs: of blocks that are known, by what they are made of; more are put there.
    """
    # what it costs to end a block before each zone: the other of a pair then waits
    ends: list[float] = []
    for pair in pairs_of(entries, units):
        ends += [0.0, *([APART_MIN * len(_lanes(pair[-1]))] if len(pair) > 1 else [])]
    label = min(e.label_max_min for e in entries)
    ways: list[list[tuple[int, int, float]]] = []
    for end in range(1, len(units) + 1):
        ways.append([])
        for begin in range(end - 1, max(end - BLOCK_MOST, 0) - 1, -1):
            block = list(units[begin:end])
            if begin < end - 1 and block_minutes(entries, table, block, request.pace, is_full=is_full) > label:
                break
            on, last = _priced(request, entries, block, costs, is_held=is_held, is_usual=is_usual)
            ways[-1].append((begin, end, ends[begin] + (last if waits or end == len(units) else on)))
    found = {
        cuts for more in (TRIP_MIN[:1] if waits else TRIP_MIN) for cuts in _cheapest(ways, more)[: 1 if more else 2]
    }
    return [[list(units[b:e]) for b, e in itertools.pairwise((0, *cuts))] for cuts in sorted(found)]


def _cheapest(ways: Sequence[Sequence[tuple[int, int, float]]], more: float) -> list[tuple[int, ...]]:
    """Where the blocks end of the two cheapest rows of them, each with so much on top; ways to end at each zone."""
    best: list[list[tuple[float, tuple[int, ...]]]] = [[(0.0, ())]]
    for to_here in ways:
        rows = [(before + price + more, (*cuts, e)) for b, e, price in to_here for before, cuts in best[b]]
        best.append(sorted(rows)[:2])
    return [cuts for _, cuts in best[-1]]


def _priced(
    request: PlanRequest,
    entries: Sequence[Entry],
    units: Sequence[Unit],
    costs: dict[Hashable, tuple[float, float]],
    *,
    is_held: bool,
    is_usual: bool,
) -> tuple[float, float]:
    """Price of a block by itself, min: when hands go on to the next meanwhile, and when it is the last."""
    rows = [r for u in units for r in _lanes(u)]
    name = is_usual, tuple(_likeness(entries[r]) for r in rows)
    if name in costs:
        return costs[name]
    own = [entries[r] for r in rows]
    table = LaneTable(own, has_additive=request.choice.has_additive)
    turns = in_blocks(own, table, request.pace, [units_of(own, waiting_for(own))], is_held=is_held)
    is_part = any(not e.zone.is_delicate for e in entries)
    scales = Scales(request, own, table, turns, is_part=is_part)
    holds = [h for h in (0.0, -4.0) if h >= 0.0 or any(t.is_held for t in turns.tasks)]
    count = len(holds)
    alone = scales.lay_out(VisitSets(np.full((count, 1), np.inf), np.array(holds), np.zeros((count, 1), dtype=int)))
    at = visits_of(alone.ends.max(axis=0), scales.walls(alone)[turns.firsts[0]])
    sets = VisitSets(at.reshape(-1, 1), np.repeat(holds, at.shape[1]), np.zeros((at.size, 1), dtype=int))
    tried = scales.weigh(sets, bowls=0, barred=scales.but_usual() if is_usual else None)
    last = tried.prices - scales.prices.bowl * scales.counter.least
    change = turns.tasks[-1].change_min + request.pace.rinse_min
    free = tried.timelines.ends.max(axis=0) + change
    on = last + scales.prices.minute * (free - tried.timelines.visits.max(axis=1))
    found = float(on.min()), float(last.min())
    costs[name] = found if math.isfinite(found[0]) else (NEVER, NEVER)
    return costs[name]


def _lanes(unit: Unit) -> list[int]:
    return [*chain.from_iterable(unit.mains), *unit.joins]


def _likeness(entry: Entry) -> Hashable:
    """What a lane's price rests on; not what it is called."""
    zone = entry.zone
    return (
        zone.part,
        zone.zone_key == zone.key,
        zone.hair,
        zone.target_level,
        zone.foil_count,
        zone.covering,
        zone.lightener,
        zone.is_delicate,
        zone.touches_scalp,
        zone.side_and_place is None,
        entry.factors,
        entry.application_min,
        entry.weakest,
        entry.strongest,
        entry.own,
        entry.label_max_min,
        entry.counts_from_end,
    )
