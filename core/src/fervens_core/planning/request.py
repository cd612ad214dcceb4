"""What a plan is asked for: zones, shelf, strands, and what the technician chose."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from enum import StrEnum
from typing import Annotated

from fervens_core.base import Count, Flag, Key, LimitError, Number, Volume, Whole, Within, contract, say
from fervens_core.head import (
    BAND_PACE_SHARE,
    ROOT_PACE_SHARE,
    Covering,
    Developer,
    Elasticity,
    Lightener,
    Zone,
    in_rows,
    lanes_of,
    lightener_among,
)
from fervens_core.lift import KnownHead, Strand
from fervens_core.planning.bowls import BowlStyle
from fervens_core.planning.mixing import MIX_PER_FOIL_G
from fervens_core.planning.order import OrderWay
from fervens_core.safety import WeakestVolumes

PLAN_MAX_MIN = 900.0
OF_LANES = ("volumes", "minutes", "visits", "coverings", "lighteners", "rows")
"""What is chosen lane by lane."""
PlanMinute = Annotated[Number, Within(1.0, PLAN_MAX_MIN, "min")]
VisitNumber = Annotated[Whole, Within(1, 60)]


class Aim(StrEnum):
    """What a schedule is good for: fewest bowls and strengths, least contact, all alike, or soonest done."""

    SIMPLE = "simple"
    GENTLE = "gentle"
    EVEN = "even"
    QUICK = "quick"


class VolumeStep(StrEnum):
    """Which strengths a plan may ask for: every whole volume, fives and bottles, or only the bottles."""

    EXACT = "exact"
    WHOLE = "whole"
    BOTTLES = "bottles"


class DelicateWay(StrEnum):
    """How delicate hair is spared: weaker and last, the same but short, or weakest, first and out early."""

    WEAKER_LAST = "weaker_last"
    SAME_SHORT = "same_short"
    WEAKEST_FIRST = "weakest_first"


@dataclass(frozen=True, slots=True)
@contract
class Paces:
    """How fast a studio's hands are. [MODEL] where it has no numbers of its own.

    What a lane takes for a section by itself stands with the zone.

    Args:
        root_share, band_share, open_air_share: of a foil's time for a section: a retouch goes about twice as quick as
            foils through the lengths (common practice, no source).
        change_min: between two zones: clean, section off, take up the bowl. join_change_min: where sections are made.
        rinse_min: a trip to the basin and back. look_min: open, wipe and read one lane. mix_min: one bowl.
        tone_share: of the lightener's time, for toner to go on.
    """

    root_share: Annotated[Number, Within(0.1, 1.5)] = ROOT_PACE_SHARE
    band_share: Annotated[Number, Within(0.1, 1.5)] = BAND_PACE_SHARE
    open_air_share: Annotated[Number, Within(0.1, 1.5)] = 0.7
    change_min: Annotated[Number, Within(0.0, 15.0, "min")] = 1.5
    join_change_min: Annotated[Number, Within(0.0, 15.0, "min")] = 0.5
    rinse_min: Annotated[Number, Within(1.0, 30.0, "min")] = 7.0
    look_min: Annotated[Number, Within(0.1, 5.0, "min")] = 0.5
    mix_min: Annotated[Number, Within(0.5, 15.0, "min")] = 3.0
    tone_share: Annotated[Number, Within(0.05, 1.0)] = 0.25


USUAL_PACE = Paces()


@dataclass(frozen=True, slots=True)
@contract
class School:
    """How a studio works where nobody says otherwise: with what every plan of it begins.

    Args:
        order_way: where it begins on every head, or None to have the order proposed with the plan.
        step, bowl_style, delicate_way, has_additive, hands: as in `PlanChoice`.
    """

    order_way: OrderWay | None = None
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.USUAL
    delicate_way: DelicateWay = DelicateWay.WEAKER_LAST
    has_additive: Flag = False
    hands: Annotated[Whole, Within(1, 2, "pairs")] = 1


@dataclass(frozen=True, slots=True)
@contract
class PlanChoice:
    """What a technician chose for a plan; as it stands, everything is proposed.

    Args:
        visit_mins: basin visits, min after the first product touches hair; empty to have them proposed.
        round_starts: zones before which the head is parted on purpose: what came before is rinsed and toned first.
        volumes: lane key to a developer the technician insists on, vol; still held to the lane's limit.
        minutes: lane key to minutes on the hair she insists on; still held to the label.
        visits: lane key to the basin visit she insists on, from 1; still held to the label.
        coverings, lighteners: lane key to what it is covered with and the key of its product, where these are not the
            zone's. rows: zone key to how many rows it is parted into, which are opened and rinsed as they come.
        keeps_order: zones go on in the order they stand in, whatever another would save.
        has_additive: a bond-building additive weakens the mix.
        hands: pairs of them, 1 or 2.
        mix_per_foil_g: mixed product for a medium section, 1 to 40 g.
        known_head: what earlier visits taught of this person, or None to plan as for anyone.
    """

    visit_mins: Annotated[tuple[PlanMinute, ...], Count(0, 60, "visits")] = ()
    round_starts: Annotated[tuple[Key, ...], Count(0, 60, "zones")] = ()
    volumes: dict[str, Volume] = field(default_factory=dict)
    minutes: dict[str, PlanMinute] = field(default_factory=dict)
    visits: dict[str, VisitNumber] = field(default_factory=dict)
    coverings: dict[str, Covering] = field(default_factory=dict)
    lighteners: dict[str, Key] = field(default_factory=dict)
    rows: dict[str, Annotated[Whole, Within(2, 6, "rows")]] = field(default_factory=dict)
    keeps_order: Flag = False
    has_additive: Flag = False
    aim: Aim = Aim.SIMPLE
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.USUAL
    delicate_way: DelicateWay = DelicateWay.WEAKER_LAST
    hands: Annotated[Whole, Within(1, 2, "pairs")] = 1
    mix_per_foil_g: Annotated[Number, Within(1.0, 40.0, "g")] = MIX_PER_FOIL_G
    known_head: KnownHead | None = None

    def on(self, lanes: tuple[Zone, ...]) -> tuple[Zone, ...]:
        """Lanes in their rows, with the covering and the product that were chosen for them."""
        lanes = in_rows(lanes, self.rows)
        if not (self.coverings or self.lighteners):
            return lanes
        return tuple(
            replace(
                x,
                covering=self.coverings.get(x.key, x.covering),
                lightener=self.lighteners.get(x.key, x.lightener),
            )
            for x in lanes
        )


AS_PROPOSED = PlanChoice()


@dataclass(frozen=True, slots=True)
class PlanRequest:
    """What a plan is made from.

    Args:
        zones: as read, in order of application, keys unique; their parts become lanes.
        lightener, bottles: from the shelf; at least one developer. others: lighteners that zones have of their own.
        strands: what was tested beforehand. elasticity: as the head's stretch test had it.
        weakest: developers the studio proposes to lighten with. pace: how fast its hands are.
    """

    zones: tuple[Zone, ...]
    lightener: Lightener
    bottles: tuple[Developer, ...]
    choice: PlanChoice = AS_PROPOSED
    strands: tuple[Strand, ...] = ()
    elasticity: Elasticity = Elasticity.RETURNS
    weakest: WeakestVolumes = field(default_factory=WeakestVolumes)
    others: tuple[Lightener, ...] = ()
    pace: Paces = USUAL_PACE

    def __post_init__(self) -> None:
        keys = [z.key for z in self.zones]
        if len(set(keys)) != len(keys):
            raise LimitError("zones", say("limit-different_keys"), keys)
        if len(keys) > 60:
            raise LimitError("zones", say("limit-most_zones", most=60), len(keys))
        if not self.bottles:
            raise LimitError("bottles", say("limit-one_developer_on_shelf"), 0)
        for key in self.choice.round_starts:
            if key not in keys:
                raise LimitError("round_starts", say("limit-one_of_zones", known=tuple(keys)), key)
        for name in OF_LANES:
            for key in getattr(self.choice, name):
                if not any(key == k or key.startswith(f"{k}.") for k in keys):
                    raise LimitError(name, say("limit-one_of_zones", known=tuple(keys)), key)

        known = (self.lightener.key, *(x.key for x in self.others))
        for lane, product in self.choice.lighteners.items():
            if product not in known:
                raise LimitError(f"lighteners.{lane}", say("limit-one_of", known=known), product)

    @property
    def lanes(self) -> tuple[Zone, ...]:
        """The head's lanes, as they are to be worked."""
        return self.choice.on(lanes_of(self.zones))

    def lightener_of(self, lane: Zone) -> Lightener:
        """What a lane is lightened with. Raises LimitError for a product that is not there."""
        return lightener_among(lane.lightener, self.lightener, self.others)
