"""Errors of the core. Every one carries a stable code; a bad value names its field, its limit and itself."""

from __future__ import annotations


class CoreError(ValueError):
    """A rule of the work was not met.

    Args:
        code: stable, snake_case; interfaces map it, people do not read it.
        message: one plain sentence for the person at the chair.
    """

    def __init__(self, code: str, message: str) -> None:
        super().__init__(message)
        self.code = code
        self.message = message


class LimitError(CoreError):
    """A value is outside what its field can hold."""

    def __init__(self, field: str, limit: str, value: object) -> None:
        super().__init__("value_out_of_limit", f"{field}: must be {limit}, got {value!r}.")
        self.field = field
        self.limit = limit
        self.value = value


class ConflictError(CoreError):
    """An act does not fit what has happened so far, for instance rinsing a zone that has no product on."""


class BlockedError(CoreError):
    """Safety forbids the act; no acknowledgement lifts it."""
