"""A studio begins on an empty server: once, by who holds the token, with first steps told by what is there."""

from io import StringIO

import pytest
from conftest import Actor, make_member, make_studio, to_plan
from django.contrib.auth import get_user_model
from django.core.management import call_command
from django.test import Client as Browser

from apps.services.models import Service
from apps.studio.begin import begin_token
from apps.studio.models import Membership, Studio

from .test_two_hands import together
from .whole import ZONES

OWNER = {"studio": "The Dressing Room", "username": "ines", "first_name": "Ines", "last_name": "Farrow"}
PASSWORD = "curtain-at-seven"


def sent(browser, expect=200, **more):
    body = OWNER | {"password": PASSWORD, "token": begin_token()} | more
    answer = browser.post("/api/begin", body, content_type="application/json")
    assert answer.status_code == expect, answer.content
    return answer.json()


def test_the_first_visit_makes_the_studio_and_its_owner_and_signs_in(db):
    browser = Browser()
    assert browser.get("/api/begin").json() == {"is_open": True}
    assert sent(browser)["studio_name"] == "The Dressing Room"
    assert browser.get("/api/session").json()["role"] == "owner"
    assert browser.get("/api/begin").json() == {"is_open": False}
    member = Membership.objects.get()
    assert (member.name, member.user.check_password(PASSWORD)) == ("Ines Farrow", True)


def test_it_is_made_once(transactional_db):
    token = begin_token()
    answers = together(*(lambda i=i: sent_any(f"ines{i}", token) for i in range(3)))
    assert sorted(a.get("code", "made") for a in answers) == ["begun_already", "begun_already", "made"]
    assert Studio.objects.count() == 1


def sent_any(username, token):
    body = OWNER | {"password": PASSWORD, "token": token, "username": username}
    return Browser().post("/api/begin", body, content_type="application/json").json()


def test_without_the_token_nothing_is_made(db):
    assert sent(Browser(), 409, token="guessed")["code"] == "begin_token"
    assert sent(Browser(), 409, token=begin_token() + "x")["code"] == "begin_token"
    assert not Studio.objects.exists()


def test_a_token_ends_after_a_week_and_with_the_first_studio(db, monkeypatch):
    token = begin_token()
    monkeypatch.setattr("apps.studio.begin.DAYS", -1)
    assert sent(Browser(), 409, token=token)["code"] == "begin_token"
    monkeypatch.undo()
    make_studio("Another")
    assert sent(Browser(), 409, token=token)["code"] == "begun_already"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"password": "short"}, "password"),
        ({"password": "ines-farrow"}, "password"),
        ({"password": "password123"}, "password"),
        ({"username": "in es!"}, "username"),
        ({"studio": " "}, "studio"),
    ],
)
def test_what_cannot_be_is_named_and_nothing_is_made(db, change, field):
    assert sent(Browser(), 422, **change)["field"] == field
    assert not Studio.objects.exists()


def test_the_address_is_printed_only_while_there_is_no_studio(db, capsys):
    call_command("begin_address", base="https://hair.example/")
    assert capsys.readouterr().out.startswith("https://hair.example/begin?token=")
    make_studio("Another")
    call_command("begin_address")
    assert capsys.readouterr().out == ""


def steps(actor):
    return {s["code"]: s["is_done"] for s in actor.get("/begin/steps")}


def test_first_steps_are_told_by_what_is_there(db):
    studio = Studio.objects.create(name="New")
    owner = Actor(make_member(studio, "owner"))
    assert not any(steps(owner).values())
    owner.post("/stock/lightener", {"name": "Powder"}, 201)
    assert not steps(owner)["shelf"]
    owner.post("/stock/developer", {"name": "20 vol", "volume_strength": 20}, 201)
    assert steps(owner)["shelf"]
    owner.ask("PATCH", "/studio", {"pace_min_per_foil": 1.4})
    make_member(studio, "assistant")
    client = owner.post("/clients", {"name": "A first head"}, 201)["id"]
    owner.post("/services", {"client_id": client}, 201)
    assert Service.objects.count() == 1
    assert steps(owner) == {
        "shelf": True, "toners": False, "school": True, "members": True, "eye": False, "service": True,
    }  # fmt: skip


def test_another_studio_begins_with_an_address_of_its_own_once(db):
    sent(Browser())
    out = StringIO()
    call_command("begin_address", stdout=out)
    assert out.getvalue() == ""
    call_command("begin_address", "--another", stdout=out)
    token = out.getvalue().strip().split("token=")[1]
    other = Actor()
    assert other.get(f"/begin?token={token}")["is_open"]
    assert not other.get("/begin?token=guess")["is_open"]
    second = {"studio": "Next door", "username": "otto", "first_name": "Otto", "last_name": "B", "password": PASSWORD}
    assert other.post("/begin", second | {"token": token})["studio_name"] == "Next door"
    assert other.get("/clients")["total"] == 0
    user = get_user_model().objects.get(username="otto")
    assert not user.is_superuser
    assert Actor().post("/begin", second | {"token": token, "username": "third"}, 409)["code"] == "begun_already"


def test_a_first_practice_head_comes_to_a_plan_at_once(owner):
    service = owner.post("/practice", {"head": "six", "seed": 1}, 201)["service_id"]
    told = owner.get(f"/services/{service}")
    assert (told["client_name"], len(told["zones"]), told["is_practice"]) == ("Six even zones", 6, True)
    assert told["verdict"]


def test_plans_begin_with_the_studios_school(owner):
    school = {"step": "bottles", "bowl_style": "large", "delicate_way": "same_short", "has_additive": True, "hands": 2}
    assert owner.ask("PATCH", "/studio", {"school": school})["school"] == school | {"order_way": None}
    assert owner.ask("PATCH", "/studio", {"school": {"step": "guessed"}}, 422)["field"] == "school.step"
    owner.ask("PATCH", "/studio", {"school": school | {"order_way": "cools_first"}})
    service = to_plan(owner, zones=ZONES)
    assert Service.objects.get(pk=service["id"]).choice["keeps_order"]
    choice = owner.get(f"/services/{service['id']}/plan")
    assert {k: choice[k] for k in school} == school
