"""A puzzle for who asks without signing in: cheap for one, dear for a thousand, with nobody else's help.

The page finds a number whose hash, with the puzzle's text, begins with so many zero bits (a proof of work after Back's
hashcash, 2002). A puzzle is signed, young, and good once.
"""

from __future__ import annotations

import hashlib
import secrets

from django.core import signing

from fervens_core.base import ConflictError

SALT, AGE_S = "fervens.puzzle", 2 * 3600
BITS_MAX = 22


def new_puzzle(bits: int) -> str:
    """A puzzle of some difficulty: an answer takes about two to the power of its bits tries."""
    return signing.dumps([min(bits, BITS_MAX), secrets.token_urlsafe(12)], salt=SALT)


def zero_bits(puzzle: str, answer: str) -> int:
    """How many zero bits the hash of an answer begins with."""
    digest = int.from_bytes(hashlib.sha256(f"{puzzle}:{answer}".encode()).digest(), "big")
    return 256 - digest.bit_length()


def check_answer(puzzle: str, answer: str) -> str:
    """The name under which a puzzle is used up. Raises ConflictError for one that is forged, old or not solved."""
    try:
        bits, _ = signing.loads(puzzle, salt=SALT, max_age=AGE_S)
    except (signing.BadSignature, ValueError, TypeError):
        raise ConflictError("puzzle") from None
    if zero_bits(puzzle, answer[:20]) < bits:
        raise ConflictError("puzzle")
    return hashlib.sha256(puzzle.encode()).hexdigest()


def solve(puzzle: str) -> str:
    """An answer, as the page finds one."""
    bits, _ = signing.loads(puzzle, salt=SALT)
    number = 0
    while zero_bits(puzzle, str(number)) < bits:
        number += 1
    return str(number)
