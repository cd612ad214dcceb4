"""What a service does, and on what: deepening, a strand test alone, a hair piece; limits that hold on every path."""

import datetime as dt
import random
from uuid import uuid4

import pytest
from conftest import Actor, consult
from django.utils import timezone

from apps.services.models import StockUse
from apps.shelf.models import Developer, Lightener

VEIL = {
    "key": "left_side", "name": "Left side", "start_level": 9, "target_level": 7, "history": "lightened",
    "off_scalp_mm": 25,
}  # fmt: skip
LIGHT_TOP = {"key": "top", "name": "Top", "start_level": 9, "target_level": 9, "history": "lightened"}


def person(actor: Actor, **more):
    placed = (timezone.now() - dt.timedelta(hours=50)).isoformat()
    client = actor.post("/clients", {"name": "Ida Fern"} | more, 201)
    if more.get("is_hair_piece"):
        return client
    facts = {"patch_test_placed_at": placed, "patch_test_result": "negative"}
    return actor.ask("PATCH", f"/clients/{client['id']}", facts)


def told(actor: Actor, kind: str, zones, client=None, **more):
    """A consultation of a kind, every warning acknowledged."""
    client = client or person(actor)
    service = actor.post("/services", {"client_id": client["id"], "kind": kind}, 201)
    service = consult(actor, service, zones, **more)
    for entry in service["cautions"]:
        if entry["caution"]["severity"] == "warn":
            actor.event(service["id"], "CautionAcknowledged", caution=entry["caution"]["code"])
    return service


def test_a_veil_is_made_deeper_with_toner_and_what_is_not_deeper_stays_out(owner):
    service = told(owner, "deepen", [VEIL, LIGHT_TOP])
    assert service["verdict"]["title"] == "Deepen today"
    assert owner.event(service["id"], "ConsultationFinished")["step"] == "tone"
    lanes = owner.get(f"/services/{service['id']}/tone")["tone_step"]["lanes"]
    assert [x["key"] for x in lanes] == ["left_side"]


def test_nothing_deeper_is_no_deepening(owner):
    service = told(owner, "deepen", [LIGHT_TOP])
    assert service["verdict"]["kind"] == "unread"
    assert owner.event(service["id"], "ConsultationFinished", 409)["code"] == "nothing_deeper"


def test_more_than_two_levels_deeper_asks_for_a_filling_first(owner):
    deep = VEIL | {"target_level": 6}
    assert "fill_first" in [c["caution"]["code"] for c in told(owner, "deepen", [deep])["cautions"]]
    assert "fill_first" not in [c["caution"]["code"] for c in told(owner, "deepen", [VEIL])["cautions"]]


def test_a_strand_test_alone_goes_to_the_bench_and_to_the_record(owner):
    service = told(owner, "strand_test", [])
    sid = service["id"]
    assert service["verdict"]["title"] == "Test strands today"
    owner.event(sid, "ConsultationFinished")
    service = owner.get(f"/services/{sid}")
    assert service["step"] == "strands"
    assert owner.post(f"/services/{sid}/plan/take", {"event_id": str(uuid4())}, 409)["code"]
    strand = {
        "key": "A", "lightener_key": owner.get("/shelf")["lighteners"][0]["key"], "start_level": 4,
        "volume_strength": 20, "readings": [{"minutes": 10, "level": 5.5, "mode": "wiped"}],
    }  # fmt: skip
    read = consult(owner, service, [], kind="strand_test", strands=[strand])
    assert [s["key"] for s in read["strands"]] == ["A"]
    owner.event(sid, "ServiceClosed", worked="Lifts fast", change="")
    record = owner.get(f"/services/{sid}/record")
    assert (record["step"], [s["key"] for s in record["strands"]]) == ("record", ["A"])
    assert owner.get(f"/services/{sid}/file")["document"]["kind"] == "strand_test"


def test_the_kind_is_not_told_by_hand_at_the_end_of_the_consultation(owner):
    service = told(owner, "tone_only", [LIGHT_TOP])
    sent = {"event_id": str(uuid4()), "kind": "ConsultationFinished", "occurred_at": timezone.now().isoformat()}
    sent["data"] = {"kind": "strand_test"}
    assert owner.post(f"/services/{service['id']}/events", sent, 409)["code"] == "not_by_hand"


def test_a_hair_piece_asks_for_no_person_scalp_or_patch_test_and_oxidative_toner_may_go_on(owner):
    piece = person(owner, name="Wig of the lamplighter", is_hair_piece=True)
    high = {"name": "high foils", "rest_name": "low foils", "start_level": 2, "target_level": 8}
    zones = [{"key": "nape", "name": "Nape", "start_level": 2, "target_level": 6.5, "length_mm": 60, "pieces": high}]
    service = told(owner, "lighten_and_tone", zones, piece)
    codes = {c["caution"]["code"] for c in service["cautions"]}
    assert "piece_base" in codes
    assert not codes & {"patch_test_open", "scalp_sensitive", "allergies", "reaction_open", "under_16"}
    assert service["zones"][0]["touches_the_scalp"] is False  # short at the nape, but there is no skin
    assert "patch test" not in str(service["verdict"]["lines"]).lower()
    owner.event(service["id"], "ConsultationFinished")
    plan = owner.get(f"/services/{service['id']}/plan")
    assert [x["name"] for x in plan["lanes"]] == ["Nape, low foils", "Nape, high foils"]
    assert all(idea["blocked"] is None for idea in plan["toner_ideas"])
    person_card = person(owner)
    same = told(owner, "lighten_and_tone", zones, person_card)
    assert same["zones"][0]["touches_the_scalp"] is True


def test_two_lighteners_on_one_head_each_with_its_label_bowl_and_stock(owner, studio):
    dark = Lightener.objects.create(studio=studio, name="Soot", label_max_min=45, is_dark=True, stock_g=500)
    usual = Lightener.objects.get(studio=studio, name="Chalk powder")
    back = {"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "lightener": str(dark.pk)}
    side = {"key": "left_side", "name": "Left side", "start_level": 4, "target_level": 8}
    service = told(owner, "lighten_and_tone", [back, side])
    sid = service["id"]
    owner.event(sid, "ConsultationFinished")
    plan = owner.get(f"/services/{sid}/plan")
    assert {b["lightener_name"] for b in plan["bowls"]} == {"Soot", "Chalk powder"}
    owner.post(f"/services/{sid}/plan/take", {"event_id": str(uuid4())})
    for key in ("crown", "left_side"):
        owner.event(sid, "BowlMixed", zone_key=key, volume_strength=20, product_g=20, developer_g=30)
    booked = dict(StockUse.objects.filter(service=sid, name__in=["Soot", "Chalk powder"]).values_list("name", "grams"))
    assert booked == {"Soot": 20, "Chalk powder": 20}
    lanes = {x["key"]: x for x in owner.get(f"/services/{sid}/board")["board"]["lanes"]}
    walls = {
        k: (dt.datetime.fromisoformat(x["zero_at"]) - dt.datetime.fromisoformat(x["started_at"])).total_seconds() / 60
        + x["wall_min"]
        for k, x in lanes.items()
    }
    assert walls["crown"] == pytest.approx(45, abs=0.1)
    assert walls["left_side"] == pytest.approx(usual.label_max_min, abs=0.1)
    assert owner.ask("DELETE", f"/stock/lightener/{dark.pk}", None, 409)["code"] == "in_use"
    carried = owner.get(f"/services/{sid}/file")["document"]
    assert [x["name"] for x in carried["other_lighteners"]] == ["Soot"]


def test_several_lanes_get_a_covering_and_a_product_of_their_own_at_the_plan(owner, studio):
    fast = Lightener.objects.create(studio=studio, name="Soot", label_max_min=45, stock_g=500)
    zones = [{"key": k, "name": k, "start_level": 5, "target_level": 8} for k in ("low", "high", "top")]
    service = told(owner, "lighten_and_tone", zones)
    sid = service["id"]
    owner.event(sid, "ConsultationFinished")
    plan = owner.get(f"/services/{sid}/plan")
    body = {"revision": plan["revision"], "lightener_key": plan["lightener_key"]}
    own = {"coverings": {"top": "open_air"}, "lighteners": {"top": str(fast.pk), "high": str(fast.pk)}}
    refused = owner.ask("PUT", f"/services/{sid}/plan", body | {"lighteners": {"top": str(uuid4())}}, 422)
    assert refused["field"] == "lighteners.top"
    assert (
        owner.ask("PUT", f"/services/{sid}/plan", body | {"coverings": {"nose": "film"}}, 422)["field"] == "coverings"
    )
    made = owner.put(f"/services/{sid}/plan", body | own)
    lanes = {x["key"]: x for x in made["lanes"]}
    assert lanes["top"]["covering"] == "open_air"
    assert (lanes["high"]["lightener"], lanes["low"]["lightener"]) == ("Soot", "")
    assert lanes["high"]["wall_min"] - lanes["high"]["start_min"] == pytest.approx(45)
    assert made["is_proposed"], "what covers a lane is no schedule of her own"
    carried = owner.get(f"/services/{sid}/file")["document"]
    assert set(carried["plan"]["lighteners"].values()) == {x["key"] for x in carried["other_lighteners"]}
    owner.post(f"/services/{sid}/plan/take", {"event_id": str(uuid4())})
    taken = {x["key"]: x for x in owner.get(f"/services/{sid}/board")["board"]["lanes"]}
    assert taken["high"]["wall_min"] < taken["low"]["wall_min"], "the chair counts by the product that was chosen"
    assert owner.ask("DELETE", f"/stock/lightener/{fast.pk}", None, 409)["code"] == "in_use"
    other = owner.post("/services/import", {"document": carried}, 201)
    again = {x["key"]: x for x in owner.get(f"/services/{other['service_id']}/plan")["lanes"]}
    assert (again["high"]["lightener"], again["top"]["covering"]) == ("Soot", "open_air")


def test_the_product_may_be_left_open(owner, studio):
    usual = Lightener.objects.get(studio=studio, name="Chalk powder")
    zones = [{"key": k, "name": k, "start_level": 3, "target_level": 9} for k in ("low", "high", "top")]
    service = told(owner, "lighten_and_tone", zones)
    sid = service["id"]
    owner.event(sid, "ConsultationFinished")
    plan = owner.get(f"/services/{sid}/plan")
    body = {"revision": plan["revision"], "lightener_key": None}
    Lightener.objects.create(studio=studio, name="Dust", label_max_min=50, lift_factor=0.6)
    kept = owner.put(f"/services/{sid}/plan", body)
    assert kept["lightener_key"] == str(usual.pk), "a weaker one gains nothing"
    strong = Lightener.objects.create(studio=studio, name="Flint", label_max_min=50, lift_factor=1.2)
    found = owner.put(f"/services/{sid}/plan", body | {"revision": kept["revision"]})
    assert found["lightener_key"] == str(strong.pk)
    assert sum(found["price"].values()) < sum(plan["price"].values()) - 10
    assert owner.get(f"/services/{sid}/plan")["lightener_key"] == str(strong.pk)


def test_a_lightener_that_is_not_on_the_shelf_is_refused_by_name(owner):
    service = owner.post("/services", {"client_id": person(owner)["id"]}, 201)
    zones = [{"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "parts": [
        {"start_level": 4, "to_mm": 10, "lightener": str(uuid4())}]}]  # fmt: skip
    refused = owner.put(f"/services/{service['id']}/consultation", {"revision": 0, "zones": zones}, 422)
    assert refused["field"] == "zones[0].parts[0].lightener"


def test_weakest_developers_are_the_studios_own(owner, studio):
    zones = [{"key": "crown", "name": "Crown", "start_level": 7, "target_level": 7.5}]
    service = told(owner, "lighten_and_tone", zones)
    owner.event(service["id"], "ConsultationFinished")
    assert owner.get(f"/services/{service['id']}/plan")["lanes"][0]["volume_strength"] == 20
    owner.ask("PATCH", "/studio", {"weakest_natural": 30})
    assert owner.get(f"/services/{service['id']}/plan")["lanes"][0]["volume_strength"] == 30
    assert owner.ask("PATCH", "/studio", {"weakest_worn": 41}, 422)["field"] == "weakest_worn"


def test_the_plan_goes_by_the_studios_own_hands(owner):
    zones = [
        {"key": k, "name": k, "start_level": 7, "target_level": 9.5, "foil_count": 12, "length_mm": 300,
         "parts": [{"start_level": 7, "to_mm": 12}]}
        for k in ("low", "high")
    ]  # fmt: skip
    service = told(owner, "lighten_and_tone", zones)
    owner.event(service["id"], "ConsultationFinished")
    usual = owner.get(f"/services/{service['id']}/plan")
    assert owner.get("/studio")["hands"]["root_share"] == 0.5
    slow = owner.ask("PATCH", "/studio", {"hands": {"root_share": 1.0, "rinse_min": 12}})["hands"]
    assert (slow["root_share"], slow["rinse_min"], slow["change_min"]) == (1.0, 12, 1.5)
    told_slow = owner.get(f"/services/{service['id']}/plan")

    def took(plan):
        lane = next(x for x in plan["lanes"] if x["part"] == "root")
        return lane["end_min"] - lane["start_min"]

    assert took(told_slow) > 1.5 * took(usual)
    assert told_slow["chair_min"] > usual["chair_min"]
    refused = owner.ask("PATCH", "/studio", {"hands": {"rinse_min": 40}}, 422)
    assert refused["field"] == "hands.rinse_min", refused
    assert refused["detail"].endswith("got 40."), refused["detail"]
    assert owner.ask("PATCH", "/studio", {"hands": {"rinsing": 4}}, 422)["field"] == "hands.rinsing"
    file = owner.get(f"/services/{service['id']}/file")["document"]
    assert file["pace"]["rinse_min"] == 12, "the file plans as the studio does"


# --- limits on every path, over random heads and acts

HAIR = {
    "history": ["virgin", "virgin", "lightened", "tinted", "direct_dye"],
    "thickness": ["fine", "medium", "coarse"],
    "porosity": ["low", "normal", "high"],
    "breakage": ["none", "none", "some"],
    "elasticity": ["returns", "returns", "slow"],
}


def any_hair(dice: random.Random):
    hair = {field: dice.choice(values) for field, values in HAIR.items()}
    hair["start_level"] = dice.randrange(4, 15) / 2
    if hair["history"] == "direct_dye":
        hair["dye_hue"] = dice.choice(["green", "red"])
    return hair


def any_zone(dice: random.Random, key: str, other_lightener: str):
    length = dice.choice([60, 120, 300])
    zone = any_hair(dice) | {"key": key, "name": key.title(), "target_level": 9.5, "length_mm": length}
    zone |= {"is_delicate": dice.random() < 0.2, "off_scalp_mm": dice.choice([0, 0, 25])}
    parts = []
    if dice.random() < 0.6:
        parts.append(any_hair(dice) | {"to_mm": dice.choice([8, 30])})
    if dice.random() < 0.6:
        parts.append(any_hair(dice) | {"from_mm": length - 20, "lightener": dice.choice([None, other_lightener])})
    if dice.random() < 0.5:
        zone["pieces"] = any_hair(dice) | {"name": "pieces", "lightener": dice.choice([None, other_lightener])}
    return zone | {"parts": parts}


def most_allowed(zone, key: str, products) -> float:
    """The strongest developer on a lane, written down once more from the trade's own limits."""
    inner = key.split(".")[1:]
    kind = zone["pieces"] if inner[:1] == ["pieces"] else zone
    place = inner[-1] if inner and inner[-1] != "pieces" else None
    hair = kind
    if place in ("root", "regrowth"):
        hair = next(p for p in kind["parts"] if "to_mm" in p)
    elif place == "ends":
        hair = next(p for p in kind["parts"] if "from_mm" in p)
    product = products[hair.get("lightener") or kind.get("lightener")]
    limits = [40.0, product["max_volume"]]
    if hair["history"] == "lightened" or hair["porosity"] == "high":
        limits.append(20.0)
    if hair["thickness"] == "fine":
        limits.append(30.0)
    if zone["is_delicate"] or hair["breakage"] != "none" or hair["elasticity"] != "returns":
        limits.append(20.0)
    if hair.get("dye_hue") == "green":
        limits.append(5.0)
    has_root = any("to_mm" in p for p in kind.get("parts", []))
    is_short = zone["key"] == "nape" and zone["length_mm"] <= 80 and zone["off_scalp_mm"] == 0
    at_skin = place == "root" or (place is None and not has_root and is_short)
    if at_skin:
        limits.append(product["max_volume_on_scalp"])
    return min(limits)


@pytest.mark.parametrize("seed", range(8))
def test_no_act_puts_more_on_a_lane_than_its_hair_its_place_and_its_product_allow(owner, studio, seed):
    dice = random.Random(seed)
    Developer.objects.create(studio=studio, name="Developer 5", volume_strength=5)
    Lightener.objects.filter(studio=studio).update(max_applications=4)
    mild = Lightener.objects.create(
        studio=studio, name="Mild", label_max_min=40, max_volume=30, max_volume_on_scalp=10, max_applications=4
    )
    products = {
        None: {"max_volume": 40.0, "max_volume_on_scalp": 20.0},
        str(mild.pk): {"max_volume": 30.0, "max_volume_on_scalp": 10.0},
    }
    zones = {k: any_zone(dice, k, str(mild.pk)) for k in ("nape", "crown")}
    service = told(owner, "lighten_and_tone", list(zones.values()))
    sid = service["id"]
    owner.event(sid, "ConsultationFinished")
    asked = {k: float(dice.choice([10, 20, 30, 40])) for k in zones}
    plan = owner.get(f"/services/{sid}/plan")
    tried = owner.post(
        f"/services/{sid}/plan/preview",
        {"revision": plan["revision"], "lightener_key": plan["lightener_key"], "volumes": asked},
    )
    most = {x["key"]: most_allowed(zones[x["zone_key"]], x["key"], products) for x in plan["lanes"]}
    assert most, "a head with nothing to lift tries nothing"
    for lane in (*plan["lanes"], *tried["lanes"]):
        assert lane["volume_strength"] <= most[lane["key"]] + 1e-9, lane["key"]
    owner.post(f"/services/{sid}/plan/take", {"event_id": str(uuid4())})
    taken = []

    def act(kind, key, volume, **more):
        answer = owner.ask("POST", f"/services/{sid}/events", {
            "event_id": str(uuid4()), "kind": kind, "occurred_at": timezone.now().isoformat(),
            "data": {"zone_key": key, "volume_strength": volume, **more},
        }, None)  # fmt: skip
        is_over = volume > most[key] + 1e-9
        assert (answer.get("code") == "volume_over_limit") == is_over, (kind, key, volume, most[key], answer)
        taken.append(is_over)

    for key in most:
        for _ in range(2):
            act("DeveloperChanged", key, dice.choice([5.0, 10.0, 20.0, 25.0, 30.0, 40.0]))
            act("BowlMixed", key, dice.choice([5.0, 20.0, 40.0]), product_g=20, developer_g=30)
        act("ApplicationStarted", key, 40.0)
        if most[key] < 40.0:
            owner.event(sid, "ApplicationStarted", zone_key=key, volume_strength=min(most[key], 20.0))
        owner.event(sid, "ApplicationFinished", zone_key=key)
        act("LightenerRefreshed", key, dice.choice([10.0, 30.0, 40.0]), is_label_read=True)
    assert True in taken
    assert False in taken
