"""Service files and strand tests, out of the studio and into it, by a member's act."""

from __future__ import annotations

import re
from uuid import UUID

from django.http import HttpRequest
from ninja import Router
from ninja.responses import Status

from apps.common.problems import ERRORS, Problem
from apps.services import loading
from apps.services.consultation import present as consultation_present
from apps.services.consultation.schemas import ServiceOut
from apps.services.exchange import actions as exchange_actions
from apps.services.exchange.schemas import CsvIn, CsvOut, FileOut, ImportIn, ImportOut
from apps.studio.auth import member_of
from fervens_core.formats import strands_to_csv, write_service_file

router = Router(tags=["exchange"])


@router.get("/services/{service_id}/file", response={200: FileOut, ERRORS: Problem})
def read_file(request: HttpRequest, service_id: UUID) -> FileOut:
    """The service as a service file."""
    member = member_of(request)
    loaded = loading.load(loading.get(member, service_id))
    plain = re.sub(r"[^a-z0-9]+", "-", loaded.row.client.name.lower()).strip("-") or "service"
    document = write_service_file(exchange_actions.service_file(member, loaded))
    return FileOut(document=document, file_name=f"{plain}-{loaded.row.starts_at:%Y-%m-%d}.json")


@router.post("/services/import", response={201: ImportOut, ERRORS: Problem})
def import_file(request: HttpRequest, payload: ImportIn) -> Status[ImportOut]:
    """A service file becomes a client and a service, all or nothing."""
    row, added = exchange_actions.import_file(member_of(request), payload.document, payload.starts_at)
    return Status(201, ImportOut(service_id=row.pk, client_name=row.client.name, added_to_shelf=added))


@router.get("/services/{service_id}/strands/csv", response={200: CsvOut, ERRORS: Problem})
def read_strand_csv(request: HttpRequest, service_id: UUID) -> CsvOut:
    """The strand tests as CSV."""
    loaded = loading.load(loading.get(member_of(request), service_id))
    return CsvOut(text=strands_to_csv(loaded.strand_values))


@router.post("/services/{service_id}/strands/csv", response={200: ServiceOut, ERRORS: Problem})
def write_strand_csv(request: HttpRequest, service_id: UUID, payload: CsvIn) -> ServiceOut:
    """Strand tests from CSV take the place of those there are, all or nothing."""
    loaded = exchange_actions.import_strands(
        member_of(request), service_id, revision=payload.revision, text=payload.text
    )
    return consultation_present.service_out(loaded)
