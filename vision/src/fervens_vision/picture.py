"""A picture as it comes from a device: looked at before it is opened, made small, refused when it is none."""

from __future__ import annotations

import io
import warnings

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageOps

from fervens_vision.refused import PictureRefusedError

BYTES_MAX = 12_000_000
PIXELS_MAX = 60_000_000
EDGE_MAX = 1800
"""Pixels of the long edge that are worked with; more tell nothing more of a patch."""
FORMATS = ("JPEG", "PNG", "WEBP")


def open_picture(data: bytes) -> NDArray[np.uint8]:
    """Red, green and blue codes, shape (height, width, 3), the right way up, at most 1800 on the long edge.

    Raises:
        PictureRefusedError: no picture of a known kind, or one that is too large to be opened.
    """
    if len(data) > BYTES_MAX:
        raise PictureRefusedError("too_large")
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            picture = Image.open(io.BytesIO(data), formats=FORMATS)
        if picture.width * picture.height > PIXELS_MAX:
            raise PictureRefusedError("too_large")
        picture.draft("RGB", (EDGE_MAX, EDGE_MAX))  # a JPEG is opened at a fraction of its size
        turned = ImageOps.exif_transpose(picture).convert("RGB")
        turned.thumbnail((EDGE_MAX, EDGE_MAX), Image.Resampling.BOX)
    except (Image.DecompressionBombError, Image.DecompressionBombWarning):
        raise PictureRefusedError("too_large") from None
    except (OSError, ValueError, SyntaxError, MemoryError):
        raise PictureRefusedError("no_picture") from None
    return np.asarray(turned, dtype=np.uint8)
