"""Lanes as the schedule sees them: limits, strengths, factors as columns. docs/models/schedule.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from fervens_core.base import Floats, Message, say
from fervens_core.head import Covering, Developer, DeveloperUse, History, Part, Zone
from fervens_core.lift import (
    ADDITIVE_STRENGTH_FACTOR,
    LiftFactors,
    capacity,
    capped,
    dries_from_by,
    effort_to_level,
    level_to_effort,
    minutes_for_share,
    minutes_of_work,
    scaled_time,
    share_done,
    uncapped,
    working_minutes,
)
from fervens_core.planning.request import USUAL_PACE, Aim, Paces, PlanRequest, VolumeStep
from fervens_core.safety import strongest_volume

PROCESSING_MIN_MIN = 5.0
GENTLE_MAX_VOLUME = 20.0
"""[MODEL] the gentle aim's own limit: 6 %."""
GRID_VOLUME = 5.0
"""[MODEL] strengths are proposed in fives: what a hand weighs half and half from the usual bottles."""


@dataclass(frozen=True, slots=True)
class Entry:
    """A lane to be scheduled: its limits and what is expected of it, before it has a time.

    Args:
        application_min: from its first section to its last at the pace that holds.
        weakest, strongest: vol that may be proposed. label_max_min: longest time of its product, min.
        counts_from_end: the label counts from the last section.
        own: vol the technician insists on, or None.
        asked: what was insisted on when the limit holds it lower, or None.
    """

    zone: Zone
    factors: LiftFactors
    application_min: float
    weakest: float
    strongest: float
    limit_reason: Message
    label_max_min: float
    counts_from_end: bool = False
    own: float | None = None
    asked: float | None = None

    @property
    def section_min(self) -> float:
        """Minutes for one section."""
        return self.application_min / self.zone.foil_count


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


def application_min(zone: Zone, pace: Paces) -> float:
    """Minutes a lane's application takes: its sections at its pace, by the studio's shares of a foil's."""
    minutes = zone.application_min
    if zone.part is Part.ROOT:
        minutes *= pace.root_share / USUAL_PACE.root_share
    if zone.part in (Part.BAND, Part.REGROWTH):
        minutes *= pace.band_share / USUAL_PACE.band_share
    if zone.covering is Covering.OPEN_AIR and zone.part in (Part.WHOLE, Part.LENGTHS):
        minutes *= pace.open_air_share
    return minutes


def entries_of(
    request: PlanRequest, lanes: tuple[Zone, ...], factors: list[LiftFactors]
) -> tuple[list[Entry], list[LeftOut]]:
    """Lanes with their limits; those no bottle is weak enough for are left out with the reason."""
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
                application_min=application_min(zone, request.pace),
                weakest=min(max(weakest_bottle, request.weakest.on(zone)), limit),
                strongest=limit,
                limit_reason=reason,
                label_max_min=lightener.label_max_min,
                counts_from_end=lightener.counts_from_end,
                own=own,
                asked=asked if asked is not None and asked != own else None,
            )
        )
    return entries, left_out


def strengths_of(request: PlanRequest, entries: Sequence[Entry]) -> Floats:
    """Every strength that may be proposed for some lane, vol, rising: fives, bottles, limits and what was insisted on.

    By bottles, only those; with every volume allowed, all whole ones.
    """
    bottles = sorted({b.volume_strength for b in request.bottles})
    step = request.choice.step
    found = {e.own for e in entries if e.own is not None}
    if step is VolumeStep.BOTTLES:
        found |= set(bottles)
    else:
        low, high = min(e.weakest for e in entries), max(e.strongest for e in entries)
        by = 1.0 if step is VolumeStep.EXACT else GRID_VOLUME
        found |= set(np.arange(np.ceil(low / by) * by, high + 1e-9, by).tolist())
        found |= {b for b in bottles if low <= b <= high}
        found |= {e.weakest for e in entries} | {e.strongest for e in entries}
    return np.array(sorted(found))


class LaneTable:
    """Numbers of some lanes as columns of shape (n,)."""

    def __init__(self, entries: Sequence[Entry], *, has_additive: bool = False) -> None:
        """Args: has_additive: a bond-building additive weakens every mix."""
        self.entries = tuple(entries)
        self.strength_factor = ADDITIVE_STRENGTH_FACTOR if has_additive else 1.0
        rows = [
            (
                e.zone.hair.start_level,
                e.zone.target_level,
                e.factors.extent,
                e.factors.rate,
                e.weakest,
                e.strongest,
                e.application_min,
                e.label_max_min,
                *dries_from_by(e.zone.covering),
            )
            for e in entries
        ]
        columns = np.array(rows, dtype=float).reshape(len(rows), 10).T
        self.start_level, self.target, self.extent, self.rate, self.weakest, self.strongest = columns[:6]
        self.application, self.label, self.dries_from, self.dries_by = columns[6:]
        self.weakest_ever = np.minimum(self.weakest, [e.weakest if e.own is None else e.own for e in entries])
        self.start = level_to_effort(self.start_level)
        self.work = level_to_effort(self.target) - self.start
        self.room = np.array([e.factors.room(e.zone.hair.start_level) for e in entries])
        self._has_ceiling = bool(np.isfinite(self.room).any())
        self._least: dict[float, Floats] = {}
        self._wet_until = float(self.dries_from.min()) if rows else 0.0

    def _column(self, values: np.ndarray, ndim: int) -> np.ndarray:
        return values.reshape((-1, *(1,) * (ndim - 1)))

    def shares(self, minutes: Floats) -> Floats:
        """Share of all a developer can do after minutes of processing, of shape (n, ...)."""
        minutes = np.maximum(minutes, 0.0)
        if minutes.size and minutes.max() > self._wet_until:
            minutes = working_minutes(
                minutes, self._column(self.dries_from, minutes.ndim), self._column(self.dries_by, minutes.ndim)
            )
        return share_done(scaled_time(minutes, self._column(self.rate, minutes.ndim)))

    def shares_of(self, rows: np.ndarray, minutes: Floats) -> Floats:
        """The same for single pairs of lane and minutes, shape (r,)."""
        worked = np.maximum(minutes, 0.0)
        if worked.size and worked.max() > self._wet_until:
            worked = working_minutes(worked, self.dries_from[rows], self.dries_by[rows])
        return share_done(scaled_time(worked, self.rate[rows]))

    def capacities(self, volumes: Floats) -> Floats:
        """Effort each lane's hair can gain with volumes of shape (n, ...), in the end."""
        return np.asarray(self._column(self.extent, volumes.ndim) * capacity(self.strength_factor * volumes))

    def levels(self, volumes: Floats, minutes: Floats) -> Floats:
        """Likely levels after minutes of processing; both of shape (n, ...)."""
        gained = self.capacities(volumes) * self.shares(minutes)
        return self.levels_of(self._column(np.arange(len(self.entries)), gained.ndim), gained)

    def levels_of(self, rows: np.ndarray | int, gained: Floats) -> Floats:
        """Likely levels of lanes (by index) after a gain of effort, under their ceilings; broadcasts."""
        left = capped(gained, self.room[rows]) if self._has_ceiling else gained
        return effort_to_level(self.start[rows] + left)

    def minutes_to(self, volumes: Floats, work: Floats | None = None) -> Floats:
        """Minutes of processing to the target (or an amount of effort), shape (n,); infinity for never."""
        wanted = self.work if work is None else work
        gain = uncapped(wanted, self.room) if self._has_ceiling else wanted
        share = gain / self.capacities(volumes)
        minutes = minutes_of_work(minutes_for_share(share, self.rate), self.dries_from, self.dries_by)
        return np.where(wanted <= 0.0, 0.0, minutes)

    @cached_property
    def longest_min(self) -> Floats:
        """Minutes of processing each lane needs at most: with its weakest developer, or her own; shape (n,)."""
        own = np.array([np.nan if e.own is None else e.own for e in self.entries])
        return self.minutes_to(np.where(np.isnan(own), self.weakest, own))

    def least_min(self, short_levels: float) -> Floats:
        """Minutes each lane needs at least: with its strongest, to so many levels short of its target; shape (n,)."""
        if short_levels not in self._least:
            work = level_to_effort(self.target - short_levels) - self.start
            self._least[short_levels] = self.minutes_to(self.strongest, work)
        return self._least[short_levels]

    def allowed(self, strengths: Floats) -> np.ndarray:
        """Whether each lane may have each strength; shape (n, s)."""
        own = np.array([np.nan if e.own is None else e.own for e in self.entries])[:, None]
        inside = (strengths >= self.weakest[:, None] - 1e-9) & (strengths <= self.strongest[:, None] + 1e-9)
        return np.asarray(np.where(np.isnan(own), inside, np.abs(strengths - own) < 1e-6))


def proposable(request: PlanRequest, entries: Sequence[Entry], in_use: set[float]) -> list[float]:
    """Strengths for lanes that have no product yet: what is in use on the head, then fives and bottles, rising."""
    if not entries:
        return sorted(in_use)
    return sorted(in_use | set(strengths_of(request, entries).tolist()))


def weakest_reaching(entry: Entry, minutes: float, strengths: Sequence[float], *, has_additive: bool = False) -> float:
    """The weakest of some strengths a lane may have that reaches its target in time; the strongest where none does.

    Args:
        minutes: of processing. strengths: to choose from, vol; own strength outranks them.
    """
    if entry.own is not None:
        return entry.own
    table = LaneTable([entry], has_additive=has_additive)
    tried = sorted(v for v in strengths if entry.weakest - 1e-9 <= v <= entry.strongest + 1e-9) or [entry.strongest]
    reached = table.levels(np.array([tried]), np.full((1, len(tried)), minutes))[0]
    good = np.flatnonzero(reached >= entry.zone.target_level - 0.1)
    return float(tried[int(good[0])]) if good.size else float(tried[-1])
