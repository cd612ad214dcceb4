"""The order of application, proposed from the trade's rules (common practice, no source). docs/models/plan.md."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import Message, say
from fervens_core.head import USUAL_HEAD, History, Porosity, Thickness, Zone

_USUAL_PLACE = {z.key: i for i, z in enumerate(USUAL_HEAD)}
_RESISTANT_HISTORY = {History.TINTED, History.HENNA, History.UNKNOWN}


class OrderWay(StrEnum):
    """Where to begin: three schools (common practice, no source)."""

    LOW_BACK_UP = "low_back_up"
    COOLS_FIRST = "cools_first"
    RESISTS_FIRST = "resists_first"


_COOLS = {"fringe", "left_temple", "right_temple", "nape", "left_side", "right_side"}
"""Zones at the edge of the head, that cool in the air; the insulated top goes last."""


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


def _cools(zone: Zone) -> bool:
    return (zone.areas[0].split("/")[0] if zone.areas else zone.key) in _COOLS


def propose_order(zones: tuple[Zone, ...], way: OrderWay = OrderWay.RESISTS_FIRST) -> tuple[Placed, ...]:
    """Zones in the order of a school; within it the usual way from the low back to the front.

    Resists first: resistant and coarse zones first, delicate ones last. Cools first: the edge of the head first,
    delicate hair among it. Low back up: nothing but the usual way, delicate ones last. Within a zone, lengths go before
    roots and ends wait to the last; that follows from its lanes.
    """

    def rank(zone: Zone) -> tuple[int, int]:
        if way is OrderWay.COOLS_FIRST:
            return (0 if _cools(zone) else 1), _usual_place(zone)
        resists = way is OrderWay.RESISTS_FIRST and _resistance(zone) is not None
        return (2 if zone.is_delicate else 0 if resists else 1), _usual_place(zone)

    if way is OrderWay.COOLS_FIRST:
        return tuple(
            Placed(z.key, say("order-cools") if _cools(z) else say("order-usual"), is_usual=not _cools(z))
            for z in sorted(zones, key=rank)
        )

    return tuple(
        Placed(
            z.key,
            say("order-delicate") if z.is_delicate else _resistance(z) or say("order-usual"),
            is_usual=not z.is_delicate and _resistance(z) is None,
        )
        for z in sorted(zones, key=rank)
    )
