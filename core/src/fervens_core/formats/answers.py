"""A service file as a tool of other programs: what the chair advises, what readings taught, which toner.

docs/format/answers.md; each answer's JSON Schema is made from its class here.
"""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import UTC, datetime, timedelta
from typing import Any, get_args, get_type_hints

import numpy as np

from fervens_core.base import MESSAGE_SCHEMA, ConflictError, Message, check_range, json_schema
from fervens_core.basin import ToneBowl, ToneLane, lanes_today, read_zones, tone_step
from fervens_core.chair import (
    MISFIT_SPREADS,
    STRAY_SPREADS,
    Chair,
    after,
    head_belief,
    lane_times,
    make_board,
    minutes_between,
)
from fervens_core.formats.service_file import MINUTES_MAX, ServiceFile
from fervens_core.head import NO_LIGHTENER, ReadingMode
from fervens_core.log import Event, Phase, fold

ZERO = datetime(2000, 1, 1, tzinfo=UTC)
"""Where a file's minutes count from; its events have no other clock."""
BANDS_MAX = 400


def _events(file: ServiceFile, until_min: float) -> list[Event]:
    moments = [(e, ZERO + timedelta(minutes=e.at_min)) for e in file.events if e.at_min <= until_min]
    return [Event(f"e{i}", at, at, e.by, e.data) for i, (e, at) in enumerate(moments)]


def chair_of(file: ServiceFile, at_min: float | None = None) -> Chair:
    """The chair of a file's log at a minute of it; None for the last event's.

    Raises:
        LimitError: a minute out of reach. ConflictError: no lightener, or no plan was taken until then.
    """
    last = max((e.at_min for e in file.events), default=0.0)
    minute = last if at_min is None else check_range("at", at_min, 0.0, MINUTES_MAX, "min")
    lightener = file.lightener or (NO_LIGHTENER if file.kind.only_tones else None)
    if lightener is None:
        raise ConflictError("no_lightener.file")
    state = fold(_events(file, minute))
    if not state.toned:
        raise ConflictError("no_plan.file", minute=minute)
    return Chair(
        state=state,
        zones={z.key: z for z in lanes_today(file.head, state, file.kind, file.plan)},
        lightener=lightener,
        now=ZERO + timedelta(minutes=minute),
        has_additive=file.plan.has_additive,
        strands=file.tested,
        others=file.other_lighteners,
        pace=file.pace,
        eyes={(e.by, e.mode): e.eye for e in file.eyes},
        known=file.plan.known_head,
    )


def _minute(moment: datetime) -> float:
    return round(minutes_between(ZERO, moment), 3)


@dataclass(frozen=True, slots=True)
class AdvisedAct:
    """One act: what to do, to which lanes, and at which minute of the file it is due."""

    code: str
    lanes: tuple[str, ...]
    due_min: float
    title: Message
    detail: Message | None


@dataclass(frozen=True, slots=True)
class AdvisedLane:
    """A lane that processes: chance of ending within half a level, and whether its readings do not fit."""

    key: str
    sure: float | None
    is_misfit: bool


@dataclass(frozen=True, slots=True)
class AdviceAnswer:
    """What the board says at a minute of the log, the next act first."""

    at_min: float
    acts: tuple[AdvisedAct, ...]
    lanes: tuple[AdvisedLane, ...]


def advise_answer(file: ServiceFile, at_min: float | None = None) -> AdviceAnswer:
    """The acts of the chair at a minute. Raises as `chair_of`."""
    there = chair_of(file, at_min)
    board = make_board(there, file.plan_request() if file.developers else None)
    acts = tuple(
        AdvisedAct(a.code, a.zone_keys or ((a.zone_key,) if a.zone_key else ()), _minute(a.due_at), a.title, a.detail)
        for a in board.acts
    )
    lanes = tuple(
        AdvisedLane(x.key, None if x.advice.sure is None else round(x.advice.sure, 3), x.advice.is_misfit)
        for x in board.lanes
        if x.advice
    )
    return AdviceAnswer(_minute(there.now), acts, lanes)


@dataclass(frozen=True, slots=True)
class LevelAt:
    """Levels that 10, 50 and 90 % of what is believed stay under, so many min after the application."""

    minute: float
    low: float
    likely: float
    high: float


@dataclass(frozen=True, slots=True)
class TaughtLane:
    """What is believed of a lane; factors beside what was expected of such hair, minutes from its last section.

    Args:
        start_level: most likely level it started at. ceiling: level it stalls at in one visit, None for none.
        misfit: its worst reading beside what all else says of it, in spreads; `is_misfit` from 3. stray: how far it is
            from what is expected of such hair, in spreads; `is_stray` from 3.5.
    """

    key: str
    extent: float
    rate: float
    zero_min: float
    target_level: float
    early_min: float | None
    likely_min: float | None
    late_min: float | None
    bands: tuple[LevelAt, ...]
    start_level: float
    ceiling: float | None
    misfit: float
    is_misfit: bool
    stray: float
    is_stray: bool


@dataclass(frozen=True, slots=True)
class TaughtEye:
    """What this file says of an eye that was not known exactly: levels it reads too light beside what was known."""

    by: str
    mode: ReadingMode
    bias: float
    bias_std: float


@dataclass(frozen=True, slots=True)
class LearnAnswer:
    """What a file's readings and strands taught."""

    at_min: float
    lanes: tuple[TaughtLane, ...]
    eyes: tuple[TaughtEye, ...]


def _finite(value: float) -> float | None:
    return round(value, 3) if math.isfinite(value) else None


def learn_answer(file: ServiceFile, minutes: tuple[float, ...] = (), at_min: float | None = None) -> LearnAnswer:
    """Factors, window and bands of every lane.

    Args:
        minutes: after each lane's application, 0 to 240, for the bands.
    Raises:
        LimitError: a minute out of reach; and as `chair_of`.
    """
    for minute in minutes:
        check_range("minutes", minute, 0.0, 240.0, "min")
    there = chair_of(file, at_min)
    times = lane_times(there)
    belief = head_belief(there, times)
    found = []
    for i, lane in enumerate(there.state.lanes):
        outlook, zone = belief.outlook(i), there.zones[lane.key]
        learnt, expected = belief.factors(i), belief.lanes[i].factors
        early, likely, late = outlook.ready_window(zone.target_level)
        bands = outlook.level_bands(np.array(minutes)).T.tolist() if minutes else []
        found.append(
            TaughtLane(
                key=lane.key,
                extent=round(learnt.extent / expected.extent, 4),
                rate=round(learnt.rate / expected.rate, 4),
                zero_min=_minute(times[i].zero),
                target_level=zone.target_level,
                early_min=_finite(early),
                likely_min=_finite(likely),
                late_min=_finite(late),
                bands=tuple(
                    LevelAt(m, *(round(v, 3) for v in levels)) for m, levels in zip(minutes, bands, strict=True)
                ),
                start_level=round(belief.start_level(i), 3),
                ceiling=_finite(learnt.ceiling),
                misfit=round(belief.misfit(i), 2),
                is_misfit=belief.misfit(i) > MISFIT_SPREADS,
                stray=round(belief.stray(i), 2),
                is_stray=belief.stray(i) > STRAY_SPREADS,
            )
        )
    eyes = tuple(
        TaughtEye(by, mode, round(bias, 3), round(std, 3)) for (by, mode), (bias, std) in belief.eye_biases.items()
    )
    return LearnAnswer(_minute(there.now), tuple(found), eyes)


@dataclass(frozen=True, slots=True)
class ShadeShare:
    """A shade of a bowl, and its share by weight."""

    key: str
    share: float


@dataclass(frozen=True, slots=True)
class AnsweredBowl:
    """A bowl of toner; without a developer a pigment wash, `dilution` parts of water or conditioner to one."""

    number: int
    shades: tuple[ShadeShare, ...]
    shade_g: float
    developer_volume: float | None
    developer_g: float
    dilution: float


Lab = tuple[float, float, float]


@dataclass(frozen=True, slots=True)
class AnsweredPart:
    """A lane at the basin: minutes after the first toner, colours in CIELAB, `difference` in CIEDE2000."""

    key: str
    bowl: int | None
    on_min: float | None
    off_min: float | None
    now_lab: Lab
    wish_lab: Lab
    result_lab: Lab | None
    difference: float | None
    levels_deeper: float | None
    is_out_of_reach: bool
    would_reach: Message | None


@dataclass(frozen=True, slots=True)
class AnsweredRinse:
    """A rinse, and which lanes it is for."""

    at_min: float
    parts: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ToneAnswer:
    """The toner of a file's results; `blocked` says why nothing of its shelf may be used, or None."""

    bowls: tuple[AnsweredBowl, ...]
    parts: tuple[AnsweredPart, ...]
    rinses: tuple[AnsweredRinse, ...]
    minutes: float
    blocked: Message | None


def _bowl(bowl: ToneBowl) -> AnsweredBowl:
    total = sum(bowl.shades_g) or 1.0
    shares = zip(bowl.shade_keys, bowl.shades_g, strict=True)
    return AnsweredBowl(
        number=bowl.number,
        shades=tuple(ShadeShare(key, round(g / total, 4)) for key, g in shares),
        shade_g=round(total, 1),
        developer_volume=bowl.developer_volume,
        developer_g=round(bowl.developer_g, 1),
        dilution=round(bowl.dilution, 2),
    )


def _three(lab: tuple[float, ...]) -> Lab:
    return round(float(lab[0]), 2), round(float(lab[1]), 2), round(float(lab[2]), 2)


def _part(lane: ToneLane) -> AnsweredPart:
    planned = lane.proposal
    return AnsweredPart(
        key=lane.id,
        bowl=planned.bowl if planned else None,
        on_min=round(planned.on_min, 2) if planned else None,
        off_min=round(planned.rinse_min, 2) if planned else None,
        now_lab=_three(lane.now_lab),
        wish_lab=_three(lane.wanted_lab),
        result_lab=_three(planned.lab) if planned else None,
        difference=round(planned.delta_e, 2) if planned else None,
        levels_deeper=round(planned.levels_deeper, 2) if planned else None,
        is_out_of_reach=bool(planned and planned.needed),
        would_reach=planned.needed.says if planned and planned.needed else None,
    )


def tone_answer(file: ServiceFile) -> ToneAnswer:
    """Bowls, and what they make of every part that was read.

    Raises:
        ConflictError: nothing is rinsed yet; and as `chair_of`.
    """
    there = chair_of(file)
    if any(lane.phase is not Phase.RINSED for lane in there.state.lanes):
        raise ConflictError("still_lifting.file")
    reads = read_zones(replace(there, now=after(there.now, 0.0)))
    step = tone_step(there, file.toners, findings=file.findings, tone=file.tone, reads=reads)
    parts = tuple(_part(lane) for lane in step.lanes)
    moments = sorted({p.off_min for p in parts if p.off_min is not None})
    rinses = tuple(AnsweredRinse(m, tuple(p.key for p in parts if p.off_min == m)) for m in moments)
    return ToneAnswer(tuple(_bowl(b) for b in step.bowls), parts, rinses, round(step.finish_min, 2), step.blocked)


def answers_schema() -> Mapping[str, Any]:
    """JSON Schema (2020-12) of the answers, by name."""
    kinds = (("tone", ToneAnswer), ("advise", AdviceAnswer), ("learn", LearnAnswer))
    found: dict[str, Any] = {"$schema": "https://json-schema.org/draft/2020-12/schema", "$defs": {}}
    for name, kind in kinds:
        own = dict(json_schema(kind, "serialization"))
        found["$defs"] |= own.pop("$defs", {})
        found["$defs"][name] = own
    found["$defs"]["Message"] = MESSAGE_SCHEMA
    for told_in, own in ((AdvisedAct, found["$defs"]["AdvisedAct"]), (ToneAnswer, found["$defs"]["tone"])):
        for name, hint in get_type_hints(told_in).items():
            if Message in (hint, *get_args(hint)):
                told: dict[str, Any] = {"$ref": "#/$defs/Message"}
                others = [
                    {"type": "null"} if a is type(None) else {"type": "string"}
                    for a in get_args(hint)
                    if a is not Message
                ]
                own["properties"][name] = {"anyOf": [told, *others]} if others else told
    return found
