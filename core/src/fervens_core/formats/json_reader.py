"""Reading plain JSON strictly: a bad field is named by its path, with its limit and its value; nothing is guessed."""

from __future__ import annotations

from collections.abc import Mapping
from enum import StrEnum
from typing import Any, TypeVar

from fervens_core.base import LimitError, check_range, check_text

_E = TypeVar("_E", bound=StrEnum)


class JsonReader:
    """One JSON object, read field by field; every error names the path."""

    def __init__(self, values: Any, path: str) -> None:
        if not isinstance(values, Mapping):
            raise LimitError(path or "file", "a JSON object", short(values))
        self.values, self.path = values, path
        self.asked: set[str] = set()

    def at(self, name: str) -> str:
        """Path of a field."""
        return f"{self.path}.{name}" if self.path else name

    def raw(self, name: str, default: Any = None) -> Any:
        """A field as it stands."""
        self.asked.add(name)
        return self.values.get(name, default)

    def text(self, name: str, default: str | None = None, longest: int = 80) -> str:
        """A text of 1 to `longest` characters; empty only where that is the default."""
        value = self.raw(name, default)
        if default == "" and value == "":
            return ""
        return check_text(self.at(name), value, longest)

    def number(self, name: str, low: float, high: float, default: float | None = None, unit: str = "") -> float:
        """A number in its range."""
        value = self.raw(name, default)
        return check_range(self.at(name), value, low, high, unit)

    def maybe(self, name: str, low: float, high: float, unit: str = "") -> float | None:
        """A number in its range, or null."""
        return None if self.raw(name) is None else self.number(name, low, high, unit=unit)

    def flag(self, name: str, default: bool = False) -> bool:
        """True or false."""
        value = self.raw(name, default)
        if not isinstance(value, bool):
            raise LimitError(self.at(name), "true or false", short(value))
        return value

    def choice(self, name: str, kind: type[_E], default: _E) -> _E:
        """One of an enumeration's values."""
        value = self.raw(name, default.value)
        if value not in [m.value for m in kind]:
            raise LimitError(self.at(name), f"one of {', '.join(m.value for m in kind)}", short(value))
        return kind(value)

    def maybe_choice(self, name: str, kind: type[_E]) -> _E | None:
        """One of an enumeration's values, or null."""
        return None if self.raw(name) is None else self.choice(name, kind, next(iter(kind)))

    def texts(self, name: str, most: int, longest: int) -> tuple[str, ...]:
        """A list of texts."""
        value = self.raw(name, [])
        if not isinstance(value, list) or len(value) > most:
            raise LimitError(self.at(name), f"a list of at most {most}", short(value))
        return tuple(check_text(f"{self.at(name)}[{i}]", v, longest) for i, v in enumerate(value))

    def objects(self, name: str, most: int) -> list[JsonReader]:
        """A list of objects."""
        value = self.raw(name, [])
        if not isinstance(value, list) or len(value) > most:
            raise LimitError(self.at(name), f"a list of at most {most}", short(value))
        return [JsonReader(v, f"{self.at(name)}[{i}]") for i, v in enumerate(value)]

    def child(self, name: str) -> JsonReader:
        """An object; an empty one when it is missing."""
        return JsonReader(self.raw(name, {}), self.at(name))

    def done(self) -> None:
        """Raises LimitError for a field nobody asked for."""
        unknown = sorted(set(self.values) - self.asked)
        if unknown:
            raise LimitError(self.at(str(unknown[0])), f"one of {', '.join(sorted(self.asked))}", unknown[0])


def short(value: Any) -> Any:
    """A value as an error may show it."""
    text = repr(value)
    return value if len(text) <= 60 else text[:57] + "..."
