"""Past-tense events of review and tone: what came out, what is wished for, and the toner's way over it."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import LimitError, check_level, check_range, check_text, check_volume_strength
from fervens_core.head import Tone


@dataclass(frozen=True, slots=True)
class LighteningResumed:
    """Zones that were rinsed and read are to be lightened once more today.

    Args:
        volumes, levels: developer, vol, and the level each was read at, 1 to 10. is_label_read: the technician read
        on the label that it allows another application.
    """

    zone_keys: tuple[str, ...]
    volumes: tuple[float, ...]
    levels: tuple[float, ...]
    is_label_read: bool = False

    def __post_init__(self) -> None:
        if not 1 <= len(self.zone_keys) <= 60:
            raise LimitError("zone_keys", "1 to 60 zones", len(self.zone_keys))
        for field in ("volumes", "levels"):
            if len(getattr(self, field)) != len(self.zone_keys):
                raise LimitError(field, f"{len(self.zone_keys)} values, one for each zone", len(getattr(self, field)))
        for volume, level in zip(self.volumes, self.levels, strict=True):
            check_volume_strength("volumes", volume)
            check_level("levels", level)


@dataclass(frozen=True, slots=True)
class ReviewFinished:
    """The results are read and the service goes on to the tone."""


@dataclass(frozen=True, slots=True)
class WishSet:
    """The colour the head is to end at: a tone at a level, or a colour of its own.

    Args:
        tone: a value of `Tone`. level: 1 to 10. hue_deg: of a pastel. lab: picked or measured, empty otherwise.
    """

    tone: str
    level: float
    hue_deg: float = 0.0
    lab: tuple[float, ...] = ()
    is_warmth_back: bool = True

    def __post_init__(self) -> None:
        if self.tone not in [t.value for t in Tone]:
            raise LimitError("tone", f"one of {', '.join(t.value for t in Tone)}", self.tone)
        check_level("level", self.level)
        check_range("hue_deg", self.hue_deg, 0.0, 360.0, "degrees")
        if self.lab and len(self.lab) != 3:
            raise LimitError("lab", "three numbers: L*, a*, b*", len(self.lab))
        for value, low in zip(self.lab, (0.0, -128.0, -128.0), strict=False):
            check_range("lab", value, low, 128.0)


@dataclass(frozen=True, slots=True)
class ShadowSet:
    """A deeper root shadow is wanted, or no longer.

    Args:
        level: its depth, 1 to 10. length_mm: 5 to 100, 0 for none any more. blend_mm: over how much it is worked out
        into the lengths, at most its length.
    """

    level: float
    length_mm: float
    blend_mm: float = 15.0

    def __post_init__(self) -> None:
        check_level("level", self.level)
        if self.length_mm:
            check_range("length_mm", self.length_mm, 5.0, 100.0, "mm")
            check_range("blend_mm", self.blend_mm, 0.0, self.length_mm, "mm")


class Grab(StrEnum):
    """How a zone took the violet shampoo of a porosity probe."""

    LITTLE = "little"
    EVEN = "even"
    MUCH = "much"


@dataclass(frozen=True, slots=True)
class ProbeRead:
    """A violet shampoo was on and rinsed: how a zone took it."""

    zone_key: str
    grab: Grab

    def __post_init__(self) -> None:
        if not isinstance(self.grab, Grab):
            raise LimitError("grab", f"one of {', '.join(g.value for g in Grab)}", self.grab)


SHADOW = "shadow"
"""The part of a zone that is its root shadow, with a toner of its own."""


def _check_part(part: str) -> None:
    if part not in ("", SHADOW):
        raise LimitError("part", f"nothing, or {SHADOW!r}", part)


@dataclass(frozen=True, slots=True)
class TonerApplied:
    """A toner went on a zone, planned for so many minutes.

    Args:
        share: of the first shade by weight; less than 1 with a second one.
        developer_parts: to one of product; 0 in older logs, which means the label's own.
        part: "" for the zone, `SHADOW` for its root shadow. length_mm, blend_mm: of a shadow, 1 to 300 mm.
    """

    zone_key: str
    shade_key: str
    shade_name: str
    minutes: float
    product_g: float
    developer_g: float
    second_key: str = ""
    second_name: str = ""
    share: float = 1.0
    developer_parts: float = 0.0
    part: str = ""
    length_mm: float = 0.0
    blend_mm: float = 0.0

    def __post_init__(self) -> None:
        check_text("shade_key", self.shade_key, 60)
        check_text("shade_name", self.shade_name)
        check_range("minutes", self.minutes, 0.5, 60.0, "min")
        check_range("product_g", self.product_g, 0.1, 2000.0, "g")
        check_range("developer_g", self.developer_g, 0.0, 4000.0, "g")
        check_range("share", self.share, 0.01, 1.0)
        check_range("developer_parts", self.developer_parts, 0.0, 4.0)
        _check_part(self.part)
        check_range("length_mm", self.length_mm, 0.0, 300.0, "mm")
        check_range("blend_mm", self.blend_mm, 0.0, 300.0, "mm")
        if bool(self.second_key) is not (self.share < 1.0):
            raise LimitError("share", "1 for one shade, less than 1 with a second one", self.share)


@dataclass(frozen=True, slots=True)
class TonerEmulsified:
    """The toner of a zone was emulsified and worked through, halfway."""

    zone_key: str
    part: str = ""

    def __post_init__(self) -> None:
        _check_part(self.part)


@dataclass(frozen=True, slots=True)
class TonerStrandRead:
    """One low strand was rinsed to look: how much dye it has, by the swatch of its lane that it looks like.

    Args:
        deposit_share: of the dye a formula leaves on normal hair in the end, 0.01 to 6.
    """

    zone_key: str
    deposit_share: float
    part: str = ""

    def __post_init__(self) -> None:
        check_range("deposit_share", self.deposit_share, 0.01, 6.0)
        _check_part(self.part)


@dataclass(frozen=True, slots=True)
class TonerPulledBack:
    """The toner was pulled back over the strand and stays on, for so many minutes in all."""

    zone_key: str
    minutes: float
    part: str = ""

    def __post_init__(self) -> None:
        check_range("minutes", self.minutes, 0.5, 60.0, "min")
        _check_part(self.part)


@dataclass(frozen=True, slots=True)
class TonerRinsed:
    """The toner was rinsed out of a zone."""

    zone_key: str
    part: str = ""

    def __post_init__(self) -> None:
        _check_part(self.part)
