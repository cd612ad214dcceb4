"""Prints the matrix of roles and acts as docs/roles.md has it."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand

from apps.studio.models import Role
from apps.studio.policies import MATRIX, may
from fervens_core.base import say
from fervens_words import DEFAULT, words


def table() -> str:
    """The page, in English whatever this thread spoke before."""
    roles = [r.value for r in Role]
    lines = [
        "# Who may do what",
        "",
        "Made by `bin/schema` from `studio/policies.py`. What is not named here every member may.",
        "",
        f"| act | {' | '.join(roles)} |",
        f"|---|{'---|' * len(roles)}",
    ]
    for act in MATRIX:
        marks = " | ".join("yes" if may(role, act) else "no" for role in roles)
        lines.append(f"| {words(say(f'doing-{act}'), DEFAULT)} | {marks} |")
    return "\n".join(lines) + "\n"


class Command(BaseCommand):
    """python server/manage.py roles"""

    help = "Print the matrix of roles and acts."

    def handle(self, *args: Any, **options: Any) -> None:
        """The page on standard output."""
        self.stdout.write(table(), ending="")
