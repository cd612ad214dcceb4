"""Signing in and out, and who is signed in."""

from __future__ import annotations

from django.contrib.auth import authenticate, login, logout
from django.http import HttpRequest, HttpResponse
from django.utils import timezone
from django.views.decorators.csrf import csrf_protect, ensure_csrf_cookie
from ninja import Router, Schema
from ninja.decorators import decorate_view

from apps.common.problems import ERRORS, Problem, problem
from apps.common.schemas import In
from apps.common.telling import tell_sessions
from apps.studio.auth import member_of
from apps.studio.models import Membership
from apps.studio.throttle import TooBusyError, count_try

router = Router(tags=["studio"])


class SignIn(In):
    """Name and password."""

    username: str
    password: str


class SessionOut(Schema):
    """The signed-in member, or nobody; and the server's clock, for devices to take its offset."""

    member_name: str | None = None
    role: str | None = None
    studio_name: str | None = None
    server_now: str


def locked_out(request: HttpRequest, response: HttpResponse, credentials: object = None) -> HttpResponse:
    """The answer while a name is locked after too many tries."""
    return problem(403, "locked_out")


def session_of(member: Membership | None) -> SessionOut:
    """Who is signed in, and the server's clock."""
    return SessionOut(
        member_name=member.name if member else None,
        role=member.role if member else None,
        studio_name=member.studio.name if member else None,
        server_now=timezone.now().isoformat(),
    )


def _member(user_id: int | None) -> Membership | None:
    return Membership.objects.select_related("studio", "user").filter(user_id=user_id).first() if user_id else None


@router.get("/session", auth=None, response=SessionOut)
@decorate_view(ensure_csrf_cookie)
def read_session(request: HttpRequest) -> SessionOut:
    """Who is signed in."""
    return session_of(_member(request.user.pk))


@router.post("/session", auth=None, response={200: SessionOut, ERRORS: Problem})
@decorate_view(csrf_protect)
def sign_in(request: HttpRequest, payload: SignIn) -> SessionOut | HttpResponse:
    """Sign in; throttled after repeated failures."""
    try:
        count_try(request.META.get("REMOTE_ADDR", ""))
        user = authenticate(request, username=payload.username, password=payload.password)
    except TooBusyError:
        return problem(429, "sign_in_busy")
    if user is None:
        return problem(401, "wrong_password")
    member = _member(user.pk)
    if member is None:
        return problem(403, "no_studio")
    login(request, user)
    return session_of(member)


@router.delete("/session", response={200: SessionOut, ERRORS: Problem})
def sign_out(request: HttpRequest) -> SessionOut:
    """Sign out and end the session."""
    studio_id = member_of(request).studio_id
    logout(request)
    tell_sessions(studio_id)
    return session_of(None)
