"""The record: all that was done, with times."""

from __future__ import annotations

from uuid import UUID

from django.http import HttpRequest
from ninja import Router

from apps.common.problems import ERRORS, Problem
from apps.records.record import RecordOut, record_of
from apps.services import queries
from apps.studio.auth import member_of

router = Router(tags=["records"])


@router.get("/services/{service_id}/record", response={200: RecordOut, ERRORS: Problem})
def read_record(request: HttpRequest, service_id: UUID) -> RecordOut:
    """The whole service on one page."""
    return record_of(queries.load(queries.get(member_of(request), service_id)))
