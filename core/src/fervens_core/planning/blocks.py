"""Orders of hands worth trying; where parts join, which zones are rinsed in one visit. docs/models/schedule.md.

A block's price hardly depends on when it begins, so zones are parted by the shortest way through them: each block is
priced by itself, at its best visit, and the cheapest partings are gone on with.
"""

from __future__ import annotations

import math
from collections.abc import Hashable, Sequence
from itertools import chain

import numpy as np

from fervens_core.planning.entry import Entry, LaneTable
from fervens_core.planning.hands import Turns, VisitSets
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

PARTINGS = (2, 1)
"""So many of the cheapest partings are gone on with, where hands go on meanwhile and where they wait."""
BLOCK_MOST = 8
EARLY_MIN = (1.0, 4.0, 8.0, 13.0, 20.0, 28.0)
"""A block's visit is tried so long before its first label ends."""


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
    orders = [told]
    if not choice.keeps_order:
        orders.append(by_two(entries, told) if waiting else longest_first(table, told))
    found: dict[object, Turns] = {}
    costs: dict[Hashable, tuple[float, float]] = {}
    for units in orders:
        if has_sound and not choice.keeps_order:
            units.sort(key=lambda u: u.is_delicate != is_first)
        if not waiting:
            turns = one_after_the_other(entries, table, request.pace, units, is_held=held, is_told=units is told)
            found.setdefault(tuple(t.rows for t in turns.tasks), turns)
            continue
        for blocks in chain.from_iterable(
            _partings(request, entries, table, units, costs, is_held=held, waits=w, is_full=f)
            for w in (False, True)
            for f in (True, False)
        ):
            for is_sorted in (False, True):
                turns = in_blocks(
                    entries, table, request.pace, blocks, is_held=held, is_told=units is told, is_sorted=is_sorted
                )
                found.setdefault(tuple((t.rows, t.block) for t in turns.tasks), turns)
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
) -> list[list[list[Unit]]]:
    """The cheapest ways to part zones into blocks, in their order; left and right stay together unless that is dear.

    Args:
        waits: hands wait for a block's visit before they begin the next, instead of going on meanwhile.
        is_full: the last that joins has what it needs; else blocks may be larger, and its price says what that costs.
        costs: of blocks that are known, by what they are made of; more are put there.
    """
    # what it costs to end a block before each zone: the other of a pair then waits
    ends: list[float] = []
    for pair in pairs_of(entries, units):
        ends += [0.0, *([APART_MIN * len(_lanes(pair[-1]))] if len(pair) > 1 else [])]
    label = min(e.label_max_min for e in entries)
    best: list[list[tuple[float, tuple[int, ...]]]] = [[(0.0, ())]]
    for end in range(1, len(units) + 1):
        ways: list[tuple[float, tuple[int, ...]]] = []
        for begin in range(end - 1, max(end - BLOCK_MOST, 0) - 1, -1):
            block = list(units[begin:end])
            if begin < end - 1 and block_minutes(entries, table, block, request.pace, is_full=is_full) > label:
                break
            on, last = _priced(request, entries, block, costs, is_held=is_held)
            price = ends[begin] + (last if waits or end == len(units) else on)
            ways += [(so_far + price, (*cuts, end)) for so_far, cuts in best[begin]]
        best.append(sorted(ways)[: PARTINGS[waits]])
    found = []
    for _, cuts in best[-1]:
        begins = (0, *cuts[:-1])
        found.append([list(units[b:e]) for b, e in zip(begins, cuts, strict=True)])
    return found


def _priced(
    request: PlanRequest,
    entries: Sequence[Entry],
    units: Sequence[Unit],
    costs: dict[Hashable, tuple[float, float]],
    *,
    is_held: bool,
) -> tuple[float, float]:
    """Price of a block by itself, min: when hands go on to the next meanwhile, and when it is the last."""
    rows = [r for u in units for r in _lanes(u)]
    name = tuple(_likeness(entries[r]) for r in rows)
    if name in costs:
        return costs[name]
    own = [entries[r] for r in rows]
    table = LaneTable(own, has_additive=request.choice.has_additive)
    turns = in_blocks(own, table, request.pace, [units_of(own, waiting_for(own))], is_held=is_held, is_told=True)
    is_part = any(not e.zone.is_delicate for e in entries)
    scales = Scales(request, own, table, turns, is_part=is_part)
    holds = [h for h in (0.0, -4.0) if h >= 0.0 or any(t.is_held for t in turns.tasks)]
    hold, early = np.repeat(holds, len(EARLY_MIN)), np.tile(EARLY_MIN, len(holds))
    columns = np.zeros((hold.size, 1), dtype=int)
    wall = scales.walls(scales.lay_out(VisitSets(np.full((hold.size, 1), np.inf), hold, columns)))[turns.firsts[0]]
    tried = scales.weigh(VisitSets((np.floor(wall) - early)[:, None], hold, columns), bowls=0)
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
