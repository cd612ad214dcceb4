"""A whole service done through the API, and what the tests of its afterwards share."""

import io

from conftest import to_chair
from pypdf import PdfReader

ZONES = [
    {"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "foil_count": 5},
    {"key": "nape", "name": "Nape", "start_level": 4, "target_level": 8, "foil_count": 4},
]


def run(actor, *, file=True, client=None, levels=(8, 7.5), zones=ZONES, toner=True, rows=None):
    """A whole service: two zones lightened, read, toned and filed."""
    sid = to_chair(actor, zones=zones, choice={"rows": rows or {}}, **({"client": client} if client else {}))["id"]
    lanes = [
        f"{z['key']}.row{i + 1}" if rows and z["key"] in rows else z["key"]
        for z in zones
        for i in range((rows or {}).get(z["key"], 1))
    ]
    for i, (key, level) in enumerate(zip(lanes, levels, strict=False)):
        actor.event(
            sid, "BowlMixed", minutes_ago=52 - i, zone_key=key, volume_strength=20, product_g=20, developer_g=30
        )
        actor.event(sid, "ApplicationStarted", minutes_ago=50 - i, zone_key=key, volume_strength=20)
        actor.event(sid, "ApplicationFinished", minutes_ago=45 - i, zone_key=key)
        actor.event(sid, "ReadingTaken", minutes_ago=30 - i, zone_key=key, level=6.5, mode="wiped")
        actor.event(sid, "Rinsed", minutes_ago=15 - i, zone_key=key)
        actor.event(sid, "ReadingTaken", minutes_ago=12 - i, zone_key=key, level=level, mode="dry", lab=[66, 12, 44])
    actor.event(sid, "ReviewFinished", minutes_ago=12 - len(lanes))
    if toner:
        fog = next(t["key"] for t in actor.get("/shelf")["toners"] if t["name"] == "Wash 9")
        on = {"shade_key": fog, "shade_name": "Wash 9", "minutes": 6, "product_g": 12, "developer_g": 0}
        actor.event(sid, "TonerApplied", minutes_ago=9, zone_key=lanes[0], **on)
        actor.event(sid, "TonerRinsed", minutes_ago=3, zone_key=lanes[0])
    if file:
        actor.event(sid, "ServiceClosed", worked="Fine bowls; even roots", change="Start the nape later")
    return sid


def pdf_text(answer):
    assert answer.status_code == 200, answer.content[:300]
    assert answer["Content-Type"] == "application/pdf"
    return " ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages)


def send(actor, sid, upload, **more):
    return actor.browser.post(f"/api/services/{sid}/photos", {"photo": upload, **more})
