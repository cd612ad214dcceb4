"""The camera with a card at the server: pictures read and not kept, the card measured, an eye calibrated at once."""

import io

import pytest
from conftest import Actor, make_member, to_chair
from django.core.files.uploadedfile import SimpleUploadedFile
from PIL import Image
from pypdf import PdfReader

from apps.services.models import Photo, Service, ServiceEvent
from apps.studio.models import Membership, Studio
from fervens_core.colour import hair_reflectance
from fervens_core.formats import ColourSample, samples_to_cgats
from fervens_core.lift import EYE_BIAS_STD, SWATCH_STD
from fervens_vision import PATCHES
from fervens_vision.simulate import Scene, photograph


@pytest.fixture
def simulated(monkeypatch):
    monkeypatch.setenv("FERVENS_CAMERA", "simulated")


def strand(level, scene=None, seed=1):
    return photograph(hair_reflectance(3.0, level), scene or Scene(), seed)


def sent(actor, path, data, expect=200, **more):
    answer = actor.browser.post(f"/api{path}", {"picture": SimpleUploadedFile("s.jpg", data), **more})
    assert answer.status_code == expect, answer.content[:300]
    return answer.json()


def processing(actor):
    sid = to_chair(actor)["id"]
    actor.event(sid, "ApplicationStarted", minutes_ago=25, zone_key="crown", volume_strength=20)
    actor.event(sid, "ApplicationFinished", minutes_ago=20, zone_key="crown")
    return sid


def cgats(values, now):
    return samples_to_cgats([ColourSample(n, lab) for n, lab in values.lab.items()], made_at=now, title="Card")


def test_a_strand_is_read_from_a_picture_and_the_picture_is_not_kept(owner):
    found = sent(owner, "/camera", strand(7.0).data)
    assert found["level"] == pytest.approx(7.0, abs=0.5)
    assert 0.05 <= found["level_std"] <= 0.8
    assert found["undertone"] == "yellow-orange"
    assert not found["is_card_measured"]
    assert found["instrument"] == "camera"
    assert Photo.objects.count() == 0


def test_a_lane_is_read_noted_and_believed_with_its_own_spread(owner, simulated):
    sid = processing(owner)
    picture = owner.browser.get(f"/api/services/{sid}/lanes/crown/camera/simulated")
    assert (picture.status_code, picture["Content-Type"]) == (200, "image/jpeg")
    Image.open(io.BytesIO(picture.content)).verify()
    found = sent(owner, f"/services/{sid}/lanes/crown/camera", picture.content)
    assert found["instrument"] == "simulated_camera"
    before = owner.get(f"/services/{sid}/board")["board"]["lanes"][0]["level_now"]
    data = {"lab": found["lab"], "instrument": found["instrument"], "level_std": found["level_std"]}
    owner.event(sid, "ReadingTaken", zone_key="crown", level=found["level"], mode="wiped", **data)
    after = owner.get(f"/services/{sid}/board")["board"]["lanes"][0]["level_now"]
    assert after["fast"] - after["slow"] < before["fast"] - before["slow"]
    assert ServiceEvent.objects.get(kind="ReadingTaken").data["level_std"] == found["level_std"]
    assert ServiceEvent.objects.filter(kind="ReadingTaken").count() == 1  # reading a picture noted nothing


def test_a_simulated_camera_is_there_only_where_it_is_asked_for_by_name(owner, monkeypatch):
    monkeypatch.delenv("FERVENS_CAMERA", raising=False)
    sid = processing(owner)
    assert owner.get(f"/services/{sid}/lanes/crown/camera/simulated", 409)["code"] == "no_camera"
    assert owner.get("/eyes/strands", 409)["code"] == "no_camera"
    assert not owner.get("/card")["is_camera_simulated"]


@pytest.mark.parametrize(
    ("data", "code", "words"),
    [
        (b"none", "picture", "no picture"),
        (strand(7.0, Scene(hides_marker=True)).data, "picture", "not seen whole"),
        (strand(7.0, Scene(exposure=0.03)).data, "picture", "Too dark"),
        (strand(7.0, Scene(blur_px=8.0)).data, "picture", "Blurred"),
        (strand(7.0, Scene(fall=(0.8, 0.0), exposure=0.5)).data, "picture", "left side"),
    ],
)
def test_what_cannot_be_read_says_why_in_a_plain_word(owner, data, code, words):
    found = sent(owner, "/camera", data, 409)
    assert found["code"] == code
    assert words in found["detail"]


def test_a_picture_too_large_and_a_level_out_of_reach_are_named(owner):
    assert sent(owner, "/camera", b"\xff" * 12_000_001, 422)["field"] == "picture"
    assert sent(owner, "/camera", strand(7.0).data, 422, start_level="12")["field"] == "start_level"


def test_a_measured_card_reads_nearer_and_is_forgotten_again(owner, stranger):
    from django.utils import timezone

    photo = strand(6.0, Scene(print_spread=0.12), 5)
    plain = sent(owner, "/camera", photo.data)
    card = owner.put("/card", {"text": cgats(photo.values, timezone.now())})
    assert card["is_measured"]
    measured = sent(owner, "/camera", photo.data)
    assert measured["is_card_measured"]
    assert measured["level_std"] < plain["level_std"]
    assert abs(measured["level"] - 6.0) <= abs(plain["level"] - 6.0) + 0.1
    assert not stranger.get("/card")["is_measured"]
    assert not owner.ask("DELETE", "/card")["is_measured"]


def test_a_card_without_all_its_patches_is_refused_by_name(owner):
    from django.utils import timezone

    text = samples_to_cgats([ColourSample("G1", (95.0, 0.0, 0.0))], made_at=timezone.now(), title="Card")
    found = owner.put("/card", {"text": text}, 422)
    assert (found["field"], "G2" in found["detail"]) == ("card", True)
    assert owner.put("/card", {"text": "CGATS.17 nothing"}, 422)
    assistant = Actor(make_member(Studio.objects.get(members__user=owner.user), "assistant"))
    assert assistant.put("/card", {"text": text}, 403)["code"] == "not_allowed"


@pytest.mark.parametrize("paper", ["a5", "letter_half"])
def test_the_card_prints(owner, paper):
    answer = owner.browser.get(f"/api/card.pdf?paper={paper}")
    assert answer["Content-Type"] == "application/pdf"
    text = PdfReader(io.BytesIO(answer.content)).pages[0].extract_text()
    assert "true size" in text


# ---- calibration


def round_of(bias, mode="wiped", count=12):
    levels = [4.0 + 0.45 * i for i in range(count)]
    shown = 0.1 if mode == "wiped" else 0.0
    pairs = [{"seen": round(2 * (v + shown + bias)) / 2, "known": v, "known_std": 0.12} for v in levels]
    return {"mode": mode, "pairs": pairs}


def test_a_round_is_learnt_from_at_once_and_taken_back(owner, stranger):
    (eye,) = owner.post("/eyes/round", round_of(0.5))
    assert eye["bias"] == pytest.approx(0.45, abs=0.12)
    assert eye["pairs"] == 12
    assert eye["is_calibrated"]
    assert "light" in eye["says"]
    assert stranger.get("/eyes") == []
    (other,) = [e for e in owner.post("/eyes/round", round_of(-0.5, "dry")) if e["mode"] == "dry"]
    assert other["bias"] < -0.3
    assert {e["mode"] for e in owner.ask("DELETE", "/eyes/round")} == {"wiped"}
    assert owner.ask("DELETE", "/eyes/round") == []
    assert owner.ask("DELETE", "/eyes/round", None, 409)["code"] == "no_round"


def test_a_calibrated_eye_is_corrected_at_the_chair(owner):
    sid = processing(owner)
    owner.event(sid, "ReadingTaken", zone_key="crown", level=7, mode="wiped")

    def likely():
        return owner.get(f"/services/{sid}/board")["board"]["lanes"][0]["level_now"]["likely"]

    before = likely()
    owner.post("/eyes/round", round_of(0.5))
    assert likely() < before - 0.1
    assert owner.get(f"/services/{sid}/board")["board"]["lanes"][0]["readings"][0]["level"] == 7


def test_a_filed_service_and_a_round_teach_together(owner):
    owner.post("/eyes/round", round_of(0.5))
    sid = processing(owner)
    owner.event(sid, "ReadingTaken", minutes_ago=4, zone_key="crown", level=7.5, mode="wiped")
    owner.event(sid, "Rinsed", minutes_ago=3, zone_key="crown")
    owner.event(sid, "ReadingTaken", minutes_ago=1, zone_key="crown", level=7, mode="dry")
    owner.event(sid, "ServiceClosed", worked="", change="")
    (eye,) = [e for e in owner.get("/eyes") if e["mode"] == "wiped"]
    assert eye["pairs"] == 13
    assert eye["bias_std"] < EYE_BIAS_STD / 2
    assert Service.objects.get().step == "record"


@pytest.mark.parametrize(
    ("change", "field"),
    [({"pairs": []}, "pairs"), ({"mode": "tasted"}, "mode")],
)
def test_a_round_that_is_none_is_refused(owner, change, field):
    assert owner.post("/eyes/round", round_of(0.0) | change, 422)["field"] == field
    bad = round_of(0.0)
    bad["pairs"][3]["known"] = 14
    assert owner.post("/eyes/round", bad, 422)["field"] == "known"
    assert Membership.objects.get(user=owner.user).eye_rounds == []


def test_a_printed_swatch_is_less_sure_than_an_instrument(owner):
    swatches = round_of(0.0)
    for pair in swatches["pairs"]:
        del pair["known_std"]
    owner.post("/eyes/round", swatches)
    kept = Membership.objects.get(user=owner.user).eye_rounds[0]["pairs"]
    assert {std for _, _, std in kept} == {SWATCH_STD}
    assert owner.get("/card")["round_strands"] == 12


def test_only_so_many_rounds_are_kept(owner):
    for _ in range(14):
        owner.post("/eyes/round", round_of(0.1, count=5))
    assert len(Membership.objects.get(user=owner.user).eye_rounds) == 12


def test_strands_of_a_round_are_read_as_they_are(owner, simulated):
    strands = owner.get("/eyes/strands")
    assert len(strands["hexes"]) == 12
    photo = owner.browser.get(f"/api/eyes/strands/{strands['seed']}/3")
    found = sent(owner, "/camera", photo.content)
    from apps.services.camera import simulated_strands

    assert found["level"] == pytest.approx(simulated_strands(strands["seed"])[3], abs=0.5)
    assert owner.get(f"/eyes/strands/{strands['seed']}/40", 422)["field"] == "number"


def test_the_patches_of_the_card_are_told(owner):
    card = owner.get("/card")
    assert {p["name"] for p in card["patches"]} == {p.name for p in PATCHES}
    assert all(p["hex"].startswith("#") for p in card["patches"])
