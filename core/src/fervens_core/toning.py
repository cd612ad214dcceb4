"""Which toner for a zone that stands at a level: the hair's own spectrum with each shade's dye over it."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.colour import Floats, chroma, lab_to_hex
from fervens_core.errors import LimitError
from fervens_core.hair import Porosity, Tone
from fervens_core.pigment import absorption_to_lab, hair_absorption, hair_lab, undertone
from fervens_core.products import DyeFamily, TonerShade
from fervens_core.quantities import check_level
from fervens_core.toner import TonerChoice, dye_absorption, minutes_grid, pick_minutes, toned_absorption, wanted_lab

MAX_DEPTH_LOST_L = 8.0
"""[MODEL] most L* a toner may cost before a zone counts as darkened: a level or so among the blondes."""
SHORT_TIME_MIN, SHORT_TIME_PENALTY = 5.0, 0.3
DEEP_SHADE_PENALTY = 0.5
"""[MODEL] ranking in CIEDE2000 units: per minute under 5 (hard to hit), per level a shade is deeper than the hair."""
_AMOUNTS: Floats = np.geomspace(1e-3, 1.0, 240)


@dataclass(frozen=True, slots=True)
class Neutraliser:
    """What is left of the warmth when the best amount of one dye family lies over it."""

    family: DyeFamily
    chroma: float
    lab: tuple[float, float, float]


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
    found = []
    for family in DyeFamily:
        labs = absorption_to_lab(hair + _AMOUNTS[:, None] * dye_absorption(family))
        left = chroma(labs)
        best = int(left.argmin())
        lab = (float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2]))
        found.append(Neutraliser(family=family, chroma=float(left[best]), lab=lab))
    return tuple(sorted(found, key=lambda n: n.chroma))


@dataclass(frozen=True, slots=True)
class ToneProposal:
    """Shades for one zone, best first, with the wanted colour and the colour now."""

    undertone: str
    now_hex: str
    wanted_hex: str
    choices: tuple[TonerChoice, ...]


def natural_lab(level: float) -> Floats:
    """CIELAB of natural, never lightened hair of a level, shape (3,)."""
    return hair_lab(level, np.array(check_level("level", level)))


def _rank(choice: TonerChoice, level: float) -> float:
    """Colour difference, with what makes a choice risky at the basin added."""
    short = SHORT_TIME_PENALTY * max(0.0, SHORT_TIME_MIN - choice.minutes)
    return choice.delta_e + short + DEEP_SHADE_PENALTY * max(0.0, level - choice.shade.level - 0.5)


def propose(
    shades: tuple[TonerShade, ...],
    *,
    start_level: float,
    level: float,
    porosity: Porosity,
    tone: Tone,
    wanted_level: float,
    max_depth_lost_l: float = MAX_DEPTH_LOST_L,
) -> ToneProposal:
    """Every shade at its best minutes, those nearest to the wanted colour first; a shade that costs too much
    depth at every minute stands last.

    Args:
        start_level, level: before lightening and now, 1 to 10.
        wanted_level: the depth the tone is wanted at; never lighter than the zone now stands.
    """
    hair = hair_absorption(check_level("start_level", start_level), np.array(check_level("level", level)))
    now = absorption_to_lab(hair)
    wanted = wanted_lab(natural_lab(min(wanted_level, level)), tone)
    choices = [
        pick_minutes(
            shade,
            absorption_to_lab(toned_absorption(hair, shade, minutes_grid(shade), porosity)),
            untoned_lab=now,
            wanted=wanted,
            max_depth_lost_l=max_depth_lost_l,
        )
        for shade in shades
    ]
    choices.sort(key=lambda c: (c.depth_lost_l > max_depth_lost_l, _rank(c, level), c.shade.key))
    now_hex, wanted_hex = lab_to_hex(np.stack([now, wanted]))
    return ToneProposal(undertone=undertone(level), now_hex=now_hex, wanted_hex=wanted_hex, choices=tuple(choices))


def toned_hex(
    shade: TonerShade, minutes: list[float], *, start_level: float, level: float, porosity: Porosity
) -> list[str]:
    """Screen colours of a zone with a shade on, at each of `minutes`."""
    hair = hair_absorption(check_level("start_level", start_level), np.array(check_level("level", level)))
    return lab_to_hex(absorption_to_lab(toned_absorption(hair, shade, np.array(minutes, dtype=float), porosity)))
