"""Review and tone."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.services import loading
from apps.services.tone import present as tone_present
from apps.services.tone import queries as tone_queries
from apps.services.tone.schemas import FormulaIn, ReviewOut, ToneOut, WishesOut
from apps.studio.auth import member_of
from fervens_core.base import check_range
from fervens_core.basin import ToneChoice, Tried
from fervens_core.toning import BOWLS_MAX, wish_scale

router = Router(tags=["tone"])


@router.get("/wishes", response={200: WishesOut, ERRORS: Problem})
def read_wishes(request: HttpRequest) -> WishesOut:
    """Every tone at every half level, painted."""
    return WishesOut(cells=list(wish_scale()))


@router.get("/services/{service_id}/review", response={200: ReviewOut, ERRORS: Problem})
def read_review(request: HttpRequest, service_id: UUID) -> ReviewOut:
    """How the head came out, and what can be done with each zone."""
    return tone_present.review_out(loading.load(loading.get(member_of(request), service_id)))


@router.get("/services/{service_id}/tone", response={200: ToneOut, ERRORS: Problem})
def read_tone(request: HttpRequest, service_id: UUID, bowls: int = BOWLS_MAX, bright: bool = True) -> ToneOut:
    """The tone step now, with at most so many bowls (1 to 3), and pale wishes kept bright or not."""
    check_range("bowls", bowls, 1, BOWLS_MAX)
    return tone_present.tone_out(loading.load(loading.get(member_of(request), service_id)), ToneChoice(bowls, bright))


@router.post("/services/{service_id}/tone/try", response={200: Tried, ERRORS: Problem})
def try_own_formula(request: HttpRequest, service_id: UUID, payload: FormulaIn) -> Tried:
    """What a formula of one's own would do to some zones; nothing is logged by that."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    own = tone_queries.formula(
        loaded, payload.shade_key, payload.second_key, payload.share, payload.developer_parts, payload.dilution
    )
    return tone_queries.tried(loaded, loaded.now, own, payload.ids)
