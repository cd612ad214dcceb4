"""What stands on the shelf: lighteners, developers and toner shades, each with its label's limits.

These are contracts: the shelf's forms, the service file, its JSON Schema and the page's types follow from them.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated, Any

from pydantic import BeforeValidator, PlainSerializer, WithJsonSchema

from fervens_core.base import (
    Count,
    Flag,
    Key,
    Level,
    LimitError,
    Number,
    Ratio,
    Text,
    Volume,
    Whole,
    Within,
    check_range,
    contract,
    say,
)
from fervens_core.head.hair import Hair, History, Porosity, Thickness

Name = Annotated[str, Text(80)]
DeveloperParts = Annotated[Number, Within(0.5, 4.0, "parts")]


class DyeFamily(StrEnum):
    """Families of dye a toner is made of, named by the colour they show."""

    YELLOW = "yellow"
    ORANGE = "orange"
    RED = "red"
    VIOLET = "violet"
    BLUE = "blue"
    GREEN = "green"


def _dyes(value: Any) -> Any:
    """Dyes as JSON has them, an object of families and shares, as pairs."""
    if not isinstance(value, Mapping):
        return value
    for family in value:
        if family not in [f.value for f in DyeFamily]:
            raise LimitError("", say("limit-made_of", known=tuple(f.value for f in DyeFamily)), family)
    return tuple((DyeFamily(f), share) for f, share in value.items())


Dyes = Annotated[
    tuple[tuple[DyeFamily, Number], ...],
    BeforeValidator(_dyes),
    PlainSerializer(lambda dyes: {family.value: share for family, share in dyes}),
    WithJsonSchema(
        {
            "type": "object",
            "minProperties": 1,
            "propertyNames": {"enum": [f.value for f in DyeFamily]},
            "additionalProperties": {"type": "number", "minimum": 0, "maximum": 1},
        }
    ),
]


@dataclass(frozen=True, slots=True)
@contract
class LearntHair:
    """How far and how fast a lightener lifts one kind of hair beside what is expected of it (1 = the same)."""

    history: History
    thickness: Thickness
    porosity: Porosity
    extent: Annotated[Number, Within(0.5, 2.0)] = 1.0
    rate: Annotated[Number, Within(0.4, 2.5)] = 1.0


@dataclass(frozen=True, slots=True)
@contract
class Lightener:
    """A lightener as its label tells it.

    Args:
        developer_parts: to one of lightener, by weight.
        label_max_min: longest time of one application, 10 to 90 min.
        max_volume: strongest developer the label allows, up to 40 vol.
        max_volume_on_scalp: strongest on the scalp, commonly 20 vol.
        bowl_life_min: how long a mixed bowl keeps its strength, 5 to 60 min (15 to 20 is usual).
        lift_factor: how far it lifts beside the bench trial's powder (1 = the same), 0.5 to 1.2. rate_factor: how fast,
            0.5 to 2. learnt: kinds of hair that it lifts otherwise, as a studio's services taught.
        is_dark: blue or charcoal: through it the level cannot be read well.
        is_heat_allowed: whether the label allows heat.
        counts_from_end: the label's time counts from a zone's last section on, not from its first.
        max_applications: how often the label lets it go on the same hair in one visit, 1 to 4; None when nobody has
            read the label for that yet: the technician is asked.
    """

    key: Key
    name: Name
    developer_parts: DeveloperParts
    label_max_min: Annotated[Number, Within(10.0, 90.0, "min")]
    max_volume: Volume = 40.0
    max_volume_on_scalp: Volume = 20.0
    bowl_life_min: Annotated[Number, Within(5.0, 60.0, "min")] = 20.0
    lift_factor: Annotated[Number, Within(0.5, 1.2)] = 1.0
    is_dark: Flag = False
    is_heat_allowed: Flag = False
    max_applications: Annotated[Whole, Within(1, 4)] | None = None
    counts_from_end: Flag = False
    rate_factor: Annotated[Number, Within(0.5, 2.0)] = 1.0
    learnt: Annotated[tuple[LearntHair, ...], Count(0, 84, "kinds")] = ()

    def __post_init__(self) -> None:
        if self.max_volume_on_scalp > self.max_volume:
            limit = say("limit-at_most_max_volume", most=self.max_volume)
            raise LimitError("max_volume_on_scalp", limit, self.max_volume_on_scalp)

    @property
    def ratio(self) -> Ratio:
        """How it is mixed, by weight."""
        return Ratio(self.developer_parts)

    def factors_on(self, hair: Hair) -> tuple[float, float]:
        """How far and how fast it lifts hair of a kind, beside the bench trial's powder."""
        for x in self.learnt:
            if (x.history, x.thickness, x.porosity) == (hair.history, hair.thickness, hair.porosity):
                return self.lift_factor * x.extent, self.rate_factor * x.rate
        return self.lift_factor, self.rate_factor


def lightener_among(key: str | None, usual: Lightener, others: tuple[Lightener, ...]) -> Lightener:
    """The lightener with a key: the usual one where none is named. Raises LimitError for one that is not there."""
    if key is None or key == usual.key:
        return usual
    for other in others:
        if other.key == key:
            return other
    raise LimitError("lightener", say("limit-one_of", known=(usual.key, *(x.key for x in others))), key)


NO_LIGHTENER = Lightener("none", "none", 1.5, 50.0)
"""Stands for the lightener of a service that lightens nothing."""


class DeveloperUse(StrEnum):
    """What a bottle of developer is for."""

    LIGHTENING = "lightening"
    TONING = "toning"
    BOTH = "both"


@dataclass(frozen=True, slots=True)
@contract
class Developer:
    """A bottle of developer, 0.5 to 40 vol; one for toning lifts nothing but old dye."""

    key: Key
    name: Name
    volume_strength: Volume
    use: DeveloperUse = DeveloperUse.BOTH


USUAL_TONER_MIX = {"developer_parts": 1.5, "developer_volume": 7.0}
"""Of an oxidative shade whose label nobody has read for it yet (common practice, no source)."""


@dataclass(frozen=True, slots=True)
@contract
class TonerShade:
    """A toner shade: how deep it is, which dyes it is made of, and its label's limits.

    Args:
        dyes: share of each dye family, each 0 to 1, summing to 1.
        level: the depth the shade is meant for, 1 to 10; a deeper shade holds more dye.
        developer_parts: to one of the shade; None for a pigment wash.
        developer_volume: the weak developer it is mixed with, vol; None for a pigment wash.
        label_min_min, label_max_min: the label's processing time.
        is_oxidative: an oxidative dye: patch test, not under 16. One that is not is a pigment wash or mask: it is used
            neat, never with peroxide (common practice, no source).
        patch_test_wait_h: hours after which its label has the patch test read, 1 to 168.
    """

    key: Key
    name: Name
    level: Level
    dyes: Dyes
    label_max_min: Annotated[Number, Within(1.0, 60.0, "min")]
    developer_parts: DeveloperParts | None = None
    developer_volume: Volume | None = None
    label_min_min: Annotated[Number, Within(0.5, 60.0, "min")] = 2.0
    is_oxidative: Flag = True
    patch_test_wait_h: Annotated[Number, Within(1.0, 168.0, "h")] = 48.0

    def __post_init__(self) -> None:
        for field in ("developer_parts", "developer_volume"):
            value = getattr(self, field)
            if self.is_oxidative and value is None:
                raise LimitError(field, say("limit-given_for_oxidative"), None)
            if not self.is_oxidative and value is not None:
                raise LimitError(field, say("limit-nothing_for_wash"), value)
        check_range("label_min_min", self.label_min_min, 0.5, self.label_max_min, "min")
        if not self.dyes:
            raise LimitError("dyes", say("limit-one_dye_family"), self.dyes)
        for family, share in self.dyes:
            check_range(f"dyes.{family.value}", share, 0.0, 1.0)
        total = sum(share for _, share in self.dyes)
        if abs(total - 1.0) > 0.005:
            raise LimitError("dyes", say("limit-sum_of_shares"), round(total, 4))
