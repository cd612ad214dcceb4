"""How a strand of hair looks: body, shade, light and sheen from its spectrum, wet or dry, under product, in a light.

Four colours stand for the fibres of a strand; the page lays them side by side. docs/models/practice.md.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from fervens_core.base import Floats
from fervens_core.chair import minutes_between, span_min
from fervens_core.colour import (
    WAVELENGTHS_NM,
    fibre_reflectances,
    hair_absorption,
    reflectance_to_lab,
    seen_hexes,
)
from fervens_core.head import DyeHue, ReadingMode, Zone, kept_parts_of, lanes_of
from fervens_core.lift import Strand, mode_bias
from fervens_core.log import LaneState, Phase
from fervens_core.practice.setup import Difficulty, Setup, hair_truly
from fervens_core.practice.truth import VIOLET_REST, Truth, strand_hair, strand_level
from fervens_core.toning import Result

YELLOW_EXPONENT = 0.8
"""[MODEL] how much warmer than daylight a yellow lamp still looks to an eye that is used to it."""
STEP_MIN = 2.0
PAST_WALL_MIN = 20.0
_RELATIVE: Floats = WAVELENGTHS_NM / 560.0
_WHITE_PASTE: Floats = np.full_like(WAVELENGTHS_NM, 0.82)
_BLUE_PASTE: Floats = 0.10 + 0.30 * np.exp(-0.5 * ((WAVELENGTHS_NM - 465.0) / 55.0) ** 2)


class Light(StrEnum):
    """What the hair is looked at by."""

    DAY = "day"
    YELLOW = "yellow"


@dataclass(frozen=True, slots=True)
class StrandColours:
    """Screen colours of a strand's fibres: in shade, in the middle, in the light, and of its sheen."""

    shade: str
    body: str
    light: str
    sheen: str


def _in(light: Light, reflectance: Floats) -> Floats:
    if light is Light.DAY:
        return reflectance
    warm = _RELATIVE**YELLOW_EXPONENT
    return np.asarray(np.clip(reflectance * warm, 0.0, 1.0))


def paste_hex(*, is_dark: bool, light: Light = Light.DAY) -> str:
    """Screen colour of lightener as it lies on hair: white, or blue."""
    paste = _BLUE_PASTE if is_dark else _WHITE_PASTE
    return seen_hexes(reflectance_to_lab(_in(light, paste))[None])[0]


def strand_colours(
    start_level: float, levels: Sequence[float] | Floats, *, is_wet: bool = False, light: Light = Light.DAY
) -> tuple[StrandColours, ...]:
    """How strands lifted from one level to others look, one each.

    Args:
        start_level, levels: 1 to 10. is_wet: wet hair scatters less and shines more.
    """
    return absorbing(hair_absorption(start_level, np.asarray(levels, dtype=float)), is_wet=is_wet, light=light)


def absorbing(absorption: Floats, *, is_wet: bool, light: Light) -> tuple[StrandColours, ...]:
    """How strands with these absorption spectra look, shape (n, 81), one each."""
    kinds = fibre_reflectances(absorption, is_wet=is_wet)
    hexes = [seen_hexes(reflectance_to_lab(_in(light, kind))) for kind in kinds]
    return tuple(StrandColours(*each) for each in zip(*hexes, strict=True))


def as_seen(level: Floats, mode: ReadingMode) -> Floats:
    """Levels as a way of reading shows them to everyone: through product lighter, wet darker."""
    return np.clip(level + mode_bias(mode), 1.0, 10.0)


@dataclass(frozen=True, slots=True)
class LaneLooks:
    """How a lane's hair looks by minute, to whoever opens it; and as it came, or after its rinse.

    Args:
        step_min: from minute 0 after its application on, one each so many minutes. seed: of how the fibres lie.
        through: under product, wiped: wiped, by minute. still: dry, and wet: as it is where nothing is on it.
        paste: colour of the product.
    """

    key: str
    seed: int
    step_min: float
    through: tuple[StrandColours, ...]
    wiped: tuple[StrandColours, ...]
    dry: StrandColours | None
    wet: StrandColours | None
    paste: str


def lane_looks(truth: Truth, lane: LaneState) -> LaneLooks:
    """How a lane looks, from its truth."""
    chair, setup = truth.chair, truth.setup
    light = light_of(setup)
    from_level = truth.hair(lane.key).colour_start
    is_dark = chair.lightener_of(lane.key).is_dark
    through: tuple[StrandColours, ...] = ()
    wiped: tuple[StrandColours, ...] = ()
    dry = wet = None
    if lane.phase in (Phase.APPLYING, Phase.PROCESSING):
        zero = truth.times[lane.key].zero
        label = chair.lightener_of(lane.key).label_max_min
        passed = max(minutes_between(zero, chair.now), 0.0)
        most = max(label, passed) + span_min(chair.zones[lane.key], lane) + PAST_WALL_MIN
        levels = truth.levels(lane, np.arange(0.0, most, STEP_MIN))
        through = strand_colours(from_level, as_seen(levels, ReadingMode.THROUGH_PRODUCT), is_wet=True, light=light)
        wiped = strand_colours(from_level, as_seen(levels, ReadingMode.WIPED), is_wet=True, light=light)
    else:
        level = np.array([truth.level_at(lane, chair.now)])
        dry = _with_rest(truth, lane, from_level, level, is_wet=False)
        wet = _with_rest(truth, lane, from_level, as_seen(level, ReadingMode.RINSED_WET), is_wet=True)
    return LaneLooks(
        lane.key,
        fibre_seed(setup, lane.key),
        STEP_MIN,
        through,
        wiped,
        dry,
        wet,
        paste_hex(is_dark=is_dark, light=light),
    )


def _with_rest(truth: Truth, lane: LaneState, from_level: float, level: Floats, *, is_wet: bool) -> StrandColours:
    """A strand that nothing is on, with the violet that a shampoo left on it."""
    light = light_of(truth.setup)
    if lane.rinsed_at is None or not truth.holds_violet:
        return strand_colours(from_level, level, is_wet=is_wet, light=light)[0]
    seen = Result(
        lane.key, lane.key, from_level, max(float(level[0]), from_level), rest=DyeHue.VIOLET, rest_amount=VIOLET_REST
    )
    return absorbing(seen.absorption[None], is_wet=is_wet, light=light)[0]


def fibre_seed(setup: Setup, key: str) -> int:
    """Of how the fibres of a strand lie."""
    return int(setup.random("fibres", key).integers(2**31))


def light_of(setup: Setup) -> Light:
    """The light of a round's room."""
    return Light.YELLOW if setup.difficulty is Difficulty.YELLOW_LIGHT else Light.DAY


def still_colours(setup: Setup, zone: Zone) -> tuple[int, StrandColours, StrandColours]:
    """How hair looks that nothing is on yet: seed of its fibres, dry and wet. A lane as its true hair came."""
    lanes = {z.key: z for z in (*kept_parts_of(setup.zones, lanes_of(setup.zones)), *lanes_of(setup.zones))}
    hair = hair_truly(setup, zone, lanes)
    level, light = np.array([hair.start_level]), light_of(setup)
    (dry,) = strand_colours(hair.colour_start, level, light=light)
    (wet,) = strand_colours(hair.colour_start, as_seen(level, ReadingMode.RINSED_WET), is_wet=True, light=light)
    return fibre_seed(setup, zone.key), dry, wet


def strand_look(setup: Setup, strand: Strand) -> tuple[int, float, tuple[StrandColours, ...]]:
    """How the strand of a strand test looks, wiped, by minute: seed, minutes a step, colours."""
    minutes = np.arange(0.0, strand.lightener.label_max_min + PAST_WALL_MIN, STEP_MIN)
    levels = np.array([strand_level(setup, strand, float(m)) for m in minutes])
    from_level = strand_hair(setup, strand).colour_start
    seen = as_seen(levels, ReadingMode.WIPED)
    return fibre_seed(setup, strand.key), STEP_MIN, strand_colours(from_level, seen, is_wet=True, light=light_of(setup))
