"""Colour readings as CGATS text, the measurement files of colour programs; docs/format/cgats.md.

Source: ISO 28178:2009 and ANSI CGATS.17, keyword-value text with a data format and a data section (from memory).
"""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime

from fervens_core.base import CoreError, LimitError, check_range, say

CGATS_MAX_CHARS = 300_000
SETS_MAX = 2_000
_FIELDS = ("LAB_L", "LAB_A", "LAB_B")
_RANGES = {"LAB_L": (0.0, 100.0), "LAB_A": (-128.0, 128.0), "LAB_B": (-128.0, 128.0)}
_WORD = re.compile(r'"(?:[^"]|"")*"|[^\s"]+|"')
_HUGE = 40


@dataclass(frozen=True, slots=True)
class ColourSample:
    """A named measurement: CIELAB under D65 for the 10 degree observer."""

    name: str
    lab: tuple[float, float, float]


def _quoted(text: str) -> str:
    clean = " ".join(text.split())
    return '"' + clean.replace('"', '""') + '"'


def samples_to_cgats(samples: Sequence[ColourSample], *, made_at: datetime, title: str) -> str:
    """CGATS text of measurements."""
    lines = [
        "CGATS.17",
        'ORIGINATOR "Fervens"',
        f"DESCRIPTOR {_quoted(title)}",
        f'CREATED "{made_at.isoformat(timespec="seconds")}"',
        'WEIGHTING_FUNCTION "ILLUMINANT, D65"',
        'WEIGHTING_FUNCTION "OBSERVER, 10 degree"',
        f"NUMBER_OF_FIELDS {2 + len(_FIELDS)}",
        "BEGIN_DATA_FORMAT",
        "SAMPLE_ID SAMPLE_NAME " + " ".join(_FIELDS),
        "END_DATA_FORMAT",
        f"NUMBER_OF_SETS {len(samples)}",
        "BEGIN_DATA",
    ]
    for i, s in enumerate(samples, 1):
        lines.append(f"{i} {_quoted(s.name)} " + " ".join(f"{v:.4f}" for v in s.lab))
    return "\r\n".join([*lines, "END_DATA", ""])


def _words(line: str, number: int) -> list[str]:
    found = []
    for match in _WORD.finditer(line):
        word = match.group()
        if word.startswith("#"):
            break
        if word == '"':
            raise LimitError(f"line {number}", say("limit-quotes_in_pairs"), line.strip()[:40])
        found.append(word[1:-1].replace('""', '"') if word.startswith('"') else word)
    return found


def _number(line: int, field: str, word: str) -> float:
    try:
        value = float(word) if len(word) <= _HUGE else float("nan")
    except ValueError:
        raise LimitError(f"line {line}, {field}", say("limit-number"), word[:20]) from None
    return check_range(f"line {line}, {field}", value, *_RANGES[field])


def samples_from_cgats(text: str) -> tuple[ColourSample, ...]:
    """Measurements of CGATS text, with SAMPLE_NAME (else SAMPLE_ID) and LAB_L, LAB_A, LAB_B among its fields.

    Raises:
        LimitError: naming the line, the limit and the value. CoreError: no CGATS text.
    """
    if len(text) > CGATS_MAX_CHARS:
        raise LimitError("file", say("limit-longest", most=CGATS_MAX_CHARS), len(text))
    lines = text.removeprefix("\ufeff").splitlines()
    if not lines or not re.match(r"\s*(CGATS|IT8|LAB|CTI)\S*", lines[0]):
        raise CoreError("no_cgats")
    fields: list[str] = []
    samples: list[ColourSample] = []
    place = ""
    for number, line in enumerate(lines, 1):
        words = _words(line, number)
        if not words:
            continue
        if words[0] in ("BEGIN_DATA_FORMAT", "BEGIN_DATA"):
            place = words[0]
        elif words[0] in ("END_DATA_FORMAT", "END_DATA"):
            place = ""
        elif place == "BEGIN_DATA_FORMAT":
            fields += words
        elif place == "BEGIN_DATA":
            samples.append(_sample(number, fields, words))
            if len(samples) > SETS_MAX:
                raise LimitError("file", say("limit-most_measurements", most=SETS_MAX), number)
    missing = [f for f in _FIELDS if f not in fields]
    if missing:
        raise LimitError("data format", say("limit-with", names=_FIELDS), [f for f in fields if f in _FIELDS])
    if not samples:
        raise LimitError("data", say("limit-one_measurement"), 0)
    return tuple(samples)


def _sample(number: int, fields: list[str], words: list[str]) -> ColourSample:
    missing = [f for f in _FIELDS if f not in fields]
    if missing:
        raise LimitError("data format", say("limit-with_before_data", names=_FIELDS), fields)
    if len(words) != len(fields):
        raise LimitError(f"line {number}", say("limit-values", count=len(fields)), len(words))
    by_field = dict(zip(fields, words, strict=True))
    lightness, a, b = (_number(number, f, by_field[f]) for f in _FIELDS)
    name = by_field.get("SAMPLE_NAME") or by_field.get("SAMPLE_ID") or str(number)
    return ColourSample(name[:80], (lightness, a, b))
