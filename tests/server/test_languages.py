"""Answers, papers and mail in the language of whom they are for."""

from __future__ import annotations

import datetime as dt
import json
import re
from pathlib import Path

import pytest
from conftest import Actor
from django.core import mail
from django.test import Client as Browser
from django.utils import timezone

from apps.clients.models import Client
from apps.services.models import Service
from apps.studio.accounts import change_language
from apps.studio.puzzle import solve
from fervens_core.base import LimitError
from fervens_words import catalogue, languages

from .whole import pdf_text, run

ROOT = Path(__file__).parents[2]
OTHERS = [x for x in languages() if x != "en"]


def in_language(actor: Actor, language: str) -> Actor:
    actor.browser.cookies["django_language"] = language
    return actor


def test_there_are_five():
    assert languages() == ("en", "ar", "de", "es", "fr")


def test_a_member_has_a_language_on_every_device_and_only_one_that_there_is(owner):
    assert owner.get("/session")["language"] == ""
    assert owner.put("/account/language", {"language": "fr"})["language"] == "fr"
    assert Actor(owner.user).get("/session")["language"] == "fr"
    assert owner.put("/account/language", {"language": ""})["language"] == ""
    bad = owner.put("/account/language", {"language": "xx"}, expect=422)
    assert (bad["field"], bad["value"]) == ("language", "xx")
    assert bad["detail"] == "Language: must be one of en, ar, de, es, fr, got 'xx'."


@pytest.mark.parametrize(
    ("language", "title", "detail"),
    [
        ("en", "Out of limits", "Growth a month: must be a number from 4 to 25 mm, got 90 mm."),
        ("de", "Außerhalb der Grenzen", "Wachstum im Monat: muss eine Zahl von 4 bis 25 mm sein, war 90 mm."),
        ("fr", "Hors limites", "Pousse par mois : doit être un nombre de 4 à 25\u202fmm, reçu 90\u202fmm."),
        ("es", "Fuera de límites", "Crecimiento al mes: debe ser un número de 4 a 25 mm, recibido 90 mm."),
        ("ar", "خارج الحدود", "النمو في الشهر: يجب أن يكون رقما من 4 إلى 25 مم، والمستلم 90 مم."),
    ],
)
def test_a_refusal_names_field_limit_and_value_in_every_language(owner, language, title, detail):
    asked = in_language(owner, language)
    told = asked.post("/clients", {"name": "Odile", "growth_mm_per_month": 90}, expect=422)
    assert (told["title"], told["detail"]) == (title, detail)
    assert (told["field"], told["code"]) == ("growth_mm_per_month", "value_out_of_limit")  # programs read these


@pytest.mark.parametrize(
    ("language", "line"),
    [
        ("en", "all 5 tinted, ends 8.5 porous, want 9"),
        ("de", "alle 5 gefärbt, Spitzen 8,5 porös, Wunsch 9"),
        ("fr", "tout 5 coloré, pointes 8,5 poreux, souhait 9"),
        ("es", "todo 5 teñido, puntas 8,5 poroso, deseo 9"),
        ("ar", "الكل 5 مصبوغ، الأطراف 8.5 مسامي، الرغبة 9"),
    ],
)
def test_a_head_is_typed_in_every_language(owner, language, line):
    rows = in_language(owner, language).post("/shorthand", {"text": line})
    english = in_language(owner, "en").post("/shorthand", {"text": "all 5 tinted, ends 8.5 porous, want 9"})
    assert rows == english


@pytest.mark.parametrize("language", OTHERS)
def test_the_page_is_served_in_the_language_that_is_asked_for(owner, language, settings, tmp_path):
    (tmp_path / "index.html").write_text('<!doctype html>\n<html lang="en"><meta name="fervens-build" content="x">')
    settings.WEB_DIST = tmp_path
    by_choice = in_language(owner, language).browser.get("/").content.decode()
    by_device = Actor().browser.get("/", headers={"accept-language": f"{language}-XX,en;q=0.5"}).content.decode()
    assert f'<html lang="{language}">' in by_choice
    assert f'<html lang="{language}">' in by_device


def test_what_a_client_takes_home_is_in_their_language(owner):
    service = run(owner)
    client = Service.objects.get(pk=service).client
    owner.ask("PATCH", f"/clients/{client.pk}", {"language": "de"})
    sheet = pdf_text(owner.browser.get(f"/api/services/{service}/take-home.pdf"))
    assert "Wie Sie es pflegen" in sheet
    assert "Aufgehellt" in sheet
    assert "Pflege" not in pdf_text(owner.browser.get(f"/api/services/{service}/card.pdf"))  # the studio's own
    assert "Kopfhaut" in owner.browser.get(f"/api/services/{service}/visit.ics").content.decode()


def test_a_reminder_is_written_for_the_client_on_the_members_day(owner):
    client = owner.post("/clients", {"name": "Nuria"}, 201)
    row = Service.objects.get(pk=owner.post("/services", {"client_id": client["id"]}, 201)["id"])
    Client.objects.filter(pk=row.client_id).update(language="es")
    row.starts_at = timezone.now() + dt.timedelta(days=13)
    row.save()
    (reminder,) = in_language(owner, "de").get("/day")["reminders"]
    assert reminder["text"].startswith("Su visita es el ")


def test_mail_goes_in_the_members_language(owner):
    owner.user.email = "o@studio.example"
    owner.user.save()
    change_language(owner.user.membership, "de")
    Actor().post("/reset", {"email": "o@studio.example"})
    (sent,) = mail.outbox
    assert sent.subject == "Ein neues Passwort"
    assert "binnen eines Tages" in sent.body
    with pytest.raises(LimitError):
        change_language(owner.user.membership, "tlh")


def test_a_request_is_kept_in_the_studios_language_and_its_sender_keeps_their_own(owner):
    change_language(owner.user.membership, "de")
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    puzzle = Actor().get(path.removeprefix("/api"))["puzzle"]
    answer = Browser().post(
        f"/api{path}",
        {
            "puzzle": puzzle,
            "answer": solve(puzzle),
            "name": "Lotte",
            "contact": "lotte@example.org",
            "wish": "أشقر بيج",
            "told": "",
            "history": "tinted",
            "now_level": "4",
            "wished_level": "9",
            "slot_min": "60",
            "starts_at": (timezone.now() + dt.timedelta(days=9)).isoformat(),
        },
        headers={"accept-language": "ar"},
    )
    assert answer.status_code == 201, answer.content
    client = Client.objects.get(name="Lotte")
    assert client.language == "ar"
    assert client.notes.startswith("Besuch gewünscht am ")
    names = {z.data["name"] for z in client.services.get().zones.all()}
    assert "Wirbel" in names


def test_every_word_of_the_glossary_is_in_use():
    rows = [r.split("|")[1:6] for r in (ROOT / "docs/glossary.md").read_text().splitlines() if r.startswith("| ")][2:]
    assert len(rows) >= 35
    for at, language in enumerate(("en", "de", "fr", "es", "ar")):
        said = (catalogue(language) + (ROOT / f"web/src/languages/{language}.json").read_text()).lower()
        assert [r[at].strip() for r in rows if r[at].strip().lower() not in said] == [], language


MADE_BY_PAGES = {
    "revision", "seen", "levels", "finish_min", "starts_min", "rinses_min", "lab", "level_std", "number", "speed",
    "seed", "hue_deg", "before_min", "deposit_share", "known", "known_std", "rest_amount", "join_change_min",
}  # fmt: skip
"""Numbers that no hand types: a page, a reader or a tap sends them."""


def test_every_number_a_hand_types_has_a_name_in_every_language():
    """A refusal names its field: without a word of its own the field's key would be told, in English."""
    schemas = json.loads((ROOT / "docs/format/openapi.json").read_text())
    known, asked, found = schemas["components"]["schemas"], [], set()
    for path in schemas["paths"].values():
        for operation in path.values():
            asked += re.findall(r"schemas/(\w+)", json.dumps(operation.get("requestBody", {})))
    seen = set()
    while asked:
        name = asked.pop()
        if name in seen:
            continue
        seen.add(name)
        asked += re.findall(r"schemas/(\w+)", json.dumps(known[name]))
        for field, kind in known[name].get("properties", {}).items():
            if re.search(r'"type": "(number|integer)"', json.dumps(kind)):
                found.add(field)
    assert {"start_level", "closed_on"} & found == {"start_level"}
    for language in languages():
        told = set(re.findall(r"^field-(\w+) =", catalogue(language), re.MULTILINE))
        assert found - told - MADE_BY_PAGES == set(), language


def test_a_studio_reads_ounces_and_inches_where_it_says_so(owner):
    sid = run(owner)
    metric = pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))
    assert "20 g" in metric
    assert owner.get("/session")["units"] == "metric"
    owner.ask("PATCH", "/studio", {"units": "us"})
    assert owner.get("/session")["units"] == "us"
    card = pdf_text(owner.browser.get(f"/api/services/{sid}/card.pdf"))
    assert "0.71 oz" in card
    assert "20 g" not in card
    assert "oz" in " ".join(line["text"] for line in owner.get(f"/services/{sid}/record")["lines"])
    assert owner.get(f"/services/{sid}/record")["bowls"][0]["product_g"] == 20  # what is kept stays in grams
    assert owner.ask("PATCH", "/studio", {"units": "stone"}, 422)["field"] == "units"
    refused = owner.ask("PATCH", "/studio", {"growth_mm_per_month": 90}, 422)
    assert refused["detail"] == "Growth a month: must be a number from 0.16 to 0.98 in, got 3.54 in."
    assert refused["value"] == 90  # programs read it as it was sent
