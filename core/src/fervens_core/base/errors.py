"""Errors of the core. Every one carries a stable code; a bad value names its field, its limit and itself."""

from __future__ import annotations

from typing import Any, Self

from fervens_core.base.messages import Message, say


class CoreError(ValueError):
    """A rule of the work was not met.

    Args:
        code: stable, snake_case; programs read it, and the catalogues have its sentence under `error-<code>`. Behind a
            dot, which of several sentences.
        values: what that sentence names.
    """

    def __init__(self, code: str, /, **values: Any) -> None:
        self.code = code.partition(".")[0]
        self.message = say(f"error-{code}", **values)
        super().__init__(": ".join([code, *(f"{k}={v!r}" for k, v in values.items())]))

    @classmethod
    def of(cls, message: Message) -> Self:
        """The error whose message this is."""
        return cls(message.code.removeprefix("error-"), **message.values)

    def at(self, field: str) -> CoreError:
        """The same, said of a field."""
        return self._placed(CoreError("refused_at", field=field, told=self.message))

    def within(self, place: str) -> CoreError:
        """The same, said of one of many things that were sent."""
        return self._placed(CoreError("refused_within", place=place, told=self.message))

    def __reduce__(self) -> tuple[Any, ...]:
        """So that it goes from process to process as it is."""
        return _remade, (type(self), self.args, dict(self.__dict__))

    def _placed(self, found: CoreError) -> CoreError:
        found.code = self.code
        return found


def _remade(kind: type[CoreError], arguments: tuple[Any, ...], held: dict[str, Any]) -> CoreError:
    error = kind.__new__(kind, *arguments)
    error.__dict__.update(held)
    return error


def _shown(value: object) -> str:
    """A value as whoever gave it wrote it: 90, not 90.0."""
    is_whole = isinstance(value, float) and value.is_integer() and abs(value) < 1e15
    return repr(int(value)) if is_whole else repr(value)  # type: ignore[call-overload]


class LimitError(CoreError):
    """A value is outside what its field can hold.

    Args:
        field: its path. limit: a message of the catalogues, `limit-...`. value: what was given.
    """

    def __init__(self, field: str, limit: Message, value: object) -> None:
        super().__init__("value_out_of_limit", field=field, limit=limit, value=_shown(value))
        self.field = field
        self.limit = limit
        self.value = value


class ConflictError(CoreError):
    """An act does not fit what has happened so far, for instance rinsing a zone that has no product on."""


class BlockedError(CoreError):
    """Safety forbids the act; no acknowledgement lifts it."""
