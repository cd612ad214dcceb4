"""Review and tone at a moment, computed by the core."""

from __future__ import annotations

import datetime as dt
import hashlib
from functools import partial

from apps.common.heavy import computed
from apps.services.chair.present import end_of_log
from apps.services.loading import Loaded, chair, kept_parts, plan_request
from apps.shelf.queries import toners
from fervens_core.base import ConflictError, CoreError
from fervens_core.basin import (
    AS_USUAL,
    Review,
    ToneChoice,
    ToneStep,
    Tried,
    review_of_chair,
    tone_step,
    try_formula,
)
from fervens_core.chair import Chair
from fervens_core.head import Tone
from fervens_core.planning import PlanRequest
from fervens_core.toning import Formula


def tone(loaded: Loaded, now: dt.datetime, *, choice: ToneChoice = AS_USUAL) -> ToneStep | None:
    """The tone step at a moment; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    shades, wished = tuple(toners(loaded.row.studio_id)), Tone(loaded.row.tone)
    name = _name(loaded, "tone", there, shades, choice)
    work = partial(tone_step, there, shades, findings=loaded.findings, tone=wished, choice=choice)
    return computed(name, work, about=str(loaded.row.pk))


def _name(loaded: Loaded, what: str, there: Chair, *more: object) -> str:
    """All that an answer about a service depends on."""
    row = loaded.row
    told = repr((more, there.now.replace(microsecond=0), row.tone, loaded.findings))
    own = hashlib.sha256(told.encode()).hexdigest()
    return f"{what}-{row.pk}-{row.revision}-{end_of_log(loaded)}-{row.studio.eyes_revision}-{own}"


def formula(
    loaded: Loaded, shade_key: str, second_key: str, share: float, parts: float | None, dilution: float = 0.0
) -> Formula:
    """A formula out of the studio's shelf. Raises ConflictError for a shade it has not, LimitError for a bad one."""
    shelf = {t.key: t for t in toners(loaded.row.studio_id)}
    keys = [k for k in (shade_key, second_key) if k]
    for key in keys:
        if key not in shelf:
            raise ConflictError("unknown_shade")
    return Formula(tuple(shelf[k] for k in keys), (share, 1.0 - share)[: len(keys)], parts, dilution)


def tried(loaded: Loaded, now: dt.datetime, own: Formula, keys: list[str]) -> Tried:
    """What an own formula would do. Raises ConflictError before there is anything to tone."""
    there = chair(loaded, now)
    if there is None:
        raise ConflictError("no_plan")
    name = _name(loaded, "try", there, own, keys)
    work = partial(try_formula, there, own, keys, tone=Tone(loaded.row.tone))
    return computed(name, work, about=str(loaded.row.pk))


def review(loaded: Loaded, now: dt.datetime) -> Review | None:
    """How the head came out; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    try:
        request: PlanRequest | None = plan_request(loaded)
    except CoreError:
        request = None
    shades, wished = tuple(toners(loaded.row.studio_id)), Tone(loaded.row.tone)
    name = _name(loaded, "review", there, shades, request)
    kept = kept_parts(loaded)
    work = partial(review_of_chair, there, shades, findings=loaded.findings, tone=wished, request=request, kept=kept)
    return computed(name, work, about=str(loaded.row.pk))
