"""The constants of pigment, dyes and wishes by a seeded search: what each is asked for, and what it comes to.

Every outside check of docs/models/pigment.md and toner.md is a term, beside what the tone is asked for: no khaki, near
the wish, bright. Terms are written so that 1 is one tolerance off; inside its tolerance a term is nearly free. The
models are written out here once more, over free constants, and held against the core's own at its constants first.

How it could be wrong: a shelf of twelve families is not every shelf; lightness and hue of lifted hair are from memory
(charts of the trade, tress measurements as remembered), and a search finds one of many sets that do.

Run: bin/bench colour_fit [ROUNDS, 200 if not said; about 0.1 s each]
"""

from __future__ import annotations

import sys
from dataclasses import dataclass, fields, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import (
    ALBEDO_FACTOR,
    SURFACE_REFLECTION,
    WAVELENGTHS_NM,
    XYZ_WEIGHTS,
    chroma,
    delta_e_2000,
    hair_lab,
    hue_deg,
    xyz_to_lab,
)
from fervens_core.head import DyeFamily, Tone, TonerShade
from fervens_core.toning import Formula, Result, Wish, toned_lab

SEED, ROUNDS = 20260301, 200
X: Floats = WAVELENGTHS_NM / 550.0
_LIGHT = XYZ_WEIGHTS / XYZ_WEIGHTS.sum(axis=0)
MINUTES: Floats = np.arange(2.0, 21.0, 2.0)
"""Every second minute a label of 20 min allows."""
LEVELS, TONES = (8.0, 9.0, 10.0), ("icy", "cool", "neutral", "beige", "warm")


@dataclass(frozen=True)
class Constants:
    """What is searched; what the core has."""

    pigment: float = 0.0095
    ratio: float = 1.97
    warm_exponent: float = 5.2
    warm_gain: float = 0.7
    keratin: float = 0.0037
    keratin_exponent: float = 4.0
    natural_at: float = 3.3
    natural_rise: float = 0.26
    dye: float = 0.0196
    dye_ratio: float = 1.9
    violet_nm: float = 567.0
    violet_width: float = 27.0
    blue_nm: float = 605.0
    blue_width: float = 42.0
    brighten: float = 0.10
    icy: float = 0.25
    cool: float = 0.465
    neutral: float = 0.75
    beige: float = 1.0
    warm: float = 1.185
    icy_hue: float = 77.0
    cool_hue: float = 72.0
    neutral_hue: float = 77.5
    beige_hue: float = 74.5
    warm_hue: float = 76.0
    toning_l: float = 0.155


BEFORE = Constants(
    0.010, 1.85, 6.0, 0.5, 0.006, 6.0, 9.9, 0.0, 0.018, 1.75, 565.0, 33.0, 602.0, 42.0, 0.05,
    0.20, 0.45, 0.75, 0.90, 1.15, 95.0, 88.0, 81.0, 75.0, 74.0, 0.0,
)  # fmt: skip
"""The constants tuned one after another, before."""


STEPS = {
    "pigment": 0.0006, "ratio": 0.03, "warm_exponent": 0.3, "warm_gain": 0.04, "keratin": 0.001,
    "keratin_exponent": 1.0, "natural_at": 0.25, "natural_rise": 0.05, "dye": 0.001, "dye_ratio": 0.03,
    "violet_nm": 1.5, "violet_width": 1.5, "blue_nm": 1.5, "blue_width": 1.5, "brighten": 0.008, "icy": 0.03,
    "cool": 0.03, "neutral": 0.03, "beige": 0.03, "warm": 0.03, "icy_hue": 3.0, "cool_hue": 2.0, "neutral_hue": 1.5,
    "beige_hue": 1.5, "warm_hue": 1.5, "toning_l": 0.04,
}  # fmt: skip
LIMITS = {
    "pigment": (0.005, 0.014), "ratio": (1.6, 2.05), "warm_exponent": (4.75, 7.5), "warm_gain": (0.35, 0.7),
    "keratin": (0.0001, 0.01), "keratin_exponent": (4.0, 16.0), "natural_at": (2.5, 5.0), "natural_rise": (0.0, 0.8),
    "dye": (0.008, 0.022), "dye_ratio": (1.6, 1.9), "violet_nm": (556.0, 572.0), "violet_width": (27.0, 38.0),
    "blue_nm": (594.0, 608.0), "blue_width": (36.0, 46.0), "brighten": (0.03, 0.10), "icy": (0.15, 0.25),
    "cool": (0.4, 0.5), "neutral": (0.66, 0.8), "beige": (0.8, 1.0), "warm": (1.05, 1.3), "icy_hue": (62.0, 78.0),
    "cool_hue": (70.0, 80.0), "neutral_hue": (74.0, 82.0), "beige_hue": (70.0, 78.0), "warm_hue": (70.0, 78.0),
    "toning_l": (0.0, 0.45),
}  # fmt: skip
NATURAL_MOST = 1.9

# families of a rich shelf: (yellow, orange, red, violet, blue, green) by share
FAMILIES = {
    "violet": (0, 0, 0, 0.85, 0.15, 0), "pure violet": (0, 0, 0, 1.0, 0, 0), "ash": (0, 0, 0, 0.4, 0.6, 0),
    "blue": (0, 0, 0, 0.15, 0.85, 0), "pearl": (0, 0, 0.3, 0.6, 0.1, 0), "beige": (0.25, 0, 0.3, 0.45, 0, 0),
    "sand": (0.1, 0.15, 0.2, 0.45, 0.1, 0), "gold": (0.65, 0.35, 0, 0, 0, 0), "rose": (0, 0.25, 0.75, 0, 0, 0),
}  # fmt: skip


def gauss(peak: float, width: float) -> Floats:
    """A dye band."""
    return np.asarray(np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / width) ** 2))


def bands(c: Constants) -> Floats:
    """The six families' absorption, (6, 81)."""
    return np.array(
        [
            gauss(440, 35),
            gauss(490, 40),
            gauss(520, 40),
            gauss(c.violet_nm, c.violet_width),
            gauss(c.blue_nm, c.blue_width),
            gauss(640, 40) + gauss(430, 30),
        ]
    )


def hair(c: Constants, start: Floats, level: Floats, *, is_reference: bool = False) -> Floats:
    """Absorption of hair; `is_reference` without what natural hair is darker by."""
    start, level = np.broadcast_arrays(np.asarray(start, float), np.asarray(level, float))
    lifted = np.maximum(level - start, 0.0)
    amount = c.pigment * c.ratio ** (10.0 - level)
    if not is_reference:
        natural = np.clip(c.natural_rise * (start - c.natural_at), 0.0, NATURAL_MOST)
        amount = amount * (1.0 + natural * np.exp(-1.5 * lifted))
    warm = (1.0 - 0.9 * np.exp(-c.warm_gain * lifted))[..., None]
    return np.asarray(amount[..., None] * ((1 - warm) * X**-3.33 + warm * X**-c.warm_exponent) + kera(c))


def kera(c: Constants) -> Floats:
    """Keratin."""
    return np.asarray(c.keratin * X**-c.keratin_exponent)


def lab_of(absorption: Floats) -> Floats:
    """CIELAB."""
    return xyz_to_lab(
        (SURFACE_REFLECTION + (1 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption))) @ _LIGHT
    )


def shelf(c: Constants, levels: tuple[float, ...] = (8.0, 9.0, 10.0)) -> tuple[Floats, Floats, Floats]:
    """Absorption (f, 81), levels its developer takes (f,), depth (f,), of every shade and mix 3:1, 1:1, 1:3."""
    dyes = bands(c)
    one, gone, depth = [], [], []
    for level in levels:
        parts, volume = (2.0, 5.0) if level == 10.0 else (1.5, 7.0)
        for family in FAMILIES.values():
            one.append(c.dye * c.dye_ratio ** (10 - level) * 2 / (1 + parts) * (np.array(family) @ dyes))
            gone.append(c.brighten * volume)
            depth.append(level)
    a, g, d = np.array(one), np.array(gone), np.array(depth)
    i, j = np.triu_indices(len(a), 1)
    mixed = [(a, g, d)]
    for share in (0.25, 0.5, 0.75):
        mixed.append((share * a[i] + (1 - share) * a[j], np.minimum(g[i], g[j]), share * d[i] + (1 - share) * d[j]))
    return tuple(np.concatenate(x) for x in zip(*mixed, strict=True))  # type: ignore[return-value]


def toned(c: Constants, base: Floats, absorption: Floats, gone: Floats, minutes: Floats) -> Floats:
    """CIELAB (f, m, 3) of hair under formulas."""
    share = -np.expm1(-minutes / 8.0)
    left = c.ratio ** -(gone[:, None] * -np.expm1(-minutes / 10.0))
    k = kera(c)
    whole = k + (base - k) * left[..., None] + share[:, None] * absorption[:, None, :]
    return lab_of(whole)


def wish(c: Constants, tone: str, level: float) -> Floats:
    """The colour meant."""
    natural = lab_of(hair(c, np.array(level), np.array(level), is_reference=True))
    lifted = lab_of(hair(c, np.array(level - 4.0), np.array(level), is_reference=True))
    wanted, hue = getattr(c, tone) * float(chroma(natural)), np.radians(getattr(c, f"{tone}_hue"))
    a, b = wanted * np.cos(hue), wanted * np.sin(hue)
    cost = c.toning_l * float(np.hypot(lifted[1] - a, lifted[2] - b))
    return np.array([natural[0] - cost, a, b])


@dataclass(frozen=True)
class Found:
    """What a set comes to."""

    terms: dict[str, float]
    told: dict[str, object]

    @property
    def score(self) -> float:
        """Sum of squares past a tolerance, and a little inside it."""
        return sum(max(abs(t) - 1.0, 0.0) ** 2 + 0.02 * t * t for t in self.terms.values())


def over(value: float, most: float, tolerance: float) -> float:
    """1 at the limit, more past it; a little under it."""
    return 1.0 + (value - most) / tolerance if value > most else max(1.0 + (value - most) / tolerance, 0.0)


def judged(c: Constants) -> Found:
    """Every term of a set."""
    terms: dict[str, float] = {}
    told: dict[str, object] = {}
    every = np.arange(3.0, 11.0)
    lifted = lab_of(hair(c, np.array(3.0), every))
    hues = hue_deg(lifted)
    for level, aim, width in ((5, 58, 3.0), (6, 64, 3.0), (7, 69, 2.5), (8, 72, 2.5), (9, 75.5, 2.5), (10, 77.5, 2.5)):
        terms[f"hue {level}"] = (hues[level - 3] - aim) / width
    for level, aim, width in ((8, 60.0, 2.5), (10, 76.0, 1.5)):
        terms[f"L lifted {level}"] = (lifted[level - 3, 0] - aim) / width
    for level, aim, width in ((5, 33.0, 2.5), (6, 44.0, 3.0)):
        terms[f"L lifted {level}"] = (lifted[level - 3, 0] - aim) / width
    for level, least in ((4, 13.0), (5, 24.0), (6, 31.0), (7, 32.0)):  # red to orange is vivid
        terms[f"vivid {level}"] = over(least - float(chroma(lifted[level - 3])), 0.0, 2.0)
    for level, aim in ((5.0, 28.0), (6.5, 37.0), (8.5, 53.0)):
        found = float(lab_of(hair(c, np.array(level), np.array(level)))[0])
        told[f"L natural {level}"] = round(found, 1)
        terms[f"L natural {level}"] = (found - aim) / 2.5
    told["lifted L"], told["lifted hue"] = lifted[:, 0].round(1).tolist(), hues.round(1).tolist()
    told["lifted chroma"] = chroma(lifted).round(1).tolist()
    amounts = np.geomspace(1e-3, 1.0, 120)
    dyes = bands(c)
    for level in (5, 6, 7, 8, 9, 10):
        base = hair(c, np.array(3.0), np.array(float(level)))
        left = chroma(lab_of(base + amounts[:, None, None] * dyes[None])).min(axis=0)
        blue, violet = left[4], left[3]
        rest = min(left[[0, 1, 2, 5]])
        gap = float(np.log(blue / violet))
        told[f"blue/violet {level}"] = round(float(blue / violet), 2)
        if level in (5, 6):
            terms[f"counter {level}"] = over(gap, -0.14, 0.1)
        elif level == 7:
            terms["counter 7"] = gap / 0.10
        else:
            terms[f"counter {level}"] = over(-gap, -0.14, 0.1)
        terms[f"others {level}"] = over(float(min(blue, violet) / rest), 0.95, 0.1)
    violet10 = c.dye * 2 / 3.0 * (0.85 * dyes[3] + 0.15 * dyes[4])
    lost = 0.0
    for level in (9.5, 10.0):
        before = hair(c, np.array(6.0), np.array(level))
        was = lab_of(before)
        after = toned(c, before, violet10[None], np.array([5 * c.brighten]), np.array([10.0]))[0, 0]
        natural = lab_of(hair(c, np.array(level), np.array(level), is_reference=True))
        lost = max(lost, float(was[0] - after[0]))
        terms[f"violet b {level}"] = over(float(after[2] / was[2]), 0.82, 0.05)
        terms[f"violet chroma {level}"] = over(float(chroma(after) / chroma(natural)), 1.05, 0.05)
        terms[f"violet hue {level}"] = over(float(hue_deg(natural) - hue_deg(after)), 5.0, 1.5)
    told["violet-10 lost"] = round(lost, 2)
    terms["violet lost"] = over(lost, 2.4, 0.3)
    absorption, gone, depth = shelf(c)
    khaki, aways, dulls = 0, [], []
    rows = []
    for level in LEVELS:
        base = hair(c, np.array(4.0), np.array(level))
        now = lab_of(base)
        fits = depth >= level - 1.0
        labs = toned(c, base, absorption[fits], gone[fits], MINUTES)
        for tone in TONES:
            aim = wish(c, tone, level)
            away = delta_e_2000(labs, aim)
            costs = away + 0.3 * np.maximum(0.0, 5.0 - MINUTES)
            f, m = np.unravel_index(int(costs.argmin()), costs.shape)
            lab = labs[f, m]
            hue = float(hue_deg(lab))
            is_khaki = 86.0 <= hue <= 95.0 and lab[0] < 72.0
            khaki += is_khaki
            terms[f"khaki {tone} {level:.0f}"] = over(hue, 84.0, 1.5) if lab[0] < 74.0 else 0.0
            aways.append(float(away[f, m]))
            lost = float(now[0] - lab[0])
            if tone in ("icy", "cool"):
                dulls.append(lost)
                terms[f"dull {tone} {level:.0f}"] = over(lost, 5.2, 0.5)
                terms[f"hue {tone} {level:.0f}"] = over(60.0 - hue, -2.0, 2.0)
            terms[f"near {tone} {level:.0f}"] = over(float(away[f, m]), 3.0, 1.0)
            rows.append(
                (tone, level, round(float(away[f, m]), 1), round(lost, 1), round(hue), round(float(chroma(lab)), 1))
            )
        least = chroma(labs).min()
        told[f"least chroma {level:.0f}"] = round(float(least), 1)
    order = [getattr(c, t) for t in TONES]
    terms["tones apart"] = over(max(0.1 - float(np.diff(order).min()), 0.0), 0.0, 0.02)
    terms["near, mean"] = over(float(np.mean(aways)), 2.8, 0.3)
    terms["dull, mean"] = over(float(np.mean(dulls)), 4.8, 0.4)
    told |= {
        "khaki": khaki,
        "mean dE": round(float(np.mean(aways)), 2),
        "icy and cool lose": round(float(np.mean(dulls)), 2),
    }
    told["each"] = rows
    return Found(terms, told)


def is_inside(c: Constants) -> bool:
    """Within every limit."""
    return all(low <= getattr(c, name) <= high for name, (low, high) in LIMITS.items())


def search(begin: Constants, rounds: int, seed: int) -> tuple[Constants, Found]:
    """Moves of one to four constants, kept when better; now and then one a little worse (annealed)."""
    random = np.random.default_rng(seed)
    names = list(STEPS)
    now, found = begin, judged(begin)
    best, best_found = now, found
    for step in range(rounds):
        heat = 0.5 * (1.0 - step / rounds) ** 2
        some = random.choice(names, size=int(random.integers(1, 5)), replace=False)
        size = random.choice([0.3, 1.0, 2.0])
        moved = replace(now, **{n: float(getattr(now, n) + size * STEPS[n] * random.normal()) for n in some})
        if not is_inside(moved):
            continue
        tried = judged(moved)
        if tried.score < found.score or random.random() < np.exp(-(tried.score - found.score) / max(heat, 1e-3)):
            now, found = moved, tried
            if found.score < best_found.score:
                best, best_found = now, found
    return best, best_found


def tell(name: str, c: Constants, found: Found) -> None:
    """Print a set, what it comes to, and what is past its tolerance."""
    print(f"{name}: score {found.score:.2f}")
    print("  " + ", ".join(f"{f.name} {getattr(c, f.name):.4g}" for f in fields(c)))
    for key, value in found.told.items():
        if key != "each":
            print(f"  {key}: {value}")
    for row in found.told["each"]:  # type: ignore[union-attr]
        print("   ", *row)
    past = {k: round(v, 2) for k, v in found.terms.items() if abs(v) > 1.0}
    print(f"  past a tolerance (1): {past}")


def check_core(c: Constants) -> None:
    """The models written out here are the core's own."""
    for start, level in ((3.0, 8.0), (5.0, 5.0), (8.5, 8.5), (4.0, 10.0)):
        ours, core = lab_of(hair(c, np.array(start), np.array(level))), hair_lab(start, np.array(level))
        assert np.abs(ours - core).max() < 1e-6, (start, level, ours, core)
    for name in TONES:
        ours, core = wish(c, name, 9.0), Wish(Tone(name), 9.0, is_warmth_back=False).wanted
        assert np.abs(ours - core).max() < 1e-6, (name, ours, core)
    violet = TonerShade("v", "V", 10.0, ((DyeFamily.VIOLET, 0.85), (DyeFamily.BLUE, 0.15)), 20.0, 2.0, 5.0)
    core = toned_lab(Result("z", "Z", 6.0, 10.0), Formula((violet,)), 10.0)
    dyes = bands(c)
    own = c.dye * 2 / 3.0 * (0.85 * dyes[3] + 0.15 * dyes[4])
    base = hair(c, np.array(6.0), np.array(10.0))
    ours = toned(c, base, own[None], np.array([5 * c.brighten]), np.array([10.0]))[0, 0]
    assert np.abs(ours - core).max() < 1e-6, (ours, core)


if __name__ == "__main__":
    asked = int(sys.argv[1]) if len(sys.argv) > 1 else ROUNDS
    check_core(Constants())
    tell("before", BEFORE, judged(BEFORE))
    tell("now", Constants(), judged(Constants()))
    found, what = search(Constants(), asked, SEED)
    if what.score < judged(Constants()).score:
        tell(f"after {asked} more moves", found, what)
    else:
        print(f"{asked} more moves found nothing better")
