"""What leaves the studio and what comes in: tables, measurements, the archive and back, erasing, hostile files."""

import io
import json
import zipfile

import pytest
from conftest import Actor, make_member, picture, to_chair, to_plan

from apps.clients.models import Client
from apps.services.models import Photo, Service, ServiceEvent
from apps.shelf.models import Lightener
from apps.studio.models import AuditEntry, Membership, Studio

from .whole import ZONES, run, send

HEADER = "name,birth_date,notes,has_reacted_before,patch_test_placed_on,patch_test_result"


def test_clients_go_out_and_come_in_with_a_preview(owner, stranger):
    owner.post("/clients", {"name": "=SUM(A1)", "notes": "<script>alert(1)</script>", "birth_date": "1990-02-03"}, 201)
    owner.post("/clients", {"name": "Known"}, 201)
    text = owner.get("/tables/clients")["text"]
    assert "'=SUM(A1)" in text
    seen = stranger.post("/tables/clients/preview", {"text": text})
    assert (seen["count"], seen["known"], seen["problems"]) == (2, [], [])
    assert stranger.get("/clients")["total"] == 0  # a preview keeps nothing
    assert stranger.post("/tables/clients", {"text": text}, 201) == {"clients": 2}
    assert {c["name"] for c in stranger.get("/clients")["clients"]} == {"=SUM(A1)", "Known"}
    again = stranger.post("/tables/clients/preview", {"text": text})
    assert again["known"] == ["=SUM(A1)", "Known"]
    assert stranger.post("/tables/clients", {"text": text}, 201) == {"clients": 0}
    assert AuditEntry.objects.filter(act="clients_taken_out").count() == 1


def test_one_bad_line_keeps_all_out_and_is_named(owner):
    text = f"{HEADER}\nAda,,,no,,\nBo,1990-99-01,,no,,\nCy,,,perhaps,,"
    seen = owner.post("/tables/clients/preview", {"text": text})
    assert [(p["line"], p["column"], p["value"]) for p in seen["problems"]] == [
        (3, "birth_date", "1990-99-01"),
        (4, "has_reacted_before", "perhaps"),
    ]
    refused = owner.post("/tables/clients", {"text": text}, 422)
    assert refused["field"] == "line 3, birth_date"
    assert "the first of 2 bad lines" in refused["detail"]
    assert Client.objects.count() == 0


def test_readings_and_measurements_as_tables(owner):
    sid = run(owner)
    rows = owner.get(f"/services/{sid}/readings/csv")["text"].splitlines()
    assert rows[0].startswith("zone,at,minute,level")
    assert len(rows) == 5
    assert owner.get(f"/services/{sid}/colours")["text"].startswith("CGATS.17")
    bare = to_chair(owner, client=owner.post("/clients", {"name": "Bare"}, 201))["id"]
    assert owner.get(f"/services/{bare}/colours", 409)["code"] == "nothing_measured"


def cgats(*rows):
    data = "\n".join(f'{i} "{name}" {lab}' for i, (name, lab) in enumerate(rows))
    return (
        f"CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID SAMPLE_NAME LAB_L LAB_A LAB_B\nEND_DATA_FORMAT\n"
        f"BEGIN_DATA\n{data}\nEND_DATA\n"
    )


def test_measurements_become_readings_all_or_none(owner):
    sid = run(owner, file=False, toner=False)
    before = ServiceEvent.objects.count()
    bad = owner.post(f"/services/{sid}/colours", {"text": cgats(("Crown", "70 8 42"), ("Elbow", "70 8 42"))}, 422)
    assert bad["field"] == "measurement 2, SAMPLE_NAME"
    assert "Crown, Nape" in bad["limit"]
    unlike = owner.post(f"/services/{sid}/colours", {"text": cgats(("Crown", "70 8 42"), ("Nape", "50 -60 20"))}, 422)
    assert unlike["code"] == "unlike_hair"
    assert "measurement 2, Nape" in unlike["detail"]
    assert ServiceEvent.objects.count() == before
    owner.post(f"/services/{sid}/colours", {"text": cgats(("crown", "70 8 42"), ("Nape", "66 12 44"))})
    assert ServiceEvent.objects.count() == before + 2
    out = owner.get(f"/services/{sid}/colours")["text"]
    assert '"Crown" 70.0000 8.0000 42.0000' in out


# --- the archive


def archive_of(actor):
    answer = actor.browser.get("/api/archive")
    assert answer.status_code == 200
    return b"".join(answer.streaming_content)


def parts(body):
    with zipfile.ZipFile(io.BytesIO(body)) as file:
        return {n: file.read(n) for n in file.namelist()}


def bring_in(actor, body, name="studio.zip"):
    file = io.BytesIO(body)
    file.name = name
    return actor.browser.post("/api/archive", {"file": file})


@pytest.fixture
def empty(db):
    """A studio with nothing in it, in an installation that was emptied first."""

    def make():
        Service.everything.all().delete()
        Studio.objects.all().delete()
        Membership._meta.get_field("user").related_model.objects.all().delete()
        return Actor(make_member(Studio.objects.create(name="Nothing yet"), "owner"))

    return make


def full_studio(owner):
    sid = run(owner)
    send(owner, sid, picture())
    owner.post(f"/services/{sid}/addenda", {"text": "It held."}, 201)
    client = str(Service.objects.get(pk=sid).client_id)
    owner.post(f"/clients/{client}/again", {"booked_min": 90}, 201)
    planned = to_plan(owner, client=owner.post("/clients", {"name": "Ünïcode <b>"}, 201), zones=ZONES)["id"]
    service = owner.get(f"/services/{planned}")
    owner.post(f"/services/{planned}/plan/versions", {"revision": service["revision"], "label": "first"})
    closed = [{"first": "2026-12-24", "last": "2027-01-02", "is_every_year": True}]
    owner.ask("PATCH", "/studio", {"growth_mm_per_month": 11.5, "currency": "kr", "units": "us", "closed_on": closed})
    return sid


def test_a_studio_goes_out_and_into_an_empty_one_and_out_the_same(owner, technician, empty):
    sid = full_studio(owner)
    technician.user.membership.language = "de"
    technician.user.membership.shares_practice = True
    technician.user.membership.save()
    record = owner.get(f"/services/{sid}/record")
    first = archive_of(owner)
    new = empty()
    assert Client.objects.count() == 0
    answer = bring_in(new, first)
    assert answer.status_code == 201, answer.content
    assert answer.json() == {"clients": 2, "services": 3, "photos": 1}
    second = archive_of(new)
    one, two = parts(first), parts(second)
    assert one.keys() == two.keys()
    for name in one:
        if name in ("archive.json", "members.json"):
            continue
        if name == "trail.jsonl":  # all that was told before, and that it was taken out and brought in
            acts = [json.loads(x)["act"] for x in two[name].splitlines()]
            assert set(one[name].splitlines()) < set(two[name].splitlines())
            assert {"archive_brought_in", "service_started"} <= set(acts)
            continue
        assert one[name] == two[name], name
    heads = [json.loads(p["archive.json"]) for p in (one, two)]
    assert heads[0]["studio"] == heads[1]["studio"]
    stays = {"id", "is_demo", "eyes_revision"}  # what is of this installation
    assert {f.name for f in Studio._meta.concrete_fields} - stays == set(heads[0]["studio"])
    assert (heads[1]["studio"]["units"], len(heads[1]["studio"]["closed_on"])) == ("us", 1)
    people = [{m["username"]: m for m in json.loads(p["members.json"])} for p in (one, two)]
    names = [set(p) for p in people]
    assert all(people[1][name] == was for name, was in people[0].items())
    assert {m["language"] for m in people[1].values()} == {"de", ""}
    assert names[0] < names[1]  # and the owner who brought it in
    same = new.get(f"/services/{sid}/record")
    assert {k: v for k, v in same.items() if k != "server_now"} == {
        k: v for k, v in record.items() if k != "server_now"
    }
    assert (
        new.browser.get(f"/api/services/{sid}/photos/{same['photos'][0]['id']}").content
        == one[f"photos/{same['photos'][0]['id']}.jpg"]
    )


def test_the_demo_goes_out_and_in_the_same_service_by_service(demo, empty):
    first = archive_of(demo)
    new = empty()
    assert bring_in(new, first).status_code == 201
    one, two = (parts(x)["services.jsonl"].splitlines() for x in (first, archive_of(new)))
    assert len(one) == len(two) > 10
    for before, after in zip(one, two, strict=True):
        old, now = json.loads(before), json.loads(after)
        assert {k: now[k] for k in old if now[k] != old[k]} == {}
        assert before == after


def test_an_archive_goes_into_an_empty_studio_only(owner):
    full_studio(owner)
    body = archive_of(owner)
    assert bring_in(owner, body).json()["code"] == "not_empty"


def rebuilt(body, **changes):
    """The archive with some entries changed; a callable changes what is there."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as file:
        for name, data in parts(body).items():
            change = changes.pop(name, None)
            file.writestr(name, change(data) if callable(change) else data if change is None else change)
        for name, data in changes.items():
            file.writestr(name, data)
    return out.getvalue()


def in_json(does):
    def change(data):
        value = json.loads(data)
        does(value)
        return json.dumps(value)

    return change


def in_line(does):
    def change(data):
        lines = [json.loads(x) for x in data.splitlines()]
        does(lines)
        return "\n".join(json.dumps(x) for x in lines)

    return change


def poke(path, value):
    def does(found):
        for key in path[:-1]:
            found = found[key]
        found[path[-1]] = value

    return does


def harmed(entry, path, value):
    """An archive with one value of one entry changed."""
    return lambda b: rebuilt(b, **{entry: in_json(poke(path, value))})


def holding(entry, data):
    """An archive with other bytes in an entry; a callable makes them of what is there."""
    return lambda b: rebuilt(b, **{entry: data})


def harmed_service(path, value):
    return holding("services.jsonl", in_line(poke([0, *path], value)))


def in_filed(path, value):
    return holding("services.jsonl", in_line(lambda v: poke(path, value)(next(s for s in v if s["summary"]))))


def in_versioned(summary):
    def does(lines):
        next(s for s in lines if s["versions"])["versions"][0]["summary"] = summary

    return holding("services.jsonl", in_line(does))


def first_photo(b):
    return next(n for n in parts(b) if n.startswith("photos/"))


LATIN = '[{"name": "Zoë"}]'.encode("latin-1")
HOSTILE = {
    "no zip": (lambda b: b"PK no", "not a zip"),
    "an empty file": (lambda b: b"", "1 to"),
    "cut off": (lambda b: b[: len(b) // 2], "not a zip"),
    "a path out of it": (holding("../../etc/passwd", "x"), "etc/passwd"),
    "a folder in photos": (holding("photos/../x.jpg", "x"), "photos"),
    "a part missing": (lambda b: rebuilt(b).replace(b"members.json", b"nembers.json"), "nembers.json"),
    "a bomb": (holding("clients.json", b"[" + b" " * 60_000_000 + b"]"), "packed"),
    "another format": (harmed("archive.json", ["format"], "x"), "fervens-archive"),
    "a later version": (harmed("archive.json", ["version"], 9), "version 2"),
    "a pace of its own": (harmed("archive.json", ["studio", "pace_min_per_foil"], -5), "pace"),
    "a growth in words": (harmed("archive.json", ["studio", "growth_mm_per_month"], "fast"), "studio"),
    "no JSON": (holding("clients.json", "[{]"), "clients.json: not JSON"),
    "another encoding": (holding("clients.json", LATIN), "UTF-8"),
    "deep nesting": (holding("clients.json", "[" * 200_000), "not JSON"),
    "not a number": (harmed("shelf.json", ["lighteners", 0, "lift_factor"], float("nan")), "finite"),
    "infinite": (holding("shelf.json", lambda d: d.replace(b": 1.0", b": 1e999")), "finite"),
    "a huge number": (harmed("shelf.json", ["developers", 0, "volume_strength"], 1e12), "trength, vol"),
    "endless digits": (holding("clients.json", "[" + "9" * 5000 + "]"), "not JSON"),
    "a field too long": (harmed("clients.json", [0, "name"], "x" * 81), "clients[0].name"),
    "a field unknown": (harmed("clients.json", [0, "is_staff"], True), "is_staff"),
    "a nul byte": (harmed("clients.json", [0, "name"], "a\x00b"), "clients[0].name"),
    "a list for a row": (holding("clients.json", "[[1, 2]]"), "a JSON object"),
    "a client of nobody": (harmed_service(["client"], "x"), "client of this archive"),
    "a log that does not fit": (harmed_service(["step"], "tone"), "as its log has it"),
    "an act unknown": (harmed_service(["events", 0, "kind"], "DropTables"), "DropTables"),
    "a summary of its own": (in_filed(["summary", "lanes", 0, "level"], "high"), "summary.lanes[0].level"),
    "a reading of its own": (in_filed(["summary", "lanes", 0, "readings"], [["<script>", 7, "dry"]]), "readings"),
    "a version of its own": (in_versioned({"chair_min": "x"}), "versions[0].summary"),
    "a picture that is none": (lambda b: rebuilt(b, **{first_photo(b): b"<svg>"}), "JPEG"),
}


def counts():
    kinds = (Client, Service, ServiceEvent, Photo, Lightener)
    return [k.objects.count() for k in kinds]


def test_hostile_archives_are_refused_with_a_word_and_nothing_half_done(owner, empty):
    full_studio(owner)
    good = archive_of(owner)
    new = empty()
    for what, (harm, said) in HOSTILE.items():
        answer = bring_in(new, harm(good))
        assert answer.status_code in (409, 422), (what, answer.content[:300])
        told = answer.json()
        assert said in f"{told['detail']} {told.get('field')}", (what, told["detail"])
        assert counts() == [0, 0, 0, 0, 0], what
        assert new.get("/studio")["name"] == "Nothing yet", what
    assert bring_in(new, good).status_code == 201


def test_an_entry_that_lies_about_its_size_is_stopped(owner, empty, monkeypatch):
    from apps.records import archive_reader

    full_studio(owner)
    good = archive_of(owner)
    new = empty()
    monkeypatch.setattr(archive_reader, "ENTRY_MAX", 20)
    assert "at most 20 bytes" in bring_in(new, good).json()["detail"]
    monkeypatch.undo()
    monkeypatch.setattr(archive_reader, "LINE_MAX", 50)
    assert "services.jsonl, line 1" in bring_in(new, good).json()["detail"]
    assert counts() == [0, 0, 0, 0, 0]


def test_a_client_takes_out_what_is_kept_of_them(owner):
    sid = full_studio(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    body = owner.browser.get(f"/api/clients/{client}/archive").content
    found = parts(body)
    kept = json.loads(found["client.json"])
    assert kept["client"]["name"] == "Ida Fern"
    assert len(kept["services"]) == 2
    assert sum(n.startswith("photos/") for n in found) == 1
    assert "Ünïcode" not in found["client.json"].decode()


def test_erasing_keeps_the_work_and_not_the_person(owner):
    sid = full_studio(owner)
    client = str(Service.objects.get(pk=sid).client_id)
    owner.ask("PATCH", f"/clients/{client}", {"notes": "Lives at the quay", "reacts_to_oxidative": True})
    wrong = owner.post(f"/clients/{client}/erase", {"typed_name": "Ida"}, 422)
    assert wrong["field"] == "typed_name"
    erased = owner.post(f"/clients/{client}/erase", {"typed_name": "Ida Fern"})
    assert (erased["name"], erased["notes"], erased["reacts_to_oxidative"]) == ("Erased client", "", None)
    record = owner.get(f"/services/{sid}/record")
    assert (record["worked"], record["change"], record["photos"]) == ("", "", [])
    assert len(record["ran"]) == 2
    assert record["bowls"]
    whole = b"".join(parts(archive_of(owner)).values()).decode("utf-8", "replace")
    for word in ("Ida Fern", "quay", "Fine bowls", "It held."):
        assert word not in whole, word
    assert owner.get("/search?text=Erased") == {"clients": [], "services": []}
    assert "Erased client" not in {c["name"] for c in owner.get("/clients")["clients"]}
    assert owner.ask("PATCH", f"/clients/{client}", {"name": "Ida"}, 409)["code"] == "erased"
    assert owner.post("/services", {"client_id": client}, 409)["code"] == "erased"
    assert owner.post(f"/clients/{client}/again", {}, 409)["code"] == "erased"
    assert "client erased" in [x["act"] for x in owner.get("/audit")["lines"]]


def test_what_can_be_written_can_be_brought_in(owner, empty):
    from apps.records.archive_in import PARTS
    from apps.services.acts import LINES_MAX

    from .test_long_logs import lengthen

    service = to_chair(owner)["id"]
    lane = owner.get(f"/services/{service}/board")["board"]["lanes"][0]
    owner.event(
        service, "ApplicationStarted", minutes_ago=25, zone_key=lane["key"], volume_strength=lane["volume_strength"]
    )
    owner.event(service, "ApplicationFinished", minutes_ago=24, zone_key=lane["key"])
    lengthen(service, 3200)
    good = archive_of(owner)
    new = empty()
    answer = bring_in(new, good)
    assert answer.status_code == 201, answer.content
    assert ServiceEvent.objects.filter(service_id=service).count() > 3200
    assert PARTS["events"] == LINES_MAX
