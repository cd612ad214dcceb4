"""What a service came to, kept with it when it is filed: for the client's card and for what the studio learns."""

from __future__ import annotations

import datetime as dt
import math

from apps.services import loading
from apps.services.loading import Loaded
from apps.services.tone import queries as tone_queries
from fervens_core.basin import ReadZone, read_zones
from fervens_core.chair import Chair, head_belief, lane_contact, minutes_between
from fervens_core.colour import hair_hex, seen_hexes
from fervens_core.followup import READINGS_KEPT, Filed, FiledLane, FiledReading, FiledToner
from fervens_core.head import Part, Zone
from fervens_core.lift import LiftFactors
from fervens_core.log import LaneState
from fervens_core.planning import section_mix_g


def _mixed(lane: LaneState, zone: Zone) -> tuple[float, float]:
    """Grams mixed for a lane (its share of each bowl), and what of them its sections did not need."""
    mixed = sum(b.mass_g / max(len(b.lane_keys), 1) for b in lane.bowls)
    needed = section_mix_g(zone) * zone.foil_count * max(len(lane.applications), 1)
    return mixed, max(mixed - needed, 0.0)


def _lane(there: Chair, lane: LaneState, learnt: LiftFactors, base: LiftFactors, read: ReadZone | None) -> FiledLane:
    zone = there.zones[lane.key]
    load = lane_contact(there, lane)
    zero, rinsed = lane.finished_at, lane.rinsed_at
    far, fast = there.lightener_of(lane.key).factors_on(zone.hair)
    mixed, wasted = _mixed(lane, zone)
    before_hex = hair_hex(zone.hair.colour_start, [zone.hair.start_level])[0]
    seen = [r for r in lane.readings if zero and (rinsed is None or r.at < rinsed)]
    return FiledLane(
        key=lane.key,
        zone_key=zone.zone_key,
        zone=zone.name,
        part=zone.part,
        piece=zone.piece,
        at_mm=zone.at_mm,
        lightener=there.lightener_of(lane.key).name if zone.lightener else "",
        is_again=zone.is_again,
        before=zone.hair.start_level,
        target=zone.target_level,
        level=read.result.level if read else None,
        is_read=bool(read and read.is_read),
        before_hex=before_hex,
        level_hex=seen_hexes(read.result.lab)[0] if read else before_hex,
        volume=lane.volume_strength,
        minutes=round(minutes_between(zero, rinsed), 1) if zero and rinsed else None,
        applied_min=minutes_between(lane.started_at, zero) if lane.started_at and zero else None,
        foils=zone.foil_count,
        applications=max(len(lane.applications), 1),
        contact_min=round(load.minutes, 1),
        volume_min=round(load.volume_minutes, 1),
        history=zone.hair.history,
        thickness=zone.hair.thickness,
        porosity=zone.hair.porosity,
        log_extent=math.log(learnt.extent / base.extent),
        log_rate=math.log(learnt.rate / base.rate),
        extent=learnt.extent,
        rate=learnt.rate,
        is_past_wall=_is_past_wall(there, lane),
        product_extent=far,
        product_rate=fast,
        mixed_g=round(mixed, 1),
        wasted_g=round(wasted, 1),
        readings=tuple(
            FiledReading(round(minutes_between(zero, r.at), 1), r.level, r.mode) for r in seen[:READINGS_KEPT] if zero
        ),
    )


def _is_past_wall(there: Chair, lane: LaneState) -> bool:
    if not lane.applications or lane.rinsed_at is None:
        return False
    on = minutes_between(lane.applications[-1].started_at, lane.rinsed_at)
    return on > there.lightener_of(lane.key).label_max_min + 0.5


def _toners(loaded: Loaded, there: Chair, at: dt.datetime) -> tuple[FiledToner, ...]:
    step = tone_queries.tone(loaded, at)
    found = []
    for toned in step.lanes if step else ():
        if step is None or toned.toner is None:
            continue
        zone, clock = there.zones.get(toned.key), toned.toner
        found.append(
            FiledToner(
                zone=zone.name if zone else toned.key,
                part=zone.part if zone else Part.WHOLE,
                piece=zone.piece if zone else "",
                at_mm=zone.at_mm if zone else None,
                is_again=zone.is_again if zone else False,
                is_shadow=bool(toned.part),
                formula=clock.formula_name,
                minutes=round(clock.on_min, 1),
                product_g=clock.product_g,
                developer_g=clock.developer_g,
                hex=clock.hex_now,
                wanted=step.wish.tone,
            )
        )
    return tuple(found)


def summarise(loaded: Loaded, at: dt.datetime) -> Filed:
    """A service as it is filed."""
    closed, lightener = loaded.state.closed, loaded.lightener
    there = loading.chair(loaded, at)
    lanes: list[FiledLane] = []
    if there is not None:
        reads = {r.lane.key: r for r in read_zones(there)}
        belief = head_belief(there)
        for index, lane in enumerate(there.state.lanes):
            if lane.started_at is not None:
                base = belief.lanes[index].factors
                lanes.append(_lane(there, lane, belief.factors(index), base, reads.get(lane.key)))
    return Filed(
        worked=closed.worked if closed else "",
        change=closed.change if closed else "",
        lightener_key=str(lightener.pk) if lightener else "",
        lightener_name=lightener.name if lightener else "",
        lift_factor=lightener.lift_factor if lightener else 1.0,
        lanes=tuple(lanes),
        toners=_toners(loaded, there, at) if there is not None else (),
    )
