"""What stands on the shelf: lighteners, developers and toner shades, each with its label's limits."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import LimitError, Ratio, check_level, check_range, check_text, check_volume_strength


class DyeFamily(StrEnum):
    """Families of dye a toner is made of, named by the colour they show."""

    YELLOW = "yellow"
    ORANGE = "orange"
    RED = "red"
    VIOLET = "violet"
    BLUE = "blue"
    GREEN = "green"


@dataclass(frozen=True, slots=True)
class Lightener:
    """A lightener as its label tells it.

    Args:
        ratio: developer parts to one, by weight.
        label_max_min: longest time of one application, 10 to 90 min.
        max_volume: strongest developer the label allows, up to 40 vol.
        max_volume_on_scalp: strongest on the scalp, commonly 20 vol.
        bowl_life_min: how long a mixed bowl keeps its strength, 5 to 60 min (15 to 20 is usual).
        lift_factor: how far it lifts beside the bench trial's powder (1 = the same), 0.5 to 1.2.
        is_dark: blue or charcoal: through it the level cannot be read well.
        is_heat_allowed: whether the label allows heat.
        max_applications: how often the label lets it go on the same hair in one visit, 1 to 4; None when nobody has
            read the label for that yet: the technician is asked.
    """

    key: str
    name: str
    ratio: Ratio
    label_max_min: float
    max_volume: float = 40.0
    max_volume_on_scalp: float = 20.0
    bowl_life_min: float = 20.0
    lift_factor: float = 1.0
    is_dark: bool = False
    is_heat_allowed: bool = False
    max_applications: int | None = None

    def __post_init__(self) -> None:
        check_text("name", self.name)
        check_range("label_max_min", self.label_max_min, 10.0, 90.0, "min")
        check_volume_strength("max_volume", self.max_volume)
        check_volume_strength("max_volume_on_scalp", self.max_volume_on_scalp)
        check_range("bowl_life_min", self.bowl_life_min, 5.0, 60.0, "min")
        check_range("lift_factor", self.lift_factor, 0.5, 1.2)
        if self.max_applications is not None:
            check_range("max_applications", self.max_applications, 1, 4)
        if self.max_volume_on_scalp > self.max_volume:
            raise LimitError(
                "max_volume_on_scalp", f"at most max_volume {self.max_volume:g} vol", self.max_volume_on_scalp
            )


@dataclass(frozen=True, slots=True)
class Developer:
    """A bottle of developer, 0.5 to 40 vol."""

    key: str
    name: str
    volume_strength: float

    def __post_init__(self) -> None:
        check_text("name", self.name)
        check_volume_strength("volume_strength", self.volume_strength)


@dataclass(frozen=True, slots=True)
class TonerShade:
    """A toner shade: how deep it is, which dyes it is made of, and its label's limits.

    Args:
        dyes: share of each dye family, each 0 to 1, summing to 1.
        level: the depth the shade is meant for, 1 to 10; a deeper shade holds more dye.
        ratio: developer parts to one; None for a pigment wash.
        developer_volume: the weak developer it is mixed with, vol; None for a pigment wash.
        label_min_min, label_max_min: the label's processing time.
        is_oxidative: an oxidative dye: patch test, not under 16. One that is not is a pigment wash or mask: it is used
            neat, never with peroxide (common practice, no source).
        patch_test_wait_h: hours after which its label has the patch test read, 1 to 168.
    """

    key: str
    name: str
    level: float
    dyes: tuple[tuple[DyeFamily, float], ...]
    ratio: Ratio | None
    developer_volume: float | None
    label_max_min: float
    label_min_min: float = 2.0
    is_oxidative: bool = True
    patch_test_wait_h: float = 48.0

    def __post_init__(self) -> None:
        check_text("name", self.name)
        check_level("level", self.level)
        if self.is_oxidative:
            if self.ratio is None:
                raise LimitError("developer_parts", "given for an oxidative shade", None)
            if self.developer_volume is None:
                raise LimitError("developer_volume", "given for an oxidative shade", None)
            check_volume_strength("developer_volume", self.developer_volume)
        elif self.developer_volume is not None or self.ratio is not None:
            value = self.developer_volume if self.ratio is None else self.ratio.developer_parts
            raise LimitError("developer_volume", "nothing for a pigment wash: it never goes on with peroxide", value)
        check_range("label_max_min", self.label_max_min, 1.0, 60.0, "min")
        check_range("label_min_min", self.label_min_min, 0.5, self.label_max_min, "min")
        check_range("patch_test_wait_h", self.patch_test_wait_h, 1.0, 168.0, "h")
        if not self.dyes:
            raise LimitError("dyes", "at least one dye family", self.dyes)
        for family, share in self.dyes:
            check_range(f"dyes.{family.value}", share, 0.0, 1.0)
        total = sum(share for _, share in self.dyes)
        if abs(total - 1.0) > 0.005:
            raise LimitError("dyes", "shares that sum to 1", round(total, 4))
