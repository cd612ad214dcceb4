"""Core values as answers."""

from __future__ import annotations

import datetime as dt

from apps.services.loading import Loaded, kept_parts
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.base import Message, Value, say, term
from fervens_core.head import Foils
from fervens_core.log import (
    Answer,
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    CoveringChanged,
    DeveloperChanged,
    Event,
    HairNoted,
    LightenerRefreshed,
    LighteningResumed,
    MishapMet,
    PlanTaken,
    PracticeAsked,
    ProbeRead,
    ProductDragged,
    ReadingTaken,
    Rinsed,
    ShadowSet,
    ToneBowlApplied,
    ToneFormulaSet,
    TonerApplied,
    TonerEmulsified,
    TonerEvent,
    TonerPulledBack,
    TonerRinsed,
    TonersEmulsified,
    TonersRinsed,
    TonerStrandRead,
    WaveRinsed,
    WishSet,
    lane_of_id,
)
from fervens_core.practice import Mishaps


def undo_of(loaded: Loaded) -> UndoOut | None:
    """The latest act, unless the service is filed."""
    event = loaded.state.undoable
    if event is None or loaded.state.closed:
        return None
    return UndoOut(event_id=event.event_id, text=event_text(event, zone_names(loaded)))


def formula_text(data: TonerApplied | ToneBowlApplied) -> Message | str:
    """The formula of a toner: its shades, in parts when two."""
    if not data.second_key:
        return data.shade_name
    least = min(data.share, 1.0 - data.share)
    parts, rest = round(data.share / least), round((1.0 - data.share) / least)
    return say("event-two_shades", first=data.shade_name, second=data.second_name, parts=parts, rest=rest)


def caution_name(code: str) -> Message:
    """What an acknowledged caution is called."""
    return say(f"caution_name-{code}")


def _read(zone: Value, data: ReadingTaken) -> Message:
    how: Value = term(data.mode)
    if data.lab:
        how = say("event-named_reader", name=data.instrument) if data.instrument else say("event-reader")
    said = [
        (
            say("event-read_first", level=data.level)
            if data.foils is Foils.FIRST
            else say("event-read", level=data.level)
        )
    ]
    if data.is_kept:
        said.insert(0, say("event-not_lightened"))
    if data.warmth:
        said.append(say("event-warmer") if data.warmth > 0.0 else say("event-cooler"))
    if data.rest:
        said.append(say("event-rest", hue=data.rest))
    return say("event-reading", zone=zone, said=said, how=how)


def _noted(zone: Value, data: HairNoted) -> Message:
    said = [say(f"event-hair_{data.elasticity.value}")] if data.elasticity else []
    if data.scalp:
        said.append(say(f"event-scalp_{data.scalp.value}"))
    return say("event-noted", zone=zone, said=said)


def _toner(zone: Value, data: TonerEvent) -> Message:
    of = say("lane-shadow", lane=zone) if data.part else zone
    match data:
        case TonerApplied():
            return say("event-toner_applied", zone=of, formula=formula_text(data), minutes=data.minutes)
        case TonerEmulsified():
            return say("event-toner_emulsified", zone=of)
        case TonerStrandRead():
            return say("event-toner_strand", zone=of, share=data.deposit_share)
        case TonerPulledBack():
            return say("event-toner_pulled_back", zone=of, minutes=data.minutes)
    return say("event-toner_rinsed", zone=of)


def _ids(data: ToneBowlApplied) -> list[str]:
    return [p.id for p in data.parts]


def lane_at(lane_id: str, names: dict[str, Message | str]) -> Message | str:
    """A lane, or its root shadow, by its id."""
    key, is_shadow = lane_of_id(lane_id)
    name = names.get(key, key)
    return say("lane-shadow", lane=name) if is_shadow else name


def event_text(event: Event, names: dict[str, Message | str]) -> Message:
    """An event in plain words."""
    data = event.data

    def named(key: str) -> Message | str:
        return names.get(key, key)

    zone = named(event.zone_key or "")
    match data:
        case CautionAcknowledged():
            return say("event-acknowledged", caution=caution_name(data.caution))
        case PlanTaken():
            return say("event-plan_taken", zones=len(data.zone_keys))
        case BowlMixed():
            grams = data.product_g + data.developer_g
            bowl = say("event-bowl", zone=zone, grams=grams, volume=data.volume_strength)
            return say("event-bowl_is_on", bowl=bowl) if data.is_on else bowl
        case ApplicationStarted():
            started = say("event-started", zone=zone, volume=data.volume_strength)
            return say("event-started_after", before=named(data.after_key), then=started) if data.after_key else started
        case ReadingTaken():
            return _read(say("lanes", lanes=[named(k) for k in data.keys]) if data.also_for else zone, data)
        case Rinsed() if data.is_wiped:
            return say("event-wiped", zone=zone)
        case WaveRinsed():
            return say("event-rinsed_together", zones=[named(k) for k in data.zone_keys])
        case LightenerRefreshed():
            return say("event-refreshed", zone=zone, volume=data.volume_strength)
        case ProductDragged():
            return say("event-dragged", zone=zone, source=named(data.from_key))
        case CoveringChanged():
            return say("event-covering", zone=zone, covering=data.covering)
        case HairNoted():
            return _noted(zone, data)
        case DeveloperChanged():
            return say("event-developer", zone=zone, volume=data.volume_strength)
        case LighteningResumed():
            pairs = zip(data.zone_keys, data.volumes, strict=True)
            return say("event-again", zones=[say("event-zone_volume", zone=named(k), volume=v) for k, v in pairs])
        case WishSet():
            wish = say("event-wish", tone=data.tone, level=data.level)
            if data.lab:
                wish = say("event-wish_measured", level=data.level)
            if data.zone_keys:
                return say("event-wish_for", wish=wish, zones=[named(k) for k in data.zone_keys])
            return wish
        case ShadowSet():
            if not data.length_mm:
                return say("event-no_shadow")
            return say("event-shadow", level=data.level, length=data.length_mm, blend=data.blend_mm)
        case ProbeRead():
            return say("event-probe", zone=zone, grab=data.grab)
        case ToneBowlApplied():
            return say("event-tone_bowl", zones=[lane_at(i, names) for i in _ids(data)], formula=formula_text(data))
        case TonersEmulsified():
            return say("event-toners_emulsified", zones=[lane_at(i, names) for i in data.ids])
        case TonersRinsed():
            return say("event-toners_rinsed", zones=[lane_at(i, names) for i in data.ids])
        case PracticeAsked():
            return say("event-asked", topic=data.topic)
        case MishapMet():
            kind = (
                term(Mishaps(data.mishap.split("-")[0])) if data.mishap.split("-")[0] in set(Mishaps) else data.mishap
            )
            return say("event-mishap" if data.answer is Answer.SEEN_TO else "event-mishap_left", mishap=kind)
        case ToneFormulaSet():
            return say(
                "event-own_formula" if data.shade_key else "event-as_proposed",
                zones=[lane_at(i, names) for i in data.ids],
            )
        case TonerApplied() | TonerEmulsified() | TonerStrandRead() | TonerPulledBack() | TonerRinsed():
            return _toner(zone, data)
    return say(f"event-{event.kind}", zone=zone)


def zone_names(loaded: Loaded) -> dict[str, Message | str]:
    """Names of zones and lanes by key; a lane's own where both have the key."""
    return {z.key: z.label for z in (*loaded.zones, *kept_parts(loaded), *loaded.lanes)}


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
