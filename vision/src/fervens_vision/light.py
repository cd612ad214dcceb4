"""The light on the card: what every grey came out as, how it falls off over the card, and whether it will do."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from fervens_vision.card import CARD, PATCHES, Box, CardValues, Floats
from fervens_vision.colours import decode_srgb, lab_to_xyz
from fervens_vision.find import PIXELS_PER_MM, pixels_of
from fervens_vision.refused import PictureRefusedError

DARK_LIGHT = 0.10
"""[MODEL] the white patch has to come out at this share of all a picture can hold, or noise speaks."""
BURNT_CODE = 253
BURNT_SHARE = 0.05
UNEVEN_RATIO = 2.0
"""[MODEL] light that falls off by more than this over the card."""
PATCHY_LOG = 0.16
"""[MODEL] a patch that is off the fall by so much in the log lies in a shadow or in glare."""
INSET_MM = 2.2


@dataclass(frozen=True, slots=True)
class Sample:
    """A patch as it came out: light of red, green and blue (0 to 1), and where it lies, from -1 to 1 each way."""

    name: str
    light: Floats
    at: tuple[float, float]


@dataclass(frozen=True, slots=True)
class Light:
    """How the picture tells reflectance, channel by channel: log light = curve(log reflectance) + fall over the card.

    Args:
        curve: three terms of a square in log reflectance, shape (3 channels, 3). fall: along x, y and their product,
            shape (3, 3). std: of the log, what it leaves.
    """

    curve: Floats
    fall: Floats
    std: float

    def reflectance(self, light: Floats, at: Floats) -> Floats:
        """What neutral reflectance each channel stands for, as if the light were even; shapes (n, 3) and (n, 2)."""
        x, y = at[:, :1], at[:, 1:]
        fall = x * self.fall[:, 0] + y * self.fall[:, 1] + x * y * self.fall[:, 2]
        rest = np.log(np.maximum(light, 1e-5)) - fall
        a, b, c = self.curve[:, 0], self.curve[:, 1], self.curve[:, 2]
        # the square is nearly straight: the root that goes over into rest = a + b u
        inside = np.maximum(b**2 - 4.0 * c * (a - rest), 1e-9)
        u = 2.0 * (rest - a) / (b + np.sqrt(inside))
        return np.asarray(np.exp(np.minimum(u, 0.3)))


def _at(box: Box) -> tuple[float, float]:
    x, y = box.middle
    return 2.0 * x / CARD.width - 1.0, 2.0 * y / CARD.height - 1.0


def places(shape: tuple[int, int], box: Box) -> Floats:
    """Where each pixel of a rectangle of the flat card lies, from -1 to 1 each way, shape (pixels, 2)."""
    rows, columns = shape
    x = (box.left + (np.arange(columns) + 0.5) / PIXELS_PER_MM) * 2.0 / CARD.width - 1.0
    y = (box.top + (np.arange(rows) + 0.5) / PIXELS_PER_MM) * 2.0 / CARD.height - 1.0
    return np.stack(np.meshgrid(x, y), axis=-1).reshape(-1, 2)


def sample(flat: NDArray[np.uint8]) -> tuple[Sample, ...]:
    """Every patch as it came out.

    Raises:
        PictureRefusedError: too dark; the light greys burnt out.
    """
    found, burnt = [], 0
    for patch in PATCHES:
        for box in patch.boxes:
            codes = pixels_of(flat, box.inset(INSET_MM)).reshape(-1, 3)
            is_burnt = float((codes.max(axis=1) >= BURNT_CODE).mean()) > BURNT_SHARE
            burnt += is_burnt and patch.name != "G1"
            if not is_burnt:
                light = decode_srgb(np.median(codes, axis=0) / 255.0)
                found.append(Sample(patch.name, light, _at(box)))
    if burnt >= 2:
        raise PictureRefusedError("burnt_out")
    white = [s.light.max() for s in found if s.name in ("G1", "G2")]
    if not white or max(white) < DARK_LIGHT:
        raise PictureRefusedError("burnt_out" if not white else "too_dark")
    return tuple(found)


def fit_light(samples: tuple[Sample, ...], values: CardValues) -> Light:
    """The light from the greys.

    Raises:
        PictureRefusedError: it falls off too much, or patches lie in a shadow; with the side.
    """
    greys = [s for s in samples if s.name.startswith("G")]
    y_of = {name: float(lab_to_xyz(np.array(values.lab[name]))[1]) for name in {s.name for s in greys}}
    u = np.log([y_of[s.name] for s in greys])
    x, y = (np.array([s.at[i] for s in greys]) for i in (0, 1))
    terms = np.column_stack([np.ones_like(u), u, u**2, x, y, x * y])
    seen = np.log(np.maximum([s.light for s in greys], 1e-5))
    # a square and a product that nothing asks for stay small
    keep = np.diag([0.0, 0.0, 0.3, 0.02, 0.02, 0.3]) ** 2
    found = np.linalg.solve(terms.T @ terms + keep, terms.T @ seen).T
    left = seen - terms @ found.T
    fall = found[:, 3:]
    mean = fall.mean(axis=0)
    # each way alone: a corner that is dark shows on both sides of it
    across, down = 2.0 * abs(mean[0]), 2.0 * abs(mean[1])
    if max(across, down) > np.log(UNEVEN_RATIO):
        if across >= down:
            raise PictureRefusedError("uneven", "left" if mean[0] > 0 else "right")
        raise PictureRefusedError("uneven", "top" if mean[1] > 0 else "bottom")
    off = np.median(left, axis=1)
    worst = int(np.argmax(np.abs(off)))
    if abs(off[worst]) > PATCHY_LOG * (1.0 if values.is_measured else 1.6):
        raise PictureRefusedError("uneven", _side(greys[worst].at))
    return Light(found[:, :3], fall, float(np.sqrt(np.mean(left**2))))


def _side(at: tuple[float, float]) -> str:
    x, y = at
    if abs(x) >= abs(y):
        return "left" if x < 0 else "right"
    return "top" if y < 0 else "bottom"
