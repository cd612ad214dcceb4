"""A dozen invented heads to practise on, and heads drawn from a seed."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from fervens_core.base import Message, say
from fervens_core.head import (
    USUAL_HEAD,
    Covering,
    Curl,
    Hair,
    History,
    Porosity,
    StrandPart,
    Thickness,
    Tone,
    Zone,
)
from fervens_core.practice.setup import Difficulty, Help, Setup

RANDOM_HEAD, PAST_HEAD = "random", "past"
_BACK = ("low_back", "high_back", "left_back", "right_back")
_FRONT = ("crown", "left_side", "right_side", "top")
_FINE = ("nape", "fringe", "left_temple", "right_temple")
_SECTIONS = {z.key: z for z in USUAL_HEAD}


@dataclass(frozen=True, slots=True)
class PracticeHead:
    """An invented head: what it is called and about, what is hard about it, its zones and its wish."""

    key: str
    difficulty: Difficulty
    zones: tuple[Zone, ...]
    tone: Tone
    wanted_level: float

    @property
    def title(self) -> Message:
        """Its name."""
        return say(f"practice_head-{self.key}")

    @property
    def about(self) -> Message:
        """What it is, in a sentence."""
        return say(f"practice_head-{self.key}.about")


def _zone(key: str, hair: Hair, target: float, **more: object) -> Zone:
    usual = _SECTIONS[key]
    values: dict[str, object] = {"foil_count": usual.foil_count, "is_delicate": usual.is_delicate} | more
    return Zone(key=key, name=key, hair=hair, target_level=target, **values)  # type: ignore[arg-type]


def _zones(keys: tuple[str, ...], hair: Hair, target: float, **more: object) -> tuple[Zone, ...]:
    return tuple(_zone(key, hair, target, **more) for key in keys)


def _banded(zone: Zone, band: float, from_mm: float, to_mm: float) -> Zone:
    part = StrandPart(hair=Hair(band, History.TINTED), from_mm=from_mm, to_mm=to_mm)
    return replace(zone, parts=(part,))


def _with_ends(zone: Zone, level: float) -> Zone:
    ends = StrandPart(hair=Hair(level, History.LIGHTENED, porosity=Porosity.HIGH), from_mm=170.0)
    return replace(zone, parts=(ends,))


def _fine(level: float) -> Hair:
    return Hair(level, thickness=Thickness.FINE, porosity=Porosity.HIGH)


def _made() -> tuple[PracticeHead, ...]:
    """In the order they are learnt best: each asks for one thing more than those before it."""
    some = ("low_back", "left_back", "right_back", "crown", "left_side", "right_side")
    dark = Hair(3.0, thickness=Thickness.COARSE, porosity=Porosity.LOW)
    tinted = Hair(4.0, History.TINTED, tint_level=4.0)
    return (
        PracticeHead("first", Difficulty.EVEN, _zones(("low_back", "crown", "top"), Hair(6.0), 8.0), Tone.BEIGE, 8.0),
        PracticeHead("six", Difficulty.EVEN, _zones(some, Hair(5.0), 8.5), Tone.NEUTRAL, 8.5),
        PracticeHead("light", Difficulty.EVEN, _zones(some, Hair(7.0), 9.5), Tone.COOL, 9.5),
        PracticeHead(
            "hairline",
            Difficulty.DELICATE,
            (*_zones(("low_back", "crown", "top"), Hair(5.0), 8.5), *_zones(_FINE, _fine(5.5), 8.5)),
            Tone.COOL,
            8.5,
        ),
        PracticeHead(
            "band",
            Difficulty.BANDED,
            tuple(_banded(z, 5.0, 60.0, 120.0) for z in _zones(some[:4], Hair(7.0), 9.0)),
            Tone.BEIGE,
            9.0,
        ),
        PracticeHead("coarse", Difficulty.RESISTANT, _zones(some, dark, 7.5), Tone.BEIGE, 7.5),
        PracticeHead(
            "ends",
            Difficulty.BANDED,
            tuple(_with_ends(z, 7.5) for z in _zones(some[:4], Hair(5.0), 9.0)),
            Tone.NEUTRAL,
            9.0,
        ),
        PracticeHead("tint", Difficulty.OLD_DYE, _zones(some, tinted, 7.0), Tone.COPPER, 7.0),
        PracticeHead(
            "painted",
            Difficulty.EVEN,
            _zones(_FRONT, Hair(6.0, curl=Curl.WAVY), 8.0, covering=Covering.OPEN_AIR),
            Tone.GOLD,
            8.0,
        ),
        PracticeHead(
            "stuck",
            Difficulty.STALLS,
            _zones((*_BACK, "crown", "top"), Hair(4.0), 8.0),
            Tone.WARM,
            8.0,
        ),
        PracticeHead("evening", Difficulty.YELLOW_LIGHT, _zones(some, Hair(6.0), 9.0), Tone.PEARL, 9.0),
        PracticeHead(
            "whole",
            Difficulty.DELICATE,
            (
                *_zones(_BACK, Hair(5.0), 9.0),
                *_zones(_FRONT, Hair(5.5), 9.0),
                *_zones(_FINE, _fine(6.0), 9.0),
            ),
            Tone.ICY,
            9.0,
        ),
    )


HEADS: tuple[PracticeHead, ...] = _made()


def with_names(setup: Setup, name_of: Callable[[Message], str]) -> Setup:
    """The same round with its zones called as a language does, and nothing that a studio wrote about them.

    Args:
        name_of: words of a message.
    """
    usual = {z.key: z.name for z in USUAL_HEAD}
    zones = []
    for number, zone in enumerate(setup.zones, start=1):
        name = name_of(usual.get(zone.key, say("practice_zone", number=number)))
        pieces = zone.pieces and replace(zone.pieces, name=name_of(say("practice_pieces")), rest_name="")
        zones.append(replace(zone, name=name, pieces=pieces))
    return replace(setup, zones=tuple(zones))


def head_called(key: str) -> PracticeHead | None:
    """The invented head of a key; None for one there is not."""
    return next((h for h in HEADS if h.key == key), None)


def random_head(seed: int, difficulty: Difficulty) -> PracticeHead:
    """A head drawn from a seed: four to eight zones alike in kind, with what is hard about it."""
    random = Setup(RANDOM_HEAD, seed, HEADS[0].zones, difficulty).random("head")
    count = int(random.integers(4, 9))
    keys = (*_BACK, *_FRONT)[:count]
    start = float(random.choice([3.0, 4.0, 5.0, 6.0, 7.0]))
    target = min(start + float(random.choice([2.0, 2.5, 3.0, 3.5])), 9.5)
    hair = Hair(start, thickness=Thickness(str(random.choice(["fine", "medium", "medium", "coarse"]))))
    tone = Tone(str(random.choice(["neutral", "cool", "beige", "warm"])))
    if difficulty is Difficulty.RESISTANT:
        hair = replace(hair, thickness=Thickness.COARSE, porosity=Porosity.LOW)
    if difficulty is Difficulty.OLD_DYE:
        hair = replace(hair, history=History.TINTED, tint_level=start)
    zones = tuple(
        _zone(key, replace(hair, start_level=start + float(random.choice([0.0, 0.0, 0.5]))), target) for key in keys
    )
    if difficulty is Difficulty.BANDED:
        zones = tuple(_banded(z, max(start - 1.5, 2.0), 60.0, 120.0) if i < 3 else z for i, z in enumerate(zones))
    if difficulty is Difficulty.DELICATE:
        zones = (*zones, *_zones(_FINE, _fine(min(start + 0.5, 9.0)), target))
    return PracticeHead(RANDOM_HEAD, difficulty, zones, tone, target)


def troubled(zones: tuple[Zone, ...], difficulty: Difficulty) -> tuple[Zone, ...]:
    """The zones of a head with what is hard about a round; a head that has it already stays as it is."""
    if difficulty is Difficulty.OLD_DYE:
        return tuple(
            replace(z, hair=replace(z.hair, history=History.TINTED, tint_level=z.hair.start_level))
            if z.hair.history is History.VIRGIN and not z.parts
            else z
            for z in zones
        )
    if difficulty is Difficulty.RESISTANT:
        return tuple(replace(z, hair=replace(z.hair, porosity=Porosity.LOW)) for z in zones)
    if difficulty is Difficulty.BANDED and not any(z.parts for z in zones):
        plain = [z.key for z in zones if z.length_mm > 150.0][:3]
        return tuple(
            _banded(z, max(z.hair.start_level - 1.5, 2.0), 60.0, 120.0) if z.key in plain else z for z in zones
        )
    if difficulty is Difficulty.DELICATE and not any(z.is_delicate for z in zones):
        fine = zones[-1]
        return (*zones[:-1], replace(fine, hair=replace(fine.hair, thickness=Thickness.FINE), is_delicate=True))
    return zones


def setup_of(
    head: PracticeHead,
    seed: int,
    *,
    difficulty: Difficulty | None = None,
    help: Help = Help.FULL,
    has_mishaps: bool = True,
) -> Setup:
    """A round on an invented head; its own difficulty where none is chosen."""
    chosen = head.difficulty if difficulty is None else difficulty
    return Setup(
        head=head.key,
        seed=seed,
        zones=troubled(head.zones, chosen),
        difficulty=chosen,
        help=help,
        has_mishaps=has_mishaps,
        tone=head.tone,
        wanted_level=head.wanted_level,
    )
