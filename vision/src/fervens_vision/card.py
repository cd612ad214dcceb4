"""The card: where its markers, patches and window lie, and what colours its patches have. Millimetres from its corner.

Four markers (ArUco 4x4) give the frame; every grey lies on opposite sides of the card, so that light that falls off is
told from a grey; colours are those hair goes through. The strand lies under the window, whose rim is grey.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]
Lab = tuple[float, float, float]

NOMINAL_STD = 3.0
"""[MODEL] how far a patch of an ordinary printer is from what was asked of it, in each of L*, a*, b*."""
MEASURED_STD = 0.4
"""[MODEL] how far from what a colour reader said of it."""


@dataclass(frozen=True, slots=True)
class Box:
    """A rectangle, mm: left, top, right, bottom."""

    left: float
    top: float
    right: float
    bottom: float

    def inset(self, by: float) -> Box:
        """The rectangle, smaller by so much on every side."""
        return Box(self.left + by, self.top + by, self.right - by, self.bottom - by)

    @property
    def middle(self) -> tuple[float, float]:
        """Its middle, mm."""
        return (self.left + self.right) / 2.0, (self.top + self.bottom) / 2.0


@dataclass(frozen=True, slots=True)
class Patch:
    """A patch: its name, the colour it should have, and everywhere it lies."""

    name: str
    nominal: Lab
    boxes: tuple[Box, ...]

    @property
    def is_grey(self) -> bool:
        """Whether it is one of the greys."""
        return self.name.startswith("G")


@dataclass(frozen=True, slots=True)
class Card:
    """The card as a whole, mm."""

    width: float
    height: float
    markers: tuple[Box, ...]
    window: Box
    rim: Box


_MARKER, _INSET = 17.0, 4.0
_WIDTH, _HEIGHT = 190.0, 126.0
CARD = Card(
    width=_WIDTH,
    height=_HEIGHT,
    markers=(
        Box(_INSET, _INSET, _INSET + _MARKER, _INSET + _MARKER),
        Box(_WIDTH - _INSET - _MARKER, _INSET, _WIDTH - _INSET, _INSET + _MARKER),
        Box(_WIDTH - _INSET - _MARKER, _HEIGHT - _INSET - _MARKER, _WIDTH - _INSET, _HEIGHT - _INSET),
        Box(_INSET, _HEIGHT - _INSET - _MARKER, _INSET + _MARKER, _HEIGHT - _INSET),
    ),
    window=Box(47.0, 49.0, 143.0, 77.0),
    rim=Box(41.0, 43.0, 149.0, 83.0),
)
"""It fits on A5 and on half a Letter, both on their side."""

_LIGHTNESS = {
    "G1": 95.0,
    "G2": 85.0,
    "G3": 75.0,
    "G4": 65.0,
    "G5": 55.0,
    "G6": 45.0,
    "G7": 35.0,
    "G8": 26.0,
    "G9": 18.0,
}
_COLOURS: dict[str, Lab] = {
    "C1": (80.0, 3.0, 30.0),
    "C2": (72.0, 8.0, 42.0),
    "C3": (62.0, 14.0, 45.0),
    "C4": (52.0, 20.0, 42.0),
    "C5": (42.0, 22.0, 31.0),
    "C6": (32.0, 16.0, 20.0),
    "C7": (86.0, 0.0, 16.0),
    "C8": (66.0, 4.0, 18.0),
    "C9": (48.0, 8.0, 20.0),
    "C10": (36.0, 8.0, 12.0),
    "C11": (70.0, 1.0, 8.0),
    "C12": (60.0, 2.0, -9.0),
}
RIM_GREY = "G4"
_TOP = ("G1", "C1", "G3", "C2", "G5", "C3", "G7", "C4", "G4", "C5", "G6", "C6")
_BOTTOM = ("G6", "C7", "G4", "C8", "G7", "C9", "G5", "C10", "G3", "C11", "G1", "C12")
_LEFT, _RIGHT = ("G2", "G8", "G9"), ("G9", "G8", "G2")


def _boxes() -> dict[str, tuple[Box, ...]]:
    found: dict[str, list[Box]] = {}
    for names, top in ((_TOP, 25.5), (_BOTTOM, _HEIGHT - 25.5 - 11.0)):
        for i, name in enumerate(names):
            left = 22.0 + i * 12.3
            found.setdefault(name, []).append(Box(left, top, left + 11.3, top + 11.0))
    for side, left in ((_LEFT, 21.0), (_RIGHT, _WIDTH - 21.0 - 13.0)):
        for i, name in enumerate(side):
            top = 43.5 + i * 13.5
            found.setdefault(name, []).append(Box(left, top, left + 13.0, top + 12.0))
    return {name: tuple(boxes) for name, boxes in found.items()}


_PLACES = _boxes()
PATCHES: tuple[Patch, ...] = tuple(
    Patch(name, lab, _PLACES[name])
    for name, lab in {**{g: (v, 0.0, 0.0) for g, v in _LIGHTNESS.items()}, **_COLOURS}.items()
)
GREYS = tuple(p.name for p in PATCHES if p.is_grey)


@dataclass(frozen=True, slots=True)
class CardValues:
    """What a studio's card is known to be: CIELAB (D65, 10 degrees) of each patch, and how sure that is.

    Args:
        lab: by patch. std: of each of L*, a*, b*. is_measured: by a colour reader.
    """

    lab: Mapping[str, Lab]
    std: float
    is_measured: bool


def nominal_values() -> CardValues:
    """The card as it was meant to be printed."""
    return CardValues({p.name: p.nominal for p in PATCHES}, NOMINAL_STD, False)


def values_of(measured: Mapping[str, Lab]) -> CardValues:
    """A card of which a reader said this, patch by patch; every patch has to be among them.

    Raises:
        KeyError: a patch that was not measured.
    """
    return CardValues({p.name: measured[p.name] for p in PATCHES}, MEASURED_STD, True)
