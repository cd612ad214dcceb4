"""Seeded random heads for the benches of the plan; written against what every version of the core has had."""

from __future__ import annotations

import random

from fervens_core.head import (
    USUAL_HEAD,
    Covering,
    Developer,
    DeveloperUse,
    Hair,
    Lightener,
    StrandPart,
    Thickness,
    Zone,
)
from fervens_core.planning import PlanRequest

SEED, HEADS = 20261126, 200
BOTTLES = tuple(
    Developer(f"d{v}", f"{v} vol", v, DeveloperUse.TONING if v < 10 else DeveloperUse.BOTH)
    for v in (5, 7, 10, 20, 30, 40)
)
POWDER = Lightener("p", "Powder", 1.5, label_max_min=50)


def random_head(dice: random.Random, count: int | None = None) -> PlanRequest:
    """A head of 3 to 12 zones of one kind, with the odd resistant, delicate or open-air zone and roots apart."""
    start, gain = dice.choice([3, 4, 5, 6, 7]), dice.choice([2, 2.5, 3, 4])
    keys = [(z.key, z.is_delicate) for z in USUAL_HEAD]
    told = dice.sample(keys, count or dice.randint(3, 12)) if (count or 0) <= len(keys) else []
    told = told or [(f"zone_{i}", False) for i in range(count or 0)]
    has_roots = dice.random() < 0.25
    zones = []
    for key, is_delicate in told:
        level = start + dice.choice([0, 0, 0.5, -0.5])
        hair = Hair(level, thickness=dice.choice([Thickness.MEDIUM] * 4 + [Thickness.COARSE, Thickness.FINE]))
        parts = (StrandPart(Hair(level), 0.0, 12.0),) if has_roots else ()
        covering = Covering.OPEN_AIR if dice.random() < 0.1 and not parts else Covering.FOIL
        zones.append(
            Zone(key, key, hair, min(start + gain, 10.0), foil_count=dice.randint(3, 8), pace_min_per_foil=1.1,
                 covering=covering, is_delicate=is_delicate, parts=parts)
        )  # fmt: skip
    return PlanRequest(tuple(zones), POWDER, BOTTLES)
