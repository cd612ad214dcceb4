"""A shelf as CSV, a product a line, and as a file that studios hand one another; docs/format/shelf.md."""

from __future__ import annotations

import json
import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from fervens_core.base import CoreError, LimitError, plain, read, say
from fervens_core.formats.cells import cell, read_table, table
from fervens_core.formats.cells import plain as text_of
from fervens_core.formats.client_csv import LineProblem
from fervens_core.head import USUAL_TONER_MIX, Developer, DyeFamily, Lightener, TonerShade
from fervens_core.toning import dyes_of_measured

Product = Lightener | Developer | TonerShade
KINDS: dict[str, type[Product]] = {"lightener": Lightener, "developer": Developer, "toner": TonerShade}
NUMBERS = (
    "volume_strength", "level", "developer_parts", "developer_volume", "label_min_min", "label_max_min", "max_volume",
    "max_volume_on_scalp", "bowl_life_min", "patch_test_wait_h", "max_applications",
)  # fmt: skip
FLAGS = ("is_dark", "is_heat_allowed", "counts_from_end", "is_oxidative")
STOCK = ("stock_g", "low_g", "price_per_g")
COLUMNS = ("kind", "name", *NUMBERS, *FLAGS, "use", "dyes", "measured", *STOCK)
CHARS_MAX, LINES_MAX, OFF_MAX = 1_500_000, 1_500, 12.0
FORMAT, VERSION = "fervens-shelf", 1


@dataclass(frozen=True, slots=True)
class ShelfLine:
    """A product as a line has it, with what is left of it (g) and its price a gram, where that is counted."""

    kind: str
    product: Product
    stock_g: float | None = None
    low_g: float | None = None
    price_per_g: float | None = None


@dataclass(frozen=True, slots=True)
class ShelfTable:
    """What a shelf comes to: lines that can be taken, and what is wrong with the others."""

    lines: tuple[ShelfLine, ...]
    problems: tuple[LineProblem, ...]


def _number(column: str, text: str) -> float:
    try:
        found = float(text.replace(",", "."))
    except ValueError:
        found = math.nan
    if not math.isfinite(found):
        raise LimitError(column, say("limit-number"), text[:40])
    return found


def _dyes(text: str) -> dict[str, float]:
    """Families and their shares: "violet 60, blue 40", or one alone."""
    found: dict[str, float] = {}
    for part in text.replace(";", ",").split(","):
        words = part.split()
        if not words:
            continue
        family = words[0].lower()
        if family not in [f.value for f in DyeFamily] or len(words) > 2:
            raise LimitError("dyes", say("limit-one_of", known=tuple(f.value for f in DyeFamily)), part.strip()[:40])
        found[family] = _number("dyes", words[1].rstrip("%")) if len(words) == 2 else 100.0
    total = sum(found.values())
    if total <= 0.0 or min(found.values()) < 0.0:
        raise LimitError("dyes", say("limit-one_dye_family"), text[:40])
    return {family: round(share / total, 4) for family, share in found.items()}


def _measured(values: dict[str, Any], text: str) -> None:
    """The dyes of a shade that only its colour is known of."""
    numbers = [_number("measured", x) for x in text.replace(";", " ").split()]
    if len(numbers) != 3 or not 0.0 <= numbers[0] <= 100.0 or max(map(abs, numbers[1:])) > 150.0:
        raise LimitError("measured", say("limit-lab"), text[:40])
    level, dyes, off = dyes_of_measured((numbers[0], numbers[1], numbers[2]), values.get("level"))
    if off > OFF_MAX:
        raise LimitError("measured", say("limit-a_shade"), text[:40])
    values["level"] = level
    values["dyes"] = {family.value: share for family, share in dyes}


def _line(cells: dict[str, str]) -> ShelfLine:
    told = {c: text_of(cells[c]) for c in COLUMNS}
    kind = told["kind"].lower()
    if kind not in KINDS:
        raise LimitError("kind", say("limit-one_of", known=tuple(KINDS)), told["kind"][:40])
    values: dict[str, Any] = {"key": "new", "name": told["name"]}
    for column in NUMBERS:
        if told[column]:
            number = _number(column, told[column])
            values[column] = int(number) if column == "max_applications" and number == int(number) else number
    for column in FLAGS:
        if told[column]:
            if told[column].lower() not in ("yes", "no"):
                raise LimitError(column, say("limit-yes_no"), told[column][:40])
            values[column] = told[column].lower() == "yes"
    if told["use"]:
        values["use"] = told["use"].lower()
    if told["dyes"]:
        values["dyes"] = _dyes(told["dyes"])
    if kind == "toner":
        if told["measured"] and not told["dyes"]:
            _measured(values, told["measured"])
        if values.get("is_oxidative", True):
            values = USUAL_TONER_MIX | values
        values.setdefault("label_max_min", 20.0)
    if kind == "lightener":
        values.setdefault("developer_parts", 1.5)
        values.setdefault("label_max_min", 50.0)
    stock = {c: _number(c, told[c]) if told[c] else None for c in STOCK}
    return ShelfLine(kind, read(KINDS[kind], values), **stock)


def shelf_from_csv(text: str) -> ShelfTable:
    """Products of a CSV, with everything that is wrong line by line.

    Raises:
        LimitError: too long, other columns or a line with other cells. CoreError: not CSV.
    """
    lines: list[ShelfLine] = []
    problems: list[LineProblem] = []
    for number, cells in read_table(text, COLUMNS, CHARS_MAX):
        if len(lines) + len(problems) >= LINES_MAX:
            raise LimitError(f"line {number}", say("limit-most_lines", most=LINES_MAX), number)
        try:
            lines.append(_line(cells))
        except LimitError as error:
            problems.append(LineProblem(number, error.field, error.limit, str(error.value)[:60]))
    return ShelfTable(tuple(lines), tuple(problems))


def _said(column: str, value: Any) -> str:
    if value is None:
        return ""
    if isinstance(value, bool):
        return "yes" if value else "no"
    if column == "dyes":
        return ", ".join(f"{family.value} {share * 100:g}" for family, share in value)
    return f"{value:g}" if isinstance(value, int | float) else str(value)


def shelf_to_csv(lines: Sequence[ShelfLine]) -> str:
    """CSV of a shelf; what a studio's own services taught of a product stays there."""
    rows = []
    for line in lines:
        own = {"kind": line.kind, **{c: getattr(line, c) for c in STOCK}}
        values = [own.get(c, getattr(line.product, c, None)) for c in COLUMNS]
        rows.append([cell(_said(c, v)) for c, v in zip(COLUMNS, values, strict=True)])
    return table(COLUMNS, rows)


_UNTOLD = ("key", "lift_factor", "rate_factor", "learnt")


def shelf_to_file(lines: Sequence[ShelfLine]) -> dict[str, Any]:
    """A shelf as a document for another studio: labels only, no stock, no prices, nothing that was learnt."""
    found: dict[str, Any] = {"format": FORMAT, "version": VERSION} | {f"{k}s": [] for k in KINDS}
    for line in lines:
        found[f"{line.kind}s"].append({k: v for k, v in plain(line.product).items() if k not in _UNTOLD})
    return found


def shelf_from_file(text: str) -> ShelfTable:
    """Products of such a document, with what is wrong with each. Raises LimitError, CoreError for none."""
    if len(text) > CHARS_MAX:
        raise LimitError("file", say("limit-longest", most=CHARS_MAX), len(text))
    try:
        document = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise CoreError("bad_json") from error
    if not isinstance(document, dict) or (document.get("format"), document.get("version")) != (FORMAT, VERSION):
        said = document.get("format") if isinstance(document, dict) else type(document).__name__
        raise LimitError("format", say("limit-format", format=FORMAT, version=VERSION), str(said)[:40])
    known = {"format", "version", *(f"{k}s" for k in KINDS)}
    if unknown := sorted(set(document) - known):
        raise LimitError(str(unknown[0])[:60], say("limit-known_field"), "")
    lines: list[ShelfLine] = []
    problems: list[LineProblem] = []
    for kind in KINDS:
        rows = document.get(f"{kind}s", [])
        if not isinstance(rows, list) or len(rows) > LINES_MAX:
            raise LimitError(f"{kind}s", say("limit-list"), type(rows).__name__)
        for i, row in enumerate(rows, 1):
            try:
                if not isinstance(row, dict) or set(row) & set(_UNTOLD):
                    raise LimitError(kind, say("limit-object"), str(row)[:40])
                lines.append(ShelfLine(kind, read(KINDS[kind], {"key": "new", **row})))
            except LimitError as error:
                problems.append(LineProblem(i, f"{kind}s.{error.field}", error.limit, str(error.value)[:60]))
    return ShelfTable(tuple(lines), tuple(problems))


def shelf_from_text(text: str) -> ShelfTable:
    """Either of the two, by how it begins."""
    return shelf_from_file(text) if text.lstrip("\ufeff \n\r\t").startswith("{") else shelf_from_csv(text)
