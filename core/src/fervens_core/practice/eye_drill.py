"""The eye drill: twelve strands on the screen, to name level and undertone of. docs/models/practice.md."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.colour import Undertone, undertone
from fervens_core.head import ReadingMode
from fervens_core.lift import Eye, EyePair, learn_eye, mode_bias
from fervens_core.practice.strand import Light, StrandColours, as_seen, strand_colours

STRANDS = 12
DRILL_SECONDS = 120.0
LEAST_LEVEL, MOST_LEVEL = 4.0, 9.6
SCREEN_WEIGHT = 0.5
"""[MODEL] a strand on a screen says half as much of an eye at the chair as hair does."""
DRILL_MODES = (ReadingMode.DRY, ReadingMode.WIPED)


@dataclass(frozen=True, slots=True)
class DrillStrand:
    """One strand: how it is shown, and what it is. seed: of how its fibres lie."""

    number: int
    level: float
    undertone: Undertone
    start_level: float
    colours: StrandColours
    seed: int


def drill(seed: int, mode: ReadingMode = ReadingMode.DRY, light: Light = Light.DAY) -> tuple[DrillStrand, ...]:
    """Twelve strands, the same for the same seed: levels spread over the scale, none the same as the one before.

    Args:
        mode: dry, or wiped: wet, and as much lighter as that way of reading makes hair look.
    """
    random = np.random.default_rng([seed, 12])
    edges = np.linspace(LEAST_LEVEL, MOST_LEVEL, STRANDS + 1)
    levels = edges[:-1] + random.random(STRANDS) * np.diff(edges)
    starts = np.maximum(np.floor(levels - random.uniform(1.5, 4.0, STRANDS)), 1.0)
    found = []
    for number, i in enumerate(random.permutation(STRANDS)):
        level, start = float(levels[i]), float(starts[i])
        shown = as_seen(np.array([level]), mode)
        (colours,) = strand_colours(start, shown, is_wet=mode is not ReadingMode.DRY, light=light)
        found.append(DrillStrand(number, level, undertone(level), start, colours, int(random.integers(2**31))))
    return tuple(found)


def drill_pairs(mode: ReadingMode, answers: Sequence[tuple[float, float]]) -> tuple[EyePair, ...]:
    """Answers as weak evidence of an eye.

    Args:
        answers: (level named, true level) of each strand.
    """
    return tuple(EyePair(mode, seen, known, weight=SCREEN_WEIGHT) for seen, known in answers)


def drill_eye(mode: ReadingMode, answers: Sequence[tuple[float, float]]) -> Eye:
    """What a member's drills alone say of the eye."""
    return learn_eye(mode, drill_pairs(mode, answers))


@dataclass(frozen=True, slots=True)
class DrillScore:
    """A drill as it was answered.

    Args:
        mean_error, spread: levels the answers were too light on average, and how far they scatter around that.
    """

    pairs: tuple[EyePair, ...]
    right_undertones: int
    mean_error: float
    spread: float


def drill_score(seed: int, mode: ReadingMode, answers: Mapping[int, tuple[float, Undertone | None]]) -> DrillScore:
    """What the answers to a drill come to.

    Args:
        answers: by the number of the strand: level and undertone named, None where it was not.
    """
    strands = {s.number: s for s in drill(seed, mode)}
    named = [(level, tone, strands[number]) for number, (level, tone) in answers.items()]
    off = np.array([level - mode_bias(mode) - s.level for level, _, s in named])
    return DrillScore(
        pairs=drill_pairs(mode, [(level, s.level) for level, _, s in named]),
        right_undertones=sum(tone is s.undertone for _, tone, s in named),
        mean_error=float(off.mean()) if off.size else 0.0,
        spread=float(off.std()) if off.size else 0.0,
    )
