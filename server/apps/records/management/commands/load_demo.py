"""Loads the demo studio once: members, shelf, and a day of services with times relative to now."""

from __future__ import annotations

import datetime as dt
import json
from argparse import ArgumentParser
from typing import Any

from django.conf import settings
from django.contrib.auth import get_user_model
from django.core.management import call_command
from django.core.management.base import BaseCommand
from django.db import transaction
from django.utils import timezone

from apps.clients.models import Client
from apps.services.adapters import event_value
from apps.services.exchange.intake import take_in
from apps.services.eyes import keep_round
from apps.services.models import PracticeRound, Service
from apps.services.practice.actions import bring_in
from apps.services.stock import book
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.models import Membership, Studio
from fervens_core.formats import read_service_file
from fervens_core.head import ReadingMode

DEMO = settings.ROOT / "demo"
CAMERA_STD = 0.15
"""How sure the levels of the demo's calibration rounds are."""
LAST_START = dt.time(23, 30)
"""Loaded late in the evening, what is still to come stays on today's list."""


class Command(BaseCommand):
    """python server/manage.py load_demo --username NAME --password PASSWORD"""

    help = "Load the demo studio, if there is no studio yet."

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Name of the owner to sign in with, and the password all demo members get."""
        parser.add_argument("--username", required=True)
        parser.add_argument("--password", required=True)
        parser.add_argument("--migrate", action="store_true", help="bring the tables up to date first")

    def handle(self, *args: Any, **options: Any) -> None:
        """Migrate if asked to, then load."""
        if options["migrate"]:
            call_command("migrate", interactive=False, verbosity=0)
        self._load(options)

    @transaction.atomic
    def _load(self, options: dict[str, Any]) -> None:
        """Load everything, or nothing."""
        if Studio.objects.exists():
            self.stdout.write("There is a studio already; nothing loaded.")
            return
        made = json.loads((DEMO / "studio.json").read_text(encoding="utf-8"))
        studio = Studio.objects.create(name=made["studio"], pace_min_per_foil=made["pace_min_per_foil"], is_demo=True)
        for member in made["members"]:
            is_owner = member["role"] == "owner"
            user = get_user_model().objects.create_user(
                options["username"] if is_owner else member["username"],
                password=options["password"],
                first_name=member["first_name"],
                last_name=member["last_name"],
                is_staff=is_owner,
                is_superuser=is_owner,
            )
            membership = Membership.objects.create(user=user, studio=studio, role=member["role"])
            if "eye_round" in member:
                pairs = [(seen, known, CAMERA_STD) for seen, known in member["eye_round"]]
                keep_round(membership, ReadingMode.WIPED, pairs)
        counted = made["stock"]
        lighteners = {
            key: Lightener.objects.create(studio=studio, **x, **counted[key])
            for x in made["lighteners"]
            if (key := x.pop("key"))
        }
        for bottle in made["developers"]:
            Developer.objects.create(studio=studio, **counted[bottle.pop("key")], **bottle)
        shade_keys = {
            key: str(Toner.objects.create(studio=studio, **x, **counted[key]).pk)
            for x in made["toners"]
            if (key := x.pop("key"))
        }
        now = timezone.now()
        latest = dt.datetime.combine(timezone.localdate(now), LAST_START, tzinfo=timezone.get_current_timezone())
        day = json.loads((DEMO / "day.json").read_text(encoding="utf-8"))
        for visit in day:
            text = (DEMO / "services" / f"{visit['file']}.json").read_text(encoding="utf-8")
            file = read_service_file(json.loads(text))
            service = take_in(
                studio,
                file,
                starts_at=min(now + dt.timedelta(minutes=visit["starts_in_min"]), max(latest, now)),
                lighteners=lighteners,
                shade_keys=shade_keys,
            )
            before = Client.objects.filter(studio=studio, name=service.client.name).exclude(pk=service.client_id)
            Service.objects.filter(client__in=before).update(client=service.client)
            before.delete()
            for row in service.events.all():
                book(service, row, event_value(row).data)
        owner = Membership.objects.get(studio=studio, role="owner")
        for path in sorted((DEMO / "practice").glob("*.json")):
            played = bring_in(owner, json.loads(path.read_text(encoding="utf-8")))
            PracticeRound.objects.filter(service=played).update(played_by="")
        self.stdout.write(f"Loaded {len(day)} services.")
