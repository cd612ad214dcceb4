"""The verdict of the consultation: today, in how many visits, clarify first, or not today; and why, line by line."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import Message, Value, say, semicolons
from fervens_core.colour import undertone
from fervens_core.head import (
    Findings,
    PatchState,
    ServiceKind,
    Zone,
    is_deeper,
    kept_parts_of,
    lanes_of,
    patch_state,
)
from fervens_core.planning.aims import make_plan
from fervens_core.planning.chairtime import ChairItem, chair_time, strand_time, tone_time, total_min
from fervens_core.planning.plan import Plan
from fervens_core.planning.request import USUAL_PACE, Paces, PlanRequest
from fervens_core.planning.sessions import LaneSessions, hardest, head_sessions, sessions_needed
from fervens_core.safety import CLEARED_TODAY, Caution, Severity

UNDERTONE_LEVELS_OFF = 1.0
OLD_DYE_VISITS_LEAST = 2
"""Old green or blue comes out over several visits, whatever its level does (common practice, no source)."""
PROMISE_APART_LEVELS = 0.25
"""[MODEL] levels between likely and nine-in-ten from which the promise is told apart."""


class VerdictKind(StrEnum):
    """What the consultation comes to."""

    UNREAD = "unread"
    TODAY = "today"
    VISITS = "visits"
    CLARIFY = "clarify"
    NOT_TODAY = "not_today"


class Sign(StrEnum):
    """How a line counts: for it, with care, for more visits, against it."""

    GOOD = "good"
    CARE = "care"
    VISITS = "visits"
    STOP = "stop"


@dataclass(frozen=True, slots=True)
class VerdictLine:
    """One reason."""

    sign: Sign
    text: Message


@dataclass(frozen=True, slots=True)
class VisitReach:
    """What one visit can reach."""

    visit: int
    text: Message


@dataclass(frozen=True, slots=True)
class Verdict:
    """The verdict with its reasons.

    Args:
        visits: how many; None when six do not reach the wish or nothing can be said.
        reach: what each visit can reach, today's what is promised. chair: parts of today's visit.
        needed_min: their sum.
        promised_level, likely_level: of the lane that is hardest, today; None when nothing is planned.
    """

    kind: VerdictKind
    title: Message
    visits: int | None
    lines: tuple[VerdictLine, ...]
    reach: tuple[VisitReach, ...]
    chair: tuple[ChairItem, ...]
    needed_min: float
    promised_level: float | None = None
    likely_level: float | None = None


def _undertone_lines(zones: tuple[Zone, ...]) -> list[VerdictLine]:
    """Where the warmth seen belongs to another level than the one read."""
    lines = []
    for zone in zones:
        seen = zone.hair.undertone
        if seen is None:
            continue
        levels = [n for n in range(1, 11) if undertone(float(n)) == seen]
        nearest = min(levels, key=lambda n: abs(n - zone.hair.start_level))
        if abs(nearest - zone.hair.start_level) >= UNDERTONE_LEVELS_OFF:
            text = say("verdict-undertone", zone=zone.name, read=zone.hair.start_level, seen=seen, nearest=nearest)
            lines.append(VerdictLine(Sign.CARE, text))
    return lines


def _reach(lanes: tuple[LaneSessions, ...], visits: int | None) -> tuple[VisitReach, ...]:
    """For each visit the levels it leaves, lanes with like results together; today's are those that are promised."""
    count = visits or max((len(x.levels) for x in lanes), default=0)
    found = []
    for visit in range(1, count + 1):
        by_level: dict[float, list[Message | str]] = {}
        for x in lanes:
            likely = x.levels[min(visit, len(x.levels)) - 1]
            level = round((x.sure_level if visit == 1 else likely) * 2.0) / 2.0
            by_level.setdefault(level, []).append(x.zone.label)
        parts = []
        for level, names in sorted(by_level.items()):
            if len(by_level) == 1:
                parts.append(say("reach-all", level=level))
            elif len(names) <= 3:
                parts.append(say("reach-lanes", lanes=names, level=level))
            else:
                parts.append(say("reach-many", count=len(names), level=level))
        found.append(VisitReach(visit, semicolons(parts)))
    return tuple(found)


def _visit_lines(lanes: tuple[LaneSessions, ...], visits: int | None) -> list[VerdictLine]:
    worst = hardest(lanes)
    path = {"lane": worst.zone.label, "start": worst.zone.hair.start_level, "target": worst.zone.target_level}
    if visits is None:
        text = say("verdict-stays", **path, level=worst.levels[-1], visits=len(worst.levels))
        return [VerdictLine(Sign.VISITS, text)]
    if visits > 1:
        text = say(
            "verdict-more_visits", **path, level=worst.levels[0], sure=worst.sure_level, visit=worst.sessions or visits
        )
        return [VerdictLine(Sign.VISITS, text)]
    lines = [VerdictLine(Sign.GOOD, say("verdict-every_zone"))]
    unsure = max(lanes, key=lambda x: x.levels[0] - x.sure_level)
    if unsure.levels[0] - unsure.sure_level >= PROMISE_APART_LEVELS:
        text = say("verdict-unsure", lane=unsure.zone.label, sure=unsure.sure_level, likely=unsure.levels[0])
        lines.append(VerdictLine(Sign.CARE, text))
    return lines


def _again_line(again: Plan) -> VerdictLine:
    level = min(x.level_at_rinse for x in again.lanes)
    return VerdictLine(Sign.VISITS, say("verdict-two_rounds", lanes=_told([x.zone for x in again.lanes]), level=level))


LONG_DAY_MIN = 300.0
"""[MODEL] longer than this is a long day for whoever sits and whoever stands: a full white service takes 3 to 4 h
(common practice, no source)."""


def _time_line(needed: float, findings: Findings) -> VerdictLine | None:
    limits = [
        (minutes, what)
        for minutes, what in ((findings.time_min, "has"), (findings.booked_min, "booked"))
        if minutes is not None
    ]
    if limits and needed > min(limits)[0]:
        least, what = min(limits)
        return VerdictLine(Sign.VISITS, say("verdict-time_over", needed=needed, limit=least, of=what))
    if needed > LONG_DAY_MIN:
        return VerdictLine(Sign.CARE, say("verdict-time_long", needed=needed))
    if not limits:
        return VerdictLine(Sign.GOOD, say("verdict-time", needed=needed))
    least, what = min(limits)
    return VerdictLine(Sign.GOOD, say("verdict-time_within", needed=needed, limit=least, of=what))


_REACHING = (VerdictKind.VISITS, VerdictKind.TODAY)
_TITLES = {
    VerdictKind.UNREAD: say("verdict_title-unread"),
    VerdictKind.TODAY: say("verdict_title-today"),
    VerdictKind.CLARIFY: say("verdict_title-clarify"),
    VerdictKind.NOT_TODAY: say("verdict_title-not_today"),
}


def _lacks_patch_test(findings: Findings) -> bool:
    state = patch_state(findings.patch_test, findings.patch_test_age_h)
    return not findings.is_hair_piece and state is not PatchState.CLEAR


def make_verdict(
    findings: Findings,
    zones: tuple[Zone, ...],
    cautions: tuple[Caution, ...],
    request: PlanRequest | None,
    planned: Callable[[PlanRequest], Plan] = make_plan,
) -> Verdict:
    """The verdict on a head.

    Args:
        cautions: the consultation's. request: how it would be planned; None while the shelf is empty.
        planned: plans it; who keeps plans that were made may say so.
    """
    blocks = [c for c in cautions if c.severity is Severity.BLOCK]
    lines = [VerdictLine(Sign.STOP, say("caution", title=c.title, advice=c.advice)) for c in blocks]
    has_lanes = bool(lanes_of(zones))
    plan: Plan | None = None
    lanes: tuple[LaneSessions, ...] = ()
    chair: tuple[ChairItem, ...] = ()
    visits: int | None = 0
    if has_lanes and request is not None:
        plan = planned(request)
        lanes = head_sessions(request, plan)
        visits = sessions_needed(lanes)
        vivid = [x.zone for x in lanes if x.zone.hair.has_old_vivid_dye]
        if vivid and visits is not None:
            lines.append(VerdictLine(Sign.VISITS, say("verdict-old_dye", lanes=_told(vivid))))
            visits = max(visits, OLD_DYE_VISITS_LEAST)
        else:
            lines += _visit_lines(lanes, visits)
        if plan.again is not None:
            lines.append(_again_line(plan.again))
        lines += [VerdictLine(Sign.VISITS, say("lane-because", lane=x.zone.label, why=x.reason)) for x in plan.left_out]
        chair = chair_time(plan, request)
    needed = total_min(chair)
    time_line = _time_line(needed, findings) if chair else None
    lines += [time_line] if time_line else []
    lines += _undertone_lines(zones)
    if has_lanes and _lacks_patch_test(findings):
        lines.append(VerdictLine(Sign.CARE, say("verdict-no_patch_test")))
    if has_lanes and request is None:
        lines.append(VerdictLine(Sign.CARE, say("verdict-empty_shelf")))
    kind = _kind(zones, blocks, has_lanes, visits, time_line)
    is_for_time = False
    if kind is VerdictKind.VISITS:
        is_for_time = visits == 1
        visits = max(visits, 2) if visits is not None else None
        title = (
            say("verdict_title-never")
            if visits is None
            else say("verdict_title-more_time")
            if is_for_time
            else say("verdict_title-visits", visits=visits)
        )
    else:
        title = _TITLES[kind]
    if kind in (VerdictKind.NOT_TODAY, VerdictKind.CLARIFY):
        chair, needed = (), 0.0
    if kind is VerdictKind.UNREAD and zones:
        lines.append(VerdictLine(Sign.CARE, say("verdict-nothing_to_lift")))
    return Verdict(
        kind=kind,
        title=title,
        visits=visits,
        lines=tuple(lines),
        reach=() if is_for_time or kind not in _REACHING else _reach(lanes, visits),
        chair=chair,
        needed_min=needed,
        promised_level=hardest(lanes).sure_level if lanes else None,
        likely_level=hardest(lanes).levels[0] if lanes else None,
    )


def strand_verdict(
    findings: Findings, strand_count: int, cautions: tuple[Caution, ...], pace: Paces = USUAL_PACE
) -> Verdict:
    """The verdict where only strands are tested.

    Args:
        strand_count: strands told so far. cautions: those of a strand test.
    """
    blocks = [c for c in cautions if c.severity is Severity.BLOCK]
    lines = [VerdictLine(Sign.STOP, say("caution", title=c.title, advice=c.advice)) for c in blocks]
    if blocks:
        is_cleared = all(c.code in CLEARED_TODAY for c in blocks)
        kind = VerdictKind.CLARIFY if is_cleared else VerdictKind.NOT_TODAY
        return Verdict(kind, _TITLES[kind], 0, tuple(lines), (), (), 0.0)
    chair = strand_time(pace)
    lines.append(VerdictLine(Sign.GOOD, say("verdict-strand_test", strands=strand_count)))
    time_line = _time_line(total_min(chair), findings)
    lines += [time_line] if time_line else []
    return Verdict(VerdictKind.TODAY, say("verdict_title-strand_test"), 1, tuple(lines), (), chair, total_min(chair))


def _told(lanes: list[Zone]) -> Value:
    names = tuple(dict.fromkeys(x.label for x in lanes))
    return names if len(names) <= 4 else say("lanes-more", lanes=names[:3], more=len(names) - 3)


def _deeper(parts: tuple[Zone, ...]) -> VerdictLine:
    deeper = [x for x in parts if is_deeper(x)]
    if not deeper:
        return VerdictLine(Sign.CARE, say("verdict-nothing_deeper"))
    levels = max(x.hair.start_level - x.target_level for x in deeper)
    return VerdictLine(Sign.GOOD, say("verdict-deeper", lanes=_told(deeper), levels=levels))


def tone_verdict(
    findings: Findings,
    zones: tuple[Zone, ...],
    cautions: tuple[Caution, ...],
    kind_of_service: ServiceKind = ServiceKind.TONE_ONLY,
    *,
    pace: Paces = USUAL_PACE,
) -> Verdict:
    """The verdict on a head that is only toned, or made deeper.

    Args:
        cautions: those of toning.
    """
    blocks = [c for c in cautions if c.severity is Severity.BLOCK]
    lines = [VerdictLine(Sign.STOP, say("caution", title=c.title, advice=c.advice)) for c in blocks]
    kind = VerdictKind.TODAY if zones else VerdictKind.UNREAD
    if blocks:
        is_cleared = all(c.code in CLEARED_TODAY for c in blocks)
        kind = VerdictKind.CLARIFY if is_cleared else VerdictKind.NOT_TODAY
    chair: tuple[ChairItem, ...] = ()
    is_deepening = kind_of_service is ServiceKind.DEEPEN
    parts = kept_parts_of(zones, ())
    if is_deepening and zones and not blocks:
        line = _deeper(parts)
        lines.append(line)
        kind = VerdictKind.TODAY if line.sign is Sign.GOOD else VerdictKind.UNREAD
    if kind is VerdictKind.TODAY:
        lines.append(VerdictLine(Sign.GOOD, say("verdict-tone_parts", parts=len(parts))))
        chair = tone_time(zones, pace)
        time_line = _time_line(total_min(chair), findings)
        lines += [time_line] if time_line else []
    if zones and _lacks_patch_test(findings):
        lines.append(VerdictLine(Sign.CARE, say("verdict-no_patch_test")))
    today = say("verdict_title-deepen") if is_deepening else say("verdict_title-tone")
    title = today if kind is VerdictKind.TODAY else _TITLES[kind]
    return Verdict(kind, title, 1 if kind is VerdictKind.TODAY else 0, tuple(lines), (), chair, total_min(chair))


def _kind(
    zones: tuple[Zone, ...], blocks: list[Caution], has_lanes: bool, visits: int | None, time_line: VerdictLine | None
) -> VerdictKind:
    if any(c.code not in CLEARED_TODAY for c in blocks):
        return VerdictKind.NOT_TODAY
    if blocks:
        return VerdictKind.CLARIFY
    if not has_lanes:
        return VerdictKind.UNREAD
    is_long = time_line is not None and time_line.sign is Sign.VISITS
    return VerdictKind.VISITS if visits is None or visits > 1 or is_long else VerdictKind.TODAY
