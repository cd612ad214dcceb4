"""What must hold before an event may enter the log, beyond what the core's fold checks."""

from __future__ import annotations

from django.utils import timezone

from apps.services import loading
from apps.services.loading import Loaded
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import toners
from apps.studio.models import Membership
from apps.studio.policies import require_lead
from fervens_core.base import BlockedError, ConflictError
from fervens_core.basin import again_block, read_zones
from fervens_core.chair import drag_target, heat_block, refresh_block
from fervens_core.head import Lightener, TonerShade
from fervens_core.log import (
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    DeveloperChanged,
    EventData,
    HeatStarted,
    LightenerRefreshed,
    LighteningResumed,
    PlanTaken,
    ProductDragged,
    ReadingTaken,
    ServiceClosed,
    TonerApplied,
    TonerPulledBack,
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
        case ApplicationStarted() | BowlMixed() | DeveloperChanged():
            for key in (data.zone_key, *(data.also_for if isinstance(data, BowlMixed) else ())):
                _check_volume(loaded, key, data.volume_strength)
        case LightenerRefreshed():
            _check_volume(loaded, data.zone_key, data.volume_strength)
            _check_refresh(loaded, data)
        case ProductDragged():
            _check_drag(loaded, data)
        case HeatStarted():
            block = heat_block(loaded.state.lane(data.zone_key), loaded.zone(data.zone_key), lightener_of(loaded))
            if block:
                raise BlockedError("no_heat", block)
        case ReadingTaken() if data.is_kept:
            if data.zone_key not in [z.key for z in loading.kept_parts(loaded)]:
                raise ConflictError("unknown_zone", f"No part that was left as it is has the key {data.zone_key!r}.")
        case LighteningResumed():
            require_lead(member, "lighten again")
            _check_again(loaded, data)
        case TonerApplied():
            shades = [_shade(loaded, key) for key in (data.shade_key, data.second_key) if key]
            _check_toner_time(shades, data.minutes)
            _check_no_peroxide(shades, data)
        case TonerPulledBack():
            lane = loaded.state.lane(data.zone_key)
            toner = lane.shadow if data.part else lane.toner
            if toner:
                keys = (toner.applied.shade_key, toner.applied.second_key)
                _check_toner_time([_shade(loaded, key) for key in keys if key], data.minutes)
        case ServiceClosed():
            require_lead(member, "file a service")


def _shade(loaded: Loaded, key: str) -> TonerShade:
    """A shade that may go on this person. Raises ConflictError, BlockedError."""
    shade = next((t for t in toners(loaded.row.studio_id) if t.key == key), None)
    if shade is None:
        raise ConflictError("unknown_shade", "This shade is not on the shelf any more.")
    locked = toner_block(loaded.findings, shade)
    if locked:
        raise BlockedError(locked.code, f"{locked.title}. {locked.advice}")
    return shade


def _check_toner_time(shades: list[TonerShade], minutes: float) -> None:
    for shade in shades:
        if minutes > shade.label_max_min:
            raise BlockedError(
                "toner_over_label",
                f"minutes: at most {shade.label_max_min:g} (label of {shade.name}), got {minutes:g}.",
            )


def _check_no_peroxide(shades: list[TonerShade], data: TonerApplied) -> None:
    """A pigment wash never goes on with peroxide, nor mixed with an oxidative shade."""
    if all(s.is_oxidative for s in shades):
        return
    names = " + ".join(s.name for s in shades)
    if any(s.is_oxidative for s in shades):
        raise BlockedError("no_peroxide", f"{names}: a pigment wash is not mixed with an oxidative shade.")
    if data.developer_g > 0.0:
        raise BlockedError(
            "no_peroxide", f"developer_g: must be 0 for a pigment wash ({names}), got {data.developer_g:g}."
        )


def _check_again(loaded: Loaded, data: LighteningResumed) -> None:
    """Zones may be lightened once more today, each with a developer within its limit."""
    there = loading.chair(loaded, timezone.now())
    if there is None:
        raise ConflictError("no_plan", "No plan is at the chair yet.")
    if there.lightener.max_applications is None and not data.is_label_read:
        raise BlockedError("label_unread", f"Read on the label of {there.lightener.name} that it may go on again.")
    reads = {r.lane.key: r for r in read_zones(there)}
    for key, volume, level in zip(data.zone_keys, data.volumes, data.levels, strict=True):
        read = reads.get(key)
        if read is None:
            raise ConflictError("not_rinsed", "Rinse it and read it before lightening it again.")
        if not read.is_read or abs(read.result.level - level) > 0.01:
            raise ConflictError("not_read", f"Read {read.zone.name} after the rinse first.")
        block = again_block(there, read, loaded.findings.elasticity)
        if block:
            raise BlockedError("not_again", f"{read.zone.name} may not be lightened again today: {block}.")
        _check_volume(loaded, key, volume)


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


def lightener_of(loaded: Loaded) -> Lightener:
    """The service's lightener. Raises ConflictError when none was chosen."""
    if loaded.row.lightener is None:
        raise ConflictError("no_lightener", "Choose a lightener first.")
    return lightener_value(loaded.row.lightener)


def _check_drag(loaded: Loaded, data: ProductDragged) -> None:
    """Product goes only to the waiting ends of the same zone, and only as strong as those may have it."""
    source = loaded.state.lane(data.from_key)
    lanes = {z.key: z for z in loaded.lanes}
    if drag_target(source, loaded.zone(data.from_key), loaded.state.lanes, lanes) != data.zone_key:
        raise ConflictError("no_ends", "Product is dragged to the waiting ends of the same zone only.")
    _check_volume(loaded, data.zone_key, source.volume_strength)


def _check_refresh(loaded: Loaded, data: LightenerRefreshed) -> None:
    lightener = lightener_of(loaded)
    block = refresh_block(loaded.state.lane(data.zone_key), lightener)
    if block:
        raise BlockedError("no_refresh", block)
    if lightener.max_applications is None and not data.is_label_read:
        raise ConflictError(
            "label_unread", f"Read the label of {lightener.name} first: does it allow another application today?"
        )


def _check_volume(loaded: Loaded, key: str, volume: float) -> None:
    zone = loaded.zone(key)
    most, reason = strongest_volume(zone, lightener_of(loaded), loaded.findings.elasticity)
    if volume > most + 1e-9:
        raise BlockedError("volume_over_limit", f"{zone.name}: at most {most:g} vol ({reason}), got {volume:g}.")
