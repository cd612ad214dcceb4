"""A service's record, made from its log."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from django.utils import timezone
from ninja import Schema

from apps.services import queries
from apps.services.queries import Loaded
from apps.services.wording import event_text, zone_names
from fervens_core.board import Lane
from fervens_core.events import BowlMixed, CautionAcknowledged
from fervens_core.hair import Tone
from fervens_core.match import spread_of
from fervens_core.service import Step, live_events


class RecordLine(Schema):
    """One line of the log in plain words."""

    at: dt.datetime
    by: str
    text: str
    is_voided: bool


class RecordBowl(Schema):
    """A bowl as it was weighed."""

    at: dt.datetime
    zone_name: str
    volume_strength: float
    product_g: float
    developer_g: float
    recipe: str


class RecordToner(Schema):
    """A toner as it was applied."""

    zone_name: str
    shade_name: str
    applied_at: dt.datetime
    rinsed_at: dt.datetime | None
    planned_minutes: float
    minutes: float | None
    product_g: float
    developer_g: float
    level: float
    now_hex: str
    left_hex: str
    wanted_hex: str
    says: str


class RecordCaution(Schema):
    """Who took a caution on, and when."""

    code: str
    by: str
    at: dt.datetime


class RecordOut(Schema):
    """The whole service on one page."""

    service_id: UUID
    client_name: str
    starts_at: dt.datetime
    step: Step
    closed_at: dt.datetime | None
    worked: str
    change: str
    wish: str
    tone: Tone
    lightener_name: str | None
    label_max_min: float | None
    lanes: list[Lane]
    bowls: list[RecordBowl]
    toners: list[RecordToner]
    toned_apart: float | None
    cautions: list[RecordCaution]
    lines: list[RecordLine]
    walls_passed: list[str]
    server_now: dt.datetime


def _toners(loaded: Loaded, now: dt.datetime) -> tuple[list[RecordToner], float | None]:
    """The toners as they were put on, and how far apart the toned zones ended, CIEDE2000."""
    step = queries.tone(loaded, now)
    found, labs = [], []
    for lane in step.lanes if step else ():
        clock = lane.toner
        if clock is None:
            continue
        labs.append(clock.lab_now)
        found.append(
            RecordToner(
                zone_name=lane.name,
                shade_name=clock.formula_name,
                applied_at=clock.applied_at,
                rinsed_at=clock.rinsed_at,
                planned_minutes=clock.minutes,
                minutes=clock.on_min if clock.rinsed_at else None,
                product_g=clock.product_g,
                developer_g=clock.developer_g,
                level=lane.level,
                now_hex=lane.now_hex,
                left_hex=clock.hex_now,
                wanted_hex=lane.wanted_hex,
                says=lane.says,
            )
        )
    return found, spread_of(labs) if len(labs) > 1 else None


def record_of(loaded: Loaded) -> RecordOut:
    """The record of a service as it stands; complete once it is filed."""
    now = timezone.now()
    row, state = loaded.row, loaded.state
    names = zone_names(loaded)
    live = live_events(loaded.events)
    alive = {e.event_id for e in live}
    told = sorted((e for e in loaded.events if e.kind != "EventVoided"), key=lambda e: (e.occurred_at, e.recorded_at))
    board = queries.board(loaded, state.closed_at or now)
    toners, apart = _toners(loaded, state.closed_at or now)
    return RecordOut(
        service_id=row.pk,
        client_name=row.client.name,
        starts_at=row.starts_at,
        step=state.step,
        closed_at=state.closed_at,
        worked=state.closed.worked if state.closed else "",
        change=state.closed.change if state.closed else "",
        wish=row.wish,
        tone=Tone(row.tone),
        lightener_name=row.lightener.name if row.lightener else None,
        label_max_min=row.lightener.label_max_min if row.lightener else None,
        lanes=list(board.lanes),
        bowls=[
            RecordBowl(
                at=e.occurred_at,
                zone_name=names.get(e.data.zone_key, e.data.zone_key),
                volume_strength=e.data.volume_strength,
                product_g=e.data.product_g,
                developer_g=e.data.developer_g,
                recipe=e.data.recipe,
            )
            for e in live
            if isinstance(e.data, BowlMixed)
        ],
        toners=toners,
        toned_apart=apart,
        cautions=[
            RecordCaution(code=e.data.caution, by=e.by, at=e.occurred_at)
            for e in live
            if isinstance(e.data, CautionAcknowledged)
        ],
        lines=[
            RecordLine(at=e.occurred_at, by=e.by, text=event_text(e, names), is_voided=e.event_id not in alive)
            for e in told
        ],
        walls_passed=[lane.name for lane in board.lanes if lane.is_passed_wall],
        server_now=now,
    )
