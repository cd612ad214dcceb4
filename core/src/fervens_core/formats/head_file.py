"""Zones, segments, findings, strands and plan choices as plain JSON, both ways. docs/format/service-file.md."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from fervens_core.base import LimitError, check_range
from fervens_core.colour import Undertone
from fervens_core.formats.json_reader import JsonReader, short
from fervens_core.head import (
    USUAL_LENGTH_MM,
    Breakage,
    Covering,
    Density,
    DyeHue,
    Elasticity,
    Findings,
    Hair,
    History,
    HomeCare,
    Lightener,
    Porosity,
    ReadingMode,
    Scalp,
    Segment,
    TestResult,
    Thickness,
    Tone,
    Zone,
)
from fervens_core.lift import READINGS_MAX, Strand, StrandReading
from fervens_core.planning import FINISH_MAX_MIN, MIX_PER_FOIL_G, Aim, BowlStyle, PlanChoice, VolumeStep


def read_hair(r: JsonReader) -> Hair:
    """The hair fields of an object."""
    return Hair(
        start_level=r.number("start_level", 1, 10, unit="(level)"),
        history=r.choice("history", History, History.VIRGIN),
        thickness=r.choice("thickness", Thickness, Thickness.MEDIUM),
        porosity=r.choice("porosity", Porosity, Porosity.NORMAL),
        undertone=r.maybe_choice("undertone", Undertone),
        tint_level=r.maybe("tint_level", 1, 10, "(level)"),
        dye_hue=r.maybe_choice("dye_hue", DyeHue),
        elasticity=r.choice("elasticity", Elasticity, Elasticity.RETURNS),
        breakage=r.choice("breakage", Breakage, Breakage.NONE),
    )


def hair_to_json(hair: Hair) -> dict[str, Any]:
    """The hair fields."""
    return {
        "start_level": hair.start_level,
        "history": hair.history.value,
        "thickness": hair.thickness.value,
        "porosity": hair.porosity.value,
        "undertone": hair.undertone and hair.undertone.value,
        "tint_level": hair.tint_level,
        "dye_hue": hair.dye_hue and hair.dye_hue.value,
        "elasticity": hair.elasticity.value,
        "breakage": hair.breakage.value,
    }


def _segment(r: JsonReader, name: str) -> Segment | None:
    if r.raw(name) is None:
        return None
    part = r.child(name)
    made = Segment(
        hair=read_hair(part),
        length_mm=part.number("length_mm", 1, 300, unit="mm"),
        target_level=part.maybe("target_level", 1, 10, "(level)"),
        is_left_out=part.flag("is_left_out"),
    )
    part.done()
    return made


def _segment_to_json(segment: Segment | None) -> dict[str, Any] | None:
    if segment is None:
        return None
    return hair_to_json(segment.hair) | {
        "length_mm": segment.length_mm,
        "target_level": segment.target_level,
        "is_left_out": segment.is_left_out,
    }


def read_zone(r: JsonReader) -> Zone:
    """A zone as read. Raises LimitError naming the path."""
    hair = read_hair(r)
    target = r.number("target_level", 1, 10, unit="(level)")
    if target < hair.start_level:
        raise LimitError(r.at("target_level"), f"at or above start_level {hair.start_level:g}", target)
    foils = r.number("foil_count", 1, 60, 6, "sections")
    if foils != int(foils):
        raise LimitError(r.at("foil_count"), "a whole number from 1 to 60", foils)
    key = r.text("key", longest=40)
    if "." in key:
        raise LimitError(r.at("key"), "without a dot", key)
    root, ends = _segment(r, "root"), _segment(r, "ends")
    length = r.number("length_mm", 5, 1500, USUAL_LENGTH_MM, "mm")
    taken = sum(s.length_mm for s in (root, ends) if s)
    if taken > length:
        raise LimitError(r.at("length_mm"), f"at least root and ends together, {taken:g} mm", length)
    zone = Zone(
        key=key,
        name=r.text("name", longest=60),
        hair=hair,
        target_level=target,
        foil_count=int(foils),
        pace_min_per_foil=r.number("pace_min_per_foil", 0.1, 6, 1.2, "min"),
        covering=r.choice("covering", Covering, Covering.FOIL),
        is_delicate=r.flag("is_delicate"),
        is_on_scalp=None if r.raw("is_on_scalp") is None else r.flag("is_on_scalp"),
        density=r.choice("density", Density, Density.MEDIUM),
        length_mm=length,
        root=root,
        ends=ends,
        keeps_depth=r.flag("keeps_depth"),
        tone=r.maybe_choice("tone", Tone),
        areas=r.texts("areas", 24, 44),
    )
    r.done()
    return zone


def zone_to_json(zone: Zone) -> dict[str, Any]:
    """A zone; read back by `read_zone` it is the same."""
    return (
        {"key": zone.key, "name": zone.name}
        | hair_to_json(zone.hair)
        | {
            "target_level": zone.target_level,
            "foil_count": zone.foil_count,
            "pace_min_per_foil": zone.pace_min_per_foil,
            "covering": zone.covering.value,
            "is_delicate": zone.is_delicate,
            "is_on_scalp": zone.is_on_scalp,
            "density": zone.density.value,
            "length_mm": zone.length_mm,
            "root": _segment_to_json(zone.root),
            "ends": _segment_to_json(zone.ends),
            "keeps_depth": zone.keeps_depth,
            "tone": zone.tone and zone.tone.value,
            "areas": list(zone.areas),
        }
    )


def read_findings(r: JsonReader) -> Findings:
    """What was found out about the person. Raises LimitError naming the path."""
    care = r.texts("home_care", len(HomeCare), 40)
    for i, value in enumerate(care):
        if value not in [c.value for c in HomeCare]:
            raise LimitError(f"{r.at('home_care')}[{i}]", f"one of {', '.join(c.value for c in HomeCare)}", value)
    age = r.maybe("age_years", 0, 120, "years")
    made = Findings(
        scalp=r.choice("scalp", Scalp, Scalp.SOUND),
        elasticity=r.choice("elasticity", Elasticity, Elasticity.RETURNS),
        salts_test=r.choice("salts_test", TestResult, TestResult.NOT_DONE),
        patch_test=r.choice("patch_test", TestResult, TestResult.NOT_DONE),
        patch_test_age_h=r.maybe("patch_test_age_h", 0, 87600, "h"),
        reacts_to_oxidative=None if r.raw("reacts_to_oxidative") is None else r.flag("reacts_to_oxidative"),
        age_years=None if age is None else int(age),
        allergies=r.text("allergies", "", 500),
        medication=r.text("medication", "", 500),
        home_care=frozenset(HomeCare(c) for c in care),
        is_clarified=r.flag("is_clarified"),
        time_min=r.maybe("time_min", 15, 900, "min"),
        booked_min=r.maybe("booked_min", 15, 900, "min"),
    )
    r.done()
    return made


def findings_to_json(findings: Findings) -> dict[str, Any]:
    """Findings; read back they are the same."""
    return {
        "scalp": findings.scalp.value,
        "elasticity": findings.elasticity.value,
        "salts_test": findings.salts_test.value,
        "patch_test": findings.patch_test.value,
        "patch_test_age_h": findings.patch_test_age_h,
        "reacts_to_oxidative": findings.reacts_to_oxidative,
        "age_years": findings.age_years,
        "allergies": findings.allergies,
        "medication": findings.medication,
        "home_care": sorted(c.value for c in findings.home_care),
        "is_clarified": findings.is_clarified,
        "time_min": findings.time_min,
        "booked_min": findings.booked_min,
    }


def read_strand(r: JsonReader, lighteners: Mapping[str, Lightener], usual: Lightener | None) -> Strand:
    """A strand; its lightener by key, the plan's own when none is named. Raises LimitError naming the path."""
    key = r.raw("lightener_key")
    lightener = usual if key is None else lighteners.get(str(key))
    if lightener is None:
        raise LimitError(r.at("lightener_key"), f"one of {', '.join(lighteners) or 'none given'}", short(key))
    readings = []
    for reading in r.objects("readings", READINGS_MAX):
        readings.append(
            StrandReading(
                minutes=reading.number("minutes", 0, 180, unit="min"),
                level=reading.number("level", 1, 10, unit="(level)"),
                mode=reading.choice("mode", ReadingMode, ReadingMode.WIPED),
            )
        )
        reading.done()
    made = Strand(
        key=r.text("key", longest=40),
        zone_key=r.text("zone_key", "", 40),
        hair=read_hair(r),
        lightener=lightener,
        volume_strength=r.number("volume_strength", 0.5, 40, unit="vol"),
        covering=r.choice("covering", Covering, Covering.FOIL),
        has_additive=r.flag("has_additive"),
        readings=tuple(readings),
        stretch_before_percent=r.maybe("stretch_before_percent", 0, 200, "%"),
        stretch_after_percent=r.maybe("stretch_after_percent", 0, 200, "%"),
    )
    r.done()
    return made


def strand_to_json(strand: Strand) -> dict[str, Any]:
    """A strand; read back with its lightener it is the same."""
    return (
        {"key": strand.key, "zone_key": strand.zone_key, "lightener_key": strand.lightener.key}
        | hair_to_json(strand.hair)
        | {
            "volume_strength": strand.volume_strength,
            "covering": strand.covering.value,
            "has_additive": strand.has_additive,
            "readings": [{"minutes": x.minutes, "level": x.level, "mode": x.mode.value} for x in strand.readings],
            "stretch_before_percent": strand.stretch_before_percent,
            "stretch_after_percent": strand.stretch_after_percent,
        }
    )


def read_choice(r: JsonReader, zone_keys: list[str]) -> PlanChoice:
    """What was chosen for a plan. Raises LimitError naming the path.

    `finish_min` of version 1 stands for the first wave's line.
    """
    old = r.maybe("finish_min", 1, FINISH_MAX_MIN, "min")
    lines = r.raw("finish_mins", [])
    if not isinstance(lines, list) or len(lines) > 60:
        raise LimitError(r.at("finish_mins"), "a list of at most 60", short(lines))
    volumes = r.raw("volumes", {})
    if not isinstance(volumes, Mapping):
        raise LimitError(r.at("volumes"), "an object of lane keys and volumes", short(volumes))
    for key in volumes:
        if str(key).split(".")[0] not in zone_keys:
            raise LimitError(r.at("volumes"), f"one of the zones {', '.join(zone_keys)}", short(key))
    starts = None if r.raw("wave_starts") is None else r.texts("wave_starts", 60, 40)
    for key in starts or ():
        if key not in zone_keys:
            raise LimitError(r.at("wave_starts"), f"one of the zones {', '.join(zone_keys)}", key)
    finishes = tuple(
        check_range(f"{r.at('finish_mins')}[{i}]", v, 1, FINISH_MAX_MIN, "min") for i, v in enumerate(lines)
    )
    made = PlanChoice(
        finish_mins=finishes or (() if old is None else (old,)),
        wave_starts=starts,
        volumes={k: check_range(r.at(f"volumes.{k}"), v, 0.5, 40, "vol") for k, v in volumes.items()},
        has_additive=r.flag("has_additive"),
        aim=r.choice("aim", Aim, Aim.EVEN),
        step=r.choice("step", VolumeStep, VolumeStep.WHOLE),
        bowl_style=r.choice("bowl_style", BowlStyle, BowlStyle.FRESH),
        mix_per_foil_g=r.number("mix_per_foil_g", 1, 40, MIX_PER_FOIL_G, "g"),
    )
    r.done()
    return made


def choice_to_json(choice: PlanChoice) -> dict[str, Any]:
    """A plan's choices; read back they are the same."""
    return {
        "finish_mins": list(choice.finish_mins),
        "wave_starts": None if choice.wave_starts is None else list(choice.wave_starts),
        "volumes": choice.volumes,
        "has_additive": choice.has_additive,
        "aim": choice.aim.value,
        "step": choice.step.value,
        "bowl_style": choice.bowl_style.value,
        "mix_per_foil_g": choice.mix_per_foil_g,
    }
