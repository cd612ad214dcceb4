"""The finish line of a toner: resistant zones first, porous ends in the last minutes, all ready together.

docs/models/tonematch.md.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from fervens_core.base import LimitError, check_range, say


@dataclass(frozen=True, slots=True)
class ToTone:
    """A zone to be toned.

    Args:
        application_min: from its first section to its last, min. minutes: wanted on the last section, min.
        label_max_min: longest time on its last section, min.
        slack_min: how much longer it may be on before that shows, min.
    """

    key: str
    application_min: float
    minutes: float
    label_max_min: float
    slack_min: float = 1.0

    def __post_init__(self) -> None:
        check_range("application_min", self.application_min, 0.0, 60.0, "min")
        check_range("minutes", self.minutes, 0.5, 60.0, "min")
        check_range("label_max_min", self.label_max_min, 1.0, 90.0, "min")


@dataclass(frozen=True, slots=True)
class ToneStart:
    """When a zone's toner goes on and comes off, min after the first toner of the head.

    Args:
        over_min: longer on than wanted, because one pair of hands does one zone after another.
        is_alone: it is rinsed before the others, so as not to be on too long.
    """

    key: str
    start_min: float
    end_min: float
    rinse_min: float
    emulsify_min: float
    over_min: float
    is_alone: bool


@dataclass(frozen=True, slots=True)
class ToneTimes:
    """A toner's clock for a head: zones in order of application, and the finish line, min."""

    starts: tuple[ToneStart, ...]
    finish_min: float


def time_toner(zones: Sequence[ToTone]) -> ToneTimes:
    """Order and starts so that all zones are ready at one finish line, with one pair of hands.

    The longest goes on first, the shortest last. A zone that hands cannot start later, so that it would be on longer
    than its slack, is rinsed alone at its own time; so is one whose label would run out.

    Raises:
        LimitError: no zone.
    """
    if not zones:
        raise LimitError("zones", say("limit-at_least_one"), 0)
    order = sorted(zones, key=lambda z: (-z.minutes, -z.application_min, z.key))
    ends: list[float] = []
    free = 0.0  # minutes before the line, counted back from it
    for zone in reversed(order):
        before = max(zone.minutes, free)
        ends.append(before)
        free = before + zone.application_min
    finish = free
    found = []
    for zone, before in zip(order, reversed(ends), strict=True):
        end = finish - before
        start = end - zone.application_min
        over = before - zone.minutes
        label_up = end + zone.label_max_min
        alone = end + zone.minutes
        is_alone = over > zone.slack_min + 1e-9 or label_up < finish - 1e-9
        rinse = min(alone if is_alone else finish, label_up)
        found.append(
            ToneStart(
                key=zone.key,
                start_min=max(start, 0.0),
                end_min=end,
                rinse_min=rinse,
                emulsify_min=start + (rinse - start) / 2.0,
                over_min=max(rinse - end - zone.minutes, 0.0),
                is_alone=is_alone,
            )
        )
    return ToneTimes(tuple(found), finish)
