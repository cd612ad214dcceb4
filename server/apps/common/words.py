"""What the core says, in the language of who asks."""

from __future__ import annotations

from typing import Annotated, Any

from django.utils.translation import get_language
from ninja.responses import NinjaJSONEncoder
from pydantic import BaseModel, WithJsonSchema

from fervens_core.base import Message, Untold
from fervens_words import DEFAULT, languages, words

Words = Annotated[Message | str, WithJsonSchema({"type": "string"})]
"""A field of an answer that is told in words: a message, or a name that somebody gave."""


def language() -> str:
    """The language of the request, of those there are."""
    asked = (get_language() or DEFAULT).split("-")[0]
    return asked if asked in languages() else DEFAULT


def in_words(value: Message | str) -> str:
    """A message in the language of the request; a text that is one already as it is."""
    return words(value, language())


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
