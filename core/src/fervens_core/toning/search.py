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

from fervens_core.base import Floats, LimitError, check_range, say
from fervens_core.colour import delta_e_2000
from fervens_core.toning.fit import SHORT_TIME_MIN, Match, goal_of, most_lost_l
from fervens_core.toning.formula import Formula, Result, toned_lab, whole_minutes
from fervens_core.toning.shelf import MARGIN, Sketch, ToneShelf, exact, first_pass, sketch

REACHED_DELTA_E = 3.0
"""[MODEL] nearer than this a colour counts as reached: seen side by side, hardly told apart in hair."""
SPREAD_WEIGHT = 0.8
"""[MODEL] how much it counts that zones differ from one another, beside how far they are from the wish."""
EVENING_ROUNDS = 4
BOWLS_MAX = 4
KINDS_MAX = 7
"""So many kinds of result are told apart when bowls are shared out; beyond it the two nearest count as one."""


@dataclass(frozen=True, slots=True)
class Bowl:
    """One formula and the zones it goes on."""

    formula: Formula
    matches: dict[str, Match]


@dataclass(frozen=True, slots=True)
class ToningPlan:
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
    is_near = sums <= (sums.min(axis=1) + MARGIN * np.minimum(sizes, 3.0))[:, None]
    return np.flatnonzero(is_near.any(axis=0))


def _choices(
    results: Sequence[Result], sketches: Sequence[Sketch], aim: Floats, wish: Floats, shelf: ToneShelf, most: int
) -> list[ToningPlan]:
    kinds = _kinds(results)
    goals = [goal_of(r, aim) for r in results]
    first = [first_pass(r, shelf, s, g) for r, s, g in zip(results, sketches, goals, strict=True)]
    names = _candidates(np.array([f.min(axis=1) for f in first]), kinds).tolist()
    table = [exact(r, shelf, names, g, f) for r, g, f in zip(results, goals, first, strict=True)]
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
        found.append(toning_plan_of(tuple(made), wish))
    return found


def toning_plan_of(bowls: tuple[Bowl, ...], wish: Floats) -> ToningPlan:
    """Bowls with how near their zones come to the wish and to one another."""
    labs = {key: m.lab for bowl in bowls for key, m in bowl.matches.items()}
    away = {key: float(delta_e_2000(np.array(lab), wish)) for key, lab in labs.items()}
    return ToningPlan(bowls, away, spread_of(list(labs.values())))


def choose(results: Sequence[Result], shelf: ToneShelf, wish: Floats, *, most_bowls: int = 3) -> tuple[ToningPlan, ...]:
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
    kept: list[ToningPlan] = []
    for choice in (_evened(c, results, wish) for c in found):
        kept.append(choice if not kept or choice.score <= kept[-1].score else kept[-1])
    return tuple(kept)


def _evened(choice: ToningPlan, results: Sequence[Result], wish: Floats) -> ToningPlan:
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
    evened = toning_plan_of(bowls, wish)
    return evened if evened.score < choice.score else choice


def choose_for_wish(
    results: Sequence[Result], shelf: ToneShelf, wish: Floats, *, most_bowls: int = 3
) -> tuple[ToningPlan, ...]:
    """The same, aimed at the wish alone: least sum of costs over all sharings of zones among formulas."""
    return tuple(_choices(results, _sketches(results, shelf, most_bowls), wish, wish, shelf, most_bowls))


def _sketches(results: Sequence[Result], shelf: ToneShelf, most_bowls: int) -> list[Sketch]:
    check_range("most_bowls", most_bowls, 1, BOWLS_MAX)
    if not results:
        raise LimitError("results", say("limit-at_least_one"), 0)
    return [sketch(r, shelf) for r in results]
