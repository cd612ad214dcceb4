"""Finding the card in a picture and laying it flat."""

from __future__ import annotations

import cv2
import numpy as np
from numpy.typing import NDArray

from fervens_vision.card import CARD, Box, Floats
from fervens_vision.refused import PictureRefusedError

MARKERS = cv2.aruco.getPredefinedDictionary(cv2.aruco.DICT_4X4_50)
PIXELS_PER_MM = 6.0
EDGE_MM_MAX = 1.1
"""[MODEL] an edge of a marker that takes longer than this to go from black to white is blurred."""
SHARPNESS_MIN = 0.06
"""[MODEL] below this no marker could be found even if it were there."""
MARKER_PIXELS_MIN = 34.0
"""A marker smaller than this in the picture is read too coarsely."""


def find_card(picture: NDArray[np.uint8]) -> NDArray[np.uint8]:
    """The card laid flat, PIXELS_PER_MM to the millimetre, shape (756, 1140, 3).

    Raises:
        PictureRefusedError: not all four markers are found; a picture that is blurred.
    """
    grey = np.asarray(cv2.cvtColor(picture, cv2.COLOR_RGB2GRAY), dtype=np.uint8)
    detector = cv2.aruco.ArucoDetector(MARKERS, cv2.aruco.DetectorParameters())
    corners, ids, _ = detector.detectMarkers(grey)
    found = {} if ids is None else {int(i): c.reshape(4, 2) for i, c in zip(ids.ravel(), corners, strict=True)}
    if any(number not in found for number in range(len(CARD.markers))):
        raise PictureRefusedError("blurred" if _sharpness(grey) < SHARPNESS_MIN else "no_card")
    if min(float(np.linalg.norm(found[i][0] - found[i][2])) for i in range(4)) < MARKER_PIXELS_MIN * 2.0**0.5:
        raise PictureRefusedError("no_card")
    seen = np.vstack([found[i] for i in range(len(CARD.markers))]).astype(np.float64)
    at = np.vstack([_corners(box) for box in CARD.markers]) * PIXELS_PER_MM
    matrix, _ = cv2.findHomography(seen, at)
    if matrix is None:
        raise PictureRefusedError("no_card")
    size = (round(CARD.width * PIXELS_PER_MM), round(CARD.height * PIXELS_PER_MM))
    warped = cv2.warpPerspective(
        picture, matrix, size, flags=cv2.INTER_AREA if size[0] < picture.shape[1] else cv2.INTER_LINEAR
    )
    flat = np.asarray(warped, dtype=np.uint8)
    if _edge_mm(flat) > EDGE_MM_MAX:
        raise PictureRefusedError("blurred")
    return flat


def _sharpness(grey: NDArray[np.uint8]) -> float:
    """The steepest steps of a picture, codes a pixel, its contrast taken into account."""
    steps = np.abs(cv2.Laplacian(cv2.GaussianBlur(grey, (0, 0), 1.2), cv2.CV_64F))
    return float(np.quantile(steps, 0.999) / max(float(np.quantile(grey, 0.99)) - float(np.quantile(grey, 0.01)), 20.0))


def _corners(box: Box) -> Floats:
    return np.array([[box.left, box.top], [box.right, box.top], [box.right, box.bottom], [box.left, box.bottom]])


def pixels_of(flat: NDArray[np.uint8], box: Box) -> NDArray[np.uint8]:
    """The pixels of a rectangle of the card laid flat."""
    left, top, right, bottom = (round(v * PIXELS_PER_MM) for v in (box.left, box.top, box.right, box.bottom))
    return flat[max(top, 0) : bottom, max(left, 0) : right]


def _edge_mm(flat: NDArray[np.uint8]) -> float:
    """How long the outer edges of the markers take from one to nine tenths of their step, mm; the sharpest half."""
    widths = []
    for box in CARD.markers:
        middle = (box.top + box.bottom) / 2.0
        for x in (box.left, box.right):
            rows = pixels_of(flat, Box(x - 3.0, middle - 4.0, x + 3.0, middle + 4.0)).mean(axis=2).astype(float)
            profile = np.median(rows, axis=0)
            if x == box.right:
                profile = profile[::-1]
            high, low = float(np.median(profile[:8])), float(np.median(profile[-8:]))
            if high - low < 20.0:
                continue
            share = np.clip((high - profile) / (high - low), 0.0, 1.0)
            first = int(np.argmax(share > 0.1))
            last = int(np.argmax(share > 0.9))
            widths.append(max(last - first, 0) / PIXELS_PER_MM)
    return float(np.median(widths)) if widths else 9.0
