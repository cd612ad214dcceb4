"""Review and tone at a moment, computed by the core."""

from __future__ import annotations

import datetime as dt

from apps.services.loading import Loaded, chair, kept_parts, plan_request
from apps.shelf.queries import toners
from fervens_core.base import ConflictError, CoreError
from fervens_core.basin import (
    AS_USUAL,
    Review,
    ToneChoice,
    ToneStep,
    Tried,
    make_review,
    read_zones,
    tone_step,
    toning_for,
    try_formula,
)
from fervens_core.head import Tone
from fervens_core.planning import PlanRequest
from fervens_core.toning import Formula


def tone(loaded: Loaded, now: dt.datetime, *, choice: ToneChoice = AS_USUAL) -> ToneStep | None:
    """The tone step at a moment; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    shades = tuple(toners(loaded.row.studio_id))
    return tone_step(there, shades, findings=loaded.findings, tone=Tone(loaded.row.tone), choice=choice)


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
    return try_formula(there, own, keys, tone=Tone(loaded.row.tone))


def review(loaded: Loaded, now: dt.datetime) -> Review | None:
    """How the head came out; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    reads = read_zones(there)
    try:
        request: PlanRequest | None = plan_request(loaded)
    except CoreError:
        request = None
    shades = tuple(toners(loaded.row.studio_id))
    return make_review(
        there,
        reads,
        request=request,
        choice=toning_for(there, reads, shades, loaded.findings, Tone(loaded.row.tone)),
        elasticity=loaded.findings.elasticity,
        kept=kept_parts(loaded),
    )
