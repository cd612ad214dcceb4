"""What a practice round is set up with: a head as it really is, what is hard about it, and how much help there is.

All that is hidden of it follows from the seed. docs/models/practice.md.
"""

from __future__ import annotations

import zlib
from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Annotated

import numpy as np

from fervens_core.base import Count, Flag, Key, Level, Text, Whole, Within, contract
from fervens_core.head import Elasticity, Hair, History, HomeCare, Tone, Zone

SEED_MAX = 2**31 - 1
MISREAD_SHARE = 0.3
"""[MODEL] of a head's zones, the share whose level stands on the card half a level off."""


class Difficulty(StrEnum):
    """What is hard about a round."""

    EVEN = "even"
    BANDED = "banded"
    DELICATE = "delicate"
    RESISTANT = "resistant"
    OLD_DYE = "old_dye"
    STALLS = "stalls"
    YELLOW_LIGHT = "yellow_light"


class Help(StrEnum):
    """How much the board says: only clocks, painted lanes without windows and advice, or all of it."""

    CLOCKS = "clocks"
    LANES = "lanes"
    FULL = "full"


@dataclass(frozen=True, slots=True)
@contract
class Setup:
    """A round's head as it really is, and how it is played.

    Args:
        head: key of an invented head, `random`, or `past` for a client's, told without anyone's name.
        seed: 0 to 2**31 - 1; all that is hidden follows from it.
        zones: as they really are; what stands on the card may be otherwise. wish, tone, wanted_level: of the client.
    """

    head: Key
    seed: Annotated[Whole, Within(0, SEED_MAX)]
    zones: Annotated[tuple[Zone, ...], Count(1, 60, "zones")]
    difficulty: Difficulty = Difficulty.EVEN
    help: Help = Help.FULL
    has_mishaps: Flag = True
    tone: Tone = Tone.NEUTRAL
    wanted_level: Level | None = None
    wish: Annotated[str, Text(300, is_optional=True)] = ""

    def random(self, *of: int | str) -> np.random.Generator:
        """Chance of its own for one hidden thing: the same seed and name are the same numbers."""
        return np.random.default_rng([self.seed, *(x if isinstance(x, int) else zlib.crc32(x.encode()) for x in of)])


@dataclass(frozen=True, slots=True)
class Person:
    """What is hidden of a practice client until it is asked for or tested.

    Args:
        reacts: has reacted to oxidative colour. has_salts: metallic salts lie on the hair. had_tint: what the card
            calls virgin was tinted.
    """

    reacts: bool
    has_salts: bool
    had_tint: bool
    home_care: frozenset[HomeCare]
    elasticity: Elasticity
    is_scalp_sensitive: bool


def person_of(setup: Setup) -> Person:
    """Who sits in the chair. [MODEL] shares: one in four has reacted, one in three uses violet at home."""
    random = setup.random("person")
    reacts, salts, violet, heat, slow, scalp = (float(x) for x in random.random(6))
    home = {HomeCare.VIOLET_SHAMPOO: violet < 0.33, HomeCare.HEAT_TOOLS: heat < 0.3}
    return Person(
        reacts=reacts < 0.25,
        has_salts=setup.difficulty is Difficulty.OLD_DYE and salts < 0.25,
        had_tint=setup.difficulty is Difficulty.OLD_DYE,
        home_care=frozenset(k for k, is_so in home.items() if is_so),
        elasticity=Elasticity.SLOW if slow < 0.12 else Elasticity.RETURNS,
        is_scalp_sensitive=scalp < 0.12,
    )


def told_zones(setup: Setup) -> tuple[Zone, ...]:
    """The zones as they stand on the card: some levels read half a level off, old dye not told of."""
    told = []
    for zone in setup.zones:
        random = setup.random("card", zone.key)
        off = float(random.choice([-0.5, 0.5])) if random.random() < MISREAD_SHARE else 0.0
        if setup.difficulty is Difficulty.EVEN:
            off = 0.0
        hair = replace(zone.hair, start_level=min(max(zone.hair.start_level + off, 1.0), 9.5), lifted_from=None)
        if hair.history is History.TINTED and setup.difficulty is Difficulty.OLD_DYE:
            hair = replace(hair, history=History.VIRGIN, tint_level=None)
        told.append(replace(zone, hair=hair, target_level=max(zone.target_level, hair.start_level)))
    return tuple(told)


def hair_truly(setup: Setup, lane: Zone, lanes: dict[str, Zone]) -> Hair:
    """The hair that really lies in a lane, whatever was read of it.

    Args:
        lane: as the learner has it. lanes: of the round's true zones, by key.
    """
    found = lanes.get(lane.key)
    if found is None:
        found = next((z for z in setup.zones if z.key == lane.zone_key), None)
    return lane.hair if found is None else found.hair
