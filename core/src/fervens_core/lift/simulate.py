"""A simulated head: hidden truth, read with noise. The stand-in for hair in tests, demo, practice and benches.

Its truth is drawn from what is believed of heads, or from other worlds in which the model is wrong: what is believed
has to hold there as well. docs/models/readings.md.
"""

from __future__ import annotations

from dataclasses import dataclass, field, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import ReadingMode
from fervens_core.lift.belief import Belief, prior
from fervens_core.lift.eye import EyePair, learn_eye
from fervens_core.lift.kinetics import CEILING_ROOM_LEAST, EFFORT_PER_LEVEL, capped, going_effort
from fervens_core.lift.outlook import LANE_UNKNOWNS, LaneKinetics
from fervens_core.lift.reading import Reading, mode_bias, mode_std

ROUND_STRANDS, ROUND_LEVELS = 12, (4.0, 9.0)
SIMULATED_EYE = "simulated"
_LEVELS = np.arange(1.0, 11.0)


@dataclass(frozen=True, slots=True)
class World:
    """Ways in which a truth differs from the model; the model itself without any. Sizes are [MODEL].

    Args:
        lag_min: soaks in for so long before anything happens. used_up_min: the developer is used up with this time
            constant. dries_at_min: product is dry, and has stopped, about then. tails: degrees of freedom of Student's
            t for factors and readings, None for Gaussians. eye_bias: levels the eye is off, either way.
        start_share: of what is believed of misjudged start levels, the share that is true here: 0 for starts as read.
        scale_bend: 0 for the model's effort scale, 1 for one on which every level is equal work.
        stall_share, stall_level: lanes that stall, and about where; nobody knows.
    """

    name: str
    lag_min: float = 0.0
    used_up_min: float = np.inf
    dries_at_min: float = np.inf
    tails: float | None = None
    eye_bias: float = 0.0
    start_share: float = 0.0
    scale_bend: float = 0.0
    stall_share: float = 0.0
    stall_level: float = 8.3


MODEL_WORLD = World("model")
WORLDS: tuple[World, ...] = (
    MODEL_WORLD,
    World("lag", lag_min=4.0),
    World("depleted", used_up_min=60.0),
    World("dries", dries_at_min=42.0),
    World("tails", tails=4.0),
    World("eye_off", eye_bias=0.5),
    World("starts", start_share=1.0),
    World("other_scale", scale_bend=1.0),
    World("stalls", stall_share=0.3),
    World("half", 2.0, 120.0, 51.0, 8.0, 0.25, 0.5, 0.5, 0.15),
    World("all", 4.0, 60.0, 42.0, 4.0, 0.5, 1.0, 1.0, 0.3),
)


@dataclass(frozen=True, slots=True)
class KnownEye:
    """What is known of the eye that reads: levels it is believed to read too light, and how sure that is."""

    bias: float = 0.0
    bias_std: float = 0.0


@dataclass(frozen=True, slots=True)
class SimulatedHead:
    """Lanes with their hidden truth.

    Args:
        log_extent, log_rate: log deviations of how far and how fast, shape (n,). start_off: levels the start is lighter
            than was read, shape (n,). ceiling: level each lane stalls at, infinity for never, shape (n,).
        eye_bias: levels the eye reads too light. known: what is known of it. dries_at: minutes, shape (n,).
    """

    lanes: tuple[LaneKinetics, ...]
    log_extent: Floats
    log_rate: Floats
    start_off: Floats = field(default_factory=lambda: np.zeros(0))
    ceiling: Floats = field(default_factory=lambda: np.zeros(0))
    dries_at: Floats = field(default_factory=lambda: np.zeros(0))
    world: World = MODEL_WORLD
    eye_bias: float = 0.0
    known: KnownEye = KnownEye()

    def _worked(self, lane: int, minutes: float) -> float:
        """Minutes of work that product has done, in this world."""
        worked = max(minutes - self.world.lag_min, 0.0)
        if self.dries_at.size and np.isfinite(self.dries_at[lane]):
            worked = min(worked, float(self.dries_at[lane]))
        used_up = self.world.used_up_min
        return used_up * (1.0 - np.exp(-worked / used_up)) if np.isfinite(used_up) else worked

    def level(self, lane: int, minutes: float) -> float:
        """True level of a lane so many minutes after its application, 1 to 10."""
        kinetics = self.lanes[lane]
        extent = kinetics.factors.extent * np.exp(self.log_extent[lane : lane + 1])
        rate = kinetics.factors.rate * np.exp(self.log_rate[lane : lane + 1])
        gained = float(kinetics.gained(np.array([self._worked(lane, minutes)]), extent, rate)[0, 0])
        start_level = kinetics.start_level + (float(self.start_off[lane]) if self.start_off.size else 0.0)
        if self.ceiling.size and np.isfinite(self.ceiling[lane]):
            room = float(going_effort(self.ceiling[lane]) - going_effort(start_level))
            gained = float(capped(gained, max(room, CEILING_ROOM_LEAST)))
        return float(np.clip(self._scaled(start_level, gained), 1.0, 10.0))

    def _scaled(self, start_level: float, gained: float) -> float:
        """Level after a gain on this world's effort scale, which is as long as the model's."""
        bend = self.world.scale_bend
        each = (1.0 - bend) * np.array(EFFORT_PER_LEVEL) + bend * np.mean(EFFORT_PER_LEVEL)
        efforts = np.concatenate([[0.0], np.cumsum(each)])
        return float(np.interp(np.interp(start_level, _LEVELS, efforts) + gained, efforts, _LEVELS))

    def read_as(self, lane: int, mode: ReadingMode) -> Reading:
        """A reading of a lane by this head's eye, with what is known of it; not taken yet."""
        known = self.known
        return Reading(lane, 0.0, 5.0, mode, eye=SIMULATED_EYE, eye_bias=known.bias, eye_bias_std=known.bias_std)

    def read(self, lane: int, minutes: float, mode: ReadingMode, random: np.random.Generator) -> Reading:
        """What an eye says of it, to the half level: the mode's own bias and spread over the truth, and its own."""
        plain, known = self.read_as(lane, mode), self.known
        tails = self.world.tails
        noise = float(random.normal() if tails is None else random.standard_t(tails)) * plain.eye_std
        seen = self.level(lane, minutes) + plain.bias - known.bias + self.eye_bias + noise
        return replace(plain, minutes=minutes, level=float(np.clip(round(seen * 2.0) / 2.0, 1.0, 10.0)))


def calibrated(head: SimulatedHead, random: np.random.Generator, mode: ReadingMode = ReadingMode.WIPED) -> KnownEye:
    """What is known of a head's eye after a calibration round: a dozen strands of known level."""
    pairs = []
    for level in np.linspace(*ROUND_LEVELS, ROUND_STRANDS):
        seen = level + mode_bias(mode) + head.eye_bias + random.normal(0.0, mode_std(mode))
        pairs.append(EyePair(mode, float(np.clip(round(seen * 2.0) / 2.0, 1.0, 10.0)), float(level)))
    eye = learn_eye(mode, pairs)
    return KnownEye(eye.bias, eye.bias_std)


def simulated_head(
    lanes: tuple[LaneKinetics, ...],
    random: np.random.Generator,
    world: World = MODEL_WORLD,
    *,
    believed: Belief | None = None,
    known: KnownEye | None = None,
) -> SimulatedHead:
    """A head drawn from what is believed of heads before any reading, in a world where more may be otherwise.

    Args:
        believed: what it is drawn from; None for lanes that are zones of their own.
        known: what is known of the eye. In a world whose eye is not off, its bias is drawn from that; None for an eye
            that is exactly known.
    """
    n, eye = len(lanes), known or KnownEye()
    belief = believed or prior(lanes)
    root = np.linalg.cholesky(belief.covariance + 1e-12 * np.eye(belief.mean.size))
    normal = random.standard_normal(belief.mean.size)
    if world.tails is not None:  # heavy together: one head in some is far from what is expected
        normal *= np.sqrt(world.tails / random.chisquare(world.tails)) * np.sqrt((world.tails - 2.0) / world.tails)
    drawn = belief.mean + root @ normal
    deviations = np.array([drawn[belief.block(i)] for i in range(n)]).reshape(n, LANE_UNKNOWNS)
    ceiling = np.array([ln.factors.ceiling for ln in lanes]) + deviations[:, 3]
    stalls = random.random(n) < world.stall_share
    ceiling = np.where(stalls, np.minimum(ceiling, random.normal(world.stall_level, 0.4, n)), ceiling)
    off = random.choice([-1.0, 1.0]) * world.eye_bias
    return SimulatedHead(
        lanes=lanes,
        log_extent=deviations[:, 0],
        log_rate=deviations[:, 1],
        start_off=deviations[:, 2] * world.start_share,
        ceiling=ceiling,
        dries_at=world.dries_at_min + random.normal(0.0, 5.0, n),
        world=world,
        eye_bias=eye.bias + off,
        known=eye,
    )
