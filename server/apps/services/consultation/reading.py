"""What a device sent about a consultation, as core values: the same strict reading as for a service file."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from apps.services.adapters import FACTS, StrandRow
from apps.services.consultation.actions import Consultation
from apps.services.consultation.schemas import ConsultationIn
from fervens_core.base import LimitError
from fervens_core.head import Lightener, Stretch, judge_salts

COLUMNS = ("wish", "tone", "wanted_level", "scalp")


def consultation_of(payload: ConsultationIn, lighteners: Mapping[str, Lightener]) -> Consultation:
    """A consultation as core values. Raises LimitError naming the path."""
    sent: dict[str, Any] = payload.model_dump(mode="json")
    columns = {k: sent[k] for k in COLUMNS} | ({"kind": sent["kind"]} if payload.kind else {})
    signs, stretch = payload.salts_signs, payload.stretch
    columns["salts_test"] = (payload.salts_test if signs is None else judge_salts(frozenset(signs))).value
    measured = Stretch(**stretch.model_dump()) if stretch else None
    columns["elasticity"] = (measured.elasticity if measured else payload.elasticity).value
    facts = {k: sent[k] for k in FACTS} | {"salts_signs": sent["salts_signs"], "stretch": sent["stretch"]}
    strands = []
    for i, sent_strand in enumerate(payload.strands):
        try:
            value = sent_strand.strand(lighteners)
        except LimitError as error:
            raise LimitError(f"strands[{i}].{error.field}", error.limit, error.value) from None
        strands.append(StrandRow(value, sent_strand.started_at, sent_strand.ended_at))
    return Consultation(
        columns=columns,
        facts=facts,
        reacts_to_oxidative=payload.reacts_to_oxidative,
        zones=tuple(payload.zones),
        strands=tuple(strands),
    )
