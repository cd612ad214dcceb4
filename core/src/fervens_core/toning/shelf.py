"""A shelf's formulas laid out for the search, and the search's quick pass over one part. docs/models/tonematch.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import AnyFloats, Bools, Floats, LimitError, say
from fervens_core.colour import (
    ALBEDO_FACTOR,
    SURFACE_REFLECTION,
    XYZ_WEIGHTS,
    brighten,
    delta_e_2000,
    xyz_to_lab,
)
from fervens_core.head import DyeFamily
from fervens_core.toning.dyes import deposit
from fervens_core.toning.fit import (
    LAST_LONG_PENALTY,
    MIX_PENALTY,
    ODD_PER_SHARE,
    SHORT_TIME_MIN,
    SHORT_TIME_PENALTY,
    TOO_DEEP_COST,
    TOO_DEEP_PER_L,
    WASH_PENALTY,
    WRONG_SHADE_COST,
    Goal,
)
from fervens_core.toning.formula import (
    BRIGHTEN_LEVELS_PER_VOL,
    BRIGHTEN_TAU_MIN,
    COOL,
    Formula,
    Result,
    depth_ratio,
    full_absorption,
    is_ash,
    is_coppery,
    time_constant_min,
)
from fervens_core.toning.formulas import Formulas, tabled

COARSE = 2
"""The first pass looks at every second wavelength: each 10 nm."""
BLOCK = 1024
"""Formulas worked on at once: what they need stays in the processor's cache."""
_NODES = 4
Singles = AnyFloats
"""Single precision, for the first pass."""


@dataclass(frozen=True, slots=True, eq=False)
class ToneShelf:
    """Every formula of a shelf, laid out for the search; made once for a shelf.

    Args:
        formulas: in the order of how much their developer brightens. coarse: every second wavelength of their
            absorption in single precision, (f, 41).
        classes: (levels brightened, first, last) of formulas alike in that.
        deepest: level of each one's deepest shade. own_cost: for a second shade to weigh, for a wash.
        coppery, ash: how much of it a hand takes for that, as `Formula.coppery_share`. All (f,).
        minutes: every whole minute of any label, (m,). off: infinite where a label does not allow it, else 0, (f, m).
        dyes: how much of each family it lays down, by `DyeFamily`, rows summing to 1, (f, 6). levels: depth meant.
    """

    formulas: Formulas
    coarse: Singles
    classes: tuple[tuple[float, int, int], ...]
    deepest: Singles
    own_cost: Singles
    coppery: Singles
    ash: Singles
    minutes: Singles
    off: Singles
    dyes: Floats
    levels: Floats

    @property
    def is_single(self) -> Bools:
        """Which are of one shade."""
        single: Bools = self.formulas.second < 0
        return single

    @property
    def cool_shares(self) -> Floats:
        """How much of each one's dye is ash or violet, as `cool_share`."""
        cool: Floats = self.dyes[:, [list(DyeFamily).index(f) for f in COOL]].sum(axis=1)
        return cool


def lay_out(formulas: Sequence[Formula]) -> ToneShelf:
    """A shelf's formulas laid out for the search. Raises LimitError when there is none."""
    if not len(formulas):
        raise LimitError("formulas", say("limit-one_for_this_person"), 0)
    many = formulas if isinstance(formulas, Formulas) else tabled(formulas)
    shades = many.shades
    volume = np.array([np.inf if s.developer_volume is None else s.developer_volume for s in shades])
    brightened = many.both(volume, np.minimum)
    levels = BRIGHTEN_LEVELS_PER_VOL * np.where(np.isinf(brightened), 0.0, brightened)
    order = np.argsort(levels, kind="stable")
    ordered, levels = many.in_order(order), levels[order]
    firsts = [0, *(np.flatnonzero(np.diff(levels)) + 1).tolist()]
    lasts = [*firsts[1:], len(ordered)]
    begins = np.ceil(ordered.both(np.array([s.label_min_min for s in shades]), np.maximum))
    ends = np.floor(ordered.both(np.array([s.label_max_min for s in shades]), np.minimum))
    minutes = np.arange(begins.min(), ends.max() + 0.5)
    is_off = (minutes > ends[:, None]) | (minutes < begins[:, None])
    oxidative = np.array([s.is_oxidative for s in shades])[ordered.first]
    own_parts = ordered.mean(np.array([s.developer_parts or 0.0 for s in shades]))
    developer = np.where(np.isnan(ordered.parts), own_parts, ordered.parts)
    dye_share = np.where(oxidative, 2.0 / (1.0 + developer), 1.0 / (1.0 + ordered.dilution))
    full = np.array([full_absorption(s)[::COARSE] for s in shades])
    laid = np.array([[depth_ratio(s.level) * sum(x for g, x in s.dyes if g is f) for f in DyeFamily] for s in shades])
    dyes = ordered.mean(laid)
    return ToneShelf(
        formulas=ordered,
        coarse=np.ascontiguousarray(dye_share[:, None] * ordered.mean(full), dtype=np.float32),
        classes=tuple((float(levels[a]), a, b) for a, b in zip(firsts, lasts, strict=True)),
        deepest=ordered.both(np.array([s.level for s in shades]), np.minimum).astype(np.float32),
        own_cost=(MIX_PENALTY * (ordered.second >= 0) + WASH_PENALTY * ~oxidative).astype(np.float32),
        coppery=ordered.mean(np.array([float(is_coppery(s)) for s in shades])).astype(np.float32),
        ash=ordered.mean(np.array([float(is_ash(s)) for s in shades])).astype(np.float32),
        minutes=minutes.astype(np.float32),
        off=np.where(is_off, np.inf, 0.0).astype(np.float32),
        dyes=dyes / np.maximum(dyes.sum(axis=1), 1e-12)[:, None],
        levels=ordered.mean(np.array([s.level for s in shades])),
    )


_COARSE = (XYZ_WEIGHTS[::COARSE] / XYZ_WEIGHTS[::COARSE].sum(axis=0) * (1.0 - SURFACE_REFLECTION)).astype(np.float32)


@dataclass(frozen=True, slots=True, eq=False)
class Sketch:
    """A zone under every formula at four times: colours (f, 4, 3), and how to carry them to whole minutes."""

    labs: Singles
    lagrange: Singles


def sketch(result: Result, shelf: ToneShelf) -> Sketch:
    tau = time_constant_min(result.porosity)
    minutes = shelf.minutes.astype(float)
    taken_at = -np.expm1(-minutes / tau)
    x = np.linspace(taken_at[0], taken_at[-1], _NODES)
    times = -tau * np.log1p(-np.minimum(x, 1.0 - 1e-9))
    taken = (deposit(times, result.porosity) * result.uptake_factor).astype(np.float32)
    labs = np.empty((len(shelf.formulas), _NODES, 3), dtype=np.float32)
    for levels, first, last in shelf.classes:
        gone = levels * -np.expm1(-times / BRIGHTEN_TAU_MIN)
        hair = brighten(result.absorption, gone)[:, ::COARSE].astype(np.float32)
        for begin in range(first, last, BLOCK):
            some = slice(begin, min(begin + BLOCK, last))
            buffer = shelf.coarse[some, None, :] * taken[None, :, None]
            buffer += hair
            np.sqrt(buffer, out=buffer)
            buffer *= np.float32(-ALBEDO_FACTOR)
            np.exp(buffer, out=buffer)
            xyz = buffer.reshape(-1, buffer.shape[-1]) @ _COARSE + np.float32(SURFACE_REFLECTION)
            labs[some] = xyz_to_lab(xyz).reshape(-1, _NODES, 3)
    return Sketch(labs, _lagrange(x, taken_at))


def first_pass(
    shelf: ToneShelf, sketched: Sketch, goal: Goal, short_from: float = SHORT_TIME_MIN, long_from: float = np.inf
) -> Singles:
    """About the cost of each formula at each whole minute on a part, shape (f, m); infinite outside its labels."""
    costs = (delta_e_2000(sketched.labs, goal.colour.astype(np.float32)) ** 2) @ sketched.lagrange
    np.sqrt(np.maximum(costs, 0.0, out=costs), out=costs)
    lightness = np.ascontiguousarray(sketched.labs[..., 0]) @ sketched.lagrange
    under = np.float32(goal.least_l) - lightness
    costs += np.float32(SHORT_TIME_PENALTY) * np.maximum(np.float32(0.0), np.float32(short_from) - shelf.minutes)
    costs += np.float32(LAST_LONG_PENALTY) * np.maximum(np.float32(0.0), shelf.minutes - np.float32(long_from))
    costs += np.where(under > 0.0, np.float32(TOO_DEEP_COST) + np.float32(TOO_DEEP_PER_L) * under, np.float32(0.0))
    costs += shelf.off
    wrong = np.where(shelf.deepest < goal.from_level - 1e-6, np.float32(WRONG_SHADE_COST), np.float32(0.0))
    odd = np.maximum(shelf.coppery - np.float32(goal.coppery_room), np.float32(0.0))
    odd += np.maximum(shelf.ash - np.float32(goal.ash_room), np.float32(0.0))
    costs += (wrong + shelf.own_cost + np.float32(ODD_PER_SHARE) * odd)[:, None]
    found: Singles = costs
    return found


def _lagrange(nodes: Floats, at: Floats) -> Singles:
    """Weights (n, m) that carry values at nodes over to other places by the polynomial through them."""
    rows = []
    for i, own in enumerate(nodes):
        others = np.delete(nodes, i)
        rows.append(np.prod([(at - o) / (own - o) for o in others], axis=0))
    return np.array(rows, dtype=np.float32)
