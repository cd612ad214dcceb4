"""A service and its consultation as answers."""

from __future__ import annotations

from dataclasses import fields
from typing import Any

import numpy as np

from apps.services.adapters import StrandRow
from apps.services.consultation import queries as consultation_queries
from apps.services.consultation.schemas import CautionOut, ServiceOut, StrandOut, StretchOut, ZoneOut
from apps.services.hexes import _zone_hexes
from apps.services.loading import Loaded
from apps.services.wording import conflicts_out, undo_of
from fervens_core.chair import curve_points, minute_grid
from fervens_core.colour import hair_hex, hair_lab, seen_hexes, undertone
from fervens_core.head import Hair, Pieces, Stretch, Tone, Zone, patch_state, warm_hair
from fervens_core.lift import HeadMove, ToldStrand, fit_strands, head_move, next_look_min, teach, told, zone_factors
from fervens_core.log import CautionAcknowledged, Step, live_events
from fervens_core.toning import natural_lab

EDITABLE = (Step.CONSULTATION, Step.PLAN, Step.STRANDS)


def _fields(value: object, kind: type, *but: str) -> dict[str, Any]:
    """A contract's fields, to make a wider one of."""
    return {f.name: getattr(value, f.name) for f in fields(kind) if f.name not in but}


def _hair_of(pieces: Pieces | None) -> list[Hair]:
    return [pieces.hair, *(p.hair for p in pieces.parts)] if pieces else []


def _hex_of(hair: Hair, zone: Zone) -> str:
    """Colour of a piece of hair now; lightened hair with the warmth of what grows there."""
    return hair_hex(warm_hair(hair, zone).colour_start, [hair.start_level])[0]


def _zones_out(loaded: Loaded) -> list[ZoneOut]:
    start_hex, target_hex = _zone_hexes(loaded.zones)
    found = []
    for zone, before, wanted in zip(loaded.zones, start_hex, target_hex, strict=True):
        found.append(
            ZoneOut(
                **_fields(zone, Zone),
                start_hex=before,
                target_hex=wanted,
                part_hexes=[_hex_of(p.hair, zone) for p in zone.parts],
                pieces_hexes=[_hex_of(h, zone) for h in _hair_of(zone.pieces)],
                touches_the_scalp=zone.touches_scalp,
            )
        )
    return found


def _move(loaded: Loaded) -> HeadMove | None:
    """How the strands moved the head; None when none was read or nothing is to be lifted."""
    strands = loaded.strand_values
    if not any(s.readings for s in strands) or not loaded.lanes or loaded.row.lightener is None:
        return None
    expected = [zone_factors(z, loaded.lightener_of(z.key)) for z in loaded.lanes]
    return head_move(teach(loaded.lanes, strands, expected))


def _stretch_out(kept: dict[str, Any] | None) -> StretchOut | None:
    if kept is None:
        return None
    value = Stretch(**kept)
    return StretchOut(**kept, stretch_percent=value.stretch_percent, return_percent=value.return_percent)


def strands_out(rows: tuple[StrandRow, ...]) -> list[StrandOut]:
    """Strands with their fitted curves, painted in the colour each should have."""
    found = []
    values = tuple(r.value for r in rows)
    for row, fit in zip(rows, fit_strands(values), strict=True):
        strand = row.value
        start = strand.hair.start_level
        minutes = minute_grid(max(strand.lightener.label_max_min, *(r.minutes for r in strand.readings), 10.0))
        bands = fit.bands(minutes)
        seen = np.array([start, *(r.level for r in strand.readings)])
        hexes = seen_hexes(hair_lab(start, np.maximum(np.concatenate([bands[1], seen]), start)))
        n = minutes.size
        found.append(
            StrandOut(
                **_fields(told(strand), ToldStrand),
                started_at=row.started_at,
                ended_at=row.ended_at,
                curve=list(curve_points(minutes, bands, hexes[:n])),
                start_hex=hexes[n],
                reading_hexes=hexes[n + 1 :],
                extent_ratio=fit.extent_ratio,
                rate_ratio=fit.rate_ratio,
                has_suffered=strand.has_suffered,
                label_max_min=strand.lightener.label_max_min,
                next_look_min=next_look_min(strand.lightener.label_max_min, [r.minutes for r in strand.readings]),
                reading_undertones=[undertone(r.level) for r in strand.readings],
            )
        )
    return found


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
        builds_up=findings.builds_up,
        patch_test=findings.patch_test,
        patch_test_placed_at=row.client.patch_test_placed_at,
        patch_state=patch_state(findings.patch_test, findings.patch_test_age_h),
        starts_at=row.starts_at,
        is_hair_piece=row.client.is_hair_piece,
        kind=loaded.kind,
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
        strands=strands_out(loaded.strands),
        move_text=move.text if move else None,
        verdict=consultation_queries.verdict(loaded) if loaded.state.step in EDITABLE else None,
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
        is_practice=loaded.round is not None,
        server_now=loaded.now,
    )


def natural_hexes(levels: list[float]) -> list[str]:
    """Colours of natural hair at levels."""
    return seen_hexes(np.stack([natural_lab(v) for v in levels]))
