"""Where schools differ: a rest of old dye, ends that hold ash, and what a porosity probe moved."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Message, say
from fervens_core.basin.parts import TonePart
from fervens_core.colour import delta_e_2000, seen_hex
from fervens_core.head import DyeFamily, DyeHue, Tone
from fervens_core.toning import (
    Formula,
    Goal,
    Match,
    Result,
    SessionTone,
    ToneShelf,
    Wish,
    cool_share,
    dye_shares,
    goal_of,
    match,
)


@dataclass(frozen=True, slots=True)
class Remedy:
    """One of two ways to meet a rest of dye, or ends that hold ash; `gained_l` is L* gained by it, or lost."""

    title: Message
    formula_name: str
    hex: str
    delta_e: float
    gained_l: float


def _way(title: Message, result: Result, found: Match, wish: Wish, beside: SessionTone | None) -> Remedy:
    gained = found.lab[0] - (beside.lab[0] if beside else float(result.lab[0]))
    away = float(delta_e_2000(np.array(found.lab), wish.wanted))
    return Remedy(title, found.formula.name, seen_hex(found.lab), away, gained)


def _best(result: Result, formulas: Sequence[Formula], goal: Goal) -> Match | None:
    return min((match(result, f, goal) for f in formulas), key=lambda m: m.cost, default=None)


def remedies_of(tone_part: TonePart, tone_parts: Sequence[TonePart], shelf: ToneShelf) -> tuple[Remedy, ...]:
    """Ways to meet what is left of a dye, each with where it ends: the schools differ, so all are shown."""
    rest, result, wish = tone_part.result.rest, tone_part.result, tone_part.wish
    if rest is None or tone_part.part or tone_part.read.lane.grab is not None:
        return ()
    if rest in (DyeHue.GREEN, DyeHue.BLUE):
        red = [f for f in shelf.formulas if dye_shares(f).get(DyeFamily.RED, 0.0) >= 0.2]
        countered = _best(result, red, goal_of(result, wish))
        deeper = Wish(Tone.NEUTRAL, max(min(wish.level, result.level) - 1.5, 1.0))
        plain = [f for f in shelf.formulas if f.level <= result.level - 0.5 and f not in red]
        buried = _best(result, plain, goal_of(result, deeper))
        found = [(say("remedy-counter"), countered), (say("remedy-deeper"), buried)]
        return tuple(_way(title, result, m, wish, tone_part.tone) for title, m in found if m)
    if rest is not DyeHue.VIOLET:
        return ()
    singles = [f for f in shelf.formulas if len(f.shades) == 1]
    ways = []
    drawn = replace(result, rest=None, rest_amount=0.0)
    after_it = _best(drawn, singles, goal_of(drawn, wish))
    if after_it:
        ways.append(_way(say("remedy-draw_out"), drawn, after_it, wish, tone_part.tone))
    warming = [f for f in shelf.formulas if cool_share(f) <= WARMING_COOL_MOST]
    warm = _best(result, warming, goal_of(result, wish))
    if warm:
        ways.append(_way(say("remedy-warm"), result, warm, wish, tone_part.tone))
    toward = []
    for other in tone_parts:
        if other is not tone_part and not other.part and other.result.rest is None:
            as_these = Wish(wish.tone, result.level, lab=tuple(result.lab.tolist()))
            there = _best(other.result, singles, goal_of(other.result, as_these))
            if there:
                toward.append(_way(say("remedy-toward_ends"), other.result, there, as_these, other.tone))
    if toward:
        ways.append(replace(toward[0], gained_l=float(np.mean([w.gained_l for w in toward]))))
    return tuple(ways)


WARMING_COOL_MOST = 0.4
"""[MODEL] what warms has at most so much violet or ash among its dye."""


def probe_changes(tone_parts: Sequence[TonePart], before: Mapping[str, SessionTone]) -> dict[str, Message]:
    """What a porosity probe moved, by lane key: the formula before and after it."""
    found = {}
    for tone_part in tone_parts:
        old, new = before.get(tone_part.id), tone_part.tone
        if old is None or new is None:
            continue
        moved = {"before": old.formula.name, "minutes_before": old.minutes, "minutes": new.minutes}
        if old.formula.key == new.formula.key:
            found[tone_part.id] = say("probe-same", **moved)
            continue
        found[tone_part.id] = say(
            "probe-moved",
            **moved,
            now=new.formula.name,
            ash_before=cool_share(old.formula),
            ash=cool_share(new.formula),
            warm_before=1.0 - cool_share(old.formula),
            warm=1.0 - cool_share(new.formula),
        )
    return found
