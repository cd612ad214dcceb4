"""What goes over the wire about practice. Truth, belief and advice are the core's own values."""

from __future__ import annotations

import datetime as dt
from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from fervens_core.colour import Undertone
from fervens_core.head import ReadingMode
from fervens_core.log import Answer, Step, Topic
from fervens_core.practice import (
    SEED_MAX,
    Difficulty,
    EyeTold,
    Help,
    LaneLooks,
    Light,
    Mishaps,
    Outcome,
    RoundNumbers,
    StrandColours,
    TonedLooks,
)


class HeadCardOut(Schema):
    """An invented head to choose."""

    key: str
    title: Words
    about: Words
    difficulty: Difficulty
    from_hex: str
    to_hex: str
    zones: int


class PastHeadOut(Schema):
    """A filed head of the studio that can be played without its name."""

    service_id: UUID
    client_name: str
    starts_at: dt.datetime
    zones: int


class RoundLineOut(Schema):
    """A round in a list."""

    service_id: UUID
    title: Words
    difficulty: Difficulty
    help: Help
    seed: int
    step: Step
    begun_at: dt.datetime
    is_over: bool
    played_by: str
    numbers: RoundNumbers | None


class ProgressOut(Schema):
    """A member's progress over rounds, as far as it may be seen."""

    member_id: int
    name: str
    rounds: int
    lanes: int
    on_target: int
    walls_kept: int
    minutes_over_advice: float | None
    eyes: list[EyeTold]
    last: list[RoundNumbers]


class PracticeOut(Schema):
    """The practice room: heads to choose, own rounds, own progress, and that of members who share theirs."""

    heads: list[HeadCardOut]
    past: list[PastHeadOut]
    difficulties: list[Difficulty]
    rounds: list[RoundLineOut]
    progress: ProgressOut
    shared: list[ProgressOut]
    is_shared: bool


class PracticeRoundIn(In):
    """A round to begin: a head, what is hard about it, and how much help there is; one seed is one head."""

    head: str = Field(min_length=1, max_length=40)
    difficulty: Difficulty | None = None
    seed: Annotated[int, Field(ge=0, le=SEED_MAX)] | None = None
    help: Help = Help.FULL
    has_mishaps: bool = True
    service_id: UUID | None = None


class BegunOut(Schema):
    """A round that was begun."""

    service_id: UUID


class AskedOut(Schema):
    """Something that can be found out, and what it told once it was."""

    topic: Topic
    answer: Words | None


class MishapOut(Schema):
    """Something that goes wrong: told from its moment on, or found when its lane is opened."""

    key: str
    kind: Mishaps
    lane_key: str | None
    at: dt.datetime
    text: Words
    is_hidden: bool
    answer: Answer | None
    takes_min: float
    lasts_min: float | None


class StillOut(Schema):
    """Hair that nothing is on: as it came, or as it is kept."""

    key: str
    seed: int
    dry: StrandColours
    wet: StrandColours


class StrandLookOut(Schema):
    """How the strand of a strand test looks by minute, wiped."""

    key: str
    seed: int
    step_min: float
    wiped: list[StrandColours]


class RoundOut(Schema):
    """A round at the chair: its clock, what was found out, what goes wrong, and how its hair looks."""

    service_id: UUID
    title: Words
    difficulty: Difficulty
    help: Help
    light: Light
    seed: int
    speed: float
    now: dt.datetime
    is_over: bool
    asked: list[AskedOut]
    mishaps: list[MishapOut]
    lanes: list[LaneLooks]
    stills: list[StillOut]
    strands: list[StrandLookOut]
    toned: list[TonedLooks]
    position: int


class ClockIn(In):
    """The moment in a round, how many minutes go by in one (0 stands still), and the moment it stops at by itself."""

    at: dt.datetime
    speed: float
    until: dt.datetime | None = None


class ClockOut(Schema):
    """A round's clock."""

    now: dt.datetime
    speed: float


class AgainIn(In):
    """From which moment of the round on; none is from the beginning."""

    until: dt.datetime | None = None


class FoundOutOut(Schema):
    """One hidden thing: whether it was so, and whether it was found out."""

    topic: Topic
    is_so: bool
    was_asked: bool
    says: Words


class DebriefOut(Schema):
    """What a round came to."""

    service_id: UUID
    title: Words
    difficulty: Difficulty
    help: Help
    seed: int
    played_by: str
    worked: list[Words]
    change: Words
    outcome: Outcome
    found_out: list[FoundOutOut]


class RoundFileOut(Schema):
    """A round as a file."""

    document: dict[str, Any]
    file_name: str


class RoundFileIn(In):
    """A round file."""

    document: dict[str, Any]


class ClassLineOut(Schema):
    """One learner's round on the head of a class."""

    service_id: UUID | None
    name: str
    help: Help
    numbers: RoundNumbers
    eye_bias: float | None


class ClassOut(Schema):
    """A class: who played the same head, and what it came to."""

    title: Words
    seed: int
    difficulty: Difficulty
    lines: list[ClassLineOut]


class SharingIn(In):
    """Whether the owner may see a member's progress."""

    is_shared: bool


class DrillStrandOut(Schema):
    """One strand of a drill, with what it is: shown once it was named."""

    number: int
    level: float
    undertone: Undertone
    start_level: float
    colours: StrandColours
    seed: int


class DrillOut(Schema):
    """Twelve strands."""

    seed: int
    mode: ReadingMode
    seconds: float
    levels: list[float]
    undertones: list[Undertone]
    hexes: list[str]
    strands: list[DrillStrandOut]


class DrillAnswerIn(In):
    """What was said of one strand."""

    number: int = Field(ge=0, le=11)
    level: float
    undertone: Undertone | None = None


class DrillIn(In):
    """A drill as it was answered."""

    seed: int = Field(ge=0, le=SEED_MAX)
    mode: Literal[ReadingMode.DRY, ReadingMode.WIPED] = ReadingMode.DRY
    answers: list[DrillAnswerIn] = Field(min_length=1, max_length=12)


class DrilledOut(Schema):
    """What a drill says of an eye."""

    count: int
    right_undertones: int
    mean_error: float
    spread: float
    eyes: list[EyeTold]
