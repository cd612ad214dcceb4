"""The service card and the client's take-home sheet as PDF."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.records.paper import Sheet, Swatches
from apps.records.record import RecordLane, RecordOut, RecordReading
from apps.services.models import Service
from apps.services.visits.actions import propose_next, summary_of
from apps.services.wording import caution_name
from fervens_core.base import ON_TARGET_LEVELS, CoreError, Message, say, semicolons
from fervens_core.followup import handout, reminder_text
from fervens_core.head import ReadingMode


def _clock(at: dt.datetime | None) -> str:
    return f"{timezone.localtime(at):%H:%M}" if at else ""


def _day(at: dt.datetime) -> dt.date:
    return timezone.localdate(at)


def _minutes(value: float | None) -> Message | str:
    return "" if value is None else say("min", minutes=value)


def _lightening(sheet: Sheet, record: RecordOut) -> None:
    sheet.section(say("card-lightening"))
    sheet.table(
        [_head(x) for x in ("zone", "formula", "on", "rinsed", "planned", "ran", "levels", "")],
        [
            [
                x.name,
                say("card-formula", volume=x.volume, applications=x.applications),
                _clock(x.started_at),
                _clock(x.rinsed_at),
                _minutes(x.planned_min),
                _minutes(x.ran_min),
                _levels(x),
                Swatches([x.before_hex, x.level_hex, x.target_hex], width=52, height=12),
            ]
            for x in record.ran
        ],
        [15, 13, 7, 8, 9, 10, 17, 13],
    )


def _strands(sheet: Sheet, record: RecordOut) -> None:
    """Strand tests: each with its product, its developer and what was read."""
    sheet.section(say("card-strands"))
    sheet.table(
        [_head(x) for x in ("strand", "strength", "levels", "readings")],
        [
            [
                x.key,
                say("vol", volume=x.volume_strength),
                say("card-level", level=x.hair.start_level),
                semicolons(say("card-strand_reading", minute=r.minutes, level=r.level) for r in x.readings),
            ]
            for x in record.strands
        ],
        [10, 12, 12, 60],
    )


def service_card(record: RecordOut, paper: str) -> bytes:
    """The whole service on paper: formulas, times, readings, walls, cautions, toner.

    Args:
        paper: a4 or letter.
    """
    sheet = Sheet(say("card-title", client=record.client_name), paper)
    sheet.heading(record.client_name)
    filed = say("card-filed", at=_clock(record.closed_at)) if record.closed_at else say("card-not_filed")
    lightener = record.lightener_name or say("card-no_lightener")
    head = say("card-head", on=_day(record.starts_at), at=_clock(record.starts_at), filed=filed, lightener=lightener)
    sheet.text(head, soft=True)
    if record.wish:
        sheet.text(say("card-wish", wish=record.wish, tone=record.tone))
    if record.walls_passed:
        sheet.text(say("card-walls", lanes=record.walls_passed))
    if record.ran:
        _lightening(sheet, record)
    if record.strands:
        _strands(sheet, record)
    if record.bowls:
        sheet.section(say("card-bowls"))
        sheet.table(
            [_head(x) for x in ("mixed", "zone", "strength", "lightener", "developer", "recipe")],
            [
                [
                    _clock(b.at),
                    b.zone_name,
                    say("vol", volume=b.volume_strength),
                    say("g", grams=b.product_g),
                    say("g", grams=b.developer_g),
                    b.recipe,
                ]
                for b in record.bowls
            ],
            [8, 18, 10, 11, 11, 36],
        )
    if record.toners:
        sheet.section(say("card-toner"))
        sheet.table(
            [_head(x) for x in ("zone", "formula", "on", "planned", "ran", "grams", "")],
            [
                [
                    t.zone_name,
                    t.shade_name,
                    _clock(t.applied_at),
                    _minutes(t.planned_minutes),
                    _minutes(t.minutes) or say("card-still_on"),
                    say("card-toner_grams", product=t.product_g, developer=t.developer_g),
                    Swatches([t.now_hex, t.left_hex, t.wanted_hex], width=52, height=12),
                ]
                for t in record.toners
            ],
            [17, 24, 8, 9, 10, 15, 12],
        )
        for bowl in record.toner_bowls:
            rinses = [f"{timezone.localtime(m):%H:%M}" for m in bowl.rinsed_at]
            sheet.text(
                say(
                    "card-tone_bowl",
                    at=f"{timezone.localtime(bowl.at):%H:%M}",
                    formula=bowl.formula,
                    product=bowl.product_g,
                    developer=bowl.developer_g,
                    zones=bowl.zone_names,
                    rinses=rinses or ["-"],
                ),
                soft=True,
            )
        if record.toned_difference is not None:
            sheet.text(say("card-difference", difference=record.toned_difference), soft=True)
    if record.readings:
        sheet.section(say("card-readings"))
        sheet.text(say("card-readings_listed", readings=semicolons(_reading(r) for r in record.readings)))
    if record.cautions:
        sheet.section(say("card-cautions"))
        sheet.points(
            [say("card-caution", caution=caution_name(c.code), by=c.by, at=_clock(c.at)) for c in record.cautions], 9
        )
    sheet.section(say("card-keep"))
    sheet.text(say("card-worked", said=record.worked or say("card-nothing_noted")))
    sheet.text(say("card-change", said=record.change or say("card-nothing_noted")))
    for a in record.addenda:
        sheet.text(say("card-added", on=_day(a.at), by=a.by, said=a.text))
    contact = max((x.contact_min for x in record.ran), default=0.0)
    if record.cost is None:
        sheet.text(say("card-contact", minutes=contact), soft=True)
    else:
        cost = say("card-contact_and_cost", minutes=contact, cost=record.cost, currency=record.currency)
        sheet.text(cost, soft=True)
    sheet.gap()
    sheet.text(say("card-professional_use"), soft=True, size=8)
    return sheet.pdf(say("card-foot", client=record.client_name, on=_day(record.starts_at)))


def _head(name: str) -> Message | str:
    return say(f"card_head-{name}") if name else ""


def _levels(lane: RecordLane) -> Message:
    if lane.level is None:
        return say("card-levels_open", before=lane.before, target=lane.target)
    return say("card-levels", before=lane.before, level=lane.level, target=lane.target)


def _reading(reading: RecordReading) -> Message:
    said = {"lane": reading.zone_name, "level": reading.level, "mode": ReadingMode(reading.mode)}
    return (
        say("card-reading", **said) if reading.minute is None else say("card-reading_at", minute=reading.minute, **said)
    )


def take_home(row: Service, studio_name: str, paper: str) -> bytes:
    """The client's sheet: what was done in plain words, aftercare, what to stop; no formulas.

    Args:
        paper: a4 or letter.
    """
    summary = summary_of(row)
    lanes = summary.lanes
    try:
        visit = propose_next(row)
    except CoreError:
        visit = None
    parts = handout(
        [(x.label, x.before, x.level) for x in lanes if x.level is not None],
        tones=[t.wanted for t in summary.toners if t.wanted],
        is_short=any(x.level is not None and x.target - x.level > ON_TARGET_LEVELS for x in lanes),
        reminder=reminder_text(visit.on, is_toned=bool(summary.toners), since=visit.remind_on) if visit else None,
    )
    sheet = Sheet(say("handout-title"), paper)
    sheet.heading(say("handout-title"))
    sheet.text(say("card-foot", client=row.client.name, on=_day(row.starts_at)), soft=True, size=11)
    for part in parts:
        first = len(sheet.parts)
        sheet.section(part.title)
        sheet.points(part.lines)
        sheet.together(first)
    if visit:
        sheet.section(say("handout-again"))
        sheet.points([say("handout-on_or_about", on=visit.on)])
    return sheet.pdf(studio_name)
