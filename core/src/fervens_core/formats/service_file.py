"""The open service file: one service as plain JSON. docs/format/service-file.md.

Its contract is the class below; reader, writer and JSON Schema are made from it. Older versions are brought up to date
before they are read; nothing is guessed.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from typing import Annotated, Any, Literal, TypeVar

from pydantic import BeforeValidator, PlainSerializer, WithJsonSchema

from fervens_core.base import (
    PERSONAL,
    Count,
    Key,
    Level,
    LimitError,
    Number,
    Text,
    Whole,
    Within,
    check_range,
    contract,
    json_schema,
    plain,
    read,
    say,
)
from fervens_core.head import (
    USUAL_LENGTH_MM,
    Developer,
    Findings,
    Lightener,
    Pieces,
    ReadingMode,
    ServiceKind,
    StrandPart,
    Tone,
    TonerShade,
    Zone,
    as_hair_piece,
)
from fervens_core.lift import EYE_BIAS_STD, STRANDS_MAX, Eye, Strand, ToldStrand, mode_std
from fervens_core.log import KINDS, EventData, data_from_json, data_to_json, version_of
from fervens_core.planning import OF_LANES, USUAL_PACE, Paces, PlanChoice, PlanRequest
from fervens_core.safety import WeakestVolumes

PartOrPieces = TypeVar("PartOrPieces", StrandPart, Pieces, Zone)
KindOfHair = TypeVar("KindOfHair", Pieces, Zone)

FORMAT: Literal["fervens-service"] = "fervens-service"
VERSION: Literal[4] = 4
VERSIONS = (1, 2, 3, 4)
"""Version 1 knew neither parts nor strands and had one finish line; up to version 2 what nobody had said was false:
whether product touches the scalp, whether the person has reacted before; a strand had a root and ends at most, and a
head one lightener. Up to version 3 a plan had waves with a finish line each. They are read still."""
MINUTES_MAX = 6000.0
TONER_STRENGTH = 9.0
"""[MODEL] below this a developer is a toner's (common practice: 5 to 7 vol)."""


@dataclass(frozen=True, slots=True)
class FileEvent:
    """An event of a file: minutes after the service's start, who, and what."""

    at_min: float
    by: Annotated[str, PERSONAL]
    data: EventData


def _event(value: Any) -> Any:
    if not isinstance(value, Mapping) or not isinstance(value.get("kind"), str):
        raise LimitError("", say("limit-event"), value)
    unknown = sorted(set(value) - {"at_min", "by", "kind", "version", "data"})
    if unknown:
        raise LimitError(unknown[0], say("limit-one_of", known=("at_min", "by", "data", "kind", "version")), unknown[0])
    values = value.get("data", {})
    if not isinstance(values, Mapping):
        raise LimitError("data", say("limit-object"), values)
    at_min = check_range("at_min", value.get("at_min"), 0.0, MINUTES_MAX, "min")  # type: ignore[arg-type]
    by = value.get("by")
    if not isinstance(by, str) or not 1 <= len(by) <= 80:
        raise LimitError("by", say("limit-text", most=80), by)
    version = value.get("version")
    if version is not None and (isinstance(version, bool) or not isinstance(version, int)):
        raise LimitError("version", say("limit-whole"), version)
    return FileEvent(at_min, by, data_from_json(value["kind"], values, version))


def _event_to_json(event: FileEvent) -> dict[str, Any]:
    kind = type(event.data).__name__
    return {
        "at_min": event.at_min,
        "by": event.by,
        "kind": kind,
        "version": version_of(kind),
        "data": data_to_json(event.data),
    }


def _event_schema(shared: dict[str, Any]) -> dict[str, Any]:
    """JSON Schema of an event: one of all kinds, each with its own data; what they share goes into `shared`."""
    common = {
        "at_min": {"type": "number", "minimum": 0, "maximum": MINUTES_MAX, "description": "min"},
        "by": {"type": "string", "minLength": 1, "maxLength": 80},
    }
    arms = []
    for kind, data in KINDS.items():
        schema = dict(json_schema(data))
        shared |= schema.pop("$defs", {})
        own: dict[str, Any] = {
            "kind": {"const": kind},
            "version": {"const": version_of(kind)},
            "data": schema,
        }
        required = ["at_min", "by", "kind"] + (["data"] if own["data"].get("required") else [])
        arms.append({"type": "object", "properties": common | own, "required": required, "additionalProperties": False})
    return {"oneOf": arms}


Entry = Annotated[
    FileEvent, BeforeValidator(_event), PlainSerializer(_event_to_json), WithJsonSchema({"type": "object"})
]


@dataclass(frozen=True, slots=True)
@contract
class FileEye:
    """What is known of an eye in one way of reading.

    Args:
        by: whose, as events tell it. bias: levels it reads too light, -2 to 2; bias_std: how sure that is.
        spread: of its readings, levels, before rounding. pairs: that taught it.
    """

    by: Annotated[str, Text(80), PERSONAL]
    mode: ReadingMode
    bias: Annotated[Number, Within(-2.0, 2.0, "levels")] = 0.0
    bias_std: Annotated[Number, Within(0.0, 2.0, "levels")] = EYE_BIAS_STD
    spread: Annotated[Number, Within(0.05, 2.0, "levels")] | None = None
    pairs: Annotated[Whole, Within(0, 100000)] = 0

    @property
    def eye(self) -> Eye:
        """As the belief has it; a spread that is not told is the way of reading's own."""
        return Eye(self.bias, self.bias_std, mode_std(self.mode) if self.spread is None else self.spread, self.pairs)


@dataclass(frozen=True, slots=True)
@contract
class ServiceFile:
    """Everything a service file holds. Shelf parts may be empty when the file is to be read into a studio.

    Args:
        strands: tests, each with its lightener's key; lighteners beside the service's own, of strands
            and zones, are `other_lighteners`.
        pace, weakest: how fast the studio's hands are, and its weakest developers; the plan is made with them.
        toner_idea: key of the shade in mind, or None. eyes: what is known of those who read; of others nothing.
        events: of the log, in order.
    """

    client: Annotated[str, Text(80), PERSONAL]
    wish: Annotated[str, Text(2000, is_optional=True), PERSONAL] = ""
    kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE
    tone: Tone = Tone.NEUTRAL
    wanted_level: Level | None = None
    findings: Findings = field(default_factory=Findings)
    zones: Annotated[tuple[Zone, ...], Count(0, 60, "zones")] = ()
    strands: Annotated[tuple[ToldStrand, ...], Count(0, STRANDS_MAX, "strands")] = ()
    lightener: Lightener | None = None
    other_lighteners: Annotated[tuple[Lightener, ...], Count(0, 12, "lighteners")] = ()
    developers: Annotated[tuple[Developer, ...], Count(0, 40, "developers")] = ()
    toners: Annotated[tuple[TonerShade, ...], Count(0, 200, "toners")] = ()
    plan: PlanChoice = field(default_factory=PlanChoice)
    pace: Paces = USUAL_PACE
    weakest: WeakestVolumes = field(default_factory=WeakestVolumes)
    toner_idea: Key | None = None
    eyes: Annotated[tuple[FileEye, ...], Count(0, 60, "eyes")] = ()
    events: Annotated[tuple[Entry, ...], Count(0, 3000, "events")] = ()
    format: Literal["fervens-service"] = FORMAT
    version: Literal[4] = VERSION

    def __post_init__(self) -> None:
        for name in ("zones", "strands"):
            keys = [x.key for x in getattr(self, name)]
            for i, key in enumerate(keys):
                if key in keys[:i]:
                    raise LimitError(f"{name}[{i}].key", say("limit-different_from_others", name=name), key)
        for i, zone in enumerate(self.zones):
            for name, key in lighteners_named(zone):
                if self.lightener is not None and key not in self._lighteners:
                    limit = say("limit-one_of", known=tuple(self._lighteners))
                    raise LimitError(f"zones[{i}].{name}", limit, key)
        known = [z.key for z in self.zones]
        for key, lightener in self.plan.lighteners.items():
            if self.lightener is not None and lightener not in self._lighteners:
                raise LimitError(
                    f"plan.lighteners.{key}", say("limit-one_of", known=tuple(self._lighteners)), lightener
                )
        for name in (*OF_LANES, "round_starts"):
            for key in getattr(self.plan, name):
                if key.split(".")[0] not in known:
                    raise LimitError(f"plan.{name}", say("limit-one_of_zones", known=tuple(known)), key)
        for i, strand in enumerate(self.strands):
            try:
                strand.strand(self._lighteners, self.lightener)
            except LimitError as error:
                raise LimitError(f"strands[{i}].{error.field}", error.limit, error.value) from None

    @property
    def _lighteners(self) -> dict[str, Lightener]:
        return {x.key: x for x in (*self.other_lighteners, *((self.lightener,) if self.lightener else ()))}

    @property
    def tested(self) -> tuple[Strand, ...]:
        """The strands with their lighteners."""
        return tuple(s.strand(self._lighteners, self.lightener) for s in self.strands)

    def plan_request(self) -> PlanRequest:
        """What the plan is made from. Raises LimitError when the file has no lightener or no developer."""
        if self.lightener is None:
            raise LimitError("lightener", say("limit-given_to_plan"), None)
        return PlanRequest(
            zones=self.head,
            lightener=self.lightener,
            bottles=self.developers,
            choice=self.plan,
            strands=self.tested,
            elasticity=self.findings.elasticity,
            others=self.other_lighteners,
            weakest=self.weakest,
            pace=self.pace,
        )

    @property
    def head(self) -> tuple[Zone, ...]:
        """The zones as they are worked: those of a hair piece have no scalp."""
        return as_hair_piece(self.zones) if self.findings.is_hair_piece else self.zones


def lighteners_named(zone: Zone) -> list[tuple[str, str]]:
    """Lighteners that a zone, its pieces or a part names, each with its path."""
    kinds: list[tuple[str, Zone | Pieces]] = [("", zone), *([("pieces.", zone.pieces)] if zone.pieces else [])]
    told = [(f"{at}lightener", kind.lightener) for at, kind in kinds]
    told += [(f"{at}parts[{i}].lightener", p.lightener) for at, kind in kinds for i, p in enumerate(kind.parts)]
    return [(path, key) for path, key in told if key is not None]


def with_lighteners(zone: Zone, keys: Mapping[str, str]) -> Zone:
    """A zone with other keys for the lighteners it, its pieces and its parts name: those of another shelf."""

    def named(part: PartOrPieces) -> PartOrPieces:
        return replace(part, lightener=None if part.lightener is None else keys.get(part.lightener, part.lightener))

    def whole(kind: KindOfHair) -> KindOfHair:
        return replace(named(kind), parts=tuple(named(p) for p in kind.parts))

    return replace(whole(zone), pieces=whole(zone.pieces) if zone.pieces else None)


def _upcast(document: Mapping[str, Any]) -> dict[str, Any]:
    """An older file as one of today's; what is not as it should be is left for the reader to refuse."""
    found = dict(document) | {"version": VERSION}
    if document.get("version") in (1, 2):
        found = _from_two(found)
    if isinstance(found.get("plan"), Mapping):
        found["plan"] = choice_in_visits(found["plan"])
    if isinstance(found.get("events"), list):
        found["events"] = [_taken(e) for e in found["events"]]
    return found


def _taken(event: Any) -> Any:
    """An event of an older file that does not say its version: a plan that was taken had waves."""
    if isinstance(event, Mapping) and event.get("kind") == "PlanTaken" and event.get("version") is None:
        return {"version": 1, **{k: v for k, v in event.items() if k != "version"}}
    return event


def choice_in_visits(choice: Mapping[str, Any]) -> dict[str, Any]:
    """What was chosen for a plan of waves, as today's planner takes it.

    Lines become visits, and zones that began a wave after the first part the head on purpose.
    """
    found = dict(choice)
    lines, starts = found.pop("finish_mins", None), found.pop("wave_starts", None)
    if lines and "visit_mins" not in found:
        found["visit_mins"] = lines
    if isinstance(starts, list) and len(starts) > 1 and "round_starts" not in found:
        found["round_starts"] = starts[1:]
    return found


def _from_two(document: dict[str, Any]) -> dict[str, Any]:
    """A file of version 1 or 2 with what version 3 had."""
    found = dict(document)
    if isinstance(found.get("zones"), list):
        found["zones"] = [zone_in_parts(_unsaid(z, "is_on_scalp")) for z in found["zones"]]
    if "strand_lighteners" in found:
        found["other_lighteners"] = found.pop("strand_lighteners")
    if isinstance(found.get("toners"), list):
        found["toners"] = [_washed(x) for x in found["toners"]]
    if isinstance(found.get("developers"), list):
        found["developers"] = [_meant(x) for x in found["developers"]]
    if isinstance(found.get("events"), list):
        found["events"] = [{"version": 1, **e} if isinstance(e, Mapping) else e for e in found["events"]]
    plan = found.get("plan")
    if isinstance(plan, Mapping):
        kept = dict(plan)
        line, idea = kept.pop("finish_min", None), kept.pop("toner_idea", None)
        if line is not None and not kept.get("finish_mins"):
            kept["finish_mins"] = [line]
        found |= {"plan": kept, "toner_idea": idea}
    findings = found.get("findings")
    if isinstance(findings, Mapping):
        told = dict(_unsaid(findings, "has_reacted_before"))
        if "has_reacted_before" in told:
            told["reacts_to_oxidative"] = told.pop("has_reacted_before")
        found["findings"] = told
    return found


def zone_in_parts(zone: Any) -> Any:
    """A zone of an older file, with its root and ends as parts from the scalp to the tip."""
    if not isinstance(zone, Mapping) or ("root" not in zone and "ends" not in zone):
        return zone
    found = dict(zone)
    root, ends = found.pop("root", None), found.pop("ends", None)
    length, parts = found.get("length_mm", USUAL_LENGTH_MM), []
    if isinstance(root, Mapping):
        parts.append({"from_mm": 0.0, "to_mm": root.get("length_mm")} | _but_length(root))
    if isinstance(ends, Mapping):
        own = ends.get("length_mm")
        is_number = isinstance(own, int | float) and isinstance(length, int | float)
        parts.append({"from_mm": max(length - own, 0.0) if is_number else own} | _but_length(ends))
    return found | {"parts": parts}


def _but_length(segment: Mapping[str, Any]) -> dict[str, Any]:
    return {k: v for k, v in segment.items() if k != "length_mm"}


def _washed(shade: Any) -> Any:
    """A shade of an older file: what it did not say was usual, and washes had a developer that never belonged there."""
    if not isinstance(shade, Mapping):
        return shade
    if shade.get("is_oxidative") is False:
        return dict(shade) | {"developer_parts": None, "developer_volume": None}
    return {"developer_parts": 1.5, "developer_volume": 7} | dict(shade)


def _meant(bottle: Any) -> Any:
    """A bottle of an older file, which did not say what it is for: weak ones are for toning."""
    if not isinstance(bottle, Mapping) or not isinstance(bottle.get("volume_strength"), int | float):
        return bottle
    return {"use": "toning" if bottle["volume_strength"] < TONER_STRENGTH else "both"} | dict(bottle)


def _unsaid(values: Any, field: str) -> Any:
    """The values with a false that nobody said as null."""
    if isinstance(values, Mapping) and values.get(field) is False:
        return dict(values) | {field: None}
    return values


def read_service_file(document: Any) -> ServiceFile:
    """A service from parsed JSON. Raises CoreError, LimitError naming the path."""
    if not isinstance(document, Mapping):
        raise LimitError("file", say("limit-object"), str(document)[:60])
    if document.get("format") != FORMAT:
        raise LimitError("format", say("limit-one_of", known=(repr(FORMAT),)), document.get("format"))
    version = document.get("version")
    if isinstance(version, bool) or version not in VERSIONS:
        raise LimitError("version", say("limit-versions", known=tuple(str(v) for v in VERSIONS)), version)
    file = read(ServiceFile, document if version == VERSION else _upcast(document))
    return replace(file, findings=replace(file.findings, told_elsewhere=file.wish))


def write_service_file(file: ServiceFile) -> dict[str, Any]:
    """A service as plain JSON values; `read_service_file` gives the same service back."""
    found: dict[str, Any] = plain(file)
    return {"format": FORMAT, "version": VERSION} | found


def service_file_schema() -> dict[str, Any]:
    """JSON Schema (2020-12) of the service file of today's version."""
    own = dict(json_schema(ServiceFile))
    own["required"] = ["format", "version", *own.get("required", [])]
    own["properties"]["events"]["items"] = _event_schema(own["$defs"])
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": "Fervens service file",
        **own,
    }
