"""Whether the process that started this one still lives: who is left behind must not hold the port."""

from __future__ import annotations

import os
import threading
import time
from collections.abc import Callable

EVERY_S = 1.0


def follow_parent(then: Callable[[], None]) -> None:
    """Do something once, when the process that started this one has gone."""
    parent = os.getppid()

    def watch() -> None:
        while os.getppid() == parent:
            time.sleep(EVERY_S)
        then()

    threading.Thread(target=watch, daemon=True, name="follow-parent").start()
