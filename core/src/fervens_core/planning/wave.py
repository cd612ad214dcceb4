"""One wave of a plan: its lanes on the clock of one pair of hands, for many finish lines at once. docs/models/plan.md.

Everything is closed-form in the finish line, so lines are tried side by side as one array axis of shape (m,).
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from fervens_core.base import Floats, Message
from fervens_core.head import Part, Zone
from fervens_core.lift import (
    CAPACITY_BASE,
    CAPACITY_PER_VOLUME,
    LiftFactors,
    dries_from_by,
    effort_to_level,
    level_to_effort,
    minutes_for_share,
    minutes_of_work,
    scaled_time,
    share_done,
    working_minutes,
)

CHANGEOVER_MIN = 1.5
"""[MODEL] between two zones: clean, section off, take up the next bowl."""
JOIN_CHANGEOVER_MIN = 0.5
"""[MODEL] between two zones whose sections are already made: roots and ends."""
PROCESSING_MIN_MIN = 5.0
LEVEL_TOLERANCE = 0.05
ROUNDING_VOLUME = 0.05
"""Developers are whole volumes, rounded up unless this close to the one below."""
OVERSHOOT_FREE, OVERSHOOT_WEIGHT = 0.25, 0.5
"""[MODEL] passing the target by more than a quarter level counts half of missing it."""
JOIN_LEVELS_SHORT = 1.0
"""Roots join when the lengths are about one level short of the target (common practice, no source)."""
ALONE_FREE_MIN, ALONE_COST = 2.0, 0.1
"""[MODEL] a lane whose wall has it rinsed alone, more than 2 min before the line, costs a tenth of a level."""
LATE_PENALTY = 50.0
"""A line that comes before a lane's product is on is no line at all."""


class VolumeStep(StrEnum):
    """Which strengths a plan may ask for."""

    EXACT = "exact"
    WHOLE = "whole"
    BOTTLES = "bottles"


@dataclass(frozen=True, slots=True)
class Entry:
    """A lane to be planned: its limits and what is expected of it, before it has a time.

    Args:
        weakest, strongest: vol allowed. label_max_min: longest time of its product, min.
        own: vol the technician insists on, or None.
        asked: what was insisted on when the limit holds it lower, or None.
    """

    zone: Zone
    factors: LiftFactors
    weakest: float
    strongest: float
    limit_reason: Message
    label_max_min: float
    own: float | None = None
    asked: float | None = None


@dataclass(frozen=True, slots=True)
class Mixing:
    """What developers can be: the step, the shelf's strengths in order, and an additive's factor on strength."""

    step: VolumeStep
    bottle_volumes: Floats
    strength_factor: float


def _numbers(entries: Sequence[Entry]) -> Floats:
    levels = np.array([[e.zone.hair.start_level, e.zone.target_level] for e in entries])
    efforts = level_to_effort(levels)
    rest = [
        (
            e.zone.target_level,
            e.factors.extent,
            e.factors.rate,
            e.weakest,
            e.strongest,
            math.nan if e.own is None else e.own,
            e.zone.application_min,
            *dries_from_by(e.zone.covering),
            e.label_max_min,
        )
        for e in entries
    ]
    return np.column_stack([efforts[:, 0], efforts[:, 1] - efforts[:, 0], np.array(rest)])


class LaneTable:
    """Numbers of some lanes as columns of shape (k, 1)."""

    def __init__(self, entries: Sequence[Entry], numbers: Floats | None = None) -> None:
        """Of entries; `numbers` of shape (k, 12) when they are known already."""
        self.entries = tuple(entries)
        self.numbers = _numbers(entries) if numbers is None else numbers
        columns = [self.numbers[:, i : i + 1] for i in range(12)]
        self.start, self.work, self.target, self.extent, self.rate = columns[:5]
        self.weakest, self.strongest, self.own, self.application, self.dries_from, self.dries_by, self.label = columns[
            5:
        ]
        self._wet_until = float(self.dries_from.min())

    def take(self, rows: Sequence[int]) -> LaneTable:
        """Some of the lanes."""
        return LaneTable([self.entries[i] for i in rows], self.numbers[list(rows)])

    def _worked(self, minutes: Floats) -> Floats:
        """Minutes of full work: product that dries works less and less."""
        if minutes.max() <= self._wet_until:
            return minutes
        return working_minutes(minutes, self.dries_from, self.dries_by)

    def levels(self, volumes: Floats, minutes: Floats, factor: float) -> Floats:
        """Levels after minutes of processing, shape (k, m)."""
        capacity = CAPACITY_BASE + CAPACITY_PER_VOLUME * factor * volumes
        gained = self.extent * capacity * share_done(scaled_time(self._worked(minutes), self.rate))
        return effort_to_level(self.start + gained)

    def short_and_over(self, levels: Floats) -> tuple[Floats, Floats]:
        """Levels missed beyond the tolerance, and passed beyond what is free."""
        miss = self.target - levels
        return np.maximum(miss - LEVEL_TOLERANCE, 0.0), np.maximum(-miss - OVERSHOOT_FREE, 0.0)

    def volumes(self, minutes: Floats, mixing: Mixing) -> Floats:
        """Developers for processing times of shape (k, m): the weakest that get there, within their limits."""
        share = share_done(scaled_time(self._worked(np.maximum(minutes, 0.1)), self.rate))
        needed = (self.work / (self.extent * share) - CAPACITY_BASE) / CAPACITY_PER_VOLUME / mixing.strength_factor
        if mixing.step is VolumeStep.BOTTLES:
            found = self._bottles(minutes, mixing)
        elif mixing.step is VolumeStep.WHOLE:
            found = np.clip(np.ceil(needed - ROUNDING_VOLUME), self.weakest, self.strongest)
        else:
            found = np.clip(needed, self.weakest, self.strongest)
        return np.where(np.isnan(self.own), found, self.own)

    def _bottles(self, minutes: Floats, mixing: Mixing) -> Floats:
        best = np.broadcast_to(self.weakest, minutes.shape).copy()
        least = np.full(minutes.shape, np.inf)
        for volume in mixing.bottle_volumes.tolist():
            short, over = self.short_and_over(self.levels(np.array(volume), minutes, mixing.strength_factor))
            cost = short + OVERSHOOT_WEIGHT * over
            is_allowed = (volume <= self.strongest + 1e-9) & (volume >= self.weakest - 1e-9)
            is_better = (cost < least - 1e-9) & is_allowed
            best = np.where(is_better, volume, best)
            least = np.where(is_better, cost, least)
        return best

    def minutes_to(self, effort: Floats, volumes: Floats, factor: float) -> Floats:
        """Minutes until an amount of effort is done; infinity for never. Broadcasts."""
        share = effort / (self.extent * (CAPACITY_BASE + CAPACITY_PER_VOLUME * factor * volumes))
        minutes = minutes_of_work(minutes_for_share(share, self.rate), self.dries_from, self.dries_by)
        result: Floats = np.where(effort <= 0.0, 0.0, minutes)
        return result


@dataclass(frozen=True, slots=True)
class Outcome:
    """A wave for each of m lines; arrays of shape (k, m) or (k, 1) in the order the lanes go on, the rest (m,)."""

    finishes: Floats
    starts: Floats
    ends: Floats
    rinses: Floats
    walls: Floats
    volumes: Floats
    levels: Floats
    targets: Floats
    hands_free: Floats
    missed: Floats

    @property
    def spread(self) -> Floats:
        """Levels between the lane that passes its target most and the one that misses it most, shape (m,)."""
        off = self.levels - self.targets
        return np.asarray(off.max(axis=0) - off.min(axis=0))

    @property
    def strongest(self) -> Floats:
        """Strongest developer, vol, shape (m,)."""
        return np.asarray(self.volumes.max(axis=0))

    @property
    def load(self) -> Floats:
        """Contact load, vol min, shape (m,)."""
        return np.asarray((self.volumes * (self.rinses - self.starts)).sum(axis=0))


Busy = tuple[tuple[float, float], ...]
"""When the hands rinse and tone earlier waves: (from, to) in min, in order."""


def main_starts(mains: Sequence[Entry], start_min: float, busy: Busy = ()) -> list[float]:
    """Starts of a wave's first pass, one after the other.

    A zone that would reach into a time the hands are busy waits until it is over.
    """
    starts, clock = [], start_min
    for entry in mains:
        need = entry.zone.application_min
        for begin, over in busy:
            if clock < over and clock + need > begin:
                clock = over
        starts.append(clock)
        clock += need + CHANGEOVER_MIN
    return starts


class Wave:
    """The lanes of one wave with their first pass on the clock; finish lines are then tried on it."""

    def __init__(
        self,
        table: LaneTable,
        main_rows: Sequence[int],
        join_rows: Sequence[int],
        *,
        start_min: float = 0.0,
        busy: Busy = (),
    ) -> None:
        """Args: table: of all lanes; which of its rows are the first pass, which join later."""
        self.busy = busy
        self.table = table.take(main_rows)
        self.join_tables = [table.take([row]) for row in join_rows]
        self.all_table = table.take([*main_rows, *join_rows]) if join_rows else self.table
        self.starts = np.array(main_starts(self.table.entries, start_min, busy)).reshape(-1, 1)
        self.ends = self.starts + self.table.application
        first_line = float(self.ends.max()) + PROCESSING_MIN_MIN
        if busy:
            first_line = max(first_line, busy[-1][1])
        self.low = math.ceil(first_line - 1e-9)
        walls = self.starts + self.table.label
        self.high = max(float(self.low), float(walls.min()))
        self.high_most = max(float(self.low), math.floor(float(walls.max())))

    def lines(self) -> Floats:
        """Lines inside every wall of the first pass, minute by minute; the last minute before the wall included."""
        grid = np.arange(self.low, self.high + 1e-9)
        return grid if grid[-1] >= self.high - 1e-9 else np.append(grid, self.high)

    def _rinses(self, finishes: Floats, ends: Floats, walls: Floats) -> Floats:
        return np.minimum(np.maximum(finishes, ends + PROCESSING_MIN_MIN), np.maximum(walls, ends))

    def try_lines(self, finishes: Floats, mixing: Mixing) -> Outcome:
        """What each finish line of shape (m,) leads to."""
        walls = self.starts + self.table.label
        rinses = self._rinses(finishes, self.ends, walls)
        volumes = self.table.volumes(rinses - self.ends, mixing)
        rinses, levels = self._ready_first(self.table, rinses, self.ends, volumes, mixing)
        if not self.join_tables:
            hands = np.full(finishes.shape, float(self.ends.max()) + JOIN_CHANGEOVER_MIN)
            return self._outcome(finishes, (self.starts, self.ends, rinses, walls, volumes, levels), hands)
        shape = volumes.shape
        first = [np.broadcast_to(a, shape) for a in (self.starts, self.ends, rinses, walls, volumes, levels)]
        parts: list[tuple[Floats, ...]] = [tuple(first)]
        hands = np.full(finishes.shape, float(self.ends.max()) + JOIN_CHANGEOVER_MIN)
        if self.busy:
            hands = np.maximum(hands, self.busy[-1][1])
        for table in self.join_tables:
            part, hands = self._join(table, finishes, mixing, volumes, hands)
            parts.append(part)
        return self._outcome(finishes, tuple(np.vstack([p[i] for p in parts]) for i in range(6)), hands)

    def _ready_first(
        self, table: LaneTable, rinses: Floats, ends: Floats, volumes: Floats, mixing: Mixing
    ) -> tuple[Floats, Floats]:
        """Rinses and levels, with lanes that would pass their target by more than is free rinsed alone when ready."""
        levels = table.levels(volumes, rinses - ends, mixing.strength_factor)
        is_over = levels > table.target + OVERSHOOT_FREE
        if not is_over.any():
            return rinses, levels
        ready = ends + np.maximum(table.minutes_to(table.work, volumes, mixing.strength_factor), PROCESSING_MIN_MIN)
        early = np.where(is_over, np.minimum(rinses, ready), rinses)
        return early, table.levels(volumes, early - ends, mixing.strength_factor)

    def _join(
        self, table: LaneTable, finishes: Floats, mixing: Mixing, main_volumes: Floats, hands: Floats
    ) -> tuple[tuple[Floats, ...], Floats]:
        entry = table.entries[0]
        need = entry.zone.application_min
        eligible = np.zeros_like(finishes)
        index = next((i for i, m in enumerate(self.table.entries) if m.zone.key == entry.zone.waits_for), None)
        if index is not None and entry.zone.part is Part.ROOT:
            main = self.table.entries[index].zone
            effort = level_to_effort(max(main.target_level - JOIN_LEVELS_SHORT, 1.0)) - self.table.start[index, 0]
            wait = self.table.minutes_to(effort, main_volumes, mixing.strength_factor)[index]
            eligible = self.ends[index, 0] + np.where(np.isfinite(wait), wait, 0.0)
        weakest = entry.weakest if entry.own is None else entry.own
        longest = float(table.minutes_to(table.work, np.array(weakest), mixing.strength_factor)[0, 0])
        latest = finishes - need - max(longest, PROCESSING_MIN_MIN) if math.isfinite(longest) else hands
        starts = np.maximum(np.maximum(hands, eligible), latest)
        ends = starts + need
        walls = starts + entry.label_max_min
        rinses = self._rinses(finishes, ends, walls)
        volumes = table.volumes((rinses - ends)[None, :], mixing)[0]
        alone, levels = self._ready_first(table, rinses[None, :], ends, volumes, mixing)
        return (starts, ends, alone[0], walls, volumes, levels[0]), ends + JOIN_CHANGEOVER_MIN

    def _outcome(self, finishes: Floats, lanes: tuple[Floats, ...], hands: Floats) -> Outcome:
        starts, ends, rinses, walls, volumes, levels = lanes
        table = self.all_table
        shorts, overs = table.short_and_over(levels)
        late = rinses > finishes + 1e-6
        alone = rinses < finishes - ALONE_FREE_MIN
        costs = shorts + OVERSHOOT_WEIGHT * overs + LATE_PENALTY * late + ALONE_COST * alone
        return Outcome(
            finishes=finishes,
            starts=starts,
            ends=ends,
            rinses=rinses,
            walls=walls,
            volumes=volumes,
            levels=levels,
            targets=table.target,
            hands_free=hands - JOIN_CHANGEOVER_MIN + CHANGEOVER_MIN,
            missed=costs.sum(axis=0),
        )
