"""What a studio's own services say about the model: how far and fast hair really lifts, by kind and by product.

docs/models/learnt.md.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import TypeVar

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, LimitError, Message, check_range, say
from fervens_core.head import History, Porosity, Thickness

K = TypeVar("K")

PRIOR_STD = 0.10
"""[MODEL] how far a product's real strength may be from its label's, in the log of how far it lifts."""
SERVICE_STD = 0.15
"""[MODEL] how far one service's mean may be from the product's own, in the same log."""
LIFT_FACTOR_LOW, LIFT_FACTOR_HIGH = 0.5, 1.2
COUNT_LEAST = 3
"""So few services say nothing yet."""


@dataclass(frozen=True, slots=True)
class LaneFact:
    """One lane of a filed service, as learning needs it.

    Args:
        service: whose lane. history, thickness, porosity: of its hair. product, product_name: the lightener.
        log_extent, log_rate: learnt over expected, natural log.
        pace_min: minutes a section took, None when not known. off_levels: reached less wanted, None when never read.
        is_past_wall: the label's time passed with product on. mixed_g, wasted_g: of its bowls, g.
    """

    service: str
    zone: Message | str
    history: History
    thickness: Thickness
    porosity: Porosity
    product: str
    product_name: str
    log_extent: float
    log_rate: float
    pace_min: float | None
    off_levels: float | None
    is_past_wall: bool
    mixed_g: float
    wasted_g: float

    @property
    def hair(self) -> Message:
        """The kind of hair, as learning groups it."""
        return say("hair_kind", history=self.history, thickness=self.thickness, porosity=self.porosity)

    def __post_init__(self) -> None:
        check_range("log_extent", self.log_extent, -2.0, 2.0)
        check_range("log_rate", self.log_rate, -2.0, 2.0)


@dataclass(frozen=True, slots=True)
class Learnt:
    """What some lanes have in common.

    Args:
        name: of the kind or product. lanes, services: how many it rests on.
        extent, rate: factor beside the model's, geometric mean. extent_spread, rate_spread: one sigma as a factor.
    """

    name: Message | str
    key: str
    lanes: int
    services: int
    extent: float
    extent_spread: float
    rate: float
    rate_spread: float


@dataclass(frozen=True, slots=True)
class Pace:
    """How long a section takes in a zone: mean and one sigma, min, over so many lanes."""

    zone: Message | str
    lanes: int
    mean_min: float
    spread_min: float


@dataclass(frozen=True, slots=True)
class StudioNumbers:
    """A studio's own numbers."""

    services: int
    lanes: int
    on_target_share: float | None
    walls_passed: int
    mixed_g: float
    wasted_g: float
    paces: tuple[Pace, ...]
    by_hair: tuple[Learnt, ...]
    by_product: tuple[Learnt, ...]


def _spread(values: Sequence[float]) -> float:
    return float(np.std(values, ddof=1)) if len(values) > 1 else 0.0


def _groups(facts: Sequence[LaneFact], key: Callable[[LaneFact], K]) -> dict[K, list[LaneFact]]:
    found: dict[K, list[LaneFact]] = {}
    for fact in facts:
        found.setdefault(key(fact), []).append(fact)
    return found


def _learnt(key: str, name: Message | str, facts: Sequence[LaneFact]) -> Learnt:
    extents, rates = [f.log_extent for f in facts], [f.log_rate for f in facts]
    return Learnt(
        name=name,
        key=key,
        lanes=len(facts),
        services=len({f.service for f in facts}),
        extent=math.exp(float(np.mean(extents))),
        extent_spread=math.exp(_spread(extents)),
        rate=math.exp(float(np.mean(rates))),
        rate_spread=math.exp(_spread(rates)),
    )


def studio_numbers(facts: Sequence[LaneFact]) -> StudioNumbers:
    """A studio's numbers over its filed services, the kinds with most lanes first."""
    read = [f.off_levels for f in facts if f.off_levels is not None]
    paces = [
        Pace(zone, len(own), float(np.mean(own)), _spread(own))
        for zone, group in _groups(facts, lambda f: f.zone).items()
        if (own := [f.pace_min for f in group if f.pace_min is not None])
    ]
    kinds = _groups(facts, lambda f: f"{f.history.value}/{f.thickness.value}/{f.porosity.value}")
    hair = [_learnt(k, g[0].hair, g) for k, g in kinds.items()]
    products = [_learnt(k, g[0].product_name, g) for k, g in _groups(facts, lambda f: f.product).items()]
    return StudioNumbers(
        services=len({f.service for f in facts}),
        lanes=len(facts),
        on_target_share=sum(abs(x) <= ON_TARGET_LEVELS for x in read) / len(read) if read else None,
        walls_passed=sum(f.is_past_wall for f in facts),
        mixed_g=sum(f.mixed_g for f in facts),
        wasted_g=sum(f.wasted_g for f in facts),
        paces=tuple(sorted(paces, key=lambda p: (-p.lanes, str(p.zone)))),
        by_hair=tuple(sorted(hair, key=lambda x: (-x.lanes, x.key))),
        by_product=tuple(sorted(products, key=lambda x: (-x.lanes, str(x.name)))),
    )


def learnt_lift_factor(current: float, facts: Sequence[LaneFact]) -> float:
    """A product's lift factor with what its services taught: Gaussian, each service's mean as one look at it.

    Args:
        current: the factor its lanes were expected with, 0.5 to 1.2.
        facts: lanes of that product only.
    Returns:
        0.5 to 1.2. Few services move it little.
    Raises:
        LimitError: fewer than three services.
    """
    check_range("lift_factor", current, LIFT_FACTOR_LOW, LIFT_FACTOR_HIGH)
    means = [float(np.mean([f.log_extent for f in g])) for g in _groups(facts, lambda f: f.service).values()]
    if len(means) < COUNT_LEAST:
        raise LimitError("services", say("limit-services_filed", least=COUNT_LEAST), len(means))
    weight = len(means) / SERVICE_STD**2
    moved = float(np.mean(means)) * weight / (weight + 1.0 / PRIOR_STD**2)
    return float(min(max(current * math.exp(moved), LIFT_FACTOR_LOW), LIFT_FACTOR_HIGH))
