"""Which dye takes which warmth out, and how a colourist would say it. docs/models/toner.md."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from fervens_core.base import Floats, LimitError, check_level
from fervens_core.colour import absorption_to_lab, chroma, hair_absorption, hair_lab, hue_deg
from fervens_core.head import DyeFamily
from fervens_core.toning.dyes import DYE_RATIO_PER_LEVEL, dye_absorption
from fervens_core.toning.formula import Formula, Result

_AMOUNTS: Floats = np.geomspace(1e-3, 1.0, 240)
ALIKE_RATIO = 1.125
"""[MODEL] two dye families that leave chroma this near to one another are taken together: blue-violet."""
SHOWN_COST_L = 8.0
"""What a dye leaves is told where it has cost so much L*, as a toner would."""
_HUES = (
    (22.0, "pink"),
    (48.0, "red-warm"),
    (68.0, "orange-warm"),
    (80.0, "golden"),
    (88.0, "yellow"),
    (112.0, "khaki-warm"),
    (190.0, "green"),
    (265.0, "blue"),
    (330.0, "violet"),
    (360.0, "pink"),
)
GREY_CHROMA, FAINT_CHROMA = 4.0, 9.0
"""[MODEL] below these a colour is called grey, or only faintly its hue."""


@dataclass(frozen=True, slots=True)
class Neutraliser:
    """What is left of the warmth when the best amount of one dye family lies over it."""

    family: DyeFamily
    chroma: float
    lab: tuple[float, float, float]


def _best_amount(hair: Floats, dye: Floats) -> tuple[float, tuple[float, float, float]]:
    labs = absorption_to_lab(hair + _AMOUNTS[:, None] * dye)
    left = chroma(labs)
    best = int(left.argmin())
    return float(left[best]), (float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2]))


def rank_neutralisers(*, start_level: float, level: float) -> tuple[Neutraliser, ...]:
    """Dye families by the colour their best amount leaves on lifted hair, least chroma first.

    Args:
        start_level: level before lightening, 1 to 10. level: where it stands, at or above the start.
    Raises:
        LimitError: a level outside 1 to 10, or below the start.
    """
    check_level("start_level", start_level)
    check_level("level", level)
    if level < start_level:
        raise LimitError("level", f"at or above the start level {start_level:g}", level)
    hair = hair_absorption(start_level, np.array(level))
    found = [Neutraliser(family, *_best_amount(hair, dye_absorption(family))) for family in DyeFamily]
    return tuple(sorted(found, key=lambda n: n.chroma))


def natural_lab(level: float) -> Floats:
    """CIELAB of natural, never lightened hair of a level, shape (3,)."""
    return hair_lab(level, np.array(check_level("level", level)))


def colour_word(lab: Floats | tuple[float, float, float]) -> str:
    """The plain word for a hair colour's hue: grey, golden, khaki-warm, ..."""
    at = np.asarray(lab, dtype=float)
    if float(chroma(at)) < GREY_CHROMA:
        return "grey"
    word = next(name for upper, name in _HUES if float(hue_deg(at)) <= upper)
    return f"faintly {word}" if float(chroma(at)) < FAINT_CHROMA else word


@dataclass(frozen=True, slots=True)
class Counter:
    """The counter-tone of what shows on a zone.

    Args:
        name: as a colourist calls it. families: its dyes, the better one first.
        instead, instead_left: the dye one might take in its place, and the colour that alone would leave.
    """

    name: str
    families: tuple[DyeFamily, ...]
    instead: str
    instead_left: str


def _left_by(hair: Floats, family: DyeFamily) -> str:
    labs = absorption_to_lab(np.vstack([hair, hair + _AMOUNTS[:, None] * dye_absorption(family)]))
    lost = labs[0, 0] - labs[:, 0]
    return colour_word(np.array([np.interp(SHOWN_COST_L, lost, labs[:, i]) for i in range(3)]))


def _off_rest(result: Result, family: DyeFamily) -> float:
    """How far from natural hair of its level the best amount of a dye leaves it, in a* and b*."""
    labs = absorption_to_lab(result.absorption + _AMOUNTS[:, None] * dye_absorption(family))
    plain = natural_lab(result.level)
    return float(np.hypot(labs[:, 1] - plain[1], labs[:, 2] - plain[2]).min())


@lru_cache(maxsize=500)
def counter_tone(result: Result) -> Counter:
    """Which counter-tone takes the hue of a zone out best; for a rest of old dye, which takes that rest out."""
    hair = result.absorption
    if result.rest is not None and result.rest_amount > 0.0:
        off = {f: _off_rest(result, f) for f in DyeFamily}
        order = sorted(off, key=lambda f: off[f])
        name = "red or pink" if order[0] is DyeFamily.RED else order[0].value
        return Counter(name, (order[0],), order[1].value, _left_by(hair, order[1]))
    left = {f: _best_amount(hair, dye_absorption(f))[0] for f in DyeFamily}
    first, second = sorted(left, key=lambda f: left[f])[:2]
    is_between = left[second] <= ALIKE_RATIO * left[first]
    if not is_between:
        return Counter(first.value, (first,), second.value, _left_by(hair, second))
    name = "-".join(sorted([first.value, second.value]))
    return Counter(name, (first, second), DyeFamily.VIOLET.value, _left_by(hair, DyeFamily.VIOLET))


def explain(result: Result) -> str:
    """One sentence on a zone as a colourist would say it: what shows, what counters it, what another would leave."""
    counter = counter_tone(result)
    shows = result.undertone.capitalize()
    if result.rest is not None and result.rest_amount > 0.0:
        shows = f"A {result.rest.value} rest on {result.undertone}"
    left = counter.instead_left
    return f"{shows} at {result.level:g}: {counter.name}; {counter.instead} alone would leave it {left}"


def dye_shares(formula: Formula) -> dict[DyeFamily, float]:
    """How much of each dye family a formula has, summing to 1, by what it lays down."""
    found: dict[DyeFamily, float] = {}
    for shade, share in zip(formula.shades, formula.shares, strict=True):
        for family, part in shade.dyes:
            found[family] = found.get(family, 0.0) + share * part * DYE_RATIO_PER_LEVEL ** (10.0 - shade.level)
    total = sum(found.values()) or 1.0
    return {family: x / total for family, x in found.items()}
