"""Members' eyes: learnt from the pairs in filed services, kept with the studio, subtracted at the chair."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import F
from django.utils import timezone
from ninja import Schema

from apps.common.words import Words
from apps.services.adapters import event_value
from apps.services.models import Service
from apps.studio.actions import audit
from apps.studio.models import Membership, Studio
from fervens_core.base import ConflictError, LimitError, say
from fervens_core.colour import hair_hex
from fervens_core.followup import learn_eyes
from fervens_core.head import ReadingMode
from fervens_core.lift import Eye, EyePair

ROUND_LEAST, ROUNDS_KEPT, DRILLS_KEPT = 5, 12, 12
"""Pairs that make a round, and how many of a member's rounds, and of drills, are kept."""
SERVICES_MAX = 60
"""An eye is what it was in so many of the latest filed services."""


class EyeOut(Schema):
    """A member's eye in one way of reading, levels; `says` in words.

    `hexes_lying` is hair from a level below PAINTED_AT to it, `hexes_read` the same hair as this eye reads it.
    """

    name: str
    mode: ReadingMode
    bias: float
    bias_std: float
    spread: float
    pairs: int
    is_calibrated: bool
    says: Words
    hexes_lying: list[str]
    hexes_read: list[str]


def relearn(studio_id: UUID) -> None:
    """Learn every eye anew from the latest filed services of a studio and its members' calibration rounds."""
    rows = Service.objects.filter(studio_id=studio_id, step="record").order_by("-starts_at")
    logs = [[event_value(e) for e in row.events.all()] for row in rows.prefetch_related("events")[:SERVICES_MAX]]
    kept = [
        {"name": by, "mode": mode.value, "bias": e.bias, "bias_std": e.bias_std, "spread": e.spread, "pairs": e.pairs}
        for (by, mode), e in sorted(learn_eyes(logs, _rounds(studio_id)).items())
    ]
    Studio.objects.filter(pk=studio_id).update(eyes=kept, eyes_revision=F("eyes_revision") + 1)


def _rounds(studio_id: UUID) -> dict[tuple[str, ReadingMode], list[EyePair]]:
    """Pairs of the members' calibration rounds, by who looked and how."""
    found: dict[tuple[str, ReadingMode], list[EyePair]] = {}
    for member in Membership.objects.filter(studio_id=studio_id).select_related("user"):
        for told in member.eye_rounds:
            mode = ReadingMode(told["mode"])
            weight = float(told.get("weight", 1.0))
            pairs = [EyePair(mode, seen, known, std, weight) for seen, known, std in told["pairs"]]
            found.setdefault((member.name, mode), []).extend(pairs)
    return found


def _kept(rounds: list[dict[str, Any]]) -> list[dict[str, Any]]:
    """The latest calibration rounds, and the latest drills beside them."""
    full, weak = ([r for r in rounds if ("weight" in r) is is_weak] for is_weak in (False, True))
    return sorted((*full[-ROUNDS_KEPT:], *weak[-DRILLS_KEPT:]), key=lambda r: str(r["at"]))


@transaction.atomic
def keep_drill(member: Membership, mode: ReadingMode, pairs: Sequence[EyePair]) -> Membership:
    """Keep a drill on a screen as weak evidence of a member's own eye, and learn from it."""
    row = Membership.objects.select_for_update().get(pk=member.pk)
    told = {
        "at": timezone.now().isoformat(),
        "mode": mode.value,
        "pairs": [[p.seen, p.known, p.known_std] for p in pairs],
        "weight": min(p.weight for p in pairs),
    }
    row.eye_rounds = _kept([*row.eye_rounds, told])
    row.save(update_fields=["eye_rounds"])
    relearn(member.studio_id)
    return row


@transaction.atomic
def keep_round(member: Membership, mode: ReadingMode, pairs: Sequence[tuple[float, float, float]]) -> Studio:
    """Keep a calibration round of a member's own eye and learn from it. Raises LimitError."""
    if len(pairs) < ROUND_LEAST:
        raise LimitError("pairs", say("limit-at_least_so_many", least=ROUND_LEAST), len(pairs))
    for pair in pairs:
        EyePair(mode, *pair)
    row = Membership.objects.select_for_update().get(pk=member.pk)
    told = {"at": timezone.now().isoformat(), "mode": mode.value, "pairs": [list(p) for p in pairs]}
    row.eye_rounds = _kept([*row.eye_rounds, told])
    row.save(update_fields=["eye_rounds"])
    audit(member, "eye_calibrated", row.pk)
    relearn(member.studio_id)
    return Studio.objects.get(pk=member.studio_id)


@transaction.atomic
def take_round_back(member: Membership) -> Studio:
    """Forget a member's last calibration round. Raises ConflictError when there is none."""
    row = Membership.objects.select_for_update().get(pk=member.pk)
    own = [r for r in row.eye_rounds if "weight" not in r]
    if not own:
        raise ConflictError("no_round")
    row.eye_rounds = [r for r in row.eye_rounds if r is not own[-1]]
    row.save(update_fields=["eye_rounds"])
    audit(member, "eye_round_taken_back", row.pk)
    relearn(member.studio_id)
    return Studio.objects.get(pk=member.studio_id)


def eyes_of(studio: Studio) -> dict[tuple[str, ReadingMode], Eye]:
    """What is known of the members' eyes, by name and way of reading."""
    return {
        (e["name"], ReadingMode(e["mode"])): Eye(e["bias"], e["bias_std"], e["spread"], e["pairs"]) for e in studio.eyes
    }


def eyes_out(studio: Studio) -> list[EyeOut]:
    """The eyes as the studio's page has them."""
    found = []
    for (name, mode), eye in eyes_of(studio).items():
        way = "true" if abs(eye.bias) < TRUE_LEVELS else "light" if eye.bias > 0.0 else "dark"
        says = say("eye-reads", way=way, levels=abs(eye.bias), mode=mode, pairs=eye.pairs)
        found.append(
            EyeOut(
                name=name,
                mode=mode,
                bias=eye.bias,
                bias_std=eye.bias_std,
                spread=eye.spread,
                pairs=eye.pairs,
                is_calibrated=eye.is_calibrated,
                says=says,
                hexes_lying=hair_hex(PAINTED_FROM, [PAINTED_AT - 1.0, PAINTED_AT]),
                hexes_read=hair_hex(PAINTED_FROM, [x + eye.bias for x in (PAINTED_AT - 1.0, PAINTED_AT)]),
            )
        )
    return found


TRUE_LEVELS = 0.1
"""Less than this nobody sees."""
PAINTED_FROM, PAINTED_AT = 4.0, 7.0
"""An eye is shown on hair lifted from one level to another: where most is read."""
