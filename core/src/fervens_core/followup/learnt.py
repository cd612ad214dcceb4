"""What a studio's own services say about the model: how far and fast hair really lifts, by kind and by product.

docs/models/learnt.md.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import TypeVar

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, LimitError, Message, check_range, say
from fervens_core.colour import hair_lab, seen_hexes
from fervens_core.head import History, LearntHair, Lightener, Porosity, Thickness
from fervens_core.lift import LiftFactors, level_at

K = TypeVar("K")


@dataclass(frozen=True, slots=True)
class _Spreads:
    """In the log: how far a product may be from its label, a kind of hair from others with it, a service from both."""

    product: float
    kind: float
    service: float


EXTENT_SPREADS, RATE_SPREADS = _Spreads(0.10, 0.07, 0.15), _Spreads(0.15, 0.12, 0.25)
"""[MODEL] of how far, and of how fast."""
LIFT_FACTOR_LOW, LIFT_FACTOR_HIGH = 0.5, 1.2
RATE_FACTOR_LOW, RATE_FACTOR_HIGH = 0.5, 2.0
KIND_LEAST = 0.03
"""A kind of hair that lifts by less than three per cent otherwise is like the others."""
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


SWEPT_FROM, SWEPT_VOLUME, SWEPT_MIN = 4.0, 20.0, 30.0
"""[MODEL] learnt hair is shown as a strand lifted from 4 with 20 vol for half an hour, while it still differs."""
SWEPT_POINTS = 8


def swept(extent: float, rate: float) -> tuple[str, ...]:
    """How hair of some factors looks after `SWEPT_MIN`, from the scalp (begun last) to the tip, as screen colours.

    Args:
        extent, rate: factors beside the model's, as `Learnt` has them.
    """
    minutes = np.linspace(0.0, SWEPT_MIN, SWEPT_POINTS)
    factors = LiftFactors(extent=min(max(extent, 0.2), 2.0), rate=min(max(rate, 0.2), 5.0))
    levels = level_at(minutes, start_level=SWEPT_FROM, volume_strength=SWEPT_VOLUME, factors=factors)
    return tuple(seen_hexes(hair_lab(SWEPT_FROM, levels)))


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


@dataclass(frozen=True, slots=True)
class LearntProduct:
    """What a product's services say should change of what is expected of it, partly pooled.

    Args:
        extent, rate: factors on how far and how fast it lifts any hair, 1 for no change. kinds: kinds of hair with
            factors of their own beside those. services: that say so.
    """

    extent: float
    rate: float
    kinds: tuple[LearntHair, ...]
    services: int


def learnt_product(facts: Sequence[LaneFact]) -> LearntProduct:
    """How far and how fast a product lifts, as its services taught: all hair together, and each kind beside that.

    Partly pooled: a product's own factor and one more for each kind of hair, both Gaussian about nothing in the log;
    each service's mean of a kind is one look at their sum. Few services move it little, a kind seen once hardly.

    Args:
        facts: lanes of that product only, told beside what is expected of it today.
    Raises:
        LimitError: fewer than three services.
    Source:
        Gelman et al. 2013, Bayesian Data Analysis, section 5.4: the hierarchical normal model.
    """
    services = len({f.service for f in facts})
    if services < COUNT_LEAST:
        raise LimitError("services", say("limit-services_filed", least=COUNT_LEAST), services)
    groups = _groups(facts, lambda f: (f.service, (f.history, f.thickness, f.porosity)))
    kinds = list(dict.fromkeys(kind for _, kind in groups))
    rows = np.zeros((len(groups), 1 + len(kinds)))
    rows[:, 0] = 1.0
    rows[np.arange(len(groups)), [1 + kinds.index(kind) for _, kind in groups]] = 1.0
    found = []
    for spread, values in (
        (EXTENT_SPREADS, [float(np.mean([f.log_extent for f in g])) for g in groups.values()]),
        (RATE_SPREADS, [float(np.mean([f.log_rate for f in g])) for g in groups.values()]),
    ):
        before = np.diag([spread.product**-2.0] + [spread.kind**-2.0] * len(kinds))
        found.append(
            np.linalg.solve(before + rows.T @ rows / spread.service**2, rows.T @ np.array(values) / spread.service**2)
        )
    far, fast = found
    own = tuple(
        LearntHair(*kind, math.exp(float(np.clip(e, -0.6, 0.6))), math.exp(float(np.clip(r, -0.8, 0.8))))
        for kind, e, r in zip(kinds, far[1:], fast[1:], strict=True)
        if max(abs(e), abs(r)) >= KIND_LEAST
    )
    return LearntProduct(math.exp(float(far[0])), math.exp(float(fast[0])), own, services)


def with_learnt(lightener: Lightener, learnt: LearntProduct) -> Lightener:
    """A lightener with what its services taught; factors of kinds it has already are moved on."""
    kinds = {(x.history, x.thickness, x.porosity): x for x in lightener.learnt}
    for x in learnt.kinds:
        key = (x.history, x.thickness, x.porosity)
        old = kinds.get(key)
        if old is not None:
            x = replace(
                x,
                extent=float(np.clip(old.extent * x.extent, 0.5, 2.0)),
                rate=float(np.clip(old.rate * x.rate, 0.4, 2.5)),
            )
        kinds[key] = x
    return replace(
        lightener,
        lift_factor=float(np.clip(lightener.lift_factor * learnt.extent, LIFT_FACTOR_LOW, LIFT_FACTOR_HIGH)),
        rate_factor=float(np.clip(lightener.rate_factor * learnt.rate, RATE_FACTOR_LOW, RATE_FACTOR_HIGH)),
        learnt=tuple(kinds.values()),
    )
