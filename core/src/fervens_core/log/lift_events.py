"""Past-tense events of consultation, plan and chair. What happened is added, never edited."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated, ClassVar

from fervens_core.base import (
    PERSONAL,
    Count,
    Flag,
    Key,
    LabNumbers,
    Level,
    LimitError,
    Number,
    Share,
    Text,
    Volume,
    Whole,
    Within,
    check_range,
    contract,
    say,
)
from fervens_core.head import Covering, DyeHue, Elasticity, Foils, ReadingMode, ScalpFeel, ServiceKind

SAME_TRIP_MIN = 0.5
PlanMinutes = Annotated[Number, Within(0.0, 900.0, "min")]
BowlGrams = Annotated[Number, Within(0.1, 2000.0, "g")]


def check_lab(lab: tuple[float, ...]) -> None:
    """Raises LimitError for what is no CIELAB colour; none at all is one that was not measured."""
    if lab and len(lab) != 3:
        raise LimitError("lab", say("limit-lab"), len(lab))
    for value, (low, high) in zip(lab, ((0.0, 100.0), (-128.0, 128.0), (-128.0, 128.0)), strict=False):
        check_range("lab", value, low, high)


@dataclass(frozen=True, slots=True)
@contract
class CautionAcknowledged:
    """A member read a caution and takes the work on."""

    caution: Key


@dataclass(frozen=True, slots=True)
@contract
class ConsultationFinished:
    """Everything was read, and what blocks was looked at.

    Args:
        tone_keys, levels: of a service that lightens nothing, the parts that go to the basin and the levels
            they are at. kind: of the service.
    """

    tone_keys: Annotated[tuple[Key, ...], Count(0, 120, "lanes")] = ()
    levels: Annotated[tuple[Level, ...], Count(0, 120, "lanes")] = ()
    kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE

    def __post_init__(self) -> None:
        if len(self.tone_keys) != len(self.levels):
            raise LimitError("levels", say("limit-one_each_zone", count=len(self.tone_keys)), len(self.levels))


@dataclass(frozen=True, slots=True)
@contract
class PlanTaken:
    """The plan was taken to the chair: lanes in order with the developer of each, and when each is to start.

    Args:
        finish_min: the last rinse. starts_min, rinses_min: planned starts and rinses after the first product, and
        visits: the basin visit of each lane from 1; empty in older logs.
    """

    zone_keys: Annotated[tuple[Key, ...], Count(1, 120, "lanes")]
    volumes: tuple[Volume, ...]
    finish_min: PlanMinutes
    starts_min: tuple[PlanMinutes, ...] = ()
    rinses_min: tuple[PlanMinutes, ...] = ()
    visits: tuple[Annotated[Whole, Within(0, 60)], ...] = ()

    VERSION: ClassVar[int] = 2

    @property
    def wiped_keys(self) -> frozenset[str]:
        """Lanes that end before the trip to the basin they are rinsed in: wiped or dried out in their place."""
        trips = list(zip(self.zone_keys, self.visits, self.rinses_min, strict=False))
        last = {visit: max(at for _, v, at in trips if v == visit) for _, visit, _ in trips}
        return frozenset(key for key, visit, at in trips if at < last[visit] - SAME_TRIP_MIN)

    def __post_init__(self) -> None:
        if len(self.zone_keys) != len(self.volumes):
            raise LimitError("volumes", say("limit-one_each_zone", count=len(self.zone_keys)), len(self.volumes))
        for field in ("starts_min", "rinses_min", "visits"):
            values = getattr(self, field)
            if values and len(values) != len(self.zone_keys):
                raise LimitError(field, say("limit-one_each_zone", count=len(self.zone_keys)), len(values))


@dataclass(frozen=True, slots=True)
@contract
class BowlMixed:
    """A bowl was mixed for a zone: grams weighed, and what they were; `also_for` are lanes it fills as well.

    Args:
        is_on: the first section of its zone went on at once, in the same act of the hand.
    """

    VERSION: ClassVar[int] = 2

    zone_key: Key
    volume_strength: Volume
    product_g: BowlGrams
    developer_g: Annotated[Number, Within(0.1, 4000.0, "g")]
    recipe: Annotated[str, Text(300, is_optional=True)] = ""
    also_for: Annotated[tuple[Key, ...], Count(0, 120, "lanes")] = ()
    is_on: Flag = False


@dataclass(frozen=True, slots=True)
@contract
class ApplicationStarted:
    """The first section of a zone has product on: the label's time runs from here.

    Args:
        after_key: the zone whose last section went on just before, in the same act of the hand; None where none did.
    """

    VERSION: ClassVar[int] = 2

    zone_key: Key
    volume_strength: Volume
    after_key: Key | None = None


@dataclass(frozen=True, slots=True)
@contract
class ApplicationFinished:
    """The last section of a zone has product on: its lift is counted from here."""

    zone_key: Key


@dataclass(frozen=True, slots=True)
@contract
class LightenerRefreshed:
    """New product goes on a zone that has some: a new application, whose label's time runs from here.

    Args:
        is_label_read: the technician read on the label that it allows another application.
    """

    zone_key: Key
    volume_strength: Volume
    is_label_read: Flag = False


@dataclass(frozen=True, slots=True)
@contract
class ProductDragged:
    """Product was dragged from one lane down to another, the ends: it is on them from here, as old as it is."""

    zone_key: Key
    from_key: Key

    def __post_init__(self) -> None:
        if self.from_key == self.zone_key:
            raise LimitError("from_key", say("limit-another_lane"), self.from_key)


@dataclass(frozen=True, slots=True)
@contract
class HeatStarted:
    """Warmth was put on a zone; only what the label allows, never on skin."""

    zone_key: Key


@dataclass(frozen=True, slots=True)
@contract
class HeatEnded:
    """The warmth was taken off."""

    zone_key: Key


@dataclass(frozen=True, slots=True)
@contract
class CoveringChanged:
    """A zone was pulled out of its foil into the open air, or covered again."""

    zone_key: Key
    covering: Covering


@dataclass(frozen=True, slots=True)
@contract
class BarrierLeft:
    """Old product was left on a zone as a barrier while its roots go on; it lies open from here."""

    zone_key: Key


@dataclass(frozen=True, slots=True)
@contract
class DriedOut:
    """The product on a zone was dried: it has stopped, and is on the hair still."""

    zone_key: Key


@dataclass(frozen=True, slots=True)
@contract
class HairNoted:
    """How the hair stretches, or the scalp feels, at a zone; at least one of the two.

    Args:
        elasticity, scalp: None for what was not looked at.
    """

    VERSION: ClassVar[int] = 2

    zone_key: Key
    elasticity: Elasticity | None = None
    scalp: ScalpFeel | None = None

    def __post_init__(self) -> None:
        if self.elasticity is None and self.scalp is None:
            raise LimitError("elasticity", say("limit-given_or_scalp"), None)


@dataclass(frozen=True, slots=True)
@contract
class DeveloperChanged:
    """A zone that has no product yet is to get another developer than planned, and why."""

    zone_key: Key
    volume_strength: Volume
    reason: Annotated[str, Text(300, is_optional=True)] = ""


@dataclass(frozen=True, slots=True)
@contract
class ReadingTaken:
    """A level was read on a zone, by eye or by a colour reader.

    Args:
        lab: CIELAB (D65, 10 degrees) as a colour reader measured it, three numbers; empty when read by eye.
        warmth: beside the scale's swatch, -1 cooler, 0 like it, 1 warmer.
        rest, rest_amount: hue of old dye or ash that shows, or None, and how much, 0 to 1.
        is_kept: of a part that no lightener went on; its first reading takes it in among what is toned.
        instrument: what measured it, as it calls itself; empty when read by eye.
        level_std: spread of the level as the instrument tells it, levels; None where it does not.
        foils: the sections that were read: those that went on first have been on for longer.
        also_for: lanes that were read alike in the same look.
    """

    VERSION: ClassVar[int] = 5

    zone_key: Key
    level: Level
    mode: ReadingMode
    lab: LabNumbers = ()
    warmth: Annotated[Number, Within(-1.0, 1.0)] = 0.0
    rest: DyeHue | None = None
    rest_amount: Share = 0.0
    is_kept: Flag = False
    instrument: Annotated[str, Text(60, is_optional=True)] = ""
    foils: Foils = Foils.LAST
    level_std: Annotated[Number, Within(0.02, 2.0, "levels")] | None = None
    also_for: Annotated[tuple[Key, ...], Count(0, 120, "lanes")] = ()

    def __post_init__(self) -> None:
        check_lab(self.lab)

    @property
    def keys(self) -> tuple[str, ...]:
        """All lanes it was read on, each once."""
        return tuple(dict.fromkeys((self.zone_key, *self.also_for)))


@dataclass(frozen=True, slots=True)
@contract
class Rinsed:
    """The lightener was taken off a zone: rinsed at the basin, or wiped or dried out in its place.

    Args:
        is_wiped: it never saw the basin; it is rinsed with the rest.
    """

    zone_key: Key
    is_wiped: Flag = False

    VERSION: ClassVar[int] = 2


@dataclass(frozen=True, slots=True)
@contract
class WaveRinsed:
    """Several zones were rinsed together."""

    zone_keys: Annotated[tuple[Key, ...], Count(1, 120, "lanes")]


@dataclass(frozen=True, slots=True)
@contract
class ServiceClosed:
    """The service is filed: two things that worked, one to change next time."""

    worked: Annotated[str, Text(2000, is_optional=True), PERSONAL] = ""
    change: Annotated[str, Text(2000, is_optional=True), PERSONAL] = ""


@dataclass(frozen=True, slots=True)
@contract
class EventVoided:
    """An earlier event was a mistake."""

    event_id: Key


LiftEventData = (
    CautionAcknowledged
    | ConsultationFinished
    | PlanTaken
    | BowlMixed
    | ApplicationStarted
    | ApplicationFinished
    | LightenerRefreshed
    | ProductDragged
    | HeatStarted
    | HeatEnded
    | CoveringChanged
    | BarrierLeft
    | DriedOut
    | HairNoted
    | DeveloperChanged
    | ReadingTaken
    | Rinsed
    | WaveRinsed
    | ServiceClosed
    | EventVoided
)
"""What happens until the last rinse, and of the log itself."""
