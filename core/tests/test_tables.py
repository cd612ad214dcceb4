"""CSV of clients and readings, CGATS text: what goes out comes in again, and hostile files are told or tamed."""

import csv
import datetime as dt
import io

import pytest
from hypothesis import given
from hypothesis import strategies as st
from told import refused, told

from fervens_core.base import CoreError, LimitError
from fervens_core.formats import (
    ClientLine,
    ColourSample,
    ReadingLine,
    clients_from_csv,
    clients_to_csv,
    readings_to_csv,
    samples_from_cgats,
    samples_to_cgats,
)
from fervens_core.formats.cells import FORMULA_STARTS, cell, plain
from fervens_core.formats.cgats import CGATS_MAX_CHARS
from fervens_core.formats.client_csv import COLUMNS
from fervens_core.head import TestResult

TODAY = dt.date(2026, 3, 1)
AT = dt.datetime(2026, 3, 1, 12, tzinfo=dt.UTC)
HEADER = ",".join(COLUMNS)
text = st.text(st.characters(blacklist_categories=("Cs", "Cc")), min_size=1, max_size=60).map(str.strip).filter(bool)


@given(st.lists(st.tuples(text, text, st.booleans()), max_size=8))
def test_clients_go_out_and_come_in_the_same(rows):
    made = [
        ClientLine(name, dt.date(1990, 5, 4), notes, reacted, dt.date(2026, 2, 3), TestResult.NEGATIVE)
        for name, notes, reacted in rows
        if not name.startswith("'") and not notes.startswith("'")
    ]
    found = clients_from_csv(clients_to_csv(made), TODAY)
    assert found.lines == tuple(made)
    assert found.problems == ()


@given(text)
def test_no_cell_begins_like_a_formula(value):
    assert not cell(value).startswith(FORMULA_STARTS)
    if not value.startswith("'"):
        assert plain(cell(value)) == value


def test_a_formula_in_a_name_is_written_as_text():
    out = clients_to_csv([ClientLine('=HYPERLINK("x")'), ClientLine("+1"), ClientLine("@a"), ClientLine("-2")])
    names = [row["name"] for row in csv.DictReader(io.StringIO(out))]
    assert names == ['\'=HYPERLINK("x")', "'+1", "'@a", "'-2"]


def test_every_bad_line_is_named_with_column_limit_and_value():
    lines = [
        "Ada,1990-01-01,,no,,",
        ",,,,,",
        ",1990-01-01,,no,,",
        "Bo,1990-13-01,,no,,",
        "Cy,2030-01-01,,no,,",
        "Di,,,maybe,,",
        "Ed,,,no,,sure",
        f"{'x' * 81},,,no,,",
    ]
    found = clients_from_csv("\n".join([HEADER, *lines]), TODAY)
    assert [c.name for c in found.lines] == ["Ada"]
    assert [(p.line, p.column) for p in found.problems] == [
        (4, "name"),
        (5, "birth_date"),
        (6, "birth_date"),
        (7, "has_reacted_before"),
        (8, "patch_test_result"),
        (9, "name"),
    ]
    assert found.problems[1].value == "1990-13-01"


def test_a_name_with_a_line_break_or_a_bell_is_refused():
    found = clients_from_csv(f'{HEADER}\n"A\nB",,,no,,\nA\x07,,,no,,', TODAY)
    assert [p.column for p in found.problems] == ["name", "name"]


@pytest.mark.parametrize(
    ("content", "said"),
    [
        ("name,other\nA,B", "line 1"),
        (f"{HEADER}\nAda,,", "line 2"),
        ("x" * 1_500_001, "file"),
        (HEADER + "\n" + "A,,,no,,\n" * 5001, "file"),
        (f'{HEADER}\n"{"y" * 140_000}', "bad_csv"),
    ],
)
def test_a_table_that_is_none_is_refused_whole(content, said):
    with pytest.raises(CoreError) as error:
        clients_from_csv(content, TODAY)
    assert said in (error.value.code, getattr(error.value, "field", ""))


def test_readings_as_csv():
    line = ReadingLine("=Crown", AT, 12.5, 7.5, "wiped", (61.0, 10.0, 40.0), "@Ada")
    (row,) = csv.DictReader(io.StringIO(readings_to_csv([line])))
    assert row["zone"] == "'=Crown"
    assert row["by"] == "'@Ada"
    assert (row["minute"], row["level"], row["lightness"]) == ("12.5", "7.5", "61.00")
    plain_row = next(csv.DictReader(io.StringIO(readings_to_csv([ReadingLine("A", AT, None, 6, "dry", (), "B")]))))
    assert (plain_row["minute"], plain_row["a"]) == ("", "")


numbers = st.tuples(st.floats(0, 100), st.floats(-128, 128), st.floats(-128, 128))


@given(st.lists(st.tuples(text, numbers), min_size=1, max_size=6))
def test_measurements_go_out_and_come_in_the_same(rows):
    made = [ColourSample(" ".join(n.split()) or "x", lab) for n, lab in rows]
    found = samples_from_cgats(samples_to_cgats(made, made_at=AT, title="a head"))
    assert [s.name for s in found] == [s.name for s in made]
    for one, two in zip(made, found, strict=True):
        assert two.lab == pytest.approx(one.lab, abs=6e-5)


# ISO 28178:2009: keywords, comments from #, names in quotation marks, fields in any order (from memory)
SAMPLE = """CGATS.17
ORIGINATOR "some reader" # a comment
NUMBER_OF_FIELDS 5
BEGIN_DATA_FORMAT
SAMPLE_ID LAB_B LAB_A
LAB_L SAMPLE_NAME
END_DATA_FORMAT
NUMBER_OF_SETS 2
BEGIN_DATA
1 40.5 12.25 61 "high ""top"" crown"
2 -3 0 7.5e1 nape
END_DATA
"""


def test_fields_in_any_order_with_comments_and_quotation_marks():
    assert samples_from_cgats(SAMPLE) == (
        ColourSample('high "top" crown', (61.0, 12.25, 40.5)),
        ColourSample("nape", (75.0, 0.0, -3.0)),
    )


@pytest.mark.parametrize(
    ("change", "said"),
    [
        (("CGATS.17", "hello"), "does not begin like CGATS"),
        (("LAB_L", "XYZ_X"), "LAB_L"),
        (("61 ", "161 "), "line 10, LAB_L: must be"),
        (("61 ", "sixty "), "line 10, LAB_L"),
        (("61 ", "1e999 "), "line 10, LAB_L"),
        (("61 ", "nan "), "line 10, LAB_L"),
        (("61 ", "6" * 50 + " "), "line 10, LAB_L"),
        (("2 -3 0", "2 -3"), "line 11"),
        (('"some reader"', '"some reader'), "line 2"),
    ],
)
def test_text_that_is_no_measurement_is_refused_with_its_line(change, said):
    with pytest.raises(CoreError) as error:
        samples_from_cgats(SAMPLE.replace(*change))
    assert said in told(error.value.message)


def test_empty_and_huge_measurement_files_are_refused():
    head, _, _ = SAMPLE.partition("1 40.5")
    with refused(LimitError, match="at least one"):
        samples_from_cgats(head + "END_DATA\n")
    with refused(LimitError, match="at most"):
        samples_from_cgats("CGATS.17\n" + "#" * CGATS_MAX_CHARS)
    with refused(LimitError, match="2000"):
        samples_from_cgats(head + "1 0 0 50 x\n" * 2001)
