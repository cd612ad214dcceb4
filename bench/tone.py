"""Tone sessions: how long they take to choose, beside every formula tried one by one and beside a colour library, and
what they do to heads.

First the time: 12 parts, 60 shades, every two-shade mix in three shares, order, waits and one rinse, in one process.
Then 200 banded heads (the same wish, uneven lift) and 200 contrast heads (each part its own wish), fixed seeds, from
the demo's shelf, hidden uptake within what probes find: how near the parts end to their own wishes with the proposed
session, and with the best single bowl in the best single session there is for it.

How it could be wrong: the heads are invented, their hidden uptake is the model's own; nearness is CIEDE2000 to what
the model calls the wish.

Run: bin/bench tone (SHADES=200 for a very big shelf)
"""

from __future__ import annotations

import json
import os
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
    BOWLS_MAX,
    Formula,
    Hand,
    Result,
    SessionPart,
    ToneSession,
    ToneShelf,
    Wish,
    all_formulas,
    best_session,
    choose_session,
    formulas_of,
    goal_of,
    lay_out,
    match,
    toned_absorption,
    toned_lab,
)

ROOT = Path(__file__).parents[1]
SEED, ZONES, HEADS, REPEATS = 20260301, 12, 200, 9
SHADES = int(os.environ.get("SHADES", "60"))


def random_shelf(random: np.random.Generator) -> tuple[TonerShade, ...]:
    """Shades of all depths and hues."""
    found = []
    for i in range(SHADES):
        shares = random.dirichlet([0.5] * len(DyeFamily))
        dyes = tuple(zip(DyeFamily, (float(x) for x in shares), strict=True))
        ratio, volume = float(random.choice([1.0, 1.5, 2.0])), float(random.choice([5.0, 7.0, 10.0]))
        level = float(random.integers(10, 21)) / 2.0
        found.append(TonerShade(f"s{i}", f"S{i}", level, dyes, float(random.choice([10.0, 20.0, 25.0])), ratio, volume))
    return tuple(found)


def random_parts(random: np.random.Generator, count: int) -> list[SessionPart]:
    """Parts of all depths, porosities, hands and wishes."""
    found = []
    for i, level in enumerate((random.integers(12, 21, count) / 2.0).tolist()):
        result = Result(f"z{i}", f"Z{i}", 3.0, level, random.choice(list(Porosity)))
        wish = Wish(random.choice([Tone.COOL, Tone.BEIGE, Tone.WARM]), min(level, 9.0))
        found.append(SessionPart(f"z{i}", result, wish, Hand(int(random.integers(0, 3))), 1.0))
    return found


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
    """Print how long it takes."""
    random = np.random.default_rng(SEED)
    shades, parts = random_shelf(random), random_parts(random, ZONES)
    formulas = formulas_of(shades)
    shelf = lay_out(formulas)
    print(f"{ZONES} parts, {SHADES} shades, {len(formulas)} formulas, seed {SEED}; ms, {REPEATS} times")
    print(f"  laying out the shelf, once                               {_ms(lambda: lay_out(formulas_of(shades)))}")
    print(f"  a session: formulas, order, waits, one rinse (aim 250)   {_ms(lambda: choose_session(parts, shelf))}")
    began = time.perf_counter()
    for part in parts[:2]:
        for formula in formulas:
            match(part.result, formula, goal_of(part.result, part.wish))
    each = (time.perf_counter() - began) * 1e3 / 2
    print(f"  one by one, each part alone, minutes vectorised          {each * ZONES:.0f} (measured on 2 parts)")
    minutes = np.arange(1.0, 26.0)
    result = parts[0].result
    absorption = np.concatenate([toned_absorption(result, f, minutes) for f in formulas[:200]])
    reflectance = SURFACE_REFLECTION + (1 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption))
    own = _ms(lambda: [toned_lab(result, f, minutes) for f in formulas[:200]], 3)
    library = _ms(lambda: library_labs(reflectance), 3)
    labs = np.concatenate([toned_lab(result, f, minutes) for f in formulas[:200]])
    away = float(delta_e_2000(labs, library_labs(reflectance)).max())
    count = len(reflectance)
    print(f"  {count} spectra to CIELAB: ours with dyes {own}, library {library}; at most {away:.3f} apart")
    assert WAVELENGTHS_NM.size == reflectance.shape[1]


def demo_shelf() -> tuple[Formula, ...]:
    """The demo's oxidative shades and their mixes."""
    made = json.loads((ROOT / "demo" / "studio.json").read_text(encoding="utf-8"))
    shades = tuple(read(TonerShade, t) for t in made["toners"])
    return all_formulas(tuple(s for s in shades if s.is_oxidative))


def head_of(random: np.random.Generator, *, has_contrast: bool) -> list[SessionPart]:
    """A head of two to six parts: uneven lift under one wish, or each part its own wish."""
    start = float(random.integers(6, 12)) / 2.0
    top = float(random.integers(15, 21)) / 2.0
    count = int(random.integers(2, 7))
    tone = random.choice([Tone.COOL, Tone.NEUTRAL, Tone.BEIGE, Tone.WARM])
    levels = [max(top - 0.5 * float(x), 6.0) for x in (0, *random.integers(0, 5, count - 1))]
    middle = float(np.median(levels))
    found = []
    for i, level in enumerate(levels):
        part = random.choice(list(Hand), p=[0.25, 0.5, 0.25])
        porosity = Porosity.HIGH if part == Hand.LAST else random.choice(list(Porosity), p=[0.2, 0.7, 0.1])
        result = Result(f"z{i}", f"Z{i}", min(start, level), level, porosity)
        if has_contrast:
            own = random.choice([tone, tone, Tone.WARM, Tone.BEIGE])
            wish, alike = Wish(own, level), ""
        else:
            room = 0.5 if level >= 8.0 else 1.0
            shared = max(min(levels), middle - 1.0)
            wish, alike = Wish(tone, float(np.floor(2 * min(max(shared, level - room), level)) / 2)), "all"
        found.append(SessionPart(f"z{i}", result, wish, Hand(int(part)), float(random.uniform(0.5, 1.6)), alike=alike))
    return found


def left_by(session: ToneSession, parts: list[SessionPart], hidden: list[float]) -> float:
    """How far the parts really end from their own wishes, on the mean, with each part's hidden uptake."""
    away = []
    for part, uptake in zip(parts, hidden, strict=True):
        tone = session.by_key[part.key]
        away.append(float(delta_e_2000(toned_lab(part.result, tone.formula, tone.minutes, uptake), part.wish.wanted)))
    return float(np.mean(away))


def simulate(name: str, *, has_contrast: bool, shelf: ToneShelf) -> None:
    """Print what sessions do to heads of one kind."""
    random = np.random.default_rng(SEED)
    nearer = closer = one_rinse = few = 0
    ours, theirs, minutes, lost = [], [], [], []
    for _ in range(HEADS):
        parts = head_of(random, has_contrast=has_contrast)
        hidden = np.exp(random.normal(0.0, 0.1) + random.normal(0.0, 0.08, len(parts))).tolist()
        session = best_session(choose_session(parts, shelf, most_bowls=BOWLS_MAX))
        single = choose_session(parts, shelf, most_bowls=1)[0]
        mine, other = left_by(session, parts, hidden), left_by(single, parts, hidden)
        ours.append(mine)
        theirs.append(other)
        nearer += session.mean_delta_e <= single.mean_delta_e + 1e-9
        closer += mine <= other + 1e-9
        one_rinse += len(session.rinses) == 1
        few += len(session.bowls) <= 2
        minutes.append(session.minutes)
        lost += [t.levels_deeper for t in session.tones]
    share = 100.0 / HEADS
    print(f"{HEADS} {name}, the demo's shelf, seed {SEED}, hidden uptake 13 % (one sigma)")
    planned, real = nearer * share, closer * share
    print(f"  nearer to each own wish than the best single bowl: planned {planned:.1f} %, real {real:.1f} %")
    print(f"  mean difference from the wishes, median: {np.median(ours):.1f}, with one bowl {np.median(theirs):.1f}")
    print(f"  one rinse {one_rinse * share:.1f} %, at most two bowls {few * share:.1f} %")
    print(f"  minutes until the rinse {np.median(minutes):.0f} (at most {max(minutes):.0f})")
    print(f"  levels deeper than meant: median {np.median(lost):.2f}, at most {max(lost):.2f}")


if __name__ == "__main__":
    time_search()
    laid_out = lay_out(demo_shelf())
    simulate("banded heads", has_contrast=False, shelf=laid_out)
    simulate("contrast heads", has_contrast=True, shelf=laid_out)
