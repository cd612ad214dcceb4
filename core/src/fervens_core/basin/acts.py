"""The next acts at the basin: a bowl for all its parts, emulsify, look, rinse; each one act for all it is for."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from datetime import datetime

from fervens_core.base import Message, say
from fervens_core.basin.shown import ToneAct, ToneLane
from fervens_core.basin.toner_lane import TonerClock
from fervens_core.chair import after, minutes_between
from fervens_core.toning import SessionTone, ToneSession

RUNS_AWAY_MIN = 5.0
"""[MODEL] a part that is ready so much sooner than planned is rinsed before the others."""


def tone_acts(lanes: Sequence[ToneLane], session: ToneSession | None, now: datetime) -> tuple[ToneAct, ...]:
    """What is to be done at the basin, the most urgent first: one act for all parts it is for."""
    clocked = [(x, x.toner) for x in lanes if x.toner]
    zero = now
    tones = session.by_key if session else {}
    known = [after(c.applied_at, -tones[x.id].on_min) for x, c in clocked if x.id in tones]
    if known:
        zero = max(known)
    found = [*_applying(lanes, session, zero)]
    to_go_on = [a.due_at for a in found]
    on = [(x, c) for x, c in clocked if c.rinsed_at is None]
    stop = [(x, c) for x, c in on if now >= c.label_at]
    if stop:
        found.append(_act("stop", [x for x, _ in stop], min(c.label_at for _, c in stop), None, None))
    left = [(x, c) for x, c in on if now < c.label_at]
    emulsify = [(x, c) for x, c in left if c.emulsify_at and not c.strand_count and c.emulsify_at < c.due_at]
    if emulsify:
        # all of it is worked through once all of it is on; what goes on after its rinse is another go
        ready = min(c.due_at for _, c in emulsify)
        due = max([min(c.emulsify_at for _, c in emulsify if c.emulsify_at), *(d for d in to_go_on if d < ready)])
        detail = say("tone_act-emulsify.detail")
        found.append(_act("emulsify", [x for x, _ in emulsify], due, detail, emulsify[0][1].hex_now))
    if left and not any(c.strand_count for _, c in clocked):
        # one strand tells of all; the one that was on first
        lane, clock = min(left, key=lambda pair: pair[1].applied_at)
        if clock.strand_at and clock.strand_at < clock.due_at:
            due = max([clock.strand_at, *(d for d in to_go_on if d < clock.due_at)])
            found.append(_act("strand", [lane], due, say("tone_act-strand.detail"), None))
    for group, due in _at_once(left, tones):
        first = next(c for x, c in left if x is group[0])
        seen = say("tone_act-should_look", formula=first.formula_name)
        found.append(_act("rinse", group, due, seen, first.hex_now))
    return tuple(sorted(found, key=lambda a: (a.code != "stop", a.due_at)))


def _at_once(
    clocked: Sequence[tuple[ToneLane, TonerClock]], tones: Mapping[str, SessionTone]
) -> list[tuple[list[ToneLane], datetime]]:
    """Toners that are rinsed together, and when: those the session has one rinse for, else what is planned for once.

    They go at the middle of when each is ready. A part that takes up so much that it is ready much sooner than planned
    runs away, and is rinsed by itself.
    """
    groups: dict[object, list[tuple[ToneLane, TonerClock]]] = {}
    for lane, clock in sorted(clocked, key=lambda pair: pair[1].planned_at):
        tone = tones.get(lane.id)
        groups.setdefault(round(tone.off_min, 3) if tone else clock.planned_at, []).append((lane, clock))
    found = []
    for group in groups.values():
        away = [x for x, c in group if minutes_between(c.due_at, c.planned_at) > RUNS_AWAY_MIN and len(group) > 1]
        kept = [(x, c) for x, c in group if x not in away]
        if away and kept:
            found.append((away, min(c.due_at for x, c in group if x in away)))
        else:
            kept = group
        middle = sorted(c.due_at for _, c in kept)[len(kept) // 2]
        found.append(([x for x, _ in kept], min(middle, *(c.label_at for _, c in kept), middle)))
    return found


def _applying(lanes: Sequence[ToneLane], session: ToneSession | None, zero: datetime) -> list[ToneAct]:
    """Each run of one bowl under the hands as an act."""
    open_lanes = {x.id: x for x in lanes if x.toner is None and x.proposal}
    tones = session.tones if session else ()
    runs: list[list[SessionTone]] = []
    for tone in tones:
        if tone.key not in open_lanes:
            continue
        before = runs[-1][-1] if runs else None
        if before and before.bowl == tone.bowl and tone.start_min <= before.on_min + 0.5:
            runs[-1].append(tone)
        else:
            runs.append([tone])
    out = {x.id for x in lanes if x.toner and x.toner.rinsed_at}
    found = []
    for run in runs:
        first, last = run[0], run[-1]
        if any(t.off_min <= first.start_min + 1e-6 and t.key not in out for t in tones):
            continue  # the next go begins when the one before is rinsed
        detail = say(
            "tone_act-bowl", formula=first.formula.name, least=last.minutes, most=first.minutes, parts=len(run)
        )
        hair = open_lanes[first.key].proposal
        found.append(
            _act(
                "apply",
                [open_lanes[t.key] for t in run],
                after(zero, first.start_min),
                detail,
                hair.hex if hair else None,
                bowl=first.bowl,
                before_min=tuple(max(last.on_min - t.on_min, 0.0) for t in run),
            )
        )
    return found


def _act(
    code: str,
    lanes: Sequence[ToneLane],
    due: datetime,
    detail: Message | str | None,
    colour: str | None,
    *,
    bowl: int | None = None,
    before_min: tuple[float, ...] = (),
) -> ToneAct:
    names = [x.name for x in lanes]
    title = say(f"tone_act-{code}", lanes=names, bowl=bowl or 0, count=len(names))
    return ToneAct(code, tuple(x.id for x in lanes), title, detail or "", due, colour, bowl, before_min)
