"""Turns for what takes long: plans and toner searches are let in a few at a time, so that boards never wait for them.

What is let in is loaded, handed to a helper process (`apps.common.heavy`) and told; all of that beside 30 others would
hold the boards up. Those who wait here hold neither a thread nor a connection.
"""

from __future__ import annotations

import asyncio
import re

from apps.common.problems import problem
from config.limits import App, Receive, Scope, Send

HEAVY = re.compile(r"^/api/services/[^/]+/(plan(/(preview|aims|take|versions))?|tone(/try)?|review|next)$")
AT_ONCE = 3
WAITING_MAX = 60
WAIT_S = 45.0


class Turns:
    """ASGI middleware: heavy requests by turns, all others at once."""

    def __init__(self, app: App) -> None:
        self.app = app
        self.waiting = 0
        self._turns: asyncio.Semaphore | None = None
        self._loop: asyncio.AbstractEventLoop | None = None

    def _semaphore(self) -> asyncio.Semaphore:
        loop = asyncio.get_running_loop()
        if self._turns is None or self._loop is not loop:
            self._turns, self._loop, self.waiting = asyncio.Semaphore(AT_ONCE), loop, 0
        return self._turns

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass on, when it is its turn; 503 where too many wait, or for too long."""
        if scope["type"] != "http" or not HEAVY.match(scope["path"]):
            await self.app(scope, receive, send)
            return
        turns = self._semaphore()
        if self.waiting >= WAITING_MAX:
            await _busy(send)
            return
        self.waiting += 1
        try:
            await asyncio.wait_for(turns.acquire(), WAIT_S)
        except TimeoutError:
            await _busy(send)
            return
        finally:
            self.waiting -= 1
        try:
            await self.app(scope, receive, send)
        finally:
            turns.release()


async def _busy(send: Send) -> None:
    answer = problem(503, "busy")
    headers = [(b"content-type", answer["Content-Type"].encode()), (b"retry-after", b"5")]
    await send({"type": "http.response.start", "status": 503, "headers": headers})
    await send({"type": "http.response.body", "body": answer.content})
