"""The filed record: planned beside actual, photos, additions, the card and the take-home sheet on paper."""

import datetime as dt
import io

import pytest
from conftest import picture, to_plan
from django.utils import timezone
from PIL import Image
from pypdf import PdfReader

from apps.services.models import Photo

from .whole import ZONES, pdf_text, run, send


def test_the_card_holds_formula_times_readings_and_cautions(owner):
    sid = run(owner)
    record = owner.get(f"/services/{sid}/record")
    text = pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))
    for word in ("Ida Fern", "20 vol", "20 g", "30 g", "Wash 9", "Crown", "Nape", "Start the nape later", "35 min"):
        assert word in text, word
    for lane in record["ran"]:
        assert timezone.localtime(dt.datetime.fromisoformat(lane["rinsed_at"])).strftime("%H:%M") in text
    assert record["cautions"][0]["code"].replace("_", " ").capitalize() in text
    assert "Professional use" in text


@pytest.mark.parametrize(("paper", "size"), [("a4", (595, 842)), ("letter", (612, 792))])
def test_paper_is_a4_or_letter(owner, paper, size):
    sid = run(owner)
    for name in ("card", "take-home"):
        page = PdfReader(io.BytesIO(owner.browser.get(f"/api/services/{sid}/{name}.pdf?paper={paper}").content)).pages[
            0
        ]
        assert (round(page.mediabox.width), round(page.mediabox.height)) == size
    assert owner.get(f"/services/{sid}/card.pdf?paper=a3", 422)["field"] == "paper"


def test_paper_is_set_in_the_pages_own_type_and_painted(owner):
    sid = run(owner)
    for name in ("card", "take-home", "trolley"):
        body = owner.browser.get(f"/api/services/{sid}/{name}.pdf").content
        page = PdfReader(io.BytesIO(body)).pages[0]
        fonts = {str(f.get_object()["/BaseFont"]) for f in page["/Resources"]["/Font"].get_object().values()}
        assert any("Archivo" in f for f in fonts), name
        assert "Condensed" in " ".join(fonts) or name == "take-home"
        drawn = str(page["/Resources"].get_object().get("/Pattern", "")) + str(page["/Resources"].get("/Shading", ""))
        assert drawn, name  # lanes and head are painted, not listed


def test_the_trolley_sheet_tells_the_plan_and_has_a_strip_for_each_bowl(owner):
    sid = run(owner, file=False)
    plan = owner.get(f"/services/{sid}/plan")
    text = pdf_text(owner.browser.get(f"/api/services/{sid}/trolley.pdf"))
    for lane in plan["lanes"]:
        assert lane["name"] in text
        assert f"{lane['volume_strength']:g} vol" in text
    for bowl in plan["bowls"]:
        assert f"Bowl {bowl['number']}, {bowl['volume_strength']:g} vol" in text
        assert f"{bowl['lightener_g']:.0f} g" in text
    assert text.count("mixed at") == len(plan["bowls"])


def test_paper_reads_nothing_but_its_own_type(owner, settings):
    """Whatever a hand writes stays text: no file of the server and no address is read for a document."""
    from django.utils.safestring import mark_safe

    from apps.common.paper import page_pdf

    secret = settings.ROOT / "server" / "config" / "settings.py"
    body = mark_safe(f'<p>here</p><img src="{secret.as_uri()}"><link rel="attachment" href="{secret.as_uri()}">')
    made = PdfReader(io.BytesIO(page_pdf(body, title="x", size=(210, 297), foot="x")))
    assert "here" in made.pages[0].extract_text()
    assert made.attachments == {}
    sid = run(owner)
    owner.post(f"/services/{sid}/addenda", {"text": f'<img src="{secret.as_uri()}"> & <b>bold</b>'}, 201)
    assert "<b>bold</b>" in pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))


def test_a_long_card_runs_over_pages_and_ends_with_its_caution(owner):
    many = [ZONES[0] | {"key": f"z{i}", "name": f"Part {i}"} for i in range(10)]
    sid = run(owner, zones=many, levels=(8,) * 10, toner=False, file=False)
    owner.event(sid, "ServiceClosed", worked="steady hands " * 140, change="begin sooner " * 140)
    pages = PdfReader(io.BytesIO(owner.browser.get(f"/api/services/{sid}/card.pdf").content)).pages
    texts = [p.extract_text() for p in pages]
    assert len(texts) == 2
    assert [i for i in range(10) if f"Part {i}" not in texts[0]] == []
    assert [" ".join(texts).count(w) for w in ("steady", "hands")] == [140, 140]
    assert "Professional use" in texts[-1]


def test_an_open_service_has_a_card_and_no_sheet_of_a_next_visit(owner):
    sid = run(owner, file=False)
    assert "not filed yet" in pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))
    assert "Before the next visit" not in pdf_text(owner.browser.get(f"/api/services/{sid}/take-home.pdf"))


def test_the_take_home_sheet_tells_no_internals(owner):
    sid = run(owner)
    text = pdf_text(owner.browser.get(f"/api/services/{sid}/take-home.pdf"))
    assert "We lightened crown" in text
    assert "How to care for it" in text
    assert "Before the next visit" in text
    for word in ("20 vol", "Start the nape later", "Wash 9", "30 g"):
        assert word not in text


def test_names_of_any_alphabet_reach_the_paper(owner):
    client = owner.post("/clients", {"name": "Łucja <b>Ōno</b> & Жанна"}, 201)
    sid = run(owner, client=client)
    assert "Łucja <b>Ōno</b> & Жанна" in pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))


def test_planned_stands_beside_actual_and_the_record_is_locked(owner):
    sid = run(owner)
    record = owner.get(f"/services/{sid}/record")
    crown = next(x for x in record["ran"] if x["key"] == "crown")
    assert crown["ran_min"] == pytest.approx(35, abs=0.2)
    assert crown["planned_min"] > 10
    assert crown["contact_min"] == pytest.approx(35, abs=0.2)
    assert (crown["before"], crown["level"], crown["target"]) == (4, 8, 8)
    assert [r["level"] for r in record["readings"]] == [6.5, 6.5, 8, 7.5]
    assert owner.event(sid, "ReadingTaken", 409, zone_key="crown", level=8, mode="dry")["code"] == "service_closed"


def test_additions_come_after_filing_dated_and_named(owner, assistant):
    sid = run(owner, file=False)
    assert owner.post(f"/services/{sid}/addenda", {"text": "early"}, 409)["code"] == "not_filed"
    owner.event(sid, "ServiceClosed")
    after = assistant.post(f"/services/{sid}/addenda", {"text": "She called: it held."}, 201)
    assert [(a["by"], a["text"]) for a in after["addenda"]] == [("Assistant", "She called: it held.")]
    assert owner.post(f"/services/{sid}/addenda", {"text": "   "}, 422)["field"] == "text"
    assert "She called" in pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))


def test_a_photo_is_turned_scaled_and_stripped(owner):
    sid = to_plan(owner)["id"]
    exif = Image.Exif()
    exif[0x0112] = 6  # a camera held upright
    exif[0x010F] = "Secret camera"
    exif.get_ifd(0x8825)[1] = "N"
    answer = send(owner, sid, picture(2400, 1200, exif=exif.tobytes()), kind="before", caption="wet")
    (photo,) = answer.json()["photos"]
    assert (photo["width"], photo["height"], photo["kind"], photo["caption"]) == (800, 1600, "before", "wet")
    body = owner.browser.get(f"/api/services/{sid}/photos/{photo['id']}")
    assert body["Content-Type"] == "image/jpeg"
    assert "no-store" in body["Cache-Control"]
    kept = Image.open(io.BytesIO(body.content))
    assert not kept.getexif()
    assert b"Secret" not in body.content
    assert send(owner, sid, picture(kind="PNG")).status_code == 201
    after = owner.ask("DELETE", f"/services/{sid}/photos/{photo['id']}")
    assert len(after["photos"]) == 1


def test_what_is_no_picture_is_refused(owner, monkeypatch):
    sid = to_plan(owner)["id"]
    script = io.BytesIO(b"<svg xmlns='x'><script>alert(1)</script></svg>")
    script.name = "a.jpg"
    answer = send(owner, sid, script)
    assert (answer.status_code, answer.json()["field"]) == (422, "photo")
    from apps.records import photos

    monkeypatch.setattr(photos, "PIXELS_MAX", 1000)
    assert "pixels" in send(owner, sid, picture(100, 100)).json()["limit"]
    monkeypatch.setattr(photos, "UPLOAD_MAX", 100)
    assert "bytes" in send(owner, sid, picture()).json()["limit"]
    assert Photo.objects.count() == 0
    monkeypatch.undo()
    monkeypatch.setattr(photos, "PHOTOS_MAX", 0)
    assert send(owner, sid, picture()).json()["code"] == "enough_photos"
