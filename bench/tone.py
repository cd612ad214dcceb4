"""Choosing toner: the search beside trying everything and beside a colour library, and what it does to banded heads.

First the time: 12 zones, 60 shades, every two-shade mix in three shares, every whole minute, in one process; beside
it all of it tried one by one on some zones, scaled up, and the same spectra carried to CIELAB by the colour-science
library. Then simulated heads of two to four bands (fixed seed, hidden uptake within what probes find), toned from the
demo's shelf: how near the zones end with the chosen formulas, and with the best single formula.

Run: bin/bench tone
"""

from __future__ import annotations

import json
import time
import warnings
from collections.abc import Callable
from pathlib import Path

import numpy as np

warnings.simplefilter("ignore")
import colour  # noqa: E402

from fervens_core.base import Floats, read  # noqa: E402
from fervens_core.colour import ALBEDO_FACTOR, SURFACE_REFLECTION, WAVELENGTHS_NM, delta_e_2000  # noqa: E402
from fervens_core.head import DyeFamily, Porosity, Tone, TonerShade  # noqa: E402
from fervens_core.toning import (  # noqa: E402
    Bowl,
    Formula,
    Result,
    ToneShelf,
    ToningPlan,
    Wish,
    all_formulas,
    choose,
    choose_for_wish,
    goal_of,
    lay_out,
    match,
    spread_of,
    toned_absorption,
    toned_lab,
    toning_plan_of,
)

ROOT = Path(__file__).parents[1]
SEED, ZONES, SHADES, HEADS, REPEATS = 20260301, 12, 60, 200, 9


def random_shelf(random: np.random.Generator) -> tuple[TonerShade, ...]:
    """Sixty shades of all depths and hues."""
    found = []
    for i in range(SHADES):
        shares = random.dirichlet([0.5] * len(DyeFamily))
        dyes = tuple(zip(DyeFamily, (float(x) for x in shares), strict=True))
        ratio, volume = float(random.choice([1.0, 1.5, 2.0])), float(random.choice([5.0, 7.0, 10.0]))
        level = float(random.integers(10, 21)) / 2.0
        found.append(TonerShade(f"s{i}", f"S{i}", level, dyes, float(random.choice([10.0, 20.0, 25.0])), ratio, volume))
    return tuple(found)


def random_results(random: np.random.Generator, count: int) -> list[Result]:
    """Zones of all depths and porosities."""
    levels = random.integers(12, 21, count) / 2.0
    return [Result(f"z{i}", f"Z{i}", 3.0, float(v), random.choice(list(Porosity))) for i, v in enumerate(levels)]


def _ms(does: Callable[[], object], repeats: int = REPEATS) -> str:
    """Median and best of some runs, ms."""
    times = []
    for _ in range(repeats):
        began = time.perf_counter()
        does()
        times.append((time.perf_counter() - began) * 1e3)
    return f"{np.median(times):6.0f} (best {min(times):.0f})"


def library_labs(spectra: Floats) -> Floats:
    """CIELAB of reflectance spectra by the colour-science library, one whole array at a time."""
    shape = colour.SpectralShape(380, 780, 5)
    cmfs = colour.MSDS_CMFS["CIE 1964 10 Degree Standard Observer"].copy().align(shape)
    light = colour.SDS_ILLUMINANTS["D65"].copy().align(shape)
    xyz = colour.msds_to_XYZ(spectra, cmfs, light, method="Integration", shape=shape) / 100.0
    white = colour.CCS_ILLUMINANTS["CIE 1964 10 Degree Standard Observer"]["D65"]
    return np.asarray(colour.XYZ_to_Lab(xyz, white))


def time_search() -> None:
    """Print how long it takes, and whether it is the answer of trying everything."""
    random = np.random.default_rng(SEED)
    formulas, results = all_formulas(random_shelf(random)), random_results(random, ZONES)
    wish = Wish(Tone.COOL, 8.0).wanted
    shelf = lay_out(formulas)
    print(f"{ZONES} zones, {SHADES} shades, {len(formulas)} formulas, whole minutes, seed {SEED}; ms, {REPEATS} times")
    print(f"  laying out the shelf, once                               {_ms(lambda: lay_out(formulas))}")
    plain = _ms(lambda: choose_for_wish(results, shelf, wish, most_bowls=4))
    print(f"  the best formula and minute for each zone, up to 4 bowls {plain}")
    deep = _ms(lambda: choose(results, shelf, wish, most_bowls=4), 3)
    print(f"  the same with deeper aims and evened out (out of reach)  {deep}")
    began = time.perf_counter()
    some = results[:2]
    tried = {r.key: [match(r, f, goal_of(r, wish)) for f in formulas] for r in some}
    each = (time.perf_counter() - began) * 1e3 / len(some)
    print(
        f"  one by one, each zone's own minutes vectorised           {each * ZONES:.0f} (measured on {len(some)} zones)"
    )
    for result in some:
        found = choose_for_wish([result], shelf, wish, most_bowls=1)[0].matches[result.key]
        best = min(tried[result.key], key=lambda m: m.cost)
        same = found.formula.key == best.formula.key and found.minutes == best.minutes
        answer = "the same" if same else "NOT the same"
        print(f"    {result.name}: {found.formula.name}, {found.minutes:.0f} min; {answer} as one by one")
    minutes = np.arange(1.0, 26.0)
    absorption = np.concatenate([toned_absorption(results[0], f, minutes) for f in formulas[:200]])
    reflectance = SURFACE_REFLECTION + (1 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption))
    own = _ms(lambda: [toned_lab(results[0], f, minutes) for f in formulas[:200]], 3)
    library = _ms(lambda: library_labs(reflectance), 3)
    labs = np.concatenate([toned_lab(results[0], f, minutes) for f in formulas[:200]])
    away = float(delta_e_2000(labs, library_labs(reflectance)).max())
    count = len(reflectance)
    print(f"  {count} spectra to CIELAB: ours with dyes {own}, library {library}; at most {away:.3f} apart")
    assert WAVELENGTHS_NM.size == reflectance.shape[1]


def demo_shelf() -> tuple[Formula, ...]:
    """The demo's oxidative shades and their mixes."""
    made = json.loads((ROOT / "demo" / "studio.json").read_text(encoding="utf-8"))
    shades = tuple(read(TonerShade, t) for t in made["toners"])
    return all_formulas(tuple(s for s in shades if s.is_oxidative))


def banded_head(random: np.random.Generator) -> tuple[list[Result], list[float], Tone, float]:
    """A head of two to four bands, its hidden uptakes, and what is wished for."""
    start = float(random.integers(6, 12)) / 2.0
    top = float(random.integers(15, 20)) / 2.0
    count = int(random.integers(2, 5))
    levels = sorted({top - 0.5 * float(x) for x in (0, *random.integers(1, 5, count - 1))}, reverse=True)
    results = []
    for i, level in enumerate(levels):
        porosity = random.choice(list(Porosity), p=[0.2, 0.6, 0.2])
        results.append(Result(f"z{i}", f"Z{i}", min(start, level), level, porosity))
    hidden = np.exp(random.normal(0.0, 0.1) + random.normal(0.0, 0.08, len(results)))
    tone = random.choice([Tone.COOL, Tone.NEUTRAL, Tone.BEIGE, Tone.WARM])
    return results, [float(x) for x in hidden], tone, min(levels) - 0.5


def left_by(choice: ToningPlan, results: list[Result], hidden: list[float]) -> list[Floats]:
    """What the chosen formulas really leave, with each zone's hidden uptake."""
    matches = choice.matches
    return [
        toned_lab(r, matches[r.key].formula, matches[r.key].minutes, u) for r, u in zip(results, hidden, strict=True)
    ]


def best_single(results: list[Result], shelf: ToneShelf, wish: Floats) -> ToningPlan:
    """The one formula that leaves the zones nearest to one another, each zone at its best minute."""
    singles = []
    for formula in shelf.formulas:
        matches = {r.key: match(r, formula, goal_of(r, wish)) for r in results}
        if not any(m.is_too_dark for m in matches.values()):
            singles.append(toning_plan_of((Bowl(formula, matches),), wish))
    return min(singles, key=lambda c: c.score)


def simulate() -> None:
    """Print what the choice does to banded heads."""
    random = np.random.default_rng(SEED)
    shelf = lay_out(demo_shelf())
    closer = nearer = reached = 0
    spreads, single_spreads, away, missed = [], [], [], []
    for _ in range(HEADS):
        results, hidden, tone, depth = banded_head(random)
        while len(results) < 2:
            results, hidden, tone, depth = banded_head(random)
        wish = Wish(tone, max(depth, 5.0)).wanted
        chosen = choose(results, shelf, wish, most_bowls=3)[-1]
        single = best_single(results, shelf, wish)
        ours, theirs = (left_by(c, results, hidden) for c in (chosen, single))
        mine, other = (spread_of([x.tolist() for x in labs]) for labs in (ours, theirs))
        spreads.append(mine)
        single_spreads.append(other)
        closer += mine <= other + 1e-9
        nearer += chosen.score <= single.score + 1e-9
        for result, lab in zip(results, ours, strict=True):
            if match_reaches(result, shelf, wish):
                reached += 1
                away.append(float(delta_e_2000(lab, wish)))
            else:
                missed.append(float(delta_e_2000(lab, wish)))
    print(f"{HEADS} banded heads, the demo's shelf, at most 3 bowls, seed {SEED}, hidden uptake 13 % (one sigma)")
    print(f"  zones end closer together than with the best single formula: {100 * closer / HEADS:.1f} % of heads")
    print(f"  by what was planned, nearness to wish and one another:       {100 * nearer / HEADS:.1f} %")
    single_apart = float(np.median(single_spreads))
    print(f"  largest difference between zones: {np.median(spreads):.1f} (median), one formula {single_apart:.1f}")
    print(f"  difference from the wish where the shelf can reach it ({reached} zones): {np.median(away):.1f} (median)")
    if missed:
        print(f"  where it cannot ({len(missed)} zones): {np.median(missed):.1f} (median)")


def match_reaches(result: Result, shelf: ToneShelf, wish: Floats) -> bool:
    """Whether some formula of the shelf brings a zone within 3 of the wish."""
    found = choose_for_wish([result], shelf, wish, most_bowls=1)[0]
    return found.mean_delta_e <= 3.0


if __name__ == "__main__":
    time_search()
    simulate()
