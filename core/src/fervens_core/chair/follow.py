"""Working a simulated head by the board's advice: one pair of hands, what is due first is done first."""

from __future__ import annotations

from dataclasses import dataclass
from functools import partial

import numpy as np

from fervens_core.chair.advice import MISFIT_SPREADS, Act, advise, was_read_again
from fervens_core.head import ReadingMode
from fervens_core.lift import Reading, SimulatedHead, learn
from fervens_core.planning import Plan

LOOK_MIN = 0.5
"""[MODEL] to open a foil, wipe and read."""


@dataclass(frozen=True, slots=True)
class LaneEnd:
    """How a lane ended: minutes after its application at the rinse, how often it was opened before, how sure it was.

    Args:
        sure: chance that was given for ending within half a level, None where none was.
        band: levels that it was believed to have then, 10 and 90 %; None where nobody asked.
    """

    minutes: float
    looks: int
    sure: float | None = None
    is_misfit: bool = False
    band: tuple[float, float] | None = None


def follow_advice(plan: Plan, head: SimulatedHead, eye: np.random.Generator) -> tuple[LaneEnd, ...]:
    """Every lane's end when all advice is followed; each reading moves all lanes."""
    ends = [z.end_min for z in plan.lanes]
    walls = [z.wall_min - z.end_min for z in plan.lanes]
    readings: list[Reading] = []
    looks: list[list[float]] = [[] for _ in ends]
    done: dict[int, LaneEnd] = {}
    belief, clock = plan.belief, min(ends, default=0.0)
    while len(done) < len(ends):
        acts = []
        for i, z in enumerate(plan.lanes):
            if i not in done:
                ahead = head.read_as(i, ReadingMode.WIPED)
                given = advise(
                    belief.outlook(i),
                    now_min=max(clock - ends[i], 0.0),
                    wall_min=walls[i],
                    target_level=z.zone.target_level,
                    reading_count=len(looks[i]),
                    last_reading_min=looks[i][-1] if looks[i] else None,
                    spread_left=partial(belief.spread_left, i, reading=ahead),
                    is_misfit=belief.misfit(i) > MISFIT_SPREADS,
                    has_read_again=was_read_again([(r.minutes, r.level) for r in readings if r.lane == i]),
                )
                acts.append((max(ends[i] + given.due_min, clock), i, given))
        at, i, given = min(acts, key=lambda x: x[:2])
        clock = max(clock, at, ends[i])
        minutes = clock - ends[i]
        if (given.then if given.act is Act.LEAVE else given.act) is Act.READ:
            readings.append(head.read(i, minutes, ReadingMode.WIPED, eye))
            looks[i].append(minutes)
            belief = learn(plan.belief, tuple(readings))
            clock += LOOK_MIN
        else:
            low, _, high = belief.outlook(i).level_bands(np.array([minutes]))[:, 0]
            done[i] = LaneEnd(minutes, len(looks[i]), given.sure, given.is_misfit, (float(low), float(high)))
    return tuple(done[i] for i in range(len(ends)))
