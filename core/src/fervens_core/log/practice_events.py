"""Past-tense events of practice: what a learner looked at, asked and met on a simulated head. They change no state."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import Key, contract
from fervens_core.head import Foils, ReadingMode


class Topic(StrEnum):
    """What can be found out before the first product: asked of the client, looked at, or tested."""

    REACTIONS = "reactions"
    HISTORY = "history"
    HOME_CARE = "home_care"
    SCALP = "scalp"
    STRETCH = "stretch"
    SALTS = "salts"


class Answer(StrEnum):
    """What was done about something that went wrong: seen to, or let be."""

    SEEN_TO = "seen_to"
    LET_BE = "let_be"


@dataclass(frozen=True, slots=True)
@contract
class FoilOpened:
    """A lane was opened to look, whether or not a level was named then."""

    zone_key: Key
    mode: ReadingMode = ReadingMode.WIPED
    foils: Foils = Foils.LAST


@dataclass(frozen=True, slots=True)
@contract
class PracticeAsked:
    """Something was found out of a practice client."""

    topic: Topic


@dataclass(frozen=True, slots=True)
@contract
class MishapMet:
    """Something that went wrong was seen to, or let be."""

    mishap: Key
    answer: Answer = Answer.SEEN_TO


PracticeEventData = FoilOpened | PracticeAsked | MishapMet
"""What only a practice round's log holds."""
