"""Practice rounds: a member's own, what they came to, and who else played the same head."""

from __future__ import annotations

from django.db.models import QuerySet

from apps.services import loading
from apps.services.loading import Loaded, plan_request
from apps.services.models import PracticeRound
from apps.services.practice.setups import setup_value
from apps.shelf.queries import toners
from apps.studio.models import Membership
from fervens_core.base import CoreError, read
from fervens_core.planning import PlanRequest
from fervens_core.practice import Round, RoundResult

ROUNDS_SHOWN = 60


def rounds_of(member: Membership) -> QuerySet[PracticeRound]:
    """A member's own rounds, the newest first."""
    rows = PracticeRound.objects.filter(user_id=member.user_id, service__studio_id=member.studio_id)
    return rows.select_related("service")


def _request(loaded: Loaded) -> PlanRequest | None:
    try:
        return plan_request(loaded)
    except CoreError:
        return None


def played(loaded: Loaded) -> Round:
    """A round as it was played so far."""
    assert loaded.round is not None
    return Round(
        setup=setup_value(loaded.round),
        chair=loading.chair(loaded, loaded.now),
        events=tuple(loaded.events),
        zones=loaded.zones,
        request=_request(loaded),
        findings=loaded.findings,
        shades=tuple(toners(loaded.row.studio_id)),
    )


def result_value(row: PracticeRound) -> RoundResult | None:
    """What is kept of a round that is over; None before its debrief."""
    return None if row.result is None else read(RoundResult, row.result)
