"""A practice round: its setup and its log, and the chair at any moment of it."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from datetime import datetime
from functools import cached_property

from fervens_core.basin import lanes_today
from fervens_core.chair import Chair
from fervens_core.head import Findings, TonerShade, Zone
from fervens_core.log import Event, PlanTaken, fold, live_events
from fervens_core.planning import PlanRequest
from fervens_core.practice.setup import Setup
from fervens_core.practice.truth import Truth, truth_of


@dataclass(frozen=True)
class Round:
    """A round as it was played so far.

    Args:
        chair: as it stands at its end; None where no plan was taken. zones: of the head, as the learner has them.
        events: of the log. request: what the plan was made from, None where none could be.
        findings: as the learner wrote them down. shades: of the shelf.
    """

    setup: Setup
    chair: Chair | None
    events: tuple[Event, ...]
    zones: tuple[Zone, ...] = ()
    request: PlanRequest | None = None
    findings: Findings = field(default_factory=Findings)
    shades: tuple[TonerShade, ...] = ()

    @cached_property
    def live(self) -> tuple[Event, ...]:
        """Events that count, in the order they happened."""
        return tuple(live_events(self.events))

    @property
    def taken(self) -> Event | None:
        """When the plan was taken to the chair, the last time."""
        return next((e for e in reversed(self.live) if isinstance(e.data, PlanTaken)), None)

    def until(self, moment: datetime) -> tuple[Event, ...]:
        """Events that count, up to a moment."""
        return tuple(e for e in self.live if e.occurred_at <= moment)

    def at(self, moment: datetime) -> Chair:
        """The chair as it stood at a moment, with what was known then."""
        assert self.chair is not None
        state = fold(self.until(moment))
        if self.request is None or not state.lanes:
            return replace(self.chair, state=state, now=moment)
        zones = {z.key: z for z in lanes_today(self.zones, state, choice=self.request.choice)}
        return replace(self.chair, state=state, zones=self.chair.zones | zones, now=moment)

    @cached_property
    def truth(self) -> Truth:
        """The hair as it really is, at the round's end."""
        assert self.chair is not None
        return truth_of(self.setup, self.chair, self.live)
