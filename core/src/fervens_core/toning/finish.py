"""A drawn session finished part by part, exactly: hand by hand or bowl by bowl, each part by its own minutes."""

from __future__ import annotations

import itertools
from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import delta_e_2000
from fervens_core.toning.formula import Formula
from fervens_core.toning.judge import NEVER
from fervens_core.toning.session import (
    BOWL_PRICES,
    CHANGE_PRICE,
    MINUTE_PRICE,
    RINSE_PRICE,
    SPREAD_SHARE,
    WAIT_PRICE,
    WORST_SHARE,
    SessionTone,
    ToneSession,
)
from fervens_core.toning.tonehead import Drawn, ToneHead, spreads

FINE_MOVES: tuple[tuple[float, ...], ...] = (
    tuple(np.arange(-6.0, 6.5, 1.0).tolist()),
    (-3.0, -2.0, -1.0, 0.0, 1.0, 2.0, 3.0),
    (-2.0, -1.0, 0.0, 1.0, 2.0),
)
"""Minutes a setting is moved by, for one, two and three groups of hands."""
LEAST_ON_MIN = 3.0
"""[MODEL] what goes on last in a go is on so long at least."""
ORDER_STEP_MIN = 3.0
"""[MODEL] inside a group hands take first what needs so much longer; else the order they were told in."""


def finished(head: ToneHead, drawn: Drawn) -> ToneSession:
    """A session part by part: hand by hand, or bowl by bowl where that is cheaper."""
    bowl_of = [drawn.bowl_of[g] for g in head.group_of]
    longest: dict[int, float] = {}
    for row, bowl in enumerate(bowl_of):
        on = drawn.setting.lasts[head.hand_of[row]] + float(head.before[row])
        longest[bowl] = max(longest.get(bowl, 0.0), on)
    rows = range(len(head.parts))
    need = _needed(head, [drawn.formulas[b] for b in bowl_of])
    by_hand = sorted(rows, key=lambda r: (head.parts[r].hand, -longest[bowl_of[r]], bowl_of[r], -need[r], r))
    by_need = sorted(rows, key=lambda r: (head.parts[r].hand, -need[r], r))
    settings = head.near(drawn.setting, FINE_MOVES[len(head.hands) - 1])
    lasts_of = np.array([s.lasts for s in settings])[:, head.hand_of]
    waits = np.array([float(s.waits) for s in settings])
    orders = [by_hand] if by_need == by_hand else [by_hand, by_need]
    tried = [_best_of(head, drawn, bowl_of, o, lasts_of + head.before_in(o), waits) for o in orders]
    best = min(tried, key=lambda s: s.price)
    if len(set(bowl_of)) > 1 and len(head.hands) > 1:
        by_bowl = sorted(rows, key=lambda r: (-longest[bowl_of[r]], bowl_of[r], head.parts[r].hand, -need[r], r))
        before, later = np.zeros(len(head.parts)), 0.0
        for row in reversed(by_bowl):
            before[row] = later
            later += head.parts[row].application_min
        lasts = np.maximum(drawn.setting.lasts[-1] + np.arange(-5.0, 4.0), 1.0)
        other = _best_of(head, drawn, bowl_of, by_bowl, lasts[:, None] + before, np.zeros(lasts.size))
        best = min(best, other, key=lambda s: s.price)
    return _with_own_rinse(head, best) if _keeps_labels(best) else _in_goes(head, best)


def _needed(head: ToneHead, formulas: Sequence[Formula]) -> list[float]:
    """Minutes each part needs of its formula, in steps."""
    minutes = np.arange(2.0, float(head.shelf.minutes[-1]) + 0.5)
    costs, _ = head.by_part.judge(formulas, np.repeat(minutes[:, None], len(head.parts), axis=1))
    best = minutes[costs.argmin(axis=0)]
    return [float(x) for x in np.round(best / ORDER_STEP_MIN)]


def _best_of(
    head: ToneHead, drawn: Drawn, bowl_of: Sequence[int], order: Sequence[int], on_min: Floats, waits: Floats
) -> ToneSession:
    """The cheapest of some ways to time one order: minutes on (m, n), and how often hands wait (m,)."""
    costs, labs = head.by_part.judge([drawn.formulas[b] for b in bowl_of], on_min)
    whole = on_min[:, order[0]] + head.parts[order[0]].application_min
    runs = 1 + sum(bowl_of[a] != bowl_of[b] for a, b in itertools.pairwise(order))
    prices = costs.mean(axis=1) + WORST_SHARE * costs.max(axis=1) + SPREAD_SHARE * spreads(labs, head.families)
    prices += BOWL_PRICES[len(set(bowl_of))] + CHANGE_PRICE * (runs - len(set(bowl_of)))
    prices += MINUTE_PRICE * whole + WAIT_PRICE * waits
    best = int(prices.argmin())
    off = float(whole[best])
    numbers = {b: i + 1 for i, b in enumerate(dict.fromkeys(bowl_of[r] for r in order))}
    tones = [
        _tone(
            head,
            row,
            numbers[bowl_of[row]],
            drawn.formulas[bowl_of[row]],
            off - on_min[best, row],
            off,
            labs[best, row],
        )
        for row in order
    ]
    spread = float(spreads(labs[best : best + 1], head.families)[0])
    used = tuple(drawn.formulas[b] for b in numbers)
    return ToneSession(used, tuple(tones), (off,), spread, float(prices[best]))


def _tone(head: ToneHead, row: int, bowl: int, formula: Formula, on: float, off: float, lab: Floats) -> SessionTone:
    part, goal = head.parts[row], head.goals[row]
    return SessionTone(
        key=part.key,
        bowl=bowl,
        formula=formula,
        start_min=max(float(on) - part.application_min, 0.0),
        on_min=max(float(on), 0.0),
        off_min=off,
        lab=(float(lab[0]), float(lab[1]), float(lab[2])),
        delta_e=float(delta_e_2000(lab, goal.colour)),
        wish_delta_e=float(delta_e_2000(lab, head.wanted[row])),
        levels_deeper=goal.levels_deeper(lab),
        is_too_deep=bool(lab[0] < goal.least_l - 1e-9),
    )


def _with_own_rinse(head: ToneHead, session: ToneSession) -> ToneSession:
    """The session with parts that run away rinsed by themselves before, where that is worth its price."""
    place = {p.key: i for i, p in enumerate(head.parts)}
    by_row: list[SessionTone] = sorted(session.tones, key=lambda t: place[t.key])
    formulas = [t.formula for t in by_row]
    on_at = np.array([t.on_min for t in by_row])
    moments = np.arange(float(on_at.max()) + 1.0, session.minutes, 1.0)  # hands are free then
    if not moments.size:
        return session
    costs, labs = head.by_part.judge(formulas, np.vstack([moments[:, None], [[session.minutes]]]) - on_at)
    gains = np.where(costs[:-1] < NEVER, costs[-1] - costs[:-1], 0.0)
    leaves = gains > RINSE_PRICE  # which parts would go at each moment
    if not leaves.any():
        return session
    saved = np.where(leaves, gains, 0.0)
    left = costs[-1] - saved
    prices = left.mean(axis=1) + WORST_SHARE * left.max(axis=1)
    best = int(prices.argmin())
    won = float(costs[-1].mean() + WORST_SHARE * costs[-1].max() - prices[best])
    if won <= RINSE_PRICE or leaves[best].all():
        return session
    moment, tones = float(moments[best]), []
    for tone in session.tones:
        row = place[tone.key]
        if leaves[best, row]:
            tone = _tone(head, row, tone.bowl, tone.formula, tone.on_min, moment, labs[best, row])
        tones.append(tone)
    ends = [t.lab for t in sorted(tones, key=lambda t: place[t.key])]
    spread = float(spreads(np.array([ends]), head.families)[0])
    price = session.price - won + RINSE_PRICE + SPREAD_SHARE * (spread - session.spread)
    if price >= session.price:
        return session
    rinses = tuple(sorted({t.off_min for t in tones}))
    return replace(session, tones=tuple(tones), rinses=rinses, spread=spread, price=price)


def _keeps_labels(session: ToneSession) -> bool:
    return all(t.minutes <= t.formula.label_max_min + 1e-9 for t in session.tones)


def _in_goes(head: ToneHead, session: ToneSession) -> ToneSession:
    """The session where hands take longer than a label allows: some parts on and off, then the next, each in its time.

    A pigment wash of ten minutes on a whole head is such a one: it goes on and is rinsed half by half.
    """
    place = {p.key: i for i, p in enumerate(head.parts)}
    formula_of = {t.key: t.formula for t in session.tones}
    formulas = [formula_of[p.key] for p in head.parts]
    tones: list[SessionTone] = []
    labs = np.zeros((len(head.parts), 3))
    costs = np.zeros(len(head.parts))
    start = 0.0
    goes = _goes(head, [(place[t.key], t.formula) for t in session.tones])
    for rows in goes:
        on = start + np.cumsum([head.parts[r].application_min for r in rows])
        longest = min(formulas[r].label_max_min for r in rows)
        after_last = np.arange(1.0, max(longest - float(on[-1] - on[0]), 1.0) + 1e-6)
        on_min = np.ones((after_last.size, len(head.parts)))
        on_min[:, rows] = after_last[:, None] + (on[-1] - on)
        each, seen = head.by_part.judge(formulas, on_min)
        best = int((each[:, rows].mean(axis=1) + WORST_SHARE * each[:, rows].max(axis=1)).argmin())
        off = float(on[-1] + after_last[best])
        labs[rows], costs[rows] = seen[best, rows], each[best, rows]
        bowl = {t.key: t.bowl for t in session.tones}
        tones += [
            _tone(head, r, bowl[head.parts[r].key], formulas[r], float(at), off, seen[best, r])
            for r, at in zip(rows, on, strict=True)
        ]
        start = off
    spread = float(spreads(labs[None], head.families)[0])
    price = float(costs.mean() + WORST_SHARE * costs.max() + SPREAD_SHARE * spread)
    price += float(BOWL_PRICES[len(session.bowls)]) + MINUTE_PRICE * start + RINSE_PRICE * (len(goes) - 1)
    rinses = tuple(sorted({t.off_min for t in tones}))
    return replace(session, tones=tuple(tones), rinses=rinses, spread=spread, price=price)


def _goes(head: ToneHead, order: Sequence[tuple[int, Formula]]) -> list[list[int]]:
    """Rows in the order of hands, parted into as few runs of like length as every label allows."""
    took = np.cumsum([head.parts[r].application_min for r, _ in order])
    for count in range(2, len(order)):
        run_of = np.minimum((took - 1e-9) / took[-1] * count, count - 1).astype(int)
        runs = [[at for at, run in enumerate(run_of) if run == n] for n in range(count)]
        if all(run and took[run[-1]] - took[run[0]] + LEAST_ON_MIN <= _label_of(order, run) for run in runs):
            return [[order[at][0] for at in run] for run in runs]
    return [[row] for row, _ in order]


def _label_of(order: Sequence[tuple[int, Formula]], run: Sequence[int]) -> float:
    return min(order[at][1].label_max_min for at in run)
