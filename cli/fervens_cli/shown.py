"""Answers as a person reads them on a terminal, in the language its environment names."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from functools import partial
from typing import Any

from fervens_core.base import Message, say, term
from fervens_core.colour import Undertone
from fervens_core.head import DyeFamily, Part, lane_label
from fervens_words import DEFAULT, METRIC, US, languages, plainly, tell, tongue, words

Tell = Callable[[Message], str]


def language_of(environment: Mapping[str, str]) -> str:
    """The language a terminal is read in, as POSIX says it: LC_ALL, else LC_MESSAGES, else LANG; of those there are.

    Weights are told in ounces and lengths in inches where LC_ALL, LC_MEASUREMENT or LANG, in this order, names the US.
    """
    named = next((v for v in map(environment.get, ("LC_ALL", "LC_MESSAGES", "LANG")) if v), "")
    code = named.split(".")[0].split("_")[0].lower()
    measured = next((v for v in map(environment.get, ("LC_ALL", "LC_MEASUREMENT", "LANG")) if v), "")
    is_us = measured.split(".")[0].upper().endswith("_US")
    return tongue(code if code in languages() else DEFAULT, US if is_us else METRIC)


def show(command: str, answer: Any, language: str) -> list[str]:
    """The lines of a command's answer."""
    return _SHOWS[command](plainly(answer), partial(tell, spoken=language), language)


def _curve(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    head = f"{told(say('cli-min')):>5}  {told(say('cli-level')):>5}  {told(say('cli-colour'))}"
    return [head, *(f"{p['minute']:5g}  {p['level']:5.1f}  {p['hex']}" for p in result["points"])]


def _neutralise(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    ranked = [(told(term(DyeFamily(n["family"]))), n["chroma"]) for n in result["ranking"]]
    return [
        told(say("cli-undertone", undertone=Undertone(result["undertone"]))),
        *(f"  {family:<8} {chroma:5.1f}" for family, chroma in ranked),
    ]


def _called(lane: dict[str, Any], language: str) -> str:
    at_mm = lane["at_mm"] and (lane["at_mm"][0], lane["at_mm"][1])
    return words(lane_label(lane["name"], Part(lane["part"]), piece=lane["piece"], at_mm=at_mm), language)


def _plan(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    names = {x["key"]: _called(x, language) for x in result["lanes"]}
    strengths = told(say("list-and", items=tuple(f"{v:g}" for v in result["strengths"]))) if result["strengths"] else ""
    lines = [
        told(
            say(
                "cli-plan",
                aim=say(f"cli-aim_{result['aim']}"),
                last=result["last_rinse_min"],
                chair=result["chair_min"],
                strengths=strengths or say("cli-no_strength"),
                bowls=len(result["bowls"]),
            )
        ),
        *_schedule(result, told, language),
        *("  " + told(say("cli-left_out", lane=_called(x, language), why=x["reason"])) for x in result["left_out"]),
    ]
    if result["again"]:
        lines += [told(say("cli-again")), *_schedule(result["again"], told, language)]
    lines.append(told(say("cli-mixing_list")))
    for b in result["bowls"]:
        pours = [
            told(say("cli-pour", grams=p["mass_g"], volume=p["volume_strength"])) for p in b["developers"]
        ]  # fmt: skip
        said = say(
            "cli-bowl",
            at=b["at_min"],
            grams=b["lightener_g"],
            lightener=b["lightener"],
            pours=" + ".join(pours),
            lanes=tuple(names[k] for k in b["lanes"]),
        )
        lines.append("  " + told(said))
    return lines


def _moment(minute: float | None) -> Message | str:
    return say("cli-never") if minute is None else f"{minute:.0f}"


def _schedule(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    lines = []
    for visit in result["basin_visits"]:
        lines.append(told(say("cli-visit", number=visit["number"], at=visit["at_min"])))
        for x in result["lanes"]:
            if x["visit"] != visit["number"]:
                continue
            early, likely, late = map(_moment, x["ready_min"])
            said = say(
                "cli-lane",
                lane=_called(x, language),
                volume=x["volume_strength"],
                start=x["start_min"],
                end=x["end_min"],
                early=early,
                likely=likely,
                late=late,
                ending=x["ending"],
                rinse=x["rinse_min"],
                wall=x["wall_min"],
                level=x["level_at_rinse"],
            )
            lines.append("  " + told(said))
            lines += ["      " + told(m) for m in (x["reason"], x["note"]) if m]
    return lines


def _tone(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    lines = [told(result["blocked"])] if result["blocked"] else []
    for b in result["bowls"]:
        volume = b["developer_volume"]
        mixed = say("cli-neat") if volume is None else say("cli-pour", grams=b["developer_g"], volume=volume)
        shades = " + ".join(f"{s['share']:.0%} {s['key']}" for s in b["shades"])
        lines.append(told(say("cli-tone_bowl", number=b["number"], grams=b["shade_g"], shades=shades, mixed=mixed)))
    for p in result["parts"]:
        if p["bowl"] is not None:
            said = say(
                "cli-tone_part",
                part=p["key"], bowl=p["bowl"], on=p["on_min"], off=p["off_min"], difference=p["difference"],
            )  # fmt: skip
            lines.append("  " + told(said))
    return lines


def _advise(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    return [
        f"{a['due_min']:7.1f} {told(say('cli-min'))}  {told(a['title'])}"
        + (f" ({told(a['detail'])})" if a["detail"] else "")
        for a in result["acts"]
    ]


def _learn(result: dict[str, Any], told: Tell, language: str) -> list[str]:
    lines = []
    for x in result["lanes"]:
        said = say(
            "cli-learnt",
            lane=x["key"],
            extent=x["extent"],
            rate=x["rate"],
            early=_moment(x["early_min"]),
            late=_moment(x["late_min"]),
            odd="misfit" if x["is_misfit"] else "stray" if x["is_stray"] else "none",
        )
        lines.append(told(said))
        lines += [
            f"    {b['minute']:5g} {told(say('cli-min'))}  {b['low']:.1f}  {b['likely']:.1f}  {b['high']:.1f}"
            for b in x["bands"]
        ]
    return lines


_SHOWS: dict[str, Callable[[dict[str, Any], Tell, str], list[str]]] = {
    "curve": _curve,
    "neutralise": _neutralise,
    "plan": _plan,
    "tone": _tone,
    "advise": _advise,
    "learn": _learn,
}
