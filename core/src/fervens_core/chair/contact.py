"""Contact load: how long hair had alkaline product on, and how strong. A way to compare, no promise about damage."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.chair.lanes import Chair, minutes_between
from fervens_core.log import LaneState


@dataclass(frozen=True, slots=True)
class ContactLoad:
    """What one lane had on.

    Args:
        minutes: with product on, min. volume_minutes: minutes times the volume of what was on, vol min.
    """

    minutes: float
    volume_minutes: float

    def __add__(self, other: ContactLoad) -> ContactLoad:
        return ContactLoad(self.minutes + other.minutes, self.volume_minutes + other.volume_minutes)


NONE = ContactLoad(0.0, 0.0)


def lane_contact(chair: Chair, lane: LaneState) -> ContactLoad:
    """The contact load of a lane, from its first section to its rinse (or now), each application by its own volume."""
    end = lane.rinsed_at or chair.now
    starts = [(a.started_at, a.volume_strength) for a in lane.applications]
    load = NONE
    for i, (start, volume) in enumerate(starts):
        until = starts[i + 1][0] if i + 1 < len(starts) else end
        minutes = max(minutes_between(start, until), 0.0)
        load += ContactLoad(minutes, minutes * volume)
    return load
