"""What a client takes home: what was done in plain words, how to care for it, what to stop before the next visit."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from fervens_core.base import Message, all_of, say
from fervens_core.colour import undertone
from fervens_core.head import Tone


@dataclass(frozen=True, slots=True)
class HandoutPart:
    """A heading and its sentences."""

    title: Message
    lines: tuple[Message, ...]


def _steps(before: float, after: float) -> Message:
    gained = after - before
    if gained < 0.75:
        return say("gain-touch")
    return say("gain-steps", count=round(gained)) if gained < 6.5 else say("gain-several")


def handout(
    lifted: Sequence[tuple[Message | str, float, float]],
    *,
    tones: Sequence[Tone],
    is_short: bool,
    reminder: Message | None,
) -> tuple[HandoutPart, ...]:
    """The sheet's parts; no developer, no minutes, no formula.

    Args:
        lifted: (name of the zone, level before, level reached). tones: what was toned toward.
        is_short: some of it goes on at another visit. reminder: what to stop before, or None.
    """
    done = []
    if lifted:
        by_gain: dict[Message, list[Message | str]] = {}
        for name, before, after in lifted:
            by_gain.setdefault(_steps(before, after), []).append(name)
        done += [say("handout-lightened", lanes=all_of(names), gain=gain) for gain, names in by_gain.items()]
        palest = max(after for _, _, after in lifted)
        done.append(say("handout-palest", undertone=undertone(palest)))
    if tones:
        towards = (say(f"handout_tone-{tone.value}") for tone in dict.fromkeys(tones))
        done.append(say("handout-toned", tones=all_of(towards)))
    if is_short:
        done.append(say("handout-short"))
    parts = [
        HandoutPart(say("handout-done"), tuple(done) or (say("handout-nothing_done"),)),
        HandoutPart(say("handout-care"), tuple(say(f"handout-care.{x}") for x in ("wash", "care", "heat", "fades"))),
        HandoutPart(say("handout-watch"), (say("handout-watch.skin"), say("handout-watch.hair"))),
    ]
    if reminder:
        parts.append(HandoutPart(say("handout-before_next"), (reminder,)))
    return tuple(parts)
