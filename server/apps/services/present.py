"""Core values as answers."""

from __future__ import annotations

import datetime as dt

import numpy as np
from django.utils import timezone

from apps.services import queries
from apps.services.models import Service
from apps.services.queries import Loaded
from apps.services.schemas import (
    BoardOut,
    BowlOut,
    CautionOut,
    DayService,
    PlanLane,
    PlanOut,
    PourOut,
    ServiceOut,
    ToneOut,
    UndoOut,
    ZoneOut,
)
from apps.shelf.adapters import lightener_value
from fervens_core.colour import lab_to_hex
from fervens_core.errors import CoreError
from fervens_core.events import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    CautionAcknowledged,
    ConsultationFinished,
    Event,
    PlanTaken,
    ReadingTaken,
    Rinsed,
    ServiceClosed,
    TonerApplied,
    TonerRinsed,
)
from fervens_core.hair import Zone
from fervens_core.paint import paint_plan, window_of
from fervens_core.pigment import hair_lab
from fervens_core.plan import Plan, PlanRequest, make_plan
from fervens_core.service import Phase, Step, live_events
from fervens_core.toner import Tone
from fervens_core.toning import natural_lab


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
            return f"{zone}: read {data.level:g} ({data.mode.value.replace('_', ' ')})"
        case Rinsed():
            return f"{zone}: rinsed"
        case TonerApplied():
            return f"{zone}: toner {data.shade_name} on, {data.minutes:g} min"
        case TonerRinsed():
            return f"{zone}: toner rinsed"
        case ServiceClosed():
            return "Filed"
    return event.kind


def undo_of(loaded: Loaded) -> UndoOut | None:
    """The latest act, unless the service is filed."""
    event = loaded.state.undoable
    if event is None or loaded.state.closed:
        return None
    return UndoOut(event_id=event.event_id, text=event_text(event, {z.key: z.name for z in loaded.zones}))


def _zone_hexes(zones: tuple[Zone, ...]) -> tuple[list[str], list[str]]:
    if not zones:
        return [], []
    start = np.array([z.hair.start_level for z in zones])
    target = np.array([z.target_level for z in zones])
    return lab_to_hex(hair_lab(start, start)), lab_to_hex(hair_lab(start, target))


def service_out(loaded: Loaded) -> ServiceOut:
    """A service with its consultation."""
    row, findings = loaded.row, loaded.findings
    start_hex, target_hex = _zone_hexes(loaded.zones)
    taken = {e.data.caution: e for e in reversed(live_events(loaded.events)) if isinstance(e.data, CautionAcknowledged)}
    return ServiceOut(
        id=row.pk,
        client_id=row.client_id,
        client_name=row.client.name,
        client_age_years=findings.age_years,
        has_reacted_before=findings.has_reacted_before,
        patch_test=findings.patch_test,
        patch_test_placed_at=row.client.patch_test_placed_at,
        starts_at=row.starts_at,
        step=loaded.state.step,
        revision=row.revision,
        wish=row.wish,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        scalp=findings.scalp,
        elasticity=findings.elasticity,
        salts_test=findings.salts_test,
        zones=[
            ZoneOut(
                key=z.key,
                name=z.name,
                start_level=z.hair.start_level,
                target_level=z.target_level,
                history=z.hair.history,
                thickness=z.hair.thickness,
                porosity=z.hair.porosity,
                covering=z.covering,
                foil_count=z.foil_count,
                pace_min_per_foil=z.pace_min_per_foil,
                is_delicate=z.is_delicate,
                is_on_scalp=z.is_on_scalp,
                start_hex=a,
                target_hex=b,
            )
            for z, a, b in zip(loaded.zones, start_hex, target_hex, strict=True)
        ],
        cautions=[
            CautionOut(
                caution=c,
                acknowledged_by=taken[c.code].by if c.code in taken else None,
                acknowledged_at=taken[c.code].occurred_at if c.code in taken else None,
            )
            for c in loaded.cautions
        ],
        is_blocked=loaded.is_blocked,
        lightener_key=str(row.lightener_id) if row.lightener_id else None,
        undo=undo_of(loaded),
        conflicts=list(loaded.state.conflicts),
        server_now=timezone.now(),
    )


def _next_text(loaded: Loaded, now: dt.datetime) -> tuple[str, dt.datetime | None, list[str]]:
    """What the day's list says of a service, when it is due, and the zones' colours now."""
    start_hex, _ = _zone_hexes(loaded.zones)
    state = loaded.state
    match state.step:
        case Step.CONSULTATION:
            if loaded.is_blocked:
                return "Must not be lightened today", None, start_hex
            return ("Read the head" if not loaded.zones else "Finish the consultation"), None, start_hex
        case Step.PLAN:
            return "Plan it", None, start_hex
        case Step.CHAIR:
            board = queries.board(loaded, now)
            act = board.acts[0] if board.acts else None
            colours = [lane.hex_now for lane in board.lanes]
            return (act.title if act else "At the chair"), (act.due_at if act else None), colours
        case Step.TONE:
            on = [x for x in state.lanes if x.toner and not x.toner.rinsed_at]
            board = queries.board(loaded, now)
            colours = [lane.hex_now for lane in board.lanes]
            if on:
                due = min(x.toner.applied_at + dt.timedelta(minutes=x.toner.minutes) for x in on if x.toner)
                return f"Toner on {len(on)} of {len(state.lanes)} zones", due, colours
            return "Read and tone", None, colours
        case Step.RECORD:
            board = queries.board(loaded, now)
            return "Filed", None, [lane.hex_now for lane in board.lanes]


def day_service(row: Service, now: dt.datetime) -> DayService:
    """One line of the day."""
    loaded = queries.load(row)
    text, due, hexes = _next_text(loaded, now)
    starts = [z.hair.start_level for z in loaded.zones]
    targets = [z.target_level for z in loaded.zones]
    return DayService(
        id=row.pk,
        client_name=row.client.name,
        starts_at=row.starts_at,
        step=loaded.state.step,
        is_blocked=loaded.is_blocked,
        next_text=text,
        next_due_at=due,
        wish=row.wish,
        tone=Tone(row.tone),
        hexes_now=hexes,
        hexes_target=_zone_hexes(loaded.zones)[1],
        level_from=min(starts) if starts else None,
        level_to=max(targets) if targets else None,
    )


def bowls_out(plan: Plan) -> list[BowlOut]:
    """The mixing list: each bowl with the minute it is to be mixed."""
    return [
        BowlOut(
            zone_key=z.zone.key,
            zone_name=z.zone.name,
            number=i + 1,
            mix_min=z.start_min + i * (z.end_min - z.start_min) / len(z.bowls),
            volume_strength=z.volume_strength,
            lightener_g=b.product_g,
            developer_g=sum(p.mass_g for p in b.pours),
            total_g=b.total_g,
            pours=[
                PourOut(name=p.developer.name, volume_strength=p.developer.volume_strength, mass_g=p.mass_g)
                for p in b.pours
            ],
        )
        for z in plan.zones
        for i, b in enumerate(z.bowls)
    ]


def plan_out(loaded: Loaded, plan: Plan, request: PlanRequest) -> PlanOut:
    """A plan, painted."""
    painted = paint_plan(plan, request)
    lanes = []
    for zone, (curve, crossed) in zip(plan.zones, painted, strict=True):
        start = zone.zone.hair.start_level
        colours = lab_to_hex(hair_lab(start, np.array([zone.level_at_rinse, zone.zone.target_level])))
        lanes.append(
            PlanLane(
                key=zone.zone.key,
                name=zone.zone.name,
                start_level=start,
                target_level=zone.zone.target_level,
                volume_strength=zone.volume_strength,
                is_own_volume=zone.zone.key in request.volumes,
                strongest_volume=zone.strongest_volume,
                limit_reason=zone.limit_reason,
                start_min=zone.start_min,
                end_min=zone.end_min,
                wall_min=zone.wall_min,
                rinse_min=zone.rinse_min,
                ready_min=window_of(zone.ready_min),
                level_at_rinse=zone.level_at_rinse,
                hex_at_rinse=colours[0],
                hex_target=colours[1],
                reason=zone.reason,
                curve=list(curve),
                crossings=list(crossed),
            )
        )
    bowls = bowls_out(plan)
    return PlanOut(
        revision=loaded.row.revision,
        lightener_key=request.lightener.key,
        has_additive=request.has_additive,
        finish_min=plan.finish_min,
        finish_least_min=plan.finish_range_min[0],
        finish_most_min=plan.finish_range_min[1],
        is_proposed_finish=request.finish_min is None,
        contact_load_volume_min=plan.contact_load_volume_min,
        lightener_g=sum(b.lightener_g for b in bowls),
        lanes=lanes,
        bowls=bowls,
        cautions=[c.title for c in loaded.cautions],
    )


def board_out(loaded: Loaded) -> BoardOut:
    """The chair now."""
    row = loaded.row
    lightener = lightener_value(row.lightener) if row.lightener else None
    bowls: list[BowlOut] = []
    if loaded.state.plan and any(x.phase is Phase.WAITING for x in loaded.state.lanes):
        try:
            bowls = bowls_out(make_plan(queries.plan_request(loaded)))
        except CoreError:
            bowls = []  # the shelf changed since the plan was taken; the chair goes on without amounts
    return BoardOut(
        service_id=row.pk,
        client_name=row.client.name,
        step=loaded.state.step,
        board=queries.board(loaded, timezone.now()),
        lightener_name=lightener.name if lightener else None,
        label_max_min=lightener.label_max_min if lightener else None,
        is_dark_lightener=lightener.is_dark if lightener else False,
        bowls=bowls,
        undo=undo_of(loaded),
        conflicts=list(loaded.state.conflicts),
    )


def tone_out(loaded: Loaded) -> ToneOut:
    """The tone step now."""
    row, now = loaded.row, timezone.now()
    names = {z.key: z.name for z in loaded.zones}
    return ToneOut(
        service_id=row.pk,
        step=loaded.state.step,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        lanes=list(queries.tone(loaded, now)),
        open_zones=[names.get(x.key, x.key) for x in loaded.state.lanes if x.phase is not Phase.RINSED],
        undo=undo_of(loaded),
        server_now=now,
    )


def natural_hexes(levels: list[float]) -> list[str]:
    """Colours of natural hair at levels."""
    return lab_to_hex(np.stack([natural_lab(v) for v in levels]))
