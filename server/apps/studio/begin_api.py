"""The first visit, and what a new studio has still to do."""

from __future__ import annotations

from django.http import HttpRequest
from django.views.decorators.csrf import csrf_protect, ensure_csrf_cookie
from ninja import Router, Schema
from ninja.decorators import decorate_view
from pydantic import Field

from apps.common.problems import ERRORS, Problem
from apps.common.schemas import In
from apps.studio import begin as first
from apps.studio.api import SessionOut, session_of
from apps.studio.auth import member_of
from apps.studio.first_steps import Step, steps_of
from apps.studio.sessions import open_session

router = Router(tags=["begin"])


class BeginOut(Schema):
    """Whether there is a studio to be made here."""

    is_open: bool


class BeginIn(In):
    """The studio and its owner; the token is what the server printed."""

    token: str = Field(min_length=1, max_length=400)
    studio: str = Field(min_length=1, max_length=80)
    username: str = Field(min_length=1, max_length=60)
    first_name: str = Field("", max_length=60)
    last_name: str = Field("", max_length=60)
    password: str = Field(min_length=1, max_length=200)


class StepOut(Schema):
    """One of the first steps, and whether it is done."""

    code: Step
    is_done: bool


@router.get("/begin", auth=None, response=BeginOut)
@decorate_view(ensure_csrf_cookie)
def read_begin(request: HttpRequest, token: str = "") -> BeginOut:
    """Whether a first visit is still to come: to an empty server, or with a token for another studio."""
    return BeginOut(is_open=first.is_open() or first.is_good(token[:400]))


@router.post("/begin", auth=None, response={200: SessionOut, ERRORS: Problem})
@decorate_view(csrf_protect)
def begin(request: HttpRequest, payload: BeginIn) -> SessionOut:
    """Make the studio and its owner, who is then signed in."""
    member = first.begin(**payload.dict())
    open_session(request, member)
    return session_of(member)


@router.get("/begin/steps", response={200: list[StepOut], ERRORS: Problem})
def read_steps(request: HttpRequest) -> list[StepOut]:
    """What a new studio has done of its first steps, and what is to come."""
    return [StepOut(code=code, is_done=is_done) for code, is_done in steps_of(member_of(request))]
