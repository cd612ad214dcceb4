"""A contract is declared once: a frozen dataclass whose fields with their limits are check, reader and JSON Schema.

Limits stand beside the field as `Annotated[...]`. Made in Python, a value out of its limit raises LimitError; read from
JSON, the same limit is named with the path of the field. What is unknown is refused. docs/decisions/0011-contracts.md.
"""

from __future__ import annotations

import dataclasses
import types
import typing
from collections.abc import Callable, Mapping
from enum import StrEnum
from functools import cache
from typing import Annotated, Any, TypeVar, Union, get_args, get_origin, get_type_hints

from pydantic import ConfigDict, Strict, TypeAdapter, ValidationError
from pydantic.annotated_handlers import GetCoreSchemaHandler, GetJsonSchemaHandler
from pydantic_core import CoreSchema, core_schema, to_jsonable_python

from fervens_core.base.errors import CoreError, LimitError
from fervens_core.base.messages import Message, say
from fervens_core.base.quantities import LEVEL_MAX, LEVEL_MIN, VOLUME_MAX, VOLUME_MIN, check_range, check_text

T = TypeVar("T")
Check = Callable[[str, Any], None]


@dataclasses.dataclass(frozen=True, slots=True)
class Within:
    """Limit of a number: from `low` to `high`, in a unit."""

    low: float
    high: float
    unit: str = ""

    def check(self, field: str, value: Any) -> None:
        """Raises LimitError outside, and for what is no finite number."""
        check_range(field, value, self.low, self.high, self.unit)

    def __get_pydantic_json_schema__(self, schema: CoreSchema, handler: GetJsonSchemaHandler) -> dict[str, Any]:
        """The limit in JSON Schema's words."""
        found = handler(schema) | {"minimum": self.low, "maximum": self.high}
        return found | ({"description": self.unit} if self.unit else {})


@dataclasses.dataclass(frozen=True, slots=True)
class Text:
    """Limit of a text: 1 to `longest` characters, not blank; empty as well where that says nothing was told."""

    longest: int
    is_optional: bool = False

    def check(self, field: str, value: Any) -> None:
        """Raises LimitError for one that is too long, or blank."""
        if not self.is_optional:
            check_text(field, value, self.longest)
        elif len(value) > self.longest:
            raise LimitError(field, say("limit-longest", most=self.longest), len(value))

    def __get_pydantic_json_schema__(self, schema: CoreSchema, handler: GetJsonSchemaHandler) -> dict[str, Any]:
        """The limit in JSON Schema's words."""
        return handler(schema) | {"maxLength": self.longest} | ({} if self.is_optional else {"minLength": 1})


@dataclasses.dataclass(frozen=True, slots=True)
class Count:
    """Limit of a list: `least` to `most` of what it holds."""

    least: int
    most: int
    noun: str

    def check(self, field: str, value: Any) -> None:
        """Raises LimitError for too few or too many."""
        if not self.least <= len(value) <= self.most:
            raise LimitError(field, say("limit-count", least=self.least, most=self.most, noun=self.noun), len(value))

    def __get_pydantic_json_schema__(self, schema: CoreSchema, handler: GetJsonSchemaHandler) -> dict[str, Any]:
        """The limit in JSON Schema's words."""
        found = handler(schema)
        many = ("minItems", "maxItems") if found.get("type") == "array" else ("minProperties", "maxProperties")
        return found | {many[0]: self.least, many[1]: self.most}


@dataclasses.dataclass(frozen=True, slots=True)
class Personal:
    """Marks a field that tells of a person: erased with them, handed out to them."""


@dataclasses.dataclass(frozen=True, slots=True)
class Flat:
    """Marks a field whose own fields stand beside it in JSON, not inside it."""


@dataclasses.dataclass(frozen=True, slots=True)
class Internal:
    """Marks a field that is worked out and never told: it stands in no file and is taken from none."""


PERSONAL, FLAT, INTERNAL = Personal(), Flat(), Internal()
Number = Annotated[float, Strict()]
"""A number; a text or a truth value is none."""
Whole = Annotated[int, Strict()]
Flag = Annotated[bool, Strict()]
Level = Annotated[Number, Within(LEVEL_MIN, LEVEL_MAX, "level")]
Volume = Annotated[Number, Within(VOLUME_MIN, VOLUME_MAX, "vol")]
Share = Annotated[Number, Within(0.0, 1.0)]
Key = Annotated[str, Text(60)]
LabNumbers = Annotated[tuple[Number, ...], Count(0, 3, "lab")]


def _check_all(checks: list[Check]) -> Check | None:
    if not checks:
        return None
    if len(checks) == 1:
        return checks[0]

    def both(field: str, value: Any) -> None:
        for check in checks:
            check(field, value)

    return both


def _checks_of(annotation: Any) -> Check | None:
    """The check that an annotation asks for, or None."""
    origin, arguments = get_origin(annotation), get_args(annotation)
    if origin is Annotated:
        inner = _checks_of(arguments[0])
        return _check_all([m.check for m in arguments[1:] if hasattr(m, "check")] + ([inner] if inner else []))
    if origin in (Union, types.UnionType):
        arms = [c for a in arguments if a is not type(None) and (c := _checks_of(a))]
        if not arms:
            return None

        def maybe(field: str, value: Any, check: Check = arms[0]) -> None:
            if value is not None:
                check(field, value)

        return maybe
    if origin is tuple and arguments[-1:] == (...,):
        item = _checks_of(arguments[0])
        if item is None:
            return None

        def each(field: str, value: Any, check: Check = item) -> None:
            for x in value:
                check(field, x)

        return each
    if origin is dict:
        item = _checks_of(arguments[1])
        if item is None:
            return None

        def values(field: str, value: Any, check: Check = item) -> None:
            for key, x in value.items():
                check(f"{field}.{key}", x)

        return values
    if origin is typing.Literal:

        def one_of(field: str, value: Any, known: tuple[Any, ...] = arguments) -> None:
            if value not in known:
                raise LimitError(field, say("limit-one_of", known=tuple(repr(k) for k in known)), value)

        return one_of
    if isinstance(annotation, type) and issubclass(annotation, StrEnum):

        def member(field: str, value: Any, kind: type[StrEnum] = annotation) -> None:
            if not isinstance(value, kind):
                raise LimitError(field, say("limit-one_of", known=tuple(str(m.value) for m in kind)), value)

        return member
    return None


@cache
def _field_checks(kind: type) -> tuple[tuple[str, Check], ...]:
    hints = get_type_hints(kind, include_extras=True)
    fields = dataclasses.fields(kind)
    return tuple((f.name, c) for f in fields if (c := _checks_of(hints[f.name])))


def _may_be_left_out(schema: dict[str, Any]) -> None:
    """A field with a default may be left out: told as `x-default`, for types made from `default` ask for the field."""
    for field in schema.get("properties", {}).values():
        if "default" in field:
            field["x-default"] = field.pop("default")


CONFIG = ConfigDict(
    extra="forbid", json_schema_extra=_may_be_left_out, json_schema_serialization_defaults_required=True
)


@cache
def _marked(kind: type, mark: type) -> dict[str, Any]:
    """The fields of a contract that bear a mark, with their types."""
    hints = get_type_hints(kind, include_extras=True)
    return {
        f.name: get_args(hints[f.name])[0]
        for f in dataclasses.fields(kind)
        if get_origin(hints[f.name]) is Annotated and any(isinstance(m, mark) for m in get_args(hints[f.name])[1:])
    }


def _told(kind: type) -> set[str]:
    """The fields of a contract that JSON may have, those of its flat ones among them."""
    flat = _marked(kind, Flat)
    own = {f.name for f in dataclasses.fields(kind)} - set(_marked(kind, Internal)) - set(flat)
    return own.union(*(_told(inner) for inner in flat.values()))


def _gather(kind: type, value: Any) -> Any:
    """JSON's fields as the contract has them: flat ones gathered, internal ones refused."""
    if not isinstance(value, Mapping):
        return value
    found = dict(value)
    known = _told(kind)
    for name in found:
        if name not in known:
            raise LimitError(str(name), say("limit-one_of", known=tuple(sorted(known))), name)
    for name, inner in _marked(kind, Flat).items():
        found[name] = read(inner, {k: found.pop(k) for k in _told(inner) if k in found})
    return found


def _spread(kind: type, values: Any) -> Any:
    """A contract's fields as JSON has them: flat ones spread, internal ones left out."""
    found = {k: v for k, v in values.items() if k not in _marked(kind, Internal)}
    for name in _marked(kind, Flat):
        found |= found.pop(name)
    return found


def _core_schema(cls: type, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
    inner = handler(source)
    if not (_marked(cls, Flat) or _marked(cls, Internal)):
        return inner
    # what is around the dataclass takes its name, or a second field of this kind would go past it
    bare: Any = dict(handler.resolve_ref_schema(inner))
    return core_schema.no_info_before_validator_function(
        lambda value: _gather(cls, value),
        bare,
        ref=bare.pop("ref", None),
        serialization=core_schema.wrap_serializer_function_ser_schema(lambda value, dump: _spread(cls, dump(value))),
    )


def _json_schema(cls: type, schema: CoreSchema, handler: GetJsonSchemaHandler) -> dict[str, Any]:
    inner = schema["schema"] if schema["type"] == "function-before" else schema
    found = handler(inner)
    plain_schema = handler.resolve_ref_schema(found)
    properties, required = plain_schema.get("properties", {}), list(plain_schema.get("required", []))
    for name in _marked(cls, Internal):
        properties.pop(name, None)
        required = [r for r in required if r != name]
    for name in _marked(cls, Flat):
        if name in properties:
            own = handler.resolve_ref_schema(properties.pop(name))
            required = [r for r in required if r != name] + own.get("required", [])
            properties |= own["properties"]
    if required:
        plain_schema["required"] = required
    return found


def contract(cls: type[T]) -> type[T]:
    """Class decorator, below `@dataclass`: values are held to the limits beside their fields, unknown fields refused.

    A `__post_init__` of its own runs after them, for what holds between fields.
    """
    own = cls.__dict__.get("__post_init__")

    def check_fields(self: Any) -> None:
        for name, check in _field_checks(type(self)):  # type: ignore[arg-type]
            check(name, getattr(self, name))
        if own is not None:
            own(self)

    cls.__post_init__ = check_fields  # type: ignore[attr-defined]
    cls.__get_pydantic_core_schema__ = classmethod(_core_schema)  # type: ignore[attr-defined]
    cls.__get_pydantic_json_schema__ = classmethod(_json_schema)  # type: ignore[attr-defined]
    cls.__pydantic_config__ = CONFIG  # type: ignore[attr-defined]
    return cls


@cache
def adapter(kind: Any) -> TypeAdapter[Any]:
    """Pydantic's own reader and writer of a contract."""
    return TypeAdapter(kind)


def path_of(place: typing.Sequence[str | int], within: str = "") -> str:
    """A path as errors show it: `zones[3].length_mm`."""
    found = within
    for part in place:
        found += f"[{part}]" if isinstance(part, int) else f".{part}" if found else str(part)
    return found


_WANTED = {
    "float_type": say("limit-number"),
    "float_parsing": say("limit-number"),
    "finite_number": say("limit-finite"),
    "int_type": say("limit-whole"),
    "int_parsing": say("limit-whole"),
    "int_from_float": say("limit-whole"),
    "bool_type": say("limit-flag"),
    "bool_parsing": say("limit-flag"),
    "string_type": say("limit-string"),
    "missing": say("limit-given"),
    "missing_argument": say("limit-given"),
}
_MOMENTS = ("datetime_type", "datetime_parsing", "datetime_from_date_parsing", "datetime_object_invalid")
_DAYS = ("date_type", "date_parsing", "date_from_datetime_parsing", "date_from_datetime_inexact")
_LISTS = ("tuple_type", "list_type", "set_type", "frozen_set_type")
_OBJECTS = ("dataclass_type", "dict_type", "model_type", "mapping_type", "model_attributes_type")


def _shown(value: Any) -> Any:
    """A value short enough to be told; a long text as its beginning."""
    text = value if isinstance(value, str) else repr(value)
    return value if len(text) <= 60 else text[:57] + "..."


def _limit(code: str, context: Mapping[str, Any]) -> Message:
    """The limit that a complaint of pydantic's is about."""
    match code:
        case "greater_than_equal":
            return say("limit-from", least=context["ge"])
        case "less_than_equal":
            return say("limit-up_to", most=context["le"])
        case "string_too_long":
            return say("limit-longest", most=context["max_length"])
        case "string_too_short":
            return say("limit-shortest", least=context["min_length"])
        case "too_long":
            return say("limit-at_most_so_many", most=context["max_length"])
        case "too_short":
            return say("limit-at_least_so_many", least=context["min_length"])
    if code in _MOMENTS:
        return say("limit-moment")
    if code in _DAYS:
        return say("limit-date")
    return _WANTED.get(code, say("limit-other", code=code))


def limit_error(first: Mapping[str, Any], within: str = "") -> CoreError:
    """A complaint of pydantic's as the core's own error, with the whole path of the field."""
    place, code, value = path_of(first["loc"], within), first["type"], _shown(first.get("input"))
    if code in ("too_long", "too_short"):
        value = first.get("ctx", {}).get("actual_length", value)  # how many, not all of them
    own = first.get("ctx", {}).get("error")
    if isinstance(own, LimitError):
        field = own.field if not place else f"{place}.{own.field}" if own.field else place
        return LimitError(field, own.limit, own.value)
    if isinstance(own, CoreError):
        return own.at(place) if place else own
    if code in ("unexpected_keyword_argument", "extra_forbidden"):
        return LimitError(place, say("limit-known_field"), first["loc"][-1])
    if code in ("missing", "missing_argument"):
        return LimitError(place, say("limit-given"), None)
    if code in _LISTS:
        return LimitError(place, say("limit-list"), value)
    if code in _OBJECTS:
        return LimitError(place or "file", say("limit-object"), value)
    if code in ("enum", "literal_error"):
        expected = str(first["ctx"]["expected"]).replace("'", "").replace(" or ", ", ")
        return LimitError(place, say("limit-one_of", known=tuple(expected.split(", "))), value)
    return LimitError(place, _limit(code, first.get("ctx", {})), value)


def read(kind: type[T], values: Any, within: str = "") -> T:
    """A contract's value from plain JSON.

    Args:
        values: parsed JSON. within: path of it, for errors.
    Raises:
        LimitError: naming the path, the limit and the value.
    """
    try:
        found: T = adapter(kind).validate_python(values)  # type: ignore[arg-type]
        return found
    except ValidationError as error:
        first = error.errors(include_url=False)[0]
        if first["type"] == "unexpected_keyword_argument" and len(first["loc"]) == 1:
            known = tuple(f.name for f in dataclasses.fields(kind))  # type: ignore[arg-type]
            name = str(first["loc"][0])
            raise LimitError(
                path_of((name,), within), say("limit-field_of", kind=kind.__name__, known=known or ("none",)), name
            ) from None
        raise limit_error(first, within) from None


def plain(value: Any) -> Any:
    """A contract's value as plain JSON; `read` gives it back."""
    if isinstance(value, list | tuple):
        return [plain(x) for x in value]
    if dataclasses.is_dataclass(value):
        kind: Any = type(value)
        return adapter(kind).dump_python(value, mode="json")
    return to_jsonable_python(value)


def personal_fields(kind: type) -> frozenset[str]:
    """The fields of a contract that tell of a person."""
    hints = get_type_hints(kind, include_extras=True)
    return frozenset(
        f.name for f in dataclasses.fields(kind) if any(isinstance(m, Personal) for m in get_args(hints[f.name])[1:])
    )


def json_schema(kind: Any, mode: typing.Literal["validation", "serialization"] = "validation") -> Mapping[str, Any]:
    """JSON Schema (2020-12) of a contract."""
    return adapter(kind).json_schema(mode=mode)
