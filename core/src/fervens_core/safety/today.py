"""What may go on with a lane today: when it must come off, and whether it may be warmed, refreshed, lightened again."""

from __future__ import annotations

from fervens_core.base import Message, say
from fervens_core.head import Elasticity, Lightener, ScalpFeel, Zone
from fervens_core.safety.cautions import GUMMY

CONTACT_MAX_MIN = 120.0
"""[MODEL] nothing more alkaline today on hair that had product for so long, all applications together."""


def stop_reason(scalp: ScalpFeel | None, elasticity: Elasticity | None) -> Message | None:
    """Why a lane must be rinsed whatever its level: burning scalp, or hair that does not return. None otherwise.

    Args:
        scalp, elasticity: as noted at the chair, None when nothing was.
    """
    if scalp is ScalpFeel.BURNS:
        return say("stop-scalp_burns")
    return say("stop-hair_gives", elasticity=elasticity.value) if elasticity in GUMMY else None


def heat_block(zone: Zone, lightener: Lightener, stop: Message | None) -> Message | None:
    """Why a lane may not be warmed, or None: only what the label allows, never on skin (common practice)."""
    if stop:
        return stop
    if not lightener.is_heat_allowed:
        return say("heat_block-label", product=lightener.name)
    return say("heat_block-scalp") if zone.touches_scalp else None


def refresh_block(lightener: Lightener, applications: int, stop: Message | None) -> Message | None:
    """Why a lane may not get new product, or None. A label that was not read for it asks, and does not block.

    Args:
        applications: how often product went on it today.
    """
    if stop:
        return stop
    most = lightener.max_applications
    if most is not None and applications >= most:
        return say("refresh_block-label", product=lightener.name, most=most)
    return None


def again_block(
    lightener: Lightener,
    *,
    scalp: ScalpFeel | None,
    elasticity: Elasticity | None,
    told: frozenset[Elasticity],
    is_toned: bool,
    is_second_round: bool,
    applications: int,
    contact_min: float,
) -> Message | None:
    """Why a rinsed lane may not be lightened once more today, or None.

    Args:
        scalp, elasticity: as noted at the chair. told: elasticities of the head's stretch test and the consultation.
        applications: of its latest round. contact_min: minutes of product today, all rounds together.
    """
    if is_toned:
        return say("again_block-toned")
    if scalp is ScalpFeel.BURNS:
        return say("again_block-scalp_burns")
    if elasticity in GUMMY:
        return say("again_block-hair_gives", elasticity=elasticity.value)
    if {*told, elasticity or Elasticity.RETURNS} != {Elasticity.RETURNS}:
        return say("again_block-elasticity")
    if scalp not in (None, ScalpFeel.FINE):
        return say("again_block-scalp")
    if is_second_round:
        return say("again_block-twice")
    if contact_min >= CONTACT_MAX_MIN:
        return say("again_block-contact", minutes=contact_min, most=CONTACT_MAX_MIN)
    most = lightener.max_applications
    if most is not None and applications >= most:
        return say("again_block-label", product=lightener.name, most=most)
    return None
