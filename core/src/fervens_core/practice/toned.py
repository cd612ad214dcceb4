"""What toner really does on a practice head: on its true level, with an uptake nobody is told of."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.basin import ReadZone, formula_of, read_zones
from fervens_core.chair import minutes_between
from fervens_core.head import DyeHue, TonerShade
from fervens_core.practice.setup import Setup
from fervens_core.practice.strand import StrandColours, absorbing, fibre_seed, light_of
from fervens_core.practice.truth import VIOLET_REST, Truth
from fervens_core.toning import Result, toned_absorption

UPTAKE_STD = 0.12
"""[MODEL] how much more or less toner a head takes than expected, as a log."""
PAST_LABEL_MIN = 5.0


def uptake_of(setup: Setup) -> float:
    """How much toner a head takes beside what is expected of its hair."""
    return float(np.exp(UPTAKE_STD * setup.random("uptake").standard_normal()))


def true_result(truth: Truth, read: ReadZone) -> Result:
    """What a rinsed part really became: its true level, and what a violet shampoo left on it."""
    chair, result = truth.chair, read.result
    level = result.level if read.is_kept else truth.level_at(chair.state.lane(read.lane.key), chair.now)
    found = replace(result, level=float(np.clip(level, result.start_level, 10.0)))
    if truth.holds_violet and found.rest_amount < VIOLET_REST:
        found = replace(found, rest=DyeHue.VIOLET, rest_amount=VIOLET_REST)
    return found


@dataclass(frozen=True, slots=True)
class TonedLooks:
    """How a low strand of a part looks, rinsed and dabbed dry, by the minutes its toner is on, each minute from 0.

    Args:
        key: of the lane. seed: of how its fibres lie. rinsed: as it is since its toner was rinsed; None while it is on.
    """

    key: str
    seed: int
    by_minute: tuple[StrandColours, ...]
    rinsed: StrandColours | None


def toned_looks(truth: Truth, shades: Sequence[TonerShade]) -> tuple[TonedLooks, ...]:
    """Every part that has or had toner on."""
    known = {s.key: s for s in shades}
    light, more = light_of(truth.setup), uptake_of(truth.setup)
    found = []
    for read in read_zones(truth.chair):
        toner = read.lane.toner
        formula = formula_of(toner.applied, known) if toner else None
        if toner is None or formula is None:
            continue
        minutes = np.arange(0.0, formula.label_max_min + PAST_LABEL_MIN, 1.0)
        spectra = toned_absorption(true_result(truth, read), formula, minutes, more)
        looks = absorbing(spectra, is_wet=False, light=light)
        rinsed = None
        if toner.rinsed_at is not None:
            on_min = minutes_between(toner.applied_at, toner.rinsed_at)
            left = toned_absorption(true_result(truth, read), formula, np.array([on_min]), more)
            (rinsed,) = absorbing(left, is_wet=False, light=light)
        found.append(TonedLooks(read.lane.key, fibre_seed(truth.setup, read.lane.key), looks, rinsed))
    return tuple(found)
