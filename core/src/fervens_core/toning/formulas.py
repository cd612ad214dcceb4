"""All formulas of a shelf as tables: a shelf of 200 shades mixes into 60,000, few of which are ever looked at."""

from __future__ import annotations

from collections.abc import Callable, Sequence, Set
from typing import overload

import numpy as np

from fervens_core.base import Bools, Floats, Ints
from fervens_core.head import TonerShade
from fervens_core.toning.formula import DILUTIONS, SHARES, Formula, formula_key


class Formulas(Sequence[Formula]):
    """Formulas as rows of tables: each is made a value only when it is asked for, since a big shelf has 60,000.

    Args:
        shades: of the shelf. first, second: places in it, -1 for no second. share: of the first. dilution: of washes.
        parts: developer parts, nan for the labels' own. All of shape (f,).
    """

    def __init__(
        self,
        shades: tuple[TonerShade, ...],
        first: Ints,
        second: Ints,
        share: Floats,
        dilution: Floats,
        parts: Floats,
    ) -> None:
        self.shades, self.first, self.second = shades, first, second
        self.share, self.dilution, self.parts = share, dilution, parts
        self._made: dict[int, Formula] = {}
        self._keys: list[str] | None = None

    def __len__(self) -> int:
        return len(self.first)

    @overload
    def __getitem__(self, i: int) -> Formula: ...
    @overload
    def __getitem__(self, i: slice) -> list[Formula]: ...
    def __getitem__(self, i: int | slice) -> Formula | list[Formula]:
        """The formula of a row, the same value each time."""
        if isinstance(i, slice):
            return [self[k] for k in range(*i.indices(len(self)))]
        if i < 0:
            i += len(self)
        if not 0 <= i < len(self):
            raise IndexError(i)
        if i not in self._made:
            one = self.shades[self.first[i]]
            parts = None if np.isnan(self.parts[i]) else float(self.parts[i])
            thin = float(self.dilution[i])
            if self.second[i] < 0:
                made = Formula((one,), parts=parts, dilution=thin)
            else:
                share, two = float(self.share[i]), self.shades[self.second[i]]
                made = Formula((one, two), (share, 1.0 - share), parts, thin)
            self._made[i] = made
        return self._made[i]

    @property
    def keys(self) -> list[str]:
        """The key of each, as `Formula.key`."""
        if self._keys is None:
            names = [s.key for s in self.shades]
            self._keys = [
                formula_key([names[a]] if b < 0 else [names[a], names[b]], (s, 1.0 - s)[: 1 if b < 0 else 2], p, d)
                for a, b, s, p, d in zip(
                    self.first.tolist(),
                    self.second.tolist(),
                    self.share.tolist(),
                    [None if np.isnan(x) else float(x) for x in self.parts],
                    self.dilution.tolist(),
                    strict=True,
                )
            ]
        return self._keys

    def are_among(self, keys: Set[str]) -> Bools:
        """Which of them have one of some keys."""
        return np.fromiter((k in keys for k in self.keys), dtype=bool, count=len(self))

    def in_order(self, rows: Ints) -> Formulas:
        """The same formulas in another order."""
        first, second = self.first[rows], self.second[rows]
        return Formulas(self.shades, first, second, self.share[rows], self.dilution[rows], self.parts[rows])

    def both(self, of_shade: Floats, pick: Callable[[Floats, Floats], Floats]) -> Floats:
        """A value of the shades carried to formulas: of the only shade, or what `pick` makes of both."""
        one, two = of_shade[self.first], of_shade[self.second]
        return np.where(self.second < 0, one, pick(one, two))

    def mean(self, of_shade: Floats) -> Floats:
        """The mean of a value of the shades by their shares, shape (f, ...)."""
        share = self.share.reshape(-1, *(1,) * (of_shade.ndim - 1))
        second = np.where(self.second < 0, self.first, self.second)
        mixed: Floats = share * of_shade[self.first] + (1.0 - share) * of_shade[second]
        return mixed


def formulas_of(shades: tuple[TonerShade, ...], own: Sequence[Formula] = ()) -> Formulas:
    """As `all_formulas`, in its order, then the technician's own; without making them values."""
    count = len(shades)
    washes = np.array([i for i, s in enumerate(shades) if not s.is_oxidative], dtype=int)
    oxidative = np.array([s.is_oxidative for s in shades], dtype=bool)
    least = np.array([s.label_min_min for s in shades])
    most = np.array([s.label_max_min for s in shades])
    one, two = np.triu_indices(count, 1)
    fits = np.maximum(least[one], least[two]) <= np.minimum(most[one], most[two])
    fits &= oxidative[one] == oxidative[two]
    one, two = np.repeat(one[fits], len(SHARES)), np.repeat(two[fits], len(SHARES))
    thin, none = np.tile(DILUTIONS, len(washes)), np.full(count + len(washes) * len(DILUTIONS), -1)
    found = Formulas(
        shades,
        first=np.concatenate([np.arange(count), np.repeat(washes, len(DILUTIONS)), one]),
        second=np.concatenate([none, two]),
        share=np.concatenate([np.ones(len(none)), np.tile(SHARES, len(two) // len(SHARES))]),
        dilution=np.concatenate([np.zeros(count), thin, np.zeros(len(two))]),
        parts=np.full(len(none) + len(two), np.nan),
    )
    return _joined(found, own)


def tabled(formulas: Sequence[Formula]) -> Formulas:
    """Formulas that are values already, as tables."""
    shades = tuple({s.key: s for f in formulas for s in f.shades}.values())
    places = {s.key: i for i, s in enumerate(shades)}
    found = Formulas(
        shades,
        first=np.array([places[f.shades[0].key] for f in formulas], dtype=int),
        second=np.array([places[f.shades[1].key] if len(f.shades) > 1 else -1 for f in formulas], dtype=int),
        share=np.array([f.shares[0] if len(f.shades) > 1 else 1.0 for f in formulas]),
        dilution=np.array([f.dilution for f in formulas]),
        parts=np.array([np.nan if f.parts is None else f.parts for f in formulas]),
    )
    found._made.update(enumerate(formulas))
    return found


def _joined(some: Formulas, more: Sequence[Formula]) -> Formulas:
    """Tables with a few more formulas behind them."""
    if not more:
        return some
    rest = tabled(more)
    known = {s.key for s in some.shades}
    shades = (*some.shades, *(s for s in rest.shades if s.key not in known))
    places = {s.key: i for i, s in enumerate(shades)}
    at = np.array([places[s.key] for s in rest.shades], dtype=int)
    second = np.where(rest.second < 0, -1, at[rest.second])
    return Formulas(
        shades,
        np.concatenate([some.first, at[rest.first]]),
        np.concatenate([some.second, second]),
        *(np.concatenate([getattr(some, n), getattr(rest, n)]) for n in ("share", "dilution", "parts")),
    )
