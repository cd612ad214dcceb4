"""A simulated scale and what is in the bowl as weighed. docs/models/mixing.md."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.base import LimitError, Message, check_range, check_volume_strength, say
from fervens_core.head import Lightener

RESOLUTION_G = 0.1
POUR_SPREAD_G, NOISE_G = 0.4, 0.06
"""[MODEL] how near a hand pours to the mark, and the unrest of a salon scale."""
VOLUME_OFF_WARN = 1.0
RATIO_OFF_WARN = 0.08
"""[MODEL] a mix more than 1 vol or 8 % of its ratio off is worth a correction."""


def simulated_pour(wanted_g: float, seed: int) -> tuple[float, ...]:
    """What a simulated scale shows while a hand pours: rising, then settled on the last value, in steps of 0.1 g.

    Args:
        wanted_g: 0.5 to 2000 g. seed: the same seed pours the same.
    """
    wanted = check_range("wanted_g", wanted_g, 0.5, 2000.0, "g")
    random = np.random.default_rng(seed)
    end = max(wanted + float(random.normal(0.0, POUR_SPREAD_G)), RESOLUTION_G)
    rise = end * (1.0 - np.exp(-np.linspace(0.4, 5.0, 14)))
    shown = np.concatenate([rise + random.normal(0.0, NOISE_G, rise.size), [end, end]])
    return tuple(round(round(max(float(v), 0.0) / RESOLUTION_G) * RESOLUTION_G, 1) for v in shown)


@dataclass(frozen=True, slots=True)
class WeighedPour:
    """So many grams of a developer of so many vol, as weighed."""

    volume_strength: float
    mass_g: float


@dataclass(frozen=True, slots=True)
class WeighedMix:
    """What is in the bowl: the developer's strength, the ratio, and what is off; None when it is right."""

    volume_strength: float
    developer_parts: float
    developer_g: float
    advice: Message | None


def weigh_mix(
    lightener: Lightener, product_g: float, pours: tuple[WeighedPour, ...], wanted_volume: float
) -> WeighedMix:
    """Strength and ratio of a bowl as weighed, and how to correct it.

    Raises:
        LimitError: nothing poured, or a mass out of 0.1 to 4000 g.
    """
    product = check_range("product_g", product_g, 0.1, 2000.0, "g")
    wanted = check_volume_strength("wanted_volume", wanted_volume)
    if not pours:
        raise LimitError("pours", say("limit-one_developer"), 0)
    for pour in pours:
        check_volume_strength("volume_strength", pour.volume_strength)
        check_range("mass_g", pour.mass_g, 0.0, 4000.0, "g")
    developer = sum(p.mass_g for p in pours)
    if developer < 0.1:
        raise LimitError("pours", say("limit-least_developer", least=0.1), developer)
    volume = sum(p.mass_g * p.volume_strength for p in pours) / developer
    parts = developer / product
    return WeighedMix(volume, parts, developer, _mix_advice(lightener, product, pours, volume, wanted, parts))


def _mix_advice(
    lightener: Lightener,
    product: float,
    pours: tuple[WeighedPour, ...],
    volume: float,
    wanted: float,
    parts: float,
) -> Message | None:
    developer = sum(p.mass_g for p in pours)
    off = volume - wanted
    if abs(off) > VOLUME_OFF_WARN:
        other = min(pours, key=lambda p: p.volume_strength) if off > 0 else max(pours, key=lambda p: p.volume_strength)
        reach = wanted - other.volume_strength
        if abs(reach) > 0.05 and reach * off > 0:
            add = developer * off / reach
            bottle = other.volume_strength
            return say("mix-add_developer", volume=volume, wanted=wanted, grams=add, bottle=bottle)
        return say("mix-anew", volume=volume, wanted=wanted)
    wanted_parts = lightener.developer_parts
    if parts > wanted_parts * (1.0 + RATIO_OFF_WARN):
        return say("mix-thin", parts=parts, grams=developer / wanted_parts - product)
    if parts < wanted_parts * (1.0 - RATIO_OFF_WARN):
        return say("mix-thick", parts=parts, grams=product * wanted_parts - developer)
    return None
