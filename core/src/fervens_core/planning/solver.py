"""The search over waves and finish lines. docs/models/plan.md.

Once a line stands the lanes of a wave do not touch each other, so a wave is a search over one number; waves are counted
and parted by what they cost.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import Message, say
from fervens_core.head import Developer, DeveloperUse, History, Zone, lanes_of
from fervens_core.lift import ADDITIVE_STRENGTH_FACTOR, LiftFactors, zone_factors
from fervens_core.planning.request import Aim, PlanRequest
from fervens_core.planning.wave import (
    CHANGEOVER_MIN,
    LEVEL_TOLERANCE,
    Busy,
    Entry,
    LaneTable,
    Mixing,
    Outcome,
    VolumeStep,
    Wave,
)
from fervens_core.safety import strongest_volume

RINSE_MIN, WAVE_TONE_MIN = 7.0, 8.0
"""[MODEL] hands are taken so long to rinse and to tone a wave before the next goes on."""
WAVE_BREAK_MIN = RINSE_MIN + WAVE_TONE_MIN
STRONGER_ALLOWED_VOLUME = 2.0
"""[MODEL] an earlier finish is worth up to 2 vol more in the strongest bowl."""
WAVE_COST_LEVELS = 0.5
"""[MODEL] a wave more is worth half a level over all lanes: it costs a rinse, a toning and a second line to watch."""
HARSH_VOLUME, HARSH_LEVELS_PER_VOLUME = 30.0, 0.05
"""[MODEL] for the even aim 10 vol more than 30 on one lane weigh as much as another wave."""
USUAL_FILL = 0.7
"""Where the search for the number of waves begins: so much of the label's time goes into applying."""
SHIFTED_UNITS_MAX = 16
"""Up to so many zones the partings between waves are tried one zone to either side."""
SPREAD_STEP = 0.1
GENTLE_MAX_VOLUME = 20.0
"""[MODEL] the gentle aim's own limit: 6 %."""


@dataclass(frozen=True, slots=True)
class LeftOut:
    """A lane that gets no product, and why."""

    zone: Zone
    reason: Message


def bottles_for(zone: Zone, bottles: Sequence[Developer]) -> Sequence[Developer]:
    """The bottles a lane may be lightened with: those for toning lift nothing but old dye."""
    if zone.hair.history is History.DIRECT_DYE:
        return bottles
    return [b for b in bottles if b.use is not DeveloperUse.TONING] or bottles


def entries_of(
    request: PlanRequest, lanes: tuple[Zone, ...], factors: list[LiftFactors]
) -> tuple[list[Entry], list[LeftOut]]:
    entries, left_out = [], []
    strongest_bottle = max(b.volume_strength for b in request.bottles)
    for i, zone in enumerate(lanes):
        weakest_bottle = min(b.volume_strength for b in bottles_for(zone, request.bottles))
        lightener = request.lightener_of(zone)
        limit, reason = strongest_volume(zone, lightener, request.elasticity)
        if strongest_bottle < limit:
            limit, reason = strongest_bottle, say("volume_limit-strongest_bottle")
        if weakest_bottle > limit:
            why = say("left_out-no_weak_bottle", why=reason, most=limit, weakest=weakest_bottle)
            left_out.append(LeftOut(zone, why))
            continue
        if request.choice.aim is Aim.GENTLE and limit > max(GENTLE_MAX_VOLUME, weakest_bottle):
            limit, reason = max(GENTLE_MAX_VOLUME, weakest_bottle), say("volume_limit-gentle")
        if request.choice.step is VolumeStep.BOTTLES:
            limit = max(b.volume_strength for b in request.bottles if b.volume_strength <= limit + 1e-9)
        asked = request.choice.volumes.get(zone.key)
        own = None if asked is None else min(max(asked, weakest_bottle), limit)
        entries.append(
            Entry(
                zone=zone,
                factors=factors[i],
                weakest=min(max(weakest_bottle, request.weakest.on(zone)), limit),
                strongest=limit,
                limit_reason=reason,
                label_max_min=lightener.label_max_min,
                own=own,
                asked=asked if asked is not None and asked != own else None,
            )
        )
    return entries, left_out


def mixing_of(request: PlanRequest) -> Mixing:
    """What developers can be in a plan."""
    return Mixing(
        step=request.choice.step,
        bottle_volumes=np.array(sorted({b.volume_strength for b in request.bottles})),
        strength_factor=ADDITIVE_STRENGTH_FACTOR if request.choice.has_additive else 1.0,
    )


Unit = tuple[int, ...]
"""The lanes of one zone, by their place among all lanes."""


def _units(entries: list[Entry]) -> list[Unit]:
    units: dict[str, list[int]] = {}
    for place, entry in enumerate(entries):
        units.setdefault(entry.zone.zone_key, []).append(place)
    return [tuple(u) for u in units.values()]


@dataclass(frozen=True, slots=True)
class Solved:
    """One wave with its line chosen; `at` is the line's index in the outcome."""

    wave: Wave
    outcome: Outcome
    at: int
    is_own: bool

    @property
    def finish(self) -> float:
        return float(self.outcome.finishes[self.at])

    @property
    def hands_free(self) -> float:
        return float(self.outcome.hands_free[self.at])

    @property
    def missed(self) -> float:
        return float(self.outcome.missed[self.at])


def choose_line(outcome: Outcome, aim: Aim) -> int:
    """Index of an aim's best line.

    All aims miss as little as can be. Gentle then has the least contact load; even the least spread among the lines
    that need hardly more than the weakest strongest developer, and of those the earliest; quick is the earliest.
    """
    candidates = np.flatnonzero(outcome.missed <= outcome.missed.min() + LEVEL_TOLERANCE)
    if aim is Aim.GENTLE:
        return int(candidates[np.argmin(outcome.load[candidates])])
    if aim is Aim.EVEN and candidates.size > 1:
        strongest = outcome.strongest[candidates]
        candidates = candidates[strongest <= strongest.min() + STRONGER_ALLOWED_VOLUME]
        spread = np.round(outcome.spread[candidates] / SPREAD_STEP)
        candidates = candidates[spread <= spread.min()]
    return int(candidates[0])


class Solver:
    """The search over waves and lines for one request; waves once solved are kept, since the search comes back to them.

    Args:
        entries: the lanes to be planned; None to make them from the request.
    """

    def __init__(self, request: PlanRequest, entries: list[Entry] | None = None) -> None:
        if entries is None:
            lanes = lanes_of(request.zones)
            entries, _ = entries_of(request, lanes, [zone_factors(z, request.lightener_of(z)) for z in lanes])
        self.request = request
        self.entries = entries
        self.units = _units(entries)
        self.table = LaneTable(entries)
        self.known: dict[tuple[object, ...], Solved] = {}
        self.mixing = mixing_of(request)

    def wave(self, units: list[Unit], before: Solved | None, *, is_after: bool) -> Wave:
        """A wave of some zones after another; `is_after`: nothing goes on until the one before is rinsed and toned."""
        rows = [row for unit in units for row in unit]
        present = {self.entries[row].zone.key for row in rows}
        joins = [row for row in rows if self.entries[row].zone.waits_for in present]
        mains = [row for row in rows if self.entries[row].zone.waits_for not in present]
        busy: Busy = ()
        start = 0.0
        if before:
            over = before.finish + WAVE_BREAK_MIN
            busy = (*before.wave.busy, (before.finish, over))
            start = over if is_after else before.hands_free
        return Wave(
            self.table,
            mains,
            joins,
            start_min=start,
            busy=busy,
        )

    def solve(self, wave: Wave, own_finish: float | None) -> Solved:
        """The wave with the line of the aim, or the technician's own held to where it can stand."""
        if own_finish is not None:
            line = min(max(own_finish, float(wave.low)), float(wave.high_most))
            return Solved(wave, wave.try_lines(np.array([line]), self.mixing), 0, True)
        outcome = wave.try_lines(wave.lines(), self.mixing)
        at = choose_line(outcome, self.request.choice.aim)
        if self.request.choice.step is VolumeStep.EXACT:
            near = float(outcome.finishes[at]) + np.linspace(-1.0, 1.0, 41)
            inside = near[(near >= wave.low) & (near <= wave.high)]
            outcome = wave.try_lines(inside, self.mixing)
            at = choose_line(outcome, self.request.choice.aim)
        return Solved(wave, outcome, at, False)

    def best(self, units: list[Unit], before: Solved | None, own: float | None = None) -> Solved:
        """The wave solved, going on during the one before unless waiting for that misses less."""
        key = (units[0][0], units[-1][-1], before and (before.finish, before.hands_free, before.wave.busy), own)
        if key in self.known:
            return self.known[key]
        found = self.solve(self.wave(units, before, is_after=False), own)
        if before is not None and found.missed > LEVEL_TOLERANCE:
            after = self.solve(self.wave(units, before, is_after=True), own)
            found = after if after.missed < found.missed - LEVEL_TOLERANCE else found
        self.known[key] = found
        return found

    def chain(self, groups: list[list[Unit]], own: tuple[float, ...] = ()) -> list[Solved]:
        """Waves one after the other."""
        solved: list[Solved] = []
        for i, group in enumerate(groups):
            solved.append(self.best(group, solved[-1] if solved else None, own[i] if i < len(own) else None))
        return solved

    def cost(self, groups: list[list[Unit]], limit: float = math.inf) -> float:
        """Levels missed over all lanes, and what the waves after the first cost, in levels; infinity past a limit."""
        total = WAVE_COST_LEVELS * (len(groups) - 1)
        before: Solved | None = None
        for group in groups:
            before = self.best(group, before)
            total += before.missed + self.harshness(before)
            if total >= limit:
                return math.inf
        return total

    def harshness(self, solved: Solved) -> float:
        """What strong developers weigh when waves are counted, in levels: the even aim would rather part again."""
        if self.request.choice.aim is not Aim.EVEN:
            return 0.0
        over = np.maximum(solved.outcome.volumes[:, solved.at] - HARSH_VOLUME, 0.0)
        return float(over.sum()) * HARSH_LEVELS_PER_VOLUME

    def groups(self, units: list[Unit]) -> list[list[Unit]]:
        """Zones by wave: as told, or as many waves as are worth their trouble, and where to part them."""
        starts = self.request.choice.wave_starts
        if starts is not None:
            return self.told_groups(units, starts)
        minutes = [self.table.application[list(unit)].sum() + CHANGEOVER_MIN for unit in units]
        filled = USUAL_FILL * self.request.lightener.label_max_min
        first = min(max(1, round(sum(minutes) / filled)), len(units))
        best = _even_groups(units, minutes, first)
        least = self.cost(best)
        for step in (-1, 1):
            count = first + step
            while 1 <= count <= len(units):
                tried = _even_groups(units, minutes, count)
                cost = self.cost(tried, least)
                if cost >= least:
                    break
                best, least, count = tried, cost, count + step
        return self.shift(best, least) if len(units) <= SHIFTED_UNITS_MAX else best

    def told_groups(self, units: list[Unit], starts: tuple[str, ...]) -> list[list[Unit]]:
        """Zones by wave as the technician parted them."""
        groups: list[list[Unit]] = []
        for unit in units:
            if not groups or self.entries[unit[0]].zone.zone_key in starts:
                groups.append([])
            groups[-1].append(unit)
        return groups

    def shift(self, groups: list[list[Unit]], least: float) -> list[list[Unit]]:
        """Moves single zones over the partings while that misses less."""
        i, moved = 0, False
        while i < len(groups) - 1 or moved:
            if i >= len(groups) - 1:
                i, moved = 0, False
                continue
            for tried in _shifted(groups, i):
                cost = self.cost(tried, least)
                if cost < least - LEVEL_TOLERANCE:
                    groups, least, moved = tried, cost, True
                    break
            else:
                i += 1
        return groups


def _even_groups(units: list[Unit], minutes: list[float], count: int) -> list[list[Unit]]:
    """Zones in `count` runs of about equal application time."""
    ends = np.cumsum(minutes)
    middles = ends - np.array(minutes) / 2.0
    number = np.minimum(middles / ends[-1] * count, count - 1).astype(int)
    groups = [[u for u, n in zip(units, number, strict=True) if n == k] for k in range(count)]
    return [g for g in groups if g]


def _shifted(groups: list[list[Unit]], i: int) -> list[list[list[Unit]]]:
    """The groups with one zone moved over the parting after group i, either way; a group that empties is gone."""
    left, right = groups[i], groups[i + 1]
    pairs = [[left[:-1], [left[-1], *right]], [[*left, right[0]], right[1:]]]
    return [[*groups[:i], *[g for g in pair if g], *groups[i + 2 :]] for pair in pairs]
