"""What every zone has become, as it is read after the rinse; and a zone that is to be lightened once more."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.basin.uptake import GRAB_FACTOR, PROBE_ASH
from fervens_core.chair import Chair, achieved_level, head_belief, minutes_between
from fervens_core.head import (
    USUAL_LENGTH_MM,
    Density,
    DyeHue,
    ServiceKind,
    Texture,
    Zone,
    kept_parts_of,
    lanes_of,
)
from fervens_core.log import LaneState, Phase, ServiceState, TakenReading
from fervens_core.planning import AS_PROPOSED, PlanChoice, again_zone
from fervens_core.toning import Result

TONER_PER_FOIL_G = 1.7
"""[MODEL] mixed toner for one section of usual length: 60 to 120 g for a head (common practice)."""
LEAST_LENGTH_SHARE = 0.25
"""[MODEL] short parts of a strand take at least so much of that."""
_BY_DENSITY = {Density.THIN: 0.8, Density.MEDIUM: 1.0, Density.THICK: 1.3}
_BY_TEXTURE = {Texture.SLEEK: 0.9, Texture.USUAL: 1.0, Texture.THIRSTY: 1.3}


@dataclass(frozen=True, slots=True)
class ReadZone:
    """A rinsed lane with what it has become.

    Args:
        zone: as it was planned. before_level: before the first lightening of today.
        is_read: read after the rinse, else the level is the model's. is_kept: no lightener went on it.
    """

    lane: LaneState
    zone: Zone
    before_level: float
    result: Result
    is_read: bool
    is_kept: bool = False


def lanes_today(
    zones: tuple[Zone, ...],
    state: ServiceState,
    kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE,
    choice: PlanChoice = AS_PROPOSED,
) -> tuple[Zone, ...]:
    """The lanes of a head's zones, behind them those lightened once more, and the kept parts that were taken in.

    Args:
        choice: of the plan; says what covers some lanes, and their products.
    """
    lanes = lanes_of(zones, kind)
    taken_in = {x.key for x in state.kept}
    kept = [z for z in kept_parts_of(zones, lanes) if z.key in taken_in] if taken_in else []
    return (*_with_again(choice.on(lanes), state), *kept)


def _with_again(lanes: Sequence[Zone], state: ServiceState) -> tuple[Zone, ...]:
    by_key = {z.key: z for z in lanes}
    for lane in state.lanes:
        first = by_key.get(lane.again_of or "")
        if lane.again_of and first is not None:
            read = achieved_level(state.lane(lane.again_of))
            by_key[lane.key] = again_zone(first, lane.key, first.hair.start_level if read is None else read)
    return tuple(by_key.values())


def _last_read(lane: LaneState) -> TakenReading | None:
    after = [r for r in lane.readings if lane.rinsed_at and r.at >= lane.rinsed_at]
    return after[-1] if after else None


def read_zones(chair: Chair) -> tuple[ReadZone, ...]:
    """Every rinsed lane with its result; a lane that was lightened once more stands for the one before it."""
    state, zones = chair.state, chair.zones
    gone = {x.again_of for x in state.lanes if x.again_of}
    belief = head_belief(chair)
    found = []
    for index, lane in enumerate(state.lanes):
        is_done = lane.phase is Phase.RINSED and lane.rinsed_at is not None and lane.finished_at is not None
        if not is_done or lane.key in gone:
            continue
        zone, read = zones[lane.key], _last_read(lane)
        if read is not None:
            level = read.level
        else:
            assert lane.finished_at is not None
            assert lane.rinsed_at is not None
            minutes = max(minutes_between(lane.finished_at, lane.rinsed_at), 0.0)
            level = float(belief.outlook(index).level_bands(np.array([minutes]))[1, 0])
        before = zone.hair.colour_start
        level = min(max(level, before), 10.0)
        found.append(ReadZone(lane, zone, before, _result(lane, zone, before, level, read), read is not None))
    for lane in state.kept:
        kept, read = zones.get(lane.key), _last_read(lane)
        if kept is None or read is None:
            continue
        before = kept.hair.colour_start
        level = min(max(read.level, before), 10.0)
        found.append(ReadZone(lane, kept, before, _result(lane, kept, before, level, read), True, is_kept=True))
    return tuple(found)


def _result(lane: LaneState, zone: Zone, before: float, level: float, read: TakenReading | None) -> Result:
    rest = read.rest if read else None
    amount = read.rest_amount if read else 0.0
    factor = 1.0
    if lane.grab is not None:
        factor = GRAB_FACTOR[lane.grab]
        if rest is None:  # the probe's own violet is on the hair
            rest, amount = DyeHue.VIOLET, PROBE_ASH[lane.grab]
    by_length = min(max(zone.length_mm / USUAL_LENGTH_MM, LEAST_LENGTH_SHARE), 3.0)
    drinks = _BY_DENSITY[zone.density] * _BY_TEXTURE[zone.hair.texture]
    return Result(
        key=lane.key,
        name=zone.label,
        start_level=before,
        level=level,
        porosity=zone.hair.porosity,
        uptake_factor=factor,
        warmth=read.warmth if read else 0.0,
        rest=rest if amount > 0.0 else None,
        rest_amount=amount,
        grams=max(zone.foil_count * TONER_PER_FOIL_G * by_length * drinks, 1.0),
    )
