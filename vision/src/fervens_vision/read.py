"""A photograph of a strand under the card's window: its colour and how sure that is, or why not."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from fervens_vision.card import CARD, RIM_GREY, Box, CardValues, Floats
from fervens_vision.colours import decode_srgb
from fervens_vision.correct import Correction, fit_correction
from fervens_vision.find import find_card, pixels_of
from fervens_vision.light import BURNT_CODE, Light, fit_light, places, sample
from fervens_vision.picture import open_picture
from fervens_vision.refused import PictureRefusedError

BODY_SHARE = (0.15, 0.85)
"""Pixels by lightness that are a strand's body: between the gaps and the gleams."""
DULL_SHARE = 0.35
"""Columns of the window that shine least."""
GLOSS_ABOVE = 14.0
"""[MODEL] L* above the body from which a pixel is sheen."""
GLOSS_SHARE_MAX = 0.33
RIM_OFF_LIGHTNESS, RIM_OFF_CHROMA = 6.0, 6.0
"""[MODEL] how far the rim may be from its own grey, L* and chroma: else other light falls there."""
SHADED_LIGHTNESS = 16.0
"""[MODEL] how far thirds of the strand may be apart in L*."""
STRAND_STD = np.array([1.0, 0.8, 1.2])
"""[MODEL] of L*, a*, b*: what part of a strand lies under the window."""


@dataclass(frozen=True, slots=True)
class Found:
    """What was read.

    Args:
        lab: CIELAB (D65, 10 degrees) of the strand's body. std: spread of each. gloss_share: of it that shines, 0 to 1.
        is_measured: by a card whose patches were measured.
    """

    lab: tuple[float, float, float]
    std: tuple[float, float, float]
    gloss_share: float
    is_measured: bool


def read_strand(data: bytes, values: CardValues) -> Found:
    """The colour of the strand under the window of the card in a photograph.

    Args:
        data: of a JPEG, PNG or WebP. values: what the studio's card is known to be.
    Raises:
        PictureRefusedError: why it is not read.
    """
    flat = find_card(open_picture(data))
    samples = sample(flat)
    light = fit_light(samples, values)
    correction = fit_correction(samples, light, values)
    _check_rim(flat, light, correction, values)
    return _strand(flat, light, correction, values)


def _lab(flat: NDArray[np.uint8], box: Box, light: Light, correction: Correction) -> Floats:
    """CIELAB of every pixel of a rectangle, shape (rows, columns, 3)."""
    codes = pixels_of(flat, box)
    shape = (codes.shape[0], codes.shape[1])
    told = light.reflectance(decode_srgb(codes.reshape(-1, 3) / 255.0), places(shape, box))
    return correction.lab(told).reshape(*shape, 3)


def _check_rim(flat: NDArray[np.uint8], light: Light, correction: Correction, values: CardValues) -> None:
    """The rim of the window has its grey where the light of the card falls on it. Raises PictureRefusedError."""
    rim, window, grey = CARD.rim, CARD.window, np.array(values.lab[RIM_GREY])
    sides = {
        "top": Box(rim.left, rim.top, rim.right, window.top),
        "bottom": Box(rim.left, window.bottom, rim.right, rim.bottom),
        "left": Box(rim.left, rim.top, window.left, rim.bottom),
        "right": Box(window.right, rim.top, rim.right, rim.bottom),
    }
    slack = 1.0 if values.is_measured else 1.4
    for side, box in sides.items():
        lab = np.median(_lab(flat, box.inset(1.5), light, correction).reshape(-1, 3), axis=0)
        off = lab - grey
        if abs(off[0]) > slack * RIM_OFF_LIGHTNESS or float(np.hypot(off[1], off[2])) > slack * RIM_OFF_CHROMA:
            raise PictureRefusedError("other_light", side)


def _strand(flat: NDArray[np.uint8], light: Light, correction: Correction, values: CardValues) -> Found:
    box = CARD.window.inset(3.0)
    codes = pixels_of(flat, box)
    lab = _lab(flat, box, light, correction)
    # sheen lies in bands across the strand: its body is what the duller columns show, between gaps and gleams
    columns = np.median(lab[..., 0], axis=0)
    dull = lab[:, columns <= np.quantile(columns, DULL_SHARE)]
    low, high = np.quantile(dull[..., 0], BODY_SHARE)
    middle = dull[(dull[..., 0] >= low) & (dull[..., 0] <= high)].mean(axis=0)
    lightness = lab[..., 0].ravel()
    gloss = (lightness > middle[0] + GLOSS_ABOVE) | (codes.reshape(-1, 3).min(axis=1) >= BURNT_CODE)
    share = float(gloss.mean())
    if share > GLOSS_SHARE_MAX:
        raise PictureRefusedError("gloss")
    thirds = [float(np.quantile(part[..., 0], 0.25)) for part in np.array_split(lab, 3, axis=1)]
    if max(thirds) - min(thirds) > SHADED_LIGHTNESS:
        raise PictureRefusedError("other_light", "left" if thirds[0] < thirds[2] else "right")
    known = values.std / (4.0 if values.is_measured else 2.0)
    std = np.sqrt(STRAND_STD**2 + (correction.lab_std / 2.0) ** 2 + known**2)
    lab_three, std_three = middle.tolist(), std.tolist()
    return Found(
        (lab_three[0], lab_three[1], lab_three[2]),
        (std_three[0], std_three[1], std_three[2]),
        share,
        values.is_measured,
    )
