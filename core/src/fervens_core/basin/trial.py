"""A formula of the technician's own, tried over some parts before it is mixed."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import ConflictError, Message
from fervens_core.basin.parts import ToneChoice, part_name, tone_parts_of
from fervens_core.basin.results import ReadZone, read_zones
from fervens_core.basin.toner_lane import STEP_MINUTES, ToneMinute, toned_hexes
from fervens_core.chair import Chair
from fervens_core.colour import delta_e_2000, seen_hex
from fervens_core.head import Tone
from fervens_core.toning import Formula, goal_of, match, spread_of


@dataclass(frozen=True, slots=True)
class TriedZone:
    """What an own formula would do to a part at its best minute; `delta_e`: CIEDE2000 to its own wish."""

    key: str
    name: Message | str
    minutes: float
    hex: str
    now_hex: str
    wanted_hex: str
    delta_e: float
    levels_deeper: float
    is_too_dark: bool
    steps: tuple[ToneMinute, ...]
    product_g: float
    developer_g: float


@dataclass(frozen=True, slots=True)
class Tried:
    """An own formula over some parts, and how near it brings them to one another."""

    formula_name: str
    spread: float
    mean_delta_e: float
    developer_volume: float | None
    developer_parts: float
    label_max_min: float
    zones: tuple[TriedZone, ...]


def try_formula(
    chair: Chair,
    formula: Formula,
    ids: Sequence[str],
    *,
    tone: Tone,
    choice: ToneChoice | None = None,
    reads: Sequence[ReadZone] | None = None,
) -> Tried:
    """What a formula of the technician's own does to some parts and root shadows, at its best minute on each.

    Raises:
        ConflictError: an id that is no rinsed part, or none at all.
    """
    reads = read_zones(chair) if reads is None else reads
    choice = choice or ToneChoice()
    parts, _ = tone_parts_of(chair, reads, (), tone, choice)
    some = [p for p in parts if p.id in ids]
    if not some or len(some) != len(set(ids)):
        raise ConflictError("not_rinsed.tone")
    zones, labs = [], []
    for part in some:
        goal = goal_of(part.result, part.wish, stays_bright=choice.stays_bright, may_deepen=part.asked.may_deepen)
        own, result = match(part.result, formula, goal), part.result
        labs.append(own.lab)
        steps = [m for m in STEP_MINUTES if m <= formula.label_max_min]
        product, added = formula.split_g(result.grams)
        zones.append(
            TriedZone(
                key=part.id,
                name=part_name(part),
                minutes=own.minutes,
                hex=seen_hex(own.lab),
                now_hex=seen_hex(result.lab),
                wanted_hex=part.wish.hex,
                delta_e=float(delta_e_2000(np.array(own.lab), part.wish.wanted)),
                levels_deeper=own.levels_deeper,
                is_too_dark=own.is_too_dark,
                steps=tuple(
                    ToneMinute(m, h) for m, h in zip(steps, toned_hexes(result, formula, np.array(steps)), strict=True)
                ),
                product_g=sum(product),
                developer_g=added if formula.is_oxidative else 0.0,
            )
        )
    return Tried(
        formula_name=formula.name,
        spread=spread_of(labs),
        mean_delta_e=float(np.mean([z.delta_e for z in zones])),
        developer_volume=formula.developer_volume,
        developer_parts=formula.developer_parts,
        label_max_min=formula.label_max_min,
        zones=tuple(zones),
    )
