"""Which dye takes which warmth out, and how a colourist would say it. docs/models/toner.md."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from fervens_core.base import Floats, LimitError, Message, check_level, say, term
from fervens_core.colour import absorption_to_lab, chroma, hair_absorption, hair_lab, hue_deg, reference_lab
from fervens_core.head import DyeFamily
from fervens_core.toning.dyes import DYE_RATIO_PER_LEVEL, dye_absorption
from fervens_core.toning.formula import COOL, Formula, Result

_AMOUNTS: Floats = np.geomspace(1e-3, 1.0, 240)
ALIKE_RATIO = 1.125
"""[MODEL] two dye families that leave chroma this near to one another are taken together: blue-violet."""
SHOWN_COST_L = 8.0
"""What a dye leaves is told where it has cost so much L*, as a toner would."""
_HUES = (
    (22.0, say("hue-pink")),
    (48.0, say("hue-red_warm")),
    (68.0, say("hue-orange_warm")),
    (80.0, say("hue-golden")),
    (88.0, say("hue-yellow")),
    (112.0, say("hue-khaki_warm")),
    (190.0, say("hue-green")),
    (265.0, say("hue-blue")),
    (330.0, say("hue-violet")),
    (360.0, say("hue-pink")),
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
        raise LimitError("level", say("limit-not_below_start_level", level=start_level), level)
    hair = hair_absorption(start_level, np.array(level))
    found = [Neutraliser(family, *_best_amount(hair, dye_absorption(family))) for family in DyeFamily]
    return tuple(sorted(found, key=lambda n: n.chroma))


def natural_lab(level: float) -> Floats:
    """CIELAB of natural, never lightened hair of a level, shape (3,)."""
    return hair_lab(level, np.array(check_level("level", level)))


def colour_word(lab: Floats | tuple[float, float, float]) -> Message:
    """The plain word for a hair colour's hue: grey, golden, khaki-warm, ..."""
    at = np.asarray(lab, dtype=float)
    if float(chroma(at)) < GREY_CHROMA:
        return say("hue-grey")
    word = next(name for upper, name in _HUES if float(hue_deg(at)) <= upper)
    return say("hue-faint", hue=word) if float(chroma(at)) < FAINT_CHROMA else word


@dataclass(frozen=True, slots=True)
class Counter:
    """The counter-tone of what shows on a zone.

    Args:
        name: as a colourist calls it. families: its dyes, the better one first.
        instead, instead_left: the dye one might take in its place, and the colour that alone would leave.
    """

    name: Message
    families: tuple[DyeFamily, ...]
    instead: DyeFamily
    instead_left: Message


def _left_by(hair: Floats, family: DyeFamily) -> Message:
    labs = absorption_to_lab(np.vstack([hair, hair + _AMOUNTS[:, None] * dye_absorption(family)]))
    lost = labs[0, 0] - labs[:, 0]
    return colour_word(np.array([np.interp(SHOWN_COST_L, lost, labs[:, i]) for i in range(3)]))


def _off_rest(result: Result, family: DyeFamily) -> float:
    """How far from natural hair of its level the best amount of a dye leaves it, in a* and b*."""
    labs = absorption_to_lab(result.absorption + _AMOUNTS[:, None] * dye_absorption(family))
    plain = reference_lab(np.array(result.level))
    return float(np.hypot(labs[:, 1] - plain[1], labs[:, 2] - plain[2]).min())


@lru_cache(maxsize=500)
def counter_tone(result: Result) -> Counter:
    """Which counter-tone takes the hue of a zone out best; for a rest of old dye, which takes that rest out."""
    hair = result.absorption
    if result.rest is not None and result.rest_amount > 0.0:
        off = {f: _off_rest(result, f) for f in DyeFamily}
        order = sorted(off, key=lambda f: off[f])
        name = say("counter-red_or_pink") if order[0] is DyeFamily.RED else term(order[0])
        return Counter(name, (order[0],), order[1], _left_by(hair, order[1]))
    left = {f: _best_amount(hair, dye_absorption(f))[0] for f in DyeFamily}
    first, second = sorted(left, key=lambda f: left[f])[:2]
    is_between = left[second] <= ALIKE_RATIO * left[first]
    if not is_between:
        return Counter(term(first), (first,), second, _left_by(hair, second))
    cooler, warmer = sorted((first, second), key=lambda f: f.value)
    name = say("counter-two", first=cooler, second=warmer)
    return Counter(name, (first, second), DyeFamily.VIOLET, _left_by(hair, DyeFamily.VIOLET))


def explain(result: Result) -> Message:
    """One sentence on a zone as a colourist would say it: what shows, what counters it, what another would leave."""
    counter = counter_tone(result)
    shown = {
        "undertone": result.undertone,
        "level": result.level,
        "counter": counter.name,
        "instead": counter.instead,
        "left": counter.instead_left,
    }
    if result.rest is not None and result.rest_amount > 0.0:
        return say("tone-counter_rest", rest=result.rest, **shown)
    return say("tone-counter", **shown)


def dye_shares(formula: Formula) -> dict[DyeFamily, float]:
    """How much of each dye family a formula has, summing to 1, by what it lays down."""
    found: dict[DyeFamily, float] = {}
    for shade, share in zip(formula.shades, formula.shares, strict=True):
        for family, part in shade.dyes:
            found[family] = found.get(family, 0.0) + share * part * DYE_RATIO_PER_LEVEL ** (10.0 - shade.level)
    total = sum(found.values()) or 1.0
    return {family: x / total for family, x in found.items()}


def cool_share(formula: Formula) -> float:
    """How much of a formula's dye is ash or violet, 0 to 1."""
    shares = dye_shares(formula)
    return sum(shares.get(f, 0.0) for f in COOL)
