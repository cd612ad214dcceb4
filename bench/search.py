"""Finding one of 20,000 clients and 100,000 services: how long a search takes, beside the same without its indexes.

Made-up names and wishes (fixed seed) in a database of its own; each search goes through the whole API, as a member
asks. Beside it the bare queries with the trigram indexes taken away, and the history of the client with most visits.

Run: bin/bench search
"""

from __future__ import annotations

import datetime as dt
import os
import shutil
import sys
import tempfile
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np

ROOT = Path(__file__).parents[1]
sys.path[:0] = [str(ROOT / "ops"), str(ROOT / "server")]
from cluster import Cluster  # noqa: E402
from system import ensure_postgres  # noqa: E402

SEED, CLIENTS, SERVICES, REPEATS = 20260301, 20_000, 100_000, 30
SYLLABLES = [
    "ba",
    "den",
    "fi",
    "gor",
    "hal",
    "ira",
    "jun",
    "kel",
    "lor",
    "mi",
    "nes",
    "oda",
    "pel",
    "qui",
    "ros",
    "sta",
    "tun",
    "uma",
    "ver",
    "wyn",
    "xan",
    "yel",
    "zor",
]
WISHES = [
    "soft beige",
    "a silver fringe",
    "copper ends",
    "pale all over",
    "a grown-out root",
    "cool brown",
    "gold at the crown",
    "less red",
]
SEARCHES = ("denfi", "zor", "silver", "copper e", "rosta mi", "nobody at all", "a")


def ms(does: Callable[[], Any]) -> tuple[float, float]:
    """Median and 95 % of some runs, ms."""
    times = []
    for _ in range(REPEATS):
        began = time.perf_counter()
        does()
        times.append((time.perf_counter() - began) * 1e3)
    return float(np.median(times)), float(np.percentile(times, 95))


def fill(studio: Any) -> None:
    """Clients and filed services of six years."""
    from django.utils import timezone

    from apps.clients.models import Client
    from apps.services.models import Service

    random = np.random.default_rng(SEED)

    def word(count: int) -> str:
        return "".join(random.choice(SYLLABLES, count)).capitalize()

    clients = [Client(studio=studio, name=f"{word(2)} {word(3)}") for _ in range(CLIENTS)]
    Client.objects.bulk_create(clients, batch_size=2000)
    owners = random.integers(0, CLIENTS, SERVICES)
    days = random.integers(0, 2200, SERVICES)
    now = timezone.now()
    summary = {"worked": "", "change": "", "lightener_name": "", "lanes": [], "toners": []}
    rows = [
        Service(
            studio=studio,
            client=clients[c],
            starts_at=now - dt.timedelta(days=int(d)),
            wish=f"{random.choice(WISHES)}, {word(2).lower()}",
            step="record",
            summary=summary,
        )
        for c, d in zip(owners, days, strict=True)
    ]
    Service.objects.bulk_create(rows, batch_size=2000)


def measure() -> None:
    """Print the figures."""
    from django.contrib.auth import get_user_model
    from django.db import connection
    from django.db.models import Count
    from django.test import Client as Browser

    from apps.clients.models import Client
    from apps.services.day.finding import search
    from apps.studio.models import Membership, Studio

    studio = Studio.objects.create(name="Bench")
    user = get_user_model().objects.create_user("bench", password="not-used-here")
    member = Membership.objects.create(user=user, studio=studio, role="owner")
    began = time.perf_counter()
    fill(studio)
    with connection.cursor() as cursor:
        cursor.execute("VACUUM ANALYZE")  # as autovacuum would in a quiet hour
    print(f"{CLIENTS} clients, {SERVICES} services, seed {SEED}, made in {time.perf_counter() - began:.0f} s")
    browser = Browser()
    browser.force_login(user, backend="django.contrib.auth.backends.ModelBackend")
    worst = 0.0
    for text in SEARCHES:
        found = browser.get("/api/search", {"text": text}).json()
        middle, slow = ms(lambda text=text: browser.get("/api/search", {"text": text}))  # type: ignore[misc]
        worst = max(worst, slow)
        seen = f"{len(found['clients'])} clients, {len(found['services'])} services"
        print(f"  search {text!r:18} {middle:6.1f} ms (95 %: {slow:.1f}), {seen}")
    print(f"  the slowest, 95 %: {worst:.1f} ms")
    busiest = Client.objects.annotate(n=Count("services")).order_by("-n").first()
    assert busiest is not None
    for path, name in (
        (f"/api/clients/{busiest.pk}/history", f"history of {busiest.n} services"),
        ("/api/clients?search=zor", "a page of clients"),
        ("/api/week", "a week"),
        ("/api/learning", "the studio's numbers"),
    ):
        middle, slow = ms(lambda path=path: browser.get(path))  # type: ignore[misc]
        print(f"  {name:25} {middle:6.1f} ms (95 %: {slow:.1f})")
    with connection.cursor() as cursor:
        cursor.execute("DROP INDEX client_name_trigrams; DROP INDEX service_wish_trigrams")
    slow_plain = max(ms(lambda t=t: search(member, t))[1] for t in SEARCHES)  # type: ignore[misc]
    print(f"  the same queries without trigram indexes, the slowest, 95 %: {slow_plain:.1f} ms")


def main() -> None:
    """A database of its own, filled, measured, thrown away."""
    folder = Path(tempfile.mkdtemp(prefix="fervens-search-"))
    cluster = Cluster(ensure_postgres(), folder / "pg", is_for_tests=True)
    cluster.create()
    cluster.start()
    try:
        os.environ |= {
            "DATABASE_URL": cluster.url,
            "DJANGO_SETTINGS_MODULE": "config.settings",
            "FERVENS_ALLOWED_HOSTS": "testserver",
            "FERVENS_SECRET_KEY": "only-for-the-bench",
        }
        import django
        from django.core.management import call_command

        django.setup()
        call_command("migrate", verbosity=0, interactive=False)
        measure()
    finally:
        cluster.stop()
        shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    main()
