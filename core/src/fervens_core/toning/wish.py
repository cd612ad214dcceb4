"""What is wished for: a tone at a level, or a colour picked or measured. docs/models/toner.md."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats, LimitError, Message, check_level, check_range, say, term
from fervens_core.colour import chroma, seen_hex, white_lab
from fervens_core.head import Tone
from fervens_core.toning.dyes import meant_lab, wanted_lab

WHITE_FROM_LEVEL = 9.0
WARMTH_BACK_CHROMA = 5.0
WARMTH_BACK_HUE_DEG = 78.0
"""[MODEL] the little gold put back into white, so that it does not go flat grey (common practice, no source)."""
PASTEL_CHROMA = 16.0
"""[MODEL] a pastel: clearly a hue, still light."""
_COOLEST = (Tone.ICY, Tone.SILVER)


@dataclass(frozen=True, slots=True)
class Wish:
    """The colour the head is to end at.

    Args:
        tone; level: depth, 1 to 10. hue_deg: of a pastel, CIELAB hue angle, 0 to 360.
        lab: a colour picked from the scale or measured on a strand, CIELAB; it then stands for all of these.
        is_warmth_back: in the coolest whites a little gold is put back.
        grey_share: of the client's own hair, 0 to 1: silver is blended toward that white.
    """

    tone: Tone
    level: float
    hue_deg: float = 0.0
    lab: tuple[float, ...] | None = None
    is_warmth_back: bool = True
    grey_share: float = 0.0

    def __post_init__(self) -> None:
        check_level("level", self.level)
        check_range("hue_deg", self.hue_deg, 0.0, 360.0, "degrees")
        check_range("grey_share", self.grey_share, 0.0, 1.0)
        if self.lab is not None:
            if len(self.lab) != 3:
                raise LimitError("lab", say("limit-lab"), len(self.lab))
            for value, low in zip(self.lab, (0.0, -128.0, -128.0), strict=True):
                check_range("lab", value, low, 128.0)

    @property
    def is_white(self) -> bool:
        """So light and so cool that it can go flat grey."""
        return self.lab is None and self.tone in _COOLEST and self.level >= WHITE_FROM_LEVEL

    @property
    def flat_lab(self) -> Floats:
        """Grey of the same lightness: what white goes to with all its warmth gone."""
        return np.array([self.wanted[0], 0.0, 0.0])

    @property
    def wanted(self) -> Floats:
        """The wanted colour, CIELAB (3,)."""
        if self.lab is not None:
            return np.array(self.lab)
        if self.tone is Tone.PASTEL:
            angle = np.radians(self.hue_deg)
            return meant_lab(self.level, PASTEL_CHROMA * np.cos(angle), PASTEL_CHROMA * np.sin(angle))
        found = wanted_lab(self.level, self.tone)
        if self.tone is Tone.SILVER and self.grey_share > 0.0:
            white, share = white_lab(), self.grey_share
            a, b = ((1.0 - share) * float(found[i]) + share * float(white[i]) for i in (1, 2))
            return meant_lab(self.level, a, b)
        if self.is_white and self.is_warmth_back and float(chroma(found)) < WARMTH_BACK_CHROMA:
            angle = np.radians(WARMTH_BACK_HUE_DEG)
            return meant_lab(self.level, WARMTH_BACK_CHROMA * np.cos(angle), WARMTH_BACK_CHROMA * np.sin(angle))
        return found

    @property
    def hex(self) -> str:
        """Screen colour of the wanted colour."""
        return seen_hex(self.wanted)


PASTEL_HUES = (
    (say("pastel-rose"), 5.0),
    (say("pastel-peach"), 50.0),
    (say("pastel-mint"), 165.0),
    (say("pastel-sky"), 245.0),
    (say("pastel-lilac"), 310.0),
)
"""Usual pastels: a plain name and a CIELAB hue angle, degrees. [MODEL]"""


@dataclass(frozen=True, slots=True)
class WishCell:
    """One colour of the painted scale of wishes."""

    tone: Tone
    hue_deg: float
    name: Message
    level: float
    hex: str


def wish_scale(least: float = 5.0, most: float = 10.0) -> tuple[WishCell, ...]:
    """The painted scale: every tone, and every usual pastel, at whole and half levels from `least` to `most`."""
    levels = [float(x) / 2.0 for x in range(round(least * 2), round(most * 2) + 1)]
    kinds: list[tuple[Tone, float, Message]] = [(t, 0.0, term(t)) for t in Tone if t is not Tone.PASTEL]
    kinds += [(Tone.PASTEL, hue, name) for name, hue in PASTEL_HUES]
    return tuple(WishCell(t, hue, n, x, Wish(t, x, hue).hex) for t, hue, n in kinds for x in levels)
