"""What the core says, in English: so that tests read what people read."""

from __future__ import annotations

import re
from collections.abc import Iterator
from contextlib import contextmanager

import pytest

from fervens_core.base import CoreError, Message
from fervens_words import words


@contextmanager
def refused(kind: type[CoreError], match: str) -> Iterator[pytest.ExceptionInfo[CoreError]]:
    """An error of the core whose sentence matches a pattern."""
    with pytest.raises(kind) as found:
        yield found
    sentence = words(found.value.message)
    assert re.search(match, sentence), sentence


def told(value: Message | str | None) -> str:
    """A message in English; nothing for none."""
    return "" if value is None else words(value)
