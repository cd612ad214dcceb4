"""What goes wrong in a practice round: by seed, on lanes as they are worked. docs/models/practice.md."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from enum import StrEnum

from fervens_core.base import Message, say
from fervens_core.chair import Chair, after, lane_times
from fervens_core.head import Covering
from fervens_core.log import Answer, Event, LaneState, MishapMet
from fervens_core.practice.setup import Setup

PHONE_MIN = 6.0
RINGS_MIN = 2.0
"""[MODEL] a telephone rings for so long before it stops by itself."""
COUNT_LEAST, COUNT_MOST = 2, 3
"""[MODEL] things that go wrong in a round."""


class Mishaps(StrEnum):
    """What can go wrong."""

    STALE = "stale"
    SLIPPED = "slipped"
    DRIED = "dried"
    BURNS = "burns"
    PHONE = "phone"
    SHAMPOO = "shampoo"


FOUND_BY_LOOKING = frozenset({Mishaps.SLIPPED, Mishaps.DRIED})
"""Nobody tells of these: they are seen when the lane is opened."""


@dataclass(frozen=True, slots=True)
class Mishap:
    """One thing that goes wrong.

    Args:
        key: what an answer names. lane_key: where, None for the chair as a whole. at: when; in what is still to come
        it moves with the hands.
    """

    key: str
    kind: Mishaps
    lane_key: str | None
    at: datetime
    text: Message

    @property
    def lasts_min(self) -> float | None:
        """A telephone stops by itself after so long, min; None for what stays until something is done."""
        return RINGS_MIN if self.kind is Mishaps.PHONE else None

    @property
    def is_hidden(self) -> bool:
        """Whether it is found by looking only."""
        return self.kind in FOUND_BY_LOOKING


@dataclass(frozen=True, slots=True)
class _Drawn:
    kind: Mishaps
    place: float
    delay: float


def _drawn(setup: Setup) -> list[_Drawn]:
    """Which things go wrong, on which lane of all (0 to 1), and how late (0 to 1)."""
    if not setup.has_mishaps:
        return []
    random = setup.random("mishaps")
    count = int(random.integers(COUNT_LEAST, COUNT_MOST + 1))
    kinds = [list(Mishaps)[int(i)] for i in random.permutation(len(Mishaps))[:count]]
    return [_Drawn(kind, float(random.random()), float(random.random())) for kind in kinds]


def mishaps_of(setup: Setup, chair: Chair) -> tuple[Mishap, ...]:
    """What goes wrong at this chair, in order of time. A lane that is off already is spared, others wait their turn."""
    lanes = [x for x in chair.state.lanes if x.again_of is None]
    if not lanes:
        return ()
    times = dict(zip([x.key for x in chair.state.lanes], lane_times(chair), strict=True))
    begun = [x.started_at for x in lanes if x.started_at]
    if not begun:
        return ()
    found = []
    for i, drawn in enumerate(_drawn(setup)):
        kind, key = drawn.kind, f"{drawn.kind.value}-{i}"
        if kind in (Mishaps.PHONE, Mishaps.SHAMPOO):
            at = after(min(begun), 8.0 + 22.0 * drawn.delay)
            found.append(Mishap(key, kind, None, at, say(f"mishap-{kind.value}", minutes=PHONE_MIN)))
            continue
        lane = lanes[min(int(drawn.place * len(lanes)), len(lanes) - 1)]
        zone = chair.zones[lane.key]
        if kind is Mishaps.SLIPPED and zone.covering is Covering.OPEN_AIR:
            kind = Mishaps.DRIED
        if lane.started_at is None:
            continue
        if kind is Mishaps.STALE:
            took = chair.application_min(lane.key)
            at = after(lane.started_at, took * (0.2 + 0.4 * drawn.delay))
            is_spared = lane.finished_at is not None and lane.finished_at < at
        else:
            from_min, for_min = {Mishaps.SLIPPED: (4.0, 8.0), Mishaps.DRIED: (16.0, 10.0)}.get(kind, (8.0, 12.0))
            at = after(times[lane.key].zero, from_min + for_min * drawn.delay)
            is_spared = lane.finished_at is None or (lane.rinsed_at is not None and lane.rinsed_at <= at)
        if not is_spared:
            found.append(Mishap(key, kind, lane.key, at, say(f"mishap-{kind.value}", lane=zone.label)))
    return tuple(sorted(found, key=lambda m: m.at))


def seen_to_at(
    mishap: Mishap, lane: LaneState, looks: Sequence[datetime], met: Mapping[str, datetime]
) -> datetime | None:
    """When a lane's mishap was seen to: told so, or opened and closed again since; None while it goes on."""
    looked = [r.at for r in lane.readings if r.at > mishap.at] + [at for at in looks if at > mishap.at]
    told = [met[mishap.key]] if mishap.key in met else []
    return min((*looked, *told), default=None)


def met_of(events: Sequence[Event]) -> dict[str, datetime]:
    """When each mishap was seen to, by its key."""
    return {
        e.data.mishap: e.occurred_at
        for e in events
        if isinstance(e.data, MishapMet) and e.data.answer is Answer.SEEN_TO
    }


def answers_of(events: Sequence[Event]) -> dict[str, Answer]:
    """What was done about each mishap so far, by its key."""
    return {e.data.mishap: e.data.answer for e in events if isinstance(e.data, MishapMet)}
