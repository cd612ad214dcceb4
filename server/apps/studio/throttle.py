"""How many may try to sign in at once: hashing a password is meant to be slow, and strangers must not stop the chairs.

Two hashes at a time in each process, a short queue, and so many tries a minute from one address. Names are locked apart
from this, after repeated failures (django-axes).
"""

from __future__ import annotations

import threading
from collections.abc import Iterator
from contextlib import contextmanager

from django.core.cache import cache
from django.db import connection

AT_ONCE, QUEUE_S = 2, 4.0
TRIES, TRIES_S = 40, 60
_hashing = threading.BoundedSemaphore(AT_ONCE)


class TooBusyError(Exception):
    """Others are signing in; nobody's name or password was looked at."""


def count_try(address: str, weight: int = 1) -> None:
    """Count a try from an address, for as many as it weighs. Raises TooBusyError for one that tries too often."""
    key = f"sign-in-{address}"
    if cache.add(key, weight, TRIES_S):
        return
    try:
        tries = cache.incr(key, weight)
    except ValueError:  # its minute ended just now
        return
    if tries > TRIES:
        raise TooBusyError


@contextmanager
def one_hash() -> Iterator[None]:
    """Room to hash one password, without a connection to the database in hand. Raises TooBusyError."""
    if not connection.in_atomic_block:
        connection.close()
    if not _hashing.acquire(timeout=QUEUE_S):
        raise TooBusyError
    try:
        yield
    finally:
        _hashing.release()
