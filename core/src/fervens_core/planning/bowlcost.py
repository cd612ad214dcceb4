"""What the bowls of many schedules come to, side by side: how many, and how old they get. docs/models/schedule.md.

The same bowls as `bowls.plan_bowls` weighs, as arrays over m timelines.
"""

from __future__ import annotations

import math
from collections.abc import Sequence

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import Zone
from fervens_core.planning.bowls import LARGE_BOWL_G, STALE_LIFT_LOSS_PER_MIN, BowlStyle, bowl_use_min, section_mix_g
from fervens_core.planning.entry import application_min
from fervens_core.planning.request import PlanRequest


class BowlCounter:
    """Bowls for some lanes in the order they go on.

    Args:
        least: there are never fewer of them than this, whatever the schedule.
    """

    def __init__(self, request: PlanRequest, zones: Sequence[Zone], order: Sequence[int]) -> None:
        """Args: order: rows of the lanes as they go on."""
        lighteners = [request.lightener_of(z) for z in zones]
        keys = {key: i for i, key in enumerate(dict.fromkeys(x.key for x in lighteners))}
        style = request.choice.bowl_style
        self.order, self.style = tuple(order), style
        self.product = np.array([keys[x.key] for x in lighteners])
        self.life = np.array([x.bowl_life_min for x in lighteners])
        self.most = np.array([bowl_use_min(x, style) for x in lighteners])
        self.mass = np.array([z.foil_count * section_mix_g(z, request.choice.mix_per_foil_g) for z in zones])
        # what goes on within a bowl's time is what so many hands put on meanwhile
        work = (
            float((np.array([application_min(z, request.pace) for z in zones]) / self.most).sum())
            / request.choice.hands
        )
        self.least = max(math.ceil(work - 1e-6), len(keys))

    def count(self, strengths: np.ndarray, starts: Floats, ends: Floats) -> tuple[Floats, Floats]:
        """How many bowls, shape (m,), and how much less far each lane lifts for their age, shape (n, m).

        Args:
            strengths: index of each lane's strength, shape (n, m). starts, ends: of its application, min.
        """
        n, m = strengths.shape
        mix = self.product[:, None] * (int(strengths.max()) + 1) + strengths
        kinds, place = np.unique(mix, return_inverse=True)
        place = place.reshape(n, m)
        every = np.arange(m)
        longest = self._longest(place, kinds.size, starts, ends)[place, every]
        took = ends - starts
        portions = np.maximum(np.ceil(np.round(took / self.most[:, None], 6)), 1.0)
        portion = took / portions
        began, held = np.full((kinds.size, m), -np.inf), np.zeros((kinds.size, m))
        bowls, age = np.zeros(m), np.zeros((n, m))
        for row in self.order:
            of = place[row]
            since = began[of, every]
            if self.style is BowlStyle.LARGE:
                filled = held[of, every] + self.mass[row]
                is_new = (since == -np.inf) | (filled > LARGE_BOWL_G)
                held[of, every] = np.where(is_new, self.mass[row], filled)
                bowls += is_new
                began[of, every] = opened = np.where(is_new, starts[row], since)
                age[row] = ends[row] - opened
                continue
            is_new = starts[row] + portion[row] - since > longest[row] + 1e-6
            opened = np.where(is_new, starts[row], since)
            bowls += is_new + portions[row] - 1.0
            is_split = portions[row] > 1.0
            age[row] = np.where(is_split, portion[row], ends[row] - opened)
            began[of, every] = np.where(is_split, ends[row] - portion[row], opened)
        return bowls, np.clip((age - self.life[:, None]) * STALE_LIFT_LOSS_PER_MIN, 0.0, 0.5)

    def _longest(self, place: np.ndarray, kinds: int, starts: Floats, ends: Floats) -> Floats:
        """How long a bowl of each mix is used, shape (kinds, m): for the usual way all bowls of a mix about alike."""
        found = np.full((kinds, place.shape[1]), np.inf)
        for kind in range(kinds):
            is_own = place == kind
            most = np.where(is_own, self.most[:, None], np.inf).min(axis=0)
            found[kind] = most
            if self.style is BowlStyle.USUAL:
                span = np.where(is_own, ends, -np.inf).max(axis=0) - np.where(is_own, starts, np.inf).min(axis=0)
                one = np.where(is_own, ends - starts, 0.0).max(axis=0)
                life = np.where(is_own, self.life[:, None], 0.0).max(axis=0)
                with np.errstate(invalid="ignore"):
                    count = np.maximum(np.ceil(span / most - 1e-9), 1.0)
                    even = np.maximum(span / count + np.minimum(one, most), life)
                found[kind] = np.where(np.isfinite(span), np.minimum(even, most), most)
        return found
