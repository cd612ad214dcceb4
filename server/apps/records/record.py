"""A service's record, made from its log."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence
from uuid import UUID

from django.utils import timezone
from ninja import Schema

from apps.common.words import Words
from apps.services import loading
from apps.services.chair import queries as chair_queries
from apps.services.consultation.present import strands_out
from apps.services.consultation.schemas import StrandOut
from apps.services.loading import Loaded
from apps.services.models import Service
from apps.services.schemas import UndoOut
from apps.services.tone import queries as tone_queries
from apps.services.wording import caution_name, event_text, formula_text, lane_at, undo_of, zone_names
from fervens_core.basin import read_zones
from fervens_core.chair import Lane, lane_contact, minutes_between
from fervens_core.colour import hair_hex, seen_hex
from fervens_core.head import Tone
from fervens_core.log import (
    SHADOW,
    BowlMixed,
    CautionAcknowledged,
    ReadingTaken,
    Step,
    ToneBowlApplied,
    TonerApplied,
    live_events,
)


class RecordLine(Schema):
    """One line of the log in plain words."""

    at: dt.datetime
    by: str
    text: Words
    is_voided: bool


class RecordBowl(Schema):
    """A bowl as it was weighed."""

    at: dt.datetime
    zone_name: Words
    volume_strength: float
    product_g: float
    developer_g: float
    recipe: str


class RecordToner(Schema):
    """A toner as it was applied."""

    zone_name: Words
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
    says: Words


class RecordCaution(Schema):
    """Who took a caution on, and when."""

    code: str
    name: Words
    by: str
    at: dt.datetime


class RecordToneBowl(Schema):
    """A bowl of toner as it went on: what was in it, on which parts in which order, and when they were rinsed."""

    at: dt.datetime
    formula: Words
    product_g: float
    developer_g: float
    zone_names: list[Words]
    rinsed_at: list[dt.datetime]


class RecordLane(Schema):
    """A lane as it ran beside what was planned, min; `level` reached, read or the model's; `after_hex` with toner."""

    key: str
    zone_key: str
    areas: list[str]
    name: Words
    volume: float
    planned_volume: float | None
    applications: int
    started_at: dt.datetime
    rinsed_at: dt.datetime | None
    planned_min: float | None
    ran_min: float | None
    before: float
    level: float | None
    target: float
    before_hex: str
    level_hex: str
    target_hex: str
    after_hex: str
    contact_min: float


class RecordReading(Schema):
    """A reading: min since the zone's application ended."""

    zone_name: Words
    at: dt.datetime
    minute: float | None
    level: float
    mode: str
    by: str
    lab: list[float]


class RecordAddendum(Schema):
    """What was added after filing."""

    at: dt.datetime
    by: str
    text: str


class RecordPhoto(Schema):
    """A photo; the picture itself is fetched by its id."""

    id: UUID
    kind: str
    caption: str
    width: int
    height: int
    at: dt.datetime
    by: str


class RecordUse(Schema):
    """What was taken from the shelf, g, and what it cost."""

    name: str
    grams: float
    cost: float | None


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
    toner_bowls: list[RecordToneBowl]
    toned_difference: float | None
    cautions: list[RecordCaution]
    lines: list[RecordLine]
    walls_passed: list[Words]
    ran: list[RecordLane]
    readings: list[RecordReading]
    strands: list[StrandOut]
    addenda: list[RecordAddendum]
    photos: list[RecordPhoto]
    uses: list[RecordUse]
    cost: float | None
    currency: str
    client_id: UUID
    undo: UndoOut | None
    server_now: dt.datetime


def _toners(loaded: Loaded, now: dt.datetime) -> tuple[list[RecordToner], float | None, dict[str, str]]:
    """The toners as they were put on, how far the parts ended from their wishes on the mean, and what each left."""
    step = tone_queries.tone(loaded, now)
    found, away, left = [], [], {}
    for lane in step.lanes if step else ():
        clock = lane.toner
        if clock is None:
            continue
        away.append(lane.difference)
        if not lane.part:
            left[lane.key] = clock.hex_now
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
    return found, sum(away) / len(away) if away else None, left


def _toner_bowls(loaded: Loaded) -> list[RecordToneBowl]:
    """Every bowl of toner that went on, in the order of the log."""
    names = zone_names(loaded)
    rinsed = {}
    for lane in loaded.state.toned:
        for toner, lane_id in ((lane.toner, lane.key), (lane.shadow, f"{lane.key}~{SHADOW}")):
            if toner is not None:
                rinsed[lane_id] = toner.rinsed_at
    found = []
    for event in live_events(loaded.events):
        data = event.data
        if isinstance(data, ToneBowlApplied):
            ids = [p.id for p in data.parts]
            grams = sum(p.product_g for p in data.parts), sum(p.developer_g for p in data.parts)
        elif isinstance(data, TonerApplied):
            ids, grams = [data.zone_key + (f"~{SHADOW}" if data.part else "")], (data.product_g, data.developer_g)
        else:
            continue
        found.append(
            RecordToneBowl(
                at=event.occurred_at,
                formula=formula_text(data),
                product_g=grams[0],
                developer_g=grams[1],
                zone_names=[lane_at(i, names) for i in ids],
                rinsed_at=sorted({m for i in ids if (m := rinsed.get(i))}),
            )
        )
    return found


def _ran(loaded: Loaded, lanes: Sequence[Lane], at: dt.datetime, toned: dict[str, str]) -> list[RecordLane]:
    """Lanes as they ran beside the plan that was taken; `toned`: what toner left, by lane."""
    there = loading.chair(loaded, at)
    if there is None:
        return []
    plan = loaded.state.plan
    planned: dict[str, tuple[float, float, float]] = {}
    if plan and plan.starts_min and plan.rinses_min:
        times = zip(plan.starts_min, plan.rinses_min, plan.volumes, strict=True)
        planned = dict(zip(plan.zone_keys, times, strict=True))
    reads = {r.lane.key: r for r in read_zones(there)}
    found = []
    for lane in lanes:
        own = loaded.state.lane(lane.key)
        if own.started_at is None:
            continue
        zone, read = there.zones[lane.key], reads.get(lane.key)
        start, end, volume = planned.get(lane.key, (None, None, None))
        ran = minutes_between(own.started_at, own.rinsed_at) if own.rinsed_at else None
        level_hex = seen_hex(read.result.lab) if read else lane.hex_now
        found.append(
            RecordLane(
                key=lane.key,
                zone_key=zone.zone_key,
                areas=list(zone.areas or (zone.zone_key,)),
                name=lane.name,
                volume=lane.volume_strength,
                planned_volume=volume,
                applications=lane.application_count,
                started_at=own.started_at,
                rinsed_at=own.rinsed_at,
                planned_min=None if start is None or end is None else end - start,
                ran_min=ran,
                before=zone.hair.start_level,
                level=read.result.level if read else lane.level_now.likely,
                target=zone.target_level,
                before_hex=hair_hex(zone.hair.colour_start, [zone.hair.start_level])[0],
                level_hex=level_hex,
                after_hex=toned.get(lane.key, level_hex),
                target_hex=lane.hex_target,
                contact_min=lane_contact(there, own).minutes,
            )
        )
    return found


def readings_of(loaded: Loaded) -> list[RecordReading]:
    """Every reading that stands, in the order it was taken."""
    names = zone_names(loaded)
    zeros = {x.key: x.finished_at for x in loaded.state.lanes}
    found = []
    for e in live_events(loaded.events):
        if not isinstance(e.data, ReadingTaken):
            continue
        for key in e.data.keys:
            zero = zeros.get(key)
            found.append(
                RecordReading(
                    zone_name=names.get(key, key),
                    at=e.occurred_at,
                    minute=minutes_between(zero, e.occurred_at) if zero else None,
                    level=e.data.level,
                    mode=e.data.mode.value,
                    by=e.by,
                    lab=list(e.data.lab),
                )
            )
    return found


def _uses(row: Service) -> list[RecordUse]:
    """What the service took from the shelf, by product."""
    found: dict[str, RecordUse] = {}
    for use in row.uses.all():
        own = found.setdefault(use.name, RecordUse(name=use.name, grams=0.0, cost=None))
        own.grams += use.grams
        if use.cost is not None:
            own.cost = (own.cost or 0.0) + use.cost
    return list(found.values())


def record_of(loaded: Loaded) -> RecordOut:
    """The record of a service as it stands; complete once it is filed."""
    now = timezone.now()
    row, state = loaded.row, loaded.state
    names = zone_names(loaded)
    live = live_events(loaded.events)
    alive = {e.event_id for e in live}
    told = sorted((e for e in loaded.events if e.kind != "EventVoided"), key=lambda e: (e.occurred_at, e.recorded_at))
    board = chair_queries.board(loaded, state.closed_at or now)
    toners, difference, left = _toners(loaded, state.closed_at or now)
    uses = _uses(row)
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
        lightener_name=loaded.lightener.name if loaded.lightener else None,
        label_max_min=loaded.lightener.label_max_min if loaded.lightener else None,
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
        toner_bowls=_toner_bowls(loaded),
        toned_difference=difference,
        cautions=[
            RecordCaution(name=caution_name(e.data.caution), code=e.data.caution, by=e.by, at=e.occurred_at)
            for e in live
            if isinstance(e.data, CautionAcknowledged)
        ],
        lines=[
            RecordLine(at=e.occurred_at, by=e.by, text=event_text(e, names), is_voided=e.event_id not in alive)
            for e in told
        ],
        walls_passed=[lane.name for lane in board.lanes if lane.is_passed_wall],
        ran=_ran(loaded, board.lanes, state.closed_at or now, left),
        readings=readings_of(loaded),
        strands=strands_out(loaded.strands),
        addenda=[RecordAddendum(at=a.at, by=a.by_name, text=a.text) for a in row.addenda.all()],
        photos=[
            RecordPhoto(id=p.pk, kind=p.kind, caption=p.caption, width=p.width, height=p.height, at=p.at, by=p.by_name)
            for p in row.photos.defer("jpeg")
        ],
        uses=uses,
        cost=sum(priced) if (priced := [u.cost for u in uses if u.cost is not None]) else None,
        currency=row.studio.currency,
        client_id=row.client_id,
        undo=undo_of(loaded),
        server_now=now,
    )
