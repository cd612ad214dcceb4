"""The tone step: for each rinsed zone the level it stands at, the shades that suit it, and its toner's clock."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta

import numpy as np

from fervens_core.board import achieved_level, head_belief, minutes_between
from fervens_core.findings import Findings
from fervens_core.hair import Tone
from fervens_core.products import Lightener, TonerShade
from fervens_core.safety import toner_block
from fervens_core.service import LaneState, Phase, ServiceState
from fervens_core.strand import Strand
from fervens_core.toner import TonerChoice
from fervens_core.toning import propose, toned_hex
from fervens_core.zones import Zone

TONER_PER_FOIL_G = 5.0
"""[MODEL] mixed toner for one section of about 3 mm thickness and medium length."""
STEP_MINUTES = (5.0, 10.0, 15.0, 20.0)
LEVEL_L = 6.0
"""[MODEL] about this much L* lies between two levels among the blondes."""


@dataclass(frozen=True, slots=True)
class ToneMinute:
    """The colour a toner should show after some minutes."""

    minute: float
    hex: str


@dataclass(frozen=True, slots=True)
class ToneOption:
    """One shade for a zone, at its best time.

    Args:
        blocked: why it may not go on this person, or None. depth_lost_levels: how much darker, in levels.
    """

    shade_key: str
    shade_name: str
    minutes: float
    hex: str
    delta_e: float
    depth_lost_levels: float
    product_g: float
    developer_g: float
    developer_volume: float
    label_max_min: float
    blocked: str | None
    steps: tuple[ToneMinute, ...]


@dataclass(frozen=True, slots=True)
class TonerClock:
    """A toner on a zone."""

    shade_key: str
    shade_name: str
    applied_at: datetime
    minutes: float
    due_at: datetime
    label_max_min: float
    label_at: datetime
    rinsed_at: datetime | None
    curve: tuple[ToneMinute, ...]


@dataclass(frozen=True, slots=True)
class ToneLane:
    """One zone at the tone step. `is_read`: the level was read after the rinse, else it is the model's."""

    key: str
    name: str
    porosity: str
    start_level: float
    target_level: float
    level: float
    is_read: bool
    undertone: str
    now_hex: str
    wanted_hex: str
    options: tuple[ToneOption, ...]
    toner: TonerClock | None


def _option(choice: TonerChoice, zone: Zone, level: float, findings: Findings) -> ToneOption:
    shade = choice.shade
    product_g, developer_g = shade.ratio.split_g(zone.foil_count * TONER_PER_FOIL_G)
    steps = [m for m in STEP_MINUTES if m <= shade.label_max_min]
    colours = toned_hex(
        shade,
        [choice.minutes, *steps],
        start_level=zone.hair.start_level,
        level=level,
        porosity=zone.hair.porosity,
    )
    block = toner_block(findings, shade)
    return ToneOption(
        shade_key=shade.key,
        shade_name=shade.name,
        minutes=choice.minutes,
        hex=colours[0],
        delta_e=choice.delta_e,
        depth_lost_levels=choice.depth_lost_l / LEVEL_L,
        product_g=product_g,
        developer_g=developer_g,
        developer_volume=shade.developer_volume,
        label_max_min=shade.label_max_min,
        blocked=f"{block.title}. {block.advice}" if block else None,
        steps=tuple(ToneMinute(m, h) for m, h in zip(steps, colours[1:], strict=True)),
    )


def _clock(lane: LaneState, zone: Zone, level: float, shades: dict[str, TonerShade]) -> TonerClock | None:
    toner = lane.toner
    if toner is None:
        return None
    shade = shades.get(toner.shade_key)
    longest = shade.label_max_min if shade else toner.minutes
    minutes = [float(m) for m in np.arange(0.0, longest + 0.5, 1.0)]
    colours = (
        toned_hex(shade, minutes, start_level=zone.hair.start_level, level=level, porosity=zone.hair.porosity)
        if shade
        else []
    )
    return TonerClock(
        shade_key=toner.shade_key,
        shade_name=toner.shade_name,
        applied_at=toner.applied_at,
        minutes=toner.minutes,
        due_at=toner.applied_at + timedelta(minutes=toner.minutes),
        label_max_min=longest,
        label_at=toner.applied_at + timedelta(minutes=longest),
        rinsed_at=toner.rinsed_at,
        curve=tuple(ToneMinute(m, h) for m, h in zip(minutes, colours, strict=False)),
    )


def tone_lanes(
    state: ServiceState,
    zones: dict[str, Zone],
    lightener: Lightener,
    shades: tuple[TonerShade, ...],
    *,
    has_additive: bool,
    findings: Findings,
    tone: Tone,
    now: datetime,
    most_options: int = 5,
    strands: tuple[Strand, ...] = (),
) -> tuple[ToneLane, ...]:
    """Every rinsed zone with its shades, best and allowed ones first."""
    belief = head_belief(state, zones, lightener, has_additive=has_additive, now=now, strands=strands)
    by_key = {s.key: s for s in shades}
    found = []
    for index, lane in enumerate(state.lanes):
        if lane.phase is not Phase.RINSED or lane.rinsed_at is None or lane.finished_at is None:
            continue
        zone = zones[lane.key]
        read = achieved_level(lane)
        after = any(r.at >= lane.rinsed_at for r in lane.readings)
        if read is not None and after:
            level = read
        else:
            minutes = max(minutes_between(lane.finished_at, lane.rinsed_at), 0.0)
            level = float(belief.outlook(index).level_bands(np.array([minutes]))[1, 0])
        level = min(max(level, 1.0), 10.0)
        proposal = propose(
            shades,
            start_level=zone.hair.start_level,
            level=level,
            porosity=zone.hair.porosity,
            tone=tone,
            wanted_level=zone.target_level,
        )
        options = sorted(
            (_option(c, zone, level, findings) for c in proposal.choices), key=lambda o: o.blocked is not None
        )
        found.append(
            ToneLane(
                key=lane.key,
                name=zone.name,
                porosity=zone.hair.porosity.value,
                start_level=zone.hair.start_level,
                target_level=zone.target_level,
                level=level,
                is_read=after,
                undertone=proposal.undertone,
                now_hex=proposal.now_hex,
                wanted_hex=proposal.wanted_hex,
                options=tuple(options[:most_options]),
                toner=_clock(lane, zone, level, by_key),
            )
        )
    return tuple(found)
