"""One's own account, invitations and resets."""

from __future__ import annotations

import datetime as dt
from typing import cast
from uuid import UUID

from django.contrib.auth import update_session_auth_hash
from django.http import HttpRequest
from django.views.decorators.csrf import csrf_protect, ensure_csrf_cookie
from ninja import Router, Schema
from ninja.decorators import decorate_view
from ninja.responses import Status
from pydantic import Field

from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.studio import accounts, second_factor
from apps.studio.api import SessionOut, session_of
from apps.studio.auth import member_of
from apps.studio.models import Invitation
from apps.studio.people_api import RoleName
from apps.studio.sessions import REVISION, STUDIOS, open_session
from apps.studio.throttle import count_try

router = Router(tags=["account"])


class AccountOut(Schema):
    """One's own account."""

    username: str
    first_name: str
    last_name: str
    email: str
    has_second_factor: bool
    is_second_factor_demanded: bool
    recovery_codes_left: int
    is_studios: bool
    idle_min: int
    language: str


class AccountIn(In):
    """Names and mail address; the password makes sure that it is you."""

    old_password: str = Field(min_length=1, max_length=200)
    first_name: str = Field("", max_length=60)
    last_name: str = Field("", max_length=60)
    email: str = Field("", max_length=200)


class LanguageIn(In):
    """The language one reads; none is what the device asks for."""

    language: str = Field(max_length=5)


class PasswordIn(In):
    """Another password for the old one."""

    old_password: str = Field(min_length=1, max_length=200)
    password: str = Field(min_length=1, max_length=200)


class CodeIn(In):
    """A code from the phone."""

    code: str = Field(min_length=1, max_length=40)


class OwnPassword(In):
    """The password makes sure that it is you."""

    old_password: str = Field(min_length=1, max_length=200)


class SetUpOut(Schema):
    """What the phone needs: photographed, or typed."""

    key: str
    svg: str


class CodesOut(Schema):
    """Recovery codes, told this once."""

    codes: list[str]


class InvitationOut(Schema):
    """An invitation that can be taken up; `path` is told only when it is made."""

    id: UUID
    role: RoleName
    for_name: str
    email: str
    by_name: str
    expires_at: dt.datetime
    path: str | None = None
    is_mailed: bool = False


class InvitationIn(In):
    """Whom to let in, and as what; with an address the link goes there."""

    role: RoleName
    for_name: str = Field("", max_length=80)
    email: str = Field("", max_length=200)


class InvitedOut(Schema):
    """What an invitation opens."""

    studio_name: str
    role: RoleName
    by_name: str
    for_name: str


class TakeUpIn(In):
    """An account of one's own."""

    username: str = Field(min_length=1, max_length=60)
    first_name: str = Field(min_length=1, max_length=60)
    last_name: str = Field("", max_length=60)
    password: str = Field(min_length=1, max_length=200)
    is_studios: bool = False


class ResetPath(Schema):
    """Where the member sets a new password."""

    path: str


class AskReset(In):
    """Whose password is to be reset."""

    email: str = Field(min_length=1, max_length=200)


class ResetOut(Schema):
    """Whose password it is."""

    name: str
    username: str


class ResetIn(In):
    """The new password."""

    password: str = Field(min_length=1, max_length=200)


class Done(Schema):
    """It is done."""

    is_done: bool = True


BUSY = frozenset({429})


def _account(request: HttpRequest) -> AccountOut:
    member = member_of(request)
    member.refresh_from_db()
    user = member.user
    return AccountOut(
        username=user.get_username(),
        first_name=user.first_name,
        last_name=user.last_name,
        email=user.email,
        has_second_factor=member.second_factor_at is not None,
        is_second_factor_demanded=member.studio.demands_second_factor,
        recovery_codes_left=len(member.recovery_hashes),
        is_studios=bool(request.session.get(STUDIOS, True)),
        idle_min=member.studio.idle_min,
        language=member.language,
    )


@router.get("/account", response={200: AccountOut, ERRORS: Problem})
def read_account(request: HttpRequest) -> AccountOut:
    """One's own account."""
    return _account(request)


@router.patch("/account", response={200: AccountOut, ERRORS | BUSY: Problem})
def change_account(request: HttpRequest, payload: AccountIn) -> AccountOut:
    """Names and mail address."""
    values = payload.dict()
    accounts.change_account(member_of(request), values.pop("old_password"), values)
    return _account(request)


@router.put("/account/language", response={200: AccountOut, ERRORS: Problem})
def change_language(request: HttpRequest, payload: LanguageIn) -> AccountOut:
    """The language one reads, on every device."""
    accounts.change_language(member_of(request), payload.language)
    return _account(request)


@router.post("/account/password", response={200: AccountOut, ERRORS | BUSY: Problem})
def change_password(request: HttpRequest, payload: PasswordIn) -> AccountOut:
    """Another password; every other device is signed out."""
    member = member_of(request)
    accounts.change_password(member, payload.old_password, payload.password)
    update_session_auth_hash(request, member.user)
    return _account(request)


@router.post("/account/sign-out-everywhere", response={200: AccountOut, ERRORS: Problem})
def sign_out_everywhere(request: HttpRequest) -> AccountOut:
    """Every other device is signed out at once."""
    request.session[REVISION] = accounts.sign_out_everywhere(member_of(request))
    request.session.save()
    return _account(request)


@router.post("/account/here", response={200: Done, ERRORS: Problem})
def here(request: HttpRequest) -> Done:
    """Someone acts on this device, though nothing is sent: it is not signed out for idling."""
    return Done()


@router.post("/account/second-factor", response={200: SetUpOut, ERRORS | BUSY: Problem})
def set_second_factor_up(request: HttpRequest, payload: OwnPassword) -> SetUpOut:
    """A key for the phone; it counts once a code of it was typed."""
    member = member_of(request)
    accounts.require_password(member, payload.old_password)
    found = second_factor.set_up(member)
    return SetUpOut(key=found.key, svg=found.svg)


@router.put("/account/second-factor", response={200: CodesOut, ERRORS: Problem})
def confirm_second_factor(request: HttpRequest, payload: CodeIn) -> CodesOut:
    """The first code; every other device is signed out. The recovery codes, told this once."""
    member = member_of(request)
    codes = second_factor.confirm(member, payload.code)
    request.session[REVISION] = accounts.sign_out_everywhere(member)
    request.session.save()
    return CodesOut(codes=codes)


@router.delete("/account/second-factor", response={200: AccountOut, ERRORS | BUSY: Problem})
def switch_second_factor_off(request: HttpRequest, payload: OwnPassword) -> AccountOut:
    """No codes are asked for any more."""
    member = member_of(request)
    accounts.require_password(member, payload.old_password)
    second_factor.switch_off(member)
    return _account(request)


@router.post("/account/recovery-codes", response={200: CodesOut, ERRORS | BUSY: Problem})
def new_recovery_codes(request: HttpRequest, payload: OwnPassword) -> CodesOut:
    """Ten others, told this once; those before open nothing."""
    member = member_of(request)
    accounts.require_password(member, payload.old_password)
    return CodesOut(codes=second_factor.new_recovery_codes(member))


def _invitation(row: Invitation, secret: str | None = None, *, is_mailed: bool = False) -> InvitationOut:
    return InvitationOut(
        id=row.pk,
        role=cast(RoleName, row.role),
        for_name=row.for_name,
        email=row.email,
        by_name=row.by_name,
        expires_at=row.expires_at,
        path=f"/invitation/{secret}" if secret else None,
        is_mailed=is_mailed,
    )


@router.get("/invitations", response={200: list[InvitationOut], ERRORS: Problem})
def list_invitations(request: HttpRequest) -> list[InvitationOut]:
    """Those that can still be taken up, without their secrets."""
    return [_invitation(r) for r in accounts.open_invitations(member_of(request))[: accounts.OPEN_INVITATIONS_MAX]]


@router.post("/invitations", response={201: InvitationOut, ERRORS: Problem})
def invite(request: HttpRequest, payload: InvitationIn) -> Status[InvitationOut]:
    """A place in the studio behind a secret link, told this once."""
    row, secret, is_mailed = accounts.invite(member_of(request), **payload.dict())
    return Status(201, _invitation(row, secret, is_mailed=is_mailed))


@router.delete("/invitations/{invitation_id}", response={200: Done, ERRORS: Problem})
def take_invitation_back(request: HttpRequest, invitation_id: UUID) -> Done:
    """Its link opens nothing from now on."""
    accounts.take_invitation_back(member_of(request), invitation_id)
    return Done()


@router.get("/invitation/{secret}", auth=None, response={200: InvitedOut, ERRORS: Problem})
@decorate_view(ensure_csrf_cookie)
def read_invitation(request: HttpRequest, secret: str) -> InvitedOut:
    """What an invitation opens."""
    row = accounts.invitation_of(secret)
    return InvitedOut(
        studio_name=row.studio.name, role=cast(RoleName, row.role), by_name=row.by_name, for_name=row.for_name
    )


@router.post("/invitation/{secret}", auth=None, response={200: SessionOut, ERRORS | BUSY: Problem})
@decorate_view(csrf_protect)
def take_invitation_up(request: HttpRequest, secret: str, payload: TakeUpIn) -> SessionOut:
    """An account of one's own, signed in at once."""
    values = payload.dict()
    is_studios = values.pop("is_studios")
    count_try(request.META.get("REMOTE_ADDR", ""))
    member = accounts.take_up(secret, **values)
    open_session(request, member, is_studios=is_studios)
    return session_of(member)


@router.post("/members/{member_id}/reset", response={200: ResetPath, ERRORS: Problem})
def make_reset(request: HttpRequest, member_id: int) -> ResetPath:
    """A link with which a member sets a new password, told this once; good for a day."""
    return ResetPath(path=accounts.make_reset(member_of(request), member_id if 0 < member_id < 2**31 else 0))


@router.post("/reset", auth=None, response={200: Done, ERRORS | BUSY: Problem})
@decorate_view(csrf_protect)
def ask_reset(request: HttpRequest, payload: AskReset) -> Done:
    """A link goes to the address, when a member has it; the answer is the same when nobody does."""
    count_try(request.META.get("REMOTE_ADDR", ""), weight=8)
    accounts.ask_reset(payload.email)
    return Done()


@router.get("/reset/{uid}/{token}", auth=None, response={200: ResetOut, ERRORS: Problem})
@decorate_view(ensure_csrf_cookie)
def read_reset(request: HttpRequest, uid: str, token: str) -> ResetOut:
    """Whose password is to be set."""
    row = accounts.check_reset(uid, token)
    return ResetOut(name=row.name, username=row.user.get_username())


@router.post("/reset/{uid}/{token}", auth=None, response={200: Done, ERRORS | BUSY: Problem})
@decorate_view(csrf_protect)
def reset(request: HttpRequest, uid: str, token: str, payload: ResetIn) -> Done:
    """Set it; every session of the member's ends."""
    count_try(request.META.get("REMOTE_ADDR", ""))
    accounts.reset(uid, token, payload.password)
    return Done()
