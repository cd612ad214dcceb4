"""The order of application, proposed from the trade's rules (common practice, no source). docs/models/plan.md."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import Message, say
from fervens_core.head import USUAL_HEAD, History, Porosity, Thickness, Zone

_USUAL_PLACE = {z.key: i for i, z in enumerate(USUAL_HEAD)}
_RESISTANT_HISTORY = {History.TINTED, History.HENNA, History.UNKNOWN}


@dataclass(frozen=True, slots=True)
class Placed:
    """A zone's place in the order and why; `is_usual` for one that nothing but the usual way puts there."""

    key: str
    reason: Message
    is_usual: bool


def _resistance(zone: Zone) -> Message | None:
    if zone.hair.thickness is Thickness.COARSE:
        return say("order-coarse")
    if zone.hair.porosity is Porosity.LOW:
        return say("order-low_porosity")
    if zone.hair.history in _RESISTANT_HISTORY:
        return say("order-history", history=zone.hair.history)
    return None


def _usual_place(zone: Zone) -> int:
    area = zone.areas[0].split("/")[0] if zone.areas else zone.key
    return _USUAL_PLACE.get(area, len(_USUAL_PLACE))


def propose_order(zones: tuple[Zone, ...]) -> tuple[Placed, ...]:
    """Resistant and coarse zones first, then the usual way from the low back to the front, delicate ones last.

    Within a zone, lengths go before roots and ends wait to the last; that follows from its lanes.
    """

    def rank(zone: Zone) -> tuple[int, int]:
        return (2 if zone.is_delicate else 0 if _resistance(zone) else 1), _usual_place(zone)

    return tuple(
        Placed(
            z.key,
            say("order-delicate") if z.is_delicate else _resistance(z) or say("order-usual"),
            is_usual=not z.is_delicate and _resistance(z) is None,
        )
        for z in sorted(zones, key=rank)
    )
