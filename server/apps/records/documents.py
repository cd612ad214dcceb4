"""The service card and the client's take-home sheet as PDF."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.records.paper import Sheet, Swatches
from apps.records.record import RecordOut
from apps.services.models import Service
from apps.services.visits.actions import propose_next, summary_of
from fervens_core.base import ON_TARGET_LEVELS, CoreError
from fervens_core.followup import handout, reminder_text

CAUTION = (
    "Professional use. The product's label, the safety data sheet, local codes and licensing come first; where they "
    "differ from this card, they win."
)


def _clock(at: dt.datetime | None) -> str:
    return f"{timezone.localtime(at):%H:%M}" if at else ""


def _day(at: dt.datetime) -> str:
    local = timezone.localtime(at)
    return f"{local.day} {local:%B %Y}"


def _minutes(value: float | None) -> str:
    return "" if value is None else f"{value:.0f} min"


def service_card(record: RecordOut, paper: str) -> bytes:
    """The whole service on paper: formulas, times, readings, walls, cautions, toner.

    Args:
        paper: a4 or letter.
    """
    sheet = Sheet(f"Service card, {record.client_name}", paper)
    sheet.heading(record.client_name)
    filed = f"filed {_clock(record.closed_at)}" if record.closed_at else "not filed yet"
    lightener = record.lightener_name or "no lightener"
    sheet.text(f"{_day(record.starts_at)}, {_clock(record.starts_at)}, {filed}. {lightener}.", soft=True)
    if record.wish:
        sheet.text(f"Wish: {record.wish} ({record.tone.value})")
    if record.walls_passed:
        sheet.text(f"Past the label's time: {', '.join(record.walls_passed)}.")
    sheet.section("Lightening")
    sheet.table(
        ["Zone", "Formula", "On", "Rinsed", "Planned", "As it ran", "From, to, wanted", ""],
        [
            [
                x.name,
                f"{x.volume:g} vol" + (f", {x.applications} applications" if x.applications > 1 else ""),
                _clock(x.started_at),
                _clock(x.rinsed_at),
                _minutes(x.planned_min),
                _minutes(x.ran_min),
                f"{x.before:g} → {'' if x.level is None else f'{x.level:.1f}'} ({x.target:g})",
                Swatches([x.before_hex, x.level_hex, x.target_hex], width=52, height=12),
            ]
            for x in record.ran
        ],
        [15, 13, 7, 8, 9, 10, 17, 13],
    )
    if record.bowls:
        sheet.section("Bowls")
        sheet.table(
            ["Mixed", "Zone", "Strength", "Lightener", "Developer", "Recipe"],
            [
                [
                    _clock(b.at),
                    b.zone_name,
                    f"{b.volume_strength:g} vol",
                    f"{b.product_g:.0f} g",
                    f"{b.developer_g:.0f} g",
                    b.recipe,
                ]
                for b in record.bowls
            ],
            [8, 18, 10, 11, 11, 36],
        )
    if record.toners:
        sheet.section("Toner")
        sheet.table(
            ["Zone", "Formula", "On", "Planned", "As it ran", "Grams", ""],
            [
                [
                    t.zone_name,
                    t.shade_name,
                    _clock(t.applied_at),
                    _minutes(t.planned_minutes),
                    _minutes(t.minutes) or "still on",
                    f"{t.product_g:.0f} g + {t.developer_g:.0f} g",
                    Swatches([t.now_hex, t.left_hex, t.wanted_hex], width=52, height=12),
                ]
                for t in record.toners
            ],
            [17, 24, 8, 9, 10, 15, 12],
        )
        if record.toned_apart is not None:
            sheet.text(f"Zones ended {record.toned_apart:.1f} apart (CIEDE2000, the two farthest).", soft=True)
    if record.readings:
        sheet.section("Readings")
        sheet.text(
            "; ".join(
                f"{r.zone_name} {r.level:g}"
                + ("" if r.minute is None else f" at {r.minute:.0f} min")
                + f" ({r.mode.replace('_', ' ')})"
                for r in record.readings
            )
            + "."
        )
    if record.cautions:
        sheet.section("Cautions taken on")
        sheet.points([f"{c.code.replace('_', ' ').capitalize()}: {c.by}, {_clock(c.at)}" for c in record.cautions], 9)
    sheet.section("What to keep")
    sheet.text(f"Worked: {record.worked or 'nothing noted'}")
    sheet.text(f"Change next time: {record.change or 'nothing noted'}")
    for a in record.addenda:
        sheet.text(f"Added {_day(a.at)} by {a.by}: {a.text}")
    facts = [f"Longest contact {max((x.contact_min for x in record.ran), default=0.0):.0f} min"]
    if record.cost is not None:
        facts.append(f"product {record.cost:.2f} {record.currency}")
    sheet.text(", ".join(facts) + ".", soft=True)
    sheet.gap()
    sheet.text(CAUTION, soft=True, size=8)
    return sheet.pdf(f"{record.client_name}, {_day(record.starts_at)}")


def take_home(row: Service, studio_name: str, paper: str) -> bytes:
    """The client's sheet: what was done in plain words, aftercare, what to stop; no formulas.

    Args:
        paper: a4 or letter.
    """
    summary = summary_of(row)
    lanes = summary["lanes"]
    try:
        visit = propose_next(row)
    except CoreError:
        visit = None
    toned = {"icy": "an icy white", "cool": "a cool tone", "neutral": "a neutral tone", "beige": "a beige"}
    parts = handout(
        [(x["name"], x["before"], x["level"]) for x in lanes if x["level"] is not None],
        tones=[toned.get(t["wanted"], f"a {t['wanted']} tone") for t in summary["toners"] if t["wanted"]],
        is_short=any(x["level"] is not None and x["target"] - x["level"] > ON_TARGET_LEVELS for x in lanes),
        reminder=reminder_text(visit.on, is_toned=bool(summary["toners"]), since=visit.remind_on) if visit else None,
    )
    sheet = Sheet("For you to take home", paper)
    sheet.heading("For you to take home")
    sheet.text(f"{row.client.name}, {_day(row.starts_at)}", soft=True, size=11)
    for part in parts:
        first = len(sheet.parts)
        sheet.section(part.title)
        sheet.points(part.lines)
        sheet.together(first)
    if visit:
        sheet.section("We propose to see you again")
        sheet.points([f"On or about {visit.on.day} {visit.on:%B %Y}."])
    return sheet.pdf(studio_name)
