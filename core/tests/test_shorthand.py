"""A head read in one typed line."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fervens_core.base import LimitError
from fervens_core.head import History, Part, Porosity, ReadLine, Word, read_shorthand

ZONES = {"low_back": None, "left_side": "left", "right_side": "right", "top": None}
WORDS = {
    "all": Word.ALL,
    "but": Word.BUT,
    "left": Word.LEFT,
    "right": Word.RIGHT,
    "want": Word.WANT,
    "to": Word.WANT,
    "keep": Word.KEEP,
    "and": Word.AND,
    "mm": Word.MM,
    "ends": Part.ENDS,
    "roots": Part.ROOT,
    "tinted": History.TINTED,
    "virgin": History.VIRGIN,
    "porous": Porosity.HIGH,
    "low back": "low_back",
    "left side": "left_side",
    "right side": "right_side",
    "top": "top",
}
ALL = tuple(ZONES)


def read(text):
    return read_shorthand(text, WORDS, ZONES)


@pytest.mark.parametrize(
    ("text", "lines"),
    [
        ("5 all", [ReadLine(ALL, Part.WHOLE, 5.0)]),
        ("5 all, ends 8.5", [ReadLine(ALL, Part.WHOLE, 5.0), ReadLine((), Part.ENDS, 8.5)]),
        ("5,5 all; ends 8", [ReadLine(ALL, Part.WHOLE, 5.5), ReadLine((), Part.ENDS, 8.0)]),
        ("all 5->8", [ReadLine(ALL, Part.WHOLE, 5.0, 8.0)]),
        ("all 5 to 8.5", [ReadLine(ALL, Part.WHOLE, 5.0, 8.5)]),
        ("all 5-8", [ReadLine(ALL, Part.WHOLE, 5.0, 8.0)]),
        ("want 9", [ReadLine((), Part.WHOLE, None, 9.0)]),
        ("left 6", [ReadLine(("left_side",), Part.WHOLE, 6.0)]),
        ("Low back and TOP 4", [ReadLine(("low_back", "top"), Part.WHOLE, 4.0)]),
        ("7 all but top, left side", [ReadLine(("low_back", "right_side"), Part.WHOLE, 7.0)]),
        (
            "all but top, left side 7, ends 8",
            [ReadLine(("low_back", "right_side"), Part.WHOLE, 7.0), ReadLine((), Part.ENDS, 8.0)],
        ),
        (
            "low back, top 5, left 6",
            [ReadLine(("low_back", "top"), Part.WHOLE, 5.0), ReadLine(("left_side",), Part.WHOLE, 6.0)],
        ),
        ("all but low back 7", [ReadLine(("left_side", "right_side", "top"), Part.WHOLE, 7.0)]),
        ("but left 7", [ReadLine(("low_back", "right_side", "top"), Part.WHOLE, 7.0)]),
        ("roots 5 virgin 12mm", [ReadLine((), Part.ROOT, 5.0, None, History.VIRGIN, None, 12.0)]),
        ("ends 8 porous tinted", [ReadLine((), Part.ENDS, 8.0, None, History.TINTED, Porosity.HIGH)]),
        ("top keep", [ReadLine(("top",), Part.WHOLE, keeps_depth=True)]),
    ],
)
def test_a_line_says_what_a_hand_would_write(text, lines):
    assert list(read(text)) == lines


@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("5 all, endz 8", "endz"),
        ("11 all", 11.0),
        ("0 all", 0.0),
        ("top", "top"),
        ("5 all, ends", "ends"),
        ("", ""),
        ("x" * 301, 301),
    ],
)
def test_what_is_not_understood_is_named_and_nothing_is_taken(text, value):
    with pytest.raises(LimitError) as refused:
        read(text)
    assert refused.value.value == value


@given(st.text(max_size=40))
def test_any_text_is_read_or_refused(text):
    try:
        for line in read(text):
            assert line.start_level is None or 1.0 <= line.start_level <= 10.0
    except LimitError:
        pass
