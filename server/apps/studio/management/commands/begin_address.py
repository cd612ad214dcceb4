"""Prints where the first visit makes a studio, while there is none."""

from __future__ import annotations

from argparse import ArgumentParser
from typing import Any

from django.core.management.base import BaseCommand

from apps.studio.begin import begin_token, is_open


class Command(BaseCommand):
    """python server/manage.py begin_address --base https://studio.example"""

    help = "Print the address of the first visit, while there is no studio."

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Where the server is reached."""
        parser.add_argument("--another", action="store_true", help="for another studio beside those there are")
        parser.add_argument("--base", default="http://127.0.0.1:8733", help="address of the server, without a path")

    def handle(self, *args: Any, **options: Any) -> None:
        """One line, or none."""
        if is_open() or options["another"]:
            self.stdout.write(f"{options['base'].rstrip('/')}/begin?token={begin_token()}")
