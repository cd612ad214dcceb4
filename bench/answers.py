"""How long a program that plays the chair waits for an answer: learn and advise on a log of ten lanes, two looks each.

The yardstick is reading the same file alone: what nobody could do without.

Run: bin/bench answers
"""

from __future__ import annotations

import json
import statistics
import time
from collections.abc import Callable
from dataclasses import replace
from typing import Any

from fervens_core.formats import advise_answer, learn_answer, read_service_file
from fervens_core.planning import make_plan

LANES, REPEATS = 10, 15
READS = ((4.0, 5.0), (9.0, 6.0))


def document() -> dict[str, Any]:
    """Ten zones on by their plan, each read twice."""
    zones = [
        {"key": f"z{i}", "name": f"Zone {i}", "start_level": 5.0, "target_level": 8.5, "foil_count": 4}
        for i in range(LANES)
    ]
    shelf = {
        "lightener": {"key": "p", "name": "Powder", "developer_parts": 1.5, "label_max_min": 50},
        "developers": [{"key": f"d{v}", "name": f"{v} vol", "volume_strength": v} for v in (10, 20, 30)],
    }
    empty: dict[str, Any] = {"format": "fervens-service", "version": 4, "client": "Bench", "zones": zones, **shelf}
    plan = make_plan(read_service_file(empty).plan_request())
    taken = {
        "zone_keys": [x.zone.key for x in plan.lanes],
        "volumes": [x.volume_strength for x in plan.lanes],
        "finish_min": plan.last_rinse_min,
        "starts_min": [x.start_min for x in plan.lanes],
        "rinses_min": [x.rinse_min for x in plan.lanes],
        "visits": [x.visit for x in plan.lanes],
    }
    log: list[dict[str, Any]] = [
        {"at_min": 0, "by": "Bench", "kind": "ConsultationFinished"},
        {"at_min": 0, "by": "Bench", "kind": "PlanTaken", "data": taken},
    ]
    for x in plan.lanes:
        start, end, key = 1 + x.start_min, 1 + x.end_min, {"zone_key": x.zone.key}
        told: list[tuple[float, str, dict[str, Any]]] = [
            (start, "ApplicationStarted", key | {"volume_strength": x.volume_strength}),
            (end, "ApplicationFinished", key),
        ]
        told += [(end + m, "ReadingTaken", key | {"level": v, "mode": "wiped"}) for m, v in READS]
        log += [{"at_min": at, "by": "Bench", "kind": kind, "data": data} for at, kind, data in told]
    return empty | {"events": sorted(log, key=lambda e: e["at_min"])}


def milliseconds(work: Callable[[], object]) -> float:
    """Median, ms."""
    times = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        work()
        times.append((time.perf_counter() - began) * 1000.0)
    return statistics.median(times)


def main() -> None:
    """Print the table."""
    told = document()
    text, file = json.dumps(told), read_service_file(told)
    at = max(e["at_min"] for e in told["events"])
    print(f"{LANES} lanes, {len(told['events'])} events; ms, median of {REPEATS}")
    for name, work in (
        ("reading the file alone", lambda: read_service_file(json.loads(text))),
        ("learn, bands at ten minutes", lambda: learn_answer(file, tuple(float(m) for m in range(5, 55, 5)))),
        ("advise, without developers to propose anew", lambda: advise_answer(_plain(file), at)),
        ("advise, developers of lanes to come with it", lambda: advise_answer(file, at)),
    ):
        print(f"  {name:<46} {milliseconds(work):7.1f}")


def _plain(file: Any) -> Any:
    return replace(file, developers=())


if __name__ == "__main__":
    main()
