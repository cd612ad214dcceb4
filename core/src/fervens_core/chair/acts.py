"""What is next for the hands: the acts of the whole chair, most urgent first."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta

from fervens_core.chair.advice import Act, LaneAdvice
from fervens_core.chair.paint import CurvePoint
from fervens_core.colour import undertone
from fervens_core.log import Phase

RINSE_TOGETHER_MIN = 1.5
"""[MODEL] zones to be rinsed within so long of each other are rinsed together."""


@dataclass(frozen=True, slots=True)
class NextAct:
    """One thing for a hand to do.

    Args:
        code: mix, start, finish, read, rinse, rinse_wave, stop, short, tone.
        zone_keys: the lanes it is done to; `zone_key` is the first. due_at: now, for an act without a time of its own.
    """

    code: str
    zone_key: str | None
    title: str
    detail: str
    due_at: datetime
    hex: str | None = None
    zone_keys: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class LaneView:
    """What a lane's next act is made from.

    Args:
        should_look: the level and undertone it should have now, in words.
        bowl_at: when the bowl it takes from was mixed. is_refresh: what is being applied is a refresh.
    """

    key: str
    name: str
    phase: Phase
    volume_strength: float
    started_at: datetime
    zero_at: datetime
    apply_end_at: datetime
    target_level: float
    achieved_level: float | None
    hex_now: str
    should_look: str
    curve: tuple[CurvePoint, ...]
    advice: LaneAdvice | None
    has_bowl: bool
    bowl_at: datetime | None
    is_refresh: bool = False
    is_last_placed: bool = False


def _after(moment: datetime, minutes: float) -> datetime:
    return moment + timedelta(minutes=minutes)


def _lane_act(lane: LaneView) -> NextAct | None:
    advice = lane.advice
    if advice is None:
        return None
    due = _after(lane.zero_at, advice.due_min)

    def act(code: str, title: str, detail: str, colour: str = lane.hex_now) -> NextAct:
        return NextAct(code, lane.key, title, detail, due, colour, (lane.key,))

    match advice.act:
        case Act.STOP:
            return act("stop", f"Rinse {lane.name} now", advice.text)
        case Act.RINSE:
            return act("rinse", f"Rinse {lane.name}", _read_at(lane))
        case Act.READ:
            return act("read", f"Wipe and read {lane.name}", lane.should_look)
        case Act.SHORT:
            return act("short", f"{lane.name} will stop short", advice.text)
        case Act.LEAVE:
            at = [p for p in lane.curve if p.minute <= advice.due_min]
            hue = at[-1] if at else lane.curve[0]
            seen = f"should look like {hue.level_likely:.1f}, {undertone(hue.level_likely)}"
            if advice.then is Act.RINSE:
                return act("rinse", f"Rinse {lane.name}", seen, hue.hex)
            return act("read", f"Wipe and read {lane.name}", seen, hue.hex)


def _read_at(lane: LaneView) -> str:
    if lane.achieved_level is None:
        return f"Target {lane.target_level:g}"
    text = f"Read at {lane.achieved_level:g}; target {lane.target_level:g}"
    return f"{text}; last foils, look at them first" if lane.is_last_placed else text


def _rinsed_together(acts: list[NextAct], lanes: Sequence[LaneView], now: datetime) -> list[NextAct]:
    """Zones that are ready within a minute and a half of each other become one act."""
    soon = _after(now, RINSE_TOGETHER_MIN)
    ready = [a for a in acts if a.code == "rinse" and a.due_at <= soon]
    if len(ready) < 2:
        return acts
    names = {x.key: x.name for x in lanes}
    keys = tuple(k for a in ready for k in a.zone_keys)
    listed = ", ".join(names[k] for k in keys)
    first = min(ready, key=lambda a: a.due_at)
    title = f"Rinse {len(keys)} zones together" if len(keys) > 2 else f"Rinse {' and '.join(names[k] for k in keys)}"
    detail = listed if len(keys) > 2 else first.detail
    together = NextAct("rinse_wave", keys[0], title, detail, first.due_at, first.hex, keys)
    return [a for a in acts if a not in ready] + [together]


def _bowl_words(age_min: float, life_min: float) -> str:
    return f"this bowl is {age_min:.0f} min old, its life is {life_min:.0f}: what is left lifts less"


def _hand_act(lane: LaneView, now: datetime, bowl_life_min: float, *, is_fresh: bool) -> NextAct:
    """The next act of the hand that applies a lane: a bowl, a first section, a last section."""

    def made(code: str, title: str, detail: str, due: datetime) -> NextAct:
        return NextAct(code, lane.key, title, detail, due, None, (lane.key,))

    stale_at = _after(lane.bowl_at, bowl_life_min) if lane.bowl_at and is_fresh else None
    if stale_at and stale_at <= now and lane.bowl_at:
        age = (now - lane.bowl_at).total_seconds() / 60.0
        return made("mix", f"New bowl for {lane.name}", _bowl_words(age, bowl_life_min), stale_at)
    if lane.phase is Phase.APPLYING:
        what = "Finish the new product on" if lane.is_refresh else "Finish applying"
        detail = f"{lane.volume_strength:g} vol, last section on: its clock starts"
        return made("finish", f"{what} {lane.name}", detail, lane.apply_end_at)
    if lane.has_bowl:
        need = (lane.apply_end_at - lane.started_at).total_seconds() / 60.0
        return made("start", f"Start {lane.name}", f"{lane.volume_strength:g} vol, {need:.0f} min to apply", now)
    return made("mix", f"Mix the bowl for {lane.name}", f"{lane.volume_strength:g} vol", now)


_TO_REVIEW = ("All zones rinsed: review", "Dry a little, read every zone")
_RANK = {"stop": 0, "rinse_wave": 1, "rinse": 1, "read": 2, "short": 3, "finish": 4, "start": 5, "mix": 5, "tone": 6}


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
    acts += [_hand_act(x, now, bowl_life_min, is_fresh=is_fresh) for x in applying or waiting[:1]]
    if not acts and lanes and all(x.phase is Phase.RINSED for x in lanes):
        told = ("At the basin now", "Toner and its clocks stand there") if is_reviewed else _TO_REVIEW
        acts.append(NextAct("tone", None, *told, now))
    return tuple(sorted(acts, key=lambda a: (a.due_at > now, _RANK[a.code] if a.due_at <= now else 9, a.due_at)))
