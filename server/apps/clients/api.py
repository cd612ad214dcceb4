"""Clients: find, add, read, correct."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema
from ninja.responses import Status
from pydantic import Field

from apps.clients import actions, queries
from apps.clients.models import Client
from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.studio.auth import member_of
from fervens_core.head import TestResult

router = Router(tags=["clients"])


class ClientIn(In):
    """What can be written about a client; a missing field stays as it is."""

    name: str | None = Field(None, min_length=1, max_length=80)
    birth_date: dt.date | None = None
    notes: str | None = Field(None, max_length=2000)
    reacts_to_oxidative: bool | None = None
    patch_test_placed_at: dt.datetime | None = None
    patch_test_result: TestResult | None = None
    growth_mm_per_month: float | None = Field(None, allow_inf_nan=False)
    is_hair_piece: bool | None = None
    language: str | None = Field(None, max_length=5)


class ClientOut(Schema):
    """A client."""

    id: UUID
    name: str
    birth_date: dt.date | None
    notes: str
    reacts_to_oxidative: bool | None
    patch_test_placed_at: dt.datetime | None
    patch_test_result: TestResult
    growth_mm_per_month: float | None
    is_hair_piece: bool
    language: str
    erased_at: dt.datetime | None


class ClientPage(Schema):
    """Some clients, and how many there are in all."""

    total: int
    clients: list[ClientOut]


class VisitOut(Schema):
    """One earlier or coming service of a client."""

    id: UUID
    starts_at: dt.datetime
    step: str
    wish: str


class ClientCard(ClientOut):
    """A client with their visits, newest first."""

    visits: list[VisitOut]


@router.get("/clients", response={200: ClientPage, ERRORS: Problem})
def list_clients(request: HttpRequest, search: str = "", page: int = 1) -> ClientPage:
    """Clients by name, 50 a page."""
    total, rows = queries.find(member_of(request), search=search, page=page)
    return ClientPage(total=total, clients=[ClientOut.from_orm(r) for r in rows])


@router.post("/clients", response={201: ClientOut, ERRORS: Problem})
def add_client(request: HttpRequest, payload: ClientIn) -> Status[Client]:
    """A new client."""
    return Status(201, actions.add_client(member_of(request), payload.dict(exclude_unset=True)))


@router.get("/clients/{client_id}", response={200: ClientCard, ERRORS: Problem})
def read_client(request: HttpRequest, client_id: UUID) -> ClientCard:
    """One client and their visits."""
    row = queries.get(member_of(request), client_id)
    visits = [VisitOut.from_orm(v) for v in row.services.order_by("-starts_at")[:50]]
    return ClientCard(**ClientOut.from_orm(row).dict(), visits=visits)


@router.patch("/clients/{client_id}", response={200: ClientOut, ERRORS: Problem})
def change_client(request: HttpRequest, client_id: UUID, payload: ClientIn) -> Client:
    """Correct a client's facts."""
    return actions.change_client(member_of(request), client_id, payload.dict(exclude_unset=True))
