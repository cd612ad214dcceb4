"""What the core says, in the language of who asks."""

from __future__ import annotations

from contextlib import AbstractContextManager, nullcontext
from contextvars import ContextVar
from typing import Annotated, Any

from django.utils.translation import get_language, override
from ninja.responses import NinjaJSONEncoder
from pydantic import BaseModel, WithJsonSchema

from fervens_core.base import LimitError, Message, Untold, say
from fervens_words import DEFAULT, METRIC, languages, tongue, words

Words = Annotated[Message | str, WithJsonSchema({"type": "string"})]
"""A field of an answer that is told in words: a message, or a name that somebody gave."""


def language() -> str:
    """The language of the request, of those there are."""
    asked = (get_language() or DEFAULT).split("-")[0]
    return asked if asked in languages() else DEFAULT


def speaking(of_whom: str) -> AbstractContextManager[None]:
    """What is told inside is told in somebody's own language; in the request's where they have none."""
    return override(of_whom) if of_whom in languages() else nullcontext()


def checked_language(value: str) -> str:
    """A language there is, or none. Raises LimitError."""
    if value and value not in languages():
        raise LimitError("language", say("limit-one_of", known=languages()), value)
    return value


_units: ContextVar[str] = ContextVar("units", default=METRIC)


def measure_in(units: str) -> None:
    """What weights and lengths of this request are told in: its studio's units."""
    _units.set(units)


def spoken() -> str:
    """The language of the request with its studio's units."""
    return tongue(language(), _units.get())


def in_words(value: Message | str) -> str:
    """A message in the language of the request; a text that is one already as it is."""
    return words(value, spoken())


class WordsEncoder(NinjaJSONEncoder):
    """JSON of answers, messages told."""

    def default(self, o: Any) -> Any:
        """What JSON has no type for."""
        if isinstance(o, Untold | Message):
            return in_words(o.message if isinstance(o, Untold) else o)
        return super().default(o)


def told_json(answer: BaseModel) -> bytes:
    """An answer as JSON, messages told."""
    return answer.model_dump_json(context={"words": in_words}).encode()
