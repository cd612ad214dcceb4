"""A service that only tones, from the consultation to the filed record, and what it refuses."""

import datetime as dt

import pytest
from conftest import Actor, consult, make_member
from django.utils import timezone

STRIPES = [
    {"key": "crown", "name": "Crown", "start_level": 8, "target_level": 8, "history": "lightened"},
    {"key": "top", "name": "Top", "start_level": 6, "target_level": 6, "history": "lightened"},
]


def brassy(actor: Actor, zones=None, **more):
    """A consultation of brassy stripes, everything acknowledged, the patch test clear."""
    client = actor.post("/clients", {"name": "Ida Fern"}, 201)
    placed = (timezone.now() - dt.timedelta(hours=50)).isoformat()
    actor.ask("PATCH", f"/clients/{client['id']}", {"patch_test_placed_at": placed, "patch_test_result": "negative"})
    service = actor.post("/services", {"client_id": client["id"], "kind": "tone_only"}, 201)
    service = consult(actor, service, STRIPES if zones is None else zones, tone="neutral", **more)
    for entry in service["cautions"]:
        if entry["caution"]["severity"] == "warn":
            actor.event(service["id"], "CautionAcknowledged", caution=entry["caution"]["code"])
    return service


def test_it_goes_from_the_consultation_to_the_filed_record_and_lightens_nothing(owner):
    service = brassy(owner)
    sid = service["id"]
    assert service["kind"] == "tone_only"
    assert service["verdict"]["title"] == "Tone today"
    board = owner.event(sid, "ConsultationFinished", minutes_ago=20)
    assert (board["step"], board["board"]["lanes"]) == ("tone", [])
    tone = owner.get(f"/services/{sid}/tone")["tone_step"]
    assert {x["key"] for x in tone["lanes"]} == {"crown", "top"}
    for lane in tone["lanes"]:
        bowl = next(b for b in tone["bowls"] if b["number"] == lane["proposal"]["bowl"])
        two = len(bowl["shade_keys"]) > 1
        owner.event(
            sid,
            "TonerApplied",
            minutes_ago=15,
            zone_key=lane["key"],
            shade_key=bowl["shade_keys"][0],
            shade_name=bowl["shade_names"][0],
            **({"second_key": bowl["shade_keys"][1], "second_name": bowl["shade_names"][1]} if two else {}),
            share=bowl["share"] if two else 1,
            developer_parts=bowl["developer_parts"],
            minutes=lane["proposal"]["minutes"],
            product_g=lane["proposal"]["product_g"],
            developer_g=lane["proposal"]["developer_g"],
        )
        owner.event(sid, "TonerRinsed", minutes_ago=1, zone_key=lane["key"])
    owner.event(sid, "ServiceClosed", worked="Two bowls", change="")
    record = owner.get(f"/services/{sid}/record")
    assert record["step"] == "record"
    assert record["ran"] == []
    assert record["lightener_name"] is None
    history = owner.get(f"/clients/{service['client_id']}/history")
    assert history["services"][0]["lightener_name"] == ""
    assert {t["zone_name"] for t in record["toners"]} == {"Crown", "Top"}
    # nothing was lightened at the scalp: the next visit refreshes the tone
    visit = owner.get(f"/services/{sid}/next")
    assert visit["proposal"]["reason"] == "Nothing to retouch at the scalp: the tone is refreshed"
    assert owner.browser.get(f"/api/services/{sid}/card.pdf").status_code == 200
    assert owner.browser.get(f"/api/services/{sid}/take-home.pdf").status_code == 200
    [line] = [s for s in owner.get("/day")["services"] if s["id"] == sid]
    assert (line["step"], line["next_text"]) == ("record", "Filed")


def test_no_plan_is_taken_and_no_lightener_goes_on(owner):
    sid = brassy(owner)["id"]
    owner.event(sid, "ConsultationFinished")
    owner.event(sid, "BowlMixed", expect=409, zone_key="crown", volume_strength=20, product_g=20, developer_g=30)
    owner.event(sid, "ApplicationStarted", expect=409, zone_key="crown", volume_strength=20)
    board = owner.get(f"/services/{sid}/board")
    assert board["step"] == "tone"


def test_what_goes_to_the_basin_is_worked_out_here(owner):
    sid = brassy(owner)["id"]
    said = owner.event(sid, "ConsultationFinished", expect=409, tone_keys=["crown"], levels=[8])
    assert said["code"] == "not_by_hand"


def test_a_zone_that_keeps_its_tone_stays_out_and_one_at_least_goes(owner):
    kept = [STRIPES[0], STRIPES[1] | {"keeps_depth": True}]
    sid = brassy(owner, kept)["id"]
    owner.event(sid, "ConsultationFinished")
    assert [x["key"] for x in owner.get(f"/services/{sid}/tone")["tone_step"]["lanes"]] == ["crown"]
    none = brassy(owner, [s | {"keeps_depth": True} for s in STRIPES])["id"]
    assert owner.event(none, "ConsultationFinished", expect=409)["code"] == "no_tone_parts"


def test_a_broken_scalp_and_an_open_reaction_block_it(owner):
    sid = brassy(owner, allergies="a rash from hair dye")["id"]
    assert owner.event(sid, "ConsultationFinished", expect=409)["code"] == "reaction_open"


def test_the_kind_is_changed_at_the_consultation_and_not_after(owner):
    service = brassy(owner)
    service = consult(owner, owner.get(f"/services/{service['id']}"), STRIPES)
    assert service["kind"] == "tone_only"  # what is not sent stays
    service = consult(owner, service, [STRIPES[0] | {"target_level": 9.5}], kind="lighten_and_tone")
    assert (service["kind"], service["step"]) == ("lighten_and_tone", "consultation")
    for entry in service["cautions"]:
        owner.event(service["id"], "CautionAcknowledged", expect=None, caution=entry["caution"]["code"])
    owner.event(service["id"], "ConsultationFinished")
    service = owner.get(f"/services/{service['id']}")
    assert service["step"] == "plan"
    body = {"revision": service["revision"], "zones": STRIPES, "kind": "tone_only"}
    assert owner.put(f"/services/{service['id']}/consultation", body, 409)["code"] == "already_started"


def test_it_needs_no_lightener_on_the_shelf_and_its_file_comes_back(owner, studio):
    from apps.shelf.models import Lightener

    Lightener.objects.filter(studio=studio).delete()
    service = brassy(owner)
    owner.event(service["id"], "ConsultationFinished")
    assert owner.get(f"/services/{service['id']}/tone")["tone_step"]["lanes"]
    document = owner.get(f"/services/{service['id']}/file")["document"]
    assert document["kind"] == "tone_only"
    again = owner.post("/services/import", {"document": document, "starts_at": timezone.now().isoformat()}, 201)
    assert owner.get(f"/services/{again['service_id']}")["kind"] == "tone_only"


@pytest.mark.django_db
def test_an_assistant_does_not_finish_its_consultation(owner, studio):
    sid = brassy(owner)["id"]
    helper = Actor(make_member(studio, "assistant"))
    helper.event(sid, "ConsultationFinished", expect=403)
