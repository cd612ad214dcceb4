"""Strand tests as CSV, one reading a line; docs/format/strand-test-csv.md."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from fervens_core.base import LimitError, check_range, say
from fervens_core.formats.cells import cell, read_table, table
from fervens_core.head import Covering, Hair, Lightener, ReadingMode
from fervens_core.lift import STRANDS_MAX, Strand, StrandReading

COLUMNS = (
    "strand",
    "zone",
    "lightener",
    "volume_vol",
    "additive",
    "covering",
    "start_level",
    "stretch_before_percent",
    "stretch_after_percent",
    "minute",
    "level",
    "mode",
)
CSV_MAX_CHARS = 100_000


def _number(value: float | None) -> str:
    return "" if value is None else f"{value:g}"


def strands_to_csv(strands: tuple[Strand, ...]) -> str:
    """CSV of strands, RFC 4180 line ends; a strand without readings has one line with empty minute, level and mode."""
    rows: list[list[str]] = []
    for s in strands:
        head = [
            cell(s.key),
            cell(s.zone_key),
            cell(s.lightener.name),
            _number(s.volume_strength),
            "yes" if s.has_additive else "no",
            s.covering.value,
            _number(s.hair.start_level),
            _number(s.stretch_before_percent),
            _number(s.stretch_after_percent),
        ]
        for r in s.readings:
            rows.append([*head, _number(r.minutes), _number(r.level), r.mode.value])
        if not s.readings:
            rows.append([*head, "", "", ""])
    return table(COLUMNS, rows)


def _parse(line: int, row: Mapping[str, str | None], column: str, low: float, high: float) -> float | None:
    text = (row[column] or "").strip()
    if not text:
        return None
    try:
        value = float(text)
    except ValueError:
        raise LimitError(
            f"line {line}, {column}", say("limit-range", low=low, high=high, unit="none"), text[:40]
        ) from None
    return check_range(f"line {line}, {column}", value, low, high)


def _choice(line: int, row: Mapping[str, str | None], column: str, allowed: list[str], default: str) -> str:
    text = (row[column] or "").strip() or default
    if text not in allowed:
        raise LimitError(f"line {line}, {column}", say("limit-one_of", known=tuple(allowed)), text[:40])
    return text


def strands_from_csv(text: str, lighteners: Mapping[str, Lightener]) -> tuple[Strand, ...]:
    """Strands of a CSV; all or nothing.

    Args:
        text: with the header line; columns in any order, unknown ones refused.
        lighteners: the shelf's, by name.
    Raises:
        LimitError: naming the line, the column, the limit and the value.
    """
    made: dict[str, Strand] = {}
    for line, row in read_table(text, COLUMNS, CSV_MAX_CHARS):
        _take_row(line, row, lighteners, made)
    if len(made) > STRANDS_MAX:
        raise LimitError("strand", say("limit-most_strands", most=STRANDS_MAX), len(made))
    return tuple(made.values())


def _take_row(
    line: int, row: Mapping[str, str | None], lighteners: Mapping[str, Lightener], made: dict[str, Strand]
) -> None:
    key, name = ((row[c] or "").strip().removeprefix("'") for c in ("strand", "lightener"))
    if name not in lighteners:
        raise LimitError(
            f"line {line}, lightener",
            say("limit-one_of", known=tuple(lighteners) or (say("limit-none_on_shelf"),)),
            name[:80],
        )
    start, volume = _parse(line, row, "start_level", 1, 10), _parse(line, row, "volume_vol", 0.5, 40)
    if start is None or volume is None:
        missing = "start_level" if start is None else "volume_vol"
        raise LimitError(f"line {line}, {missing}", say("limit-given"), "")
    try:
        strand = Strand(
            key=key,
            zone_key=(row["zone"] or "").strip().removeprefix("'")[:40],
            hair=made[key].hair if key in made else Hair(start),
            lightener=lighteners[name],
            volume_strength=volume,
            covering=Covering(_choice(line, row, "covering", [c.value for c in Covering], "foil")),
            has_additive=_choice(line, row, "additive", ["yes", "no"], "no") == "yes",
            stretch_before_percent=_parse(line, row, "stretch_before_percent", 0, 200),
            stretch_after_percent=_parse(line, row, "stretch_after_percent", 0, 200),
        )
    except LimitError as error:
        if error.field.startswith("line"):
            raise
        raise LimitError(f"line {line}, {error.field}", error.limit, error.value) from error
    before = made.get(key, strand)
    if replace(before, readings=()) != strand:
        raise LimitError(f"line {line}, strand", say("limit-same_facts", strand=key), "others")
    minute, level = _parse(line, row, "minute", 0, 180), _parse(line, row, "level", 1, 10)
    if (minute is None) != (level is None):
        raise LimitError(f"line {line}", say("limit-minute_and_level"), (minute, level))
    readings = before.readings
    if minute is not None and level is not None:
        mode = ReadingMode(_choice(line, row, "mode", [m.value for m in ReadingMode], "wiped"))
        readings = (*readings, StrandReading(minute, level, mode))
    try:
        made[key] = replace(before, readings=readings)
    except LimitError as error:
        raise LimitError(f"line {line}, {error.field}", error.limit, error.value) from error
