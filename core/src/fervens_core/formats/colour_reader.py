"""A colour reader: the lines it speaks, a simulated one, and the level of what it measured. docs/format/reader.md."""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np

from fervens_core.base import LEVEL_MAX, CoreError, Floats, LimitError, check_level, check_range, say
from fervens_core.colour import delta_e_2000, hair_lab

PROTOCOL = "FERVENS-READER 1"
SIMULATED = "simulated"
"""What a simulated reader calls itself, wherever its readings are shown."""
LINE_MAX = 200
READER_SPREAD = 0.35
"""[MODEL] a hand-held reader repeats to about this much in each of L*, a*, b*."""
UNLIKE_DELTA_E = 10.0
"""[MODEL] hair farther than this from every level of its own scale is not what was meant to be read."""
_RANGES = ((0.0, 100.0), (-128.0, 128.0), (-128.0, 128.0))


@dataclass(frozen=True, slots=True)
class Measured:
    """What a reader measured: CIELAB (D65, 10 degrees), and the level that looks like it, 1 to 10.

    Args:
        delta_e: CIEDE2000 between the two; 0 when they are the same.
    """

    lab: tuple[float, float, float]
    level: float
    delta_e: float


def lab_to_line(lab: tuple[float, float, float]) -> str:
    """A measurement as a line: `LAB 61.20 14.05 38.77`."""
    return "LAB " + " ".join(f"{v:.2f}" for v in lab)


def line_to_lab(line: str) -> tuple[float, float, float]:
    """The measurement of a line.

    Raises:
        CoreError: `ERR` and what the reader said, or a line that is no measurement. LimitError: a value out of range.
    """
    words = line.strip().split()
    if words[:1] == ["ERR"]:
        raise CoreError("reader_error", told=" ".join(words[1:])[:120] or "ERR")
    if len(words) != 4 or words[0] != "LAB":
        raise CoreError("reader_line.sent", line=repr(line.strip()[:60]))
    return _three(words[1:])


def _three(words: list[str]) -> tuple[float, float, float]:
    found = []
    for name, word, (low, high) in zip(("L", "a", "b"), words, _RANGES, strict=True):
        try:
            found.append(check_range(name, float(word), low, high))
        except ValueError as error:
            if isinstance(error, CoreError):
                raise
            raise LimitError(name, say("limit-number"), word[:20]) from None
    return found[0], found[1], found[2]


@dataclass(slots=True)
class SimulatedReader:
    """A reader with hair placed under it by the line `PLACE L a b`; each measurement has a reader's own spread."""

    random: np.random.Generator
    under: tuple[float, float, float] | None = field(default=None)

    def answer(self, line: str) -> str:
        """The line it answers a line with."""
        words = line.strip().split()
        match words[:1]:
            case ["ID"]:
                return f"{PROTOCOL} {SIMULATED}"
            case ["PLACE"] if len(words) == 4:
                try:
                    self.under = _three(words[1:])
                except LimitError as error:
                    return f"ERR {error.code}"
                return "OK"
            case ["MEASURE"]:
                if self.under is None:
                    return "ERR nothing under the reader"
                spread = self.random.normal(0.0, READER_SPREAD, 3)
                seen = [float(np.clip(v + s, *r)) for v, s, r in zip(self.under, spread, _RANGES, strict=True)]
                return lab_to_line((seen[0], seen[1], seen[2]))
        return "ERR not understood"


def level_spread(start_level: float, lab: tuple[float, float, float], lab_std: tuple[float, float, float]) -> float:
    """Spread of a level, levels, from the spread of each of L*, a*, b* it was read from; 0.05 to 2. Linearised."""
    check_level("start_level", start_level)
    levels: Floats = np.arange(1.0, LEVEL_MAX + 0.01, 0.02)
    own = hair_lab(start_level, np.maximum(levels, start_level))

    def nearest(at: Floats) -> float:
        return float(levels[np.argmin(delta_e_2000(own, at))])

    here, squares = np.asarray(lab, dtype=float), 0.0
    for place, std in enumerate(lab_std):
        step = np.zeros(3)
        step[place] = std
        squares += ((nearest(here + step) - nearest(here - step)) / 2.0) ** 2
    return float(np.clip(np.sqrt(squares), 0.05, 2.0))


def level_of_lab(start_level: float, lab: tuple[float, float, float]) -> Measured:
    """The level of hair lifted from `start_level` that looks most like a measurement (least CIEDE2000), to a tenth.

    Raises:
        CoreError: it looks like no level of this hair.
    """
    check_level("start_level", start_level)
    levels: Floats = np.round(np.arange(start_level, LEVEL_MAX + 0.05, 0.1), 2)
    levels = np.minimum(levels, LEVEL_MAX)
    away = delta_e_2000(hair_lab(start_level, levels), np.asarray(lab, dtype=float))
    best = int(np.argmin(away))
    if float(away[best]) > UNLIKE_DELTA_E:
        raise CoreError("unlike_hair", l=lab[0], a=lab[1], b=lab[2])
    return Measured(lab, float(levels[best]), float(away[best]))
