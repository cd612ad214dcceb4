"""Strand tests: hidden strands processed first, and what they teach about the head. docs/models/strand.md."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields
from typing import Annotated

import numpy as np

from fervens_core.base import (
    FLAT,
    Count,
    Flag,
    Floats,
    Key,
    Level,
    LimitError,
    Message,
    Number,
    Text,
    Volume,
    Within,
    all_of,
    contract,
    say,
)
from fervens_core.head import Covering, Hair, Lightener, ReadingMode, Zone
from fervens_core.lift.belief import Belief, lane_block, moved, prior
from fervens_core.lift.course import Application, make_course
from fervens_core.lift.kinetics import LiftFactors, effective_volume, zone_factors
from fervens_core.lift.known import KnownHead, of_known
from fervens_core.lift.outlook import HEAD_UNKNOWNS, LANE_UNKNOWNS, LaneKinetics
from fervens_core.lift.reading import EYE_BIAS_STD, SOMEONE, Reading
from fervens_core.lift.update import learn

READINGS_MAX = 40
STRANDS_MAX = 12
LOOK_EVERY_MIN = 10.0
"""A strand is looked at so often, and at its label's end (common practice, no source)."""
LOOK_EARLY_MIN = 2.0
"""[MODEL] a look so much early is still that look."""
STRETCH_GAIN_WARN = 15.0
"""[MODEL] a strand that stretches so many percent points more after the test than before has suffered."""
MOVED_LEAST = 0.03
"""[MODEL] factors that moved by less than 3 % are as expected."""


@dataclass(frozen=True, slots=True)
@contract
class StrandReading:
    """A level read on a strand.

    Args:
        minutes: since the product went on, 0 to 180. level: 1 to 10.
    """

    minutes: Annotated[Number, Within(0.0, 180.0, "min")]
    level: Level
    mode: ReadingMode = ReadingMode.WIPED


Percent = Annotated[Number, Within(0.0, 200.0, "%")]


@dataclass(frozen=True, slots=True)
@contract
class ToldStrand:
    """One strand of a test, as files and devices tell it: its lightener by key, the plan's own when there is none."""

    key: Annotated[str, Text(40)]
    hair: Annotated[Hair, FLAT]
    volume_strength: Volume
    zone_key: Annotated[str, Text(40, is_optional=True)] = ""
    lightener_key: Key | None = None
    covering: Covering = Covering.FOIL
    has_additive: Flag = False
    readings: Annotated[tuple[StrandReading, ...], Count(0, READINGS_MAX, "readings")] = ()
    stretch_before_percent: Percent | None = None
    stretch_after_percent: Percent | None = None

    def strand(self, lighteners: Mapping[str, Lightener], usual: Lightener | None = None) -> Strand:
        """The strand with its lightener. Raises LimitError for one that is not known."""
        own = usual if self.lightener_key is None else lighteners.get(self.lightener_key)
        if own is None:
            raise LimitError(
                "lightener_key", say("limit-one_of", known=tuple(lighteners) or ("none",)), self.lightener_key
            )
        rest = {f.name: getattr(self, f.name) for f in fields(Strand) if f.name != "lightener"}
        return Strand(lightener=own, **rest)


def told(strand: Strand) -> ToldStrand:
    """A strand as files and devices tell it."""
    rest = {f.name: getattr(strand, f.name) for f in fields(ToldStrand) if f.name != "lightener_key"}
    return ToldStrand(lightener_key=strand.lightener.key, **rest)


@dataclass(frozen=True, slots=True)
@contract
class Strand:
    """One strand of a test.

    Args:
        key: unique within the service; zone_key: where it was taken, or "" for elsewhere on the head.
        hair: as read before. volume_strength: vol in the mix. covering: as it was covered.
        stretch_before_percent, stretch_after_percent: how far it stretched wet, 0 to 200 %, None when not measured.
    """

    key: Annotated[str, Text(40)]
    zone_key: str
    hair: Hair
    lightener: Lightener
    volume_strength: Volume
    covering: Covering = Covering.FOIL
    has_additive: bool = False
    readings: Annotated[tuple[StrandReading, ...], Count(0, READINGS_MAX, "readings")] = ()
    stretch_before_percent: Percent | None = None
    stretch_after_percent: Percent | None = None

    @property
    def kinetics(self) -> LaneKinetics:
        """How it is expected to lift: its hair, product, covering; no scalp warmth."""
        as_zone = Zone("strand", "strand", self.hair, 10.0, covering=self.covering)
        volume = effective_volume(self.volume_strength, has_additive=self.has_additive)
        return LaneKinetics(
            start_level=self.hair.start_level,
            volume=volume,
            factors=zone_factors(as_zone, self.lightener),
            own_course=make_course((Application(0.0, volume),), self.covering),
        )

    @property
    def has_suffered(self) -> bool:
        """It stretches much more after the test than before."""
        before, after = self.stretch_before_percent, self.stretch_after_percent
        return before is not None and after is not None and after - before >= STRETCH_GAIN_WARN


def strand_readings(strands: tuple[Strand, ...], first_lane: int = 0) -> tuple[Reading, ...]:
    """All readings of the strands, the strands being lanes `first_lane` and on."""
    return tuple(
        Reading(
            first_lane + i,
            r.minutes,
            r.level,
            r.mode,
            is_through_dark=strand.lightener.is_dark,
            eye=SOMEONE,
            eye_bias_std=EYE_BIAS_STD,
        )
        for i, strand in enumerate(strands)
        for r in strand.readings
    )


@dataclass(frozen=True, slots=True)
class Taught:
    """What strands taught about a head's lanes: deviations from what is expected of them.

    Args:
        mean: shape (3 + 4n,). covariance: its square; as in `Belief`.
    """

    mean: Floats
    covariance: Floats

    def factors(self, lane: int, expected: LiftFactors) -> LiftFactors:
        """A lane's expected factors, moved by what was learnt."""
        return moved(expected, self.mean[lane_block(lane)])

    def belief(self, lanes: tuple[LaneKinetics, ...]) -> Belief:
        """As a belief about lanes whose developers are known now."""
        return Belief(lanes=lanes, mean=self.mean, covariance=self.covariance)


def teach(
    zones: tuple[Zone, ...],
    strands: tuple[Strand, ...],
    expected: Sequence[LiftFactors],
    known: KnownHead | None = None,
) -> Taught:
    """What the strands say about every lane of a head; the expectation itself when no strand was read.

    A strand taken from a zone says more about that zone than about the others.

    Args:
        expected: the lanes' expected factors. known: what earlier visits taught of this person.
    """
    n = len(zones)
    read = tuple(s for s in strands if s.readings)
    lanes = tuple(LaneKinetics(z.hair.start_level, 20.0, f) for z, f in zip(zones, expected, strict=True))
    keys = [z.zone_key for z in zones] + [s.zone_key or s.key for s in read]
    before = prior(lanes + tuple(s.kinetics for s in read), keys, of_known(known))
    after = learn(before, strand_readings(read, n)).of_lanes(n)
    return Taught(after.mean, after.covariance)


@dataclass(frozen=True, slots=True)
class StrandFit:
    """One strand's fitted curve.

    Args:
        belief: about this strand's own lane (index `lane`), from all strands read together.
        extent_ratio, rate_ratio: how far and how fast beside what was expected (1 = as expected).
    """

    belief: Belief
    lane: int
    extent_ratio: float
    rate_ratio: float

    def bands(self, minutes: Floats) -> Floats:
        """Levels at each minute as slow, likely, fast; shape (3, m)."""
        return self.belief.outlook(self.lane).level_bands(minutes)


def next_look_min(label_max_min: float, read_at_min: Sequence[float]) -> float | None:
    """When a strand is to be looked at next, min after its product went on: every ten minutes, last at its label's end.

    Args:
        label_max_min: the label's longest time, above 0 min. read_at_min: minutes of the readings taken; one up to two
            minutes early answers its look.
    Returns:
        None once its last look was taken.
    """
    last = max(read_at_min, default=0.0)
    every = np.arange(LOOK_EVERY_MIN, label_max_min, LOOK_EVERY_MIN).tolist()
    return next((float(m) for m in (*every, label_max_min) if m > last + LOOK_EARLY_MIN), None)


def fit_strands(strands: tuple[Strand, ...]) -> tuple[StrandFit, ...]:
    """Every strand's curve through the readings of all: strands of one head teach each other."""
    if len(strands) > STRANDS_MAX:
        raise LimitError("strands", say("limit-most_strands", most=STRANDS_MAX), len(strands))
    if not strands:
        return ()
    before = prior(tuple(s.kinetics for s in strands), [s.zone_key or s.key for s in strands])
    after = learn(before, strand_readings(strands))
    ratios = [np.exp(after.mean[after.block(i)][:2]).tolist() for i in range(len(strands))]
    return tuple(StrandFit(after, i, far, fast) for i, (far, fast) in enumerate(ratios))


@dataclass(frozen=True, slots=True)
class HeadMove:
    """How far strands moved what is expected of a head: geometric means over its lanes, 1 = as expected."""

    extent_ratio: float
    rate_ratio: float

    @property
    def text(self) -> Message:
        """Said plainly."""
        parts = []
        for ratio, way in ((self.extent_ratio, "far"), (self.rate_ratio, "fast")):
            if abs(ratio - 1.0) >= MOVED_LEAST:
                sign = "more" if ratio > 1.0 else "less"
                parts.append(say(f"head_move-{way}_{sign}", percent=abs(ratio - 1.0) * 100.0))
        return say("head_move-moved", ways=all_of(parts)) if parts else say("head_move-as_expected")


def head_move(taught: Taught) -> HeadMove | None:
    """How the strands moved the head as a whole; None for a head without lanes."""
    own = taught.mean[HEAD_UNKNOWNS:]
    if own.size == 0:
        return None
    return HeadMove(*(float(np.exp(own[place::LANE_UNKNOWNS].mean())) for place in (0, 1)))
