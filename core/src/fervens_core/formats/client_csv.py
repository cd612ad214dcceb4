"""Clients as CSV, one a line; docs/format/client-csv.md."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass

from fervens_core.base import LimitError, Message, say
from fervens_core.formats.cells import cell, plain, read_table, table
from fervens_core.head import TestResult

COLUMNS = ("name", "birth_date", "notes", "has_reacted_before", "patch_test_placed_on", "patch_test_result")
CLIENT_CSV_MAX_CHARS = 1_500_000
CLIENT_CSV_MAX_LINES = 5_000
NAME_MAX, NOTES_MAX = 80, 2000
EARLIEST_BIRTH = dt.date(1900, 1, 1)


@dataclass(frozen=True, slots=True)
class ClientLine:
    """A client as one line has them."""

    name: str
    birth_date: dt.date | None = None
    notes: str = ""
    has_reacted_before: bool | None = None
    patch_test_placed_on: dt.date | None = None
    patch_test_result: TestResult = TestResult.NOT_DONE


@dataclass(frozen=True, slots=True)
class LineProblem:
    """Why a line cannot be taken: its number from 1, the column, what is allowed, what stands there."""

    line: int
    column: str
    limit: Message
    value: str


@dataclass(frozen=True, slots=True)
class ClientTable:
    """What a CSV of clients comes to: lines that can be taken, and what is wrong with the others."""

    lines: tuple[ClientLine, ...]
    problems: tuple[LineProblem, ...]


def _day(value: dt.date | None) -> str:
    return value.isoformat() if value else ""


def clients_to_csv(lines: list[ClientLine]) -> str:
    """CSV of clients; a text that a spreadsheet would take for a formula is kept a text."""
    rows = [
        [
            cell(c.name),
            _day(c.birth_date),
            cell(c.notes),
            {True: "yes", False: "no", None: ""}[c.has_reacted_before],
            _day(c.patch_test_placed_on),
            c.patch_test_result.value,
        ]
        for c in lines
    ]
    return table(COLUMNS, rows)


def _read_day(column: str, text: str, today: dt.date) -> dt.date | None:
    if not text:
        return None
    limit = say("limit-day", low=EARLIEST_BIRTH.isoformat(), high=today.isoformat())
    try:
        found = dt.date.fromisoformat(text)
    except ValueError:
        raise LimitError(column, limit, text[:40]) from None
    if not EARLIEST_BIRTH <= found <= today:
        raise LimitError(column, limit, text[:40])
    return found


def _read_text(column: str, text: str, longest: int, *, is_needed: bool) -> str:
    if is_needed and not text:
        raise LimitError(column, say("limit-given"), "")
    if len(text) > longest:
        raise LimitError(column, say("limit-longest", most=longest), len(text))
    if any(ord(c) < 32 and c not in "\n\t" for c in text) or (is_needed and "\n" in text):
        raise LimitError(column, say("limit-no_control"), repr(text)[:40])
    return text


def _read_line(cells: dict[str, str], today: dt.date) -> ClientLine:
    values = {c: plain(cells[c]) for c in COLUMNS}
    answer = values["has_reacted_before"].lower()
    if answer not in ("yes", "no", ""):
        raise LimitError("has_reacted_before", say("limit-yes_no"), answer[:40])
    result = values["patch_test_result"] or TestResult.NOT_DONE.value
    if result not in [r.value for r in TestResult]:
        raise LimitError(
            "patch_test_result", say("limit-one_of", known=tuple(r.value for r in TestResult)), result[:40]
        )
    return ClientLine(
        name=_read_text("name", values["name"], NAME_MAX, is_needed=True),
        birth_date=_read_day("birth_date", values["birth_date"], today),
        notes=_read_text("notes", values["notes"], NOTES_MAX, is_needed=False),
        has_reacted_before=answer == "yes" if answer else None,
        patch_test_placed_on=_read_day("patch_test_placed_on", values["patch_test_placed_on"], today),
        patch_test_result=TestResult(result),
    )


def clients_from_csv(text: str, today: dt.date) -> ClientTable:
    """Clients of a CSV, with everything that is wrong line by line.

    Raises:
        LimitError: too long, other columns or a line with other cells. CoreError: not CSV.
    """
    lines: list[ClientLine] = []
    problems: list[LineProblem] = []
    for number, cells in read_table(text, COLUMNS, CLIENT_CSV_MAX_CHARS):
        if len(lines) + len(problems) >= CLIENT_CSV_MAX_LINES:
            raise LimitError("file", say("limit-most_clients", most=CLIENT_CSV_MAX_LINES), number)
        try:
            lines.append(_read_line(cells, today))
        except LimitError as error:
            problems.append(LineProblem(number, error.field, error.limit, str(error.value)))
    return ClientTable(tuple(lines), tuple(problems))
