"""Core values as answers."""

from __future__ import annotations

import datetime as dt
from typing import Any

import numpy as np
from django.utils import timezone

from apps.clients.models import Client
from apps.services import queries
from apps.services.adapters import StrandRow
from apps.services.colour_reader import reader_address
from apps.services.models import Service
from apps.services.queries import Loaded
from apps.services.schemas import (
    CautionOut,
    DayPatchTest,
    DayReminder,
    DayService,
    DayVisit,
    ReviewOut,
    ServiceOut,
    StrandOut,
    StretchOut,
    ToneOut,
    UndoOut,
    ZoneOut,
)
from apps.services.wording import conflicts_out, event_text, zone_names
from apps.shelf.adapters import lightener_value
from fervens_core.chair import curve_points, minute_grid
from fervens_core.colour import hair_lab, lab_to_hex
from fervens_core.followup import reminder_text
from fervens_core.formats import strand_to_json, zone_to_json
from fervens_core.head import PATCH_TEST_WAIT_H, Stretch, Tone, Zone, patch_state
from fervens_core.lift import HeadMove, fit_strands, head_move, teach
from fervens_core.log import CautionAcknowledged, Phase, Step, live_events
from fervens_core.safety import CLEARED_TODAY, Severity
from fervens_core.toning import natural_lab


def undo_of(loaded: Loaded) -> UndoOut | None:
    """The latest act, unless the service is filed."""
    event = loaded.state.undoable
    if event is None or loaded.state.closed:
        return None
    return UndoOut(event_id=event.event_id, text=event_text(event, zone_names(loaded)))


def _zone_hexes(zones: tuple[Zone, ...]) -> tuple[list[str], list[str]]:
    if not zones:
        return [], []
    start = np.array([z.hair.start_level for z in zones])
    target = np.array([z.target_level for z in zones])
    return lab_to_hex(hair_lab(start, start)), lab_to_hex(hair_lab(start, target))


def _zones_out(loaded: Loaded) -> list[ZoneOut]:
    start_hex, target_hex = _zone_hexes(loaded.zones)
    found = []
    for zone, before, wanted in zip(loaded.zones, start_hex, target_hex, strict=True):
        parts = [
            lab_to_hex(hair_lab(s.hair.start_level, np.array([s.hair.start_level])))[0] if s else None
            for s in (zone.root, zone.ends)
        ]
        values = zone_to_json(zone)
        found.append(
            ZoneOut(
                **values,
                start_hex=before,
                target_hex=wanted,
                root_hex=parts[0],
                ends_hex=parts[1],
                touches_scalp=zone.touches_scalp,
            )
        )
    return found


def _move(loaded: Loaded) -> HeadMove | None:
    """How the strands moved the head; None when none was read or nothing is to be lifted."""
    strands = loaded.strand_values
    if not any(s.readings for s in strands) or not loaded.lanes or loaded.row.lightener is None:
        return None
    return head_move(teach(loaded.lanes, strands, lightener_value(loaded.row.lightener)))


def _stretch_out(kept: dict[str, Any] | None) -> StretchOut | None:
    if kept is None:
        return None
    value = Stretch(**kept)
    return StretchOut(**kept, stretch_percent=value.stretch_percent, return_percent=value.return_percent)


def _strands_out(rows: tuple[StrandRow, ...]) -> list[StrandOut]:
    """Strands with their fitted curves, painted in the colour each should have."""
    found = []
    values = tuple(r.value for r in rows)
    for row, fit in zip(rows, fit_strands(values), strict=True):
        strand = row.value
        start = strand.hair.start_level
        minutes = minute_grid(max(strand.lightener.label_max_min, *(r.minutes for r in strand.readings), 10.0))
        bands = fit.bands(minutes)
        seen = np.array([start, *(r.level for r in strand.readings)])
        hexes = lab_to_hex(hair_lab(start, np.maximum(np.concatenate([bands[1], seen]), start)))
        n = minutes.size
        found.append(
            StrandOut(
                **strand_to_json(strand),
                started_at=row.started_at,
                ended_at=row.ended_at,
                curve=list(curve_points(minutes, bands, hexes[:n])),
                start_hex=hexes[n],
                reading_hexes=hexes[n + 1 :],
                extent_ratio=fit.extent_ratio,
                rate_ratio=fit.rate_ratio,
                has_suffered=strand.has_suffered,
                label_max_min=strand.lightener.label_max_min,
            )
        )
    return found


def patch_test_out(client: Client, now: dt.datetime) -> DayPatchTest:
    """A patch test that waits to be read."""
    placed = client.patch_test_placed_at or now
    due = placed + dt.timedelta(hours=PATCH_TEST_WAIT_H)
    return DayPatchTest(client_id=client.pk, client_name=client.name, placed_at=placed, due_at=due, is_due=due <= now)


def visit_out(row: Service) -> DayVisit:
    """A visit to come."""
    return DayVisit(service_id=row.pk, client_name=row.client.name, starts_at=row.starts_at)


def reminder_out(row: Service) -> DayReminder:
    """A visit whose client is to be reminded now."""
    text = reminder_text(timezone.localdate(row.starts_at), is_toned=True)
    return DayReminder(**visit_out(row).dict(), text=text)


def service_out(loaded: Loaded) -> ServiceOut:
    """A service with its consultation."""
    row, findings = loaded.row, loaded.findings
    move = _move(loaded)
    taken = {e.data.caution: e for e in reversed(live_events(loaded.events)) if isinstance(e.data, CautionAcknowledged)}
    return ServiceOut(
        id=row.pk,
        client_id=row.client_id,
        client_name=row.client.name,
        client_age_years=findings.age_years,
        reacts_to_oxidative=findings.reacts_to_oxidative,
        is_reaction_open=findings.has_open_reaction,
        patch_test=findings.patch_test,
        patch_test_placed_at=row.client.patch_test_placed_at,
        patch_state=patch_state(findings.patch_test, findings.patch_test_age_h),
        starts_at=row.starts_at,
        step=loaded.state.step,
        revision=row.revision,
        wish=row.wish,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        scalp=findings.scalp,
        elasticity=findings.elasticity,
        salts_test=findings.salts_test,
        salts_signs=row.facts.get("salts_signs"),
        stretch=_stretch_out(row.facts.get("stretch")),
        allergies=findings.allergies,
        medication=findings.medication,
        home_care=sorted(findings.home_care),
        is_clarified=findings.is_clarified,
        time_min=findings.time_min,
        booked_min=findings.booked_min,
        zones=_zones_out(loaded),
        strands=_strands_out(loaded.strands),
        move_text=move.text if move else None,
        verdict=queries.verdict(loaded) if loaded.state.step in (Step.CONSULTATION, Step.PLAN) else None,
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
        conflicts=conflicts_out(loaded),
        server_now=timezone.now(),
    )


def _next_text(loaded: Loaded, now: dt.datetime) -> tuple[str, dt.datetime | None, list[str]]:
    """What the day's list says of a service, when it is due, and the zones' colours now."""
    start_hex, _ = _zone_hexes(loaded.zones)
    state = loaded.state
    match state.step:
        case Step.CONSULTATION:
            if loaded.is_blocked:
                blocks = [c.code for c in loaded.cautions if c.severity is Severity.BLOCK]
                text = "Clarify first" if CLEARED_TODAY.issuperset(blocks) else "Must not be lightened today"
                return text, None, start_hex
            return ("Read the head" if not loaded.zones else "Finish the consultation"), None, start_hex
        case Step.PLAN:
            return "Plan it", None, start_hex
        case Step.CHAIR:
            board = queries.board(loaded, now)
            act = board.acts[0] if board.acts else None
            colours = [lane.hex_now for lane in board.lanes]
            return (act.title if act else "At the chair"), (act.due_at if act else None), colours
        case Step.REVIEW:
            board = queries.board(loaded, now)
            return "Read and review", None, [lane.hex_now for lane in board.lanes]
        case Step.TONE:
            on = [t for x in state.lanes for t in (x.toner, x.shadow) if t and t.is_on]
            board = queries.board(loaded, now)
            colours = [lane.hex_now for lane in board.lanes]
            if on:
                due = min(t.applied_at + dt.timedelta(minutes=t.minutes) for t in on)
                return f"Toner on {len(on)} of {len(state.lanes)} zones", due, colours
            return "Tone it", None, colours
        case Step.RECORD:
            board = queries.board(loaded, now)
            return "Filed", None, [lane.hex_now for lane in board.lanes]


def day_service(row: Service, now: dt.datetime) -> DayService:
    """One line of the day."""
    loaded = queries.load(row)
    text, due, hexes = _next_text(loaded, now)
    worked = loaded.lanes or loaded.zones
    starts = [z.hair.start_level for z in worked]
    targets = [z.target_level for z in worked]
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


def review_out(loaded: Loaded) -> ReviewOut:
    """The review now."""
    row, now = loaded.row, timezone.now()
    names = zone_names(loaded)
    return ReviewOut(
        service_id=row.pk,
        step=loaded.state.step,
        tone=Tone(row.tone),
        review=queries.review(loaded, now),
        open_zones=[names.get(x.key, x.key) for x in loaded.state.lanes if x.phase is not Phase.RINSED],
        lightener_name=row.lightener.name if row.lightener else "",
        undo=undo_of(loaded),
        has_reader=reader_address() is not None,
        server_now=now,
    )


def tone_out(loaded: Loaded, *, most_bowls: int) -> ToneOut:
    """The tone step now."""
    row, now = loaded.row, timezone.now()
    names = zone_names(loaded)
    return ToneOut(
        service_id=row.pk,
        step=loaded.state.step,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        most_bowls=most_bowls,
        tone_step=queries.tone(loaded, now, most_bowls=most_bowls),
        open_zones=[names.get(x.key, x.key) for x in loaded.state.lanes if x.phase is not Phase.RINSED],
        undo=undo_of(loaded),
        conflicts=conflicts_out(loaded),
        has_reader=reader_address() is not None,
        server_now=now,
    )


def natural_hexes(levels: list[float]) -> list[str]:
    """Colours of natural hair at levels."""
    return lab_to_hex(np.stack([natural_lab(v) for v in levels]))
