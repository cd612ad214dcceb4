"""Fills a database for bench/load.py: studios with a shelf and an owner who is signed in, and heads in mid-lift."""

from __future__ import annotations

import datetime as dt
import json
import sys
from pathlib import Path

import django

django.setup()

from django.contrib.auth import get_user_model  # noqa: E402
from django.contrib.sessions.backends.db import SessionStore  # noqa: E402
from django.core.management import call_command  # noqa: E402
from django.utils import timezone  # noqa: E402

from apps.services.exchange.intake import take_in  # noqa: E402
from apps.services.models import ServiceEvent  # noqa: E402
from apps.shelf.intake import match_shelf  # noqa: E402
from apps.studio.models import Membership, Studio  # noqa: E402
from fervens_core.formats import read_service_file  # noqa: E402

ILSE = Path(__file__).parents[1] / "demo" / "services" / "ilse-mid-lift.json"


def main(studios: int, boards: int, long_logs: list[int]) -> None:
    """Print what the load needs: for each board its studio's session, and the long ones."""
    call_command("migrate", verbosity=0)
    file = read_service_file(json.loads(ILSE.read_text(encoding="utf-8")))
    began = timezone.now() - dt.timedelta(minutes=max(e.at_min for e in file.events) + 1.0)
    found, kept = [], []
    for number in range(studios):
        studio = Studio.objects.create(name=f"Studio {number:03d}")
        user = get_user_model().objects.create(username=f"owner{number:03d}", first_name="Owner")
        user.set_unusable_password()
        user.save()
        Membership.objects.create(user=user, studio=studio, role="owner")
        session = SessionStore()
        session["_auth_user_id"] = str(user.pk)
        session["_auth_user_backend"] = "apps.studio.backends.StudioBackend"
        session["_auth_user_hash"] = user.get_session_auth_hash()
        session.create()
        shelf = match_shelf(studio, file)
        kept.append((studio, session.session_key, shelf))

    def head(at: int) -> dict[str, str]:
        studio, key, shelf = kept[at % studios]
        row = take_in(studio, file, starts_at=began, lighteners=shelf.lighteners, shade_keys=shelf.shade_keys)
        return {"session": key, "service": str(row.pk)}

    found = [head(i) for i in range(boards)]
    long = []
    for lines in long_logs:
        one = head(0)
        now = timezone.now()
        key = (
            ServiceEvent.objects.filter(service_id=one["service"], kind="ApplicationFinished").first().data["zone_key"]
        )  # type: ignore[union-attr]
        ServiceEvent.objects.bulk_create(
            ServiceEvent(
                service_id=one["service"],
                event_id=f"{i:08x}-0000-4000-8000-{lines:012x}",
                kind="ReadingTaken",
                occurred_at=now - dt.timedelta(seconds=(lines - i) * 0.05),
                recorded_at=now,
                by_name="Owner",
                schema_version=1,
                data={"zone_key": key, "level": 6.0, "mode": "wiped"},
            )
            for i in range(lines)
        )
        long.append(one | {"lines": str(lines), "zone": key})
    sys.stdout.write(json.dumps({"boards": found, "long": long}))


if __name__ == "__main__":
    main(int(sys.argv[1]), int(sys.argv[2]), [int(x) for x in sys.argv[3:]])
