"""What an act of the log takes from the shelf, and what a service cost."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from fervens_core.base import LimitError
from fervens_core.head import Developer, TonerShade
from fervens_core.log.events import EventData
from fervens_core.log.lift_events import BowlMixed
from fervens_core.log.tone_events import ToneBowlApplied, TonerApplied
from fervens_core.planning import blend


@dataclass(frozen=True, slots=True)
class Use:
    """So many grams of one product of the shelf, by its key."""

    key: str
    grams: float


def _poured(volume: float, grams: float, bottles: Sequence[Developer]) -> list[Use]:
    if grams <= 0.0 or not bottles:
        return []
    try:
        return [Use(p.developer.key, p.mass_g) for p in blend(volume, grams, tuple(bottles)) if p.mass_g > 0.0]
    except LimitError:
        nearest = min(bottles, key=lambda b: abs(b.volume_strength - volume))
        return [Use(nearest.key, grams)]


def uses_of(
    data: EventData, *, lightener_key: str | None, bottles: Sequence[Developer], shades: Sequence[TonerShade]
) -> tuple[Use, ...]:
    """What an act takes from the shelf; nothing for acts that mix nothing.

    Args:
        lightener_key: of the service. bottles, shades: on the shelf; a shade that left it takes nothing.
    """
    if isinstance(data, BowlMixed):
        own = [Use(lightener_key, data.product_g)] if lightener_key else []
        return tuple(own + _poured(data.volume_strength, data.developer_g, bottles))
    if isinstance(data, TonerApplied | ToneBowlApplied):
        poured = data.parts if isinstance(data, ToneBowlApplied) else (data,)
        product_g, developer_g = sum(p.product_g for p in poured), sum(p.developer_g for p in poured)
        known = {s.key: s for s in shades}
        parts = [(data.shade_key, data.share), (data.second_key, 1.0 - data.share)]
        found = [Use(k, product_g * share) for k, share in parts if k in known and share > 0.0]
        volumes = [v for k, _ in parts if k in known and (v := known[k].developer_volume) is not None]
        if volumes:
            found += _poured(min(volumes), developer_g, bottles)
        return tuple(found)
    return ()
