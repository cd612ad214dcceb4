"""One service from the first reading to the filed record, and what is refused on the way."""

import datetime as dt
from uuid import uuid4

import pytest
from conftest import ZONE, Actor, consult, make_member, to_chair, to_plan
from django.utils import timezone

from apps.services.models import ServiceEvent
from apps.studio.models import AuditEntry


def mixed(tone, **more):
    """What the page sends when a bowl of the tone step goes on its first zone."""
    bowl, lane = tone["tone_step"]["bowls"][0], tone["tone_step"]["lanes"][0]
    two = len(bowl["shade_keys"]) > 1
    second = {"second_key": bowl["shade_keys"][1], "second_name": bowl["shade_names"][1]} if two else {}
    values = {
        "shade_key": bowl["shade_keys"][0],
        "shade_name": bowl["shade_names"][0],
        "share": bowl["share"] if two else 1,
        "developer_parts": bowl["developer_parts"],
        "minutes": lane["proposal"]["minutes"],
        "product_g": lane["proposal"]["product_g"],
        "developer_g": lane["proposal"]["developer_g"],
    }
    return values | second | more


def test_from_reading_to_record(owner):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    placed = (timezone.now() - dt.timedelta(hours=50)).isoformat()
    owner.ask("PATCH", f"/clients/{client['id']}", {"patch_test_placed_at": placed, "patch_test_result": "negative"})
    service = to_chair(owner, client=client)
    sid = service["id"]
    bowl = owner.get(f"/services/{sid}/board")["bowls"][0]
    owner.event(
        sid,
        "BowlMixed",
        minutes_ago=47,
        zone_key="crown",
        volume_strength=bowl["volume_strength"],
        product_g=bowl["lightener_g"],
        developer_g=bowl["developer_g"],
    )
    owner.event(sid, "ApplicationStarted", minutes_ago=46, zone_key="crown", volume_strength=bowl["volume_strength"])
    owner.event(sid, "ApplicationFinished", minutes_ago=41, zone_key="crown")
    board = owner.event(sid, "ReadingTaken", minutes_ago=20, zone_key="crown", level=7, mode="wiped")
    lane = board["board"]["lanes"][0]
    assert lane["readings"][0]["minute"] == pytest.approx(21, abs=0.1)
    assert lane["curve"][0]["hex"].startswith("#")
    owner.event(sid, "Rinsed", minutes_ago=12, zone_key="crown")
    owner.event(sid, "ReadingTaken", minutes_ago=10, zone_key="crown", level=8, mode="dry")
    review = owner.get(f"/services/{sid}/review")
    assert review["step"] == "review"
    assert review["review"]["lanes"][0]["says"].startswith("Yellow at 8: violet")
    owner.event(sid, "ReviewFinished", minutes_ago=10)
    tone = owner.get(f"/services/{sid}/tone?bowls=1")
    assert tone["step"] == "tone"
    zone = tone["tone_step"]["lanes"][0]
    assert (zone["level"], zone["undertone"], zone["is_read"]) == (8, "yellow", True)
    owner.event(sid, "TonerApplied", minutes_ago=9, zone_key="crown", **mixed(tone))
    owner.event(sid, "TonerRinsed", minutes_ago=1, zone_key="crown")
    owner.event(sid, "ServiceClosed", worked="Fresh bowls.", change="Book longer.")
    record = owner.get(f"/services/{sid}/record")
    assert record["step"] == "record"
    assert [r["level"] for r in record["lanes"][0]["readings"]] == [7, 8]
    assert record["lanes"][0]["achieved_level"] == 8
    assert record["toners"][0]["shade_name"] == zone["proposal"]["formula_name"]
    assert record["toned_difference"] >= 0.0
    (put,) = record["toner_bowls"]
    assert (put["formula"], len(put["rinsed_at"])) == (zone["proposal"]["formula_name"], 1)
    assert record["toners"][0]["minutes"] == pytest.approx(8, abs=0.1)
    assert record["bowls"][0]["product_g"] == pytest.approx(bowl["lightener_g"])
    assert record["worked"] == "Fresh bowls."
    assert record["walls_passed"] == []
    assert {c["code"] for c in record["cautions"]} >= {"professional_use"}
    assert owner.event(sid, "Rinsed", 409, zone_key="crown")["code"] == "service_closed"


def test_a_blocked_person_cannot_be_planned(owner):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    service = consult(owner, owner.post("/services", {"client_id": client["id"]}, 201), salts_test="positive")
    assert service["is_blocked"]
    for entry in service["cautions"]:
        owner.event(service["id"], "CautionAcknowledged", caution=entry["caution"]["code"])
    refused = owner.event(service["id"], "ConsultationFinished", 409)
    assert refused["code"] == "metallic_salts"
    assert "violently" in refused["detail"]
    assert (
        owner.post(f"/services/{service['id']}/plan/take", {"event_id": str(uuid4())}, 409)["code"] == "metallic_salts"
    )
    assert owner.get("/day")["services"][0]["next_text"] == "Must not be lightened today"


def test_cautions_must_be_acknowledged_by_name(owner):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    service = consult(owner, owner.post("/services", {"client_id": client["id"]}, 201), [ZONE | {"is_delicate": True}])
    refused = owner.event(service["id"], "ConsultationFinished", 409)
    assert refused["code"] == "cautions_open"
    assert "Delicate hair: Crown" in refused["detail"]
    owner.event(service["id"], "CautionAcknowledged", caution="delicate")
    taken = {c["caution"]["code"]: c for c in owner.get(f"/services/{service['id']}")["cautions"]}
    assert taken["delicate"]["acknowledged_by"] == "Owner"
    assert taken["professional_use"]["acknowledged_at"] is None


def test_an_empty_head_cannot_be_planned(owner):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    service = owner.post("/services", {"client_id": client["id"]}, 201)
    assert owner.event(service["id"], "ConsultationFinished", 409)["code"] == "no_zones"
    assert owner.get(f"/services/{service['id']}/plan")["lanes"] == []


def test_oxidative_toner_stays_locked_without_its_patch_test(owner):
    sid = to_chair(owner)["id"]
    owner.event(sid, "ApplicationStarted", zone_key="crown", volume_strength=20)
    owner.event(sid, "Rinsed", zone_key="crown")
    tone = owner.get(f"/services/{sid}/tone?bowls=3")
    step = tone["tone_step"]
    shelf = {s["name"]: s for s in step["shelf"]}
    assert "Patch test" in shelf["Fog 9"]["blocked"]
    assert step["is_wash_only"]
    assert {n for b in step["bowls"] for n in b["shade_names"]} == {"Wash 9"}
    locked = mixed(tone, shade_key=shelf["Fog 9"]["key"], shade_name="Fog 9")
    assert owner.event(sid, "TonerApplied", 409, zone_key="crown", **locked)["code"] == "patch_test"
    second = mixed(tone, second_key=shelf["Fog 9"]["key"], second_name="Fog 9", share=0.5)
    assert owner.event(sid, "TonerApplied", 409, zone_key="crown", **second)["code"] == "patch_test"
    over = owner.event(sid, "TonerApplied", 409, zone_key="crown", **mixed(tone, minutes=30))
    assert over["code"] == "toner_over_label"
    assert "at most 10" in over["detail"]
    owner.event(sid, "TonerApplied", zone_key="crown", **mixed(tone))
    assert owner.event(sid, "TonerPulledBack", 409, zone_key="crown", minutes=30)["code"] == "toner_over_label"
    owner.event(sid, "TonerStrandRead", zone_key="crown", deposit_share=0.4)
    lane = owner.get(f"/services/{sid}/tone")["tone_step"]["lanes"][0]
    assert lane["toner"]["strand_count"] == 1


def rinsed_short(actor, level=7, **more):
    """A crown that was to be 8 and came out short, read after the rinse."""
    sid = to_chair(actor, **more)["id"]
    actor.event(sid, "ApplicationStarted", minutes_ago=40, zone_key="crown", volume_strength=20)
    actor.event(sid, "ApplicationFinished", minutes_ago=36, zone_key="crown")
    actor.event(sid, "Rinsed", minutes_ago=12, zone_key="crown")
    if level:
        actor.event(sid, "ReadingTaken", minutes_ago=5, zone_key="crown", level=level, mode="dry", warmth=1)
    return sid


AGAIN = {"zone_keys": ["crown"], "volumes": [10], "levels": [7], "is_label_read": True}


def test_lightened_again_today_as_the_review_planned_it(owner):
    sid = rinsed_short(owner)
    lane = owner.get(f"/services/{sid}/review")["review"]["lanes"][0]
    again = next(o for o in lane["options"] if o["way"] == "again")
    assert again["blocked"] is None
    assert 7.0 < again["level"] <= 8.6
    board = owner.event(sid, "LighteningResumed", **AGAIN | {"volumes": [again["volume_strength"]]})
    lanes = {x["key"]: x for x in board["board"]["lanes"]}
    assert lanes["crown.again"]["start_level"] == 7
    assert board["step"] == "chair"
    owner.event(sid, "ApplicationStarted", zone_key="crown.again", volume_strength=10)
    assert owner.event(sid, "ReviewFinished", 409)["code"] == "still_lifting"
    owner.event(sid, "Rinsed", zone_key="crown.again")
    assert [x["key"] for x in owner.get(f"/services/{sid}/review")["review"]["lanes"]] == ["crown.again"]


def test_a_part_left_as_it_was_is_read_by_its_own_key_and_toned(owner, reader):
    crown = {"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "foil_count": 5}
    ends = {"start_level": 8.5, "history": "lightened", "from_mm": 210, "is_left_out": True}
    sid = rinsed_short(owner, zones=[crown | {"parts": [ends]}])
    (part,) = owner.get(f"/services/{sid}/review")["review"]["kept"]
    assert (part["key"], part["name"]) == ("crown.ends", "Crown ends")
    look = {"level": 8.5, "mode": "dry", "is_kept": True}
    assert owner.event(sid, "ReadingTaken", 409, zone_key="crown.root", **look)["code"] == "unknown_zone"
    measured = owner.post(f"/services/{sid}/lanes/crown.ends/measure")
    assert measured["level"] == pytest.approx(8.5, abs=0.3)
    owner.event(sid, "ReadingTaken", zone_key="crown.ends", **look)
    lanes = owner.get(f"/services/{sid}/tone")["tone_step"]["lanes"]
    assert {x["name"] for x in lanes} == {"Crown lengths", "Crown ends"}
    assert any("not lightened, read 8.5" in line["text"] for line in owner.get(f"/services/{sid}/log")["lines"])


def test_no_second_lightening_unread_on_strained_hair_or_by_an_assistant(owner, assistant):
    sid = rinsed_short(owner)
    assert assistant.event(sid, "LighteningResumed", 403, **AGAIN)["code"] == "not_allowed"
    wrong = owner.event(sid, "LighteningResumed", 409, **AGAIN | {"levels": [6]})
    assert wrong["code"] == "not_read"
    asked = owner.event(sid, "LighteningResumed", 409, **AGAIN | {"is_label_read": False})
    assert asked["code"] == "label_unread"
    owner.event(sid, "HairNoted", zone_key="crown", elasticity="slow")
    refused = owner.event(sid, "LighteningResumed", 409, **AGAIN)
    assert refused["code"] == "not_again"
    assert "does not simply return" in refused["detail"]


def test_an_own_formula_is_tried_and_a_bad_one_told(owner):
    sid = rinsed_short(owner)
    shelf = {t["name"]: t["key"] for t in owner.get(f"/services/{sid}/tone")["tone_step"]["shelf"]}
    body = {"shade_key": shelf["Fog 9"], "ids": ["crown"]}
    tried = owner.post(f"/services/{sid}/tone/try", body)
    assert tried["formula_name"] == "Fog 9"
    assert tried["zones"][0]["minutes"] <= 20
    refused = owner.post(f"/services/{sid}/tone/try", body | {"second_key": shelf["Wash 9"], "share": 0.5}, 422)
    assert refused["field"] == "shades"
    assert owner.post(f"/services/{sid}/tone/try", body | {"shade_key": "x"}, 409)["code"] == "unknown_shade"
    assert owner.post(f"/services/{sid}/tone/try", body | {"ids": ["nape"]}, 409)["code"] == "not_rinsed"
    many = owner.get(f"/services/{sid}/tone?bowls=5", 422)
    assert many["field"] == "bowls"


def test_the_wish_and_a_shadow_are_set_and_the_scale_is_painted(owner):
    sid = rinsed_short(owner)
    cells = owner.get("/wishes")["cells"]
    assert {c["name"] for c in cells} >= {"icy", "pearl", "silver", "lilac"}
    owner.event(sid, "WishSet", tone="pearl", level=7)
    owner.event(sid, "ShadowSet", level=5, length_mm=30, blend_mm=10)
    step = owner.get(f"/services/{sid}/tone")["tone_step"]
    assert (step["wish"]["tone"], step["is_own_wish"]) == ("pearl", True)
    assert {lane["part"] for lane in step["lanes"]} == {"", "shadow"}
    assert owner.event(sid, "WishSet", 422, tone="mauve", level=7)["field"] == "data.tone"


def test_developer_over_the_limit_is_refused_at_the_plan_and_at_the_chair(owner):
    service = to_plan(owner, zones=[ZONE | {"is_delicate": True}])
    key = owner.get("/shelf")["lighteners"][0]["key"]
    body = {"revision": service["revision"], "lightener_key": key, "volumes": {"crown": 30}}
    lane = owner.put(f"/services/{service['id']}/plan", body)["lanes"][0]
    assert lane["volume_strength"] == 20
    assert "30 vol asked, held at 20 (delicate hair)" in lane["note"]
    owner.post(f"/services/{service['id']}/plan/take", {"event_id": str(uuid4())})
    refused = owner.event(service["id"], "ApplicationStarted", 409, zone_key="crown", volume_strength=30)
    assert refused["code"] == "volume_over_limit"
    assert "at most 20 vol (delicate hair), got 30" in refused["detail"]


def test_the_plan_is_kept_and_taken_as_the_server_computes_it(owner):
    zones = [ZONE, ZONE | {"key": "top", "name": "Top"}]
    service = to_plan(owner, zones=zones)
    key = owner.get("/shelf")["lighteners"][0]["key"]
    body = {
        "revision": service["revision"],
        "lightener_key": key,
        "visit_mins": [40],
        "keeps_order": True,
        "order": ["top", "crown"],
    }
    preview = owner.post(f"/services/{service['id']}/plan/preview", body)
    assert [x["key"] for x in preview["lanes"]] == ["top", "crown"]
    assert [x["key"] for x in owner.get(f"/services/{service['id']}/plan")["lanes"]] == ["crown", "top"]
    kept = owner.put(f"/services/{service['id']}/plan", body | {"volumes": {"top": 25}})
    assert kept["lanes"][0]["volume_strength"] == 25
    board = owner.post(f"/services/{service['id']}/plan/take", {"event_id": str(uuid4())})
    assert [(x["key"], x["volume_strength"]) for x in board["board"]["lanes"]] == [
        (x["key"], x["volume_strength"]) for x in kept["lanes"]
    ]
    assert owner.put(f"/services/{service['id']}/plan", body, 409)["code"] in ("not_planning", "changed_elsewhere")


def test_two_writers_do_not_overwrite_each_other(owner, technician):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    service = owner.post("/services", {"client_id": client["id"]}, 201)
    consult(owner, service, wish="Cool")
    body = {"revision": service["revision"], "zones": [], "wish": "Warm"}
    assert technician.put(f"/services/{service['id']}/consultation", body, 409)["code"] == "changed_elsewhere"
    assert technician.get(f"/services/{service['id']}")["wish"] == "Cool"


def test_an_event_sent_twice_is_taken_once(owner, technician):
    sid = to_chair(owner)["id"]
    event_id = str(uuid4())
    for actor in (owner, owner, technician):
        actor.event(sid, "ApplicationStarted", event_id=event_id, zone_key="crown", volume_strength=20)
    assert ServiceEvent.objects.filter(event_id=event_id).count() == 1
    other = to_chair(owner)["id"]
    assert (
        owner.event(other, "ApplicationStarted", 409, event_id=event_id, zone_key="crown", volume_strength=20)["code"]
        == "event_id_taken"
    )


def test_an_act_is_undone_by_a_later_event(owner):
    sid = to_chair(owner)["id"]
    board = owner.event(sid, "ApplicationStarted", zone_key="crown", volume_strength=20)
    assert board["undo"]["text"] == "Crown: application started, 20 vol"
    undone = owner.event(sid, "EventVoided", event_id_of=None, expect=422)
    assert undone["field"] == "data.event_id"
    owner.post(
        f"/services/{sid}/events",
        {
            "event_id": str(uuid4()),
            "kind": "EventVoided",
            "occurred_at": timezone.now().isoformat(),
            "data": {"event_id": board["undo"]["event_id"]},
        },
    )
    board = owner.get(f"/services/{sid}/board")
    assert board["board"]["lanes"][0]["phase"] == "waiting"
    struck = [x for x in owner.get(f"/services/{sid}/record")["lines"] if x["is_voided"]]
    assert [x["text"] for x in struck] == ["Crown: application started, 20 vol"]


@pytest.mark.parametrize(("minutes_ago", "is_taken"), [(0, True), (60, True), (-10, False), (60 * 24 * 3, False)])
def test_moments_far_off_are_refused(owner, minutes_ago, is_taken):
    sid = to_chair(owner)["id"]
    answer = owner.event(
        sid, "CautionAcknowledged", 200 if is_taken else 422, minutes_ago=minutes_ago, caution="professional_use"
    )
    if not is_taken:
        assert answer["field"] == "occurred_at"


def test_audit_says_who_did_what(owner):
    sid = to_chair(owner)["id"]
    acts = list(AuditEntry.objects.filter(target=sid).order_by("pk").values_list("act", "member_name"))
    assert [a for a, _ in acts] == [
        "service_started",
        "consultation_written",
        "CautionAcknowledged",
        "CautionAcknowledged",
        "ConsultationFinished",
        "PlanTaken",
    ]
    assert {n for _, n in acts} == {"Owner"}


def test_the_chair_is_the_same_for_every_process(owner, studio):
    """Nothing of a service lives in a process: another member's session computes the same lanes from the rows."""
    sid = to_chair(owner)["id"]
    owner.event(sid, "ApplicationStarted", minutes_ago=20, zone_key="crown", volume_strength=20)
    owner.event(sid, "ApplicationFinished", minutes_ago=15, zone_key="crown")
    other = Actor(make_member(studio, "technician"))
    mine, theirs = (a.get(f"/services/{sid}/board")["board"]["lanes"][0] for a in (owner, other))
    for field in ("zero_at", "wall_min", "window_min", "curve", "phase"):
        assert mine[field] == theirs[field]
