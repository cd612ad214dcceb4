"""What must hold before an event may enter the log, beyond what the core's fold checks."""

from __future__ import annotations

from apps.services import loading
from apps.services.loading import Loaded
from apps.shelf.queries import toners
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import BlockedError, ConflictError, LimitError, say, semicolons
from fervens_core.basin import again_block_of, own_formula, read_zones
from fervens_core.chair import drag_target
from fervens_core.head import ServiceKind, TonerShade, is_deeper
from fervens_core.log import (
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    DeveloperChanged,
    EventData,
    FoilOpened,
    HeatStarted,
    LightenerRefreshed,
    LighteningResumed,
    MishapMet,
    PlanTaken,
    PracticeAsked,
    ProductDragged,
    ReadingTaken,
    ServiceClosed,
    ToneBowlApplied,
    ToneFormulaSet,
    TonerApplied,
    TonerPulledBack,
)
from fervens_core.safety import Caution, Severity, heat_block, refresh_block, strongest_volume, toner_block

SAME_VOLUME = 0.05
"""vol; less is a matter of rounding."""


def require_may_here(member: Membership, loaded: Loaded, act: str) -> None:
    """As `require_may`; in practice everyone does everything, that is what it is for."""
    if loaded.round is None:
        require_may(member, act)


def check_event(member: Membership, loaded: Loaded, data: EventData) -> None:
    """Raises PermissionDenied, BlockedError or ConflictError when the event may not enter the log."""
    match data:
        case FoilOpened() | PracticeAsked() | MishapMet():
            if loaded.round is None:
                raise ConflictError("only_in_practice")
        case ConsultationFinished():
            require_may_here(member, loaded, "finish_a_consultation")
            check_consultation(loaded)
        case PlanTaken():
            if not loaded.kind.lightens:
                raise ConflictError("nothing_planned")
            require_may_here(member, loaded, "take_a_plan_to_the_chair")
            check_consultation(loaded)
            for key, volume in zip(data.zone_keys, data.volumes, strict=True):
                _check_volume(loaded, key, volume)
            check_toner_idea(loaded)
        case CautionAcknowledged():
            require_may_here(member, loaded, "acknowledge_a_caution")
        case ApplicationStarted() | BowlMixed() | DeveloperChanged():
            if isinstance(data, DeveloperChanged) or _is_other_strength(loaded, data):
                require_may_here(member, loaded, "change_a_strength")
            for key in (data.zone_key, *(data.also_for if isinstance(data, BowlMixed) else ())):
                _check_volume(loaded, key, data.volume_strength)
        case LightenerRefreshed():
            _check_volume(loaded, data.zone_key, data.volume_strength)
            _check_refresh(loaded, data)
        case ProductDragged():
            _check_drag(loaded, data)
        case HeatStarted():
            block = heat_block(
                loaded.zone(data.zone_key), loaded.lightener_of(data.zone_key), loaded.state.lane(data.zone_key).stop
            )
            if block:
                raise BlockedError("no_heat", why=block)
        case ReadingTaken() if data.is_kept:
            known = [z.key for z in loading.kept_parts(loaded)]
            for key in data.keys:
                if key not in known:
                    raise ConflictError("unknown_zone.kept", key=key)
        case LighteningResumed():
            require_may_here(member, loaded, "lighten_again")
            _check_again(loaded, data)
        case TonerApplied():
            shades = [_shade(loaded, key) for key in (data.shade_key, data.second_key) if key]
            _check_toner_time(shades, data.minutes)
            _check_no_peroxide(shades, data.developer_g, data.dilution)
        case ToneBowlApplied():
            shades = [_shade(loaded, key) for key in (data.shade_key, data.second_key) if key]
            _check_toner_time(shades, max(p.minutes for p in data.parts))
            _check_no_peroxide(shades, sum(p.developer_g for p in data.parts), data.dilution)
        case ToneFormulaSet() if data.shade_key:
            shades = [_shade(loaded, key) for key in (data.shade_key, data.second_key) if key]
            own_formula(shades, data)
        case TonerPulledBack():
            lane = loaded.state.lane(data.zone_key)
            toner = lane.shadow if data.part else lane.toner
            if toner:
                keys = (toner.applied.shade_key, toner.applied.second_key)
                _check_toner_time([_shade(loaded, key) for key in keys if key], data.minutes)
        case ServiceClosed():
            require_may_here(member, loaded, "file_a_service")


def _is_other_strength(loaded: Loaded, data: ApplicationStarted | BowlMixed) -> bool:
    """Whether a lane would get another strength than it is down for."""
    lane = next((x for x in loaded.state.lanes if x.key == data.zone_key), None)
    return lane is not None and abs(lane.volume_strength - data.volume_strength) > SAME_VOLUME


def blocked_by(caution: Caution, shade: str = "") -> BlockedError:
    """The error that a caution is; its code is the caution's own."""
    found = BlockedError("caution", title=caution.title, advice=caution.advice)
    if shade:
        found = BlockedError("caution.shade", shade=shade, title=caution.title, advice=caution.advice)
    found.code = caution.code
    return found


def _shade(loaded: Loaded, key: str) -> TonerShade:
    """A shade that may go on this person. Raises ConflictError, BlockedError."""
    shade = next((t for t in toners(loaded.row.studio_id) if t.key == key), None)
    if shade is None:
        raise ConflictError("unknown_shade")
    locked = toner_block(loaded.findings, shade)
    if locked:
        raise blocked_by(locked)
    return shade


def _check_toner_time(shades: list[TonerShade], minutes: float) -> None:
    for shade in shades:
        if minutes > shade.label_max_min:
            raise BlockedError("toner_over_label", most=shade.label_max_min, shade=shade.name, minutes=minutes)


def _check_no_peroxide(shades: list[TonerShade], developer_g: float, dilution: float) -> None:
    """A pigment wash never goes on with peroxide, nor mixed with an oxidative shade; only a wash is diluted."""
    if all(s.is_oxidative for s in shades):
        if dilution:
            raise LimitError("dilution", say("limit-only_for_wash"), dilution)
        return
    names = [s.name for s in shades]
    if any(s.is_oxidative for s in shades):
        raise BlockedError("no_peroxide", shades=names)
    if developer_g > 0.0:
        raise BlockedError("no_peroxide.developer", shades=names, grams=developer_g)


def _check_again(loaded: Loaded, data: LighteningResumed) -> None:
    """Zones may be lightened once more today, each with a developer within its limit."""
    there = loading.chair(loaded, loaded.now)
    if there is None:
        raise ConflictError("no_plan")
    for key in data.zone_keys:
        product = loaded.lightener_of(key)
        if product.max_applications is None and not data.is_label_read:
            raise BlockedError("label_unread", product=product.name)
    reads = {r.lane.key: r for r in read_zones(there)}
    for key, volume, level in zip(data.zone_keys, data.volumes, data.levels, strict=True):
        read = reads.get(key)
        if read is None:
            raise ConflictError("not_rinsed.again")
        if not read.is_read or abs(read.result.level - level) > 0.01:
            raise ConflictError("not_read", lane=read.zone.label)
        block = again_block_of(there, read, loaded.findings.elasticity)
        if block:
            raise BlockedError("not_again", lane=read.zone.label, why=block)
        _check_volume(loaded, key, volume)


def check_consultation(loaded: Loaded) -> None:
    """No block stands, every warning is acknowledged, and there is something to lighten."""
    if not loaded.zones and loaded.kind is not ServiceKind.STRAND_TEST:
        raise ConflictError("no_zones")
    for caution in loaded.cautions:
        if caution.severity is Severity.BLOCK:
            raise blocked_by(caution)
    if loaded.kind.only_tones:
        if all(z.keeps_depth for z in loaded.zones):
            raise ConflictError("no_tone_parts")
        if loaded.kind is ServiceKind.DEEPEN and not any(is_deeper(z) for z in loading.kept_parts(loaded)):
            raise ConflictError("nothing_deeper")
    elif loaded.kind.lightens and not loaded.lanes:
        raise ConflictError("nothing_to_lift")
    missing = [c.title for c in loaded.cautions if c.code not in loaded.state.acknowledged]
    if missing:
        raise ConflictError("cautions_open", missing=semicolons(missing))


def check_toner_idea(loaded: Loaded, *, must_be_there: bool = False) -> None:
    """The toner in mind may go on this person. Raises BlockedError; ConflictError where it has to be on the shelf."""
    idea = loaded.row.toner_idea
    shade = next((t for t in toners(loaded.row.studio_id) if t.key == idea), None)
    if must_be_there and idea and shade is None:
        raise ConflictError("unknown_shade.in_mind")
    block = toner_block(loaded.findings, shade) if shade else None
    if block and shade:
        raise blocked_by(block, shade.name)


def _check_drag(loaded: Loaded, data: ProductDragged) -> None:
    """Product goes only to the waiting ends of the same zone, and only as strong as those may have it."""
    source = loaded.state.lane(data.from_key)
    lanes = {z.key: z for z in loaded.lanes}
    if drag_target(source, loaded.zone(data.from_key), loaded.state.lanes, lanes) != data.zone_key:
        raise ConflictError("no_ends")
    _check_volume(loaded, data.zone_key, source.volume_strength)


def _check_refresh(loaded: Loaded, data: LightenerRefreshed) -> None:
    lightener, lane = loaded.lightener_of(data.zone_key), loaded.state.lane(data.zone_key)
    block = refresh_block(lightener, len(lane.applications), lane.stop)
    if block:
        raise BlockedError("no_refresh", why=block)
    if lightener.max_applications is None and not data.is_label_read:
        raise ConflictError("label_unread.refresh", product=lightener.name)


def _check_volume(loaded: Loaded, key: str, volume: float) -> None:
    zone = loaded.zone(key)
    most, reason = strongest_volume(zone, loaded.lightener_of(key), loaded.findings.elasticity)
    if volume > most + 1e-9:
        raise BlockedError("volume_over_limit", lane=zone.label, most=most, limit=reason, volume=volume)
