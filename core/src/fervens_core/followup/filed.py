"""A filed service as it is kept with it: what every lane and toner came to. Declared once; docs/models/learnt.md."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Annotated, Any, Literal

from fervens_core.base import (
    PERSONAL,
    Count,
    Flag,
    Level,
    LimitError,
    Message,
    Number,
    Text,
    Whole,
    Within,
    contract,
    read,
    say,
)
from fervens_core.head import History, Part, Porosity, Reach, ReadingMode, Thickness, Tone, lane_label

VERSION: Literal[2] = 2
LANES_MAX = 240
READINGS_KEPT = 20

Amount = Annotated[Number, Within(-1e6, 1e6)]
Factor = Annotated[Number, Within(0.05, 20.0)]
Words = Annotated[str, Text(200, is_optional=True)]


@dataclass(frozen=True, slots=True)
@contract
class FiledReading:
    """A reading while a lane lifted: min from its last section."""

    minute: Amount
    level: Level
    mode: ReadingMode


@dataclass(frozen=True, slots=True)
@contract
class FiledLane:
    """A lane as it ran.

    Args:
        zone: its zone's name. before, target, level: levels; level None when it was not rinsed. volume: vol.
        minutes: from its last section to the rinse; applied_min: of its application, min.
        contact_min, volume_min: contact load. history, thickness, porosity: of its hair, as learning groups it.
        extent, rate: learnt; log_extent, log_rate: beside what was expected, natural log.
        mixed_g, wasted_g: of its bowls. piece, at_mm: which kind, and where, of a zone of two kinds or bands.
        lightener: name of its own product, empty for the service's. product_extent, product_rate: factors of it that
            were expected then; None in older ones.
    """

    key: Annotated[str, Text(80)]
    zone_key: Annotated[str, Text(80)]
    zone: Annotated[str, Text(80)]
    part: Part
    is_again: Flag
    before: Level
    target: Level
    level: Level | None
    is_read: Flag
    before_hex: Words
    level_hex: Words
    volume: Amount
    minutes: Amount | None
    applied_min: Amount | None
    foils: Whole
    applications: Annotated[Whole, Within(1, 20)]
    contact_min: Amount
    volume_min: Amount
    history: History
    thickness: Thickness
    porosity: Porosity
    log_extent: Amount
    log_rate: Amount
    extent: Factor
    rate: Factor
    is_past_wall: Flag
    mixed_g: Amount
    wasted_g: Amount
    readings: Annotated[tuple[FiledReading, ...], Count(0, READINGS_KEPT, "readings")] = ()
    piece: Words = ""
    at_mm: Reach | None = None
    lightener: Words = ""
    product_extent: Factor | None = None
    product_rate: Factor | None = None

    @property
    def label(self) -> Message | str:
        """What to call it."""
        return lane_label(self.zone, self.part, piece=self.piece, at_mm=self.at_mm, is_again=self.is_again)


@dataclass(frozen=True, slots=True)
@contract
class FiledToner:
    """A toner as it was left on; `wanted` is the tone that was wished for."""

    zone: Annotated[str, Text(80)]
    part: Part
    is_again: Flag
    is_shadow: Flag
    formula: Words
    minutes: Amount
    product_g: Amount
    developer_g: Amount
    hex: Words
    wanted: Tone | None
    piece: Words = ""
    at_mm: Reach | None = None

    @property
    def label(self) -> Message | str:
        """What to call its lane."""
        return lane_label(
            self.zone,
            self.part,
            piece=self.piece,
            at_mm=self.at_mm,
            is_again=self.is_again,
            is_shadow=self.is_shadow,
        )


@dataclass(frozen=True, slots=True)
@contract
class Filed:
    """A filed service: what worked and what to change, its lightener as it was then, its lanes and toners."""

    worked: Annotated[Annotated[str, Text(2000, is_optional=True)], PERSONAL] = ""
    change: Annotated[Annotated[str, Text(2000, is_optional=True)], PERSONAL] = ""
    lightener_key: Words = ""
    lightener_name: Words = ""
    lift_factor: Annotated[Number, Within(0.5, 1.2)] = 1.0
    lanes: Annotated[tuple[FiledLane, ...], Count(0, LANES_MAX, "lanes")] = ()
    toners: Annotated[tuple[FiledToner, ...], Count(0, LANES_MAX, "toners")] = ()
    version: Literal[2] = VERSION


_KINDS = {
    f"{h.value.replace('_', ' ')}, {t.value}, porosity {p.value}": {"history": h, "thickness": t, "porosity": p}
    for h in History
    for t in Thickness
    for p in Porosity
}
"""How version 1 wrote a kind of hair."""


def _name(row: dict[str, Any], part: str) -> str:
    """A zone's own name from a lane's, as version 1 wrote it."""
    name = str(row.pop("name", "")).removesuffix(", root shadow").removesuffix(" again")
    return name if part == Part.WHOLE.value else name.removesuffix(f" {part}")


def _lane_of_version_1(row: Mapping[str, Any]) -> dict[str, Any]:
    found = dict(row)
    part = str(found.get("part", Part.WHOLE.value))
    hair = found.pop("hair", None)
    kind = _KINDS.get(hair) if isinstance(hair, str) else None
    if kind is None:
        raise LimitError("hair", say("limit-as_kept"), str(hair)[:40])
    readings = found.get("readings", [])
    if isinstance(readings, list) and all(isinstance(r, list) and len(r) == 3 for r in readings):
        found["readings"] = [{"minute": m, "level": level, "mode": mode} for m, level, mode in readings]
    key = str(found.get("key", ""))
    zone = _name(found, part)
    return {"applications": 1, **found, **kind, "zone": zone, "is_again": key.endswith(".again")}


def _toner_of_version_1(row: Mapping[str, Any]) -> dict[str, Any]:
    found = dict(row)
    told = str(found.get("name", ""))
    part = next((p.value for p in Part if told.removesuffix(", root shadow").endswith(f" {p.value}")), "whole")
    own = {"part": part, "is_again": " again" in told, "is_shadow": told.endswith(", root shadow")}
    zone = _name(found, part)
    return found | own | {"zone": zone, "wanted": found.get("wanted") or None}


def read_filed(values: Any, within: str = "") -> Filed:
    """A filed service from plain JSON, older versions upcast.

    Args:
        within: its path, for errors.
    Raises:
        LimitError: naming the path, the limit and the value.
    """
    if isinstance(values, Mapping) and values.get("version", 1) == 1:
        found = dict(values) | {"version": VERSION}
        for name, upcast in (("lanes", _lane_of_version_1), ("toners", _toner_of_version_1)):
            rows = found.get(name)
            if isinstance(rows, list) and all(isinstance(x, Mapping) for x in rows):
                found[name] = [upcast(x) for x in rows]
        values = found
    return read(Filed, values, within)
