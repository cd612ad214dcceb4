"""The chair as answers: the board, who did what, what the reader measured."""

from __future__ import annotations

import numpy as np
from django.utils import timezone

from apps.services.chair import queries as chair_queries
from apps.services.chair.colour_reader import reader_address
from apps.services.chair.schemas import BoardOut, LogLine, LogOut, MeasuredOut
from apps.services.loading import Loaded
from apps.services.plan.present import bowl_out
from apps.services.practice.setups import help_of
from apps.services.wording import conflicts_out, event_text, in_order, undo_of, zone_names
from apps.shelf.adapters import lightener_value
from fervens_core.colour import hair_lab, seen_hexes
from fervens_core.formats import Measured
from fervens_core.log import EventVoided
from fervens_core.practice import with_help


def end_of_log(loaded: Loaded) -> int:
    """The place of the last event told, 0 for an empty log."""
    return loaded.log[-1].pk if loaded.log else 0


def board_out(loaded: Loaded) -> BoardOut:
    """The chair now."""
    row = loaded.row
    lightener = lightener_value(row.lightener) if row.lightener else None
    now = loaded.now
    there = chair_queries.at_chair(loaded, now)
    return BoardOut(
        service_id=row.pk,
        client_name=row.client.name,
        step=loaded.state.step,
        board=with_help(there.board, help_of(loaded.round)),
        lightener_key=lightener.key if lightener else None,
        lightener_name=lightener.name if lightener else None,
        label_max_min=lightener.label_max_min if lightener else None,
        is_dark_lightener=lightener.is_dark if lightener else False,
        bowls=[bowl_out(b) for b in there.bowls],
        undo=undo_of(loaded),
        conflicts=conflicts_out(loaded),
        position=end_of_log(loaded),
        has_reader=reader_address() is not None and loaded.round is None,
        is_practice=loaded.round is not None,
        server_now=now,
        clock_behind_min=0.0 if loaded.round else round((now - timezone.now()).total_seconds() / 60.0, 1),
    )


def log_out(loaded: Loaded) -> LogOut:
    """Who did what, the latest first; what was taken back and what did not fit are marked."""
    names = zone_names(loaded)
    voids = {e.data.event_id: e for e in loaded.events if isinstance(e.data, EventVoided)}
    conflicts = {c.event_id: c.message for c in loaded.state.conflicts}
    told = sorted((e for e in loaded.events if not isinstance(e.data, EventVoided)), key=in_order)
    return LogOut(
        lines=[
            LogLine(
                event_id=e.event_id,
                at=e.occurred_at,
                recorded_at=e.recorded_at,
                by=e.by,
                text=event_text(e, names),
                is_voided=e.event_id in voids,
                voided_by=voids[e.event_id].by if e.event_id in voids else None,
                conflict=conflicts.get(e.event_id),
            )
            for e in reversed(told)
        ]
    )


def measured_out(measured: Measured, start_level: float, instrument: str) -> MeasuredOut:
    """What the reader measured, painted."""
    lab = np.array([measured.lab, hair_lab(start_level, np.array([measured.level]))[0].tolist()])
    seen, level = seen_hexes(lab)
    return MeasuredOut(
        lab=list(measured.lab),
        level=measured.level,
        delta_e=measured.delta_e,
        hex=seen,
        level_hex=level,
        instrument=instrument,
    )
