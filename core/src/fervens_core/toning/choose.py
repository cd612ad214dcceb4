"""The tone session to propose: bowls, order, waits and one rinse, chosen together. docs/models/tonematch.md."""

from __future__ import annotations

from collections.abc import Sequence

from fervens_core.base import LimitError, check_range, say
from fervens_core.toning.draw import FINISHED, KEPT, SMALL_HEAD, drawn_for
from fervens_core.toning.finish import finished
from fervens_core.toning.session import BOWLS_MAX, SessionPart, ToneSession
from fervens_core.toning.shelf import ToneShelf
from fervens_core.toning.tonehead import Drawn, ToneHead


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
    head = ToneHead(parts, shelf, stays_bright)
    drawn: dict[int, list[Drawn]] = {}
    for one in drawn_for(head, most_bowls):
        drawn.setdefault(len(set(one.bowl_of)), []).append(one)
    found: dict[int, ToneSession] = {}
    for some in drawn.values():
        for one in sorted(some, key=lambda s: s.price)[: FINISHED if len(parts) > SMALL_HEAD else KEPT]:
            session = finished(head, one)
            best = found.get(len(session.bowls))
            if best is None or session.price < best.price:
                found[len(session.bowls)] = session
    return tuple(found[n] for n in sorted(found))


def best_session(sessions: Sequence[ToneSession]) -> ToneSession:
    """The one to propose."""
    return min(sessions, key=lambda s: s.price)
