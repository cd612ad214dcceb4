"""CSV cells that are text to every spreadsheet, and the reading of tables line by line."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Iterator, Sequence

from fervens_core.base import CoreError, LimitError, say

FORMULA_STARTS = ("=", "+", "-", "@", "\t", "\r")


def cell(text: str) -> str:
    """A text that no spreadsheet takes for a formula: one that could be gets an apostrophe in front."""
    return f"'{text}" if text.startswith(FORMULA_STARTS) else text


def plain(text: str | None) -> str:
    """The text of a cell without the apostrophe and the spaces around it."""
    found = (text or "").strip()
    return found[1:] if found.startswith("'") and found[1:].startswith(FORMULA_STARTS) else found


def table(columns: Sequence[str], rows: Iterable[Sequence[str]]) -> str:
    """A CSV table with its header line, RFC 4180 line ends."""
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow(columns)
    writer.writerows(rows)
    return out.getvalue()


def read_table(text: str, columns: Sequence[str], most_chars: int) -> Iterator[tuple[int, dict[str, str]]]:
    """The lines of a CSV as (line number, cells by column); columns in any order.

    Raises:
        LimitError: too long, other columns, or a line with too many or too few cells. CoreError: not CSV.
    """
    if len(text) > most_chars:
        raise LimitError("file", say("limit-longest", most=most_chars), len(text))
    reader = csv.reader(io.StringIO(text.removeprefix("\ufeff")))
    try:
        header = [h.strip() for h in next(reader, [])]
        if sorted(header) != sorted(columns):
            raise LimitError("line 1", say("limit-columns", columns=tuple(columns)), ", ".join(header)[:120])
        for row in reader:
            if not any(c.strip() for c in row):
                continue
            if len(row) != len(header):
                raise LimitError(f"line {reader.line_num}", say("limit-cells", count=len(header)), len(row))
            yield reader.line_num, dict(zip(header, row, strict=True))
    except csv.Error as error:
        raise CoreError("bad_csv", line=reader.line_num, why=str(error)) from error
