"""Sessions drawn by groups of like parts: what every formula costs at every setting, and the cheapest of them.

With formulas, order and rinse fixed each part's minutes follow from when it went on. So orders and waits are laid out
first, and what every formula costs on every group at every minute is looked up in them.
"""

from __future__ import annotations

import itertools
from collections.abc import Sequence

import numpy as np

from fervens_core.base import Floats
from fervens_core.toning.fit import LAST_LONG_MIN, LAST_SHORT_MIN, SHORT_TIME_MIN
from fervens_core.toning.judge import NEVER
from fervens_core.toning.session import BOWL_PRICES, MINUTE_PRICE, SPREAD_SHARE, WAIT_PRICE, WORST_SHARE, Hand
from fervens_core.toning.shelf import first_pass
from fervens_core.toning.tonehead import Drawn, Setting, ToneHead, spreads

SOUND, SOUND_OF_FEW, ONE_BOWL, PAIRED_GROUPS_MOST = 10, 16, 20, 6
"""So many formulas are gone on with of each group of parts (of few groups), and that suit all; of so many groups at
most those for two as well."""
TWO_BOWLS, KEPT, FINISHED, SMALL_HEAD = 24, 6, 3, 6
"""So many settings of order and waits are tried with every pair of bowls; so many sessions with each count of bowls
are sketched by groups, and so many of those finished part by part, of heads of few parts all."""
COARSE_MOVES = (-2.0, 0.0, 2.0)


def drawn_for(head: ToneHead, most_bowls: int) -> list[Drawn]:
    """Sessions worth computing with each count of bowls."""
    costs = []
    for group, seen in zip(head.groups, head.sketches, strict=True):
        is_last = group.first.hand is Hand.LAST
        times = (LAST_SHORT_MIN, LAST_LONG_MIN) if is_last else (SHORT_TIME_MIN, np.inf)
        own = first_pass(head.shelf, seen, head.goals[group.rows[0]], *times)
        only = group.first.only
        if only is not None:
            barred = ~head.shelf.formulas.are_among(only)
            own = np.where(barred[:, None], np.float32(NEVER), np.minimum(own, np.float32(NEVER / 2)))
        costs.append(np.minimum(own, np.float32(NEVER)))
    names = _names(head, np.array([c.min(axis=1) for c in costs]))
    table = _looked_up(head, np.array([c[names] for c in costs]))
    return [
        _sketch(head, [names[k] for k in some], head.settings[s])
        for picks in _picks(head, table, most_bowls)
        for some, s in picks
    ]


def _names(head: ToneHead, least: Floats) -> list[int]:
    """Formulas worth going on with, by their least cost on each group, (g, f)."""
    some: set[int] = set()

    def add(row: Floats, count: int) -> None:
        some.update(np.argpartition(row, min(count, row.size - 1))[:count].tolist())

    for row in least:
        add(row, SOUND_OF_FEW if len(least) <= PAIRED_GROUPS_MOST else SOUND)
    add(head.weights @ least, ONE_BOWL)
    for a, b in itertools.combinations(range(min(len(least), PAIRED_GROUPS_MOST)), 2):
        add(least[a] + least[b], 2)
    return sorted(some)


def _looked_up(head: ToneHead, costs: Floats) -> Floats:
    """Costs (settings, g, k) of formulas (g, k, m) at the minutes each setting has groups on."""
    first = float(head.shelf.minutes[0])
    padded = np.concatenate([costs, np.full((*costs.shape[:2], 1), NEVER, dtype=costs.dtype)], axis=2)
    lasts = np.array([s.lasts for s in head.settings])
    at = np.empty((len(head.settings), len(head.groups)), dtype=int)
    for g, group in enumerate(head.groups):
        minutes = lasts[:, head.hand_of[group.rows[0]]] + float(head.before[group.rows].mean())
        at[:, g] = np.clip(np.rint(minutes - first), 0, costs.shape[2]).astype(int)
    found: Floats = padded[np.arange(len(head.groups))[None, :], :, at]
    return found


def _priced(head: ToneHead, costs: Floats) -> Floats:
    """Mean and worst of groups, (..., g) to (...)."""
    found: Floats = costs @ head.weights.astype(costs.dtype) + WORST_SHARE * costs.max(axis=-1)
    return found


def _picks(head: ToneHead, table: Floats, most: int) -> list[list[tuple[tuple[int, ...], int]]]:
    """For each count of bowls the sessions that come out cheapest: formulas, and which setting."""
    extra = np.array(
        [MINUTE_PRICE * (s.lasts[0] + head.takes[0]) + WAIT_PRICE * s.waits for s in head.settings],
        dtype=np.float32,
    )
    alone = _priced(head, np.moveaxis(table, 1, 2)) + extra[:, None]  # (settings, k)
    found: list[list[tuple[tuple[int, ...], int]]] = [[((k,), s) for s, k in _least(alone, KEPT)]]
    count = table.shape[2]
    if most == 1 or len(head.groups) == 1 or count == 1:
        return found
    bound = _priced(head, table.min(axis=2)) + extra
    near = np.argsort(bound)[:TWO_BOWLS]
    left, right = np.triu_indices(count, 1)
    pairs = np.minimum(table[near][:, :, left], table[near][:, :, right])  # (near, g, pairs)
    priced = _priced(head, np.moveaxis(pairs, 1, 2)) + extra[near][:, None]
    best = _least(priced, 2 * KEPT)
    found.append([((int(left[p]), int(right[p])), int(near[s])) for s, p in best[:KEPT]])
    if most > 2 and len(head.groups) > 2:
        threes: list[tuple[float, tuple[int, ...], int]] = []
        for s, p in best:
            both = np.minimum(pairs[s, :, p][:, None], table[near[s]])  # (g, k)
            whole = _priced(head, both.T) + extra[near[s]]
            k = int(whole.argmin())
            if k not in (int(left[p]), int(right[p])):
                threes.append((float(whole[k]), (int(left[p]), int(right[p]), k), int(near[s])))
        threes.sort(key=lambda t: t[0])
        if threes:
            found.append([(some, s) for _, some, s in threes[:KEPT]])
    return found


def _sketch(head: ToneHead, some: Sequence[int], setting: Setting) -> Drawn:
    """A session by its groups, at minutes near a setting, with how alike it leaves what is to end alike."""
    formulas = [head.shelf.formulas[k] for k in some]
    for group in head.groups:  # a formula of her own goes on whatever else is mixed
        only = group.first.only
        if only is not None and not any(f.key in only for f in formulas):
            formulas += [head.shelf.formulas[int(k)] for k in np.flatnonzero(head.shelf.formulas.are_among(only))[:1]]
    settings = head.near(setting, COARSE_MOVES)
    lasts = np.array([s.lasts for s in settings])
    before = np.array([head.before[g.rows].mean() for g in head.groups])
    hand_of = head.hand_of[[g.rows[0] for g in head.groups]]
    on = lasts[:, hand_of] + before
    each = [head.by_group.judge([f] * len(head.groups), on) for f in formulas]
    costs = np.array([c for c, _ in each])
    for g, group in enumerate(head.groups):
        if group.first.only is not None:
            barred = [f.key not in group.first.only for f in formulas]
            costs[barred, :, g] = NEVER
    bowls = costs.argmin(axis=0)  # (m, g)
    mine = np.take_along_axis(costs, bowls[None], axis=0)[0]
    labs = np.take_along_axis(np.array([x for _, x in each]), bowls[None, ..., None], axis=0)[0]
    prices = _priced(head, mine) + SPREAD_SHARE * spreads(labs, head.group_families)
    prices += np.array([MINUTE_PRICE * (s.lasts[0] + head.takes[0]) + WAIT_PRICE * s.waits for s in settings])
    prices += BOWL_PRICES[[len(set(row)) for row in bowls.tolist()]]
    best = int(prices.argmin())
    return Drawn(tuple(formulas), tuple(bowls[best].tolist()), settings[best], float(prices[best]))


def _least(prices: Floats, count: int) -> list[tuple[int, int]]:
    """Where the least of a table stand, cheapest first, each column at its best row only."""
    rows = prices.argmin(axis=0)
    best = prices[rows, np.arange(prices.shape[1])]
    return [(int(rows[c]), int(c)) for c in np.argsort(best, kind="stable")[:count]]
