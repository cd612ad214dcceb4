"""What a round came to, as values: its lanes, readings, eyes, tones, mishaps and the ways it could have gone."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from fervens_core.base import Message
from fervens_core.chair import CurvePoint, FibrePoint, LevelBand
from fervens_core.head import Foils, ReadingMode
from fervens_core.practice.mishaps import Mishaps


@dataclass(frozen=True, slots=True)
class ReadingTold:
    """One reading beside the truth.

    Args:
        minute: after the lane's application. level: as named; true_level: of what was looked at. error: levels that
            the eye was too light, what that way of reading does to everyone left out.
    """

    event_id: str
    lane_key: str
    minute: float
    mode: ReadingMode
    foils: Foils
    level: float
    true_level: float
    error: float
    by: str


@dataclass(frozen=True, slots=True)
class LaneTold:
    """One lane of the debrief; minutes after its application.

    Args:
        start_min: when its first section went on, min after the first of all; zero_min: its last.
        true_start, told_start: level it really began at, and as it stood in the consultation.
        minutes: until its rinse, None while it is on. true_end: level it really ended at; miss: levels past its target,
            negative when short; is_on_target: within half a level.
        believed: low, likely and high level that was believed at its rinse. read_end: as read after it, or None.
        best_min, best_end: the rinse that ends nearest to the target on the true hair within the label, and its level.
        advice_min, advice_end: of the board's own advice on the plan as it was taken; None without one.
        truth: painted by minute; expected: as the board had it, minute by minute, before it knew better.
    """

    key: str
    name: Message | str
    volume_strength: float
    target_level: float
    true_start: float
    told_start: float
    start_min: float
    zero_min: float
    wall_min: float
    minutes: float | None
    true_end: float
    miss: float
    is_on_target: bool
    believed: LevelBand | None
    read_end: float | None
    best_min: float
    best_end: float
    advice_min: float | None
    advice_end: float | None
    looks: int
    early_looks: int
    late_min: float
    is_passed_wall: bool
    contact_volume_min: float
    truth: tuple[CurvePoint, ...]
    fibres: tuple[FibrePoint, ...]
    expected: tuple[CurvePoint, ...]


@dataclass(frozen=True, slots=True)
class ToneTold:
    """One toned part: what it really became beside its wish."""

    key: str
    name: Message | str
    wanted_hex: str
    got_hex: str
    delta_e: float


@dataclass(frozen=True, slots=True)
class EyeTold:
    """An eye in one way of reading, over a round or several."""

    mode: ReadingMode
    count: int
    bias: float
    bias_std: float
    spread: float


@dataclass(frozen=True, slots=True)
class WayWorked:
    """How a head ends in some way of working it: on target of all lanes, minutes, openings, worst miss in levels."""

    on_target: int
    lanes: int
    minutes: float
    looks: int
    worst: float
    trips: int


@dataclass(frozen=True, slots=True)
class MishapTold:
    """Something that went wrong, and after how many minutes it was seen to; None when it never was."""

    key: str
    kind: Mishaps
    text: Message
    at_min: float
    seen_to_min: float | None


@dataclass(frozen=True, slots=True)
class Outcome:
    """What a round came to, but for its sentences."""

    lanes: tuple[LaneTold, ...]
    readings: tuple[ReadingTold, ...]
    eyes: tuple[EyeTold, ...]
    tones: tuple[ToneTold, ...]
    mishaps: tuple[MishapTold, ...]
    done: WayWorked | None
    advised: WayWorked | None
    best: WayWorked | None
    first_at: datetime | None
