"""Signing in and out, and who is signed in."""

from __future__ import annotations

from typing import Any, Literal, cast

from django.contrib.auth import authenticate, logout
from django.core.cache import cache
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.views.decorators.csrf import csrf_protect, ensure_csrf_cookie
from ninja import Router, Schema
from ninja.decorators import decorate_view
from pydantic import Field

from apps.common.problems import ERRORS, Problem, problem
from apps.common.schemas import In
from apps.common.telling import tell_sessions
from apps.studio.actions import audit
from apps.studio.auth import member_of, owed
from apps.studio.models import Membership
from apps.studio.second_factor import is_right
from apps.studio.sessions import STUDIOS, open_session, stands
from apps.studio.throttle import count_try

router = Router(tags=["studio"])


class SignIn(In):
    """Name and password, a code where a second factor is set, and whether the device stays in the studio."""

    username: str = Field(max_length=200)
    password: str = Field(max_length=200)
    code: str | None = Field(None, max_length=40)
    is_studios: bool = False


class SessionOut(Schema):
    """The signed-in member, or nobody; and the server's clock, for devices to take its offset."""

    member_name: str | None = None
    role: str | None = None
    studio_name: str | None = None
    language: str = ""
    units: Literal["metric", "us"] = "metric"
    owes: Literal["password", "second_factor"] | None = None
    is_studios: bool = False
    is_demo: bool = False
    server_now: str


def locked_out(request: HttpRequest, response: HttpResponse, credentials: object = None) -> HttpResponse:
    """The answer while a name is locked after too many tries."""
    return problem(403, "locked_out")


def session_of(member: Membership | None, *, is_studios: bool = False) -> SessionOut:
    """Who is signed in, and the server's clock."""
    return SessionOut(
        owes=cast(Any, owed(member)) if member else None,
        is_studios=is_studios,
        is_demo=bool(member and member.studio.is_demo),
        member_name=member.name if member else None,
        role=member.role if member else None,
        studio_name=member.studio.name if member else None,
        language=member.language if member else "",
        units=cast(Any, member.studio.units) if member else "metric",
        server_now=timezone.now().isoformat(),
    )


def _member(user_id: int | None) -> Membership | None:
    return Membership.objects.select_related("studio", "user").filter(user_id=user_id).first() if user_id else None


@router.get("/session", auth=None, response=SessionOut)
@decorate_view(ensure_csrf_cookie)
def read_session(request: HttpRequest) -> SessionOut:
    """Who is signed in."""
    member = _member(request.user.pk)
    if member and not stands(request.session, member):
        logout(request)
        member = None
    return session_of(member, is_studios=bool(member and request.session.get(STUDIOS)))


@router.post("/session", auth=None, response={200: SessionOut, ERRORS: Problem})
@decorate_view(csrf_protect)
def sign_in(request: HttpRequest, payload: SignIn) -> SessionOut | HttpResponse:
    """Sign in; throttled after repeated failures."""
    count_try(request.META.get("REMOTE_ADDR", ""))
    user = authenticate(request, username=payload.username, password=payload.password)
    if user is None:
        _note_failure(payload.username, "sign_in_failed")
        return problem(401, "wrong_password")
    member = _member(user.pk)
    if member is None:
        return problem(403, "no_studio")
    if member.second_factor_at is not None:
        if not payload.code:
            return problem(401, "code_needed")
        if not is_right(member, payload.code):
            _note_failure(payload.username, "code_failed")
            return problem(401, "wrong_code")
    open_session(request, member, is_studios=payload.is_studios)
    audit(member, "signed_in", request.META.get("REMOTE_ADDR", ""))
    return session_of(member, is_studios=payload.is_studios)


def _note_failure(username: str, act: str) -> None:
    """In the trail of the studio whose member it was to be: once in ten minutes a name, so that nobody can fill it."""
    if cache.add(f"{act}-{hash(username)}", 1, 600):
        member = Membership.objects.select_related("user").filter(user__username=username).first()
        if member:
            audit(member, act, member.name)


@router.delete("/session", response={200: SessionOut, ERRORS: Problem})
def sign_out(request: HttpRequest) -> SessionOut:
    """Sign out and end the session."""
    member = member_of(request)
    audit(member, "signed_out", member.name)
    logout(request)
    tell_sessions(member.studio_id)
    return session_of(None)
