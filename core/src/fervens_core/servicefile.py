"""The open service file: one service as plain JSON. docs/format/service-file.md.

Reading is strict: a bad field is named by its path, with its limit and its value; nothing is guessed.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from typing import Any, TypeVar

from fervens_core.errors import CoreError, LimitError
from fervens_core.events import EventData, data_from_json
from fervens_core.hair import Covering, Hair, History, Porosity, Thickness, Zone
from fervens_core.plan import Plan, PlanRequest
from fervens_core.products import Developer, DyeFamily, Lightener, TonerShade
from fervens_core.quantities import Ratio, check_range, check_text
from fervens_core.safety import Elasticity, Findings, Scalp, TestResult
from fervens_core.toner import Tone

FORMAT = "fervens-service"
VERSION = 1
_E = TypeVar("_E", bound=StrEnum)


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
    finish_min: float | None
    volumes: dict[str, float]
    has_additive: bool
    events: tuple[FileEvent, ...]

    def plan_request(self) -> PlanRequest:
        """What the plan is made from. Raises LimitError when the file has no lightener or no developer."""
        if self.lightener is None:
            raise LimitError("lightener", "given in a file that is to be planned", None)
        return PlanRequest(
            zones=self.zones,
            lightener=self.lightener,
            bottles=self.developers,
            finish_min=self.finish_min,
            volumes=self.volumes,
            has_additive=self.has_additive,
        )


class _Reader:
    """One JSON object, read field by field; every error names the path."""

    def __init__(self, values: Any, path: str) -> None:
        if not isinstance(values, Mapping):
            raise LimitError(path or "file", "a JSON object", _short(values))
        self.values, self.path = values, path
        self.asked: set[str] = set()

    def at(self, name: str) -> str:
        return f"{self.path}.{name}" if self.path else name

    def raw(self, name: str, default: Any = None) -> Any:
        self.asked.add(name)
        return self.values.get(name, default)

    def text(self, name: str, default: str | None = None, longest: int = 80) -> str:
        value = self.raw(name, default)
        if default == "" and value == "":
            return ""
        return check_text(self.at(name), value, longest)

    def number(self, name: str, low: float, high: float, default: float | None = None, unit: str = "") -> float:
        value = self.raw(name, default)
        return check_range(self.at(name), value, low, high, unit)

    def flag(self, name: str, default: bool = False) -> bool:
        value = self.raw(name, default)
        if not isinstance(value, bool):
            raise LimitError(self.at(name), "true or false", _short(value))
        return value

    def choice(self, name: str, kind: type[_E], default: _E) -> _E:
        value = self.raw(name, default.value)
        if value not in [m.value for m in kind]:
            raise LimitError(self.at(name), f"one of {', '.join(m.value for m in kind)}", _short(value))
        return kind(value)

    def objects(self, name: str, most: int) -> list[_Reader]:
        value = self.raw(name, [])
        if not isinstance(value, list) or len(value) > most:
            raise LimitError(self.at(name), f"a list of at most {most}", _short(value))
        return [_Reader(v, f"{self.at(name)}[{i}]") for i, v in enumerate(value)]

    def done(self) -> None:
        unknown = sorted(set(self.values) - self.asked)
        if unknown:
            raise LimitError(self.at(str(unknown[0])), f"one of {', '.join(sorted(self.asked))}", unknown[0])


def _short(value: Any) -> Any:
    text = repr(value)
    return value if len(text) <= 60 else text[:57] + "..."


def _zone(r: _Reader) -> Zone:
    hair = Hair(
        start_level=r.number("start_level", 1, 10, unit="(level)"),
        history=r.choice("history", History, History.VIRGIN),
        thickness=r.choice("thickness", Thickness, Thickness.MEDIUM),
        porosity=r.choice("porosity", Porosity, Porosity.NORMAL),
    )
    target = r.number("target_level", 1, 10, unit="(level)")
    if target < hair.start_level:
        raise LimitError(r.at("target_level"), f"at or above start_level {hair.start_level:g}", target)
    foils = r.number("foil_count", 1, 60, 6, "sections")
    if foils != int(foils):
        raise LimitError(r.at("foil_count"), "a whole number from 1 to 60", foils)
    zone = Zone(
        key=r.text("key", longest=40),
        name=r.text("name", longest=60),
        hair=hair,
        target_level=target,
        foil_count=int(foils),
        pace_min_per_foil=r.number("pace_min_per_foil", 0.3, 6, 1.2, "min"),
        covering=r.choice("covering", Covering, Covering.FOIL),
        is_delicate=r.flag("is_delicate"),
        is_on_scalp=r.flag("is_on_scalp"),
    )
    r.done()
    return zone


def _lightener(r: _Reader) -> Lightener:
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
    )
    r.done()
    return made


def _developer(r: _Reader) -> Developer:
    made = Developer(
        key=r.text("key", longest=40),
        name=r.text("name"),
        volume_strength=r.number("volume_strength", 0.5, 40, unit="vol"),
    )
    r.done()
    return made


def _toner(r: _Reader) -> TonerShade:
    dyes = r.raw("dyes", {})
    if not isinstance(dyes, Mapping):
        raise LimitError(r.at("dyes"), "an object of dye families and shares", _short(dyes))
    for family in dyes:
        if family not in [f.value for f in DyeFamily]:
            raise LimitError(r.at("dyes"), f"made of {', '.join(f.value for f in DyeFamily)}", family)
    longest = r.number("label_max_min", 1, 60, unit="min")
    shares = tuple((DyeFamily(f), check_range(r.at(f"dyes.{f}"), v, 0, 1)) for f, v in dyes.items())
    if abs(sum(v for _, v in shares) - 1.0) > 0.005:
        raise LimitError(r.at("dyes"), "shares that sum to 1", round(sum(v for _, v in shares), 4))
    made = TonerShade(
        key=r.text("key", longest=40),
        name=r.text("name"),
        level=r.number("level", 1, 10, unit="(level)"),
        dyes=shares,
        ratio=Ratio(r.number("developer_parts", 0.5, 4, 1.5)),
        developer_volume=r.number("developer_volume", 0.5, 40, 7, "vol"),
        label_max_min=longest,
        label_min_min=r.number("label_min_min", 0.5, longest, min(2.0, longest), "min"),
        is_oxidative=r.flag("is_oxidative", True),
    )
    r.done()
    return made


def _findings(r: _Reader) -> Findings:
    age = r.raw("age_years")
    patch_age = r.raw("patch_test_age_h")
    made = Findings(
        scalp=r.choice("scalp", Scalp, Scalp.SOUND),
        elasticity=r.choice("elasticity", Elasticity, Elasticity.RETURNS),
        salts_test=r.choice("salts_test", TestResult, TestResult.NOT_DONE),
        patch_test=r.choice("patch_test", TestResult, TestResult.NOT_DONE),
        patch_test_age_h=None if patch_age is None else check_range(r.at("patch_test_age_h"), patch_age, 0, 87600, "h"),
        has_reacted_before=r.flag("has_reacted_before"),
        age_years=None if age is None else int(check_range(r.at("age_years"), age, 0, 120, "years")),
    )
    r.done()
    return made


def _event(r: _Reader) -> FileEvent:
    kind = r.raw("kind")
    values = r.raw("data", {})
    if not isinstance(kind, str) or not isinstance(values, Mapping):
        raise LimitError(r.path, "an event with a kind and its data", _short(kind))
    try:
        data = data_from_json(kind, values)
    except CoreError as error:
        raise CoreError(error.code, f"{r.path}.{error.message}") from error
    made = FileEvent(at_min=r.number("at_min", 0, 6000, unit="min"), by=r.text("by"), data=data)
    r.done()
    return made


def read_service_file(document: Any) -> ServiceFile:
    """A service from parsed JSON. Raises CoreError, LimitError naming the path."""
    r = _Reader(document, "")
    if r.raw("format") != FORMAT:
        raise LimitError("format", repr(FORMAT), _short(r.raw("format")))
    if isinstance(r.raw("version"), bool) or r.raw("version") != VERSION:
        raise LimitError("version", f"{VERSION}, the version this program reads", _short(r.raw("version")))
    zones = tuple(_zone(z) for z in r.objects("zones", 60))
    keys = [z.key for z in zones]
    for i, key in enumerate(keys):
        if key in keys[:i]:
            raise LimitError(f"zones[{i}].key", "different from the other zones'", key)
    lightener = r.raw("lightener")
    plan = _Reader(r.raw("plan", {}), "plan")
    finish = plan.raw("finish_min")
    volumes = plan.raw("volumes", {})
    if not isinstance(volumes, Mapping):
        raise LimitError("plan.volumes", "an object of zone keys and volumes", _short(volumes))
    for key in volumes:
        if key not in keys:
            raise LimitError("plan.volumes", f"one of the zones {', '.join(keys)}", key)
    wanted = r.raw("wanted_level")
    made = ServiceFile(
        client_name=r.text("client"),
        wish=r.text("wish", "", 2000),
        tone=r.choice("tone", Tone, Tone.NEUTRAL),
        wanted_level=None if wanted is None else check_range("wanted_level", wanted, 1, 10, "(level)"),
        findings=_findings(_Reader(r.raw("findings", {}), "findings")),
        zones=zones,
        lightener=None if lightener is None else _lightener(_Reader(lightener, "lightener")),
        developers=tuple(_developer(d) for d in r.objects("developers", 40)),
        toners=tuple(_toner(t) for t in r.objects("toners", 200)),
        finish_min=None if finish is None else check_range("plan.finish_min", finish, 1, 600, "min"),
        volumes={k: check_range(f"plan.volumes.{k}", v, 0.5, 40, "vol") for k, v in volumes.items()},
        has_additive=plan.flag("has_additive"),
        events=tuple(_event(e) for e in r.objects("events", 2000)),
    )
    plan.done()
    r.done()
    return made


def plan_to_json(plan: Plan) -> dict[str, Any]:
    """A plan as plain values; infinity (never ready) is null."""

    def finite(value: float) -> float | None:
        return round(value, 3) if value < 1e9 else None

    return {
        "finish_min": plan.finish_min,
        "finish_range_min": list(plan.finish_range_min),
        "contact_load_volume_min": round(plan.contact_load_volume_min, 1),
        "zones": [
            {
                "key": z.zone.key,
                "name": z.zone.name,
                "volume_strength": z.volume_strength,
                "strongest_volume": z.strongest_volume,
                "limit_reason": z.limit_reason,
                "start_min": round(z.start_min, 3),
                "end_min": round(z.end_min, 3),
                "rinse_min": round(z.rinse_min, 3),
                "wall_min": round(z.wall_min, 3),
                "ready_min": [finite(t) for t in z.ready_min],
                "level_at_rinse": round(z.level_at_rinse, 3),
                "reason": z.reason,
                "bowls": [
                    {
                        "lightener_g": round(b.product_g, 1),
                        "developer": [
                            {
                                "name": p.developer.name,
                                "volume_strength": p.developer.volume_strength,
                                "mass_g": round(p.mass_g, 1),
                            }
                            for p in b.pours
                        ],
                    }
                    for b in z.bowls
                ],
            }
            for z in plan.zones
        ],
    }
