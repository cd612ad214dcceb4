"""A formula of the technician's own, tried over some zones before it is mixed."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import ConflictError, Message
from fervens_core.basin.parts import wish_of
from fervens_core.basin.results import ReadZone, read_zones
from fervens_core.basin.toner_lane import LEVEL_L, STEP_MINUTES, ToneMinute, toned_hexes
from fervens_core.chair import Chair
from fervens_core.colour import lab_hex
from fervens_core.head import Tone
from fervens_core.toning import Bowl, Formula, goal_of, match, toning_plan_of


@dataclass(frozen=True, slots=True)
class TriedZone:
    """What an own formula would do to a zone."""

    key: str
    name: Message | str
    minutes: float
    hex: str
    now_hex: str
    delta_e: float
    depth_lost_levels: float
    is_too_dark: bool
    steps: tuple[ToneMinute, ...]
    product_g: float
    developer_g: float


@dataclass(frozen=True, slots=True)
class Tried:
    """An own formula over some zones, and how near it brings them to one another."""

    formula_name: str
    spread: float
    mean_delta_e: float
    developer_volume: float | None
    developer_parts: float
    label_max_min: float
    zones: tuple[TriedZone, ...]


def try_formula(
    chair: Chair, formula: Formula, keys: Sequence[str], *, tone: Tone, reads: Sequence[ReadZone] | None = None
) -> Tried:
    """What a formula of the technician's own does to some zones, at its best minute on each.

    Raises:
        ConflictError: a key that is no rinsed zone, or none at all.
    """
    reads = read_zones(chair) if reads is None else reads
    wish = wish_of(chair, reads, tone)
    some = [r for r in reads if r.lane.key in keys]
    if not some or len(some) != len(set(keys)):
        raise ConflictError("not_rinsed.tone")
    found = {r.lane.key: match(r.result, formula, goal_of(r.result, wish.wanted)) for r in some}
    choice = toning_plan_of((Bowl(formula, found),), wish.wanted)
    zones = []
    for read in some:
        own, result = found[read.lane.key], read.result
        steps = [m for m in STEP_MINUTES if m <= formula.label_max_min]
        hexes = toned_hexes(result, formula, np.array(steps))
        product, developer = formula.split_g(result.grams)
        zones.append(
            TriedZone(
                key=read.lane.key,
                name=read.zone.label,
                minutes=own.minutes,
                hex=lab_hex(own.lab),
                now_hex=lab_hex(result.lab),
                delta_e=choice.delta_es[read.lane.key],
                depth_lost_levels=own.depth_lost_l / LEVEL_L,
                is_too_dark=own.is_too_dark,
                steps=tuple(ToneMinute(m, h) for m, h in zip(steps, hexes, strict=True)),
                product_g=sum(product),
                developer_g=developer,
            )
        )
    return Tried(
        formula_name=formula.name,
        spread=choice.spread,
        mean_delta_e=choice.mean_delta_e,
        developer_volume=formula.developer_volume,
        developer_parts=formula.developer_parts,
        label_max_min=formula.label_max_min,
        zones=tuple(zones),
    )
