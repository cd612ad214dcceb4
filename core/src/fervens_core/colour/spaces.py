"""Spectrum to CIELAB to sRGB, and CIEDE2000, over whole arrays at once.

Our own few lines rather than a colour library's, because a board paints a thousand spectra in one answer;
the tests hold them against two libraries (docs/decisions/0003-colour-in-numpy.md).
"""

from __future__ import annotations

import math

import numpy as np

from fervens_core.base import AnyFloats, Floats
from fervens_core.colour.cie_tables import CIE_1964_AND_D65

WAVELENGTHS_NM: Floats = np.arange(380.0, 781.0, 5.0)

_TABLE = np.array(CIE_1964_AND_D65)
XYZ_WEIGHTS: Floats = _TABLE[:, :3] * _TABLE[:, 3:4]
XYZ_WEIGHTS /= XYZ_WEIGHTS[:, 1].sum()
_WHITE_10: Floats = XYZ_WEIGHTS.sum(axis=0)

# sRGB (IEC 61966-2-1): its white is D65 for the 2 degree observer; Lab relative to its own white is kept,
# so that a neutral stays neutral on screen.
_WHITE_2: Floats = np.array([0.95047, 1.0, 1.08883])
_XYZ_TO_RGB: Floats = np.array(
    [
        [3.2404542, -1.5371385, -0.4985314],
        [-0.9692660, 1.8760108, 0.0415560],
        [0.0556434, -0.2040259, 1.0572252],
    ]
)
_EPSILON = 216.0 / 24389.0
_KAPPA = 24389.0 / 27.0
_CIRCLE, _DEGREE = 2.0 * math.pi, math.pi / 180.0


def reflectance_to_lab(reflectance: Floats) -> Floats:
    """CIELAB (D65, 10 degree observer) of reflectance spectra.

    Args:
        reflectance: 0 to 1, shape (..., 81) on WAVELENGTHS_NM.
    Returns:
        L*, a*, b*, shape (..., 3).
    Source: ISO/CIE 11664-3 and 11664-4.
    """
    return xyz_to_lab(reflectance @ XYZ_WEIGHTS / _WHITE_10)


def xyz_to_lab(xyz: AnyFloats) -> Floats:
    """CIELAB of tristimulus values as shares of the white's, shape (..., 3). Source: ISO/CIE 11664-4."""
    f = np.where(xyz > _EPSILON, np.cbrt(xyz), (_KAPPA * xyz + 16.0) / 116.0)
    return np.stack(
        [116.0 * f[..., 1] - 16.0, 500.0 * (f[..., 0] - f[..., 1]), 200.0 * (f[..., 1] - f[..., 2])], axis=-1
    )


def lab_to_srgb(lab: Floats) -> Floats:
    """Gamma-encoded sRGB of CIELAB, clipped to 0 to 1, shape (..., 3). Source: IEC 61966-2-1."""
    fy = (lab[..., 0] + 16.0) / 116.0
    f = np.stack([fy + lab[..., 1] / 500.0, fy, fy - lab[..., 2] / 200.0], axis=-1)
    cubed = f**3
    xyz = np.where(cubed > _EPSILON, cubed, (116.0 * f - 16.0) / _KAPPA) * _WHITE_2
    linear = np.clip(xyz @ _XYZ_TO_RGB.T, 0.0, 1.0)
    return np.where(linear <= 0.0031308, 12.92 * linear, 1.055 * linear ** (1.0 / 2.4) - 0.055)


def lab_to_hex(lab: Floats) -> list[str]:
    """Colours as #rrggbb, one per row of an (n, 3) CIELAB array."""
    rgb = np.rint(lab_to_srgb(np.atleast_2d(lab)) * 255.0).astype(int)
    return [f"#{r:02x}{g:02x}{b:02x}" for r, g, b in rgb.tolist()]


def lab_hex(lab: Floats | tuple[float, float, float]) -> str:
    """One colour as #rrggbb."""
    return lab_to_hex(np.asarray(lab, dtype=float))[0]


def chroma(lab: Floats) -> Floats:
    """CIELAB chroma, shape (...)."""
    return np.hypot(lab[..., 1], lab[..., 2])


def hue_deg(lab: Floats) -> Floats:
    """CIELAB hue angle in degrees, 0 to 360, shape (...)."""
    return np.degrees(np.arctan2(lab[..., 2], lab[..., 1])) % 360.0


def _seventh(x: AnyFloats) -> AnyFloats:
    """Seventh power; many times quicker than a general power."""
    square = x * x
    seventh: AnyFloats = square * square * square * x
    return seventh


def _turn(angle: AnyFloats) -> AnyFloats:
    """An angle of half a circle either way as one of a whole circle, radians."""
    return np.where(angle < 0.0, angle + _CIRCLE, angle)


def _length(a: AnyFloats, b: AnyFloats) -> AnyFloats:
    """Length of (a, b); quicker than a hypot that guards against overflow."""
    length: AnyFloats = np.sqrt(a * a + b * b)
    return length


def delta_e_2000(lab_1: AnyFloats, lab_2: AnyFloats) -> Floats:
    """CIEDE2000 colour difference with kL = kC = kH = 1, broadcasting over the leading axes.

    Source: Sharma, Wu and Dalal (2005), "The CIEDE2000 color-difference formula: implementation notes,
    supplementary test data, and mathematical observations", Color Research and Application 30(1).
    """
    l1, a1, b1 = (lab_1[..., i].copy() for i in range(3))  # one after another, they go through the cache once
    l2, a2, b2 = (lab_2[..., i].copy() for i in range(3))
    mean_c7 = _seventh((_length(a1, b1) + _length(a2, b2)) / 2.0)
    g = 0.5 * (1.0 - np.sqrt(mean_c7 / (mean_c7 + 25.0**7)))
    a1p, a2p = (1.0 + g) * a1, (1.0 + g) * a2
    c1, c2 = _length(a1p, b1), _length(a2p, b2)
    h1, h2 = _turn(np.arctan2(b1, a1p)), _turn(np.arctan2(b2, a2p))
    is_grey = c1 * c2 == 0.0
    dh = h2 - h1
    dh = np.where(dh > math.pi, dh - _CIRCLE, np.where(dh < -math.pi, dh + _CIRCLE, dh))
    dh = np.where(is_grey, 0.0, dh)
    d_hue = 2.0 * np.sqrt(c1 * c2) * np.sin(dh / 2.0)
    total = h1 + h2
    half = total / 2.0
    across = np.where(total < _CIRCLE, half + math.pi, half - math.pi)
    mean_h = np.where(is_grey, total, np.where(np.abs(h1 - h2) <= math.pi, half, across))
    mean_l, mean_c = (l1 + l2) / 2.0, (c1 + c2) / 2.0
    t = (
        1.0
        - 0.17 * np.cos(mean_h - 30.0 * _DEGREE)
        + 0.24 * np.cos(2.0 * mean_h)
        + 0.32 * np.cos(3.0 * mean_h + 6.0 * _DEGREE)
        - 0.20 * np.cos(4.0 * mean_h - 63.0 * _DEGREE)
    )
    s_l = 1.0 + 0.015 * (mean_l - 50.0) ** 2 / np.sqrt(20.0 + (mean_l - 50.0) ** 2)
    s_c = 1.0 + 0.045 * mean_c
    s_h = 1.0 + 0.015 * mean_c * t
    c7 = _seventh(mean_c)
    away = np.minimum(((mean_h - 275.0 * _DEGREE) / (25.0 * _DEGREE)) ** 2, 80.0)  # beyond, it is nothing
    rotation = -2.0 * np.sqrt(c7 / (c7 + 25.0**7)) * np.sin(60.0 * _DEGREE * np.exp(-away))
    dl, dc, dhh = (l2 - l1) / s_l, (c2 - c1) / s_c, d_hue / s_h
    result: Floats = np.sqrt(dl**2 + dc**2 + dhh**2 + rotation * dc * dhh)
    return result
