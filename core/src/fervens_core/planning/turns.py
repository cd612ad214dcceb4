"""Turns under the hands: zones, what joins them, and blocks of zones that are rinsed in one visit.

docs/models/schedule.md
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import Part, Zone, row_of
from fervens_core.planning.entry import Entry, LaneTable
from fervens_core.planning.hands import JOIN_LEAST_MIN, JOIN_MOST_MIN, NO_BLOCK, Task, Turns
from fervens_core.planning.price import USUAL_VOLUME
from fervens_core.planning.request import Paces

LIGHTER_BY = 1.0
"""Lengths lighter than a long regrowth by so many levels wait for it."""
HELD_SHORT_LEVELS, HELD_NEED_MOST_MIN = 0.75, 20.0
"""[MODEL] a visit that would leave delicate hair shorter than this of its target is not the one it is meant for."""
NEED_STEP_MIN = 8.0
"""[MODEL] lanes that need less than 8 min more or less with the usual strength stay in the order they were told."""
RETOUCHED = (Part.ROOT, Part.REGROWTH, Part.BAND, Part.ENDS)
"""Parts of sections that are made or left in place, as rows of a zone are: between two there is little to do."""
JOIN_SHORT_LEVELS, JOIN_NEED_MOST_MIN = 0.3, 25.0


def waiting_for(entries: Sequence[Entry]) -> dict[int, int]:
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
    return a.zone_key == b.zone_key and a.part is b.part and a.piece != b.piece and row_of(a.key) == row_of(b.key)


@dataclass(frozen=True, slots=True)
class Unit:
    """One zone: its first turns, then what joins them."""

    mains: tuple[tuple[int, ...], ...]
    joins: tuple[int, ...]
    is_delicate: bool


def units_of(entries: Sequence[Entry], waiting: dict[int, int]) -> list[Unit]:
    """Zones in their order, each with its turns."""
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
        units.append(Unit(tuple(tuple(m) for m in mains), tuple(joins), is_delicate))
    return units


def _main_task(
    entries: Sequence[Entry], table: LaneTable, rows: tuple[int, ...], pace: Paces, block: int, *, is_held: bool
) -> Task:
    minutes = sum(entries[r].application_min for r in rows)
    sections = sum(entries[r].zone.foil_count for r in rows)
    is_retouch = all(entries[r].zone.part in RETOUCHED or row_of(entries[r].zone.key) for r in rows)
    change = pace.join_change_min if is_retouch else pace.change_min
    need = min(float(table.least_min(HELD_SHORT_LEVELS)[list(rows)].max()), HELD_NEED_MOST_MIN) if is_held else 0.0
    return Task(rows, minutes, change, minutes / sections, block, is_held=is_held, need_min=need)


def _join_task(
    entries: Sequence[Entry],
    row: int,
    after: int,
    table: LaneTable,
    pace: Paces,
    block: int,
    follow_min: float,
    *,
    is_usual: bool,
) -> Task:
    """Args: follow_min: of the joins of its block after it, half of which it is on longer than it needs, and no less
    than leaves the last of them its time."""
    e = entries[row]
    longest = float(_usual_needs(table)[row] if is_usual and e.own is None else table.longest_min[row])
    most = e.application_min + (longest if math.isfinite(longest) else e.label_max_min)
    most += follow_min / 2.0
    if e.zone.part is Part.ROOT:  # the trip may have to wait for a section
        most = min(most, JOIN_MOST_MIN - max(x.section_min for x in entries))
    most = max(most, e.application_min + JOIN_LEAST_MIN + follow_min)
    return Task(
        (row,), e.application_min, pace.join_change_min, e.section_min, block, is_join=True, most_min=most, after=after
    )


def one_after_the_other(
    entries: Sequence[Entry],
    table: LaneTable,
    pace: Paces,
    units: Sequence[Unit],
    *,
    is_held: bool,
    moved_min: float = 0.0,
) -> Turns:
    """Zones without parts that join, for any visits."""
    tasks = [
        _main_task(entries, table, m, pace, NO_BLOCK, is_held=is_held and u.is_delicate) for u in units for m in u.mains
    ]
    return Turns(tuple(tasks), 0, (), moved_min)


def block_minutes(
    entries: Sequence[Entry], table: LaneTable, units: Sequence[Unit], pace: Paces, *, is_full: bool
) -> float:
    """From a block's first section until its last join has worked the least it must, or (is_full) what it needs."""
    total = 0.0
    for u in units:
        total += sum(entries[r].application_min for m in u.mains for r in m) + pace.change_min * len(u.mains)
        total += sum(entries[r].application_min + pace.join_change_min for r in u.joins)
    return total + (_join_need(table, [r for u in units for r in u.joins]) if is_full else JOIN_LEAST_MIN)


def _join_need(table: LaneTable, rows: Sequence[int]) -> float:
    """Processing that the last to join needs to come close to its target, 10 to 25 min."""
    if not rows:
        return JOIN_LEAST_MIN
    return min(max(float(table.least_min(JOIN_SHORT_LEVELS)[list(rows)].max()), JOIN_LEAST_MIN), JOIN_NEED_MOST_MIN)


def pairs_of(entries: Sequence[Entry], units: Sequence[Unit]) -> list[list[Unit]]:
    """Zones that stay together: left and right where they follow each other."""
    found: list[list[Unit]] = []
    sides = [entries[u.mains[0][0] if u.mains else u.joins[0]].zone.side_and_place for u in units]
    for i, unit in enumerate(units):
        before, here = sides[i - 1] if i else None, sides[i]
        is_pair = before is not None and here is not None and before[1] == here[1] and before[0] != here[0]
        if is_pair and len(found[-1]) == 1:
            found[-1].append(unit)
        else:
            found.append([unit])
    return found


def _usual_needs(table: LaneTable) -> Floats:
    """Minutes to each lane's target with the usual strength, as far as its label."""
    usual = np.clip(np.full_like(table.strongest, USUAL_VOLUME), table.weakest, table.strongest)
    return np.asarray(np.minimum(table.minutes_to(usual), table.label))


def _longest_join_first(entries: Sequence[Entry], table: LaneTable, rows: Sequence[int]) -> list[int]:
    """Dark roots before light lengths, ends last: else the last root of a block has hardly begun when it is rinsed."""
    needs = _usual_needs(table)
    return sorted(rows, key=lambda r: (entries[r].zone.part is Part.ENDS, -round(float(needs[r]) / NEED_STEP_MIN)))


def longest_first(table: LaneTable, units: Sequence[Unit]) -> list[Unit]:
    """What needs clearly longer goes on first, else as told."""
    needs = _usual_needs(table)
    longest = {id(u): max(float(needs[r]) for m in u.mains for r in m) for u in units}
    return sorted(units, key=lambda u: -round(longest[id(u)] / NEED_STEP_MIN))


def by_two(entries: Sequence[Entry], units: Sequence[Unit]) -> list[Unit]:
    """Left and right together, and zones of the middle two by two, each with the next of its kind."""
    found: list[list[Unit]] = []
    single: list[Unit] | None = None
    for pair in pairs_of(entries, units):
        if len(pair) == 1 and single is not None:
            single.extend(pair)
            single = None
            continue
        found.append(list(pair))
        single = found[-1] if len(pair) == 1 else single
    return [u for g in found for u in g]


def in_blocks(
    entries: Sequence[Entry],
    table: LaneTable,
    pace: Paces,
    blocks: list[list[Unit]],
    *,
    is_held: bool,
    moved_min: float = 0.0,
    is_sorted: bool = False,
    is_usual: bool = False,
) -> Turns:
    """Zones block by block: what goes on first of each, then what joins it.

    Args:
        is_sorted: what needs longest joins first; so it is wherever lengths join.
    """
    tasks: list[Task] = []
    firsts = []
    for number, block in enumerate(blocks):
        firsts.append(block[0].mains[0][0] if block[0].mains else block[0].joins[0])
        begun = len(tasks)
        for u in block:
            of = number if u.joins else NO_BLOCK
            held = is_held and u.is_delicate and not u.joins
            tasks += [_main_task(entries, table, m, pace, of, is_held=held) for m in u.mains]
        tasks[begun:] = [replace(t, opens=NO_BLOCK if i else number) for i, t in enumerate(tasks[begun:])]
        joins = [r for u in block for r in u.joins]
        if is_sorted or any(entries[r].zone.part is Part.LENGTHS for r in joins):
            joins = _longest_join_first(entries, table, joins)
        minutes = [entries[r].application_min + pace.join_change_min for r in joins]
        waiting = waiting_for(entries)
        tasks += [
            _join_task(entries, r, waiting[r], table, pace, number, sum(minutes[i + 1 :]), is_usual=is_usual)
            for i, r in enumerate(joins)
        ]
    return Turns(tuple(tasks), len(blocks), tuple(firsts), moved_min)
