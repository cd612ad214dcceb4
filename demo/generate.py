"""Writes demo/services/*.json and demo/practice/*.json: the theatre's cast before opening night, with logs made on simulated heads.

Run from the project's root: PYTHONPATH=core/src .local/venv/bin/python demo/generate.py
"""

from __future__ import annotations

import datetime as dt
import json
from dataclasses import replace
from pathlib import Path
from typing import Any

import numpy as np

from fervens_core.basin import tone_step
from fervens_core.formats import FORMAT, VERSION, FileEvent, read_service_file
from fervens_core.formats.answers import chair_of
from fervens_core.head import USUAL_HEAD
from fervens_core.lift import SimulatedHead
from fervens_core.log import data_from_json
from fervens_core.planning import Plan, make_plan
from fervens_core.practice import (
    RoundFile,
    follows_advice,
    head_called,
    looks_every,
    play,
    setup_of,
    told_zones,
    with_names,
    write_round_file,
)
from fervens_words import tell

EYE_STD = 0.15
"""How steady the demo's eyes are, in levels."""
HERE = Path(__file__).parent
SHELF = json.loads((HERE / "studio.json").read_text())
USUAL = {z.key: z for z in USUAL_HEAD}
Log = list[dict[str, Any]]


def zone(key: str, start: float, target: float, **more: Any) -> dict[str, Any]:
    usual = USUAL[key]
    made = {
        "key": key,
        "name": tell(usual.name),
        "start_level": start,
        "target_level": target,
        "foil_count": usual.foil_count,
    }
    made |= {"pace_min_per_foil": SHELF["pace_min_per_foil"]}
    if usual.is_delicate:
        made |= {"is_delicate": True, "thickness": "fine"}
    return made | more


def service(
    client: str, wish: str, tone: str, zones: list[Any], findings: dict[str, Any], lightener: str = "chalk", **more: Any
) -> dict[str, Any]:
    return {
        "format": FORMAT,
        "version": VERSION,
        "client": client,
        "wish": wish,
        "tone": tone,
        "findings": findings,
        "zones": zones,
        "lightener": next(x for x in SHELF["lighteners"] if x["key"] == lightener),
        "developers": SHELF["developers"],
        "toners": SHELF["toners"],
        "plan": more.pop("plan", {}),
        "events": [],
        **more,
    }


def strand(
    key: str, zone_key: str, start: float, volume: float, readings: list[tuple[float, float]], **more: Any
) -> dict[str, Any]:
    read = [{"minutes": m, "level": v, "mode": "wiped"} for m, v in readings]
    return {"key": key, "zone_key": zone_key, "start_level": start, "volume_strength": volume, "readings": read} | more


class Head:
    """A simulated head with factors chosen for its story, read to the half level by a steady eye; fixed seed."""

    def __init__(
        self, document: dict[str, Any], seed: int, until_min: float, extent: float = 1.0, rate: float = 1.0,
        own: dict[str, float] | None = None,
    ) -> None:  # fmt: skip
        self.document, self.until = document, until_min
        self.file = read_service_file(document)
        self.plan: Plan = make_plan(self.file.plan_request())
        self.random = np.random.default_rng(seed)
        lanes = self.plan.belief.lanes
        far = [extent * (own or {}).get(z.zone.key, 1.0) for z in self.plan.lanes]
        self.truth = SimulatedHead(lanes, np.log(far), np.full(len(lanes), np.log(rate)))
        self.log: Log = document["events"]

    def tell(self, at_min: float, kind: str, by: str = "Maren Okoye", **data: Any) -> None:
        if at_min <= self.until:
            data_from_json(kind, data)
            self.log.append({"at_min": round(at_min, 2), "by": by, "kind": kind, "data": data})

    def read(self, planned: Any, minutes: float) -> float:
        level = self.truth.level(self.plan.lanes.index(planned), minutes)
        seen = min(level + self.random.normal(0, EYE_STD), 10.0)
        return round(seen * 2) / 2

    def consult(self, cautions: list[str]) -> None:
        for i, caution in enumerate(cautions):
            self.tell(4 + 0.2 * i, "CautionAcknowledged", caution=caution)
        self.tell(9, "ConsultationFinished")

    def lighten(self, first_min: float = 16.0, last_readings: bool = True) -> float:
        zones = self.plan.lanes
        self.tell(
            first_min - 3,
            "PlanTaken",
            zone_keys=[z.zone.key for z in zones],
            volumes=[z.volume_strength for z in zones],
            finish_min=self.plan.finish_min,
            starts_min=[round(z.start_min, 2) for z in zones],
            rinses_min=[round(z.rinse_min, 2) for z in zones],
            visits=[z.visit for z in zones],
        )
        end = first_min
        for z in zones:
            start, done = first_min + z.start_min, first_min + z.end_min
            bowl = next(b for b in self.plan.bowls if any(f.lane_key == z.zone.key for f in b.fills))
            own = (
                sum(f.mass_g for f in bowl.fills if f.lane_key == z.zone.key) / bowl.total_g
            )  # mixed fresh, lane by lane
            recipe = " + ".join(f"{own * p.mass_g:.0f} g of {p.developer.volume_strength:g} vol" for p in bowl.pours)
            self.tell(
                start - 1.2,
                "BowlMixed",
                by="Juno Pell",
                zone_key=z.zone.key,
                volume_strength=z.volume_strength,
                product_g=round(own * bowl.product_g, 1),
                developer_g=round(own * (bowl.total_g - bowl.product_g), 1),
                recipe=recipe,
            )
            self.tell(start, "ApplicationStarted", zone_key=z.zone.key, volume_strength=z.volume_strength)
            self.tell(done, "ApplicationFinished", zone_key=z.zone.key)
            rinse = first_min + z.rinse_min - 0.6
            for wait in (10.5, 20.0, 29.0):
                if done + wait < rinse - 4:
                    self.tell(done + wait, "ReadingTaken", zone_key=z.zone.key, level=self.read(z, wait), mode="wiped")
            self.tell(rinse, "Rinsed", by="Juno Pell", zone_key=z.zone.key)
            end = max(end, rinse)
        if last_readings:
            for i, z in enumerate(zones):
                level = self.read(z, z.rinse_min - 0.6 - z.end_min)
                self.tell(end + 8 + 0.5 * i, "ReadingTaken", zone_key=z.zone.key, level=level, mode="dry")
        return end + 8 + 0.5 * len(zones)

    def tone(self, at_min: float) -> float:
        """The app's own session for what was read last: its bowls, order and one rinse, each bowl one act."""
        self.tell(at_min - 1.5, "ReviewFinished")
        self.document["events"].sort(key=lambda e: e["at_min"])
        file = read_service_file(self.document)
        there = chair_of(file)
        step = tone_step(there, file.toners, findings=file.findings, tone=file.tone)
        plans = {x.id: x.proposal for x in step.lanes if x.proposal}
        for act in step.acts:
            bowl = next(b for b in step.bowls if b.number == act.bowl)
            two = len(bowl.shade_keys) > 1
            parts = [
                {
                    "id": i,
                    "minutes": round(plans[i].minutes, 2),
                    "product_g": round(plans[i].product_g, 2),
                    "developer_g": round(plans[i].developer_g, 2),
                    "before_min": round(before, 2),
                }
                for i, before in zip(act.ids, act.before_min, strict=True)
            ]
            more = {"second_key": bowl.shade_keys[1], "second_name": bowl.shade_names[1]} if two else {}
            self.tell(
                at_min + plans[act.ids[-1]].on_min,
                "ToneBowlApplied",
                shade_key=bowl.shade_keys[0],
                shade_name=bowl.shade_names[0],
                parts=parts,
                share=bowl.share if two else 1.0,
                developer_parts=round(bowl.developer_parts, 3),
                dilution=bowl.dilution,
                **more,
            )
        last_on = at_min + max(p.on_min for p in plans.values())
        halfway = max(at_min + step.finish_min / 2.0, last_on + 0.5)
        still = [i for i, p in plans.items() if at_min + p.rinse_min > halfway]
        if still:
            self.tell(halfway, "TonersEmulsified", by="Juno Pell", ids=still)
        for rinse in step.rinses:
            ids = [i for i, p in plans.items() if p.rinse_min == rinse]
            self.tell(at_min + rinse, "TonersRinsed", by="Juno Pell", ids=ids)
        return at_min + step.finish_min


def write(name: str, document: dict[str, Any]) -> None:
    document["events"].sort(key=lambda e: e["at_min"])
    read_service_file(document)
    (HERE / "services" / f"{name}.json").write_text(json.dumps(document, indent=1, ensure_ascii=False) + "\n")


TESTED = {"patch_test": "negative", "patch_test_age_h": 60, "salts_test": "negative"}


def main() -> None:
    back = ("low_back", "high_back", "crown", "left_side", "right_side", "top")

    ilse = service("Ilse Varga", "Pale straw under the blue wash of act two; no brass in the follow spot.", "cool",
        [zone(k, 4, 8.5) for k in back] + [zone("nape", 4.5, 8), zone("fringe", 4.5, 8)], TESTED | {"age_years": 31})  # fmt: skip
    head = Head(ilse, seed=4, until_min=56, extent=1.02, rate=1.26)
    head.consult(["delicate", "professional_use"])
    head.lighten()
    write("ilse-mid-lift", ilse)

    tobias = service("Tobias Renn", "White, as the ghost of the clockmaker.", "icy",
        [zone(k, 7, 10) for k in back] , TESTED | {"age_years": 44})  # fmt: skip
    head = Head(tobias, seed=7, until_min=1000, extent=0.99, rate=1.05)
    head.consult(["professional_use"])
    toned = head.lighten()
    head.until = toned + 15
    head.tone(toned + 3)
    write("tobias-at-toner", tobias)

    sanna = service("Sanna Quill", "One even oat from nape to fringe; last season came out in three colours.", "neutral",
        [zone("nape", 5, 8), zone("low_back", 4, 8), zone("high_back", 4, 8), zone("crown", 3, 8, thickness="coarse"),
         zone("left_side", 5, 8), zone("right_side", 5, 8), zone("top", 4, 8)],
        TESTED | {"age_years": 29, "booked_min": 240})  # fmt: skip
    head = Head(
        sanna,
        seed=12,
        until_min=1000,
        extent=1.0,
        own={"crown": 0.59, "high_back": 0.74, "top": 0.75, "nape": 0.93, "low_back": 0.96},
    )
    head.consult(["delicate", "professional_use"])
    head.lighten()
    write("sanna-three-bands", sanna)

    wren = service("Wren Adair", "Level 9, soft and neutral. Black since birth, never coloured; the part needs a fair child.", "neutral",
        [zone(k, 3, 9) for k in back] + [zone("nape", 3.5, 8), zone("fringe", 3.5, 8)], TESTED | {"age_years": 27}, "chalk")  # fmt: skip
    head = Head(wren, seed=1, until_min=1000)
    head.consult(["delicate", "professional_use"])
    write("wren-level-3-to-9", wren)

    def grown_out(key: str, **more: Any) -> dict[str, Any]:
        root = {"start_level": 5, "to_mm": 22, "target_level": 9}
        ends = {"start_level": 9.5, "history": "lightened", "porosity": "high", "from_mm": 270, "is_left_out": True}
        return zone(key, 9, 9, history="lightened", length_mm=320, parts=[root, ends], foil_count=6) | more

    odile = service("Odile Brandt", "New growth back to the light lengths before the run; leave the ends alone.", "beige",
        [grown_out(k) for k in ("low_back", "crown", "left_side", "right_side", "top")]
        + [grown_out("fringe", is_delicate=True, thickness="fine", foil_count=4)],
        {"patch_test": "negative", "patch_test_age_h": 30, "age_years": 38, "home_care": ["heat_tools"], "booked_min": 210})  # fmt: skip
    write("odile-grown-out-roots", odile)

    casimir = service("Casimir Holt", "Orange bands from the last tour out; one even copper-free blond.", "neutral",
        [zone("low_back", 6, 8, history="lightened", porosity="high", undertone="orange"), zone("high_back", 5, 8, history="tinted", tint_level=5),
         zone("crown", 6.5, 8, history="lightened", undertone="orange"), zone("left_side", 6, 8, history="lightened", porosity="high"),
         zone("right_side", 6, 8, history="lightened", porosity="high")],
        {"patch_test": "not_done", "patch_test_age_h": 50, "elasticity": "slow", "age_years": 52,
         "home_care": ["violet_shampoo"], "is_clarified": True, "time_min": 240, "booked_min": 180},
        strands=[strand("A", "high_back", 5, 20, [(10, 6), (20, 6.5), (30, 7)], history="tinted", tint_level=5,
                        stretch_before_percent=38, stretch_after_percent=44),
                 strand("B", "crown", 6.5, 10, [(10, 7.5), (20, 8)], history="lightened")])  # fmt: skip
    write("casimir-orange-bands", casimir)

    lotte = service("Lotte Imhof", "Silver for the lighthouse keeper's wife; grey shows at the temples already.", "cool", [],
        {"patch_test": "not_done", "patch_test_age_h": 70, "age_years": 58, "home_care": ["minerals"], "booked_min": 240})  # fmt: skip
    write("lotte-build-up", lotte)

    bruno = service("Bruno Salt", "Fair for the sailor. Has used a progressive dark comb-through for years.", "warm",
        [zone("top", 4, 8, history="metallic"), zone("left_side", 4, 8, history="metallic"), zone("right_side", 4, 8, history="metallic")],
        {"salts_test": "positive", "age_years": 61})  # fmt: skip
    write("bruno-declined", bruno)

    pia = service("Pia Sorrel", "Two levels lighter and warm, nothing harsh at the hairline.", "warm",
        [zone("high_back", 6, 8, thickness="fine"), zone("crown", 6, 8, thickness="fine"), zone("top", 6, 8, thickness="fine"),
         zone("left_temple", 6.5, 8), zone("right_temple", 6.5, 8), zone("fringe", 6.5, 8, thickness="fine", is_delicate=True)],
        TESTED | {"age_years": 23, "scalp": "sensitive"}, "river")  # fmt: skip
    head = Head(pia, seed=11, until_min=1000, rate=1.1)
    head.consult(["scalp_sensitive", "delicate", "professional_use"])
    end = head.tone(head.lighten() + 4)
    head.tell(
        end + 12,
        "ServiceClosed",
        worked="Weaker developer at the temples held the line. Reading every ten minutes was enough.",
        change="Start the fringe two minutes later.",
    )
    write("pia-delicate-filed", pia)

    noor = service("Noor Castell", "Beige lengths for the innkeeper, to read fair from the gallery.", "beige",
        [zone("low_back", 6, 9), zone("high_back", 6, 9), zone("crown", 6, 9, thickness="coarse"), zone("left_side", 6, 9), zone("right_side", 6, 9)],
        TESTED | {"age_years": 35})  # fmt: skip
    head = Head(noor, seed=3, until_min=1000, extent=0.96)
    head.consult(["professional_use"])
    end = head.tone(head.lighten() + 4)
    head.tell(
        end + 10,
        "ServiceClosed",
        worked="Small fresh bowls. Crown first: coarse hair needed the time.",
        change="Book half an hour more.",
    )
    write("noor-filed", noor)
    earlier(back)
    told_in_parts()


def told_in_parts() -> None:
    """Heads that are more than one even zone after another: bands, two kinds in turn, two lighteners, old dye, a wig."""
    rosa = service("Rosa Lintel", "Brassy stripes under the footlights; no lightener before the run is over.", "neutral",
        [zone("crown", 8, 8, history="lightened", undertone="yellow"), zone("high_back", 6, 6, history="lightened", undertone="orange"),
         zone("left_side", 8, 8, history="lightened"), zone("right_side", 8, 8, history="lightened")],
        TESTED | {"age_years": 41, "booked_min": 90}, kind="tone_only")  # fmt: skip
    write("rosa-tone-only", rosa)

    def foils(key: str, low: float, high: float) -> dict[str, Any]:
        pieces = {"name": "high foils", "rest_name": "low foils", "share": 0.5, "start_level": 2, "target_level": high}
        return zone(key, 2, low, pieces=pieces, foil_count=10)

    wig = service("Wig of the lamplighter", "Low and high foils in turn; brighter in front, for the gas lamps.", "warm",
        [foils("low_back", 6.5, 8), foils("high_back", 6.5, 8), foils("top", 7, 8.5)],
        {"salts_test": "negative", "is_hair_piece": True, "booked_min": 300})  # fmt: skip
    write("wig-two-kinds", wig)

    def green(key: str, **more: Any) -> dict[str, Any]:
        brown = {"name": "brown pieces", "rest_name": "old green", "share": 0.3, "start_level": 5, "is_left_out": True}
        own = {"history": "direct_dye", "dye_hue": "green"}
        return zone(key, 7, 8.5, pieces=brown, foil_count=6) | own | more

    ferrin = service("Ferrin Ost", "The sea-witch's green has to go; the brown pieces stay.", "neutral",
        [green(k) for k in ("low_back", "high_back", "crown", "left_side", "right_side", "top")],
        TESTED | {"age_years": 33, "booked_min": 240},
        strands=[strand("A", "crown", 7, 5, [(10, 7), (20, 7.5)], history="direct_dye", dye_hue="green")])  # fmt: skip
    write("ferrin-old-green", ferrin)

    def banded(key: str, **more: Any) -> dict[str, Any]:
        band = {"from_mm": 80, "to_mm": 150, "start_level": 6, "history": "lightened", "target_level": 8.5}
        return zone(key, 8.5, 8.5, history="lightened", length_mm=300, parts=[band | more], foil_count=7)

    thea = service("Thea Marsh", "One dark band in the middle, and a deeper veil below for the widow's hood.", "beige",
        [banded("low_back", lightener="soot", meeting="jagged"), banded("high_back", lightener="soot"),
         banded("left_side"), banded("right_side"), banded("top", load="heavy"),
         zone("nape", 9, 7, history="lightened", off_scalp_mm=25)],
        TESTED | {"age_years": 36, "booked_min": 210},
        other_lighteners=[x for x in SHELF["lighteners"] if x["key"] == "soot"])  # fmt: skip
    write("thea-band-and-veil", thea)


def filed(
    name: str, document: dict[str, Any], cautions: list[str], worked: str, change: str, seed: int, **hidden: float
) -> None:
    """A whole service of an earlier day, filed."""
    head = Head(document, seed=seed, until_min=1000, **hidden)
    head.consult(cautions)
    end = head.tone(head.lighten() + 4)
    head.tell(end + 10, "ServiceClosed", worked=worked, change=change)
    write(name, document)


def earlier(back: tuple[str, ...]) -> None:
    """Services of earlier weeks: what a client's card and the studio's numbers are made of."""
    own = ("low_back", "crown", "left_side", "right_side", "top")
    odile = service("Odile Brandt", "From brown to a light beige, in two steps if it takes two.", "beige",
        [zone(k, 5, 8.5) for k in own], TESTED | {"age_years": 38})  # fmt: skip
    filed("odile-first", odile, ["professional_use"], "Two bowls for the back. Even at the rinse.",
          "The crown lifts slowly: begin there.", 21, extent=0.9)  # fmt: skip

    def roots(key: str) -> dict[str, Any]:
        root = {"start_level": 5, "to_mm": 11, "target_level": 9}
        return zone(key, 8.5, 8.5, history="lightened", length_mm=300, parts=[root])

    again = service("Odile Brandt", "Roots back to the light lengths.", "beige", [roots(k) for k in own],
        TESTED | {"age_years": 38})  # fmt: skip
    filed("odile-roots", again, ["professional_use"], "Roots only, lengths untouched.",
          "A toner on the ends as well.", 22, extent=0.92)  # fmt: skip

    ottilie = service("Ottilie Rask", "Pale and warm for the miller's daughter.", "warm",
        [zone(k, 6, 9, thickness="fine") for k in back], TESTED | {"age_years": 26})  # fmt: skip
    filed("ottilie-filed", ottilie, ["professional_use"], "Fine hair, ten volume and patience.",
          "One look fewer would do.", 23, extent=0.93, rate=1.1)  # fmt: skip

    marlo = service("Marlo Fenn", "A warm brown into dark blonde, quickly, before the dress rehearsal.", "gold",
        [zone(k, 4, 7) for k in ("crown", "left_side", "right_side", "top")], TESTED | {"age_years": 47}, "soot")  # fmt: skip
    filed("marlo-filed", marlo, ["professional_use"], "Quick, and stopped in time.",
          "Wipe before every look: the charcoal hides it.", 24, extent=1.06)  # fmt: skip


def practice() -> None:
    """Two practice rounds that are over, as a member plays them: an eye that is off, and looks too many."""
    begins = dt.datetime(2026, 3, 2, 9, 0, tzinfo=dt.UTC)
    for name, head, seed, does, eye_off in (
        ("hairline-eye-off", "hairline", 12, follows_advice, 0.4),
        ("six-many-looks", "six", 5, looks_every(5.0), 0.0),
    ):
        setup = with_names(setup_of(head_called(head), seed, has_mishaps=head == "hairline"), tell)
        document = service("Practice", "", setup.tone.value, [], TESTED | {"age_years": 30})
        file = replace(read_service_file(document), zones=told_zones(setup), toners=(), wanted_level=setup.wanted_level)
        played = play(setup, file.plan_request(), does, begins=begins, eye_off=eye_off)
        events = tuple(
            FileEvent((e.occurred_at - begins).total_seconds() / 60.0, "Maren Okoye", e.data) for e in played.events
        )
        told = write_round_file(RoundFile(setup, replace(file, events=events)))
        text = json.dumps(told, indent=1, ensure_ascii=False) + "\n"
        (HERE / "practice" / f"{name}.json").write_text(text)


if __name__ == "__main__":
    main()
    practice()
