"""What must hold before an event may enter the log, beyond what the core's fold checks."""

from __future__ import annotations

from apps.services.queries import Loaded
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import toners
from apps.studio.models import Membership
from apps.studio.policies import require_lead
from fervens_core.errors import BlockedError, ConflictError
from fervens_core.events import (
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    EventData,
    PlanTaken,
    ServiceClosed,
    TonerApplied,
)
from fervens_core.safety import Severity, strongest_volume, toner_block


def check_event(member: Membership, loaded: Loaded, data: EventData) -> None:
    """Raises PermissionDenied, BlockedError or ConflictError when the event may not enter the log."""
    match data:
        case ConsultationFinished():
            require_lead(member, "finish a consultation")
            check_consultation(loaded)
        case PlanTaken():
            require_lead(member, "take a plan to the chair")
            check_consultation(loaded)
            for key, volume in zip(data.zone_keys, data.volumes, strict=True):
                _check_volume(loaded, key, volume)
            check_toner_idea(loaded)
        case ApplicationStarted() | BowlMixed():
            for key in (data.zone_key, *(data.also_for if isinstance(data, BowlMixed) else ())):
                _check_volume(loaded, key, data.volume_strength)
        case TonerApplied():
            shade = next((t for t in toners(loaded.row.studio_id) if t.key == data.shade_key), None)
            if shade is None:
                raise ConflictError("unknown_shade", "This shade is not on the shelf any more.")
            block = toner_block(loaded.findings, shade)
            if block:
                raise BlockedError(block.code, f"{block.title}. {block.advice}")
            if data.minutes > shade.label_max_min:
                raise BlockedError(
                    "toner_over_label",
                    f"minutes: at most {shade.label_max_min:g} (label of {shade.name}), got {data.minutes:g}.",
                )
        case ServiceClosed():
            require_lead(member, "file a service")


def check_consultation(loaded: Loaded) -> None:
    """No block stands, every warning is acknowledged, and there is something to lighten."""
    if not loaded.zones:
        raise ConflictError("no_zones", "Read at least one zone of the head first.")
    for caution in loaded.cautions:
        if caution.severity is Severity.BLOCK:
            raise BlockedError(caution.code, f"{caution.title}. {caution.advice}")
    if not loaded.lanes:
        raise ConflictError("nothing_to_lift", "No zone is wanted lighter than it is; there is nothing to plan.")
    missing = [c.title for c in loaded.cautions if c.code not in loaded.state.acknowledged]
    if missing:
        raise ConflictError("cautions_open", f"Still to acknowledge: {'; '.join(missing)}.")


def check_toner_idea(loaded: Loaded, *, must_be_there: bool = False) -> None:
    """The toner in mind may go on this person. Raises BlockedError; ConflictError where it has to be on the shelf."""
    idea = loaded.row.toner_idea
    shade = next((t for t in toners(loaded.row.studio_id) if t.key == idea), None)
    if must_be_there and idea and shade is None:
        raise ConflictError("unknown_shade", "The toner in mind is not on the shelf any more.")
    block = toner_block(loaded.findings, shade) if shade else None
    if block and shade:
        raise BlockedError(block.code, f"{shade.name}: {block.title}. {block.advice}")


def _check_volume(loaded: Loaded, key: str, volume: float) -> None:
    if loaded.row.lightener is None:
        raise ConflictError("no_lightener", "Choose a lightener first.")
    zone = loaded.zone(key)
    most, reason = strongest_volume(zone, lightener_value(loaded.row.lightener), loaded.findings.elasticity)
    if volume > most + 1e-9:
        raise BlockedError("volume_over_limit", f"{zone.name}: at most {most:g} vol ({reason}), got {volume:g}.")
