"""Who asks, where a proxy stands before the server: its word is taken only when it is one that was named."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any, cast

from uvicorn.middleware.proxy_headers import ProxyHeadersMiddleware

from config.limits import App, Receive, Scope, Send

FORWARDED = (
    b"x-forwarded-for",
    b"x-forwarded-proto",
    b"x-forwarded-host",
    b"x-forwarded-port",
    b"forwarded",
    b"x-real-ip",
)


class _Forgetful:
    """Drops forwarded headers, once they were read or where nobody may send them."""

    def __init__(self, app: App) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] == "http":
            scope["headers"] = [(k, v) for k, v in scope["headers"] if k.lower() not in FORWARDED]
        await self.app(scope, receive, send)


def behind(trusted: Sequence[str], app: App) -> App:
    """The app behind proxies at some addresses or networks; forwarded headers of all others change nothing."""
    forgetful = _Forgetful(app)
    return (
        cast(App, ProxyHeadersMiddleware(cast(Any, forgetful), trusted_hosts=list(trusted))) if trusted else forgetful
    )
