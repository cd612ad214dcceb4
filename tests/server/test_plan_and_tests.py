"""Consultation in segments, the small tests, strand tests, and everything a plan can be asked."""

import datetime as dt
import json
from uuid import uuid4

import pytest
from conftest import ROOT, ZONE, consult, to_plan
from django.utils import timezone
from fervens_cli.__main__ import main

from apps.clients.models import Client
from apps.services.models import PlanVersion, Service
from apps.shelf.models import Lightener, Toner

GROWN = {"start_level": 4, "to_mm": 10}


@pytest.fixture
def service(owner):
    client = owner.post("/clients", {"name": "Ida Fern"}, 201)
    return owner.post("/services", {"client_id": client["id"]}, 201)


def lightener(actor):
    return actor.get("/shelf")["lighteners"][0]["key"]


def strand(actor, **more):
    readings = [{"minutes": m, "level": v, "mode": "dry"} for m, v in ((10, 5), (20, 5.5), (30, 6))]
    return (
        {"key": "A", "lightener_key": lightener(actor), "start_level": 4, "volume_strength": 20}
        | {"readings": readings}
        | more
    )


def choices(actor, plan, **more):
    return {"revision": plan["revision"], "lightener_key": lightener(actor)} | more


def test_segments_are_kept_and_become_lanes(owner):
    ends = {"start_level": 7, "porosity": "high", "from_mm": 210, "history": "lightened"}
    made = to_plan(owner, zones=[ZONE | {"parts": [GROWN, ends], "tone": "cool", "density": "thick"}])
    zone = made["zones"][0]
    root, tip = zone["parts"]
    assert (root["to_mm"], tip["to_mm"], tip["porosity"]) == (10, None, "high")
    assert zone["part_hexes"][1] != zone["start_hex"] == zone["part_hexes"][0]
    plan = owner.get(f"/services/{made['id']}/plan")
    assert [x["key"] for x in plan["lanes"]] == ["crown", "crown.root", "crown.ends"]
    assert [x["part"] for x in plan["lanes"]] == ["lengths", "root", "ends"]
    board = owner.post(f"/services/{made['id']}/plan/take", {"event_id": str(uuid4())})
    assert [x["name"] for x in board["board"]["lanes"]] == ["Crown lengths", "Crown root", "Crown ends"]
    starts = [x["started_at"] for x in board["board"]["lanes"]]
    assert starts == sorted(starts)
    owner.event(made["id"], "ApplicationStarted", zone_key="crown.root", volume_strength=20)
    refused = owner.event(made["id"], "ApplicationStarted", 409, zone_key="crown.root", volume_strength=25)
    assert "on the scalp" in refused["detail"]


def test_small_tests_decide_what_follows(owner, service):
    clear = consult(owner, service, salts_signs=[], stretch={"rest_mm": 100, "pulled_mm": 140, "back_mm": 101})
    assert (clear["salts_test"], clear["elasticity"]) == ("negative", "returns")
    assert clear["stretch"]["stretch_percent"] == pytest.approx(40)
    assert clear["stretch"]["return_percent"] == pytest.approx(97.5)
    bad = consult(owner, clear, salts_signs=["fizzes"], stretch={"rest_mm": 100, "pulled_mm": 140, "back_mm": 120})
    assert (bad["salts_test"], bad["elasticity"]) == ("positive", "stays_stretched")
    assert bad["verdict"]["kind"] == "not_today"
    assert {c["caution"]["code"] for c in bad["cautions"] if c["caution"]["severity"] == "block"} == {
        "metallic_salts",
        "elasticity",
    }
    refused = owner.event(service["id"], "ConsultationFinished", 409)
    assert refused["code"] in ("metallic_salts", "elasticity")
    body = choices(owner, bad)
    assert owner.put(f"/services/{service['id']}/plan", body, 409)["code"] == "not_planning"


def test_client_facts_change_the_verdict_and_last(owner, service):
    built_up = consult(owner, service, home_care=["minerals"], allergies="latex", booked_min=300)
    assert built_up["verdict"]["kind"] == "clarify"
    washed = consult(
        owner,
        built_up,
        home_care=["minerals"],
        allergies="latex",
        booked_min=300,
        is_clarified=True,
        reacts_to_oxidative=False,
    )
    assert washed["verdict"]["kind"] == "today"
    assert "allergies" in [c["caution"]["code"] for c in washed["cautions"]]
    unasked = consult(owner, washed, allergies="latex", booked_min=300)
    assert unasked["verdict"]["kind"] == "clarify"
    hurried = consult(owner, unasked, time_min=40, is_clarified=True)
    assert hurried["verdict"]["kind"] == "visits"
    consult(owner, hurried, allergies="latex", home_care=["heat_tools"], time_min=40)
    again = owner.post("/services", {"client_id": service["client_id"]}, 201)
    assert (again["allergies"], again["home_care"], again["time_min"]) == ("latex", ["heat_tools"], None)


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"time_min": 5}, "findings.time_min"),
        ({"zones": [ZONE | {"parts": [{"start_level": 4, "to_mm": 0}]}]}, "zones[0].parts[0].to_mm"),
        ({"zones": [ZONE | {"key": "a.b"}]}, "zones[0].key"),
        ({"stretch": {"rest_mm": 100, "pulled_mm": 90, "back_mm": 95}}, "stretch.pulled_mm"),
        ({"strands": [{"volume_strength": 90}]}, "strands[0].volume_strength"),
        ({"strands": [{"readings": [{"minutes": 20, "level": 14}]}]}, "strands[0].readings[0].level"),
        ({"strands": [{"lightener_key": str(uuid4())}]}, "strands[0].lightener_key"),
        ({"strands": [{}, {}]}, "strands"),
    ],
)
def test_bad_input_is_named_by_its_path_and_nothing_is_kept(owner, service, more, field):
    if "strands" in more:
        more = {"strands": [strand(owner) | s for s in more["strands"]]}
    body = {"revision": 0, "zones": [ZONE], "wish": "kept?"} | more
    problem = owner.put(f"/services/{service['id']}/consultation", body, 422)
    assert problem["field"] == field
    assert owner.get(f"/services/{service['id']}")["wish"] == ""


def test_a_strand_test_moves_the_plan(owner):
    made = to_plan(owner)
    before = owner.get(f"/services/{made['id']}/plan")
    read = consult(owner, made, strands=[strand(owner, stretch_before_percent=30, stretch_after_percent=50)])
    assert "slower" in read["move_text"] or "less far" in read["move_text"]
    fitted = read["strands"][0]
    assert fitted["has_suffered"]
    assert fitted["extent_ratio"] < 1
    assert len(fitted["reading_hexes"]) == 3
    after = owner.get(f"/services/{made['id']}/plan")
    assert after["move_text"] == read["move_text"]
    assert after["lanes"][0]["volume_strength"] > before["lanes"][0]["volume_strength"]
    assert after["moves"][0]["lane_name"] == "Crown"
    # without it, as before
    consult(owner, read, strands=[])
    assert owner.get(f"/services/{made['id']}/plan")["lanes"] == before["lanes"]


def test_strand_clock_times_are_kept(owner, service):
    began = timezone.now().replace(microsecond=0).isoformat()
    kept = consult(owner, service, strands=[strand(owner, started_at=began)])["strands"][0]
    assert dt.datetime.fromisoformat(kept["started_at"]) == dt.datetime.fromisoformat(began)
    assert kept["ended_at"] is None


def test_strand_csv_goes_out_and_comes_in(owner, service):
    made = consult(owner, service, strands=[strand(owner)])
    path = f"/services/{service['id']}/strands/csv"
    text = owner.get(path)["text"]
    assert text.splitlines()[0].startswith("strand,zone,lightener")
    consult(owner, made, strands=[])
    back = owner.post(path, {"revision": made["revision"] + 1, "text": text})
    assert [(r["minutes"], r["level"]) for r in back["strands"][0]["readings"]] == [(10, 5), (20, 5.5), (30, 6)]
    bad = owner.post(path, {"revision": back["revision"], "text": text.replace("5.5", "99")}, 422)
    assert bad["field"] == "line 3, level"
    assert owner.post(path, {"revision": 0, "text": text}, 409)["code"] == "changed_elsewhere"


def test_patch_tests_stand_on_day_until_read(owner):
    for name, hours in (("Due", 50), ("Waiting", 10), ("Forgotten", 24 * 30)):
        placed = (timezone.now() - dt.timedelta(hours=hours)).isoformat()
        owner.post("/clients", {"name": name, "patch_test_placed_at": placed}, 201)
    found = owner.get("/day")["patch_tests"]
    assert [(p["client_name"], p["is_due"]) for p in found] == [("Due", True), ("Waiting", False)]
    due = dt.datetime.fromisoformat(found[0]["due_at"]) - dt.datetime.fromisoformat(found[0]["placed_at"])
    assert due == dt.timedelta(hours=48)
    owner.ask("PATCH", f"/clients/{found[0]['client_id']}", {"patch_test_result": "negative"})
    assert [p["client_name"] for p in owner.get("/day")["patch_tests"]] == ["Waiting"]


def test_a_toner_that_needs_a_patch_test_cannot_be_planned_before(owner):
    made = to_plan(owner)
    shades = {t.name: str(t.pk) for t in Toner.objects.filter(studio_id=Client.objects.get().studio_id)}
    plan = owner.get(f"/services/{made['id']}/plan")
    ideas = {t["name"]: t["blocked"] for t in plan["toner_ideas"]}
    assert "Patch test not read" in ideas["Fog 9"]
    assert ideas["Wash 9"] is None
    path = f"/services/{made['id']}/plan"
    refused = owner.put(path, choices(owner, plan, toner_key=shades["Fog 9"]), 409)
    assert (refused["code"], "Fog 9" in refused["detail"]) == ("patch_test", True)
    gone = owner.put(path, choices(owner, plan, toner_key=str(uuid4())), 409)
    assert gone["code"] == "unknown_shade"
    kept = owner.put(path, choices(owner, plan, toner_key=shades["Wash 9"]))
    assert kept["toner_key"] == shades["Wash 9"]
    Client.objects.update(patch_test_result="negative", patch_test_placed_at=timezone.now() - dt.timedelta(hours=49))
    assert owner.put(path, choices(owner, kept, toner_key=shades["Fog 9"]))["toner_key"] == shades["Fog 9"]
    # a test that was voided later stops the plan on its way to the chair
    Client.objects.update(patch_test_result="positive")
    assert owner.post(f"{path}/take", {"event_id": str(uuid4())}, 409)["code"] == "dye_reaction"


def test_aims_lines_partings_and_steps(owner):
    zones = [ZONE | {"key": k, "name": k.title()} for k in ("crown", "top", "nape")]
    made = to_plan(owner, zones=zones)
    plan = owner.get(f"/services/{made['id']}/plan")
    aims = owner.post(f"/services/{made['id']}/plan/aims", choices(owner, plan))
    assert [a["aim"] for a in aims] == ["simple", "gentle", "even", "quick"]
    assert max(aims[1]["strengths"]) <= 20
    assert all(len(a["lanes"]) == 3 and a["chair_min"] > a["last_rinse_min"] for a in aims)
    assert min(a["last_rinse_min"] for a in aims) == aims[3]["last_rinse_min"]
    assert aims[0]["same_as"] is None
    parted = owner.put(
        f"/services/{made['id']}/plan",
        choices(owner, plan, round_starts=["nape"], visit_mins=[45, 90], aim="quick", step="bottles"),
    )
    assert [(v["round"], v["at_min"]) for v in parted["visits"]] == [(1, 45), (2, 90)]
    assert {x["volume_strength"] for x in parted["lanes"]} <= {7, 10, 20, 30, 40}
    assert parted["round_starts"] == ["nape"]
    again = owner.get(f"/services/{made['id']}/plan")
    assert again == parted
    bad = owner.put(f"/services/{made['id']}/plan", choices(owner, parted, round_starts=["chin"]), 422)
    assert bad["field"] == "round_starts"
    # a zone that goes takes its parting and its own developer with it
    consult(owner, parted | {"id": made["id"]}, zones[:2])
    left = owner.get(f"/services/{made['id']}/plan")
    assert {v["round"] for v in left["visits"]} == {1}
    assert left["visit_mins"] == []


def test_mixing_list_adds_up_to_the_bottles(owner):
    made = to_plan(owner, zones=[ZONE | {"key": k, "name": k} for k in ("crown", "top")])
    plan = owner.get(f"/services/{made['id']}/plan")
    poured = sum(p["mass_g"] for p in plan["poured"])
    assert poured == pytest.approx(sum(b["developer_g"] for b in plan["bowls"]))
    large = owner.post(f"/services/{made['id']}/plan/preview", choices(owner, plan, bowl_style="large"))
    assert large["waste_g"] <= plan["waste_g"]


def test_versions_are_kept_and_the_taken_plan_is_one(owner):
    made = to_plan(owner)
    path = f"/services/{made['id']}/plan"
    plan = owner.get(path)
    kept = owner.post(f"{path}/versions", {"revision": plan["revision"], "label": "even, first thought"})
    assert [(v["number"], v["label"]) for v in kept] == [(1, "even, first thought")]
    changed = owner.put(path, choices(owner, plan, volumes={"crown": 33}))
    assert owner.post(f"{path}/versions", {"revision": plan["revision"]}, 409)["code"] == "changed_elsewhere"
    back = owner.put(path, kept[0]["choice"] | {"revision": changed["revision"]})
    assert back["lanes"] == plan["lanes"]
    event = str(uuid4())
    owner.post(f"{path}/take", {"event_id": event})
    owner.post(f"{path}/take", {"event_id": event})
    assert [v["label"] for v in owner.get(f"{path}/versions")] == ["taken to the chair", "even, first thought"]
    assert PlanVersion.objects.count() == 2


def test_a_bowl_can_be_weighed_against_the_scale(owner):
    body = {"lightener_key": lightener(owner), "product_g": 24, "wanted_volume": 25}
    pours = [{"volume_strength": 20, "mass_g": 18}, {"volume_strength": 30, "mass_g": 18}]
    assert owner.post("/mix", body | {"pours": pours}) == {
        "volume_strength": 25.0,
        "developer_parts": 1.5,
        "developer_g": 36.0,
        "advice": None,
    }
    assert "mix anew" in owner.post("/mix", body | {"pours": pours[:1]})["advice"]
    assert owner.post("/mix", body | {"pours": []}, 422)["field"] == "pours"
    shown = owner.get("/scale?wanted_g=18&seed=4")["shown_g"]
    assert shown == owner.get("/scale?wanted_g=18&seed=4")["shown_g"]
    assert abs(shown[-1] - 18) < 2
    assert owner.get("/scale?wanted_g=0", 422)["field"] == "wanted_g"


def test_the_page_and_the_command_line_give_the_same_plan(owner, tmp_path, capsys):
    made = to_plan(owner, zones=[ZONE | {"key": k, "name": k, "parts": [GROWN]} for k in ("crown", "top")])
    consult(owner, made, made["zones"], strands=[strand(owner)])
    plan = owner.get(f"/services/{made['id']}/plan")
    file = owner.get(f"/services/{made['id']}/file")
    assert file["file_name"].startswith("ida-fern-")
    path = tmp_path / "service.json"
    path.write_text(json.dumps(file["document"]))
    assert main(["plan", str(path), "--json"]) == 0
    printed = json.loads(capsys.readouterr().out)
    assert [(x["key"], x["volume_strength"]) for x in printed["lanes"]] == [
        (x["key"], x["volume_strength"]) for x in plan["lanes"]
    ]
    assert [v["at_min"] for v in printed["basin_visits"]] == [v["at_min"] for v in plan["visits"]]
    assert printed["chair_min"] == pytest.approx(plan["chair_min"], abs=0.1)


def test_a_file_comes_into_another_studio_whole(owner, stranger):
    made = to_plan(owner, zones=[ZONE | {"parts": [GROWN]}])
    made = consult(owner, made, made["zones"], strands=[strand(owner)], wish="fair", home_care=["heat_tools"])
    Lightener.objects.filter(studio__name="The hair room").update(name="Their own powder")
    document = owner.get(f"/services/{made['id']}/file")["document"]
    taken = stranger.post("/services/import", {"document": document}, 201)
    assert taken["added_to_shelf"] == ["Their own powder"]
    theirs = stranger.get(f"/services/{taken['service_id']}")
    assert (theirs["wish"], theirs["step"], theirs["home_care"]) == ("fair", "plan", ["heat_tools"])
    mine, other = (a.get(f"/services/{s}/plan") for a, s in ((owner, made["id"]), (stranger, taken["service_id"])))
    assert mine["lanes"] == other["lanes"]
    again = stranger.get(f"/services/{taken['service_id']}/file")["document"]
    same = ("client", "wish", "tone", "zones", "plan", "events")
    assert {k: document[k] for k in same} == {k: again[k] for k in same}
    assert [s["readings"] for s in document["strands"]] == [s["readings"] for s in again["strands"]]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"format": "x"}, "format"),
        ({"zones": [{"key": "a"}]}, "zones[0].start_level"),
        ({"version": 5}, "version"),
    ],
)
def test_a_bad_file_changes_nothing(owner, change, field):
    document = json.loads((ROOT / "demo" / "services" / "wren-level-3-to-9.json").read_text()) | change
    assert owner.post("/services/import", {"document": document}, 422)["field"] == field
    assert (Client.objects.count(), Service.objects.count(), Lightener.objects.count()) == (0, 0, 1)


def test_a_file_too_large_is_named(owner):
    document = {"format": "fervens-service", "version": 2, "client": "X", "wish": "y" * 2_100_000}
    problem = owner.post("/services/import", {"document": document}, 413)
    assert (problem["code"], problem["field"]) == ("too_large", "body")
    assert "at most 2000000 bytes" in problem["detail"]


def test_every_demo_file_can_be_taken_in(owner):
    for path in sorted((ROOT / "demo" / "services").glob("*.json")):
        taken = owner.post("/services/import", {"document": json.loads(path.read_text())}, 201)
        assert owner.get(f"/services/{taken['service_id']}")["client_name"] == taken["client_name"]


def test_own_pace_is_the_heads_default(owner):
    assert owner.get("/head")["pace_min_per_foil"] == 1.2
    owner.user.membership.pace_min_per_foil = 0.9
    owner.user.membership.save()
    head = owner.get("/head")
    assert head["pace_min_per_foil"] == 0.9
    mirrors = {z["key"]: z["mirror"] for z in head["zones"]}
    assert (mirrors["left_side"], mirrors["crown"]) == ("right_side", None)


def test_the_order_is_the_trades_until_the_technician_has_another(owner, service):
    zones = [
        ZONE | {"key": "nape", "name": "Nape", "is_delicate": True},
        ZONE | {"key": "top", "name": "Top"},
        ZONE | {"key": "crown", "name": "Crown"},
        ZONE | {"key": "left_side", "name": "Left side", "thickness": "coarse"},
    ]
    made = to_plan(owner, zones=zones)
    plan = owner.get(f"/services/{made['id']}/plan")
    assert plan["order"] == ["left_side", "crown", "top", "nape"]
    assert plan["proposed_order"][0] == {
        "key": "left_side",
        "reason": "coarse hair resists: first",
        "is_usual": False,
    }
    other = ["top", "left_side", "crown", "nape"]
    kept = owner.put(f"/services/{made['id']}/plan", choices(owner, plan, order=other))
    fringe = ZONE | {"key": "fringe", "name": "Fringe", "thickness": "coarse"}
    consult(owner, kept | {"id": made["id"]}, [*zones[1:], fringe])
    assert owner.get(f"/services/{made['id']}/plan")["order"] == ["top", "left_side", "crown", "fringe"]
