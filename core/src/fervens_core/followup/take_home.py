"""What a client takes home: what was done in plain words, how to care for it, what to stop before the next visit."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from fervens_core.colour import undertone


@dataclass(frozen=True, slots=True)
class HandoutPart:
    """A heading and its sentences."""

    title: str
    lines: tuple[str, ...]


def _list(names: Sequence[str]) -> str:
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}"


def _steps(before: float, after: float) -> str:
    gained = after - before
    if gained < 0.75:
        return "a touch"
    words = {1: "one step", 2: "two steps", 3: "three steps", 4: "four steps", 5: "five steps", 6: "six steps"}
    return words.get(round(gained), "several steps")


def handout(
    lifted: Sequence[tuple[str, float, float]],
    *,
    tones: Sequence[str],
    is_short: bool,
    reminder: str | None,
) -> tuple[HandoutPart, ...]:
    """The sheet's parts; no developer, no minutes, no formula.

    Args:
        lifted: (name of the zone, level before, level reached). tones: what was toned toward, in words.
        is_short: some of it goes on at another visit. reminder: what to stop before, or None.
    """
    done = []
    if lifted:
        by_gain: dict[str, list[str]] = {}
        for name, before, after in lifted:
            by_gain.setdefault(_steps(before, after), []).append(name.lower())
        done += [f"We lightened {_list(names)} by {gain}." for gain, names in by_gain.items()]
        palest = max(after for _, _, after in lifted)
        done.append(f"Underneath, the lightest parts are now {undertone(palest).value}.")
    if tones:
        done.append(f"We toned it toward {_list(list(dict.fromkeys(tones)))}.")
    if is_short:
        done.append("It is not where we want it to end yet: the rest comes at another visit, when the hair has rested.")
    care = [
        "Wait 48 hours before the first wash; then wash seldom, lukewarm, with a mild shampoo.",
        "Use a conditioner every time, and a bond or protein treatment once a week for four weeks.",
        "Protect it from heat, sun, chlorine and salt water; dry it gently, comb it from the ends up.",
        "A toner fades over the weeks. If it turns warm, a violet conditioner once a week helps, "
        "until we tell you to stop.",
    ]
    watch = [
        "If the scalp burns, blisters or itches for more than a day, or the face swells: rinse with cool water "
        "and see a doctor.",
        "If hair breaks or stretches like gum when wet: no heat, no colour, and call us.",
    ]
    parts = [HandoutPart("What we did", tuple(done) or ("We looked at your hair and planned together.",))]
    parts += [HandoutPart("How to care for it", tuple(care)), HandoutPart("When to call", tuple(watch))]
    if reminder:
        parts.append(HandoutPart("Before the next visit", (reminder,)))
    return tuple(parts)
