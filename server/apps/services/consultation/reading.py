"""What a device sent about a consultation, as core values: the same strict reading as for a service file."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from apps.services.adapters import FACTS, StrandRow
from apps.services.consultation.actions import Consultation
from apps.services.consultation.schemas import ConsultationIn
from fervens_core.formats import JsonReader, read_strand, read_zone
from fervens_core.head import Lightener, Stretch, judge_salts

COLUMNS = ("wish", "tone", "wanted_level", "scalp")


_CLOCK = {"started_at", "ended_at"}


def consultation_of(payload: ConsultationIn, lighteners: Mapping[str, Lightener]) -> Consultation:
    """A consultation as core values. Raises LimitError naming the path."""
    sent: dict[str, Any] = payload.model_dump(mode="json")
    columns = {k: sent[k] for k in COLUMNS}
    signs, stretch = payload.salts_signs, payload.stretch
    columns["salts_test"] = (payload.salts_test if signs is None else judge_salts(frozenset(signs))).value
    measured = Stretch(**stretch.model_dump()) if stretch else None
    columns["elasticity"] = (measured.elasticity if measured else payload.elasticity).value
    facts = {k: sent[k] for k in FACTS} | {"salts_signs": sent["salts_signs"], "stretch": sent["stretch"]}
    strands = []
    for i, (row, plain) in enumerate(zip(payload.strands, sent["strands"], strict=True)):
        values = {k: v for k, v in plain.items() if k not in _CLOCK}
        value = read_strand(JsonReader(values, f"strands[{i}]"), lighteners, None)
        strands.append(StrandRow(value, row.started_at, row.ended_at))
    return Consultation(
        columns=columns,
        facts=facts,
        reacts_to_oxidative=payload.reacts_to_oxidative,
        zones=tuple(read_zone(JsonReader(z, f"zones[{i}]")) for i, z in enumerate(sent["zones"])),
        strands=tuple(strands),
    )
