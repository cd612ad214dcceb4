"""The shelf goes out and comes in, to another studio as well; assistants leave it alone."""

import csv
import io

from conftest import Actor, make_member

from apps.shelf.models import Toner
from apps.studio.models import AuditEntry, Studio
from fervens_core.formats.shelf_csv import COLUMNS


def table(*rows):
    out = io.StringIO()
    writer = csv.DictWriter(out, COLUMNS, restval="")
    writer.writeheader()
    writer.writerows(rows)
    return out.getvalue()


def test_a_shelf_goes_to_another_studio_and_a_table_of_ones_own_comes_back(owner):
    owner.post("/stock/developer", {"name": "Own 12", "volume_strength": 12, "stock_g": 500}, 201)
    handed = owner.get("/shelf/out?form=file")["text"]
    assert "500" not in handed
    other = Actor(make_member(Studio.objects.create(name="Elsewhere"), "technician"))
    look = other.post("/shelf/preview", {"text": handed})
    assert (look["known"], look["problems"]) == ([], [])
    taken = other.post("/shelf/in", {"text": handed}, 201)["products"]
    assert taken == look["count"] > 3
    assert {t["name"] for t in other.get("/shelf")["toners"]} == {t["name"] for t in owner.get("/shelf")["toners"]}
    assert other.post("/shelf/in", {"text": handed}, 201)["products"] == 0  # all are there already
    text = owner.get("/shelf/out")["text"]
    assert "Own 12" in text
    assert owner.post("/shelf/preview", {"text": text})["count"] == 0
    assert AuditEntry.objects.filter(act="shelf_brought_in").count() == 2


def test_one_bad_line_keeps_all_out(owner):
    before = Toner.objects.count()
    text = table(
        {"kind": "toner", "name": "New fog", "level": "9", "dyes": "violet 70, blue 30"},
        {"kind": "toner", "name": "New hay", "level": "99", "dyes": "yellow"},
    )
    look = owner.post("/shelf/preview", {"text": text})
    assert (look["count"], [(p["line"], p["column"]) for p in look["problems"]]) == (1, [(3, "level")])
    assert owner.post("/shelf/in", {"text": text}, 422)["field"] == "line 3, level"
    assert Toner.objects.count() == before


def test_an_assistant_neither_takes_it_out_nor_in(assistant):
    assistant.get("/shelf/out", 403)
    assistant.post("/shelf/in", {"text": "{}"}, 403)
