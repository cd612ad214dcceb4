"""Hair as it is read at the consultation: level, history, thickness, porosity, and where it sits on the head."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.errors import LimitError
from fervens_core.quantities import check_level, check_range, check_text


class History(StrEnum):
    """What was done to the hair before."""

    VIRGIN = "virgin"
    TINTED = "tinted"
    LIGHTENED = "lightened"
    HENNA = "henna"
    METALLIC = "metallic"


class Thickness(StrEnum):
    """Thickness of the single strand."""

    FINE = "fine"
    MEDIUM = "medium"
    COARSE = "coarse"


class Porosity(StrEnum):
    """How readily hair takes things up."""

    LOW = "low"
    NORMAL = "normal"
    HIGH = "high"


class Covering(StrEnum):
    """How a zone is covered while it lifts."""

    OPEN_AIR = "open_air"
    FOIL = "foil"
    FILM = "film"


@dataclass(frozen=True, slots=True)
class Hair:
    """One piece of hair of one kind.

    Args:
        start_level: 1 to 10, halves usual.
        history: what was done before; it changes how far the hair lifts.
        thickness, porosity: change how fast it lifts and takes toner.
    """

    start_level: float
    history: History = History.VIRGIN
    thickness: Thickness = Thickness.MEDIUM
    porosity: Porosity = Porosity.NORMAL

    def __post_init__(self) -> None:
        check_level("start_level", self.start_level)


@dataclass(frozen=True, slots=True)
class Zone:
    """A part of the head handled as one, with what is wanted of it.

    Args:
        key: stable within a service; name: what the technician calls it.
        hair: as read.
        target_level: not below the start level, up to 10.
        foil_count: 1 to 60 sections; application time and bowl amounts follow from it.
        pace_min_per_foil: the technician's pace, 0.3 to 6 min a section.
        covering: open air, foil or film.
        is_delicate: hairline, temples, nape, fine baby hair: weaker developer, never the whole time.
        is_on_scalp: product touches the scalp: the label's on-scalp limit holds and warmth speeds the lift.
    """

    key: str
    name: str
    hair: Hair
    target_level: float
    foil_count: int = 6
    pace_min_per_foil: float = 1.2
    covering: Covering = Covering.FOIL
    is_delicate: bool = False
    is_on_scalp: bool = False

    def __post_init__(self) -> None:
        check_text("key", self.key, 40)
        check_text("name", self.name, 60)
        check_level("target_level", self.target_level)
        check_range("foil_count", self.foil_count, 1, 60, "sections")
        check_range("pace_min_per_foil", self.pace_min_per_foil, 0.3, 6.0, "min")
        if self.target_level < self.hair.start_level:
            raise LimitError(
                "target_level",
                f"at or above the start level {self.hair.start_level:g} (lightening does not darken)",
                self.target_level,
            )

    @property
    def application_min(self) -> float:
        """Minutes from the first section to the last."""
        return self.foil_count * self.pace_min_per_foil
