"""Practice rounds: apart from clients, numbers, stock and learning; the same hair from the same file; safe."""

from __future__ import annotations

import datetime as dt
import json
from uuid import uuid4

import pytest
from django.utils import timezone
from tests.conftest import Actor, make_member

from apps.clients.models import Client
from apps.services.models import PracticeRound, Service, StockUse
from apps.shelf.models import Toner
from apps.studio.models import AuditEntry, Membership, Studio
from fervens_core.log import Topic
from fervens_core.practice import Setup, head_called, person_of, setup_of, with_names

from .learner import Learner, begin


def test_a_round_is_played_from_the_card_to_its_debrief(technician):
    learner = Learner(technician)
    keys = learner.through()
    debrief = technician.post(f"/practice/{learner.id}/end")
    assert len(debrief["outcome"]["lanes"]) == len(keys) == 3
    assert len(debrief["worked"]) == 2
    assert debrief["change"]
    lane = debrief["outcome"]["lanes"][0]
    assert lane["true_start"] < lane["true_end"] <= 10
    assert lane["looks"] == 1
    assert len(lane["truth"]) > 20
    assert len(debrief["outcome"]["readings"]) == 3
    assert debrief["outcome"]["best"]["worst"] <= debrief["outcome"]["done"]["worst"] + 0.3
    assert technician.get(f"/practice/{learner.id}/debrief") == debrief
    assert technician.get("/practice")["rounds"][0]["numbers"]["lanes"] == 3


def test_nothing_of_practice_is_a_client_a_number_a_stock_or_a_lesson(owner, studio):
    eyes = Studio.objects.get(pk=studio.pk).eyes_revision
    filed = owner.get("/learning")
    acts = AuditEntry.objects.filter(act="BowlMixed").count()
    learner = Learner(owner)
    learner.through()
    learner.act(60, "ReviewFinished")
    learner.act(61, "ServiceClosed")
    owner.post(f"/practice/{learner.id}/end")
    assert owner.get("/clients")["clients"] == []
    assert owner.get("/day")["services"] == []
    assert owner.get("/search?text=zones") == owner.get("/search?text=nobody-of-that-name")
    assert not Client.objects.exists()
    assert not Service.objects.exists()
    assert Service.everything.count() == Client.everyone.count() == PracticeRound.objects.count() == 1
    assert not StockUse.objects.exists()
    assert owner.get("/learning") == filed
    assert Studio.objects.get(pk=studio.pk).eyes_revision == eyes
    assert AuditEntry.objects.filter(act="BowlMixed").count() == acts
    assert Service.everything.get().summary is None
    assert owner.browser.get("/api/archive").status_code == 200


def test_a_round_is_its_own_members(technician, owner, assistant, stranger):
    service = begin(technician)
    for other in (owner, assistant, stranger):
        other.get(f"/practice/{service}", 404)
        other.get(f"/services/{service}", 404)
        other.get(f"/services/{service}/board", 404)
        other.get(f"/practice/{service}/debrief", 404)
        other.event(service, "ConsultationFinished", 404)
        other.ask("DELETE", f"/practice/{service}", None, 404)
        other.put(f"/practice/{service}/clock", {"at": timezone.now().isoformat(), "speed": 1}, 404)
    technician.get(f"/practice/{service}")


def test_an_assistant_learns_the_whole_job(assistant):
    learner = Learner(assistant)
    learner.through()
    assert assistant.post(f"/practice/{learner.id}/end")["outcome"]["done"]["lanes"] == 3


def test_practice_events_are_for_practice(technician):
    client = technician.post("/clients", {"name": "Ida Fern"}, 201)
    service = technician.post("/services", {"client_id": client["id"]}, 201)
    for kind, data in (("PracticeAsked", {"topic": "salts"}), ("FoilOpened", {"zone_key": "crown"})):
        said = technician.event(service["id"], kind, 409, **data)
        assert said["code"] == "only_in_practice"


# help


@pytest.mark.parametrize("help", ["clocks", "lanes", "full"])
def test_help_is_taken_out_of_the_board_not_hidden_by_the_page(technician, help):
    learner = Learner(technician, help=help)
    learner.to_chair()
    learner.on("crown", 3)
    board = learner.act(20, "FoilOpened", zone_key="crown")["board"]
    lane = next(x for x in board["lanes"] if x["key"] == "crown")
    codes = {a["code"] for a in board["acts"]}
    assert (lane["advice"] is None) is (help != "full")
    assert (lane["window_min"]["likely"] is None) is (help != "full")
    assert (len({p["hex"] for p in lane["curve"]}) == 1) is (help == "clocks")
    assert (lane["fibres"] == []) is (help == "clocks")
    assert ("read" in codes) is (help == "full")
    assert "mix" in codes
    assert lane["wall_min"] > 40


def test_what_is_to_come_is_told_of_hair_by_minute(technician):
    learner = Learner(technician)
    learner.to_chair()
    learner.on("crown", 3)
    found = learner.round()
    lane = next(x for x in found["lanes"] if x["key"] == "crown")
    assert len(lane["wiped"]) > 25
    assert {x["key"] for x in found["stills"]} >= {"crown", "top", "low_back"}
    assert learner.round()["lanes"] == found["lanes"]


def test_a_toned_strand_is_shown_by_minute_as_it_really_takes_the_toner(technician):
    learner = Learner(technician)
    keys = learner.through()
    learner.act(50, "ReviewFinished")
    assert learner.round()["toned"] == []
    wash = Toner.objects.get(name="Wash 9", studio__members__user=technician.user)
    toner = {"shade_key": str(wash.pk), "shade_name": "Wash 9", "minutes": 5, "product_g": 10, "developer_g": 0}
    learner.act(52, "TonerApplied", zone_key=keys[0], **toner)
    (looks,) = learner.round()["toned"]
    assert looks["key"] == keys[0]
    assert len(looks["by_minute"]) >= 10
    assert looks["by_minute"][0] != looks["by_minute"][8]
    assert looks["rinsed"] is None
    learner.act(58, "TonerRinsed", zone_key=keys[0])
    assert learner.round()["toned"][0]["rinsed"]
    debrief = technician.post(f"/practice/{learner.id}/end")
    assert [t["key"] for t in debrief["outcome"]["tones"]] == [keys[0]]


# what is found out


def test_what_is_asked_is_answered_and_stays(technician):
    learner = Learner(technician, head="tint", seed=5)
    assert all(a["answer"] is None for a in learner.round()["asked"])
    learner.act(1, "PracticeAsked", topic="history")
    answers = {a["topic"]: a["answer"] for a in learner.round()["asked"]}
    assert "box" in answers.pop("history")
    assert set(answers.values()) == {None}


def _seed(is_so) -> int:
    return next(s for s in range(400) if is_so(person_of(setup_of(head_called("tint"), s))))


def test_a_positive_salts_test_blocks_in_practice_as_in_the_chair(technician):
    learner = Learner(technician, head="tint", seed=_seed(lambda p: p.has_salts))
    service = technician.get(f"/services/{learner.id}")
    zones = [{k: z[k] for k in ("key", "name", "start_level", "target_level")} for z in service["zones"]]
    body = {"revision": service["revision"], "zones": zones, "salts_signs": ["warms"]}
    blocked = technician.put(f"/services/{learner.id}/consultation", body)
    assert blocked["is_blocked"]
    said = learner.act(2, "ConsultationFinished", 409)
    assert "salts" in said["detail"].lower()
    debrief = technician.post(f"/practice/{learner.id}/end")
    assert "positive" in debrief["worked"][0]


def test_a_reaction_that_was_asked_for_locks_oxidative_toner(technician):
    learner = Learner(technician, head="tint", seed=_seed(lambda p: p.reacts and not p.has_salts))
    service = technician.get(f"/services/{learner.id}")
    zones = [{k: z[k] for k in ("key", "name", "start_level", "target_level")} for z in service["zones"]]
    body = {"revision": service["revision"], "zones": zones, "reacts_to_oxidative": True}
    technician.put(f"/services/{learner.id}/consultation", body)
    learner.to_chair()
    plan = technician.get(f"/services/{learner.id}/plan")
    locked = {t["name"]: t["blocked"] for t in plan["toner_ideas"]}
    assert locked["Fog 9"]
    assert not locked["Wash 9"]


# over, again, files, classes


def test_a_round_that_is_over_takes_no_more_and_one_that_is_not_tells_nothing(technician):
    learner = Learner(technician)
    assert technician.get(f"/practice/{learner.id}/debrief", 409)["code"] == "round_not_over"
    assert technician.get(f"/practice/{learner.id}/file?played=true", 409)["code"] == "round_not_over"
    technician.post(f"/practice/{learner.id}/end")
    assert learner.act(5, "ConsultationFinished", 409)["code"] == "round_over"


def test_what_if_from_a_moment_has_the_same_hair_and_what_was_done_till_then(technician):
    learner = Learner(technician)
    keys = learner.through(rinse=44)
    debrief = technician.post(f"/practice/{learner.id}/end")
    until = (learner.start + dt.timedelta(minutes=36)).isoformat()
    other = technician.post(f"/practice/{learner.id}/again", {"until": until}, 201)["service_id"]
    board = technician.get(f"/services/{other}/board")
    assert {x["phase"] for x in board["board"]["lanes"]} == {"processing"}
    again = dt.datetime.fromisoformat(technician.get(f"/practice/{other}")["now"])
    for key in keys:
        body = {"event_id": str(uuid4()), "kind": "Rinsed", "occurred_at": again.isoformat(), "data": {"zone_key": key}}
        technician.post(f"/services/{other}/events", body)
    sooner = technician.post(f"/practice/{other}/end")
    for one, two in zip(debrief["outcome"]["lanes"], sooner["outcome"]["lanes"], strict=True):
        truth = {round(p["minute"]): p["level_likely"] for p in one["truth"]}
        assert two["true_end"] == pytest.approx(truth[round(two["minutes"])], abs=0.12)
    fresh = technician.post(f"/practice/{learner.id}/again", {}, 201)["service_id"]
    assert technician.get(f"/services/{fresh}")["step"] == "consultation"


def test_a_round_replays_exactly_from_its_file_in_another_studio(technician, stranger):
    learner = Learner(technician, has_mishaps=True, seed=11)
    learner.through()
    debrief = technician.post(f"/practice/{learner.id}/end")
    file = technician.get(f"/practice/{learner.id}/file?played=true")
    assert file["file_name"] == "practice-round-first-11.json"
    document = json.loads(json.dumps(file["document"]))
    other = stranger.post("/practice/file", {"document": document}, 201)["service_id"]
    again = stranger.get(f"/practice/{other}/debrief")
    assert again["outcome"]["lanes"] == debrief["outcome"]["lanes"]
    assert again["outcome"]["mishaps"] == debrief["outcome"]["mishaps"]
    assert (again["worked"], again["change"]) == (debrief["worked"], debrief["change"])
    assert again["played_by"]
    assert not Service.objects.exists()


def test_a_head_is_set_to_a_class_and_the_sheet_compares(owner, studio, technician, assistant):
    head = owner.get(f"/practice/{begin(owner, seed=21)}/file")
    assert "service" not in head["document"]
    other = Actor(make_member(studio, "assistant"))
    for actor, rinse in ((technician, 40), (assistant, 52), (other, 45)):
        service = actor.post("/practice/file", {"document": head["document"]}, 201)["service_id"]
        learner = Learner.__new__(Learner)
        learner.actor, learner.id = actor, service
        learner.start = dt.datetime.fromisoformat(actor.get(f"/practice/{service}")["now"])
        learner.through(rinse=rinse)
        actor.post(f"/practice/{service}/end")
        actor.put("/practice/sharing", {"is_shared": actor is not other})
    own = owner.get("/practice")["rounds"][0]["service_id"]
    sheet = owner.get(f"/practice/{own}/class")
    assert len(sheet["lines"]) == 2
    assert [x["numbers"]["on_target"] for x in sheet["lines"]] == sorted(
        (x["numbers"]["on_target"] for x in sheet["lines"]), reverse=True
    )


def test_progress_is_seen_by_the_owner_only_if_it_is_shared(owner, technician, assistant):
    learner = Learner(technician)
    learner.through()
    technician.post(f"/practice/{learner.id}/end")
    assert technician.get("/practice")["progress"]["lanes"] == 3
    assert owner.get("/practice")["shared"] == []
    technician.put("/practice/sharing", {"is_shared": True})
    assert [p["lanes"] for p in owner.get("/practice")["shared"]] == [3]
    assert assistant.get("/practice")["shared"] == []
    technician.put("/practice/sharing", {"is_shared": False})
    assert owner.get("/practice")["shared"] == []


def test_a_past_head_comes_without_anything_that_tells_of_its_client(demo):
    past = demo.get("/practice")["past"][0]
    filed = Service.objects.get(pk=past["service_id"])
    service = demo.post("/practice", {"head": "past", "service_id": past["service_id"], "seed": 4}, 201)["service_id"]
    told = json.dumps([demo.get(f"/services/{service}"), demo.get(f"/practice/{service}/file")])
    assert filed.client.name.split()[0] not in told
    assert str(filed.pk) not in told
    assert str(filed.client_id) not in told
    if filed.wish:
        assert filed.wish not in told
    keys = {z["key"] for z in demo.get(f"/services/{service}")["zones"]}
    assert keys == {z.key for z in filed.zones.all()}


def test_words_that_were_written_about_a_head_stay_with_it(demo):
    past = demo.get("/practice")["past"][0]["service_id"]
    zone = Service.objects.get(pk=past).zones.first()
    zone.data |= {"name": "Annas Scheitel", "key": "annas"}
    zone.data |= {"pieces": {"name": "Annas Strähnen", "start_level": 6, "rest_name": "Annas Rest"}}
    zone.key = "annas"
    zone.save()
    service = demo.post("/practice", {"head": "past", "service_id": past, "seed": 4}, 201)["service_id"]
    told = json.dumps([demo.get(f"/services/{service}")["zones"], demo.get(f"/practice/{service}/file")])
    assert "Annas" not in told
    assert "Zone 1" in told


def test_the_telephone_stops_by_itself_and_the_rest_stays(technician):
    lasts = {m["kind"]: m["lasts_min"] for s in range(1, 9) for m in _mishaps(technician, s)}
    assert lasts.pop("phone") == 2.0
    assert set(lasts.values()) == {None}


def _mishaps(actor, seed):
    learner = Learner(actor, has_mishaps=True, seed=seed)
    learner.through()
    return learner.round()["mishaps"]


def test_a_past_head_is_asked_for_and_must_be_the_studios(demo, stranger):
    technician = stranger
    assert technician.post("/practice", {"head": "past"}, 422)["field"] == "service_id"
    past = demo.get("/practice")["past"][0]["service_id"]
    technician.post("/practice", {"head": "past", "service_id": past}, 404)
    assert technician.post("/practice", {"head": "no-such"}, 422)["field"] == "head"
    assert "seed" in technician.post("/practice", {"head": "first", "seed": -1}, 422)["field"]


def test_files_that_are_none_are_refused_by_field(technician):
    for document, field in (
        ({}, "format"),
        ({"format": "fervens-round", "version": 9}, "version"),
        ({"format": "fervens-round", "version": 1, "setup": {}}, "setup"),
    ):
        assert field in technician.post("/practice/file", {"document": document}, 422)["field"]
    assert not PracticeRound.objects.exists()


def test_rounds_make_room_for_new_ones(technician, monkeypatch):
    from apps.services.practice import actions

    monkeypatch.setattr(actions, "ROUNDS_MOST", 3)
    made = [begin(technician) for _ in range(5)]
    assert [r["service_id"] for r in technician.get("/practice")["rounds"]] == made[:1:-1]
    technician.ask("DELETE", f"/practice/{made[-1]}")
    assert Client.everyone.count() == 2


# the eye drill


def test_a_drill_is_weak_evidence_of_the_members_own_eye(technician, studio):
    member = Membership.objects.get(user=technician.user)
    for _ in range(5):
        asked = technician.post("/practice/drill")
        assert len(asked["strands"]) == 12
        answers = [
            {"number": s["number"], "level": min(round((s["level"] + 0.5) * 2) / 2, 10), "undertone": s["undertone"]}
            for s in asked["strands"]
        ]
        drilled = technician.post("/practice/drill/answers", {"seed": asked["seed"], "answers": answers})
    assert drilled["right_undertones"] == 12
    assert drilled["mean_error"] == pytest.approx(0.5, abs=0.15)
    (eye,) = drilled["eyes"]
    assert eye["bias"] == pytest.approx(0.5, abs=0.15)
    (known,) = Studio.objects.get(pk=studio.pk).eyes
    assert (known["name"], known["mode"]) == (member.name, "dry")
    assert known["bias"] == pytest.approx(0.5, abs=0.15)
    technician.ask("DELETE", "/eyes/rounds", None, None)
    assert len(Membership.objects.get(pk=member.pk).eye_rounds) == 5  # no calibration round was taken back


def test_answers_that_are_none_are_refused_by_field(technician):
    for answers, field in (
        ([{"number": 12, "level": 5}], "number"),
        ([{"number": 1, "level": 11}], "level"),
        ([{"number": 1, "level": 5}, {"number": 1, "level": 6}], "number"),
        ([], "answers"),
    ):
        said = technician.post("/practice/drill/answers", {"seed": 1, "answers": answers}, 422)
        assert field in said["field"]


def test_every_topic_has_words_both_ways():
    from apps.common.words import in_words
    from fervens_core.base import say, term

    for topic in Topic:
        for code in (f"practice_answer-{topic.value}", f"practice_answer-{topic.value}_none"):
            assert in_words(say(code, uses="x")) != code
        assert in_words(term(topic))


def test_a_setup_is_kept_as_the_core_has_it(technician):
    begin(technician, head="whole", seed=9, difficulty="resistant", help="lanes")
    from apps.common.words import in_words
    from fervens_core.base import read

    kept = read(Setup, PracticeRound.objects.get().setup)
    made = setup_of(head_called("whole"), 9, difficulty=kept.difficulty, help=kept.help, has_mishaps=False)
    assert kept == with_names(made, in_words)
    assert kept.zones[0].name == "Low back"
