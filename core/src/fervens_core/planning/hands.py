"""Whose turn it is: lanes under one or two pairs of hands, interrupted by trips to the basin. docs/models/schedule.md.

Many sets of basin visits are tried side by side: arrays have an axis of m timelines.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import Part, Zone
from fervens_core.planning.entry import Entry, LaneTable
from fervens_core.planning.request import DelicateWay, Paces

JOIN_MOST_MIN, JOIN_LEAST_MIN = 30.0, 10.0
"""Roots join their lengths for 10 to 30 min (common practice, no source)."""
HEAD_LABEL_SHARE = 0.9
"""[MODEL] the head's minutes are what its other zones are on, or nine tenths of the label where they need less."""
DELICATE_SHARE = 0.6
"""[MODEL] delicate hair is never on for more of the head's minutes, unless the technician says so."""
LIGHTER_BY = 1.0
"""Lengths lighter than a long regrowth by so many levels wait for it."""
HELD_SHORT_LEVELS, HELD_NEED_MOST_MIN = 0.75, 20.0
"""[MODEL] a visit that would leave delicate hair shorter than this of its target is not the one it is meant for."""
USUAL_VOLUME, NEED_STEP_MIN = 20.0, 8.0
"""[MODEL] lanes that need less than 8 min more or less with the usual strength stay in the order they were told."""
RETOUCHED = (Part.ROOT, Part.REGROWTH, Part.BAND, Part.ENDS)
"""Parts of sections that are made or left in place: between two zones there is little to do."""
NO_BLOCK = -1
JOIN_SHORT_LEVELS, JOIN_NEED_MOST_MIN = 0.3, 25.0
SETTLING = 4
"""Two pairs of hands are laid out so often at most, each time with the trips as they had to wait before."""
BLOCK_SPARES_MIN, BLOCK_SHARES = (0.0, 8.0), (0.75, 0.55)
"""[MODEL] zones are parted by visit so that roots just join in time, with the trip to the basin to spare, or within a
share of the label, where lengths that have little way to go would lift too far while they wait for roots."""


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


@dataclass(frozen=True, slots=True)
class Turns:
    """The order of hands.

    Args:
        blocks: how many visits they ask for (0: any number); firsts: the first lane of each block.
        is_told: whether zones go on as they were told.
    """

    tasks: tuple[Task, ...]
    blocks: int
    firsts: tuple[int, ...] = ()
    is_told: bool = True


@dataclass(frozen=True, slots=True)
class Timelines:
    """Starts and ends of n lanes on m timelines, shape (n, m), and their visits, shape (m, k), infinity for none."""

    starts: Floats
    ends: Floats
    visits: Floats


def _waiting_for(entries: Sequence[Entry]) -> dict[int, int]:
    """Which lane joins which: roots and ends their lengths, light lengths a long dark regrowth."""
    place = {e.zone.key: i for i, e in enumerate(entries)}
    found = {i: place[w] for i, e in enumerate(entries) if (w := e.zone.waits_for) in place and w is not None}
    for i, e in enumerate(entries):
        regrowth = place.get(f"{e.zone.key}.{Part.REGROWTH.value}")
        if e.zone.part is Part.LENGTHS and regrowth is not None:
            darker = e.zone.hair.start_level - entries[regrowth].zone.hair.start_level
            if darker >= LIGHTER_BY:
                found[i] = regrowth
    return found


def _is_again(a: Zone, b: Zone) -> bool:
    """Whether two lanes are the kinds of one zone that go on section by section in turn."""
    return a.zone_key == b.zone_key and a.part is b.part and a.piece != b.piece


@dataclass(frozen=True, slots=True)
class _Unit:
    """One zone: its first turns, then what joins them."""

    mains: tuple[tuple[int, ...], ...]
    joins: tuple[int, ...]
    is_delicate: bool


def _units(entries: Sequence[Entry], waiting: dict[int, int]) -> list[_Unit]:
    by_zone: dict[str, list[int]] = {}
    for i, e in enumerate(entries):
        by_zone.setdefault(e.zone.zone_key, []).append(i)
    units = []
    for rows in by_zone.values():
        mains: list[list[int]] = []
        for i in (r for r in rows if r not in waiting):
            twin = next((m for m in mains if _is_again(entries[m[0]].zone, entries[i].zone)), None)
            if twin is None:
                mains.append([i])
            else:
                twin.append(i)
        joins = sorted((r for r in rows if r in waiting), key=lambda r: entries[r].zone.part is Part.ENDS)
        is_delicate = all(entries[r].zone.is_delicate for r in rows)
        units.append(_Unit(tuple(tuple(m) for m in mains), tuple(joins), is_delicate))
    return units


def _main_task(
    entries: Sequence[Entry], table: LaneTable, rows: tuple[int, ...], pace: Paces, block: int, *, is_held: bool
) -> Task:
    minutes = sum(entries[r].application_min for r in rows)
    sections = sum(entries[r].zone.foil_count for r in rows)
    is_retouch = all(entries[r].zone.part in RETOUCHED for r in rows)
    change = pace.join_change_min if is_retouch else pace.change_min
    need = min(float(table.least_min(HELD_SHORT_LEVELS)[list(rows)].max()), HELD_NEED_MOST_MIN) if is_held else 0.0
    return Task(rows, minutes, change, minutes / sections, block, is_held=is_held, need_min=need)


def _join_task(
    entries: Sequence[Entry], row: int, after: int, table: LaneTable, pace: Paces, block: int, follow_min: float
) -> Task:
    """Args: follow_min: of the joins of its block after it, half of which it is on longer than it needs."""
    e = entries[row]
    longest = float(table.longest_min[row])
    most = e.application_min + (longest if math.isfinite(longest) else e.label_max_min)
    most += follow_min / 2.0
    if e.zone.part is Part.ROOT:  # the trip may have to wait for a section
        most = min(most, JOIN_MOST_MIN - max(x.section_min for x in entries))
    most = max(most, e.application_min + JOIN_LEAST_MIN)
    return Task(
        (row,), e.application_min, pace.join_change_min, e.section_min, block, is_join=True, most_min=most, after=after
    )


def _block_minutes(entries: Sequence[Entry], table: LaneTable, units: Sequence[_Unit], pace: Paces) -> float:
    """From a block's first section until its last join has worked the least it must."""
    total = 0.0
    for u in units:
        total += sum(entries[r].application_min for m in u.mains for r in m) + pace.change_min * len(u.mains)
        total += sum(entries[r].application_min + pace.join_change_min for r in u.joins)
    return total + _join_need(table, [r for u in units for r in u.joins])


def _join_need(table: LaneTable, rows: Sequence[int]) -> float:
    """Processing that the last to join needs to come close to its target, 10 to 25 min."""
    if not rows:
        return JOIN_LEAST_MIN
    return min(max(float(table.least_min(JOIN_SHORT_LEVELS)[list(rows)].max()), JOIN_LEAST_MIN), JOIN_NEED_MOST_MIN)


def _pairs(entries: Sequence[Entry], units: Sequence[_Unit]) -> list[list[_Unit]]:
    """Zones that stay together: left and right where they follow each other."""
    found: list[list[_Unit]] = []
    sides = [entries[u.mains[0][0] if u.mains else u.joins[0]].zone.side_and_place for u in units]
    for i, unit in enumerate(units):
        before, here = sides[i - 1] if i else None, sides[i]
        is_pair = before is not None and here is not None and before[1] == here[1] and before[0] != here[0]
        if is_pair and len(found[-1]) == 1:
            found[-1].append(unit)
        else:
            found.append([unit])
    return found


def _blocks(
    entries: Sequence[Entry], table: LaneTable, units: list[_Unit], pace: Paces, label: float
) -> list[list[_Unit]]:
    """Zones by visit: as many together as can join within some minutes of the first section; evened out."""
    pairs = _pairs(entries, units)
    groups: list[list[list[_Unit]]] = []
    for pair in pairs:
        together = [u for g in (groups[-1] if groups else []) for u in g] + pair
        if groups and _block_minutes(entries, table, together, pace) <= label:
            groups[-1].append(pair)
        else:
            groups.append([pair])
    minutes = [_block_minutes(entries, table, p, pace) - JOIN_LEAST_MIN for p in pairs]
    middles = np.cumsum(minutes) - np.array(minutes) / 2.0
    number = np.minimum(middles / sum(minutes) * len(groups), len(groups) - 1).astype(int)
    even = [[u for p, k in zip(pairs, number, strict=True) if k == g for u in p] for g in range(len(groups))]
    if all(g and _block_minutes(entries, table, g, pace) <= label for g in even):
        return even
    return [[u for p in g for u in p] for g in groups]


def turns_of(
    entries: Sequence[Entry], table: LaneTable, pace: Paces, way: DelicateWay, *, keeps_order: bool = False
) -> tuple[Turns, ...]:
    """Orders of hands worth trying, the one that was told first.

    Where parts join, block by block. Unless the order is kept, delicate zones by their way, and also what needs longest
    first, and in blocks single zones two by two.
    """
    waiting = _waiting_for(entries)
    told = _units(entries, waiting)
    has_sound = any(not u.is_delicate for u in told)
    is_first = way is DelicateWay.WEAKEST_FIRST
    held = has_sound and not is_first
    orders = [told]
    if not keeps_order:
        orders.append(_by_two(entries, told) if waiting else _longest_first(table, told))
    found: dict[object, Turns] = {}
    for units in orders:
        if has_sound and not keeps_order:
            units.sort(key=lambda u: u.is_delicate != is_first)
        if not waiting:
            tasks = [
                _main_task(entries, table, m, pace, NO_BLOCK, is_held=held and u.is_delicate)
                for u in units
                for m in u.mains
            ]
            found.setdefault(tuple(t.rows for t in tasks), Turns(tuple(tasks), 0, (), units is told))
            continue
        label = min(e.label_max_min for e in entries)
        for most in (*(label - s for s in BLOCK_SPARES_MIN), *(label * s for s in BLOCK_SHARES)):
            blocks = _blocks(entries, table, units, pace, most)
            turns = _in_blocks(entries, table, pace, blocks, is_held=held, is_told=units is told)
            found.setdefault(tuple((t.rows, t.block) for t in turns.tasks), turns)
    return tuple(found.values())


def _longest_first(table: LaneTable, units: Sequence[_Unit]) -> list[_Unit]:
    """What needs clearly longer goes on first, else as told."""
    usual = np.clip(np.full_like(table.strongest, USUAL_VOLUME), table.weakest, table.strongest)
    needs = np.minimum(table.minutes_to(usual), table.label)
    longest = {id(u): max(float(needs[r]) for m in u.mains for r in m) for u in units}
    return sorted(units, key=lambda u: -round(longest[id(u)] / NEED_STEP_MIN))


def _by_two(entries: Sequence[Entry], units: Sequence[_Unit]) -> list[_Unit]:
    """Left and right together, and zones of the middle two by two, each with the next of its kind."""
    found: list[list[_Unit]] = []
    single: list[_Unit] | None = None
    for pair in _pairs(entries, units):
        if len(pair) == 1 and single is not None:
            single.extend(pair)
            single = None
            continue
        found.append(list(pair))
        single = found[-1] if len(pair) == 1 else single
    return [u for g in found for u in g]


def _in_blocks(
    entries: Sequence[Entry],
    table: LaneTable,
    pace: Paces,
    blocks: list[list[_Unit]],
    *,
    is_held: bool,
    is_told: bool,
) -> Turns:
    tasks: list[Task] = []
    firsts = []
    for number, block in enumerate(blocks):
        firsts.append(block[0].mains[0][0] if block[0].mains else block[0].joins[0])
        for u in block:
            of = number if u.joins else NO_BLOCK
            held = is_held and u.is_delicate and not u.joins
            tasks += [_main_task(entries, table, m, pace, of, is_held=held) for m in u.mains]
        joins = [r for u in block for r in u.joins]
        minutes = [entries[r].application_min + pace.join_change_min for r in joins]
        waiting = _waiting_for(entries)
        tasks += [
            _join_task(entries, r, waiting[r], table, pace, number, sum(minutes[i + 1 :])) for i, r in enumerate(joins)
        ]
    return Turns(tuple(tasks), len(blocks), tuple(firsts), is_told)


@dataclass(frozen=True, slots=True)
class VisitSets:
    """Sets of basin visits to be tried side by side.

    Args:
        at: when, min, shape (m, k), rising, infinity for none.
        hold_min: a lane that would be broken off within so many minutes of its first section waits for the visit
            instead, shape (m,). Negative: the same, and delicate hair goes on in its turn and is not held back.
        columns: which visit each block is rinsed in, shape (m, blocks).
    """

    at: Floats
    hold_min: Floats
    columns: np.ndarray


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
        key: object = i if side is None else (side[1], z.part, z.piece, z.hair, z.target_level, e.strongest, e.own)
        groups.setdefault(key, []).append(i)
    return [tuple(rows) for rows in groups.values()]
