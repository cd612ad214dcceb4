"""What no text and no number of a request may hold: refused with its place before anything reads it."""

from __future__ import annotations

import json
import math
from collections.abc import Iterator
from typing import Any
from urllib.parse import unquote

from django.core.exceptions import RequestDataTooBig
from django.http import HttpRequest, HttpResponse

from apps.common.middleware import BothWays
from apps.common.problems import problem
from fervens_core.base import Message, say

DEEPEST = 40


def _is_unfit(text: str) -> bool:
    return "\x00" in text or any("\ud800" <= c <= "\udfff" for c in text)


def unfit(value: Any, place: str, depth: int = 0) -> Iterator[tuple[str, Message, Any]]:
    """Every value that no text or number may be, as (place, limit, value shown)."""
    if depth > DEEPEST:
        yield place, say("limit-depth", most=DEEPEST), "more"
    elif isinstance(value, str):
        if _is_unfit(value):
            yield place, say("limit-plain_text"), ascii(value)[:60]
    elif isinstance(value, float):
        if not math.isfinite(value):
            yield place, say("limit-finite"), str(value)
    elif isinstance(value, dict):
        for key, item in value.items():
            if _is_unfit(key):
                yield place or "body", say("limit-plain_keys"), ascii(key)[:60]
            yield from unfit(item, f"{place}.{key}" if place else key, depth + 1)
    elif isinstance(value, list):
        for i, item in enumerate(value):
            yield from unfit(item, f"{place}[{i}]", depth + 1)


def _refused(request: HttpRequest) -> HttpResponse | None:
    for place, text in (("path", request.path_info), ("query", unquote(request.META.get("QUERY_STRING", "")))):
        if _is_unfit(text):
            return _answer(place, say("limit-plain_text"), ascii(text)[:60])
    if request.method in ("GET", "HEAD", "OPTIONS") or request.content_type != "application/json":
        return None
    try:
        body = json.loads(request.body) if request.body else None
        found = next(unfit(body, ""), None)
    except RequestDataTooBig:
        return None  # refused by its own handler
    except (ValueError, RecursionError):
        return _answer("body", say("limit-json_body"), "?")
    return _answer(found[0] or "body", found[1], found[2]) if found else None


def _answer(place: str, limit: Message, shown: Any) -> HttpResponse:
    place = ascii(place)[1:-1][:120]
    detail = say("error-value_out_of_limit", field=place, limit=limit, value=str(shown))
    return problem(400, "value_out_of_limit", detail, field=place, limit=limit, value=shown)


class PlainRequests(BothWays):
    """Middleware: NUL, lone surrogates, NaN and infinities are answered 400 with their place."""

    def before(self, request: HttpRequest) -> HttpResponse | None:
        """The refusal, if there is a reason for one."""
        return _refused(request)
