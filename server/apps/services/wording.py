"""Core values as answers."""

from __future__ import annotations

import datetime as dt

from apps.services.loading import Loaded, kept_parts
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BarrierLeft,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    CoveringChanged,
    DeveloperChanged,
    DriedOut,
    Event,
    HairNoted,
    HeatEnded,
    HeatStarted,
    LightenerRefreshed,
    LighteningResumed,
    PlanTaken,
    ProbeRead,
    ProductDragged,
    ReadingTaken,
    ReviewFinished,
    Rinsed,
    ServiceClosed,
    ShadowSet,
    TonerApplied,
    TonerEmulsified,
    TonerPulledBack,
    TonerRinsed,
    TonerStrandRead,
    WaveRinsed,
    WishSet,
)


def undo_of(loaded: Loaded) -> UndoOut | None:
    """The latest act, unless the service is filed."""
    event = loaded.state.undoable
    if event is None or loaded.state.closed:
        return None
    return UndoOut(event_id=event.event_id, text=event_text(event, zone_names(loaded)))


_STRETCHES = {
    "returns": "stretches and returns",
    "slow": "returns slowly",
    "stays_stretched": "stays stretched",
    "snaps": "snaps",
}


_FEELS = {"fine": "scalp is fine", "warm": "scalp feels warm", "burns": "scalp burns"}


def _noted(data: HairNoted) -> str:
    return ", ".join(t for t in (_STRETCHES.get(data.elasticity or "", ""), _FEELS.get(data.scalp or "", "")) if t)


def _part(part: str) -> str:
    return f", root {part}" if part else ""


def formula_text(data: TonerApplied) -> str:
    """The formula of a toner in words: its shades, in parts when two."""
    if not data.second_key:
        return data.shade_name
    return f"{data.shade_name} + {data.second_name} {data.share:.0%} : {1.0 - data.share:.0%}"


def event_text(event: Event, names: dict[str, str]) -> str:
    """An event in plain words."""
    data = event.data
    zone = names.get(event.zone_key or "", event.zone_key or "")
    match data:
        case CautionAcknowledged():
            return f"Acknowledged: {data.caution.replace('_', ' ')}"
        case ConsultationFinished():
            return "Consultation finished"
        case PlanTaken():
            return f"Plan taken to the chair, {len(data.zone_keys)} zones"
        case BowlMixed():
            return f"Bowl for {zone}: {data.product_g + data.developer_g:.0f} g, {data.volume_strength:g} vol"
        case ApplicationStarted():
            return f"{zone}: application started, {data.volume_strength:g} vol"
        case ApplicationFinished():
            return f"{zone}: application finished"
        case ReadingTaken():
            measured = f"{data.instrument} colour reader" if data.instrument else "colour reader"
            how = measured if data.lab else data.mode.value.replace("_", " ")
            warmth = "" if data.warmth == 0.0 else ", warmer" if data.warmth > 0.0 else ", cooler"
            rest = f", {data.rest} rest" if data.rest else ""
            kept = "not lightened, " if data.is_kept else ""
            return f"{zone}: {kept}read {data.level:g}{warmth}{rest} ({how})"
        case Rinsed():
            return f"{zone}: rinsed"
        case WaveRinsed():
            return f"Rinsed together: {', '.join(names.get(k, k) for k in data.zone_keys)}"
        case LightenerRefreshed():
            return f"{zone}: new product, {data.volume_strength:g} vol"
        case ProductDragged():
            return f"{zone}: product dragged from {names.get(data.from_key, data.from_key)}"
        case HeatStarted():
            return f"{zone}: warmth on"
        case HeatEnded():
            return f"{zone}: warmth off"
        case CoveringChanged():
            return f"{zone}: now under {data.covering.value.replace('_', ' ')}"
        case BarrierLeft():
            return f"{zone}: left on as a barrier"
        case DriedOut():
            return f"{zone}: dried out"
        case HairNoted():
            return f"{zone}: {_noted(data)}"
        case DeveloperChanged():
            return f"{zone}: {data.volume_strength:g} vol instead"
        case LighteningResumed():
            pairs = zip(data.zone_keys, data.volumes, strict=True)
            return f"Lightened again: {', '.join(f'{names.get(k, k)} {v:g} vol' for k, v in pairs)}"
        case ReviewFinished():
            return "Review finished"
        case WishSet():
            colour = "a measured colour" if data.lab else data.tone
            return f"Wished: {colour} at {data.level:g}"
        case ShadowSet():
            if not data.length_mm:
                return "No root shadow"
            return f"Root shadow at {data.level:g}, {data.length_mm:g} mm, blended over {data.blend_mm:g} mm"
        case ProbeRead():
            return f"{zone}: violet shampoo took {data.grab.value}"
        case TonerApplied():
            return f"{zone}{_part(data.part)}: toner {formula_text(data)} on, {data.minutes:g} min"
        case TonerEmulsified():
            return f"{zone}{_part(data.part)}: toner emulsified"
        case TonerStrandRead():
            return f"{zone}{_part(data.part)}: a strand rinsed, {data.deposit_share:.0%} of its dye"
        case TonerPulledBack():
            return f"{zone}{_part(data.part)}: toner pulled back over, {data.minutes:g} min in all"
        case TonerRinsed():
            return f"{zone}{_part(data.part)}: toner rinsed"
        case ServiceClosed():
            return "Filed"
    return event.kind


def zone_names(loaded: Loaded) -> dict[str, str]:
    """Names of zones and lanes by key; a lane's own where both have the key."""
    return {z.key: z.name for z in (*loaded.zones, *kept_parts(loaded), *loaded.lanes)}


def in_order(event: Event) -> tuple[dt.datetime, dt.datetime, str]:
    """Where an event stands in the log: when it happened, when it was told."""
    return event.occurred_at, event.recorded_at, event.event_id


def conflicts_out(loaded: Loaded) -> list[ConflictOut]:
    """Acts that did not fit what others had done, in words."""
    names = zone_names(loaded)
    by_id = {e.event_id: e for e in loaded.events}
    return [
        ConflictOut(
            event_id=c.event_id,
            code=c.code,
            text=event_text(by_id[c.event_id], names),
            by=c.by,
            at=c.at,
            message=c.message,
        )
        for c in loaded.state.conflicts
    ]
