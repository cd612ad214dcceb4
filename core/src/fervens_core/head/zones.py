"""Zones of the head: what was read of each, what is wanted of it, and how it is worked. docs/models/parts.md."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Annotated

from pydantic import AfterValidator

from fervens_core.base import (
    FLAT,
    INTERNAL,
    Count,
    Flag,
    Key,
    Level,
    LimitError,
    Message,
    Number,
    Text,
    Whole,
    Within,
    check_range,
    contract,
    say,
)
from fervens_core.head.hair import Covering, Density, Hair, Tone
from fervens_core.head.parts import Load, Part, Pieces, StrandPart, check_parts

ROOT_MM = 12.0
"""The first 12 mm are warmed by the scalp; longer regrowth bands in one application (common practice, no source)."""
GROWTH_MM_PER_MONTH = 12.0
DAYS_PER_MONTH = 365.2425 / 12.0
"""Hair grows about 12 mm a month (common practice; 0.3 to 0.4 mm a day is reported)."""
USUAL_LENGTH_MM = 250.0
SHORT_MM = 80.0
"""[MODEL] hair of nape and hairline up to this length cannot be kept off the skin, unless the technician says so."""
AGAIN = ".again"
"""Behind a lane's key: the same hair in another application today."""
AT_THE_SKIN = frozenset({"nape", "fringe", "left_temple", "right_temple"})
"""Areas of the usual head where short hair lies on the skin (common practice, no source)."""


class ServiceKind(StrEnum):
    """What a service does. Only the first lightens; a strand test alone touches no zone at all."""

    LIGHTEN_AND_TONE = "lighten_and_tone"
    TONE_ONLY = "tone_only"
    DEEPEN = "deepen"
    STRAND_TEST = "strand_test"

    @property
    def lightens(self) -> bool:
        """Whether zones are lightened."""
        return self is ServiceKind.LIGHTEN_AND_TONE

    @property
    def only_tones(self) -> bool:
        """Whether it goes from the consultation to the basin."""
        return self in (ServiceKind.TONE_ONLY, ServiceKind.DEEPEN)


def regrowth_mm(days: float) -> float:
    """Regrowth after some days (0 to 3650) at 12 mm a month."""
    return check_range("days", days, 0.0, 3650.0, "days") / DAYS_PER_MONTH * GROWTH_MM_PER_MONTH


def _no_dot(key: str) -> str:
    """A zone's own key has no dot: behind one stands the part that a lane is."""
    if "." in key:
        raise LimitError("", say("limit-no_dot"), key)
    return key


Reach = tuple[float, float]
"""From where to where along the strand, mm from the scalp."""


def lane_label(
    zone: str,
    part: Part,
    *,
    piece: str = "",
    at_mm: Reach | None = None,
    is_again: bool = False,
    is_shadow: bool = False,
) -> Message | str:
    """What to call a lane: by its zone, its kind and part there, and whether it is again or a root shadow.

    Args:
        at_mm: of one band among several, where it lies.
    """
    found: Message | str = say("lane-piece", lane=zone, piece=piece) if piece else zone
    if at_mm is not None:
        found = say("lane-part_at", zone=found, part=part, low=at_mm[0], high=at_mm[1])
    elif part is not Part.WHOLE:
        found = say("lane-part", zone=found, part=part)
    found = say("lane-again", lane=found) if is_again else found
    return say("lane-shadow", lane=found) if is_shadow else found


@dataclass(frozen=True, slots=True)
@contract
class Zone:
    """A part of the head handled as one, with what is wanted of it; or a lane: one part of it in one application.

    Args:
        key: stable within a service; name: what the technician calls it.
        hair: as read; with `parts` given, the hair between them.
        target_level: up to 10; below the start level to be made deeper.
        foil_count: 1 to 60 sections; application time and bowl amounts follow from it.
        pace_min_per_foil: the technician's pace, 0.1 to 6 min a section.
        covering: open air, foil or film. lightener: key of the one used here, None for the service's. load: of product.
        is_delicate: hairline, temples, nape, fine baby hair: weaker developer, never the whole time.
        is_on_scalp: product touches the scalp: the label's on-scalp limit holds and warmth speeds the lift. None when
            nobody said: short hair of nape and hairline does, other hair does not.
        off_scalp_mm: product is kept so far off the scalp, 0 to 300 mm.
        density; length_mm: of the hair, 5 to 1500 mm: bowl amounts follow from them.
        parts: read apart, from the scalp to the tip. pieces: another kind of hair in turn with the rest, or None.
        keeps_depth: the zone stays as it is, but for pieces that have a wish of their own.
        tone: wanted here, None for the head's.
        areas: areas of the head's map it covers; none means its own key.
        is_of_piece: of a hair piece: there is no scalp.
        part, piece, at_mm, parent_key, waits_for, is_again, note: of a lane: which part, of which kind, where (of one
            band among several), of which zone, the lane whose lift it waits for, whether it is lightened again, why.
    """

    key: Annotated[str, Text(60), AfterValidator(_no_dot)]
    name: Annotated[str, Text(60)]
    hair: Annotated[Hair, FLAT]
    target_level: Level
    foil_count: Annotated[Whole, Within(1, 60, "sections")] = 6
    pace_min_per_foil: Annotated[Number, Within(0.1, 6.0, "min")] = 1.2
    covering: Covering = Covering.FOIL
    lightener: Key | None = None
    load: Load = Load.USUAL
    is_delicate: Flag = False
    is_on_scalp: Flag | None = None
    off_scalp_mm: Annotated[Number, Within(0.0, 300.0, "mm")] = 0.0
    density: Density = Density.MEDIUM
    length_mm: Annotated[Number, Within(5.0, 1500.0, "mm")] = USUAL_LENGTH_MM
    parts: Annotated[tuple[StrandPart, ...], Count(0, 12, "parts")] = ()
    pieces: Pieces | None = None
    keeps_depth: Flag = False
    tone: Tone | None = None
    areas: Annotated[tuple[Annotated[str, Text(44)], ...], Count(0, 24, "areas")] = ()
    is_of_piece: Annotated[Flag, INTERNAL] = False
    part: Annotated[Part, INTERNAL] = Part.WHOLE
    piece: Annotated[str, INTERNAL] = ""
    at_mm: Annotated[Reach | None, INTERNAL] = None
    parent_key: Annotated[str | None, INTERNAL] = None
    waits_for: Annotated[str | None, INTERNAL] = None
    is_again: Annotated[Flag, INTERNAL] = False
    note: Annotated[Message | None, INTERNAL] = None

    def __post_init__(self) -> None:
        check_parts(self.parts, self.length_mm)
        if self.pieces is not None:
            try:
                check_parts(self.pieces.parts, self.length_mm)
            except LimitError as error:
                raise LimitError(f"pieces.{error.field}", error.limit, error.value) from None
        if self.off_scalp_mm >= self.length_mm:
            raise LimitError("off_scalp_mm", say("limit-within_length", most=self.length_mm), self.off_scalp_mm)

    @property
    def label(self) -> Message | str:
        """What to call it: a zone by its name, a lane by its kind and part too."""
        return lane_label(self.name, self.part, piece=self.piece, at_mm=self.at_mm, is_again=self.is_again)

    @property
    def application_min(self) -> float:
        """Minutes from the first section to the last."""
        return self.foil_count * self.pace_min_per_foil

    @property
    def touches_scalp(self) -> bool:
        """Whether its product touches the scalp: as said, else by where it is and how short."""
        if self.is_of_piece or self.off_scalp_mm > 0.0:
            return False
        if self.is_on_scalp is not None:
            return self.is_on_scalp
        places = {area.split("/")[0] for area in (self.areas or (self.key.split(".")[0],))}
        return bool(places & AT_THE_SKIN) and self.length_mm <= SHORT_MM

    @property
    def zone_key(self) -> str:
        """The zone a lane belongs to: its parent's key, or its own."""
        return self.parent_key or self.key

    @property
    def side(self) -> str | None:
        """Which side of the head it is on, left or right; None for the middle. By its place, else by its key."""
        return self.side_and_place[0] if self.side_and_place else None

    @property
    def side_and_place(self) -> tuple[str, str] | None:
        """Its side, and its place without the side; None for the middle."""
        for name in (self.areas[0].split("/")[0] if self.areas else self.zone_key, self.zone_key):
            words = name.split("_")
            for side in ("left", "right"):
                if side in words:
                    return side, "_".join(w for w in words if w != side)
        return None

    @property
    def all_hair(self) -> tuple[Hair, ...]:
        """Every hair that was read here."""
        kinds = (self, self.pieces) if self.pieces else (self,)
        return tuple(h for kind in kinds for h in (kind.hair, *(p.hair for p in kind.parts)))

    @property
    def root_hair(self) -> Hair | None:
        """The hair at the scalp where it was read apart."""
        return self.root_part.hair if self.root_part else None

    @property
    def root_part(self) -> StrandPart | None:
        """What was read apart at the scalp."""
        return next((p for p in self.parts if p.is_root), None)


def as_hair_piece(zones: tuple[Zone, ...]) -> tuple[Zone, ...]:
    """The zones of a hair piece: there is no scalp that product could touch or that could warm it."""
    return tuple(replace(z, is_of_piece=True) for z in zones)
