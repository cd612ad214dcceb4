"""Parts of a strand, told from the scalp to the tip, and the other kind of hair in a zone. docs/models/parts.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated

from fervens_core.base import FLAT, Count, Flag, Key, Level, LimitError, Number, Text, Within, contract, say
from fervens_core.head.hair import Covering, Hair, Tone

LENGTH_MAX_MM = 1500.0
LEAST_MM = 5.0
"""Less hair than this between two parts is no part of its own."""


class Part(StrEnum):
    """Which part of a zone a lane is."""

    WHOLE = "whole"
    LENGTHS = "lengths"
    REGROWTH = "regrowth"
    ROOT = "root"
    BAND = "band"
    ENDS = "ends"


class Meeting(StrEnum):
    """How a part meets the one below it: a line, feathered, or in and out where old work was uneven."""

    LINE = "line"
    SOFT = "soft"
    JAGGED = "jagged"


class Load(StrEnum):
    """How much product is put on: light for a soft start, heavy where it shall be brighter (common practice)."""

    LIGHT = "light"
    USUAL = "usual"
    HEAVY = "heavy"


@dataclass(frozen=True, slots=True)
@contract
class StrandPart:
    """A stretch of the strand read apart from the rest of its zone: root, band or ends.

    Args:
        hair: as read. from_mm: where it begins, from the scalp; to_mm: where it ends, None for the tip.
        target_level: None for the zone's own; below the start level to be made deeper.
        tone, covering, lightener, load: its own; None for the zone's.
        is_left_out: no product goes there today.
        meeting: how it meets what comes after it toward the tip.
    """

    hair: Annotated[Hair, FLAT]
    from_mm: Annotated[Number, Within(0.0, LENGTH_MAX_MM, "mm")] = 0.0
    to_mm: Annotated[Number, Within(1.0, LENGTH_MAX_MM, "mm")] | None = None
    target_level: Level | None = None
    tone: Tone | None = None
    is_left_out: Flag = False
    meeting: Meeting = Meeting.LINE
    covering: Covering | None = None
    lightener: Key | None = None
    load: Load | None = None

    def __post_init__(self) -> None:
        if self.to_mm is not None and self.to_mm <= self.from_mm:
            raise LimitError("to_mm", say("limit-past_its_start", least=self.from_mm), self.to_mm)

    def end_mm(self, length_mm: float) -> float:
        """Where it ends in hair of some length, mm."""
        return length_mm if self.to_mm is None else self.to_mm

    @property
    def is_root(self) -> bool:
        """Whether it begins at the scalp."""
        return self.from_mm <= 0.0

    @property
    def is_ends(self) -> bool:
        """Whether it goes to the tip."""
        return self.to_mm is None


@dataclass(frozen=True, slots=True)
@contract
class Pieces:
    """The other kind of hair in a zone, in turn with the rest: old highlights, or low foils between high ones.

    Args:
        name: what it is called; rest_name: what the rest of the zone is called beside it, empty for the zone's name.
        share: of the zone's hair and sections, 0.05 to 0.95. spacing_mm: from one piece to the next, or None.
        hair: as read. parts: of its strands, where they are read apart.
        target_level, tone, covering, lightener, load, is_left_out: as of a part of a strand.
    """

    name: Annotated[str, Text(40)]
    hair: Annotated[Hair, FLAT]
    share: Annotated[Number, Within(0.05, 0.95)] = 0.5
    rest_name: Annotated[str, Text(40, is_optional=True)] = ""
    spacing_mm: Annotated[Number, Within(1.0, 200.0, "mm")] | None = None
    target_level: Level | None = None
    tone: Tone | None = None
    is_left_out: Flag = False
    covering: Covering | None = None
    lightener: Key | None = None
    load: Load | None = None
    parts: Annotated[tuple[StrandPart, ...], Count(0, 12, "parts")] = ()


def check_parts(parts: Sequence[StrandPart], length_mm: float) -> None:
    """Whether parts lie along a strand of some length, in order and apart. Raises LimitError naming the part."""
    end = 0.0
    for i, part in enumerate(parts):
        if part.from_mm < end - 1e-9:
            raise LimitError(f"parts[{i}].from_mm", say("limit-after_the_part_before", least=end), part.from_mm)
        end = part.end_mm(length_mm)
        if end > length_mm + 1e-9:
            raise LimitError(f"parts[{i}].to_mm", say("limit-within_length", most=length_mm), end)
        if part.from_mm >= length_mm:
            raise LimitError(f"parts[{i}].from_mm", say("limit-within_length", most=length_mm), part.from_mm)


def rest_mm(parts: Sequence[StrandPart], length_mm: float, off_scalp_mm: float = 0.0) -> float:
    """How much of a strand is in none of its parts and not kept off the scalp, mm."""
    taken = sum(max(p.end_mm(length_mm) - max(p.from_mm, off_scalp_mm), 0.0) for p in parts)
    return length_mm - off_scalp_mm - taken
