"""What is next for the hands: the acts of the whole chair, most urgent first."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from enum import StrEnum

from fervens_core.base import Message, all_of, say
from fervens_core.chair.advice import Act, LaneAdvice
from fervens_core.chair.paint import CurvePoint
from fervens_core.colour import undertone
from fervens_core.log import Phase

RINSE_TOGETHER_MIN = 1.5
"""[MODEL] zones to be rinsed within so long of each other are rinsed together."""


class Leaves(StrEnum):
    """How a lane's product is planned to come off: rinsed at the basin, wiped out in its foil, or dried out."""

    BASIN = "basin"
    WIPED = "wiped"
    DRIED = "dried"


@dataclass(frozen=True, slots=True)
class NextAct:
    """One thing for a hand to do.

    Args:
        code: mix, start, finish, read, rinse, wipe, rinse_wave, stop, short, tone.
        zone_keys: the lanes it is done to; `zone_key` is the first. due_at: now, for an act without a time of its own.
        then_key, then: the lane that can be started in the same act, since its bowl is ready then, and its name.
    """

    code: str
    zone_key: str | None
    title: Message
    detail: Message
    due_at: datetime
    hex: str | None = None
    zone_keys: tuple[str, ...] = ()
    then_key: str | None = None
    then: Message | str | None = None


@dataclass(frozen=True, slots=True)
class LaneView:
    """What a lane's next act is made from.

    Args:
        should_look: the level and undertone it should have now, in words.
        bowl_at: when the bowl it takes from was mixed. is_refresh: what is being applied is a refresh.
        leaves: how its product is to come off.
    """

    key: str
    name: Message | str
    phase: Phase
    volume_strength: float
    started_at: datetime
    zero_at: datetime
    apply_end_at: datetime
    target_level: float
    achieved_level: float | None
    hex_now: str
    should_look: Message
    curve: tuple[CurvePoint, ...]
    advice: LaneAdvice | None
    has_bowl: bool
    bowl_at: datetime | None
    is_refresh: bool = False
    is_last_placed: bool = False
    leaves: Leaves = Leaves.BASIN


def _after(moment: datetime, minutes: float) -> datetime:
    return moment + timedelta(minutes=minutes)


def _lane_act(lane: LaneView) -> NextAct | None:
    advice = lane.advice
    if advice is None:
        return None
    due = _after(lane.zero_at, advice.due_min)

    def act(code: str, title: Message, detail: Message, colour: str = lane.hex_now) -> NextAct:
        return NextAct(code, lane.key, title, detail, due, colour, (lane.key,))

    match advice.act:
        case Act.STOP:
            return act("stop", say("act-stop", lane=lane.name), advice.text)
        case Act.RINSE:
            return act(*_off(lane), _read_at(lane))
        case Act.READ:
            detail = say("act-read_again", seen=lane.should_look) if advice.is_misfit else lane.should_look
            return act("read", say("act-read", lane=lane.name), detail)
        case Act.SHORT:
            return act("short", say("act-short", lane=lane.name), advice.text)
        case Act.LEAVE:
            at = [p for p in lane.curve if p.minute <= advice.due_min]
            hue = at[-1] if at else lane.curve[0]
            seen = say("act-should_look", level=hue.level_likely, undertone=undertone(hue.level_likely))
            if advice.then is Act.RINSE:
                return act(*_off(lane), seen, hue.hex)
            return act("read", say("act-read", lane=lane.name), seen, hue.hex)


def _off(lane: LaneView) -> tuple[str, Message]:
    """Code and title of taking a lane's product off."""
    if lane.leaves is Leaves.BASIN:
        return "rinse", say("act-rinse", lane=lane.name)
    return "wipe", say("act-wipe_out" if lane.leaves is Leaves.WIPED else "act-dry_out", lane=lane.name)


def _read_at(lane: LaneView) -> Message:
    if lane.achieved_level is None:
        return say("act-target", target=lane.target_level)
    return say(
        "act-read_at_last_foils" if lane.is_last_placed else "act-read_at",
        level=lane.achieved_level,
        target=lane.target_level,
    )


def _rinsed_together(acts: list[NextAct], lanes: Sequence[LaneView], now: datetime) -> list[NextAct]:
    """Zones that are ready within a minute and a half of each other become one act."""
    soon = _after(now, RINSE_TOGETHER_MIN)
    ready = [a for a in acts if a.code == "rinse" and a.due_at <= soon]
    if len(ready) < 2:
        return acts
    names = {x.key: x.name for x in lanes}
    keys = tuple(k for a in ready for k in a.zone_keys)
    first = min(ready, key=lambda a: a.due_at)
    named = [names[k] for k in keys]
    title, detail = say("act-rinse_two", lanes=all_of(named)), first.detail
    if len(keys) > 2:
        title, detail = say("act-rinse_together", count=len(keys)), say("lanes", lanes=named)
    together = NextAct("rinse_wave", keys[0], title, detail, first.due_at, first.hex, keys)
    return [a for a in acts if a not in ready] + [together]


def _hand_act(lane: LaneView, now: datetime, bowl_life_min: float, *, is_fresh: bool) -> NextAct:
    """The next act of the hand that applies a lane: a bowl, a first section, a last section."""

    def made(code: str, title: Message, detail: Message, due: datetime) -> NextAct:
        return NextAct(code, lane.key, title, detail, due, None, (lane.key,))

    stale_at = _after(lane.bowl_at, bowl_life_min) if lane.bowl_at and is_fresh else None
    if stale_at and stale_at <= now and lane.bowl_at:
        age = (now - lane.bowl_at).total_seconds() / 60.0
        stale = say("act-bowl_is_stale", age=age, life=bowl_life_min)
        return made("mix", say("act-new_bowl", lane=lane.name), stale, stale_at)
    if lane.phase is Phase.APPLYING:
        title = say("act-finish_refresh" if lane.is_refresh else "act-finish", lane=lane.name)
        return made("finish", title, say("act-clock_starts", volume=lane.volume_strength), lane.apply_end_at)
    if lane.has_bowl:
        need = (lane.apply_end_at - lane.started_at).total_seconds() / 60.0
        detail = say("act-to_apply", volume=lane.volume_strength, minutes=need)
        return made("start", say("act-start", lane=lane.name), detail, max(now, lane.started_at))
    due = max(now, _after(lane.started_at, -MIX_LEAD_MIN))
    mix = made("mix", say("act-mix", lane=lane.name), say("vol", volume=lane.volume_strength), due)
    return replace(mix, then_key=lane.key, then=lane.name)


MIX_LEAD_MIN = 2.0
"""[MODEL] a bowl is mixed so long before its zone is to start."""
CHANGE_MIN = 3.0
"""[MODEL] a zone planned to start within so many minutes of the last section of the one before follows at once."""
_TO_REVIEW = (say("act-review"), say("act-review.detail"))
_AT_BASIN = (say("act-basin"), say("act-basin.detail"))
_RANK = {
    "stop": 0,
    "rinse_wave": 1,
    "rinse": 1,
    "wipe": 1,
    "read": 2,
    "short": 3,
    "finish": 4,
    "start": 5,
    "mix": 5,
    "tone": 6,
}


def next_acts(
    lanes: Sequence[LaneView], now: datetime, *, bowl_life_min: float, is_fresh: bool = True, is_reviewed: bool = False
) -> tuple[NextAct, ...]:
    """Acts of the whole chair, most urgent first: what is due by its weight, then what comes by its time.

    Args:
        is_reviewed: the results are read, or toner is on already.
        is_fresh: small bowls are mixed; a stale one asks for a new one. With one large bowl its age is accepted.
    """
    acts = _rinsed_together([act for lane in lanes if (act := _lane_act(lane))], lanes, now)
    applying = [x for x in lanes if x.phase is Phase.APPLYING]
    waiting = [x for x in lanes if x.phase is Phase.WAITING]
    # what is not to go on yet is not mixed yet: a bowl ages
    hand = [_hand_act(x, now, bowl_life_min, is_fresh=is_fresh) for x in applying or waiting[:1]]
    if len(applying) == 1 and hand[0].code == "finish" and not applying[0].is_refresh and waiting:
        coming = _hand_act(waiting[0], now, bowl_life_min, is_fresh=is_fresh)
        if coming.code == "start" and waiting[0].started_at <= _after(applying[0].apply_end_at, CHANGE_MIN):
            hand = [replace(hand[0], then_key=coming.zone_key, then=waiting[0].name)]
    acts += hand
    if not acts and lanes and all(x.phase is Phase.RINSED for x in lanes):
        told = _AT_BASIN if is_reviewed else _TO_REVIEW
        acts.append(NextAct("tone", None, *told, now))
    return tuple(sorted(acts, key=lambda a: (a.due_at > now, _RANK[a.code] if a.due_at <= now else 9, a.due_at)))
