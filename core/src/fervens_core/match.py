"""Which formulas bring the zones of a head nearest to the wish and to one another. docs/models/tonematch.md.

The search looks at every shade and two-shade mix over every zone and whole minute. A first pass in single precision,
on every second wavelength and at four times only, leaves the few formulas that can be the best; these are then
computed as exactly as everywhere else.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
import numpy.typing as npt

from fervens_core.colour import XYZ_WEIGHTS, AnyFloats, Floats, delta_e_2000, xyz_to_lab
from fervens_core.errors import LimitError
from fervens_core.formula import (
    BRIGHTEN_TAU_MIN,
    Formula,
    Result,
    formula_absorptions,
    time_constant_min,
    toned_lab,
    whole_minutes,
)
from fervens_core.pigment import ALBEDO_FACTOR, SURFACE_REFLECTION, absorption_to_lab, brighten
from fervens_core.quantities import check_range
from fervens_core.toner import deposit

SHORT_TIME_MIN, SHORT_TIME_PENALTY = 5.0, 0.3
DEEP_SHADE_PENALTY = 0.5
MIX_PENALTY = 0.25
"""[MODEL] ranking in CIEDE2000 units: per minute under 5 (hard to hit at the basin), per level a formula is deeper than
the hair, and for a second shade to weigh."""
MOST_LOST_L = 8.0
"""[MODEL] most L* a toner may cost beyond what the wish itself asks for, before a zone counts as darkened."""
NEUTRALISING_COST_L = 2.0
"""[MODEL] L* that taking the warmth out costs a zone at least."""
TOO_DARK_COST = 100.0
REACHED_DELTA_E = 3.0
"""[MODEL] nearer than this a colour counts as reached: seen side by side, hardly told apart in hair."""
SPREAD_WEIGHT = 0.8
"""[MODEL] how much it counts that zones differ from one another, beside how far they are from the wish."""
EVENING_ROUNDS = 4
BOWLS_MAX = 4
KINDS_MAX = 7
"""So many kinds of result are told apart when bowls are shared out; beyond it the two nearest count as one."""
COARSE = 2
"""The first pass looks at every second wavelength: each 10 nm."""
BLOCK = 1024
"""Formulas worked on at once: what they need stays in the processor's cache."""
_NODES = 4
_MARGIN = 0.4
"""How far the first pass may be off, in CIEDE2000 units a zone; measured at under 0.3, see docs/models/tonematch.md."""
Singles = AnyFloats
"""Single precision, for the first pass."""


@dataclass(frozen=True, slots=True)
class Match:
    """A formula on one zone at its best whole minute.

    Args:
        minutes: min. lab: the colour it should leave. delta_e: CIEDE2000 to the wanted colour.
        depth_lost_l: L* lost beside the untoned hair. cost: what it is ranked by.
    """

    formula: Formula
    minutes: float
    lab: tuple[float, float, float]
    delta_e: float
    depth_lost_l: float
    cost: float
    is_too_dark: bool


def _penalties(result: Result, formula: Formula, minutes: Floats) -> Floats:
    short = SHORT_TIME_PENALTY * np.maximum(0.0, SHORT_TIME_MIN - minutes)
    deep = DEEP_SHADE_PENALTY * max(0.0, result.level - formula.level - 0.5)
    found: Floats = short + (deep + MIX_PENALTY * (len(formula.shades) - 1))
    return found


def most_lost_l(result: Result, wanted: Floats) -> float:
    """Most L* a toner may cost on a zone for a wanted colour."""
    return float(max(MOST_LOST_L, result.lab[0] - wanted[0] + MOST_LOST_L / 2))


def goal_of(result: Result, wish: Floats) -> Floats:
    """The wished colour as far as a zone can hold it: a toner never lightens, and neutralising costs a little.

    Args:
        wish: CIELAB (3,).
    Returns:
        the same hue and chroma, no lighter than the zone less NEUTRALISING_COST_L; CIELAB (3,).
    """
    return np.array([min(float(wish[0]), float(result.lab[0]) - NEUTRALISING_COST_L), wish[1], wish[2]])


def match(result: Result, formula: Formula, wanted: Floats) -> Match:
    """A formula at the whole minute that brings a zone nearest to the wanted colour without making it too dark.

    Args:
        wanted: CIELAB (3,).
    """
    minutes = whole_minutes(formula)
    labs = toned_lab(result, formula, minutes)
    away = delta_e_2000(labs, wanted)
    lost = result.lab[0] - labs[:, 0]
    is_dark = lost > most_lost_l(result, wanted)
    costs = away + _penalties(result, formula, minutes) + np.where(is_dark, TOO_DARK_COST + lost, 0.0)
    best = int(np.argmin(costs))
    return Match(
        formula=formula,
        minutes=float(minutes[best]),
        lab=(float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2])),
        delta_e=float(away[best]),
        depth_lost_l=float(lost[best]),
        cost=float(costs[best]),
        is_too_dark=bool(is_dark[best]),
    )


@dataclass(frozen=True, slots=True, eq=False)
class ToneShelf:
    """Every formula of a shelf, laid out for the search; made once for a shelf.

    Args:
        formulas: in the order of how much their developer brightens. absorption: (f, 81), and every second
        wavelength of it in single precision. classes: (levels brightened, first, last) of formulas alike in that.
        minutes: every whole minute of any label, (m,). off: infinite where a label does not allow it, else 0, (f, m).
    """

    formulas: tuple[Formula, ...]
    absorption: Floats
    coarse: Singles
    classes: tuple[tuple[float, int, int], ...]
    level: Singles
    mix_cost: Singles
    minutes: Singles
    off: Singles


def lay_out(formulas: Sequence[Formula]) -> ToneShelf:
    """A shelf's formulas laid out for the search. Raises LimitError when there is none."""
    if not formulas:
        raise LimitError("formulas", "at least one that may go on this person", 0)
    ordered = sorted(formulas, key=lambda f: f.brighten_levels)
    levels = np.array([f.brighten_levels for f in ordered])
    firsts = [0, *(np.flatnonzero(np.diff(levels)) + 1).tolist()]
    lasts = [*firsts[1:], len(ordered)]
    absorption = formula_absorptions(ordered)
    begins = np.array([np.ceil(f.label_min_min) for f in ordered])
    ends = np.array([np.floor(f.label_max_min) for f in ordered])
    minutes = np.arange(begins.min(), ends.max() + 0.5)
    is_off = (minutes > ends[:, None]) | (minutes < begins[:, None])
    return ToneShelf(
        formulas=tuple(ordered),
        absorption=absorption,
        coarse=np.ascontiguousarray(absorption[:, ::COARSE], dtype=np.float32),
        classes=tuple((float(levels[a]), a, b) for a, b in zip(firsts, lasts, strict=True)),
        level=np.array([f.level for f in ordered], dtype=np.float32),
        mix_cost=np.array([MIX_PENALTY * (len(f.shades) - 1) for f in ordered], dtype=np.float32),
        minutes=minutes.astype(np.float32),
        off=np.where(is_off, np.inf, 0.0).astype(np.float32),
    )


_COARSE = (XYZ_WEIGHTS[::COARSE] / XYZ_WEIGHTS[::COARSE].sum(axis=0) * (1.0 - SURFACE_REFLECTION)).astype(np.float32)


@dataclass(frozen=True, slots=True, eq=False)
class _Sketch:
    """A zone under every formula at four times: colours (f, 4, 3), and how to carry them to whole minutes."""

    labs: Singles
    lagrange: Singles


def _sketch(result: Result, shelf: ToneShelf) -> _Sketch:
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
    return _Sketch(labs, _lagrange(x, taken_at))


def _first_pass(result: Result, shelf: ToneShelf, sketch: _Sketch, wanted: Floats) -> Singles:
    """About the cost of each formula at each whole minute on a zone, shape (f, m)."""
    costs = (delta_e_2000(sketch.labs, wanted.astype(np.float32)) ** 2) @ sketch.lagrange
    np.sqrt(np.maximum(costs, 0.0, out=costs), out=costs)
    lost = np.float32(result.lab[0]) - np.ascontiguousarray(sketch.labs[..., 0]) @ sketch.lagrange
    costs += np.float32(SHORT_TIME_PENALTY) * np.maximum(np.float32(0.0), SHORT_TIME_MIN - shelf.minutes)
    costs += np.where(lost > np.float32(most_lost_l(result, wanted)), np.float32(TOO_DARK_COST) + lost, np.float32(0.0))
    costs += shelf.off
    deep = np.float32(DEEP_SHADE_PENALTY) * np.maximum(np.float32(0.0), result.level - shelf.level - 0.5)
    costs += (deep + shelf.mix_cost)[:, None]
    found: Singles = costs
    return found


def _lagrange(nodes: Floats, at: Floats) -> Singles:
    """Weights (n, m) that carry values at nodes over to other places by the polynomial through them."""
    rows = []
    for i, own in enumerate(nodes):
        others = np.delete(nodes, i)
        rows.append(np.prod([(at - o) / (own - o) for o in others], axis=0))
    return np.array(rows, dtype=np.float32)


@dataclass(frozen=True, slots=True)
class Bowl:
    """One formula and the zones it goes on."""

    formula: Formula
    matches: dict[str, Match]


@dataclass(frozen=True, slots=True)
class Choice:
    """Formulas for a whole head.

    Args:
        bowls: each with its zones, most zones first. wanted: what was aimed at, CIELAB.
        delta_es: CIEDE2000 to the wish by zone key. spread: largest difference between two zones, CIEDE2000.
    """

    bowls: tuple[Bowl, ...]
    delta_es: dict[str, float]
    spread: float

    @property
    def mean_delta_e(self) -> float:
        """Mean difference from the wish."""
        return float(np.mean(list(self.delta_es.values())))

    @property
    def matches(self) -> dict[str, Match]:
        """Each zone's formula and minutes."""
        return {key: m for bowl in self.bowls for key, m in bowl.matches.items()}

    @property
    def score(self) -> float:
        """What choices are compared by: nearness to the wish and of the zones to one another."""
        return self.mean_delta_e + SPREAD_WEIGHT * self.spread


def _kinds(results: Sequence[Result]) -> list[list[int]]:
    """Places of results alike enough for one bowl; never more than KINDS_MAX kinds."""
    found: dict[object, list[int]] = {}
    for i, result in enumerate(results):
        found.setdefault(result.kind, []).append(i)
    kinds = list(found.values())
    while len(kinds) > KINDS_MAX:
        labs = np.array([results[k[0]].lab for k in kinds])
        away = delta_e_2000(labs[:, None], labs[None, :]) + np.where(np.eye(len(kinds)), np.inf, 0.0)
        a, b = sorted(divmod(int(away.argmin()), len(kinds)))
        kinds[a] = kinds[a] + kinds.pop(b)
    return kinds


def spread_of(labs: Sequence[Sequence[float]]) -> float:
    """Largest CIEDE2000 between any two colours; 0 for one."""
    if len(labs) < 2:
        return 0.0
    every = np.array(labs)
    return float(delta_e_2000(every[:, None, :], every[None, :, :]).max())


def _subsets(count: int) -> npt.NDArray[np.float64]:
    return np.array([[mask >> i & 1 for i in range(count)] for mask in range(1, 1 << count)], dtype=float)


def _share_out(costs: Floats, most: int) -> list[list[tuple[int, int]]]:
    """For 1 to `most` bowls the cheapest sharing of kinds among formulas, as (formula, mask of kinds).

    Args:
        costs: shape (kinds, formulas).
    """
    count = costs.shape[0]
    sums = _subsets(count) @ costs
    formula, price = sums.argmin(axis=1), sums.min(axis=1)
    whole = (1 << count) - 1
    best: list[dict[int, tuple[float, list[int]]]] = [{0: (0.0, [])}]
    for _ in range(most):
        before = best[-1]
        now: dict[int, tuple[float, list[int]]] = {0: (0.0, [])}
        for mask in range(1, whole + 1):
            low = mask & -mask
            rest = mask ^ low
            sub = rest
            found: tuple[float, list[int]] | None = None
            while True:
                part = sub | low
                left = before.get(mask ^ part)
                if left is not None:
                    total = left[0] + float(price[part - 1])
                    if found is None or total < found[0] - 1e-12:
                        found = (total, [*left[1], part])
                if sub == 0:
                    break
                sub = (sub - 1) & rest
            if found:
                now[mask] = found
        best.append(now)
    return [[(int(formula[part - 1]), part) for part in now[whole][1]] for now in best[1:]]


def _candidates(first: Floats, kinds: list[list[int]]) -> npt.NDArray[np.intp]:
    """Formulas that can be the best of some set of kinds, by the first pass and how far it may be off."""
    by_kind = np.array([first[k].sum(axis=0) for k in kinds])
    subsets = _subsets(len(kinds))
    sums = subsets.astype(np.float32) @ by_kind.astype(np.float32)
    sizes = subsets @ np.array([len(k) for k in kinds], dtype=float)
    is_near = sums <= (sums.min(axis=1) + _MARGIN * np.minimum(sizes, 3.0))[:, None]
    return np.flatnonzero(is_near.any(axis=0))


def _worth_a_look(first: Singles) -> npt.NDArray[np.bool_]:
    """Minutes that can be a formula's best, by the first pass (n, m) and how far it may be off, and those beside."""
    least = first.min(axis=1, keepdims=True)
    near: npt.NDArray[np.bool_] = first <= least + (2.0 * _MARGIN + 0.1 * least)
    near[:, 1:] |= near[:, :-1]
    near[:, :-1] |= near[:, 1:]
    return near


def _exact(result: Result, shelf: ToneShelf, places: Sequence[int], wanted: Floats, first: Singles) -> list[Match]:
    """The match of some formulas of a shelf on one zone; each as `match` has it.

    Args:
        first: the first pass of this zone, (f, m).
    """
    minutes = shelf.minutes.astype(float)
    some = np.asarray(places)
    of_class = np.searchsorted([end for _, _, end in shelf.classes], some, side="right")
    levels = np.array([brightened for brightened, _, _ in shelf.classes])
    hair = brighten(result.absorption, levels[:, None] * -np.expm1(-minutes / BRIGHTEN_TAU_MIN))
    rows, at = np.nonzero(_worth_a_look(first[some]))
    time = minutes[at]
    taken = deposit(time, result.porosity) * result.uptake_factor
    whole = hair[of_class[rows], at] + taken[:, None] * shelf.absorption[some[rows]]
    labs = absorption_to_lab(whole)
    away = delta_e_2000(labs, wanted)
    lost = float(result.lab[0]) - labs[:, 0]
    is_dark = lost > most_lost_l(result, wanted)
    own = DEEP_SHADE_PENALTY * np.maximum(0.0, result.level - shelf.level[some] - 0.5) + shelf.mix_cost[some]
    costs = away + SHORT_TIME_PENALTY * np.maximum(0.0, SHORT_TIME_MIN - time) + own[rows]
    costs = np.where(is_dark, costs + TOO_DARK_COST + lost, costs) + shelf.off[some[rows], at]
    firsts = np.flatnonzero(np.diff(rows, prepend=-1))
    found = []
    for place, begin, end in zip(places, firsts, [*firsts[1:], rows.size], strict=True):
        best = begin + int(costs[begin:end].argmin())
        lab = labs[best]
        found.append(
            Match(
                formula=shelf.formulas[place],
                minutes=float(time[best]),
                lab=(float(lab[0]), float(lab[1]), float(lab[2])),
                delta_e=float(away[best]),
                depth_lost_l=float(lost[best]),
                cost=float(costs[best]),
                is_too_dark=bool(is_dark[best]),
            )
        )
    return found


def _choices(
    results: Sequence[Result], sketches: Sequence[_Sketch], aim: Floats, wish: Floats, shelf: ToneShelf, most: int
) -> list[Choice]:
    kinds = _kinds(results)
    goals = [goal_of(r, aim) for r in results]
    first = [_first_pass(r, shelf, s, g) for r, s, g in zip(results, sketches, goals, strict=True)]
    names = _candidates(np.array([f.min(axis=1) for f in first]), kinds).tolist()
    table = [_exact(r, shelf, names, g, f) for r, g, f in zip(results, goals, first, strict=True)]
    costs = np.array([[m.cost for m in row] for row in table])
    by_kind = np.array([costs[k].sum(axis=0) for k in kinds])
    found = []
    for shared in _share_out(by_kind, min(most, len(kinds))):
        bowls: dict[int, dict[str, Match]] = {}
        for place, mask in shared:
            for kind in (k for i, k in enumerate(kinds) if mask >> i & 1):
                for row in kind:
                    bowls.setdefault(place, {})[results[row].key] = table[row][place]
        made = [Bowl(shelf.formulas[names[place]], matches) for place, matches in bowls.items()]
        made.sort(key=lambda b: (-len(b.matches), b.formula.key))
        found.append(choice_of(tuple(made), wish))
    return found


def choice_of(bowls: tuple[Bowl, ...], wish: Floats) -> Choice:
    """Bowls with how near their zones come to the wish and to one another."""
    labs = {key: m.lab for bowl in bowls for key, m in bowl.matches.items()}
    away = {key: float(delta_e_2000(np.array(lab), wish)) for key, lab in labs.items()}
    return Choice(bowls, away, spread_of(list(labs.values())))


def choose(results: Sequence[Result], shelf: ToneShelf, wish: Floats, *, most_bowls: int = 3) -> tuple[Choice, ...]:
    """The best choice with one bowl, with two, and so on up to what is allowed or makes a difference.

    The wish is aimed at first. Where it cannot be reached, deeper aims, down to what the darkest zone can hold, and
    where the zones come to on the whole are tried as well; what leaves them nearest, to the wish and to one another
    together, is taken, and its minutes are evened out. More bowls are never worse than fewer.

    Args:
        results: at least one, keys all different. wish: CIELAB (3,). most_bowls: 1 to 4.
    Raises:
        LimitError: nothing to tone, or too many bowls.
    """
    sketches = _sketches(results, shelf, most_bowls)
    found = _choices(results, sketches, wish, wish, shelf, most_bowls)
    if max(found[-1].delta_es.values()) > REACHED_DELTA_E:
        deepest = min(goal_of(r, wish)[0] for r in results)
        aims = [wish - [share * (wish[0] - deepest), 0.0, 0.0] for share in (0.5, 1.0)]
        aims.append(np.array([m.lab for m in found[-1].matches.values()]).mean(axis=0))
        for aim in aims:
            others = _choices(results, sketches, aim, wish, shelf, most_bowls)
            found = [min(pair, key=lambda c: c.score) for pair in zip(found, others, strict=True)]
    kept: list[Choice] = []
    for choice in (_evened(c, results, wish) for c in found):
        kept.append(choice if not kept or choice.score <= kept[-1].score else kept[-1])
    return tuple(kept)


def _evened(choice: Choice, results: Sequence[Result], wish: Floats) -> Choice:
    """The same formulas, each zone at the minute that brings the head nearest together: one zone after another, while
    the score gets better."""
    by_key = {r.key: r for r in results}
    matches = choice.matches
    tries = {}
    for key, found in matches.items():
        result, minutes = by_key[key], whole_minutes(found.formula)
        labs = toned_lab(result, found.formula, minutes)
        lost = result.lab[0] - labs[:, 0]
        is_fit = (lost <= most_lost_l(result, goal_of(result, wish))) & (minutes >= min(SHORT_TIME_MIN, found.minutes))
        tries[key] = (minutes[is_fit], labs[is_fit], delta_e_2000(labs[is_fit], wish), lost[is_fit])
    now = {key: np.array(found.lab) for key, found in matches.items()}
    for _ in range(EVENING_ROUNDS):
        before = {key: lab.copy() for key, lab in now.items()}
        for key, (minutes, labs, away, lost) in tries.items():
            others = np.array([lab for k, lab in now.items() if k != key])
            if minutes.size == 0 or others.size == 0:
                continue
            rest = spread_of(others.tolist())
            apart = np.maximum(delta_e_2000(labs[:, None], others[None]).max(axis=1), rest)
            best = int((away / len(now) + SPREAD_WEIGHT * apart).argmin())
            now[key] = labs[best]
            lab = (float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2]))
            matches[key] = replace(
                matches[key],
                minutes=float(minutes[best]),
                lab=lab,
                delta_e=float(delta_e_2000(labs[best], goal_of(by_key[key], wish))),
                depth_lost_l=float(lost[best]),
                is_too_dark=False,
            )
        if all(np.array_equal(before[k], now[k]) for k in now):
            break
    bowls = tuple(Bowl(b.formula, {k: matches[k] for k in b.matches}) for b in choice.bowls)
    evened = choice_of(bowls, wish)
    return evened if evened.score < choice.score else choice


def choose_for_wish(
    results: Sequence[Result], shelf: ToneShelf, wish: Floats, *, most_bowls: int = 3
) -> tuple[Choice, ...]:
    """The same, aimed at the wish alone: least sum of costs over all sharings of zones among formulas."""
    return tuple(_choices(results, _sketches(results, shelf, most_bowls), wish, wish, shelf, most_bowls))


def _sketches(results: Sequence[Result], shelf: ToneShelf, most_bowls: int) -> list[_Sketch]:
    check_range("most_bowls", most_bowls, 1, BOWLS_MAX)
    if not results:
        raise LimitError("results", "at least one zone", 0)
    return [_sketch(r, shelf) for r in results]
