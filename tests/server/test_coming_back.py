"""Coming back: the next visit, the head since the last one, the diary, requests, reminders, finding people."""

import datetime as dt
import io
from uuid import uuid4

import pytest
from conftest import consult, picture, to_plan
from django.core import signing
from django.test import Client as Browser
from django.utils import timezone
from icalendar import Calendar

from apps.clients.models import Client
from apps.records import requests
from apps.services.models import Service
from apps.studio.accounts import change_language
from apps.studio.models import LinkUse, StudioLink
from apps.studio.puzzle import SALT, new_puzzle, solve, zero_bits

from .whole import ZONES, run


def test_a_zone_lightened_twice_counts_its_load_once_a_visit(owner):
    sid = run(owner, file=False, toner=False, levels=(6.5, 8))
    again = {"zone_keys": ["crown"], "volumes": [10], "levels": [6.5], "is_label_read": True}
    events = owner.get(f"/services/{sid}/log")["lines"]
    reviewed = next(e for e in events if "Review" in e["text"])
    owner.post(
        f"/services/{sid}/events",
        {
            "event_id": str(uuid4()),
            "kind": "EventVoided",
            "occurred_at": timezone.now().isoformat(),
            "data": {"event_id": reviewed["event_id"]},
        },
    )
    owner.event(sid, "LighteningResumed", minutes_ago=9, **again)
    owner.event(sid, "ApplicationStarted", minutes_ago=8, zone_key="crown.again", volume_strength=10)
    owner.event(sid, "ApplicationFinished", minutes_ago=7, zone_key="crown.again")
    owner.event(sid, "Rinsed", minutes_ago=1, zone_key="crown.again")
    owner.event(sid, "ServiceClosed")
    client = str(Service.objects.get(pk=sid).client_id)
    load = next(x for x in owner.get(f"/clients/{client}/history")["loads"] if x["name"].startswith("Crown"))
    assert load["services"] == 1
    assert load["minutes"] == pytest.approx(35 + 7, abs=0.5)
    assert load["volume_minutes"] == pytest.approx(35 * 20 + 7 * 10, abs=20)
    made = owner.post(f"/clients/{client}/again", {}, 201)["service_id"]
    crown = next(z for z in owner.get(f"/services/{made}")["zones"] if z["key"] == "crown")
    assert crown["start_level"] >= 6.5


def test_the_next_visit_follows_from_how_it_ended(owner):
    sid = run(owner, levels=(8, 8))
    found = owner.get(f"/services/{sid}/next")
    today = timezone.localdate()
    assert 20 <= (dt.date.fromisoformat(found["proposal"]["on"]) - today).days <= 30
    assert found["proposal"]["expected_min"] > 60
    assert found["visits_left"] == 0  # all came to the wish: the roots of next month are not still owed
    assert "no violet" in found["proposal"]["reminder"]
    assert found["booked"] == []
    short = run(owner, levels=(8, 6), client=owner.post("/clients", {"name": "Short"}, 201))
    later = owner.get(f"/services/{short}/next")
    assert "rests" in later["proposal"]["reason"]
    assert later["visits_left"] >= 1
    dark = [z | {"start_level": 2, "target_level": 10} for z in ZONES]
    far = run(owner, zones=dark, levels=(5, 5), client=owner.post("/clients", {"name": "Far"}, 201), toner=False)
    assert owner.get(f"/services/{far}/next")["visits_left"] >= 2
    kept = [z | {"off_scalp_mm": 40} for z in ZONES]
    pieces = run(owner, zones=kept, levels=(8, 8), client=owner.post("/clients", {"name": "Kept"}, 201))
    refresh = owner.get(f"/services/{pieces}/next")["proposal"]
    assert "tone" in refresh["reason"]
    assert 45 <= refresh["expected_min"] <= 120  # a tone's time, not hours of roots
    open_one = to_plan(owner, client=owner.post("/clients", {"name": "Open"}, 201))["id"]
    assert owner.get(f"/services/{open_one}/next", 409)["code"] == "not_filed"


def close(owner, day, **more):
    owner.ask("PATCH", "/studio", {"closed_on": [{"first": str(day), "last": str(day), "is_every_year": False} | more]})


def test_no_visit_is_proposed_while_the_studio_is_shut(owner):
    sid = run(owner, levels=(8, 8))
    usual = dt.date.fromisoformat(owner.get(f"/services/{sid}/next")["proposal"]["on"])
    close(owner, usual)
    found = owner.get(f"/services/{sid}/next")
    assert dt.date.fromisoformat(found["proposal"]["on"]) == usual - dt.timedelta(days=7)
    assert "closed" in found["proposal"]["moved"]
    assert found["closed"] == [str(usual)]
    week = owner.get(f"/week?day={usual}")
    assert week["closed"] == [str(usual)]
    assert owner.get(f"/week?day={usual + dt.timedelta(days=7)}")["closed"] == []


def test_closed_days_are_kept_in_order_and_what_is_none_is_refused(owner):
    """The last day before the first, a word, and more than 60 are refused with the place and the limit."""
    days = [{"first": f"2027-0{m}-01", "last": f"2027-0{m}-02", "is_every_year": m == 5} for m in (5, 3)]
    kept = owner.ask("PATCH", "/studio", {"closed_on": [*days, days[0]]})["closed_on"]
    assert kept == [days[1], days[0]]
    for wrong, field in (
        ([days[0] | {"last": "2027-01-01"}], "closed_on[0].last"),
        ([days[0] | {"first": "soon"}], "closed_on[0].first"),
        ([days[0] | {"why": "x"}], "closed_on[0].why"),
    ):
        assert owner.ask("PATCH", "/studio", {"closed_on": wrong}, 422)["field"] == field
    many = [{"first": f"2027-01-{d:02d}", "last": f"20{27 + y}-01-{d:02d}"} for d in range(1, 32) for y in (0, 0, 0)]
    assert "0 to 60 holidays" in owner.ask("PATCH", "/studio", {"closed_on": many}, 422)["detail"]
    assert owner.get("/studio")["closed_on"] == kept


def test_rows_are_lanes_at_the_chair_and_one_zone_again_afterwards(owner):
    zones = [ZONES[0] | {"foil_count": 9}, ZONES[1]]
    sid = run(owner, zones=zones, rows={"crown": 2}, levels=(8, 7, 7.5))
    plan = owner.get(f"/services/{sid}/plan")
    assert [(x["key"], x["name"], x["foil_count"]) for x in plan["lanes"]][:2] == [
        ("crown.row1", "Crown 1", 5), ("crown.row2", "Crown 2", 4),
    ]  # fmt: skip
    client = str(Service.objects.get(pk=sid).client_id)
    card = owner.get(f"/clients/{client}/history")["services"][0]
    assert {x["name"] for x in card["lanes"]} == {"Crown 1", "Crown 2", "Nape"}
    document = owner.get(f"/services/{sid}/file")["document"]
    again = owner.post("/services/import", {"document": document}, 201)["service_id"]
    assert [x["key"] for x in owner.get(f"/services/{again}/board")["board"]["lanes"]] == [
        "crown.row1", "crown.row2", "nape",
    ]  # fmt: skip
    Service.objects.filter(pk=sid).update(starts_at=timezone.now() - dt.timedelta(days=61))
    made = owner.post(f"/clients/{client}/again", {}, 201)["service_id"]
    crown = next(z for z in owner.get(f"/services/{made}")["zones"] if z["key"] == "crown")
    assert crown["start_level"] == 7.5, "the mean of its rows"


def test_a_second_visit_starts_from_the_first(owner):
    sid = run(owner)
    row = Service.objects.get(pk=sid)
    Service.objects.filter(pk=sid).update(starts_at=row.starts_at - dt.timedelta(days=61))
    client = str(row.client_id)
    history = owner.get(f"/clients/{client}/history")
    assert history["regrowth_mm"] == pytest.approx(24, abs=0.5)
    assert history["is_past_root"]
    made = owner.post(f"/clients/{client}/again", {"booked_min": 150}, 201)
    service = owner.get(f"/services/{made['service_id']}")
    crown = next(z for z in service["zones"] if z["key"] == "crown")
    assert crown["start_level"] == 8
    assert crown["parts"][0]["start_level"] == 4
    assert crown["parts"][0]["to_mm"] == pytest.approx(24, abs=0.5)
    assert service["booked_min"] == 150
    assert {c["caution"]["code"] for c in service["cautions"]} >= {"long_regrowth"}
    assert service["strands"] == []
    plan = owner.get(f"/services/{made['service_id']}/plan")
    assert plan["uses_known"]
    assert plan["known"].startswith("Last visit: This head lifts")
    formulas = {f["name"]: f for f in history["formulas"]}
    assert formulas["Crown"]["volume_strength"] == 20
    nape = formulas["Nape"]  # it stopped half a level short: longer, not stronger
    assert (nape["corrected_volume"], nape["corrected_minutes"] > nape["minutes"]) == (20, True)
    assert history["services"][0]["worked"] == "Fine bowls; even roots"
    assert history["loads"][0]["minutes"] == pytest.approx(35, abs=0.5)


def test_starting_again_needs_something_filed_and_a_sensible_day(owner, stranger):
    client = owner.post("/clients", {"name": "New"}, 201)["id"]
    assert owner.post(f"/clients/{client}/again", {}, 409)["code"] == "nothing_filed"
    sid = run(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    far = (timezone.now() + dt.timedelta(days=900)).isoformat()
    assert owner.post(f"/clients/{client}/again", {"starts_at": far}, 422)["field"] == "starts_at"
    theirs = run(stranger)
    assert owner.post(f"/clients/{client}/again", {"after": theirs}, 404)["code"] == "not_found"


def test_a_visit_that_has_not_begun_is_cancelled_and_one_that_has_is_not(owner, assistant, stranger):
    sid = run(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    made = owner.post(f"/clients/{client}/again", {}, 201)["service_id"]
    assert assistant.ask("DELETE", f"/services/{made}", None, 403)["code"] == "not_allowed"
    assert stranger.ask("DELETE", f"/services/{made}", None, 404)["code"] == "not_found"
    assert owner.ask("DELETE", f"/services/{made}")["client_id"] == client
    assert not Service.objects.filter(pk=made).exists()
    assert owner.ask("DELETE", f"/services/{sid}", None, 409)["code"] == "already_begun"
    begun = owner.post(f"/clients/{client}/again", {}, 201)["service_id"]
    owner.event(begun, "CautionAcknowledged", caution="professional_use")
    assert owner.ask("DELETE", f"/services/{begun}", None, 409)["code"] == "already_begun"


def test_a_cancelled_visit_says_who_could_take_its_place(owner, assistant):
    def booked(name, hours, minutes, source=""):
        client = owner.post("/clients", {"name": name}, 201)["id"]
        at = (timezone.localtime() + dt.timedelta(days=3)).replace(hour=9, minute=0) + dt.timedelta(hours=hours)
        made = owner.post("/services", {"client_id": client, "starts_at": at.isoformat()}, 201)["id"]
        row = Service.objects.get(pk=made)
        row.facts, row.source = {"booked_min": minutes}, source
        row.save(update_fields=["facts", "source"])
        return made

    gone, _next = booked("Gone", 0, 120), booked("Next", 3, 120)
    short = booked("Short", 30, 150, "request")
    booked("Long", 40, 240, "request")
    answer = owner.ask("DELETE", f"/services/{gone}")
    assert answer["free_min"] == pytest.approx(180, abs=0.1)  # until the next of that day
    assert [c["client_name"] for c in answer["could_come"]] == ["Short"]
    assert (
        assistant.ask("PUT", f"/services/{short}/time", {"starts_at": answer["free_at"]}, 403)["code"] == "not_allowed"
    )
    moved = owner.ask("PUT", f"/services/{short}/time", {"starts_at": answer["free_at"]})
    assert moved["starts_at"] == answer["free_at"]
    past = {"starts_at": "2020-01-01T10:00:00Z"}
    assert owner.ask("PUT", f"/services/{short}/time", past, 422)["field"] == "starts_at"


def test_growth_is_the_clients_own_or_the_studios(owner):
    sid = run(owner)
    Service.objects.filter(pk=sid).update(starts_at=timezone.now() - dt.timedelta(days=30.44))
    client = str(Service.objects.get(pk=sid).client_id)
    owner.ask("PATCH", "/studio", {"growth_mm_per_month": 10})
    assert owner.get(f"/clients/{client}/history")["regrowth_mm"] == pytest.approx(10, abs=0.1)
    owner.ask("PATCH", f"/clients/{client}", {"growth_mm_per_month": 15})
    assert owner.get(f"/clients/{client}/history")["regrowth_mm"] == pytest.approx(15, abs=0.1)
    assert owner.ask("PATCH", f"/clients/{client}", {"growth_mm_per_month": 40}, 422)["field"] == "growth_mm_per_month"


def test_tests_expire_on_the_card(owner):
    old = (timezone.now() - dt.timedelta(days=200)).isoformat()
    client = owner.post("/clients", {"name": "T", "patch_test_placed_at": old, "patch_test_result": "negative"}, 201)[
        "id"
    ]
    (test,) = owner.get(f"/clients/{client}/history")["tests"]
    assert (test["kind"], test["is_expired"]) == ("patch", True)


def test_a_visit_and_the_feed_are_calendars_and_the_link_can_be_revoked(owner, stranger):
    sid = run(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    at = timezone.now() + dt.timedelta(days=28)
    made = owner.post(f"/clients/{client}/again", {"starts_at": at.isoformat(), "booked_min": 120}, 201)
    (visit,) = Calendar.from_ical(owner.browser.get(f"/api/services/{made['service_id']}/visit.ics").content).events
    assert visit.start == at.replace(microsecond=0)
    assert visit.end - visit.start == dt.timedelta(minutes=120)
    assert "violet" in visit["description"]
    assert "Crown" not in str(visit["description"])
    assert len(visit.alarms.times) == 1
    path = owner.post("/links", {"kind": "feed"}, 201)["path"]
    run(stranger, client=stranger.post("/clients", {"name": "Hidden Person"}, 201))
    answer = Browser().get(path)
    assert answer["Content-Type"].startswith("text/calendar")
    assert len(Calendar.from_ical(answer.content).events) == 2
    assert b"Hidden Person" not in answer.content
    change_language(owner.user.membership, "de")
    told = Calendar.from_ical(Browser().get(path).content)  # a diary asks for no language
    assert "Farbe: Ida Fern" in str(told.events[0]["summary"])
    (link,) = owner.get("/links")
    assert link["path"] is None
    assert path.split("/")[-1].removesuffix(".ics") not in str(list(StudioLink.objects.values()))
    owner.ask("DELETE", f"/links/{link['id']}")
    assert Browser().get(path).status_code == 404
    assert Browser().get("/api/feed/guess.ics").status_code == 404


def ask_for_a_visit(path, address="192.0.2.1", **more):
    puzzle = Browser().get(f"/api{path}").json().get("puzzle", "")
    values = {
        "puzzle": puzzle,
        "answer": solve(puzzle) if puzzle else "",
        "name": "Nia Vale",
        "contact": "nia@example.org",
        "wish": "Pale beige, everywhere",
        "told": "Box dye two years ago",
        "history": "tinted",
        "now_level": "4",
        "wished_level": "9",
        "slot_min": "60",
        "starts_at": (timezone.now() + dt.timedelta(days=9)).isoformat(),
    }
    return Browser().post(f"/api{path}", values | more, REMOTE_ADDR=address)


def test_a_request_lands_as_a_draft_with_its_time_against_the_slot(owner):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    assert Browser().get(f"/api{path}").json()["studio_name"] == "The hair room"
    answer = ask_for_a_visit(path, photos=[picture(), picture()])
    assert answer.status_code == 201, answer.content
    said = answer.json()
    assert said["expected_min"] > said["slot_min"] == 60
    row = Service.objects.get(source="request")
    assert (row.step, row.client.name, row.photos.count()) == ("consultation", "Nia Vale", 2)
    assert "Box dye" in row.client.notes
    service = owner.get(f"/services/{row.pk}")
    assert len(service["zones"]) == 12
    assert any("booked" in reason for reason in str(service["verdict"]).split(".")), service["verdict"]
    week = owner.get(f"/week?day={timezone.localdate(row.starts_at)}")
    assert [(v["client_name"], v["source"], v["booked_min"]) for v in week["visits"]] == [("Nia Vale", "request", 60)]


def test_a_request_for_a_day_the_studio_is_shut_is_refused_and_the_form_says_which(owner):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    at = timezone.now() + dt.timedelta(days=9)
    day = timezone.localdate(at)
    close(owner, day, is_every_year=True)
    assert str(day) in Browser().get(f"/api{path}").json()["closed"]
    answer = ask_for_a_visit(path)
    assert (answer.status_code, answer.json()["field"]) == (422, "starts_at")
    assert "a day the studio is open" in answer.json()["detail"]
    assert Client.objects.count() == 0
    assert ask_for_a_visit(path, starts_at=(at + dt.timedelta(days=1)).isoformat()).status_code == 201


def test_a_new_request_waits_on_every_day_until_it_is_worked_on(owner):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    ask_for_a_visit(path)
    (waiting,) = owner.get("/day")["requests"]
    assert waiting["client_name"] == "Nia Vale"
    consult(owner, owner.get(f"/services/{waiting['service_id']}"))
    assert owner.get("/day")["requests"] == []


def test_reminders_fall_due_three_weeks_before_and_are_noted(owner):
    sid = run(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    for days in (1, 10, 20, 30):
        at = timezone.now() + dt.timedelta(days=days)
        owner.post(f"/clients/{client}/again", {"starts_at": at.isoformat()}, 201)
    due = owner.get("/day")["reminders"]
    assert [round((dt.datetime.fromisoformat(r["starts_at"]) - timezone.now()).days) for r in due] == [9, 19]
    assert "violet" in due[0]["text"]
    owner.put(f"/services/{due[0]['service_id']}/reminder", {})
    assert [r["service_id"] for r in owner.get("/day")["reminders"]] == [due[1]["service_id"]]
    owner.put(f"/services/{due[0]['service_id']}/reminder", {"is_sent": False})
    assert len(owner.get("/day")["reminders"]) == 2


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"name": ""}, "name"),
        ({"now_level": "0"}, "now_level"),
        ({"wished_level": "99"}, "wished_level"),
        ({"slot_min": "5"}, "slot_min"),
        ({"slot_min": "nan"}, "slot_min"),
        ({"starts_at": "2020-01-01T10:00:00Z"}, "starts_at"),
        ({"wish": "x" * 1501}, "wish"),
        ({"history": "never"}, "history"),
    ],
)
def test_a_bad_request_names_its_field_and_keeps_nothing(owner, change, field):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    answer = ask_for_a_visit(path, **change)
    assert answer.status_code == 422
    assert answer.json()["field"].endswith(field)
    assert Client.objects.count() == 0


def test_requests_are_bounded_and_a_bad_photo_keeps_nothing(owner, monkeypatch):
    from apps.records import requests

    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    bad = io.BytesIO(b"no picture")
    bad.name = "x.jpg"
    assert ask_for_a_visit(path, photos=[bad]).status_code == 422
    assert Client.objects.count() == 0
    monkeypatch.setattr(requests, "A_DAY", 1)
    assert ask_for_a_visit(path).status_code == 201
    assert ask_for_a_visit(path).json()["code"] == "too_many_requests"
    assert ask_for_a_visit("/request/nothing").status_code == 404


def test_one_stranger_cannot_close_the_form_and_spam_is_cleared_at_once(owner, technician, assistant):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    mine = ask_for_a_visit(path, "203.0.113.9", name="Meant").json()
    for i in range(requests.OF_ONE):
        assert ask_for_a_visit(path, f"2001:db8:1:2::{i + 1:x}", name=f"Spam {i}").status_code == 201
    refused = ask_for_a_visit(path, "2001:db8:1:2:3:4:5:6", name="Spam more")
    assert (refused.status_code, refused.json()["code"]) == (409, "too_many_requests")
    assert ask_for_a_visit(path, "203.0.113.10", name="Meant too").status_code == 201
    assert mine["slot_min"] == 60
    assert "203.0.113" not in str(list(LinkUse.objects.values()))
    spam = Service.objects.get(client__name="Spam 1")
    assert technician.get(f"/requests/{spam.pk}/alike")["requests"] == 4
    assert assistant.ask("DELETE", f"/requests/{spam.pk}", None, 403)
    assert technician.ask("DELETE", f"/requests/{spam.pk}")["requests"] == 4
    assert sorted(Client.objects.filter(services__source="request").values_list("name", flat=True)) == [
        "Meant",
        "Meant too",
    ]
    assert not Client.objects.filter(name__startswith="Spam").exists()
    assert technician.ask("DELETE", f"/requests/{spam.pk}", None, 404)
    begun = to_plan(owner)["id"]
    assert owner.ask("DELETE", f"/requests/{begun}", None, 404)


@pytest.mark.parametrize("how", ["forged", "wrong", "twice", "old", "another"])
def test_a_request_needs_a_puzzle_solved_once(owner, how, monkeypatch):
    path = owner.post("/links", {"kind": "request"}, 201)["path"]
    puzzle = new_puzzle(8)
    more = {"puzzle": puzzle, "answer": solve(puzzle)}
    if how == "forged":
        more["puzzle"] = puzzle[:-1] + ("A" if puzzle[-1] != "A" else "B")
    if how == "wrong":
        more["answer"] = next(str(n) for n in range(999) if zero_bits(puzzle, str(n)) < 8)
    if how == "another":
        padded = (solve(puzzle) + " " * n for n in range(1, 10))  # one in 256 would be an answer of its own
        more["answer"] = next(text for text in padded if zero_bits(puzzle, text) < 8)
    if how == "twice":
        assert ask_for_a_visit(path, **more).status_code == 201
    if how == "old":
        monkeypatch.setattr("apps.studio.puzzle.AGE_S", -1)
    before = Service.objects.count()
    answer = ask_for_a_visit(path, **more)
    assert (answer.status_code, answer.json()["code"]) == (409, "puzzle")
    assert Service.objects.count() == before


def test_the_puzzle_gets_harder_while_very_many_ask(owner):
    link = StudioLink.objects.get(pk=owner.post("/links", {"kind": "request"}, 201)["id"])
    assert signing.loads(requests.puzzle_for(link), salt=SALT)[0] == 4
    for i in range(100):
        LinkUse.objects.create(studio=link.studio, sender="x", puzzle=str(i))
    assert signing.loads(requests.puzzle_for(link), salt=SALT)[0] == 8


def test_finding_by_name_and_by_wish(owner, stranger):
    service = to_plan(owner, client=owner.post("/clients", {"name": "Odalys Wick"}, 201))
    consult(owner, service, zones=None, wish="a silver fringe")
    stranger.post("/clients", {"name": "Odalys Other"}, 201)
    found = owner.get("/search?text=odaly")
    assert [c["name"] for c in found["clients"]] == ["Odalys Wick"]
    assert [s["id"] for s in found["services"]] == [service["id"]]
    assert [s["client_name"] for s in owner.get("/search?text=SILVER")["services"]] == ["Odalys Wick"]
    assert owner.get("/search?text=x") == {"clients": [], "services": []}
    assert owner.get("/search?text=100%25_") == {"clients": [], "services": []}
