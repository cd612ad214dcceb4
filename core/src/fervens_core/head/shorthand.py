"""A head read in one typed line: "5 all, ends 8.5 porous, want 9". Common practice, no source; docs/models/parts.md."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from typing import Any

from fervens_core.base import LimitError, check_level, say
from fervens_core.head.hair import History, Porosity
from fervens_core.head.parts import Part

LONGEST = 300
"""Characters of a line."""


class Word(StrEnum):
    """What a word of the line can be beside a zone, a part, a history or a porosity."""

    ALL = "all"
    BUT = "but"
    LEFT = "left"
    RIGHT = "right"
    WANT = "want"
    KEEP = "keep"
    MM = "mm"
    AND = "and"
    LEVEL = "level"


Meaning = Word | Part | History | Porosity | str
"""A zone is its key."""


@dataclass(frozen=True, slots=True)
class ReadLine:
    """One thing the line says: of which zones and which part of their strands, and what.

    Args:
        zone_keys: empty where none is named. part: WHOLE where none is named.
        start_level, target_level: levels, None where not said. length_mm: of a root part or of ends, mm.
        keeps_depth: no product goes on it.
    """

    zone_keys: tuple[str, ...]
    part: Part
    start_level: float | None = None
    target_level: float | None = None
    history: History | None = None
    porosity: Porosity | None = None
    length_mm: float | None = None
    keeps_depth: bool = False


_NUMBER = re.compile(r"\d+(?:[.,]\d+)?")
_ARROWS = ("->", "→", ">", "–", "-")
_BREAK = re.compile(r"[;؛،\n]|,(?!\d)|(?<!\d),")


def read_shorthand(
    text: str, vocabulary: Mapping[str, Meaning], zones: Mapping[str, str | None]
) -> tuple[ReadLine, ...]:
    """What a typed line says of a head, phrase by phrase.

    Args:
        text: at most 300 characters; phrases part at commas, semicolons (Arabic ones too) or lines; a
            comma between digits is a decimal.
        vocabulary: meaning of each word or words, in lower case.
        zones: keys of all zones there can be, each with its side, left or right, or None.
    Raises:
        LimitError: a word that is not known, a level out of 1 to 10, a phrase that says nothing; names the word.
    """
    if len(text) > LONGEST:
        raise LimitError("shorthand", say("limit-longest", most=LONGEST), len(text))
    phrases = [p for p in (x.strip() for x in _BREAK.split(text)) if p]
    if not phrases:
        raise LimitError("shorthand", say("limit-shorthand_empty"), text)
    rows = _joined([(p, _tokens(p, vocabulary)) for p in phrases])
    return tuple(_phrase(p, tokens, zones) for p, tokens in rows)


Row = tuple[str, list["Meaning | float"]]


def _joined(rows: list[Row]) -> list[Row]:
    """Rows of names alone ("crown, top 5", "7 all but nape, fringe") with what is said of them."""

    def is_names(row: Row) -> bool:
        return all((isinstance(x, Word) and x not in (Word.KEEP, Word.WANT)) or _is_zone(x) for x in row[1])

    found: list[Row] = []
    waiting: Row = ("", [])
    for row in rows:
        waiting = (f"{waiting[0]} {row[0]}".strip(), [*waiting[1], *row[1]])
        if not is_names(row):
            found.append(waiting)
            waiting = ("", [])
    if waiting[1] and found:  # names behind the last of what was said go with it
        found[-1] = (f"{found[-1][0]}, {waiting[0]}", [*found[-1][1], *waiting[1]])
    elif waiting[1]:
        found.append(waiting)
    return found


def _is_zone(token: Meaning | float) -> bool:
    return isinstance(token, str) and not isinstance(token, StrEnum)


def _tokens(phrase: str, vocabulary: Mapping[str, Meaning]) -> list[Meaning | float]:
    """The phrase's words, the longest known run of them each time; numbers as such."""
    spaced = phrase.lower()
    for arrow in _ARROWS:
        spaced = spaced.replace(arrow, " → ")
    words = re.sub(r"(\d)(?=[^\W\d_])", r"\1 ", spaced).split()
    found: list[Meaning | float] = []
    at = 0
    while at < len(words):
        if _NUMBER.fullmatch(words[at]):
            found.append(float(words[at].replace(",", ".")))
            at += 1
            continue
        if words[at] == "→":
            found.append(Word.WANT)
            at += 1
            continue
        for size in range(min(5, len(words) - at), 0, -1):
            meaning = vocabulary.get(" ".join(words[at : at + size]))
            if meaning is not None:
                found.append(meaning)
                at += size
                break
        else:
            raise LimitError("shorthand", say("limit-shorthand_word"), words[at])
    return found


def _phrase(phrase: str, tokens: list[Meaning | float], zones: Mapping[str, str | None]) -> ReadLine:
    named: list[str] = []
    left_out: set[str] = set()
    part = Part.WHOLE
    values: dict[str, Any] = {}
    is_but = wants = False
    for i, token in enumerate(tokens):
        if isinstance(token, float):
            if i + 1 < len(tokens) and tokens[i + 1] is Word.MM:
                values["length_mm"] = token
                continue
            field = "target_level" if wants or "start_level" in values else "start_level"
            values[field] = check_level(field, token)
        elif token is Word.BUT:
            is_but = True
        elif token is Word.WANT:
            wants = True
        elif token is Word.KEEP:
            values["keeps_depth"] = True
        elif isinstance(token, Word):
            keys = _keys_of(token, zones)
            left_out.update(keys if is_but else ())
            named += [] if is_but else keys
        elif isinstance(token, Part):
            part = token
        elif isinstance(token, History):
            values["history"] = token
        elif isinstance(token, Porosity):
            values["porosity"] = token
        elif is_but:
            left_out.add(token)
        else:
            named.append(token)
    if left_out and not named:
        named = list(zones)
    if not values:
        raise LimitError("shorthand", say("limit-shorthand_says_nothing"), phrase)
    return ReadLine(tuple(k for k in dict.fromkeys(named) if k not in left_out), part, **values)


def _keys_of(word: Word, zones: Mapping[str, str | None]) -> list[str]:
    if word is Word.ALL:
        return list(zones)
    if word in (Word.LEFT, Word.RIGHT):
        return [k for k, side in zones.items() if side == word.value]
    return []
