"""Practice rounds as scripted learners play them, and what they are told of them."""

from __future__ import annotations

from functools import cache

from make import POWDER, START, at, request

from fervens_core.chair import Chair
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    Event,
    PlanTaken,
    fold,
)
from fervens_core.practice import (
    Round,
    Setup,
    follows_advice,
    head_called,
    looks_every,
    outcome_of,
    play,
    rinses_at,
    sentences_of,
    setup_of,
    told_zones,
)


def a_setup(key: str = "first", seed: int = 1, **more) -> Setup:
    return setup_of(head_called(key), seed, **({"has_mishaps": False} | more))


@cache
def a_round(name: str, key: str = "first", seed: int = 1, *, mishaps: bool = False, eye_off: float = 0.0) -> Round:
    ways = {"advice": follows_advice, "every5": looks_every(5.0), "fixed": rinses_at(25.0), "late": rinses_at(49.0)}
    setup = a_setup(key, seed, has_mishaps=mishaps)
    return play(setup, request(*told_zones(setup)), ways[name], begins=START, eye_off=eye_off)


@cache
def a_debrief(name: str, key: str = "first", seed: int = 1, *, eye_off: float = 0.0):
    played = a_round(name, key, seed, eye_off=eye_off)
    outcome = outcome_of(played)
    return outcome, sentences_of(played, outcome)


def codes(told) -> set[str]:
    return {m.code for m in told.worked}


def head_on(setup: Setup, more: list[tuple[float, object]] = (), now: float = 40.0) -> Round:
    plan_request = request(*setup.zones)
    lanes = plan_request.lanes
    events = [
        (0.0, ConsultationFinished()),
        (0.1, PlanTaken(tuple(z.key for z in lanes), tuple(20.0 for _ in lanes), 60.0)),
        (0.2, BowlMixed(lanes[0].key, 20.0, 20.0, 30.0)),
        (0.5, ApplicationStarted(lanes[0].key, 20.0)),
        (5.0, ApplicationFinished(lanes[0].key)),
        *more,
    ]
    log = [Event(f"m{i}", at(m), at(m), "Ada", d) for i, (m, d) in enumerate(events)]
    state = fold([e for e in log if e.occurred_at <= at(now)])
    chair = Chair(state=state, zones={z.key: z for z in lanes}, lightener=POWDER, now=at(now))
    return Round(setup, chair, tuple(log), setup.zones, plan_request)
