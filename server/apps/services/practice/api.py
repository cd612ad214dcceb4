"""Practice: rounds on simulated heads, their debrief, files and classes, and the eye drill."""

from __future__ import annotations

import secrets
from typing import Any
from uuid import UUID

from django.core.cache import caches
from django.http import HttpRequest
from django.shortcuts import get_object_or_404
from ninja import Router
from ninja.responses import Status

from apps.common.heavy import computed
from apps.common.problems import ERRORS, Problem
from apps.services import loading
from apps.services.eyes import keep_drill
from apps.services.practice import actions, present, queries
from apps.services.practice.schemas import (
    AgainIn,
    BegunOut,
    ClassOut,
    ClockIn,
    ClockOut,
    DebriefOut,
    DrilledOut,
    DrillIn,
    DrillOut,
    DrillStrandOut,
    PracticeOut,
    PracticeRoundIn,
    RoundFileIn,
    RoundFileOut,
    RoundOut,
    SharingIn,
)
from apps.services.round_clock import clock_now
from apps.studio.auth import member_of
from fervens_core.base import ConflictError, LimitError, check_level, say
from fervens_core.colour import Undertone, hair_hex
from fervens_core.head import ReadingMode
from fervens_core.practice import DRILL_SECONDS, SEED_MAX, debrief_of, drill, drill_score, eyes_over, write_round_file

router = Router(tags=["practice"])
LEVELS = [x / 2.0 for x in range(6, 21)]


@router.get("/practice", response={200: PracticeOut, ERRORS: Problem})
def read_practice(request: HttpRequest) -> PracticeOut:
    """Heads to practise on, own rounds and progress, and the progress that members share with the owner."""
    return present.practice_out(member_of(request))


@router.post("/practice", response={201: BegunOut, ERRORS: Problem})
def begin_round(request: HttpRequest, payload: PracticeRoundIn) -> Status[BegunOut]:
    """Begin a round. The same head, difficulty and seed are the same hair for everyone."""
    member = member_of(request)
    setup = actions.setup_for(member, **payload.dict())
    return Status(201, BegunOut(service_id=actions.begin(member, setup).pk))


@router.put("/practice/sharing", response={200: PracticeOut, ERRORS: Problem})
def share_practice(request: HttpRequest, payload: SharingIn) -> PracticeOut:
    """Let the owner see one's progress, or no longer."""
    member = member_of(request)
    member.shares_practice = payload.is_shared
    member.save(update_fields=["shares_practice"])
    return present.practice_out(member)


@router.post("/practice/file", response={201: BegunOut, ERRORS: Problem})
def bring_round(request: HttpRequest, payload: RoundFileIn) -> Status[BegunOut]:
    """A round from a file: a head to play, or one that was played, to be looked at."""
    return Status(201, BegunOut(service_id=actions.bring_in(member_of(request), payload.document).pk))


@router.post("/practice/drill", response={200: DrillOut, ERRORS: Problem})
def begin_drill(request: HttpRequest, mode: ReadingMode = ReadingMode.DRY) -> DrillOut:
    """Twelve strands to name."""
    member_of(request)
    if mode not in (ReadingMode.DRY, ReadingMode.WIPED):
        raise LimitError("mode", say("limit-one_of", known=("dry", "wiped")), mode.value)
    seed = secrets.randbelow(SEED_MAX)
    strands = [
        DrillStrandOut(
            number=s.number,
            level=s.level,
            undertone=s.undertone,
            start_level=s.start_level,
            colours=s.colours,
            seed=s.seed,
        )
        for s in drill(seed, mode)
    ]
    return DrillOut(
        seed=seed,
        mode=mode,
        seconds=DRILL_SECONDS,
        levels=LEVELS,
        undertones=list(Undertone),
        hexes=hair_hex(2.0, LEVELS),
        strands=strands,
    )


@router.post("/practice/drill/answers", response={200: DrilledOut, ERRORS: Problem})
def answer_drill(request: HttpRequest, payload: DrillIn) -> DrilledOut:
    """Keep what was said of a drill's strands as weak evidence of the member's own eye."""
    member = member_of(request)
    answers = {}
    for i, answer in enumerate(payload.answers):
        check_level(f"answers[{i}].level", answer.level)
        if answer.number in answers:
            raise LimitError(f"answers[{i}].number", say("limit-different_from_others", name="answers"), answer.number)
        answers[answer.number] = (answer.level, answer.undertone)
    score = drill_score(payload.seed, payload.mode, answers)
    member = keep_drill(member, payload.mode, score.pairs)
    return DrilledOut(
        count=len(score.pairs),
        right_undertones=score.right_undertones,
        mean_error=score.mean_error,
        spread=score.spread,
        eyes=list(eyes_over(present.own_results(member), present.drilled(member))),
    )


@router.get("/practice/{service_id}", response={200: RoundOut, ERRORS: Problem})
def read_round(request: HttpRequest, service_id: UUID) -> RoundOut:
    """A round at the chair: its clock, what was found out, what goes wrong, and how its hair looks by minute."""
    member = member_of(request)
    get_object_or_404(queries.rounds_of(member), service_id=service_id)
    return present.round_out(loading.load(loading.get(member, service_id)))


@router.delete("/practice/{service_id}", response={200: PracticeOut, ERRORS: Problem})
def drop_round(request: HttpRequest, service_id: UUID) -> PracticeOut:
    """Throw a round away."""
    member = member_of(request)
    actions.drop(member, service_id)
    return present.practice_out(member)


@router.put("/practice/{service_id}/clock", response={200: ClockOut, ERRORS: Problem})
def set_clock(request: HttpRequest, service_id: UUID, payload: ClockIn) -> ClockOut:
    """Tell a round's clock: the moment in it and how fast it runs."""
    row = actions.set_clock(member_of(request), service_id, at=payload.at, speed=payload.speed, until=payload.until)
    return ClockOut(now=clock_now(row), speed=row.clock["speed"])


@router.post("/practice/{service_id}/end", response={200: DebriefOut, ERRORS: Problem})
def end_round(request: HttpRequest, service_id: UUID) -> DebriefOut:
    """End a round; the answer is its debrief."""
    member = member_of(request)
    actions.end(member, service_id)
    return _debrief(request, service_id)


@router.get("/practice/{service_id}/debrief", response={200: DebriefOut, ERRORS: Problem})
def read_debrief(request: HttpRequest, service_id: UUID) -> DebriefOut:
    """What a round came to, once it is over."""
    return _debrief(request, service_id)


def _debrief(request: HttpRequest, service_id: UUID) -> DebriefOut:
    member = member_of(request)
    row = get_object_or_404(queries.rounds_of(member), service_id=service_id)
    if row.ended_at is None:
        raise ConflictError("round_not_over")
    loaded = loading.load(loading.get(member, service_id))
    played = queries.played(loaded)
    name = f"debrief-{service_id}-{loaded.log[-1].pk if loaded.log else 0}"
    cache: Any = caches["plans"]
    found = cache.get(name)
    if found is None:
        found = computed(name, debrief_of, played)
        cache.set(name, found)
    outcome, sentences = found
    actions.keep_result(row, outcome)
    return present.debrief_out(row, played, outcome, sentences)


@router.post("/practice/{service_id}/again", response={201: BegunOut, ERRORS: Problem})
def try_again(request: HttpRequest, service_id: UUID, payload: AgainIn) -> Status[BegunOut]:
    """The same head once more, from the beginning or from a moment of the round."""
    return Status(201, BegunOut(service_id=actions.again(member_of(request), service_id, payload.until).pk))


@router.get("/practice/{service_id}/file", response={200: RoundFileOut, ERRORS: Problem})
def take_round_out(request: HttpRequest, service_id: UUID, played: bool = False) -> RoundFileOut:
    """A round as a file: its head alone, or with what was played."""
    file = actions.take_out(member_of(request), service_id, is_played=played)
    kind = "round" if file.service else "head"
    return RoundFileOut(
        document=write_round_file(file), file_name=f"practice-{kind}-{file.setup.head}-{file.setup.seed}.json"
    )


@router.get("/practice/{service_id}/class", response={200: ClassOut, ERRORS: Problem})
def read_class(request: HttpRequest, service_id: UUID) -> ClassOut:
    """Everyone who played the head of a round, the best first."""
    member = member_of(request)
    return present.class_out(member, get_object_or_404(queries.rounds_of(member), service_id=service_id))
