"""A tone session: bowls, order of hands, delays and one rinse, chosen together. docs/models/tonematch.md.

With formulas, order and rinse fixed each part's minutes follow from when it went on. So orders and waits are laid out
first; what every formula costs on every part at every minute is looked up in them; and the few sessions that come out
cheapest are then computed exactly.
"""

from __future__ import annotations

import itertools
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field, replace
from enum import IntEnum

import numpy as np
import numpy.typing as npt

from fervens_core.base import Floats, LimitError, check_range, say
from fervens_core.colour import delta_e_2000
from fervens_core.toning.fit import SHORT_TIME_MIN, Goal, goal_of
from fervens_core.toning.formula import Formula, Result
from fervens_core.toning.judge import NEVER, Judge
from fervens_core.toning.shelf import ToneShelf, first_pass, sketch
from fervens_core.toning.wish import Wish

BOWLS_MAX = 3
WORST_SHARE, SPREAD_SHARE = 0.25, 0.8
"""[MODEL] beside the parts' mean: how much the part that is farthest off counts, and how much it counts that parts
with one wish differ from one another. CIEDE2000 units, as all prices here."""
BOWL_PRICES: Floats = np.array([0.0, 0.0, 1.0, 2.1])
RINSE_PRICE, MINUTE_PRICE, WAIT_PRICE, CHANGE_PRICE = 1.5, 0.03, 0.1, 0.15
"""[MODEL] none to three bowls; a further rinse, a minute until the last rinse, hands that wait before a group of
parts, and hands that take up a bowl again that they had put down."""
LAST_SHORT_MIN = 2.0
"""Ends go on in the last minutes (common practice): from here on their time is not hard to hit."""
WAITS_FIRST: tuple[float, ...] = (0.0, 5.0, 10.0)
WAITS_LAST: tuple[float, ...] = (0.0, 2.0, 4.0, 6.0, 8.0, 10.0, 13.0, 16.0, 20.0)
"""Minutes hands wait before lengths, and before ends."""
SOUND, ONE_BOWL, PAIRED_GROUPS_MOST = 10, 20, 6
"""So many formulas are gone on with of each group of parts, and that suit all; of so many groups those for two too."""
TWO_BOWLS, KEPT, FINISHED, SMALL_HEAD = 24, 6, 2, 4
"""So many settings of order and waits are tried with every pair of bowls; so many sessions with each count of bowls
are sketched by groups, and so many of those finished part by part, of heads of few parts all."""
COARSE_MOVES = (-2.0, 0.0, 2.0)
FINE_MOVES: tuple[tuple[float, ...], ...] = (
    tuple(np.arange(-6.0, 6.5, 1.0).tolist()),
    (-3.0, -2.0, -1.0, 0.0, 1.0, 2.0, 3.0),
    (-2.0, -1.0, 0.0, 1.0, 2.0),
)
"""Minutes a setting is moved by, for one, two and three groups of hands."""
ORDER_STEP_MIN = 3.0
"""[MODEL] inside a group hands take first what needs so much longer; else the order they were told in."""


class Hand(IntEnum):
    """In which order parts go on: what resists or regrew, lengths, and ends or what grabs."""

    FIRST = 0
    LENGTHS = 1
    LAST = 2


@dataclass(frozen=True, slots=True)
class SessionPart:
    """A part of the head to be toned.

    Args:
        application_min: from its first section to its last, 0 to 60 min. only: keys of the formulas it may have, None
        for all. may_deepen: a shadow or a filling: any shade may go on. alike: parts with the same are to end alike.
    """

    key: str
    result: Result
    wish: Wish
    hand: Hand = Hand.LENGTHS
    application_min: float = 1.0
    only: frozenset[str] | None = None
    may_deepen: bool = False
    alike: str = ""

    def __post_init__(self) -> None:
        check_range("application_min", self.application_min, 0.0, 60.0, "min")


@dataclass(frozen=True, slots=True)
class SessionTone:
    """What a session makes of a part.

    Args:
        bowl: its number, from 1. start_min, on_min: its first and its last section is on; off_min: it is rinsed; min
        after the first toner. lab: what it ends at. delta_e: CIEDE2000 to its own wish as far as it can hold it.
        wish_delta_e: to the wish itself. levels_deeper: than meant; is_too_deep: by more than there is room for.
    """

    key: str
    bowl: int
    formula: Formula
    start_min: float
    on_min: float
    off_min: float
    lab: tuple[float, float, float]
    delta_e: float
    wish_delta_e: float
    levels_deeper: float
    is_too_deep: bool

    @property
    def minutes(self) -> float:
        """How long its last section is on, min."""
        return self.off_min - self.on_min


@dataclass(frozen=True, slots=True)
class ToneSession:
    """Bowls and parts in the order of hands, and when they are rinsed.

    Args:
        spread: by how much parts that are to end alike differ more than what each can reach, CIEDE2000. price: what
            sessions are compared by.
    """

    bowls: tuple[Formula, ...]
    tones: tuple[SessionTone, ...]
    rinses: tuple[float, ...]
    spread: float
    price: float

    @property
    def by_key(self) -> dict[str, SessionTone]:
        """Each part's tone."""
        return {t.key: t for t in self.tones}

    @property
    def minutes(self) -> float:
        """Until the last rinse, min after the first toner."""
        return max(self.rinses)

    @property
    def mean_delta_e(self) -> float:
        """Mean difference of the parts from their own wishes."""
        return float(np.mean([t.wish_delta_e for t in self.tones]))

    @property
    def worst_delta_e(self) -> float:
        """That of the part that is farthest off."""
        return max(t.wish_delta_e for t in self.tones)


def choose_session(
    parts: Sequence[SessionPart], shelf: ToneShelf, *, most_bowls: int = BOWLS_MAX, stays_bright: bool = True
) -> tuple[ToneSession, ...]:
    """The best session with one bowl, with two, and so on; take the one with the least `price`.

    Args:
        parts: at least one, keys all different, in the order hands would take them. most_bowls: 1 to 3.
        stays_bright: a pale wish is held to within half a level.
    Raises:
        LimitError: nothing to tone, too many bowls.
    """
    check_range("most_bowls", most_bowls, 1, BOWLS_MAX)
    if not parts:
        raise LimitError("parts", say("limit-at_least_one"), 0)
    head = _Head(parts, shelf, stays_bright)
    drawn: dict[int, list[_Sketch]] = {}
    for one in head.sketched(most_bowls):
        drawn.setdefault(len(set(one.bowl_of)), []).append(one)
    found: dict[int, ToneSession] = {}
    for some in drawn.values():
        for one in sorted(some, key=lambda s: s.price)[: FINISHED if len(parts) > SMALL_HEAD else KEPT]:
            session = head.session(one)
            best = found.get(len(session.bowls))
            if best is None or session.price < best.price:
                found[len(session.bowls)] = session
    return tuple(found[n] for n in sorted(found))


def best_session(sessions: Sequence[ToneSession]) -> ToneSession:
    """The one to propose."""
    return min(sessions, key=lambda s: s.price)


@dataclass(frozen=True, slots=True)
class _Setting:
    """When parts go on and off: minutes of the last part of each hand until the rinse."""

    lasts: tuple[float, ...]
    waits: int


@dataclass(slots=True)
class _Group:
    """Parts alike in what they are, wish and hand."""

    first: SessionPart
    rows: list[int] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class _Family:
    """Every two of some parts that are to end alike, and how much their goals differ: some cannot, CIEDE2000."""

    left: npt.NDArray[np.intp]
    right: npt.NDArray[np.intp]
    meant: Floats


@dataclass(frozen=True, slots=True)
class _Sketch:
    """A session by its groups: formulas, which is for which group, a setting, and about its price."""

    formulas: tuple[Formula, ...]
    bowl_of: tuple[int, ...]
    setting: _Setting
    price: float


class _Head:
    """The parts of a head with their goals, ready for the search."""

    def __init__(self, parts: Sequence[SessionPart], shelf: ToneShelf, stays_bright: bool) -> None:
        self.parts = sorted(parts, key=lambda p: p.hand)
        self.shelf = shelf
        self.goals = [goal_of(p.result, p.wish, stays_bright=stays_bright, may_deepen=p.may_deepen) for p in self.parts]
        groups: dict[object, _Group] = {}
        for row, part in enumerate(self.parts):
            kind = (part.result.kind, part.wish, part.hand, part.only, part.may_deepen, part.alike)
            groups.setdefault(kind, _Group(part)).rows.append(row)
        self.groups = list(groups.values())
        self.group_of = np.empty(len(self.parts), dtype=int)
        for g, group in enumerate(self.groups):
            self.group_of[group.rows] = g
        self.weights = np.array([len(g.rows) for g in self.groups]) / len(self.parts)
        self.sketches = [sketch(g.first.result, shelf) for g in self.groups]
        self.hands = sorted({p.hand for p in self.parts})
        self.hand_of = np.array([self.hands.index(p.hand) for p in self.parts])
        self.takes = [sum(p.application_min for p in self.parts if p.hand is h) for h in self.hands]
        self.before = self._before(range(len(self.parts)))
        first_rows = [g.rows[0] for g in self.groups]
        self.by_part = self._judge(self.parts, self.goals)
        self.by_group = self._judge([g.first for g in self.groups], [self.goals[r] for r in first_rows])
        self.wanted = [p.wish.wanted for p in self.parts]
        self.families = self._families([p.alike for p in self.parts], self.goals)
        self.group_families = self._families(
            [g.first.alike for g in self.groups], [self.goals[g.rows[0]] for g in self.groups]
        )
        self.settings = self._settings()

    @staticmethod
    def _judge(parts: Sequence[SessionPart], goals: Sequence[Goal]) -> Judge:
        short = [LAST_SHORT_MIN if p.hand is Hand.LAST else SHORT_TIME_MIN for p in parts]
        return Judge([p.result for p in parts], goals, short)

    @staticmethod
    def _families(alike: Sequence[str], goals: Sequence[Goal]) -> list[_Family]:
        """Places that are to end alike, where there are several."""
        named: dict[str, list[int]] = {}
        for place, name in enumerate(alike):
            if name:
                named.setdefault(name, []).append(place)
        found = []
        for rows in (np.array(r) for r in named.values() if len(r) > 1):
            i, j = np.triu_indices(rows.size, 1)
            aims = np.array([goals[r].lab for r in rows])
            found.append(_Family(rows[i], rows[j], delta_e_2000(aims[i], aims[j])))
        return found

    def _settings(self) -> list[_Setting]:
        """Every rinse, and every wait before the lengths and before the ends."""
        longest = float(self.shelf.minutes[-1])
        waits: list[tuple[float, ...]] = [()]
        if len(self.hands) == 3:
            waits = [(a, b) for a in WAITS_FIRST for b in WAITS_LAST]
        elif len(self.hands) == 2:
            waits = [(w,) for w in (WAITS_LAST if Hand.LAST in self.hands else WAITS_FIRST)]
        found = []
        for last in self.shelf.minutes.tolist():
            for some in waits:
                lasts = [float(last)]
                for take, wait in zip(reversed(self.takes[1:]), reversed(some), strict=True):
                    lasts.insert(0, lasts[0] + take + wait)
                if lasts[0] <= longest:
                    found.append(_Setting(tuple(lasts), sum(w > 0.0 for w in some)))
        # where no order fits the longest label, the shortest is begun with all the same
        return found or [_Setting(tuple(float(self.shelf.minutes[0]) for _ in self.hands), 0)]

    def sketched(self, most_bowls: int) -> list[_Sketch]:
        """Sessions worth computing with each count of bowls."""
        costs = []
        for group, seen in zip(self.groups, self.sketches, strict=True):
            short = LAST_SHORT_MIN if group.first.hand is Hand.LAST else SHORT_TIME_MIN
            own = first_pass(self.shelf, seen, self.goals[group.rows[0]], short)
            only = group.first.only
            if only is not None:
                barred = np.array([f.key not in only for f in self.shelf.formulas])
                own = np.where(barred[:, None], np.float32(NEVER), np.minimum(own, np.float32(NEVER / 2)))
            costs.append(np.minimum(own, np.float32(NEVER)))
        names = self._names(np.array([c.min(axis=1) for c in costs]))
        table = self._looked_up(np.array([c[names] for c in costs]))
        return [
            self._sketch([names[k] for k in some], self.settings[s])
            for picks in self._picks(table, most_bowls)
            for some, s in picks
        ]

    def _names(self, least: Floats) -> list[int]:
        """Formulas worth going on with, by their least cost on each group, (g, f)."""
        some: set[int] = set()

        def add(row: Floats, count: int) -> None:
            some.update(np.argpartition(row, min(count, row.size - 1))[:count].tolist())

        for row in least:
            add(row, SOUND)
        add(self.weights @ least, ONE_BOWL)
        for a, b in itertools.combinations(range(min(len(least), PAIRED_GROUPS_MOST)), 2):
            add(least[a] + least[b], 2)
        return sorted(some)

    def _looked_up(self, costs: Floats) -> Floats:
        """Costs (settings, g, k) of formulas (g, k, m) at the minutes each setting has groups on."""
        first = float(self.shelf.minutes[0])
        padded = np.concatenate([costs, np.full((*costs.shape[:2], 1), NEVER, dtype=costs.dtype)], axis=2)
        lasts = np.array([s.lasts for s in self.settings])
        at = np.empty((len(self.settings), len(self.groups)), dtype=int)
        for g, group in enumerate(self.groups):
            minutes = lasts[:, self.hand_of[group.rows[0]]] + float(self.before[group.rows].mean())
            at[:, g] = np.clip(np.rint(minutes - first), 0, costs.shape[2]).astype(int)
        found: Floats = padded[np.arange(len(self.groups))[None, :], :, at]
        return found

    def _priced(self, costs: Floats) -> Floats:
        """Mean and worst of groups, (..., g) to (...)."""
        found: Floats = costs @ self.weights.astype(costs.dtype) + WORST_SHARE * costs.max(axis=-1)
        return found

    def _picks(self, table: Floats, most: int) -> list[list[tuple[tuple[int, ...], int]]]:
        """For each count of bowls the sessions that come out cheapest: formulas, and which setting."""
        extra = np.array(
            [MINUTE_PRICE * (s.lasts[0] + self.takes[0]) + WAIT_PRICE * s.waits for s in self.settings],
            dtype=np.float32,
        )
        alone = self._priced(np.moveaxis(table, 1, 2)) + extra[:, None]  # (settings, k)
        found: list[list[tuple[tuple[int, ...], int]]] = [[((k,), s) for s, k in _least(alone, KEPT)]]
        count = table.shape[2]
        if most == 1 or len(self.groups) == 1 or count == 1:
            return found
        bound = self._priced(table.min(axis=2)) + extra
        near = np.argsort(bound)[:TWO_BOWLS]
        left, right = np.triu_indices(count, 1)
        pairs = np.minimum(table[near][:, :, left], table[near][:, :, right])  # (near, g, pairs)
        priced = self._priced(np.moveaxis(pairs, 1, 2)) + extra[near][:, None]
        best = _least(priced, 2 * KEPT)
        found.append([((int(left[p]), int(right[p])), int(near[s])) for s, p in best[:KEPT]])
        if most > 2 and len(self.groups) > 2:
            threes: list[tuple[float, tuple[int, ...], int]] = []
            for s, p in best:
                both = np.minimum(pairs[s, :, p][:, None], table[near[s]])  # (g, k)
                whole = self._priced(both.T) + extra[near[s]]
                k = int(whole.argmin())
                if k not in (int(left[p]), int(right[p])):
                    threes.append((float(whole[k]), (int(left[p]), int(right[p]), k), int(near[s])))
            threes.sort(key=lambda t: t[0])
            if threes:
                found.append([(some, s) for _, some, s in threes[:KEPT]])
        return found

    def _sketch(self, some: Sequence[int], setting: _Setting) -> _Sketch:
        """A session by its groups, at minutes near a setting, with how alike it leaves what is to end alike."""
        formulas = [self.shelf.formulas[k] for k in some]
        for group in self.groups:  # a formula of her own goes on whatever else is mixed
            only = group.first.only
            if only is not None and not any(f.key in only for f in formulas):
                formulas += [f for f in self.shelf.formulas if f.key in only][:1]
        settings = self._near(setting, COARSE_MOVES)
        lasts = np.array([s.lasts for s in settings])
        before = np.array([self.before[g.rows].mean() for g in self.groups])
        hand_of = self.hand_of[[g.rows[0] for g in self.groups]]
        on = lasts[:, hand_of] + before
        each = [self.by_group.judge([f] * len(self.groups), on) for f in formulas]
        costs = np.array([c for c, _ in each])
        for g, group in enumerate(self.groups):
            if group.first.only is not None:
                barred = [f.key not in group.first.only for f in formulas]
                costs[barred, :, g] = NEVER
        bowls = costs.argmin(axis=0)  # (m, g)
        mine = np.take_along_axis(costs, bowls[None], axis=0)[0]
        labs = np.take_along_axis(np.array([x for _, x in each]), bowls[None, ..., None], axis=0)[0]
        prices = self._priced(mine) + SPREAD_SHARE * _spreads(labs, self.group_families)
        prices += np.array([MINUTE_PRICE * (s.lasts[0] + self.takes[0]) + WAIT_PRICE * s.waits for s in settings])
        prices += BOWL_PRICES[[len(set(row)) for row in bowls.tolist()]]
        best = int(prices.argmin())
        return _Sketch(tuple(formulas), tuple(bowls[best].tolist()), settings[best], float(prices[best]))

    def _near(self, setting: _Setting, moves: Sequence[float]) -> list[_Setting]:
        """Settings around one that hands can do."""
        found = []
        for move in itertools.product(*[moves] * len(self.hands)):
            lasts = [x + m for x, m in zip(setting.lasts, move, strict=True)]
            gaps = [a - b - t for a, b, t in zip(lasts[:-1], lasts[1:], self.takes[1:], strict=True)]
            if lasts[-1] >= 1.0 and all(g >= -1e-9 for g in gaps):
                found.append(_Setting(tuple(lasts), sum(g > 0.5 for g in gaps)))
        return found or [setting]

    def session(self, drawn: _Sketch) -> ToneSession:
        """A session part by part: hand by hand, or bowl by bowl where that is cheaper."""
        bowl_of = [drawn.bowl_of[g] for g in self.group_of]
        longest: dict[int, float] = {}
        for row, bowl in enumerate(bowl_of):
            on = drawn.setting.lasts[self.hand_of[row]] + float(self.before[row])
            longest[bowl] = max(longest.get(bowl, 0.0), on)
        rows = range(len(self.parts))
        need = self._needed([drawn.formulas[b] for b in bowl_of])
        by_hand = sorted(rows, key=lambda r: (self.parts[r].hand, -longest[bowl_of[r]], bowl_of[r], -need[r], r))
        by_need = sorted(rows, key=lambda r: (self.parts[r].hand, -need[r], r))
        settings = self._near(drawn.setting, FINE_MOVES[len(self.hands) - 1])
        lasts_of = np.array([s.lasts for s in settings])[:, self.hand_of]
        waits = np.array([float(s.waits) for s in settings])
        orders = [by_hand] if by_need == by_hand else [by_hand, by_need]
        tried = [self._best_of(drawn, bowl_of, o, lasts_of + self._before(o), waits) for o in orders]
        best = min(tried, key=lambda s: s.price)
        if len(set(bowl_of)) > 1 and len(self.hands) > 1:
            by_bowl = sorted(rows, key=lambda r: (-longest[bowl_of[r]], bowl_of[r], self.parts[r].hand, -need[r], r))
            before, later = np.zeros(len(self.parts)), 0.0
            for row in reversed(by_bowl):
                before[row] = later
                later += self.parts[row].application_min
            lasts = np.maximum(drawn.setting.lasts[-1] + np.arange(-5.0, 4.0), 1.0)
            other = self._best_of(drawn, bowl_of, by_bowl, lasts[:, None] + before, np.zeros(lasts.size))
            best = min(best, other, key=lambda s: s.price)
        return self._with_own_rinse(best)

    def _needed(self, formulas: Sequence[Formula]) -> list[float]:
        """Minutes each part needs of its formula, in steps."""
        minutes = np.arange(2.0, float(self.shelf.minutes[-1]) + 0.5)
        costs, _ = self.by_part.judge(formulas, np.repeat(minutes[:, None], len(self.parts), axis=1))
        best = minutes[costs.argmin(axis=0)]
        return [float(x) for x in np.round(best / ORDER_STEP_MIN)]

    def _before(self, order: Iterable[int]) -> Floats:
        """Minutes from each part's last section to that of the last of its hand, in an order."""
        found, later = np.zeros(len(self.parts)), np.zeros(len(self.hands))
        for row in reversed(list(order)):
            hand = self.hand_of[row]
            found[row] = later[hand]
            later[hand] += self.parts[row].application_min
        return found

    def _best_of(
        self, drawn: _Sketch, bowl_of: Sequence[int], order: Sequence[int], on_min: Floats, waits: Floats
    ) -> ToneSession:
        """The cheapest of some ways to time one order: minutes on (m, n), and how often hands wait (m,)."""
        costs, labs = self.by_part.judge([drawn.formulas[b] for b in bowl_of], on_min)
        whole = on_min[:, order[0]] + self.parts[order[0]].application_min
        runs = 1 + sum(bowl_of[a] != bowl_of[b] for a, b in itertools.pairwise(order))
        prices = costs.mean(axis=1) + WORST_SHARE * costs.max(axis=1) + SPREAD_SHARE * _spreads(labs, self.families)
        prices += BOWL_PRICES[len(set(bowl_of))] + CHANGE_PRICE * (runs - len(set(bowl_of)))
        prices += MINUTE_PRICE * whole + WAIT_PRICE * waits
        best = int(prices.argmin())
        off = float(whole[best])
        numbers = {b: i + 1 for i, b in enumerate(dict.fromkeys(bowl_of[r] for r in order))}
        tones = [
            self._tone(
                row, numbers[bowl_of[row]], drawn.formulas[bowl_of[row]], off - on_min[best, row], off, labs[best, row]
            )
            for row in order
        ]
        spread = float(_spreads(labs[best : best + 1], self.families)[0])
        used = tuple(drawn.formulas[b] for b in numbers)
        return ToneSession(used, tuple(tones), (off,), spread, float(prices[best]))

    def _tone(self, row: int, bowl: int, formula: Formula, on: float, off: float, lab: Floats) -> SessionTone:
        part, goal = self.parts[row], self.goals[row]
        return SessionTone(
            key=part.key,
            bowl=bowl,
            formula=formula,
            start_min=max(float(on) - part.application_min, 0.0),
            on_min=max(float(on), 0.0),
            off_min=off,
            lab=(float(lab[0]), float(lab[1]), float(lab[2])),
            delta_e=float(delta_e_2000(lab, goal.colour)),
            wish_delta_e=float(delta_e_2000(lab, self.wanted[row])),
            levels_deeper=goal.levels_deeper(lab),
            is_too_deep=bool(lab[0] < goal.least_l - 1e-9),
        )

    def _with_own_rinse(self, session: ToneSession) -> ToneSession:
        """The session with parts that run away rinsed by themselves before, where that is worth its price."""
        place = {p.key: i for i, p in enumerate(self.parts)}
        by_row: list[SessionTone] = sorted(session.tones, key=lambda t: place[t.key])
        formulas = [t.formula for t in by_row]
        on_at = np.array([t.on_min for t in by_row])
        moments = np.arange(float(on_at.max()) + 1.0, session.minutes, 1.0)  # hands are free then
        if not moments.size:
            return session
        costs, labs = self.by_part.judge(formulas, np.vstack([moments[:, None], [[session.minutes]]]) - on_at)
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
                tone = self._tone(row, tone.bowl, tone.formula, tone.on_min, moment, labs[best, row])
            tones.append(tone)
        ends = [t.lab for t in sorted(tones, key=lambda t: place[t.key])]
        spread = float(_spreads(np.array([ends]), self.families)[0])
        price = session.price - won + RINSE_PRICE + SPREAD_SHARE * (spread - session.spread)
        if price >= session.price:
            return session
        rinses = tuple(sorted({t.off_min for t in tones}))
        return replace(session, tones=tuple(tones), rinses=rinses, spread=spread, price=price)


def _spreads(labs: Floats, families: Sequence[_Family]) -> Floats:
    """By how much parts that are to end alike differ more than their own goals do, at most; (m, n, 3) to (m,)."""
    found: Floats = np.zeros(labs.shape[0])
    for family in families:
        apart = delta_e_2000(labs[:, family.left], labs[:, family.right]) - family.meant
        found = np.maximum(found, apart.max(axis=1))
    return found


def spread_of(labs: Sequence[Sequence[float]]) -> float:
    """Largest CIEDE2000 between any two colours; 0 for one."""
    if len(labs) < 2:
        return 0.0
    every = np.array(labs)
    return float(delta_e_2000(every[:, None, :], every[None, :, :]).max())


def _least(prices: Floats, count: int) -> list[tuple[int, int]]:
    """Where the least of a table stand, cheapest first, each column at its best row only."""
    rows = prices.argmin(axis=0)
    best = prices[rows, np.arange(prices.shape[1])]
    return [(int(rows[c]), int(c)) for c in np.argsort(best, kind="stable")[:count]]
