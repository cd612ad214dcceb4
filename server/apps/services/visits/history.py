"""A client over the years: every filed service as it was kept, contact load by zone, tests and how long they hold."""

from __future__ import annotations

import datetime as dt
from typing import Any

from apps.clients.models import Client
from apps.services.loading import of_studio, with_parts
from apps.services.models import Service
from apps.services.visits.actions import formulas_of, growth, last_filed, summary_of
from apps.studio.models import Membership
from fervens_core.followup import grown_mm
from fervens_core.head import PATCH_TEST_VALID_DAYS, ROOT_MM, TestResult
from fervens_core.log import Step

SERVICES_MAX = 100


STRAND_HOLDS_DAYS = 90
"""[MODEL] after so long a test is taken again; a label that says less wins."""


PATCH_WORDS = {
    TestResult.NOT_DONE.value: "placed, not read",
    TestResult.NEGATIVE.value: "clear",
    TestResult.POSITIVE.value: "reacted",
}


def _service(row: Service) -> dict[str, Any]:
    summary = summary_of(row) if row.step == Step.RECORD.value else {"lanes": [], "toners": []}
    return {
        "id": row.pk,
        "starts_at": row.starts_at,
        "step": row.step,
        "source": row.source,
        "wish": row.wish,
        "worked": summary.get("worked", ""),
        "change": summary.get("change", ""),
        "lightener_name": summary.get("lightener_name", ""),
        "contact_min": max((x["contact_min"] for x in summary["lanes"]), default=0.0),
        "lanes": summary["lanes"],
        "toners": summary["toners"],
    }


def _loads(services: list[dict[str, Any]]) -> list[dict[str, Any]]:
    found: dict[str, dict[str, Any]] = {}
    for service in services:
        for lane in service["lanes"]:
            own = found.setdefault(
                lane["key"].removesuffix(".again"),
                {"name": lane["name"], "of": set(), "minutes": 0.0, "volume_minutes": 0.0},
            )
            own["of"].add(service["id"])
            own["minutes"] += lane["contact_min"]
            own["volume_minutes"] += lane["volume_min"]
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
                "text": f"Patch test: {PATCH_WORDS.get(client.patch_test_result, client.patch_test_result)}",
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
                    "text": f"{len(own)} strand{'s' if len(own) > 1 else ''} tested, up to level {best:g}",
                    "at": row.starts_at,
                    "holds_until": until,
                    "is_expired": until < now.date(),
                }
            )
    return found


def history_of(member: Membership, client: Client, now: dt.datetime) -> dict[str, Any]:
    """The client's history in plain values, newest service first."""
    rows = list(with_parts(of_studio(member)).filter(client=client).order_by("-starts_at")[:SERVICES_MAX])
    services = [_service(r) for r in rows]
    last = last_filed(member, client.pk)
    grown = None
    if last is not None:
        days = max((now - last.starts_at).total_seconds() / 86400.0, 0.0)
        grown = grown_mm(min(days, 3650.0), growth(last.client))
    return {
        "services": services,
        "loads": _loads(services),
        "tests": _tests(client, rows, now),
        "growth_mm_per_month": growth(client),
        "regrowth_mm": grown,
        "is_past_root": grown is not None and grown > ROOT_MM,
        "can_start_again": last is not None,
        "formulas": list(formulas_of(last)) if last else [],
    }
