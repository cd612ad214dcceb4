"""Pairs that teach technicians' eyes, found in logs by themselves. docs/models/readings.md.

An instrument that reads what an eye read as well, the same hair wiped and then dry, two members on one lane.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence

import numpy as np

from fervens_core.chair import minutes_between
from fervens_core.head import ReadingMode
from fervens_core.lift import INSTRUMENT_STD, Eye, EyePair, learn_eye, mode_std
from fervens_core.log import Event, LaneState, TakenReading, fold

AT_ONCE_MIN = 1.5
"""[MODEL] hair that is lifting is the same for so long; rinsed hair stays the same."""
WIPED_BEFORE_MIN = 3.0
"""[MODEL] what was wiped and read so short before the rinse is what is read dry after it."""
_ROUNDED_STD = 0.5 / 12.0**0.5

Pairs = dict[tuple[str, ReadingMode], list[EyePair]]


def eye_pairs(log: Sequence[Event]) -> Pairs:
    """Pairs in one service's log, by who read and how."""
    found: Pairs = {}
    for lane in fold(list(log)).toned:
        for taken in lane.readings:
            if taken.is_measured or not taken.by:
                continue
            known = _known(lane, taken)
            if known is not None:
                level, std = known
                pair = EyePair(taken.mode, taken.level, float(np.clip(level, 1.0, 10.0)), std)
                found.setdefault((taken.by, taken.mode), []).append(pair)
    return found


def _known(lane: LaneState, taken: TakenReading) -> tuple[float, float] | None:
    """What the hair is known to be where an eye read it: an instrument's word, else a dry look, else another eye's."""
    others = [r for r in lane.readings if r is not taken]
    measured = [r for r in others if r.is_measured and _is_same_hair(lane, taken, r)]
    if measured:
        weights = [(r.level_std or INSTRUMENT_STD) ** -2.0 for r in measured]
        level = float(np.average([r.level for r in measured], weights=weights))
        return level, float(np.sqrt(1.0 / sum(weights)))
    rinsed = lane.rinsed_at
    dry = [r for r in others if r.mode is ReadingMode.DRY and rinsed is not None and r.at >= rinsed]
    is_late = rinsed is not None and 0.0 <= minutes_between(taken.at, rinsed) <= WIPED_BEFORE_MIN
    if dry and is_late and taken.mode is not ReadingMode.DRY:
        return dry[-1].level, float(np.hypot(mode_std(ReadingMode.DRY), _ROUNDED_STD))
    apart = [r for r in others if r.by and r.by != taken.by and r.mode is taken.mode and _is_same_hair(lane, taken, r)]
    if apart:
        return apart[-1].level, float(np.hypot(mode_std(taken.mode), _ROUNDED_STD))
    return None


def _is_same_hair(lane: LaneState, one: TakenReading, two: TakenReading) -> bool:
    """Whether two readings of a lane were of the same hair: at once, or both after the rinse."""
    if one.foils is not two.foils:
        return False
    if abs(minutes_between(one.at, two.at)) <= AT_ONCE_MIN:
        return True
    return lane.rinsed_at is not None and min(one.at, two.at) >= lane.rinsed_at


def learn_eyes(
    logs: Iterable[Sequence[Event]], rounds: Mapping[tuple[str, ReadingMode], Sequence[EyePair]] | None = None
) -> Mapping[tuple[str, ReadingMode], Eye]:
    """Every eye that some logs and calibration rounds teach of, by whose it is and how it looked."""
    pairs: Pairs = {who: list(own) for who, own in (rounds or {}).items()}
    for log in logs:
        for who, own in eye_pairs(log).items():
            pairs.setdefault(who, []).extend(own)
    return {(by, mode): learn_eye(mode, own) for (by, mode), own in pairs.items()}
