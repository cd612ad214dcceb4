"""What the consultation comes to."""

from __future__ import annotations

from apps.services.loading import Loaded, pace_of, plan_request
from apps.services.planned import planned
from fervens_core.base import CoreError
from fervens_core.head import ServiceKind
from fervens_core.planning import PlanRequest, Verdict, make_verdict, strand_verdict, tone_verdict


def verdict(loaded: Loaded) -> Verdict:
    """What the consultation comes to, with the plan's lightener and the shelf's bottles."""
    if loaded.kind.only_tones:
        return tone_verdict(
            loaded.findings, loaded.zones, loaded.cautions, loaded.kind, pace=pace_of(loaded.row.studio)
        )
    if loaded.kind is ServiceKind.STRAND_TEST:
        return strand_verdict(loaded.findings, len(loaded.strands), loaded.cautions, pace_of(loaded.row.studio))
    try:
        request: PlanRequest | None = plan_request(loaded)
    except CoreError:
        request = None
    return make_verdict(loaded.findings, loaded.zones, loaded.cautions, request, planned=planned)
