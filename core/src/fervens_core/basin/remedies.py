"""Where schools differ: a rest of old dye, ends that hold ash, and what a porosity probe moved."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Bools, Message, say
from fervens_core.basin.parts import TonePart
from fervens_core.colour import delta_e_2000, seen_hex
from fervens_core.head import DyeFamily, DyeHue, Tone
from fervens_core.toning import (
    Goal,
    Match,
    Result,
    SessionTone,
    ToneShelf,
    Wish,
    cool_share,
    first_pass,
    goal_of,
    match,
    sketch,
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


LOOKED_AT = 24
"""So many formulas that the quick pass finds best are worked out whole."""


def _best(result: Result, shelf: ToneShelf, among: Bools, goal: Goal) -> Match | None:
    """The best of some of a shelf's formulas on a part: the quick pass over all, then the best of those whole."""
    rows = np.flatnonzero(among)
    if rows.size > LOOKED_AT:
        costs = first_pass(shelf, sketch(result, shelf), goal).min(axis=1)[rows]
        rows = rows[np.argsort(costs, kind="stable")[:LOOKED_AT]]
    return min((match(result, shelf.formulas[int(k)], goal) for k in rows), key=lambda m: m.cost, default=None)


def remedies_of(tone_part: TonePart, tone_parts: Sequence[TonePart], shelf: ToneShelf) -> tuple[Remedy, ...]:
    """Ways to meet what is left of a dye, each with where it ends: the schools differ, so all are shown."""
    rest, result, wish = tone_part.result.rest, tone_part.result, tone_part.wish
    if rest is None or tone_part.part or tone_part.read.lane.grab is not None:
        return ()
    if rest in (DyeHue.GREEN, DyeHue.BLUE):
        red = shelf.dyes[:, list(DyeFamily).index(DyeFamily.RED)] >= COUNTER_RED_LEAST
        countered = _best(result, shelf, red, goal_of(result, wish))
        deeper = Wish(Tone.NEUTRAL, max(min(wish.level, result.level) - 1.5, 1.0))
        plain = (shelf.levels <= result.level - 0.5) & ~red
        buried = _best(result, shelf, plain, goal_of(result, deeper))
        found = [(say("remedy-counter"), countered), (say("remedy-deeper"), buried)]
        return tuple(_way(title, result, m, wish, tone_part.tone) for title, m in found if m)
    if rest is not DyeHue.VIOLET:
        return ()
    singles = shelf.is_single
    ways = []
    drawn = replace(result, rest=None, rest_amount=0.0)
    after_it = _best(drawn, shelf, singles, goal_of(drawn, wish))
    if after_it:
        ways.append(_way(say("remedy-draw_out"), drawn, after_it, wish, tone_part.tone))
    warm = _best(result, shelf, shelf.cool_shares <= WARMING_COOL_MOST, goal_of(result, wish))
    if warm:
        ways.append(_way(say("remedy-warm"), result, warm, wish, tone_part.tone))
    toward = []
    for other in tone_parts:
        if other is not tone_part and not other.part and other.result.rest is None:
            as_these = Wish(wish.tone, result.level, lab=tuple(result.lab.tolist()))
            there = _best(other.result, shelf, singles, goal_of(other.result, as_these))
            if there:
                toward.append(_way(say("remedy-toward_ends"), other.result, there, as_these, other.tone))
    if toward:
        ways.append(replace(toward[0], gained_l=float(np.mean([w.gained_l for w in toward]))))
    return tuple(ways)


COUNTER_RED_LEAST = 0.2
"""[MODEL] what counters a green rest has at least so much red among its dye."""
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
