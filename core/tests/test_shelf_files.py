"""A shelf as a table and as a file: out and in the same, what is wrong line by line, shades by their colour."""

import csv
import io
import json

import pytest
from hypothesis import given
from hypothesis import strategies as st
from told import refused, told

from fervens_core.base import CoreError, LimitError
from fervens_core.colour import absorption_to_lab, hair_absorption
from fervens_core.formats import ShelfLine, shelf_from_text, shelf_to_csv, shelf_to_file
from fervens_core.formats.shelf_csv import COLUMNS
from fervens_core.head import Developer, DyeFamily, Lightener, TonerShade
from fervens_core.toning import Formula, dyes_of_measured

POWDER = Lightener("new", "=Powder, dustless", 2.0, 45, is_dark=True, max_applications=2)
FOG = TonerShade("new", "Fog", 9.5, ((DyeFamily.VIOLET, 0.6), (DyeFamily.BLUE, 0.4)), 25, 2.0, 5.0)
SHELF = [
    ShelfLine("lightener", POWDER, 1200.0, 200.0, 0.08),
    ShelfLine("developer", Developer("new", "Cream 20", 20.0)),
    ShelfLine("toner", FOG, 90.0),
    ShelfLine("toner", TonerShade("new", "Wash", 9.0, ((DyeFamily.VIOLET, 1.0),), 10, is_oxidative=False)),
]


def line(**cells):
    out = io.StringIO()
    writer = csv.DictWriter(out, COLUMNS, restval="")
    writer.writeheader()
    writer.writerow(cells)
    return out.getvalue()


def test_a_shelf_goes_out_and_in_the_same_as_a_table():
    text = shelf_to_csv(SHELF)
    assert "'=Powder" in text  # no spreadsheet runs it
    found = shelf_from_text("\ufeff" + text)
    assert found.problems == ()
    assert list(found.lines) == SHELF


def test_a_file_for_another_studio_holds_labels_and_nothing_of_ones_own():
    document = shelf_to_file([*SHELF, ShelfLine("lightener", Lightener("new", "Clay", 1.5, 50, lift_factor=0.8))])
    text = json.dumps(document)
    for word in ("stock", "price", "lift_factor", "learnt", "key"):
        assert word not in text
    found = shelf_from_text(text)
    assert [x.product.name for x in found.lines] == ["=Powder, dustless", "Clay", "Cream 20", "Fog", "Wash"]
    assert all(x.stock_g is None for x in found.lines)
    assert found.lines[1].product.lift_factor == 1.0


@given(st.sampled_from(list(DyeFamily)), st.sampled_from(list(DyeFamily)), st.integers(2, 18), st.integers(12, 20))
def test_a_measured_shade_is_found_again(one, two, share, half_level):
    dyes = ((one, 1.0),) if one is two else ((one, share / 20), (two, 1 - share / 20))
    shade = TonerShade("x", "X", half_level / 2, dyes, 20, 1.0, 7.0)
    lab = absorption_to_lab(hair_absorption(8.0, 10.0) + Formula((shade,)).absorption)
    level, found, off = dyes_of_measured(tuple(lab.tolist()))
    assert off < 0.3
    again = TonerShade("y", "Y", level, found, 20, 1.0, 7.0)
    same = absorption_to_lab(hair_absorption(8.0, 10.0) + Formula((again,)).absorption)
    assert abs(lab - same).max() < 1.0


def test_a_shade_known_by_its_colour_alone_comes_in():
    shade = TonerShade("x", "X", 9.0, ((DyeFamily.VIOLET, 0.7), (DyeFamily.BLUE, 0.3)), 20, 1.0, 7.0)
    lab = absorption_to_lab(hair_absorption(8.0, 10.0) + Formula((shade,)).absorption)
    told_lab = " ".join(f"{x:.2f}" for x in lab)
    (found,) = shelf_from_text(line(kind="toner", name="Haze", measured=told_lab)).lines
    assert found.product.level == pytest.approx(9.0, abs=0.5)
    assert dict(found.product.dyes)[DyeFamily.VIOLET] == pytest.approx(0.7, abs=0.15)
    (kept,) = shelf_from_text(line(kind="toner", name="Haze", level="8", measured=told_lab)).lines
    assert kept.product.level == 8.0
    usual = found.product
    assert (usual.developer_parts, usual.developer_volume, usual.label_max_min) == (1.5, 7.0, 20.0)


@pytest.mark.parametrize(
    ("cells", "column"),
    [
        ({"kind": "spoon", "name": "X"}, "kind"),
        ({"kind": "developer", "name": "", "volume_strength": "20"}, "name"),
        ({"kind": "developer", "name": "X", "volume_strength": "strong"}, "volume_strength"),
        ({"kind": "developer", "name": "X", "volume_strength": "60"}, "volume_strength"),
        ({"kind": "developer", "name": "X", "volume_strength": "nan"}, "volume_strength"),
        ({"kind": "developer", "name": "X", "volume_strength": "20", "dyes": "blue"}, "dyes"),
        ({"kind": "lightener", "name": "X", "is_dark": "perhaps"}, "is_dark"),
        ({"kind": "lightener", "name": "X", "max_volume": "20", "max_volume_on_scalp": "30"}, "max_volume_on_scalp"),
        ({"kind": "toner", "name": "X", "level": "9", "dyes": "teal 50"}, "dyes"),
        ({"kind": "toner", "name": "X", "level": "9", "dyes": "violet -5, blue 5"}, "dyes"),
        ({"kind": "toner", "name": "X", "level": "12", "dyes": "violet"}, "level"),
        ({"kind": "toner", "name": "X", "level": "9"}, "dyes"),
        ({"kind": "toner", "name": "X", "measured": "50 0"}, "measured"),
        ({"kind": "toner", "name": "X", "measured": "5 90 -90"}, "measured"),
    ],
)
def test_what_is_wrong_is_told_with_its_line_and_column(cells, column):
    found = shelf_from_text(line(**cells))
    assert found.lines == ()
    (problem,) = found.problems
    assert (problem.line, problem.column) == (2, column)
    assert told(problem.limit)


def test_what_is_no_shelf_is_refused():
    with refused(LimitError, match="line 1: must be .*kind"):
        shelf_from_text("name,level\nX,9\n")
    with refused(LimitError, match="fervens-shelf"):
        shelf_from_text('{"format": "other"}')
    with refused(CoreError, match="no JSON"):
        shelf_from_text("{")
    head = {"format": "fervens-shelf", "version": 1}
    found = shelf_from_text(json.dumps(head | {"toners": [{"name": "X", "lift_factor": 2}]}))
    assert found.problems[0].column.startswith("toners.")
