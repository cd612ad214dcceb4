"""The open service file: one service as plain JSON. docs/format/service-file.md.

Reading is strict: a bad field is named by its path, with its limit and its value; nothing is guessed.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Any, TypeVar

from fervens_core.base import CoreError, LimitError, check_range, read
from fervens_core.formats.head_file import read_choice, read_findings, read_strand, read_zone
from fervens_core.formats.json_reader import JsonReader, short
from fervens_core.head import Developer, Findings, Lightener, Tone, TonerShade, Zone
from fervens_core.lift import STRANDS_MAX, Strand
from fervens_core.log import EventData, data_from_json
from fervens_core.planning import PlanChoice, PlanRequest

FORMAT = "fervens-service"
T = TypeVar("T")
VERSION = 3
VERSIONS = (1, 2, 3)
"""Version 1 knew neither segments nor strands and had one finish line; up to version 2 what nobody had said was false:
whether product touches the scalp, whether the person has reacted before. They are read still."""


@dataclass(frozen=True, slots=True)
class FileEvent:
    """An event of a file: minutes after the service's start, who, and what."""

    at_min: float
    by: str
    data: EventData


@dataclass(frozen=True, slots=True)
class ServiceFile:
    """Everything a service file holds. Shelf parts may be empty when the file is to be read into a studio."""

    client_name: str
    wish: str
    tone: Tone
    wanted_level: float | None
    findings: Findings
    zones: tuple[Zone, ...]
    lightener: Lightener | None
    developers: tuple[Developer, ...]
    toners: tuple[TonerShade, ...]
    choice: PlanChoice
    events: tuple[FileEvent, ...]
    strands: tuple[Strand, ...] = ()
    toner_idea: str | None = None

    def plan_request(self) -> PlanRequest:
        """What the plan is made from. Raises LimitError when the file has no lightener or no developer."""
        if self.lightener is None:
            raise LimitError("lightener", "given in a file that is to be planned", None)
        return PlanRequest(
            zones=self.zones,
            lightener=self.lightener,
            bottles=self.developers,
            choice=self.choice,
            strands=self.strands,
            elasticity=self.findings.elasticity,
        )


def _whole(r: JsonReader, field: str, low: int, high: int) -> int | None:
    if r.raw(field) is None:
        return None
    value = r.number(field, low, high)
    if value != int(value):
        raise LimitError(r.at(field), f"a whole number from {low} to {high}", value)
    return int(value)


def _products(r: JsonReader, field: str, kind: type[T], most: int) -> tuple[T, ...]:
    return tuple(read(kind, x.values, x.path) for x in r.objects(field, most))


def _version(r: JsonReader) -> int | None:
    """The version of an event's kind; None for today's."""
    return _whole(r, "version", 1, 99)


def _event(r: JsonReader) -> FileEvent:
    kind = r.raw("kind")
    values = r.raw("data", {})
    if not isinstance(kind, str) or not isinstance(values, Mapping):
        raise LimitError(r.path, "an event with a kind and its data", short(kind))
    try:
        data = data_from_json(kind, values, _version(r))
    except CoreError as error:
        raise CoreError(error.code, f"{r.path}.{error.message}") from error
    made = FileEvent(at_min=r.number("at_min", 0, 6000, unit="min"), by=r.text("by"), data=data)
    r.done()
    return made


def _upcast(document: Any) -> Any:
    """An older file as one of today's; what is no file is left for the reader to refuse."""
    if not isinstance(document, Mapping) or document.get("version") not in (1, 2):
        return document
    found = dict(document)
    zones = found.get("zones")
    if isinstance(zones, list):
        found["zones"] = [_unsaid(z, "is_on_scalp") for z in zones]
    found["toners"] = [_washed(x) for x in found.get("toners") or []]
    events = found.get("events")
    if isinstance(events, list):
        found["events"] = [{"version": 1, **e} if isinstance(e, Mapping) else e for e in events]
    findings = found.get("findings")
    if isinstance(findings, Mapping) and "has_reacted_before" in findings:
        told = _unsaid(findings, "has_reacted_before")
        found["findings"] = {k: v for k, v in told.items() if k != "has_reacted_before"} | {
            "reacts_to_oxidative": told["has_reacted_before"]
        }
    return found


def _washed(shade: Any) -> Any:
    """A shade of an older file: what it did not say was usual, and washes had a developer that never belonged there."""
    if not isinstance(shade, Mapping):
        return shade
    if shade.get("is_oxidative") is False:
        return dict(shade) | {"developer_parts": None, "developer_volume": None}
    return {"developer_parts": 1.5, "developer_volume": 7} | dict(shade)


def _unsaid(values: Any, field: str) -> Any:
    """The values with a false that nobody said as null."""
    if isinstance(values, Mapping) and values.get(field) is False:
        return dict(values) | {field: None}
    return values


def read_service_file(document: Any) -> ServiceFile:
    """A service from parsed JSON. Raises CoreError, LimitError naming the path."""
    r = JsonReader(_upcast(document), "")
    if r.raw("format") != FORMAT:
        raise LimitError("format", repr(FORMAT), short(r.raw("format")))
    version = r.raw("version")
    if isinstance(version, bool) or version not in VERSIONS:
        known = ", ".join(str(v) for v in VERSIONS)
        raise LimitError("version", f"{known}, the versions this program reads", short(version))
    zones = tuple(read_zone(z) for z in r.objects("zones", 60))
    keys = [z.key for z in zones]
    for i, key in enumerate(keys):
        if key in keys[:i]:
            raise LimitError(f"zones[{i}].key", "different from the other zones'", key)
    lightener = None if r.raw("lightener") is None else read(Lightener, r.raw("lightener"), "lightener")
    others = _products(r, "strand_lighteners", Lightener, 12)
    by_key = {x.key: x for x in (*others, *((lightener,) if lightener else ()))}
    plan = r.child("plan")
    idea = plan.raw("toner_idea")
    wanted = r.raw("wanted_level")
    told = r.text("wish", "", 2000)
    made = ServiceFile(
        client_name=r.text("client"),
        wish=told,
        tone=r.choice("tone", Tone, Tone.NEUTRAL),
        wanted_level=None if wanted is None else check_range("wanted_level", wanted, 1, 10, "(level)"),
        findings=replace(read_findings(r.child("findings")), told_elsewhere=told),
        zones=zones,
        lightener=lightener,
        developers=_products(r, "developers", Developer, 40),
        toners=_products(r, "toners", TonerShade, 200),
        choice=read_choice(plan, keys),
        strands=tuple(read_strand(x, by_key, lightener) for x in r.objects("strands", STRANDS_MAX)),
        toner_idea=None if idea is None else plan.text("toner_idea", longest=60),
        events=tuple(_event(e) for e in r.objects("events", 2000)),
    )
    r.done()
    for i, strand in enumerate(made.strands):
        if strand.key in [x.key for x in made.strands[:i]]:
            raise LimitError(f"strands[{i}].key", "different from the other strands'", strand.key)
    return made
