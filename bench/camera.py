"""Hair read by a camera with a card, on rendered photographs of known truth, good and spoilt.

The yardstick is what a person without a card would do with the same picture: take the strand's mean colour as the
camera gave it (sRGB), and the nearest level. How this could be wrong: the strand, its sheen and the camera are our own
rendering; real hair lies unevenly, real printers fade, and real phones change a picture as they like.

Run: bin/bench camera [PICTURES]
"""

from __future__ import annotations

import sys
import time
from collections import Counter
from collections.abc import Sequence
from concurrent.futures import ProcessPoolExecutor

import numpy as np

from fervens_core.base import CoreError, check_range
from fervens_core.colour import delta_e_2000, hair_lab, hair_reflectance
from fervens_core.formats import level_of_lab
from fervens_vision import CARD, PictureRefusedError, nominal_values, read_strand
from fervens_vision.colours import WHITE_10, decode_srgb, xyz_to_lab
from fervens_vision.find import find_card, pixels_of
from fervens_vision.picture import open_picture
from fervens_vision.simulate import SPOILT, any_scene, photograph, spoilt

SEED, PICTURES, SPOILT_EACH = 20260301, 300, 30
_TO_XYZ = np.array([[0.4124, 0.3576, 0.1805], [0.2126, 0.7152, 0.0722], [0.0193, 0.1192, 0.9505]])


def nearest(start: float, lab: np.ndarray) -> float:
    """The level that looks most like a colour."""
    levels = np.arange(start, 10.05, 0.1)
    return float(levels[np.argmin(delta_e_2000(hair_lab(start, levels), lab))])


def without_card(data: bytes, start: float) -> float:
    """The strand's mean colour as the camera gave it."""
    codes = pixels_of(find_card(open_picture(data)), CARD.window.inset(3.0)).reshape(-1, 3)
    xyz = decode_srgb(codes / 255.0).mean(axis=0) @ _TO_XYZ.T / np.array([0.9505, 1.0, 1.089])
    return nearest(start, xyz_to_lab(xyz * WHITE_10))


def good(number: int) -> dict[str, object]:
    """One good picture read three ways: how far off each is, or why it was refused."""
    random = np.random.default_rng((SEED, number))
    start = float(random.uniform(2.0, 6.0))
    level = float(random.uniform(max(start, 3.5), 10.0))
    photo = photograph(hair_reflectance(start, np.array(level)), any_scene(random), number)
    found: dict[str, object] = {}
    for name, values in (("measured", photo.values), ("nominal", nominal_values())):
        began = time.perf_counter()
        try:
            read = read_strand(photo.data, values)
            found[name] = level_of_lab(start, read.lab).level - level
            spread = np.array(read.std)
            off = np.array(read.lab) - hair_lab(start, np.array([level]))[0]
            found[f"{name} held"] = bool((np.abs(off) <= 1.2816 * spread).mean() > 0.5)
        except (PictureRefusedError, CoreError) as error:
            found[name] = getattr(error, "why", getattr(error, "code", "refused"))
        found[f"{name} ms"] = (time.perf_counter() - began) * 1000.0
    try:
        found["without"] = without_card(photo.data, start) - level
    except PictureRefusedError as error:
        found["without"] = error.why
    return found


def spoiled(job: tuple[str, int]) -> tuple[str, str]:
    """One spoilt picture: what was wrong, and what was said."""
    why, number = job
    random = np.random.default_rng((SEED, 7, number, SPOILT.index(why)))
    photo = photograph(
        hair_reflectance(4.0, np.array(random.uniform(5.0, 9.5))), spoilt(any_scene(random), why, random), number
    )
    try:
        read_strand(photo.data, photo.values)
    except PictureRefusedError as error:
        return why, error.why
    return why, "read"


def main(argv: Sequence[str]) -> None:
    """Print the table."""
    count = int(check_range("PICTURES", float(argv[0]) if argv else PICTURES, 5, 5000))
    with ProcessPoolExecutor(2) as pool:
        found = list(pool.map(good, range(count), chunksize=4))
        jobs = [(why, i) for why in SPOILT for i in range(max(SPOILT_EACH * count // PICTURES, 2))]
        bad = list(pool.map(spoiled, jobs, chunksize=4))
    print(f"{count} good pictures, seed {SEED}; of those read: within a quarter, a half, three quarters of a level;")
    print("refused of all; median and longest ms a picture")
    for name, said in (("measured", "card measured"), ("nominal", "card as printed"), ("without", "no card (sRGB)")):
        off = np.array([f[name] for f in found if isinstance(f[name], float)])
        refused = Counter(str(f[name]) for f in found if not isinstance(f[name], float))
        ms = [float(f[f"{name} ms"]) for f in found if f"{name} ms" in f]  # type: ignore[arg-type]
        times = f"{np.median(ms):5.0f} {max(ms):5.0f}" if ms else ""
        shares = "  ".join(f"{np.mean(np.abs(off) <= near):6.1%}" for near in (0.25, 0.5, 0.75))
        print(f"  {said:<16} {shares}   {1 - len(off) / count:5.1%}  {times}  {dict(refused) or ''}")
    print(f"{len(jobs) // len(SPOILT)} spoilt pictures each: refused, and as what")
    for why in SPOILT:
        told = Counter(said for wrong, said in bad if wrong == why)
        print(f"  {why:<12} {1 - told['read'] / sum(told.values()):6.1%}  {dict(told)}")


if __name__ == "__main__":
    main(sys.argv[1:])
