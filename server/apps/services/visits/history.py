"""A client over the years: every filed service as it was kept, contact load by zone, tests and how long they hold."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from apps.clients.models import Client
from apps.services.loading import of_studio, with_parts
from apps.services.models import Service
from apps.services.visits.actions import formulas_of, growth, last_filed, summary_of
from apps.services.visits.schemas import LaneThen, TonerThen
from apps.studio.models import Membership
from fervens_core.base import say
from fervens_core.followup import Filed, grown_mm
from fervens_core.head import AGAIN, PATCH_TEST_VALID_DAYS, ROOT_MM, TestResult
from fervens_core.log import Step

SERVICES_MAX = 100


STRAND_HOLDS_DAYS = 90
"""[MODEL] after so long a test is taken again; a label that says less wins."""


def _service(row: Service, summary: Filed) -> dict[str, Any]:
    return {
        "id": row.pk,
        "starts_at": row.starts_at,
        "step": row.step,
        "source": say(f"source-{row.source}") if row.source else "",
        "wish": row.wish,
        "worked": summary.worked,
        "change": summary.change,
        "lightener_name": summary.lightener_name,
        "contact_min": max((x.contact_min for x in summary.lanes), default=0.0),
        "lanes": [LaneThen.from_filed(x) for x in summary.lanes],
        "toners": [TonerThen.from_filed(x) for x in summary.toners],
    }


def _loads(filed: list[tuple[UUID, Filed]]) -> list[dict[str, Any]]:
    found: dict[str, dict[str, Any]] = {}
    for service_id, summary in filed:
        for lane in summary.lanes:
            own = found.setdefault(
                lane.key.removesuffix(AGAIN),
                {"name": lane.label, "of": set(), "minutes": 0.0, "volume_minutes": 0.0},
            )
            own["of"].add(service_id)
            own["minutes"] += lane.contact_min
            own["volume_minutes"] += lane.volume_min
    loads = [
        {"name": x["name"], "services": len(x["of"]), "minutes": x["minutes"], "volume_minutes": x["volume_minutes"]}
        for x in found.values()
    ]
    return sorted(loads, key=lambda x: -x["minutes"])


def _tests(client: Client, rows: list[Service], now: dt.datetime) -> list[dict[str, Any]]:
    found = []
    placed = client.patch_test_placed_at
    if placed or client.patch_test_result != TestResult.NOT_DONE.value:
        until = (placed + dt.timedelta(days=PATCH_TEST_VALID_DAYS)).date() if placed else None
        found.append(
            {
                "kind": "patch",
                "text": say(f"history-patch_{client.patch_test_result}"),
                "at": placed,
                "holds_until": until,
                "is_expired": until is not None and until < now.date(),
            }
        )
    for row in rows:
        own = [s for s in row.strands if s.get("readings") and not str(s.get("key", "")).startswith("last-")]
        if own:
            until = (row.starts_at + dt.timedelta(days=STRAND_HOLDS_DAYS)).date()
            best = max(r["level"] for s in own for r in s["readings"])
            found.append(
                {
                    "kind": "strand",
                    "text": say("history-strands", count=len(own), best=best),
                    "at": row.starts_at,
                    "holds_until": until,
                    "is_expired": until < now.date(),
                }
            )
    return found


def history_of(member: Membership, client: Client, now: dt.datetime) -> dict[str, Any]:
    """The client's history in plain values, newest service first."""
    rows = list(with_parts(of_studio(member)).filter(client=client).order_by("-starts_at")[:SERVICES_MAX])
    summaries = [summary_of(r) if r.step == Step.RECORD.value else Filed() for r in rows]
    services = [_service(r, s) for r, s in zip(rows, summaries, strict=True)]
    last = last_filed(member, client.pk)
    grown = None
    if last is not None:
        days = max((now - last.starts_at).total_seconds() / 86400.0, 0.0)
        grown = grown_mm(min(days, 3650.0), growth(last.client))
    return {
        "services": services,
        "loads": _loads([(r.pk, s) for r, s in zip(rows, summaries, strict=True)]),
        "tests": _tests(client, rows, now),
        "growth_mm_per_month": growth(client),
        "regrowth_mm": grown,
        "is_past_root": grown is not None and grown > ROOT_MM,
        "can_start_again": last is not None,
        "formulas": list(formulas_of(last)) if last else [],
    }
