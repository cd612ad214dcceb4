"""Past-tense events of review and tone: what came out, what is wished for, and the toner's way over it."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated, ClassVar, Literal

from fervens_core.base import (
    Count,
    Flag,
    Key,
    LabNumbers,
    Level,
    LimitError,
    Number,
    Text,
    Volume,
    Within,
    check_range,
    contract,
    say,
)
from fervens_core.head import Tone
from fervens_core.log.lift_events import check_lab


@dataclass(frozen=True, slots=True)
@contract
class LighteningResumed:
    """Zones that were rinsed and read are to be lightened once more today.

    Args:
        volumes, levels: developer, vol, and the level each was read at, 1 to 10. is_label_read: the technician read
        on the label that it allows another application.
    """

    zone_keys: Annotated[tuple[Key, ...], Count(1, 120, "lanes")]
    volumes: tuple[Volume, ...]
    levels: tuple[Level, ...]
    is_label_read: Flag = False

    def __post_init__(self) -> None:
        for field in ("volumes", "levels"):
            if len(getattr(self, field)) != len(self.zone_keys):
                limit = say("limit-one_each_zone", count=len(self.zone_keys))
                raise LimitError(field, limit, len(getattr(self, field)))


@dataclass(frozen=True, slots=True)
@contract
class ReviewFinished:
    """The results are read and the service goes on to the tone."""


@dataclass(frozen=True, slots=True)
@contract
class WishSet:
    """The colour the head, or some parts of it, are to end at: a tone at a level, or a colour of its own.

    Args:
        level: 1 to 10. hue_deg: of a pastel. lab: picked or measured, empty otherwise.
        zone_keys: lanes it is for; none for all of the head, whatever was wished for parts before.
    """

    VERSION: ClassVar[int] = 2

    tone: Tone
    level: Level
    hue_deg: Annotated[Number, Within(0.0, 360.0, "degrees")] = 0.0
    lab: LabNumbers = ()
    is_warmth_back: Flag = True
    zone_keys: Annotated[tuple[Key, ...], Count(0, 120, "lanes")] = ()

    def __post_init__(self) -> None:
        check_lab(self.lab)


@dataclass(frozen=True, slots=True)
@contract
class ShadowSet:
    """A deeper root shadow is wanted, or no longer.

    Args:
        level: its depth, 1 to 10. length_mm: 5 to 100, 0 for none any more. blend_mm: over how much it is worked out
        into the lengths, at most its length.
    """

    level: Level
    length_mm: Annotated[Number, Within(0.0, 100.0, "mm")]
    blend_mm: Annotated[Number, Within(0.0, 100.0, "mm")] = 15.0

    def __post_init__(self) -> None:
        if self.length_mm:
            check_range("length_mm", self.length_mm, 5.0, 100.0, "mm")
            check_range("blend_mm", self.blend_mm, 0.0, self.length_mm, "mm")


class Grab(StrEnum):
    """How a zone took the violet shampoo of a porosity probe."""

    LITTLE = "little"
    EVEN = "even"
    MUCH = "much"


@dataclass(frozen=True, slots=True)
@contract
class ProbeRead:
    """A violet shampoo was on and rinsed: how a zone took it."""

    zone_key: Key
    grab: Grab


SHADOW: Literal["shadow"] = "shadow"
"""The part of a zone that is its root shadow, with a toner of its own."""


TonedPart = Literal["", "shadow"]
TonerMinutes = Annotated[Number, Within(0.5, 60.0, "min")]


LaneId = Annotated[str, Text(70)]
"""A lane's key, with `~shadow` behind it for its root shadow."""
LaneIds = Annotated[tuple[LaneId, ...], Count(1, 240, "lanes")]


@dataclass(frozen=True, slots=True)
@contract
class ToneFormulaSet:
    """A formula of the technician's own is to go on some parts, or the proposed one again.

    Args:
        ids: the lanes. shade_key: empty for what is proposed. share: of the first shade by weight.
        developer_parts: to one of product, 0 for the labels' own. dilution: of a wash, parts of water to one.
    """

    ids: LaneIds
    shade_key: Annotated[str, Text(60, is_optional=True)] = ""
    second_key: Annotated[str, Text(60, is_optional=True)] = ""
    share: Annotated[Number, Within(0.01, 1.0)] = 1.0
    developer_parts: Annotated[Number, Within(0.0, 4.0)] = 0.0
    dilution: Annotated[Number, Within(0.0, 20.0)] = 0.0

    def __post_init__(self) -> None:
        if bool(self.second_key) is not (self.share < 1.0):
            raise LimitError("share", say("limit-share_of_second"), self.share)


@dataclass(frozen=True, slots=True)
@contract
class TonerApplied:
    """A toner went on a zone, planned for so many minutes.

    Args:
        share: of the first shade by weight; less than 1 with a second one.
        developer_parts: to one of product; 0 in older logs, which means the label's own. dilution: of a wash.
        part: "" for the zone, `SHADOW` for its root shadow. length_mm, blend_mm: of a shadow, 1 to 300 mm.
    """

    zone_key: Key
    shade_key: Key
    shade_name: Annotated[str, Text(80)]
    minutes: TonerMinutes
    product_g: Annotated[Number, Within(0.1, 2000.0, "g")]
    developer_g: Annotated[Number, Within(0.0, 4000.0, "g")]
    second_key: Annotated[str, Text(60, is_optional=True)] = ""
    second_name: Annotated[str, Text(80, is_optional=True)] = ""
    share: Annotated[Number, Within(0.01, 1.0)] = 1.0
    developer_parts: Annotated[Number, Within(0.0, 4.0)] = 0.0
    part: TonedPart = ""
    length_mm: Annotated[Number, Within(0.0, 300.0, "mm")] = 0.0
    blend_mm: Annotated[Number, Within(0.0, 300.0, "mm")] = 0.0
    dilution: Annotated[Number, Within(0.0, 20.0)] = 0.0

    def __post_init__(self) -> None:
        if bool(self.second_key) is not (self.share < 1.0):
            raise LimitError("share", say("limit-share_of_second"), self.share)


@dataclass(frozen=True, slots=True)
@contract
class BowlPart:
    """A part a bowl went on.

    Args:
        id: of the lane. minutes: planned, min. product_g, developer_g: of the bowl.
        before_min: how long before the act its last section was on, by the order of hands, min.
    """

    id: LaneId
    minutes: TonerMinutes
    product_g: Annotated[Number, Within(0.1, 2000.0, "g")]
    developer_g: Annotated[Number, Within(0.0, 4000.0, "g")]
    before_min: Annotated[Number, Within(0.0, 60.0, "min")] = 0.0


@dataclass(frozen=True, slots=True)
@contract
class ToneBowlApplied:
    """One bowl went on all its parts, one after another.

    Args:
        share, developer_parts, dilution, length_mm, blend_mm: as of `TonerApplied`.
    """

    shade_key: Key
    shade_name: Annotated[str, Text(80)]
    parts: Annotated[tuple[BowlPart, ...], Count(1, 240, "lanes")]
    second_key: Annotated[str, Text(60, is_optional=True)] = ""
    second_name: Annotated[str, Text(80, is_optional=True)] = ""
    share: Annotated[Number, Within(0.01, 1.0)] = 1.0
    developer_parts: Annotated[Number, Within(0.0, 4.0)] = 0.0
    dilution: Annotated[Number, Within(0.0, 20.0)] = 0.0
    length_mm: Annotated[Number, Within(0.0, 300.0, "mm")] = 0.0
    blend_mm: Annotated[Number, Within(0.0, 300.0, "mm")] = 0.0

    def __post_init__(self) -> None:
        if bool(self.second_key) is not (self.share < 1.0):
            raise LimitError("share", say("limit-share_of_second"), self.share)

    def each(self) -> tuple[tuple[TonerApplied, float], ...]:
        """As toner that went on each part, and how long before the act, min."""
        found = []
        for part in self.parts:
            key, is_shadow = lane_of_id(part.id)
            applied = TonerApplied(
                zone_key=key,
                shade_key=self.shade_key,
                shade_name=self.shade_name,
                minutes=part.minutes,
                product_g=part.product_g,
                developer_g=part.developer_g,
                second_key=self.second_key,
                second_name=self.second_name,
                share=self.share,
                developer_parts=self.developer_parts,
                part=SHADOW if is_shadow else "",
                length_mm=self.length_mm if is_shadow else 0.0,
                blend_mm=self.blend_mm if is_shadow else 0.0,
                dilution=self.dilution,
            )
            found.append((applied, part.before_min))
        return tuple(found)


def lane_of_id(lane_id: str) -> tuple[str, bool]:
    """A lane's key, and whether its root shadow is meant."""
    return lane_id.removesuffix(f"~{SHADOW}"), lane_id.endswith(f"~{SHADOW}")


@dataclass(frozen=True, slots=True)
@contract
class TonersEmulsified:
    """The toners of some parts were emulsified and worked through together."""

    ids: LaneIds


@dataclass(frozen=True, slots=True)
@contract
class TonersRinsed:
    """The toners of some parts were rinsed out together."""

    ids: LaneIds


@dataclass(frozen=True, slots=True)
@contract
class TonerEmulsified:
    """The toner of a zone was emulsified and worked through, halfway."""

    zone_key: Key
    part: TonedPart = ""


@dataclass(frozen=True, slots=True)
@contract
class TonerStrandRead:
    """One low strand was rinsed to look: how much dye it has, by the swatch of its lane that it looks like.

    Args:
        deposit_share: of the dye a formula leaves on normal hair in the end, 0.01 to 6.
    """

    zone_key: Key
    deposit_share: Annotated[Number, Within(0.01, 6.0)]
    part: TonedPart = ""


@dataclass(frozen=True, slots=True)
@contract
class TonerPulledBack:
    """The toner was pulled back over the strand and stays on, for so many minutes in all."""

    zone_key: Key
    minutes: TonerMinutes
    part: TonedPart = ""


@dataclass(frozen=True, slots=True)
@contract
class TonerRinsed:
    """The toner was rinsed out of a zone."""

    zone_key: Key
    part: TonedPart = ""


ToneEventData = (
    LighteningResumed
    | ReviewFinished
    | WishSet
    | ShadowSet
    | ProbeRead
    | ToneFormulaSet
    | TonerApplied
    | ToneBowlApplied
    | TonerEmulsified
    | TonersEmulsified
    | TonerStrandRead
    | TonerPulledBack
    | TonerRinsed
    | TonersRinsed
)
"""What happens at the basin."""
