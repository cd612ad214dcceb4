"""Where schools differ: a rest of old dye, ends that hold ash, and what a porosity probe moved."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats, Message, say
from fervens_core.basin.parts import TonePart
from fervens_core.basin.results import ReadZone
from fervens_core.colour import delta_e_2000, lab_hex
from fervens_core.head import DyeFamily, DyeHue, Tone
from fervens_core.toning import (
    BOWLS_MAX,
    SHARES,
    Formula,
    Match,
    Result,
    ToneShelf,
    ToningPlan,
    Wish,
    choose,
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


def _way(title: Message, result: Result, found: Match, wish: Wish, beside: Match | None) -> Remedy:
    gained = found.lab[0] - (beside.lab[0] if beside else float(result.lab[0]))
    away = float(delta_e_2000(np.array(found.lab), wish.wanted))
    return Remedy(title, found.formula.name, lab_hex(found.lab), away, gained)


def _best(result: Result, formulas: Sequence[Formula], wanted: Floats) -> Match | None:
    goal = goal_of(result, wanted)
    return min((match(result, f, goal) for f in formulas), key=lambda m: m.cost, default=None)


def remedies_of(
    tone_part: TonePart, tone_parts: Sequence[TonePart], wish: Wish, shelf: ToneShelf
) -> tuple[Remedy, ...]:
    """Two ways to meet what is left of a dye: the schools differ, so both are shown with their result."""
    rest, result = tone_part.result.rest, tone_part.result
    if rest is None or tone_part.part or tone_part.read.lane.grab is not None:
        return ()
    if rest in (DyeHue.GREEN, DyeHue.BLUE):
        red = [f for f in shelf.formulas if dye_shares(f).get(DyeFamily.RED, 0.0) >= 0.2]
        countered = _best(result, red, wish.wanted)
        deeper = Wish(Tone.NEUTRAL, max(min(wish.level, result.level) - 1.5, 1.0))
        plain = [f for f in shelf.formulas if f.level <= result.level - 0.5 and f not in red]
        buried = _best(result, plain, deeper.wanted)
        found = [(say("remedy-counter"), countered), (say("remedy-deeper"), buried)]
        return tuple(_way(title, result, m, wish, tone_part.match) for title, m in found if m)
    if rest is not DyeHue.VIOLET:
        return ()
    warm = _best(result, [f for f in shelf.formulas if len(f.shades) == 1 or f.shares[0] in SHARES], wish.wanted)
    toward = []
    for other in tone_parts:
        if other is not tone_part and not other.part and other.result.rest is None:
            found_there = _best(other.result, [f for f in shelf.formulas if len(f.shades) == 1], result.lab)
            if found_there:
                toward.append(_way(say("remedy-toward_ends"), other.result, found_there, wish, other.match))
    ways = [_way(say("remedy-warm"), result, warm, wish, None)] if warm else []
    if toward:
        first = toward[0]
        ways.append(replace(first, gained_l=float(np.mean([t.gained_l for t in toward]))))
    return tuple(ways)


_COOL = (DyeFamily.VIOLET, DyeFamily.BLUE, DyeFamily.GREEN)


def _ash(found: Match) -> float:
    shares = dye_shares(found.formula)
    return sum(shares.get(f, 0.0) for f in _COOL)


def probe_changes(
    reads: Sequence[ReadZone], choice: ToningPlan | None, shelf: ToneShelf, wish: Wish
) -> dict[str, Message]:
    """What a porosity probe moved, by lane key: the formula before and after it."""
    probed = [r for r in reads if r.lane.grab is not None]
    if not probed or choice is None:
        return {}
    plain = [replace(r.result, uptake_factor=1.0, rest=None, rest_amount=0.0) for r in probed]
    before = choose(plain, shelf, wish.wanted, most_bowls=min(len(plain), BOWLS_MAX))[-1].matches
    found = {}
    for read in probed:
        old, new = before[read.lane.key], choice.matches[read.lane.key]
        moved = {"before": old.formula.name, "minutes_before": old.minutes, "minutes": new.minutes}
        if old.formula.key == new.formula.key:
            found[read.lane.key] = say("probe-same", **moved)
            continue
        found[read.lane.key] = say(
            "probe-moved",
            **moved,
            now=new.formula.name,
            ash_before=_ash(old),
            ash=_ash(new),
            warm_before=1.0 - _ash(old),
            warm=1.0 - _ash(new),
        )
    return found
