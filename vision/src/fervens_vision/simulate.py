"""A simulated camera: photographs of a printed card with a strand under its window, from spectra, with known truth.

For tests, benches and the demo, which has no camera. Strand: a reflectance spectrum with the texture and sheen of hair.
Light: one or two black bodies, uneven. Camera: three broad sensitivities, wrong white balance, a curve, noise, blur,
perspective, JPEG. Inks: three with Gaussian absorption, so that a card is printed a little wrong in its own way.
"""

from __future__ import annotations

import io
from dataclasses import dataclass, replace
from functools import lru_cache

import cv2
import numpy as np
from PIL import Image
from scipy.optimize import least_squares

from fervens_core.colour import WAVELENGTHS_NM, xyz_to_lab
from fervens_core.colour import XYZ_WEIGHTS as _WEIGHTS
from fervens_vision.card import CARD, PATCHES, RIM_GREY, Box, CardValues, Floats, Lab, values_of
from fervens_vision.colours import WHITE_10
from fervens_vision.find import MARKERS

PIXELS_PER_MM = 5.0
BORDER_MM = 14.0
PAPER_REFLECTANCE = 0.88
_INKS: Floats = np.array(
    [
        np.exp(-0.5 * ((WAVELENGTHS_NM - 640.0) / 62.0) ** 2),
        np.exp(-0.5 * ((WAVELENGTHS_NM - 535.0) / 42.0) ** 2),
        np.exp(-0.5 * ((WAVELENGTHS_NM - 440.0) / 45.0) ** 2),
        np.full(WAVELENGTHS_NM.shape, 1.0),
    ]
)
"""Cyan, magenta, yellow and black, by absorption. [MODEL]"""
_SENSITIVITIES: Floats = np.array(
    [
        np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / width) ** 2)
        for peak, width in ((600.0, 42.0), (540.0, 44.0), (458.0, 34.0))
    ]
)
"""Red, green and blue of a camera as broad as a phone's. [MODEL]"""
_C2 = 1.4388e7


@dataclass(frozen=True, slots=True)
class Scene:
    """How a photograph is taken.

    Args:
        kelvin: of the light, left and right of the card. fall: of light over the card, log, along x and y.
        exposure: 1 has white just inside the range. balance: wrong white balance, red and blue. contrast: of the
            camera's curve. blur_px: of its focus. noise: of full range. quality: of its JPEG. tilt: how far corners are
            off a right-angled look, share. sheen: of the strand, light. gloss: wet gloss on top of that.
        window_light: how much of the card's light falls in the window, and its own colour; None for the same.
        print_spread: how wrong the printer is, share of ink. hides_marker: a hand lies on a corner.
    """

    kelvin: tuple[float, float] = (5500.0, 5500.0)
    fall: tuple[float, float] = (0.0, 0.0)
    exposure: float = 0.85
    balance: tuple[float, float] = (1.0, 1.0)
    contrast: float = 0.0
    blur_px: float = 0.8
    noise: float = 0.006
    quality: int = 88
    tilt: float = 0.05
    sheen: float = 0.03
    gloss: float = 0.0
    window_light: tuple[float, float] | None = None
    print_spread: float = 0.05
    hides_marker: bool = False


@dataclass(frozen=True, slots=True)
class Photograph:
    """A picture with what is true of it: the card as a reader would have it."""

    data: bytes
    values: CardValues


def any_scene(random: np.random.Generator) -> Scene:
    """A scene that should be read: light, balance, angle and hands as they come."""
    warm = float(random.uniform(2700.0, 6500.0))
    other = warm if random.random() < 0.6 else float(np.clip(warm + random.normal(0.0, 900.0), 2700.0, 6500.0))
    return Scene(
        kelvin=(warm, other),
        fall=(float(random.normal(0.0, 0.10)), float(random.normal(0.0, 0.08))),
        exposure=float(random.uniform(0.45, 0.95)),
        balance=(float(random.uniform(0.85, 1.2)), float(random.uniform(0.8, 1.2))),
        contrast=float(random.uniform(-0.1, 0.35)),
        blur_px=float(random.uniform(0.5, 1.3)),
        noise=float(random.uniform(0.003, 0.012)),
        quality=int(random.integers(75, 95)),
        tilt=float(random.uniform(0.0, 0.08)),
        sheen=float(random.uniform(0.0, 0.06)),
    )


SPOILT = ("no_card", "too_dark", "burnt_out", "blurred", "uneven", "gloss", "other_light")


def spoilt(scene: Scene, why: str, random: np.random.Generator) -> Scene:
    """The scene with one thing wrong that it should be refused for."""
    sign = float(random.choice([-1.0, 1.0]))
    match why:
        case "no_card":
            return replace(scene, hides_marker=True)
        case "too_dark":
            return replace(scene, exposure=float(random.uniform(0.02, 0.05)))
        case "burnt_out":
            return replace(scene, exposure=float(random.uniform(2.2, 4.0)), balance=(1.0, 1.0))
        case "blurred":
            return replace(scene, blur_px=float(random.uniform(6.0, 10.0)))
        case "uneven":
            fall = float(random.uniform(0.55, 0.9)) * sign
            return replace(scene, fall=(fall, 0.0) if random.random() < 0.6 else (0.0, fall), exposure=0.5)
        case "gloss":
            return replace(scene, gloss=float(random.uniform(0.35, 0.6)))
    return replace(scene, window_light=(float(random.uniform(0.35, 0.6)), float(random.choice([2400.0, 9000.0]))))


@lru_cache(maxsize=64)
def _ink_for(lab: Lab) -> tuple[float, ...]:
    """Ink that prints a colour: least squares over the four."""

    def off(ink: Floats) -> Floats:
        return np.append(_spectrum_lab(_printed(ink)) - np.array(lab), 0.02 * ink)

    found = least_squares(off, np.array([0.2, 0.2, 0.2, 0.2]), bounds=(0.0, 4.0))
    return tuple(found.x.tolist())


def _printed(ink: Floats) -> Floats:
    return np.asarray(PAPER_REFLECTANCE * np.exp(-(ink @ _INKS)))


def _spectrum_lab(reflectance: Floats) -> Floats:
    return xyz_to_lab(reflectance @ _WEIGHTS / WHITE_10)


def _black_body(kelvin: float) -> Floats:
    radiance = WAVELENGTHS_NM**-5.0 / (np.exp(_C2 / (WAVELENGTHS_NM * kelvin)) - 1.0)
    return np.asarray(radiance / radiance.mean())


def _hair(random: np.random.Generator, shape: tuple[int, int]) -> tuple[Floats, Floats]:
    """How much each pixel of a strand reflects of its body, mean 1, and how much it shines, mean 1."""
    rows, columns = shape
    fibres = (
        random.normal(0.0, 1.0, (rows, 1)) * 0.10
        + 0.10 * cv2.GaussianBlur(random.normal(0.0, 1.0, (rows, columns)), (0, 0), sigmaX=40.0, sigmaY=0.8) / 0.06
    )
    gaps = np.minimum(random.normal(0.0, 1.0, (rows, 1)) + 2.2, 0.0) * 0.35
    body = np.exp(fibres * 0.7 + gaps + 0.03 * np.sin(np.linspace(0.0, 3.0 + random.uniform(0, 3), columns))[None, :])
    x = np.linspace(0.0, 1.0, columns)
    bands = sum(
        random.uniform(0.4, 1.0) * np.exp(-0.5 * ((x - random.uniform(0.1, 0.9)) / random.uniform(0.05, 0.12)) ** 2)
        for _ in range(2)
    )
    shine = np.asarray(bands)[None, :] * np.exp(random.normal(0.0, 0.6, (rows, 1)))
    return np.asarray(body / body.mean()), np.asarray(shine / max(float(shine.mean()), 1e-6))


def photograph(strand: Floats, scene: Scene, seed: int) -> Photograph:
    """A photograph of a strand under the window.

    Args:
        strand: its reflectance spectrum, 0 to 1, shape (81,) on the core's wavelengths. seed: of all that is by chance.
    """
    random = np.random.default_rng(seed)
    wrong = 1.0 + random.normal(0.0, scene.print_spread, 4)
    printed = {
        p.name: _printed(np.array(_ink_for(p.nominal)) * wrong * (1.0 + random.normal(0.0, 0.02, 4))) for p in PATCHES
    }
    truth = {name: _three(_spectrum_lab(r)) for name, r in printed.items()}
    size = (round((CARD.height + 2 * BORDER_MM) * PIXELS_PER_MM), round((CARD.width + 2 * BORDER_MM) * PIXELS_PER_MM))
    lights = [_SENSITIVITIES * _black_body(k) for k in scene.kelvin]
    usual = lights[0].sum(axis=1)
    share = np.linspace(0.0, 1.0, size[1])[None, :, None]

    def seen(reflectance: Floats) -> Floats:
        """Light of the three channels all over the picture for one reflectance, shape (1, columns, 3)."""
        left, right = (light @ reflectance / usual for light in lights)
        return np.asarray((1.0 - share) * left + share * right)

    paper = np.full(WAVELENGTHS_NM.shape, PAPER_REFLECTANCE)
    flat = np.broadcast_to(seen(paper * 0.35), (*size, 3)).copy()

    def lay(box: Box, reflectance: Floats) -> None:
        rows, columns = _pixels(box)
        flat[rows, columns] = seen(reflectance)[:, columns]

    lay(Box(0.0, 0.0, CARD.width, CARD.height), paper)
    _markers(flat, hides=scene.hides_marker)
    lay(CARD.rim, printed[RIM_GREY])
    for patch in PATCHES:
        for box in patch.boxes:
            lay(box, printed[patch.name])
    rows, columns = _pixels(CARD.window)
    body, shine = _hair(random, (rows.stop - rows.start, columns.stop - columns.start))
    white = np.ones(WAVELENGTHS_NM.shape)
    gleam = scene.sheen * shine + scene.gloss * np.clip(shine - 0.6, 0.0, 2.0)
    window = seen(strand)[:, columns] * body[..., None] + seen(white)[:, columns] * gleam[..., None]
    if scene.window_light is not None:
        level, kelvin = scene.window_light
        tint = (_SENSITIVITIES @ _black_body(kelvin)) / usual
        rim_rows, rim_columns = _pixels(CARD.rim)
        flat[rim_rows, rim_columns] *= level * tint
        window = window * level * tint
    flat[rows, columns] = window
    y, x = np.mgrid[-1.0 : 1.0 : complex(size[0]), -1.0 : 1.0 : complex(size[1])]
    flat *= np.exp(scene.fall[0] * x + scene.fall[1] * y)[..., None]
    return Photograph(_taken(flat, scene, random), values_of(truth))


def _three(lab: Floats) -> Lab:
    lightness, a, b = lab.tolist()
    return lightness, a, b


def _pixels(box: Box) -> tuple[slice, slice]:
    left, top, right, bottom = (
        round((v + BORDER_MM) * PIXELS_PER_MM) for v in (box.left, box.top, box.right, box.bottom)
    )
    return slice(top, bottom), slice(left, right)


def _markers(flat: Floats, *, hides: bool) -> None:
    black = flat[0, 0] * 0.0 + 0.03
    for number, box in enumerate(CARD.markers):
        if hides and number == 1:
            continue
        rows, columns = _pixels(box)
        side = rows.stop - rows.start
        drawn = cv2.aruco.generateImageMarker(MARKERS, number, side)
        patch = flat[rows, columns]
        flat[rows, columns] = np.where(drawn[..., None] > 127, patch[:, : columns.stop - columns.start], black)


def _taken(flat: Floats, scene: Scene, random: np.random.Generator) -> bytes:
    """The picture a camera makes of a scene that lies flat before it."""
    height, width = flat.shape[:2]
    white = float(np.quantile(flat, 0.98))
    light = flat / white * scene.exposure
    light = light * np.array([scene.balance[0], 1.0, scene.balance[1]])
    around = np.array([[0.0, 0.0], [width, 0.0], [width, height], [0.0, height]])
    moved = around + random.uniform(-scene.tilt, scene.tilt, (4, 2)) * np.array([width, height]) * 0.5
    matrix, _ = cv2.findHomography(around, moved)
    turned = cv2.warpPerspective(light, matrix, (width, height), borderMode=cv2.BORDER_REPLICATE)
    light = np.asarray(cv2.GaussianBlur(turned, (0, 0), scene.blur_px), dtype=np.float64)
    light = light + random.normal(0.0, 1.0, light.shape) * scene.noise * np.sqrt(np.maximum(light, 0.02))
    light = np.clip(light, 0.0, 1.0)
    codes = np.where(light <= 0.0031308, 12.92 * light, 1.055 * light ** (1.0 / 2.4) - 0.055)
    codes = np.clip(codes + scene.contrast * codes * (1.0 - codes) * (codes - 0.4), 0.0, 1.0)
    picture = Image.fromarray(np.asarray(np.rint(codes * 255.0), dtype=np.uint8))
    found = io.BytesIO()
    picture.save(found, "JPEG", quality=scene.quality)
    return found.getvalue()


__all__ = ["SPOILT", "Photograph", "Scene", "any_scene", "photograph", "spoilt"]
