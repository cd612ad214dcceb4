"""The service card and the client's take-home sheet as PDF."""

from __future__ import annotations

import datetime as dt
from collections.abc import Sequence

from django.utils import timezone
from django.utils.safestring import SafeString

from apps.common.paper import Sheet, label, swatches, under
from apps.common.words import in_words
from apps.records.drawing import Bead, Strand, hanging, in_place, strip
from apps.records.record import RecordLane, RecordOut, RecordReading, record_of
from apps.services import loading
from apps.services.loading import Loaded
from apps.services.models import Service
from apps.services.plan.schemas import BowlOut, PlanOut
from apps.services.visits.actions import propose_next, summary_of
from apps.services.wording import caution_name
from fervens_core.base import ON_TARGET_LEVELS, CoreError, Message, say, semicolons
from fervens_core.chair import Lane
from fervens_core.followup import handout, reminder_text
from fervens_core.head import ReadingMode, Tone, across


def _clock(at: dt.datetime | None) -> str:
    return f"{timezone.localtime(at):%H:%M}" if at else ""


def _day(at: dt.datetime) -> dt.date:
    return timezone.localdate(at)


def _minutes(value: float | None) -> Message | str:
    return "" if value is None else say("min", minutes=value)


STRIP_MM = 92.0
HEAD_MM = 44.0
NUMBERED_MOST = 24
"""More strands than these have no room for figures on paper."""


def _hung(record: RecordOut) -> list[Strand]:
    """Lanes as they hang from the head: from what the hair was to what it was lifted to, tips as toned."""
    ran = {x.key: x for x in record.ran}
    numbers = {lane.key: str(i + 1) for i, lane in enumerate(record.lanes)}
    strands = []
    for lane in in_place(record.lanes):
        told = ran.get(lane.key)
        if told is None:
            continue
        lifted = [told.before_hex, *(p.hex for p in lane.curve[:: max(1, len(lane.curve) // 8)]), told.level_hex]
        toned = [told.after_hex] * 3 if told.after_hex and told.after_hex != told.level_hex else [told.level_hex]
        level = "" if told.level is None else in_words(say("card-level_alone", level=round(told.level, 1)))
        strands.append(Strand([*lifted, *toned], numbers[lane.key], level))
    return strands


def _axis(lanes: Sequence[Lane]) -> tuple[dt.datetime, tuple[float, float]]:
    first = min(lane.started_at for lane in lanes)
    last = max((lane.zero_at - first).total_seconds() / 60.0 + lane.end_min for lane in lanes)
    return first, (-1.0, last + 2.0)


def _lightening(sheet: Sheet, record: RecordOut) -> None:
    """Lanes as they ran: painted over one axis of time, with their readings, formulas and clocks."""
    sheet.section(say("card-lightening"))
    lanes = {lane.key: lane for lane in record.lanes}
    numbers = {lane.key: i + 1 for i, lane in enumerate(record.lanes)}
    first, axis = _axis(record.lanes)

    def painted(key: str) -> SafeString:
        lane = lanes[key]
        zero = (lane.zero_at - first).total_seconds() / 60.0
        return strip(
            lane.curve,
            axis=axis,
            zero=zero,
            started=(lane.started_at - first).total_seconds() / 60.0,
            end=zero + lane.end_min,
            wall=zero + lane.wall_min if lane.is_passed_wall else None,
            beads=[
                Bead(r.minute, in_words(say("card-level_alone", level=r.level)), r.hex)
                for r in lane.readings
                if 0.0 <= r.minute <= lane.end_min
            ],
            width=STRIP_MM,
        )

    sheet.table(
        [_head(x) for x in ("zone", "formula", "painted", "levels")],
        [
            [
                say("card-numbered", number=numbers[x.key], lane=x.name),
                say("card-formula", volume=x.volume, applications=x.applications),
                under(
                    painted(x.key),
                    say(
                        "card-clocks",
                        on=_clock(x.started_at),
                        rinsed=_clock(x.rinsed_at) or "-",
                        ran=_minutes(x.ran_min) or "-",
                        planned=_minutes(x.planned_min) or "-",
                    ),
                ),
                _levels(x),
            ]
            for x in record.ran
        ],
        [34, 22, STRIP_MM + 4, 28],
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
        if len(record.ran) <= NUMBERED_MOST:
            sheet.drawing(hanging(_hung(record), width=sheet.width, height=HEAD_MM))
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
                    swatches([t.now_hex, t.left_hex, t.wanted_hex]),
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
            [say("card-caution", caution=caution_name(c.code), by=c.by, at=_clock(c.at)) for c in record.cautions]
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
    sheet.text(say("card-professional_use"), soft=True, kind="small")
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
    sheet.text(say("card-foot", client=row.client.name, on=_day(row.starts_at)), soft=True, kind="large")
    hung = _hung(record_of(loading.load(row)))
    if 0 < len(hung) <= NUMBERED_MOST:
        # what was done is for her eyes: no figures
        sheet.drawing(hanging([Strand(s.hexes, "", "") for s in hung], width=sheet.width, height=52.0))
    for part in parts:
        first = len(sheet.parts)
        sheet.section(part.title)
        sheet.points(part.lines)
        sheet.together(first)
    if visit:
        sheet.section(say("handout-again"))
        sheet.points([say("handout-on_or_about", on=visit.on)])
    return sheet.pdf(studio_name)


def trolley_sheet(loaded: Loaded, plan: PlanOut, paper: str) -> bytes:
    """The plan for the trolley: the head, lanes painted in the order of hands, the mixing list, strips for the bowls.

    Args:
        paper: a4 or letter.
    """
    row, lightener = loaded.row, loaded.lightener
    sheet = Sheet(say("trolley-title", client=row.client.name), paper)
    sheet.heading(row.client.name)
    sheet.text(
        say(
            "trolley-head",
            on=_day(row.starts_at),
            lightener=lightener.name if lightener else say("card-no_lightener"),
            label=lightener.label_max_min if lightener else 0.0,
            chair=plan.chair_min,
        ),
        soft=True,
    )
    if row.wish:
        sheet.text(say("card-wish", wish=row.wish, tone=Tone(row.tone)))
    zones = {z.key: z for z in loaded.zones}
    ordered = sorted(plan.lanes, key=lambda x: across(zones[x.zone_key]) if x.zone_key in zones else 0.0)
    numbers = {x.key: i + 1 for i, x in enumerate(plan.lanes)}
    if 0 < len(ordered) <= NUMBERED_MOST:
        hung = [
            Strand(
                [p.hex for p in x.curve[:: max(1, len(x.curve) // 10)] if p.minute <= x.minutes_on] + [x.hex_at_rinse],
                str(numbers[x.key]),
                in_words(say("card-level_alone", level=x.volume_strength)),
            )
            for x in ordered
        ]
        sheet.drawing(hanging(hung, width=sheet.width, height=HEAD_MM))
    sheet.section(say("trolley-order"))
    axis = (-1.0, max((x.wall_min for x in plan.lanes), default=60.0) + 2.0)
    sheet.table(
        [say("card_head-zone"), say("card_head-strength"), say("card_head-painted"), say("trolley_head-rinse")],
        [
            [
                say("card-numbered", number=numbers[x.key], lane=x.name),
                say("vol", volume=x.volume_strength),
                strip(
                    x.curve,
                    axis=axis,
                    zero=x.end_min,
                    started=x.start_min,
                    end=x.rinse_min,
                    wall=x.wall_min,
                    width=STRIP_MM,
                    height=6.0,
                ),
                say("min", minutes=x.rinse_min),
            ]
            for x in plan.lanes
        ],
        [36, 16, STRIP_MM + 4, 18],
    )
    sheet.text(say("trolley-minutes"), soft=True, kind="small")
    sheet.section(say("trolley-mixing"))

    def poured(bowl: BowlOut) -> str:
        return " + ".join(in_words(say("card-pour", grams=p.mass_g, volume=p.volume_strength)) for p in bowl.pours)

    sheet.table(
        [
            say("trolley_head-minute"),
            say("trolley_head-for"),
            say("card_head-lightener"),
            say("card_head-developer"),
            say("trolley_head-makes"),
        ],
        [
            [
                say("min", minutes=b.mix_min),
                ", ".join(in_words(f.lane_name) for f in b.fills),
                say("card-of", grams=b.lightener_g, name=b.lightener_name),
                poured(b),
                say("card-pour", grams=b.total_g, volume=round(b.volume_strength, 1)),
            ]
            for b in plan.bowls
        ],
        [12, 50, 34, 44, 26],
    )
    if plan.bowls:
        sheet.section(say("trolley-cut"))
        sheet.labels(
            label(
                say("trolley-bowl", number=b.number, volume=round(b.volume_strength, 1)),
                [
                    f"{in_words(say('card-of', grams=b.lightener_g, name=b.lightener_name))} + {poured(b)}",
                    ", ".join(in_words(f.lane_name) for f in b.fills),
                ],
                say("trolley-mixed_at", life=b.life_min),
            )
            for b in plan.bowls
        )
    sheet.text(say("card-professional_use"), soft=True, kind="small")
    return sheet.pdf(say("card-foot", client=row.client.name, on=_day(row.starts_at)))
