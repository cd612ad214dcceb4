"""A round as a file: its setup, and the service it was played on with its log. docs/format/round-file.md."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

from fervens_core.base import LimitError, json_schema, plain, read, say
from fervens_core.formats import ServiceFile, read_service_file, service_file_schema, write_service_file
from fervens_core.practice.setup import Setup

ROUND_FORMAT: Literal["fervens-round"] = "fervens-round"
ROUND_VERSION: Literal[1] = 1
_KNOWN = ("format", "version", "setup", "service")


@dataclass(frozen=True, slots=True)
class RoundFile:
    """A round to hand on.

    Args:
        setup: the head as it really is; whoever plays it gets the same hair. service: what was played of it so far,
            None for the head alone, as a teacher sets it.
    """

    setup: Setup
    service: ServiceFile | None = None


def read_round_file(document: Any) -> RoundFile:
    """A round from parsed JSON. Raises CoreError, LimitError naming the path."""
    if not isinstance(document, Mapping):
        raise LimitError("file", say("limit-object"), str(document)[:60])
    if document.get("format") != ROUND_FORMAT:
        raise LimitError("format", say("limit-one_of", known=(repr(ROUND_FORMAT),)), document.get("format"))
    version = document.get("version")
    if isinstance(version, bool) or version != ROUND_VERSION:
        raise LimitError("version", say("limit-versions", known=(str(ROUND_VERSION),)), version)
    unknown = sorted(str(k) for k in set(document) - set(_KNOWN))
    if unknown:
        raise LimitError(unknown[0][:60], say("limit-one_of", known=_KNOWN), unknown[0][:60])
    setup = read(Setup, document.get("setup"), "setup")
    told = document.get("service")
    if told is None:
        return RoundFile(setup)
    try:
        return RoundFile(setup, read_service_file(told))
    except LimitError as error:
        raise LimitError(f"service.{error.field}", error.limit, error.value) from None


def write_round_file(file: RoundFile) -> dict[str, Any]:
    """A round as plain JSON values; `read_round_file` gives the same round back."""
    found: dict[str, Any] = {"format": ROUND_FORMAT, "version": ROUND_VERSION, "setup": plain(file.setup)}
    return found | ({"service": write_service_file(file.service)} if file.service else {})


def round_file_schema() -> dict[str, Any]:
    """JSON Schema (2020-12) of the round file."""
    setup, service = dict(json_schema(Setup)), service_file_schema()
    shared = setup.pop("$defs", {}) | service.pop("$defs", {})
    service.pop("$schema", None)
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": "Fervens round file",
        "type": "object",
        "properties": {
            "format": {"const": ROUND_FORMAT},
            "version": {"const": ROUND_VERSION},
            "setup": setup,
            "service": {"anyOf": [service, {"type": "null"}]},
        },
        "required": ["format", "version", "setup"],
        "additionalProperties": False,
        "$defs": shared,
    }
