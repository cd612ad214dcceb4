"""One listener a process on PostgreSQL's notices, handed on to every open stream of the studio they are about."""

from __future__ import annotations

import asyncio
import contextlib
import json
import logging
import signal
import threading
from collections.abc import AsyncIterator
from dataclasses import dataclass, field
from types import FrameType
from typing import Any

import psycopg
from django.db import connections

from apps.common.telling import CHANNEL

log = logging.getLogger("fervens")
RETRY_S = (0.2, 0.5, 1.0, 2.0)
QUEUE_MAX = 500
HEALTH_S = 10.0
STANDS_S = 2.0
"""A device that comes first is greeted once the line to the database stands, and after so long as behind."""
LINGER_S = 30.0
"""The line to the database stays for so long after the last device left: a page that is loaded anew comes at once."""


@dataclass(eq=False)
class Listener:
    """A device's open stream; notices that do not fit its queue make it take everything anew.

    Args:
        service: the one service it follows, or None for all of its studio.
    """

    studio: str
    service: str | None = None
    queue: asyncio.Queue[dict[str, Any]] = field(default_factory=lambda: asyncio.Queue(QUEUE_MAX))

    def offer(self, notice: dict[str, Any]) -> None:
        """Queue a notice."""
        if self.queue.full():
            while not self.queue.empty():
                self.queue.get_nowait()
            notice = {"what": "resync"}
        self.queue.put_nowait(notice)


def _address() -> dict[str, Any]:
    kept = connections["default"].settings_dict
    return {
        "host": kept["HOST"],
        "port": kept["PORT"],
        "dbname": kept["NAME"],
        "user": kept["USER"],
        "password": kept["PASSWORD"],
        "connect_timeout": 5,
    }


class Hub:
    """Listens while anyone does; when the database comes back, everyone is told to take everything anew."""

    def __init__(self) -> None:
        self._listeners: set[Listener] = set()
        self._task: asyncio.Task[None] | None = None
        self._loop: asyncio.AbstractEventLoop | None = None
        self.is_live = False
        self._owes_all = False
        self._stands = asyncio.Event()
        self._leaving: asyncio.TimerHandle | None = None
        self._ends_with_process = False

    @contextlib.asynccontextmanager
    async def listening(self, studio: str, service: str | None = None) -> AsyncIterator[Listener]:
        """A listener for one studio's notices, or one service's, as long as the block lasts."""
        loop = asyncio.get_running_loop()
        if self._loop is not loop:
            self._listeners, self._task, self._loop, self.is_live = set(), None, loop, False
            self._owes_all, self._stands, self._leaving = False, asyncio.Event(), None
        if self._leaving is not None:
            self._leaving.cancel()
            self._leaving = None
        listener = Listener(studio, service)
        self._listeners.add(listener)
        if self._task is None or self._task.done():
            self._task = loop.create_task(self._run())
        try:
            yield listener
        finally:
            self._listeners.discard(listener)
            if not self._listeners and self._leaving is None:
                self._leaving = loop.call_later(LINGER_S, self._leave)

    def _leave(self) -> None:
        self._leaving = None
        if self._task:
            self._task.cancel()
        self._task, self.is_live = None, False
        self._stands.clear()

    async def stands(self) -> bool:
        """Whether the line to the database stands, after a moment for it to come; who is told that it does not is told
        when it does."""
        with contextlib.suppress(TimeoutError):
            await asyncio.wait_for(self._stands.wait(), STANDS_S)
        self._owes_all |= not self.is_live
        return self.is_live

    def close(self) -> None:
        """The server stops: every line ends, and devices come again when it is back."""
        self._tell_all({"what": "stopping"})

    def end_with_process(self) -> None:
        """End all lines as soon as the process is asked to stop, before the server waits for what is open."""
        if self._ends_with_process or threading.current_thread() is not threading.main_thread():
            return
        self._ends_with_process, loop = True, asyncio.get_running_loop()
        for number in (signal.SIGTERM, signal.SIGINT):
            before = signal.getsignal(number)

            def stopping(got: int, frame: FrameType | None, before: Any = before) -> None:
                loop.call_soon_threadsafe(self.close)
                if callable(before):
                    before(got, frame)

            signal.signal(number, stopping)

    def _tell_all(self, notice: dict[str, Any]) -> None:
        for listener in self._listeners:
            listener.offer(notice)

    def _hand_on(self, payload: str) -> None:
        try:
            notice = json.loads(payload)
            studio = notice.pop("studio")
        except (ValueError, KeyError, AttributeError):
            log.warning("A notice was not understood: %.80s", payload)
            return
        for listener in self._listeners:
            if listener.studio == studio and listener.service in (None, notice.get("service", listener.service)):
                listener.offer(notice)

    async def _listen(self) -> None:
        async with await psycopg.AsyncConnection.connect(**_address(), autocommit=True) as line:
            await line.execute(f"LISTEN {CHANNEL}")
            self.is_live = True
            self._stands.set()
            if self._owes_all:
                self._tell_all({"what": "resync"})
            self._owes_all = False
            while True:
                async for notice in line.notifies(timeout=HEALTH_S):
                    self._hand_on(notice.payload)
                await line.execute("SELECT 1")  # a line that died silently is found out here

    async def _run(self) -> None:
        tries = 0
        while True:
            try:
                await self._listen()
            except (psycopg.Error, OSError) as error:
                self._stands.clear()
                if self.is_live:
                    tries = 0
                    self.is_live, self._owes_all = False, True
                    self._tell_all({"what": "behind"})
                    log.warning("The line to the database was lost: %.200s", error)
                await asyncio.sleep(RETRY_S[min(tries, len(RETRY_S) - 1)])
                tries += 1


hub = Hub()
