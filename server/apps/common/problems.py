"""Errors as problem+json (RFC 9457), each with a stable code."""

from __future__ import annotations

import json
from typing import Any

from django.core.exceptions import PermissionDenied
from django.http import HttpResponse
from ninja import Schema

from apps.common.words import WordsEncoder
from fervens_core.base import Message, say


class Problem(Schema):
    """An error: what happened, in a sentence, with a code that stays."""

    title: str
    status: int
    code: str
    detail: str
    field: str | None = None
    limit: str | None = None
    value: str | float | bool | None = None


HIDDEN = "***"
"""Stands where a password was given: it is neither kept nor said."""
ERRORS = frozenset({401, 403, 404, 409, 422})


class NotAllowed(PermissionDenied):
    """A role may not do this; says which may."""

    def __init__(self, message: Message) -> None:
        super().__init__(str(message))
        self.message = message


def problem(status: int, code: str, detail: Message | None = None, **more: Any) -> HttpResponse:
    """A problem+json answer.

    Args:
        code: stable; the catalogues have its sentence under `error-<code>`. detail: another sentence in its place.
        more: further fields; messages are told.
    """
    title = say(f"problem-{status}" if status in ERRORS else "problem-other")
    found = {"title": title, "status": status, "code": code, "detail": detail or say(f"error-{code}"), **more}
    return HttpResponse(json.dumps(found, cls=WordsEncoder), status=status, content_type="application/problem+json")
