"""A toner formula, one shade or two mixed, over what a zone has become. docs/models/toner.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats, LimitError, Message, all_of, check_level, check_range, say
from fervens_core.colour import Undertone, absorption_to_lab, brighten, hair_absorption, undertone
from fervens_core.head import DyeFamily, DyeHue, Porosity, TonerShade
from fervens_core.toning.dyes import DYE_AT_LEVEL_10, DYE_RATIO_PER_LEVEL, UPTAKE, deposit, dye_absorption

BRIGHTEN_LEVELS_PER_VOL = 0.10
BRIGHTEN_TAU_MIN = 10.0
"""[MODEL] an oxidative toner's developer takes a little pigment too: a level with 10 vol, in the end."""
REST_AT_FULL = 0.09
"""[MODEL] dye in a strong rest of an old direct dye, or of ash from shampoo, in the unit of the dye bands."""
WARMTH_LEVELS = 1.5
"""[MODEL] hair read as one step warmer or cooler than the scale looks as if lifted from so many levels deeper."""
SHARES = (0.25, 0.5, 0.75)
"""Shares by weight in which two shades are mixed: 1:3, 1:1, 3:1."""
DILUTIONS = (1.0, 2.0, 4.0)
"""Parts of water or conditioner to one of a pigment wash, as they are usual (common practice)."""
_REST: dict[DyeHue, DyeFamily] = {
    DyeHue.RED: DyeFamily.RED,
    DyeHue.PINK: DyeFamily.RED,
    DyeHue.ORANGE: DyeFamily.ORANGE,
    DyeHue.YELLOW: DyeFamily.YELLOW,
    DyeHue.GREEN: DyeFamily.GREEN,
    DyeHue.BLUE: DyeFamily.BLUE,
    DyeHue.VIOLET: DyeFamily.VIOLET,
}


@dataclass(frozen=True, slots=True)
class Result:
    """What a zone has become, as it is read after the rinse.

    Args:
        key, name: of the lane. start_level: before the lightening. level: now, at or above it, 1 to 10.
        porosity: as read before; uptake_factor: how much more dye it takes than that, 0.3 to 3 (a probe, a strand).
        warmth: -1 cooler than the scale's swatch, 0 like it, 1 warmer.
        rest, rest_amount: hue of an old dye or of ash that is left, and how much, 0 to 1.
        grams: mixed toner it needs, g.
    """

    key: str
    name: Message | str
    start_level: float
    level: float
    porosity: Porosity = Porosity.NORMAL
    uptake_factor: float = 1.0
    warmth: float = 0.0
    rest: DyeHue | None = None
    rest_amount: float = 0.0
    grams: float = 30.0

    def __post_init__(self) -> None:
        check_level("start_level", self.start_level)
        check_level("level", self.level)
        if self.level < self.start_level:
            raise LimitError("level", say("limit-not_below_start_level", level=self.start_level), self.level)
        check_range("uptake_factor", self.uptake_factor, 0.3, 3.0)
        check_range("warmth", self.warmth, -1.0, 1.0)
        check_range("rest_amount", self.rest_amount, 0.0, 1.0)
        check_range("grams", self.grams, 0.5, 2000.0, "g")

    @property
    def absorption(self) -> Floats:
        """Absorption spectrum of the hair as it stands, shape (81,)."""
        warm_from = float(np.clip(self.start_level - WARMTH_LEVELS * self.warmth, 1.0, self.level))
        hair = hair_absorption(self.start_level, np.array(self.level), warm_from=warm_from)
        return hair if self.rest is None else hair + rest_absorption(self.rest, self.rest_amount)

    @property
    def lab(self) -> Floats:
        """Its colour, CIELAB (3,)."""
        return absorption_to_lab(self.absorption)

    @property
    def undertone(self) -> Undertone:
        """The name of the warmth that shows."""
        return undertone(self.level)

    @property
    def kind(self) -> tuple[float, Porosity, float, float, str, float]:
        """What makes a result its own: zones alike in this get one bowl."""
        rest = self.rest.value if self.rest and self.rest_amount else ""
        half = round(self.level * 2) / 2
        factor = round(float(np.log2(self.uptake_factor)) * 2) / 2
        return half, self.porosity, factor, self.warmth, rest, self.rest_amount


def rest_absorption(hue: DyeHue, amount: float) -> Floats:
    """Absorption, shape (81,), of a rest of dye of a hue; amount 0 to 1."""
    rest: Floats = REST_AT_FULL * amount * dye_absorption(_REST[hue])
    return rest


def formula_key(keys: Sequence[str], shares: Sequence[float], parts: float | None, dilution: float) -> str:
    """A key of its own: the shades' keys and shares, how it is thinned."""
    plain = keys[0] if len(keys) == 1 else "+".join(f"{k}*{s:g}" for k, s in zip(keys, shares, strict=True))
    thinned = f"~{dilution:g}" if dilution else ""
    return plain + thinned if parts is None else f"{plain}@{parts:g}"


COOL = (DyeFamily.VIOLET, DyeFamily.BLUE, DyeFamily.GREEN)
"""Ash or violet."""
_COPPER = (DyeFamily.RED, DyeFamily.ORANGE)


def is_ash(shade: TonerShade) -> bool:
    """Whether a hand takes it for an ash or a violet: more than half of its dye is that."""
    return sum(part for family, part in shade.dyes if family in COOL) > 0.5


def is_coppery(shade: TonerShade) -> bool:
    """Whether a hand takes it for a red or a copper: more than half of its dye is that."""
    return sum(part for family, part in shade.dyes if family in _COPPER) > 0.5


@dataclass(frozen=True, slots=True)
class Formula:
    """One shade, or two mixed.

    Args:
        shades: one or two. shares: by weight of product, summing to 1.
        parts: developer parts to one; None for the labels' own.
        dilution: of a pigment wash: parts of water or conditioner to one, 0 for neat; 0 to 20.
    """

    shades: tuple[TonerShade, ...]
    shares: tuple[float, ...] = (1.0,)
    parts: float | None = None
    dilution: float = 0.0

    def __post_init__(self) -> None:
        if not 1 <= len(self.shades) <= 2:
            raise LimitError("shades", say("limit-one_or_two_shades"), len(self.shades))
        if len(self.shares) != len(self.shades):
            raise LimitError("shares", say("limit-one_each_shade", count=len(self.shades)), len(self.shares))
        for share in self.shares:
            check_range("shares", share, 0.01, 1.0)
        if abs(sum(self.shares) - 1.0) > 0.005:
            raise LimitError("shares", say("limit-sum_of_shares"), round(sum(self.shares), 4))
        if len({s.is_oxidative for s in self.shades}) > 1:
            raise LimitError("shades", say("limit-both_oxidative"), " + ".join(s.name for s in self.shades))
        if self.parts is not None and not self.is_oxidative:
            raise LimitError("parts", say("limit-nothing_for_wash"), self.parts)
        if self.parts is not None:
            check_range("parts", self.parts, 0.5, 4.0)
        if self.dilution and self.is_oxidative:
            raise LimitError("dilution", say("limit-only_for_wash"), self.dilution)
        check_range("dilution", self.dilution, 0.0, 20.0)
        if self.label_min_min > self.label_max_min:
            limit = say("limit-times_of_both_labels", shades=all_of(s.name for s in self.shades))
            raise LimitError("shades", limit, self.label_max_min)

    @property
    def key(self) -> str:
        """A key of its own: the shades' keys and shares."""
        return formula_key([s.key for s in self.shades], self.shares, self.parts, self.dilution)

    @property
    def name(self) -> str:
        """Names of the shades, in parts when two."""
        if len(self.shades) == 1:
            return self.shades[0].name
        first, second = (round(s / min(self.shares)) for s in self.shares)
        return f"{self.shades[0].name} + {self.shades[1].name} {first}:{second}"

    @property
    def developer_parts(self) -> float:
        """Developer parts to one of product; 0 for a pigment wash."""
        if self.parts is not None:
            return self.parts
        pairs = zip(self.shades, self.shares, strict=True)
        return sum(s.developer_parts * x for s, x in pairs if s.developer_parts is not None)

    @property
    def developer_volume(self) -> float | None:
        """The weakest developer of its shades, vol; None for a pigment wash."""
        return min((s.developer_volume for s in self.shades if s.developer_volume is not None), default=None)

    @property
    def dye_share(self) -> float:
        """Dye in the mix beside one mixed 1:1; a wash as it comes out of its bottle counts as that. [MODEL]"""
        return 2.0 / (1.0 + self.developer_parts) if self.is_oxidative else 1.0 / (1.0 + self.dilution)

    @property
    def label_max_min(self) -> float:
        """The longest time all its labels allow, min."""
        return min(s.label_max_min for s in self.shades)

    @property
    def label_min_min(self) -> float:
        """The shortest time all its labels allow, min."""
        return max(s.label_min_min for s in self.shades)

    @property
    def is_oxidative(self) -> bool:
        """Whether it is an oxidative dye."""
        return self.shades[0].is_oxidative

    @property
    def level(self) -> float:
        """Depth it is meant for."""
        return sum(s.level * x for s, x in zip(self.shades, self.shares, strict=True))

    @property
    def ash_share(self) -> float:
        """How much of the bowl's product a hand takes for ash or violet, 0 to 1."""
        return sum(x for s, x in zip(self.shades, self.shares, strict=True) if is_ash(s))

    @property
    def coppery_share(self) -> float:
        """How much of the bowl's product a hand takes for red or copper, 0 to 1."""
        return sum(x for s, x in zip(self.shades, self.shares, strict=True) if is_coppery(s))

    @property
    def brighten_levels(self) -> float:
        """Levels its developer takes out in the end."""
        return BRIGHTEN_LEVELS_PER_VOL * (self.developer_volume or 0.0)

    @property
    def absorption(self) -> Floats:
        """Absorption, shape (81,), it adds to normal hair when it has taken fully."""
        parts = [share * full_absorption(shade) for shade, share in zip(self.shades, self.shares, strict=True)]
        whole: Floats = self.dye_share * np.sum(parts, axis=0)
        return whole

    def split_g(self, mixed_g: float) -> tuple[tuple[float, ...], float]:
        """Grams of each shade, and of developer (of water or conditioner, in a wash), in so much mixed toner."""
        total = check_range("mixed_g", mixed_g, 0.1, 4000.0, "g")
        product = total / (1.0 + (self.developer_parts if self.is_oxidative else self.dilution))
        return tuple(product * share for share in self.shares), total - product


def toned_absorption(result: Result, formula: Formula, minutes: Floats | float, more: float = 1.0) -> Floats:
    """Absorption of a zone with a formula on for some minutes.

    Args:
        minutes: 0 or more, any shape (...). more: uptake beside what is expected of the zone.
    Returns:
        shape (..., 81).
    """
    time = np.maximum(np.asarray(minutes, dtype=float), 0.0)
    taken = deposit(time, result.porosity) * (result.uptake_factor * more)
    gone = formula.brighten_levels * -np.expm1(-time / BRIGHTEN_TAU_MIN)
    whole: Floats = brighten(result.absorption, gone) + taken[..., None] * formula.absorption
    return whole


def toned_lab(result: Result, formula: Formula, minutes: Floats | float, more: float = 1.0) -> Floats:
    """CIELAB of a zone with a formula on for some minutes, shape (..., 3)."""
    return absorption_to_lab(toned_absorption(result, formula, minutes, more))


def whole_minutes(formula: Formula) -> Floats:
    """Whole minutes its labels allow, from the shortest to the longest time."""
    return np.arange(np.ceil(formula.label_min_min), np.floor(formula.label_max_min) + 0.5)


def can_mix(one: TonerShade, two: TonerShade) -> bool:
    """Whether two shades may go into one bowl: both oxidative or neither, and a time that both labels allow."""
    fits = max(one.label_min_min, two.label_min_min) <= min(one.label_max_min, two.label_max_min)
    return one.is_oxidative is two.is_oxidative and fits


def all_formulas(shades: tuple[TonerShade, ...]) -> tuple[Formula, ...]:
    """Every shade alone, washes diluted as well, then every two of a kind (oxidative or not) in the usual shares."""
    found = [Formula((s,)) for s in shades]
    found += [Formula((s,), dilution=n) for s in shades if not s.is_oxidative for n in DILUTIONS]
    for i, one in enumerate(shades):
        for two in shades[i + 1 :]:
            if can_mix(one, two):
                found += [Formula((one, two), (share, 1.0 - share)) for share in SHARES]
    return tuple(found)


def depth_ratio(level: float) -> float:
    """How much more dye a shade of a level has than one of level 10. [MODEL]"""
    return float(DYE_RATIO_PER_LEVEL ** (10.0 - level))


def full_absorption(shade: TonerShade) -> Floats:
    """Absorption of a shade undiluted, shape (81,)."""
    amount = DYE_AT_LEVEL_10 * depth_ratio(shade.level)
    mixed: Floats = amount * np.sum([part * dye_absorption(family) for family, part in shade.dyes], axis=0)
    return mixed


def time_constant_min(porosity: Porosity) -> float:
    """Time constant of the deposit, min."""
    return UPTAKE[porosity][1]
