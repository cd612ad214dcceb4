"""What the core says: a code with its values, never a sentence. Words stand in catalogues over the core."""

from __future__ import annotations

import datetime as dt
import re
from dataclasses import dataclass
from enum import Enum, StrEnum
from typing import Any, TypeAlias, Union

from pydantic.annotated_handlers import GetCoreSchemaHandler, GetJsonSchemaHandler
from pydantic_core import CoreSchema, core_schema

Value: TypeAlias = Union[str, float, dt.date, "Message", tuple["Value", ...]]
"""A name somebody gave, a number, a day, another message, or a list of them."""


@dataclass(frozen=True, slots=True)
class Message:
    """One thing to say.

    Args:
        code: of the catalogues, for instance `advice-leave`; an attribute of one behind a dot.
        items: its values by name, in the order they were given.
    """

    code: str
    items: tuple[tuple[str, Value], ...] = ()

    @property
    def values(self) -> dict[str, Value]:
        """The values by name."""
        return dict(self.items)

    @classmethod
    def __get_pydantic_core_schema__(cls, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
        written = core_schema.plain_serializer_function_ser_schema(_written, info_arg=True)
        return core_schema.is_instance_schema(cls, serialization=written)

    @classmethod
    def __get_pydantic_json_schema__(cls, schema: CoreSchema, handler: GetJsonSchemaHandler) -> dict[str, Any]:
        """People are told words; `MESSAGE_SCHEMA` is what programs get."""
        return {"type": "string"}


MESSAGE_SCHEMA = {
    "type": "object",
    "title": "Message",
    "description": "A code of the catalogues with its values, and its words in English.",
    "properties": {"code": {"type": "string"}, "values": {"type": "object"}, "text": {"type": "string"}},
    "required": ["code", "values", "text"],
}
"""A message in answers for programs."""


class Untold:
    """A message on its way into JSON: pydantic would take the message itself apart."""

    __slots__ = ("message",)

    def __init__(self, message: Message) -> None:
        self.message = message


def _written(value: Message, info: core_schema.SerializationInfo) -> Any:
    """A message as a contract is written: told where the context has words, untold where Python goes on with it."""
    context = info.context if isinstance(info.context, dict) else {}
    if "words" in context:
        return context["words"](value)
    return message_json(value) if info.mode_is_json() else Untold(value)


def message_json(value: Any) -> Any:
    """A message, or a value of one, as plain JSON."""
    if isinstance(value, Message):
        return {"code": value.code, "values": {name: message_json(v) for name, v in value.items}}
    if isinstance(value, tuple):
        return [message_json(v) for v in value]
    return value.isoformat() if isinstance(value, dt.date) else value


def term(word: Enum) -> Message:
    """A word of the trade that stands in the catalogues under its kind: `Undertone.PALE_YELLOW` as
    `undertone-pale_yellow`."""
    kind = re.sub(r"(?<!^)(?=[A-Z])", "_", type(word).__name__).lower()
    return Message(f"{kind}-{re.sub(r'[^a-z0-9]+', '_', str(word.value))}")


def _value(value: Any) -> Value:
    if isinstance(value, StrEnum):
        return term(value)
    if isinstance(value, list | tuple):
        return tuple(_value(v) for v in value)
    found: Value = value
    return found


def say(code: str, /, **values: Any) -> Message:
    """A message of the catalogues.

    Args:
        code: as it stands in the catalogues.
        values: what the catalogue's text names: strings, numbers, days, words of an enumeration, messages, lists.
    """
    return Message(code, tuple((name, _value(value)) for name, value in values.items()))


def all_of(values: Any) -> Message:
    """A list that ends in "and"; a plain tuple is a list of commas."""
    return say("list-and", items=tuple(values))


def semicolons(values: Any) -> Message:
    """What is said in one line, parted by semicolons."""
    return say("list-semicolons", items=tuple(values))


def sentences(values: Any) -> Message:
    """One sentence after the other."""
    return say("list-sentences", items=tuple(values))
