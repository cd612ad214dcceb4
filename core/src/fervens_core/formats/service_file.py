"""The open service file: one service as plain JSON. docs/format/service-file.md.

Reading is strict: a bad field is named by its path, with its limit and its value; nothing is guessed.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Any

from fervens_core.base import CoreError, LimitError, Ratio, check_range
from fervens_core.formats.head_file import read_choice, read_findings, read_strand, read_zone
from fervens_core.formats.json_reader import JsonReader, short
from fervens_core.head import Developer, DyeFamily, Findings, Lightener, Tone, TonerShade, Zone
from fervens_core.lift import STRANDS_MAX, Strand
from fervens_core.log import EventData, data_from_json
from fervens_core.planning import PlanChoice, PlanRequest

FORMAT = "fervens-service"
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


def _lightener(r: JsonReader) -> Lightener:
    most = r.number("max_volume", 0.5, 40, 40, "vol")
    made = Lightener(
        key=r.text("key", longest=40),
        name=r.text("name"),
        ratio=Ratio(r.number("developer_parts", 0.5, 4, 1.5)),
        label_max_min=r.number("label_max_min", 10, 90, unit="min"),
        max_volume=most,
        max_volume_on_scalp=r.number("max_volume_on_scalp", 0.5, most, min(20.0, most), "vol"),
        bowl_life_min=r.number("bowl_life_min", 5, 60, 20, "min"),
        lift_factor=r.number("lift_factor", 0.5, 1.2, 1.0),
        is_dark=r.flag("is_dark"),
        is_heat_allowed=r.flag("is_heat_allowed"),
        max_applications=_whole(r, "max_applications", 1, 4),
    )
    r.done()
    return made


def _developer(r: JsonReader) -> Developer:
    made = Developer(
        key=r.text("key", longest=40),
        name=r.text("name"),
        volume_strength=r.number("volume_strength", 0.5, 40, unit="vol"),
    )
    r.done()
    return made


def read_toner(r: JsonReader) -> TonerShade:
    dyes = r.raw("dyes", {})
    if not isinstance(dyes, Mapping):
        raise LimitError(r.at("dyes"), "an object of dye families and shares", short(dyes))
    for family in dyes:
        if family not in [f.value for f in DyeFamily]:
            raise LimitError(r.at("dyes"), f"made of {', '.join(f.value for f in DyeFamily)}", family)
    longest = r.number("label_max_min", 1, 60, unit="min")
    shares = tuple((DyeFamily(f), check_range(r.at(f"dyes.{f}"), v, 0, 1)) for f, v in dyes.items())
    if abs(sum(v for _, v in shares) - 1.0) > 0.005:
        raise LimitError(r.at("dyes"), "shares that sum to 1", round(sum(v for _, v in shares), 4))
    is_oxidative = r.flag("is_oxidative", True)
    if not is_oxidative:  # older files gave washes a developer too; it never belongs there
        r.raw("developer_parts"), r.raw("developer_volume")
    made = TonerShade(
        key=r.text("key", longest=40),
        name=r.text("name"),
        level=r.number("level", 1, 10, unit="(level)"),
        dyes=shares,
        ratio=Ratio(r.number("developer_parts", 0.5, 4, 1.5)) if is_oxidative else None,
        developer_volume=r.number("developer_volume", 0.5, 40, 7, "vol") if is_oxidative else None,
        label_max_min=longest,
        label_min_min=r.number("label_min_min", 0.5, longest, min(2.0, longest), "min"),
        is_oxidative=is_oxidative,
        patch_test_wait_h=r.number("patch_test_wait_h", 1, 168, 48, "h"),
    )
    r.done()
    return made


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
    lightener = None if r.raw("lightener") is None else _lightener(r.child("lightener"))
    others = tuple(_lightener(x) for x in r.objects("strand_lighteners", 12))
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
        developers=tuple(_developer(d) for d in r.objects("developers", 40)),
        toners=tuple(read_toner(t) for t in r.objects("toners", 200)),
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
