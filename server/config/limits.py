"""How much a request may bring: counted before it is read, by where it goes.

The framework keeps a whole body before anyone looks at it; here a body that is too large is refused by its own word for
its length, or where it is told in pieces, at the piece that is too much.
"""

from __future__ import annotations

import re
from collections.abc import Awaitable, Callable, MutableMapping
from http.cookies import CookieError, SimpleCookie
from typing import Any

from asgiref.sync import sync_to_async
from django.conf import settings
from django.contrib.sessions.models import Session
from django.db import DatabaseError, connection
from django.utils import timezone

from apps.common.problems import problem
from fervens_core.base import say

Scope = MutableMapping[str, Any]
Receive = Callable[[], Awaitable[MutableMapping[str, Any]]]
Send = Callable[[MutableMapping[str, Any]], Awaitable[None]]
App = Callable[[Scope, Receive, Send], Awaitable[None]]

USUAL = 2_500_000
"""Bytes of anything that is no file."""
FILES: tuple[tuple[re.Pattern[str], int, bool], ...] = (
    (re.compile(r"^/api/archive$"), 510_000_000, True),
    (re.compile(r"^/api/services/[^/]+/photos$"), 16_000_000, True),
    (re.compile(r"^/api/(services/[^/]+/lanes/[^/]+/)?camera$"), 13_000_000, True),
    (re.compile(r"^/api/request/[^/]+$"), 50_000_000, False),
)
"""Where files go: how many bytes at most, and whether only to who is signed in."""


class _TooLargeError(Exception):
    """More came than may."""


def _is_signed_in(headers: dict[bytes, bytes]) -> bool:
    """Whether a session stands; a stranger's large body is not even begun with."""
    try:
        cookie = SimpleCookie(headers.get(b"cookie", b"").decode("latin-1")).get(settings.SESSION_COOKIE_NAME)
        key = cookie.value if cookie else ""
        return bool(key) and Session.objects.filter(session_key=key[:40], expire_date__gt=timezone.now()).exists()
    except (CookieError, DatabaseError):
        return False
    finally:
        connection.close()


async def _limit(path: str, headers: dict[bytes, bytes]) -> int:
    for pattern, most, needs_session in FILES:
        if pattern.match(path):
            return USUAL if needs_session and not await sync_to_async(_is_signed_in)(headers) else most
    return USUAL


def _length(headers: dict[bytes, bytes]) -> int:
    try:
        return int(headers.get(b"content-length", b"0"))
    except ValueError:
        return 0


class BodyLimits:
    """ASGI middleware that refuses bodies that are too large before they are read."""

    def __init__(self, app: App) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass on what is small enough."""
        if scope["type"] != "http" or scope["method"] in ("GET", "HEAD", "OPTIONS"):
            await self.app(scope, receive, send)
            return
        headers = dict(scope["headers"])
        most = await _limit(scope["path"], headers)
        if _length(headers) > most:
            await _refuse(send, most, str(_length(headers)))
            return
        came, has_begun = 0, False

        async def counted() -> MutableMapping[str, Any]:
            nonlocal came
            message = await receive()
            came += len(message.get("body", b""))
            if came > most:
                raise _TooLargeError
            return message

        async def told(message: MutableMapping[str, Any]) -> None:
            nonlocal has_begun
            has_begun = True
            await send(message)

        try:
            await self.app(scope, counted, told)
        except _TooLargeError:
            if not has_begun:
                await _refuse(send, most, ">")


async def _refuse(send: Send, most: int, value: str) -> None:
    detail = say("error-too_large", most=most, value=value)
    answer = problem(413, "too_large", detail, field="body", limit=say("limit-most_bytes", most=most))
    body = answer.content
    headers = [(b"content-type", answer["Content-Type"].encode()), (b"content-length", str(len(body)).encode())]
    await send({"type": "http.response.start", "status": 413, "headers": [*headers, (b"connection", b"close")]})
    await send({"type": "http.response.body", "body": body})
