"""Errors as problem+json (RFC 9457), each with a stable code."""

from __future__ import annotations

import json
from typing import Any

from django.http import HttpResponse
from ninja import Schema


class Problem(Schema):
    """An error: what happened, in a sentence, with a code that stays."""

    title: str
    status: int
    code: str
    detail: str
    field: str | None = None
    limit: str | None = None
    value: str | float | bool | None = None


TITLES = {401: "Signed out", 403: "Not allowed", 404: "Not found", 409: "Does not fit", 422: "Out of limits"}
ERRORS = frozenset({401, 403, 404, 409, 422})


def problem(status: int, code: str, detail: str, **more: Any) -> HttpResponse:
    """A problem+json answer."""
    body = {"title": TITLES.get(status, "Error"), "status": status, "code": code, "detail": detail, **more}
    return HttpResponse(json.dumps(body), status=status, content_type="application/problem+json")
