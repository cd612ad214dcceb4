"""A practice round as its learner plays it, act by act."""

from __future__ import annotations

import datetime as dt
from uuid import uuid4

HEAD = {"head": "first", "seed": 3, "has_mishaps": False}


def begin(actor, **more) -> str:
    return actor.post("/practice", HEAD | more, 201)["service_id"]


class Learner:
    """One round in work: acts at minutes of its own clock."""

    def __init__(self, actor, **more):
        self.actor, self.id = actor, begin(actor, **more)
        self.start = dt.datetime.fromisoformat(actor.get(f"/practice/{self.id}")["now"])

    def act(self, minute, kind, expect=200, **data):
        at = (self.start + dt.timedelta(minutes=minute)).isoformat()
        body = {"event_id": str(uuid4()), "kind": kind, "occurred_at": at, "data": data}
        return self.actor.post(f"/services/{self.id}/events", body, expect)

    def to_chair(self):
        service = self.actor.get(f"/services/{self.id}")
        for entry in service["cautions"]:
            self.act(1, "CautionAcknowledged", caution=entry["caution"]["code"])
        self.act(2, "ConsultationFinished")
        return self.actor.post(f"/services/{self.id}/plan/take", {"event_id": str(uuid4())})

    def on(self, key, at, volume=20, took=5):
        self.act(at, "BowlMixed", zone_key=key, volume_strength=volume, product_g=20, developer_g=30)
        self.act(at + 0.1, "ApplicationStarted", zone_key=key, volume_strength=volume)
        self.act(at + took, "ApplicationFinished", zone_key=key)

    def through(self, rinse=40):
        """All lanes on one after the other, each read once and rinsed."""
        board = self.to_chair()
        keys = [x["key"] for x in board["board"]["lanes"]]
        for i, key in enumerate(keys):
            self.on(key, 3 + 6 * i)
        for i, key in enumerate(keys):
            self.act(22 + 6 * i, "FoilOpened", zone_key=key, mode="wiped")
            self.act(22.5 + 6 * i, "ReadingTaken", zone_key=key, level=7, mode="wiped")
        for i, key in enumerate(keys):
            self.act(rinse + i, "Rinsed", zone_key=key)
        return keys

    def round(self):
        return self.actor.get(f"/practice/{self.id}")
