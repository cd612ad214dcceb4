"""Members, settings, secret links and the audit trail."""

from __future__ import annotations

import datetime as dt
from typing import Annotated, Literal, cast
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema
from ninja.responses import Status
from pydantic import Field

from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.studio import people
from apps.studio.auth import member_of
from apps.studio.closed import closed_of
from apps.studio.models import Membership, Studio, StudioLink
from fervens_core.base import read
from fervens_core.followup import ClosedDays
from fervens_core.planning import Paces, School

router = Router(tags=["studio"])
PAGE = 100
Number = Annotated[float, Field(allow_inf_nan=False)]
RoleName = Literal["owner", "technician", "assistant"]
LinkKind = Literal["feed", "request"]


class MemberOut(Schema):
    """A member."""

    id: int
    name: str
    username: str
    role: RoleName
    is_active: bool
    pace_min_per_foil: float | None
    has_second_factor: bool
    is_you: bool


class MemberIn(In):
    """A new member."""

    username: str = Field(min_length=1, max_length=60)
    first_name: str = Field("", max_length=60)
    last_name: str = Field("", max_length=60)
    role: RoleName
    password: str = Field(min_length=1, max_length=200)


class MemberChange(In):
    """What can be changed of a member; a missing field stays."""

    role: RoleName | None = None
    is_active: bool | None = None
    password: str | None = Field(None, min_length=1, max_length=200)
    pace_min_per_foil: Number | None = None
    has_second_factor: Literal[False] | None = None


Units = Literal["metric", "us"]


class StudioOut(Schema):
    """The studio's own settings."""

    name: str
    pace_min_per_foil: float
    growth_mm_per_month: float
    weakest_natural: float
    weakest_worn: float
    weakest_old_dye: float
    hands: Paces
    school: School
    currency: str
    units: Units
    idle_min: int
    demands_second_factor: bool
    closed_on: list[ClosedDays]


class StudioIn(In):
    """What can be changed of the studio; a missing field stays."""

    name: str | None = Field(None, min_length=1, max_length=80)
    pace_min_per_foil: Number | None = None
    growth_mm_per_month: Number | None = None
    weakest_natural: Number | None = None
    weakest_worn: Number | None = None
    weakest_old_dye: Number | None = None
    hands: Paces | None = None
    school: School | None = None
    currency: str | None = Field(None, min_length=1, max_length=8)
    units: Units | None = None
    idle_min: Number | None = None
    demands_second_factor: bool | None = None
    closed_on: list[ClosedDays] | None = None


class LinkOut(Schema):
    """A secret link; `path` is told only when it is made."""

    id: UUID
    kind: LinkKind
    by_name: str
    created_at: dt.datetime
    revoked_at: dt.datetime | None
    path: str | None = None


class LinkIn(In):
    """What the link opens: the diary's feed, or the request form."""

    kind: LinkKind


PATHS = {"feed": "/api/feed/{}.ics", "request": "/request/{}"}


def _member(row: Membership, asker: Membership) -> MemberOut:
    return MemberOut(
        id=row.pk,
        name=row.name,
        username=row.user.get_username(),
        role=cast(RoleName, row.role),
        is_active=row.user.is_active,
        pace_min_per_foil=row.pace_min_per_foil,
        has_second_factor=row.second_factor_at is not None,
        is_you=row.pk == asker.pk,
    )


def _studio(row: Studio) -> StudioOut:
    return StudioOut(
        name=row.name,
        pace_min_per_foil=row.pace_min_per_foil,
        growth_mm_per_month=row.growth_mm_per_month,
        weakest_natural=row.weakest_natural,
        weakest_worn=row.weakest_worn,
        weakest_old_dye=row.weakest_old_dye,
        hands=Paces(**row.hands),
        school=read(School, row.school),
        currency=row.currency,
        units=cast(Units, row.units),
        idle_min=row.idle_min,
        demands_second_factor=row.demands_second_factor,
        closed_on=list(closed_of(row)),
    )


def _link(row: StudioLink, secret: str | None = None) -> LinkOut:
    return LinkOut(
        id=row.pk,
        kind=cast(LinkKind, row.kind),
        by_name=row.by_name,
        created_at=row.created_at,
        revoked_at=row.revoked_at,
        path=PATHS[row.kind].format(secret) if secret else None,
    )


@router.get("/members", response={200: list[MemberOut], ERRORS: Problem})
def list_members(request: HttpRequest) -> list[MemberOut]:
    """Everyone in the studio."""
    asker = member_of(request)
    rows = Membership.objects.filter(studio_id=asker.studio_id).select_related("user").order_by("id")
    return [_member(r, asker) for r in rows[: people.MEMBERS_MAX]]


@router.post("/members", response={201: MemberOut, ERRORS: Problem})
def add_member(request: HttpRequest, payload: MemberIn) -> Status[MemberOut]:
    """A new member; the owner tells them the password."""
    asker = member_of(request)
    return Status(201, _member(people.add_member(asker, **payload.dict()), asker))


@router.patch("/members/{member_id}", response={200: MemberOut, ERRORS: Problem})
def change_member(request: HttpRequest, member_id: int, payload: MemberChange) -> MemberOut:
    """Another role, pace or password; or out of the studio, which ends their sessions."""
    asker = member_of(request)
    if not 0 < member_id < 2**63:
        member_id = 0
    return _member(people.change_member(asker, member_id, payload.dict(exclude_unset=True)), asker)


@router.get("/studio", response={200: StudioOut, ERRORS: Problem})
def read_studio(request: HttpRequest) -> StudioOut:
    """The studio's own settings."""
    return _studio(member_of(request).studio)


@router.patch("/studio", response={200: StudioOut, ERRORS: Problem})
def change_studio(request: HttpRequest, payload: StudioIn) -> StudioOut:
    """Change the studio's own settings."""
    return _studio(people.change_studio(member_of(request), payload.dict(exclude_unset=True)))


@router.get("/links", response={200: list[LinkOut], ERRORS: Problem})
def list_links(request: HttpRequest) -> list[LinkOut]:
    """The secret links, without their secrets."""
    rows = StudioLink.objects.filter(studio_id=member_of(request).studio_id).order_by("-created_at")
    return [_link(r) for r in rows[:PAGE]]


@router.post("/links", response={201: LinkOut, ERRORS: Problem})
def make_link(request: HttpRequest, payload: LinkIn) -> Status[LinkOut]:
    """A new secret link; its address is told this once."""
    return Status(201, _link(*people.make_link(member_of(request), payload.kind)))


@router.delete("/links/{link_id}", response={200: LinkOut, ERRORS: Problem})
def revoke_link(request: HttpRequest, link_id: UUID) -> LinkOut:
    """The link stops working at once."""
    return _link(people.revoke_link(member_of(request), link_id))
