"""What tells of a person is declared with its model; erasing, handing out and the archive follow from that."""

import dataclasses
import json
import zipfile
from io import BytesIO
from typing import get_args, get_type_hints

import pytest
from django.apps import apps
from django.db import models

from apps.clients.models import Client
from apps.records.archive import fields_of
from apps.services.models import PlanVersion, Service, ServiceEvent
from fervens_core.base import personal_fields
from fervens_core.base.contracts import Text
from fervens_core.log import KINDS

from .whole import run

MODELS = [*apps.get_app_config("clients").get_models(), *apps.get_app_config("services").get_models()]
TEXTS = (models.CharField, models.TextField, models.JSONField, models.BinaryField, models.DateField)
NOT_OF_A_PERSON = {
    "caution", "zone_key", "from_key", "event_id", "recipe", "reason", "instrument", "shade_key", "shade_name",
    "second_key", "second_name", "mishap",
}  # fmt: skip
"""Texts of events that are made by the program, or name products and places."""


@pytest.mark.parametrize("model", MODELS, ids=lambda m: m.__name__)
def test_every_text_of_a_model_is_said_to_be_personal_or_not(model):
    fields = [f for f in model._meta.concrete_fields if not isinstance(f, models.DateTimeField)]
    texts = {f.name for f in fields if isinstance(f, TEXTS)}
    assert texts <= set(model.PERSONAL) | model.IMPERSONAL
    assert not set(model.PERSONAL) & model.IMPERSONAL
    known = {f.name for f in model._meta.concrete_fields}
    assert set(model.PERSONAL) | model.IMPERSONAL <= known


@pytest.mark.parametrize("model", MODELS, ids=lambda m: m.__name__)
def test_what_is_personal_goes_out_with_the_archive(model):
    out = {f.name for f in fields_of(model)}
    assert set(model.PERSONAL) - out <= {"jpeg"}  # pictures stand beside the JSON


@pytest.mark.parametrize("kind", list(KINDS.values()), ids=lambda k: k.__name__)
def test_every_text_of_an_event_is_said_to_be_personal_or_not(kind):
    hints = get_type_hints(kind, include_extras=True)
    texts = {f.name for f in dataclasses.fields(kind) if any(isinstance(m, Text) for m in get_args(hints[f.name])[1:])}
    assert texts - personal_fields(kind) <= NOT_OF_A_PERSON


SAID = "Nobody but Ida says this"


def test_nothing_a_person_said_survives_erasing_and_all_of_it_was_handed_out(owner):
    client = owner.post("/clients", {"name": "Ida Fern", "notes": SAID}, 201)
    sid = run(owner, client=client, file=False)
    service = Service.objects.get(pk=sid)
    service.wish, service.facts = SAID, service.facts | {"medication": SAID}
    service.save()
    PlanVersion.objects.filter(service=service).update(label=SAID)
    owner.event(sid, "ServiceClosed", worked=SAID, change=SAID)
    owner.post(f"/services/{sid}/addenda", {"text": SAID}, 201)
    answer = owner.browser.get(f"/api/clients/{client['id']}/archive")
    if answer.status_code == 405:
        answer = owner.browser.post(f"/api/clients/{client['id']}/archive")
    with zipfile.ZipFile(BytesIO(b"".join(answer) if answer.streaming else answer.content)) as file:
        assert file.read("client.json").decode().count(SAID) >= 7
    owner.post(f"/clients/{client['id']}/erase", {"typed_name": "Ida Fern"})
    kept = []
    for model in MODELS:
        rows = model.objects.filter(pk=client["id"]) if model is Client else model.objects.all()
        kept += [json.dumps({f.attname: str(getattr(r, f.attname)) for f in model._meta.concrete_fields}) for r in rows]
    assert [row for row in kept if SAID in row] == []
    assert ServiceEvent.objects.filter(service_id=sid).count() > 8
