"""Hair as it is read at the consultation: level, undertone, history, condition; and the tone that is wished for."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated

from fervens_core.base import INTERNAL, Level, Share, contract
from fervens_core.colour import Undertone


class History(StrEnum):
    """What was done to the hair before."""

    VIRGIN = "virgin"
    TINTED = "tinted"
    LIGHTENED = "lightened"
    DIRECT_DYE = "direct_dye"
    HENNA = "henna"
    METALLIC = "metallic"
    UNKNOWN = "unknown"


class Thickness(StrEnum):
    """Thickness of the single strand."""

    FINE = "fine"
    MEDIUM = "medium"
    COARSE = "coarse"


class Density(StrEnum):
    """How much hair there is."""

    THIN = "thin"
    MEDIUM = "medium"
    THICK = "thick"


class Curl(StrEnum):
    """Shape of the strand as it grows or was made."""

    STRAIGHT = "straight"
    WAVY = "wavy"
    CURLY = "curly"
    COILY = "coily"


class Texture(StrEnum):
    """How much product the hair drinks."""

    SLEEK = "sleek"
    USUAL = "usual"
    THIRSTY = "thirsty"


class Porosity(StrEnum):
    """How readily hair takes things up."""

    LOW = "low"
    NORMAL = "normal"
    HIGH = "high"


class Elasticity(StrEnum):
    """How a wet strand behaves when stretched by a third to a half."""

    RETURNS = "returns"
    SLOW = "slow"
    STAYS_STRETCHED = "stays_stretched"
    SNAPS = "snaps"


class Breakage(StrEnum):
    """Broken hairs in the zone."""

    NONE = "none"
    SOME = "some"
    MUCH = "much"


class DyeHue(StrEnum):
    """Hue of an old direct dye."""

    RED = "red"
    PINK = "pink"
    ORANGE = "orange"
    YELLOW = "yellow"
    GREEN = "green"
    BLUE = "blue"
    VIOLET = "violet"


class Covering(StrEnum):
    """How a zone is covered while it lifts."""

    OPEN_AIR = "open_air"
    FOIL = "foil"
    FILM = "film"


class Tone(StrEnum):
    """Wanted tones: from coolest to warmest, then those of their own; a pastel has a hue beside it."""

    ICY = "icy"
    COOL = "cool"
    NEUTRAL = "neutral"
    BEIGE = "beige"
    WARM = "warm"
    GOLD = "gold"
    COPPER = "copper"
    RED_BROWN = "red_brown"
    ROSE = "rose"
    SILVER = "silver"
    PEARL = "pearl"
    PASTEL = "pastel"


@dataclass(frozen=True, slots=True)
@contract
class Hair:
    """One piece of hair of one kind.

    Args:
        start_level: 1 to 10, halves usual.
        history: what was done before; it changes how far the hair lifts.
        thickness, porosity: change how fast it lifts and takes toner.
        undertone: the warmth that shows now, None when not looked at.
        tint_level: level of the tint that lies in tinted hair, 1 to 10, None when not known.
        dye_hue: hue of old dye that shows: of direct dye, or what is left of it in hair of any history.
        curl, texture: how it is shaped, and how much product it drinks.
        grey_share: grey or silver among it, 0 to 1.
        elasticity, breakage: what decides whether it may be lightened at all.
        lifted_from: level it was lightened from, at most start_level, where that is known; None for hair as it grew.
    """

    start_level: Level
    history: History = History.VIRGIN
    thickness: Thickness = Thickness.MEDIUM
    porosity: Porosity = Porosity.NORMAL
    undertone: Undertone | None = None
    tint_level: Level | None = None
    dye_hue: DyeHue | None = None
    elasticity: Elasticity = Elasticity.RETURNS
    breakage: Breakage = Breakage.NONE
    curl: Curl = Curl.STRAIGHT
    texture: Texture = Texture.USUAL
    grey_share: Share = 0.0
    lifted_from: Annotated[float | None, INTERNAL] = None

    @property
    def colour_start(self) -> float:
        """The level its warmth comes from."""
        return self.start_level if self.lifted_from is None else min(self.lifted_from, self.start_level)

    @property
    def has_old_vivid_dye(self) -> bool:
        """Green or blue dye, or what is left of it: lifted with the weakest developer only (common practice)."""
        return self.history is not History.VIRGIN and self.dye_hue in (DyeHue.GREEN, DyeHue.BLUE)
