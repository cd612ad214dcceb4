"""A toner's lane: what a formula leaves minute by minute on one zone, how sure that is, and what to do when."""

from __future__ import annotations

import math
from dataclasses import dataclass
from datetime import datetime

import numpy as np

from fervens_core.base import Floats, LimitError, Message, say
from fervens_core.basin.uptake import LEAST_ON_MIN, Uptake
from fervens_core.chair import Window, after, minutes_between
from fervens_core.colour import seen_hex, seen_hexes
from fervens_core.head import TonerShade
from fervens_core.log import TonerApplied, TonerState
from fervens_core.toning import Formula, Result, deposit, time_constant_min, toned_lab

STRAND_FROM_SHARE = 0.6
"""A strand is rinsed to look when this share of the time has passed."""
STEP_MINUTES = (5.0, 10.0, 15.0, 20.0)
_STRAND_STEPS = (0.5, 0.65, 0.8, 1.0, 1.2, 1.45, 1.75)


@dataclass(frozen=True, slots=True)
class ToneMinute:
    """The colour a toner should show after some minutes."""

    minute: float
    hex: str


@dataclass(frozen=True, slots=True)
class StrandSwatch:
    """What a rinsed strand may look like: its colour, and the dye that would be on it."""

    deposit_share: float
    hex: str
    is_expected: bool


@dataclass(frozen=True, slots=True)
class ToneOutcome:
    """What a toner leaves in the end: as hair that takes little, as much as likely, or much would have it."""

    little_hex: str
    likely_hex: str
    much_hex: str


@dataclass(frozen=True, slots=True)
class TonerClock:
    """A toner on a zone.

    Args:
        minutes: planned; planned_at: when it is then rinsed. window_min: when it should be ready: early for hair that
            takes much, late for little.
        label_at: when its label's time is up. on_min: minutes on the hair so far, or in all.
        lab_now: CIELAB of what the hair should be now, or was left as.
        warning: against rinsing now; warning_help: what to do. uptake: likely, beside what was expected.
        strand_scale: what a strand rinsed now may look like, palest first; empty once it is rinsed.
    """

    formula_name: str
    shade_key: str
    applied_at: datetime
    minutes: float
    planned_at: datetime
    window_min: Window
    due_at: datetime
    label_max_min: float
    label_at: datetime
    emulsify_at: datetime | None
    strand_at: datetime | None
    rinsed_at: datetime | None
    on_min: float
    hex_now: str
    lab_now: tuple[float, ...]
    curve: tuple[ToneMinute, ...]
    uptake: Uptake
    strand_count: int
    is_pulled_back: bool
    warning: Message | None
    warning_help: Message | None
    strand_scale: tuple[StrandSwatch, ...]
    product_g: float
    developer_g: float
    outcome: ToneOutcome | None


def formula_of(applied: TonerApplied, shades: dict[str, TonerShade]) -> Formula | None:
    """The formula of a toner that was put on; None when a shade of it is not on the shelf any more."""
    keys = [k for k in (applied.shade_key, applied.second_key) if k]
    if any(k not in shades for k in keys):
        return None
    shares = (applied.share, 1.0 - applied.share)[: len(keys)]
    try:
        return Formula(tuple(shades[k] for k in keys), shares, applied.developer_parts or None, applied.dilution)
    except LimitError:
        return None


def toned_hexes(result: Result, formula: Formula, minutes: Floats, more: float = 1.0) -> list[str]:
    """Screen colours of a zone with a formula on, at each of some minutes."""
    return seen_hexes(toned_lab(result, formula, minutes, more))


def minutes_for_uptake(minutes: float, tau_min: float, uptake: float) -> float | None:
    """How long hair that takes more or less needs for the dye another would have after some minutes; None for never."""
    share = -math.expm1(-minutes / tau_min) / uptake
    return -tau_min * math.log1p(-share) if share < 1.0 else None


def outcome_of(result: Result, formula: Formula, minutes: float, uptake: Uptake) -> ToneOutcome:
    """The result at the planned minutes for little, likely and much uptake."""
    labs = [toned_lab(result, formula, minutes, u) for u in (uptake.little, uptake.likely, uptake.much)]
    return ToneOutcome(*seen_hexes(np.array(labs)))


def _strand_scale(result: Result, formula: Formula, on_min: float, uptake: Uptake) -> tuple[StrandSwatch, ...]:
    expected = float(deposit(on_min, result.porosity)) * result.uptake_factor * uptake.likely
    labs = [toned_lab(result, formula, on_min, uptake.likely * step) for step in _STRAND_STEPS]
    pairs = zip(_STRAND_STEPS, seen_hexes(np.array(labs)), strict=True)
    return tuple(StrandSwatch(max(expected * s, 0.01), h, s == 1.0) for s, h in pairs)


def toner_clock(
    toner: TonerState, result: Result, shades: dict[str, TonerShade], uptake: Uptake, now: datetime
) -> TonerClock:
    """A toner's lane at a moment."""
    applied = toner.applied
    formula = formula_of(applied, shades)
    tau = time_constant_min(result.porosity)
    longest = formula.label_max_min if formula else toner.minutes
    if toner.is_pulled_back:
        window = Window(toner.minutes, toner.minutes, toner.minutes)
    else:
        spans = [minutes_for_uptake(toner.minutes, tau, u) for u in (uptake.much, uptake.likely, uptake.little)]
        window = Window(*spans)
    due_min = min(window.likely if window.likely is not None else longest, longest)
    on_min = max(minutes_between(toner.applied_at, toner.rinsed_at or now), 0.0)
    curve: tuple[ToneMinute, ...] = ()
    lab_now = result.lab
    if formula:
        minutes = np.arange(0.0, longest + 0.5)
        lab_now = toned_lab(result, formula, on_min, uptake.likely)
        hexes = toned_hexes(result, formula, minutes, uptake.likely)
        curve = tuple(ToneMinute(float(m), h) for m, h in zip(minutes, hexes, strict=True))
    is_on = toner.is_on
    strand_min = max(due_min * STRAND_FROM_SHARE, 1.0)
    warned = _warning(toner, window, on_min, result, tau)
    return TonerClock(
        formula_name=formula.name if formula else " + ".join(x for x in (applied.shade_name, applied.second_name) if x),
        shade_key=applied.shade_key,
        applied_at=toner.applied_at,
        minutes=toner.minutes,
        planned_at=after(toner.applied_at, toner.minutes),
        window_min=window,
        due_at=after(toner.applied_at, due_min),
        label_max_min=longest,
        label_at=after(toner.applied_at, longest),
        emulsify_at=after(toner.applied_at, due_min / 2.0) if is_on and toner.emulsified_at is None else None,
        strand_at=after(toner.applied_at, strand_min) if is_on and not toner.strands else None,
        rinsed_at=toner.rinsed_at,
        on_min=on_min,
        hex_now=seen_hex(lab_now),
        lab_now=(float(lab_now[0]), float(lab_now[1]), float(lab_now[2])),
        curve=curve,
        uptake=uptake,
        strand_count=len(toner.strands),
        is_pulled_back=toner.is_pulled_back,
        warning=warned[0] if warned else None,
        warning_help=warned[1] if warned else None,
        strand_scale=_strand_scale(result, formula, max(on_min, LEAST_ON_MIN), uptake) if formula and is_on else (),
        product_g=applied.product_g,
        developer_g=applied.developer_g,
        outcome=outcome_of(result, formula, min(due_min, longest), uptake) if formula else None,
    )


def _warning(
    toner: TonerState, window: Window, on_min: float, result: Result, tau: float
) -> tuple[Message, Message | None] | None:
    """Against rinsing now: what is so, and what to do."""
    if not toner.is_on:
        return None
    early = window.early
    if early is not None and on_min < early:
        taken = math.expm1(-on_min / tau) / math.expm1(-toner.minutes / tau)
        share = max(min(taken, 1.0), 0.01)
        return say("toner_warning-looks_dark", share=share), say("toner_warning-looks_dark.help")
    if not toner.strands:
        return say("toner_warning-hidden"), None
    return None
