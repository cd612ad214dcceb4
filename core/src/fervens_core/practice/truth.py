"""What the hair of a practice head really does: the chair's own kinetics, with deviations that nobody is told of.

A truth is a pure function of the setup and the log: the same round gives the same hair. docs/models/practice.md.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime

import numpy as np

from fervens_core.base import Floats
from fervens_core.chair import Chair, LaneTimes, lane_kinetics, lane_times, minutes_between, span_min
from fervens_core.head import Covering, Hair, HomeCare, ReadingMode, Thickness, Zone, lanes_of, without_row
from fervens_core.lift import (
    HEAD_EXTENT_STD,
    HEAD_RATE_STD,
    SAME_ZONE_SHARE,
    ZONE_EXTENT_STD,
    ZONE_RATE_STD,
    Change,
    LaneKinetics,
    SimulatedHead,
    Strand,
)
from fervens_core.log import Event, FoilOpened, LaneState
from fervens_core.practice.mishaps import Mishap, Mishaps, met_of, mishaps_of, seen_to_at
from fervens_core.practice.setup import Difficulty, Setup, hair_truly, person_of

RESISTANT_EXTENT, RESISTANT_RATE = -0.10, -0.25
"""[MODEL] resistant hair lifts by a tenth less far and by a fifth slower than hair that looks like it."""
DELICATE_RATE = 0.25
"""[MODEL] fine hair at the hairline lifts faster still than expected."""
STALL_SHARE, STALL_LEVEL, STALL_STD = 0.6, 6.6, 0.3
"""[MODEL] of a head that stalls, the share of zones that do, and about where: orange."""
VIOLET_REST = 0.25
"""[MODEL] how much of a rest a violet shampoo leaves, 0 to 1."""
STALE_LOSS = 0.12
"""[MODEL] what a bowl that has gone stale lifts less far."""


@dataclass(frozen=True, slots=True)
class Deviation:
    """How one lane's hair is off what is expected of such hair.

    Args:
        log_extent, log_rate: of how far and how fast. ceiling: level it stalls at, infinity for none.
    """

    log_extent: float
    log_rate: float
    ceiling: float


def deviation_of(setup: Setup, zone_key: str, lane_key: str, hair: Hair) -> Deviation:
    """How the hair of a lane is off: its head, its zone and itself, as the belief has them apart."""
    same, own = math.sqrt(SAME_ZONE_SHARE), math.sqrt(1.0 - SAME_ZONE_SHARE)
    head, zone = setup.random("extent_rate"), setup.random("zone", zone_key)
    lane = setup.random("lane", without_row(lane_key))
    calm = 0.6 if setup.difficulty is Difficulty.EVEN else 1.0
    draws = [r.standard_normal(2) for r in (head, zone, lane)]
    stds = ((HEAD_EXTENT_STD, ZONE_EXTENT_STD), (HEAD_RATE_STD, ZONE_RATE_STD))
    found = []
    for place, (of_head, of_zone) in enumerate(stds):
        off = of_head * draws[0][place] + of_zone * (same * draws[1][place] + own * draws[2][place])
        found.append(calm * float(off))
    log_extent, log_rate = found
    ceiling = math.inf
    if setup.difficulty is Difficulty.RESISTANT:
        log_extent, log_rate = log_extent + RESISTANT_EXTENT, log_rate + RESISTANT_RATE
    if setup.difficulty is Difficulty.DELICATE and hair.thickness is Thickness.FINE:
        log_rate += DELICATE_RATE
    if setup.difficulty is Difficulty.STALLS and float(zone.random()) < STALL_SHARE:
        ceiling = STALL_LEVEL + STALL_STD * float(zone.standard_normal())
    return Deviation(log_extent, log_rate, ceiling)


@dataclass(frozen=True)
class Truth:
    """A round's hair as it really is, for the chair as it stands.

    Args:
        looks: when lanes were opened without a level being named, by lane key.
    """

    setup: Setup
    chair: Chair
    lanes: dict[str, Zone]
    times: dict[str, LaneTimes]
    mishaps: tuple[Mishap, ...]
    looks: dict[str, tuple[datetime, ...]]
    met: dict[str, datetime]

    @property
    def holds_violet(self) -> bool:
        """Whether a violet shampoo left its rest on this hair: used at home, or told of only now."""
        told = any(m.kind is Mishaps.SHAMPOO and m.at <= self.chair.now for m in self.mishaps)
        return told or HomeCare.VIOLET_SHAMPOO in person_of(self.setup).home_care

    def hair(self, key: str) -> Hair:
        """The hair that really lies in a lane before today."""
        return hair_truly(self.setup, self.chair.zones[key], self.lanes)

    def start_level(self, lane: LaneState) -> float:
        """Level a lane's hair really had before its lightener: what it had come to, where it is lightened again."""
        if lane.again_of is not None:
            before = self.chair.state.lane(lane.again_of)
            return self.level_at(before, before.rinsed_at or self.chair.now)
        return self.hair(lane.key).start_level

    def kinetics(self, lane: LaneState) -> LaneKinetics:
        """How a lane really lifts: what was really put on it and happened to it, on its real hair."""
        zone, times = self.chair.zones[lane.key], self.times[lane.key]
        hair = replace(self.hair(lane.key), start_level=self.start_level(lane))
        truly = replace(self.chair, zones=self.chair.zones | {lane.key: replace(zone, hair=hair)})
        return lane_kinetics(truly, lane, times, self._unlogged(lane, zone))

    def _unlogged(self, lane: LaneState, zone: Zone) -> list[tuple[datetime, Change]]:
        """What happened to a lane that its log has not."""
        found = [(at, Change.OPENED) for at in self.looks.get(lane.key, ())]
        for mishap in self.mishaps:
            if mishap.lane_key != lane.key or mishap.at > self.chair.now:
                continue
            if mishap.kind is Mishaps.DRIED:
                found.append((mishap.at, Change.DRIED))
            if mishap.kind is Mishaps.SLIPPED:
                found.append((mishap.at, Change.OPEN_AIR))
                back = seen_to_at(mishap, lane, self.looks.get(lane.key, ()), self.met)
                if back is not None:
                    found.append((back, Change.FILM if zone.covering is Covering.FILM else Change.FOIL))
        return found

    def head_of(self, lane: LaneState) -> SimulatedHead:
        """The lane as a simulated head of one."""
        zone, kinetics = self.chair.zones[lane.key], self.kinetics(lane)
        off = deviation_of(self.setup, zone.zone_key, lane.again_of or lane.key, self.hair(lane.key))
        log_extent = off.log_extent
        for mishap in self.mishaps:
            if mishap.lane_key == lane.key and mishap.kind is Mishaps.STALE and mishap.at <= self.chair.now:
                is_fresh = any(mishap.at <= b.at <= (lane.finished_at or b.at) for b in lane.bowls)
                log_extent += 0.0 if is_fresh else math.log1p(-STALE_LOSS)
        ceiling = min(off.ceiling, kinetics.factors.ceiling)
        return SimulatedHead((kinetics,), np.array([log_extent]), np.array([off.log_rate]), ceiling=np.array([ceiling]))

    def levels(self, lane: LaneState, minutes: Sequence[float] | Floats) -> Floats:
        """True levels of a lane so many minutes after its application, shape (n,), 1 to 10.

        A lane that was never started is as it came.
        """
        if lane.started_at is None:
            return np.full(len(minutes), self.start_level(lane))
        head = self.head_of(lane)
        return np.array([head.level(0, max(float(m), 0.0)) for m in minutes])

    def level_at(self, lane: LaneState, at: datetime, *, is_first: bool = False) -> float:
        """True level of a lane at a moment; after its rinse it stays.

        Args:
            is_first: of the sections that went on first.
        """
        ended = min(at, lane.rinsed_at) if lane.rinsed_at else at
        zone = self.chair.zones[lane.key]
        minutes = minutes_between(self.times[lane.key].zero, ended)
        return float(self.levels(lane, [minutes + (span_min(zone, lane) if is_first else 0.0)])[0])


def truth_of(setup: Setup, chair: Chair, events: Sequence[Event]) -> Truth:
    """The hair of a round as its log has it so far."""
    times = lane_times(chair)
    looks: dict[str, list[datetime]] = {}
    for event in events:
        if isinstance(event.data, FoilOpened) and event.data.mode is not ReadingMode.DRY:
            looks.setdefault(event.data.zone_key, []).append(event.occurred_at)
    return Truth(
        setup=setup,
        chair=chair,
        lanes={z.key: z for z in lanes_of(setup.zones)},
        times=dict(zip([x.key for x in chair.state.lanes], times, strict=True)),
        mishaps=mishaps_of(setup, chair),
        looks={k: tuple(sorted(v)) for k, v in looks.items()},
        met=met_of(events),
    )


def strand_hair(setup: Setup, strand: Strand) -> Hair:
    """The hair a strand of a test was really cut from."""
    zone = next((z for z in setup.zones if z.key == strand.zone_key), setup.zones[0])
    return zone.hair


def strand_level(setup: Setup, strand: Strand, minutes: float) -> float:
    """True level of a strand of a test after some minutes, with its zone's own hair."""
    hair = strand_hair(setup, strand)
    kinetics = replace(strand, hair=hair).kinetics
    off = deviation_of(setup, strand.zone_key, strand.zone_key, hair)
    ceiling = np.array([min(off.ceiling, kinetics.factors.ceiling)])
    head = SimulatedHead((kinetics,), np.array([off.log_extent]), np.array([off.log_rate]), ceiling=ceiling)
    return head.level(0, max(minutes, 0.0))
