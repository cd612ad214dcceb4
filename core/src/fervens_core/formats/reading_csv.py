"""Readings of a service as CSV, one a line; docs/format/reading-csv.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime

from fervens_core.formats.cells import cell, table

COLUMNS = ("zone", "at", "minute", "level", "mode", "lightness", "a", "b", "by")


@dataclass(frozen=True, slots=True)
class ReadingLine:
    """A reading as a line has it: min since the zone's first application ended, empty before."""

    zone: str
    at: datetime
    minute: float | None
    level: float
    mode: str
    lab: tuple[float, ...]
    by: str


def readings_to_csv(lines: Sequence[ReadingLine]) -> str:
    """CSV of readings in the order they were taken."""
    rows = [
        [
            cell(r.zone),
            r.at.isoformat(timespec="seconds"),
            "" if r.minute is None else f"{r.minute:.1f}",
            f"{r.level:g}",
            r.mode,
            *([f"{v:.2f}" for v in r.lab] if len(r.lab) == 3 else ["", "", ""]),
            cell(r.by),
        ]
        for r in lines
    ]
    return table(COLUMNS, rows)
