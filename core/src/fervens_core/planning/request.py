"""What a plan is asked for: zones, shelf, strands, and what the technician chose."""

from __future__ import annotations

from dataclasses import dataclass, field
from enum import StrEnum
from typing import Annotated

from fervens_core.base import Count, Flag, Key, LimitError, Number, Volume, Within, contract, say
from fervens_core.head import Developer, Elasticity, Lightener, Zone, lightener_among
from fervens_core.lift import Strand
from fervens_core.planning.bowls import BowlStyle
from fervens_core.planning.mixing import MIX_PER_FOIL_G
from fervens_core.planning.wave import VolumeStep
from fervens_core.safety import WeakestVolumes

FINISH_MAX_MIN = 900.0
FinishMinutes = Annotated[Number, Within(1.0, FINISH_MAX_MIN, "min")]


class Aim(StrEnum):
    """What a plan is good for: weak and long, all alike, or soon done."""

    GENTLE = "gentle"
    EVEN = "even"
    QUICK = "quick"


@dataclass(frozen=True, slots=True)
@contract
class PlanChoice:
    """What a technician chose for a plan; as it stands, everything is proposed.

    Args:
        finish_mins: finish lines of the waves, min after the first product touches hair; missing ones are proposed.
        wave_starts: zones that begin a wave; None to have waves found.
        volumes: lane key to a developer the technician insists on, vol; still held to the lane's limit.
        has_additive: a bond-building additive weakens the mix.
        mix_per_foil_g: mixed product for a medium section, 1 to 40 g.
    """

    finish_mins: Annotated[tuple[FinishMinutes, ...], Count(0, 60, "lines")] = ()
    wave_starts: Annotated[tuple[Key, ...], Count(0, 60, "zones")] | None = None
    volumes: dict[str, Volume] = field(default_factory=dict)
    has_additive: Flag = False
    aim: Aim = Aim.EVEN
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.FRESH
    mix_per_foil_g: Annotated[Number, Within(1.0, 40.0, "g")] = MIX_PER_FOIL_G


@dataclass(frozen=True, slots=True)
class PlanRequest:
    """What a plan is made from.

    Args:
        zones: as read, in order of application, keys unique; their parts become lanes.
        lightener, bottles: from the shelf; at least one developer. others: lighteners that zones have of their own.
        strands: what was tested beforehand. elasticity: as the head's stretch test had it.
        weakest: developers the studio proposes to lighten with.
    """

    zones: tuple[Zone, ...]
    lightener: Lightener
    bottles: tuple[Developer, ...]
    choice: PlanChoice = PlanChoice()
    strands: tuple[Strand, ...] = ()
    elasticity: Elasticity = Elasticity.RETURNS
    weakest: WeakestVolumes = field(default_factory=WeakestVolumes)
    others: tuple[Lightener, ...] = ()

    def __post_init__(self) -> None:
        keys = [z.key for z in self.zones]
        if len(set(keys)) != len(keys):
            raise LimitError("zones", say("limit-different_keys"), keys)
        if len(keys) > 60:
            raise LimitError("zones", say("limit-most_zones", most=60), len(keys))
        if not self.bottles:
            raise LimitError("bottles", say("limit-one_developer_on_shelf"), 0)
        for key in self.choice.wave_starts or ():
            if key not in keys:
                raise LimitError("wave_starts", say("limit-one_of_zones", known=tuple(keys)), key)
        for key in self.choice.volumes:
            if not any(key == k or key.startswith(f"{k}.") for k in keys):
                raise LimitError("volumes", say("limit-one_of_zones", known=tuple(keys)), key)

    def lightener_of(self, lane: Zone) -> Lightener:
        """What a lane is lightened with. Raises LimitError for a product that is not there."""
        return lightener_among(lane.lightener, self.lightener, self.others)
