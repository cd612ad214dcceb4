"""Heavy work beside the boards: plans and toner searches are computed in a process of their own, by turns.

A server process serves many requests with threads, and long computing in one of them makes all others wait. So what
takes long is handed to a helper process, at a lower priority, without a connection to the database in hand; those who
ask for the same wait for the same answer; the queue is short and has a budget, so that an answer comes in time or is
told to be late. Scripts and tests compute in place, each piece once at a time.
"""

from __future__ import annotations

import atexit
import contextlib
import os
import threading
import zlib
from collections.abc import Callable
from concurrent.futures import Future
from concurrent.futures import TimeoutError as LateError
from multiprocessing import get_context
from typing import Any, TypeVar

from django.conf import settings
from django.db import connection
from pebble import ProcessExpired, ProcessPool

from apps.common.watch import follow_parent
from apps.common.watching import HELPERS

T = TypeVar("T")
BUDGET_S = 30.0
"""One piece of work takes no longer; its process is ended then."""
QUEUE_MAX = 24
"""So many different pieces wait at most; who comes after is asked to come again."""
WAIT_S = 40.0
_NICE = 10


class BusyError(Exception):
    """Too much is being computed; nothing of this was begun, or it took too long."""


def _settle() -> None:
    """In the helper: behind the boards, and gone with the server process."""
    with contextlib.suppress(OSError):
        os.nice(_NICE)
    follow_parent(lambda: os._exit(0))


class Helper:
    """One process that computes what is handed to it, one piece after another."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._pool: ProcessPool | None = None
        self._going: dict[str, Future[Any]] = {}

    def _started(self) -> ProcessPool:
        if self._pool is None or not self._pool.active:
            self._pool = ProcessPool(1, context=get_context("spawn"), initializer=_settle)
            atexit.register(self.stop)
        return self._pool

    def waiting(self) -> int:
        """How many pieces are being computed or wait."""
        with self._lock:
            return len(self._going)

    def _handed(self, name: str, work: Callable[..., Any], arguments: tuple[Any, ...]) -> Future[Any]:
        with self._lock:
            found = self._going.get(name)
            if found is not None:
                return found
            if len(self._going) >= QUEUE_MAX:
                raise BusyError
            made: Future[Any] = self._started().schedule(work, args=arguments, timeout=BUDGET_S)
            self._going[name] = made
            HELPERS.inc()
        made.add_done_callback(lambda _: self._ended(name))
        return made

    def _ended(self, name: str) -> None:
        with self._lock:
            self._going.pop(name, None)
            HELPERS.dec()

    def begin(self, name: str, work: Callable[..., Any], *arguments: Any) -> None:
        """Hand some work over and do not wait for it."""
        self._handed(name, work, arguments)

    def compute(self, name: str, work: Callable[..., T], *arguments: Any) -> T:
        """What some work gives, computed in the helper; whoever asks for the same name meanwhile shares it.

        Raises:
            BusyError: too much waits, or it took longer than its budget. What the work raises.
        """
        future = self._handed(name, work, arguments)
        try:
            found: T = future.result(timeout=WAIT_S)
        except (LateError, ProcessExpired):
            raise BusyError from None
        return found

    def stop(self) -> None:
        """End the process, whatever it is at."""
        with self._lock:
            pool, self._pool = self._pool, None
        if pool is not None:
            pool.stop()  # type: ignore[no-untyped-call]
            pool.join(timeout=2)


helpers = tuple(Helper() for _ in range(max(1, min(2, os.cpu_count() or 1))))


def computed(name: str, work: Callable[..., T], *arguments: Any, about: str = "") -> T:
    """Some work of the core's, beside the boards where a server runs, else in place.

    Args:
        name: says all that the answer depends on. work: a function of a module, its arguments and answer plain values.
        about: what is about the same goes to the same helper, which remembers.
    Raises:
        BusyError: too much waits, or it takes too long.
    """
    module = getattr(work, "func", work).__module__
    if module.startswith("apps."):
        raise TypeError(module)  # a helper has the core, and no Django
    if not settings.SERVING:
        return _in_place(name, work, arguments)
    if not connection.in_atomic_block:
        connection.close()  # nobody waits for a connection while this computes
    return helpers[zlib.crc32((about or name).encode()) % len(helpers)].compute(name, work, *arguments)


_here: dict[str, Future[Any]] = {}
_at_here = threading.Lock()


def _in_place(name: str, work: Callable[..., T], arguments: tuple[Any, ...]) -> T:
    with _at_here:
        going = _here.get(name)
        mine = _here.setdefault(name, Future())
    if going is not None:
        shared: T = going.result()
        return shared
    try:
        found = work(*arguments)
        mine.set_result(found)
    except BaseException as error:
        mine.set_exception(error)
        raise
    finally:
        with _at_here:
            del _here[name]
    return found


def warm_up() -> None:
    """Start the helpers, so that nobody waits for that."""
    for i, helper in enumerate(helpers):
        helper.begin(f"warm-up-{i}", _nothing)


def _nothing() -> None:
    """What a helper does first: it loads the core on the way."""
    import fervens_core.basin
    import fervens_core.planning  # noqa: F401
