"""Practice as answers."""

from __future__ import annotations

from django.db.models import Count

from apps.common.words import in_words
from apps.services import loading
from apps.services.loading import Loaded, kept_parts
from apps.services.models import PracticeRound
from apps.services.practice import queries
from apps.services.practice.schemas import (
    AskedOut,
    ClassLineOut,
    ClassOut,
    DebriefOut,
    FoundOutOut,
    HeadCardOut,
    MishapOut,
    PastHeadOut,
    PracticeOut,
    ProgressOut,
    RoundLineOut,
    RoundOut,
    StillOut,
    StrandLookOut,
)
from apps.services.practice.setups import help_of, setup_value
from apps.studio.models import Membership, Role
from fervens_core.base import say
from fervens_core.colour import hair_hex
from fervens_core.head import ReadingMode
from fervens_core.lift import EyePair
from fervens_core.log import PracticeAsked, Step, Topic, live_events
from fervens_core.practice import (
    DRILL_MODES,
    HEADS,
    PHONE_MIN,
    Difficulty,
    Mishaps,
    Outcome,
    Round,
    RoundResult,
    Sentences,
    Truth,
    answer_of,
    answers_of,
    eyes_over,
    found_out,
    head_called,
    lane_looks,
    light_of,
    minutes_over_advice,
    still_colours,
    strand_look,
    toned_looks,
)

PAST_SHOWN = 30
LAST_SHOWN = 20


def line_out(row: PracticeRound) -> RoundLineOut:
    """A round in a list."""
    setup = row.setup
    return RoundLineOut(
        service_id=row.service_id,
        title=say(f"practice_head-{setup['head']}"),
        difficulty=Difficulty(setup["difficulty"]),
        help=help_of(row),
        seed=setup["seed"],
        step=Step(row.service.step),
        begun_at=row.created_at,
        is_over=row.ended_at is not None,
        played_by=row.played_by,
        numbers=result.numbers if (result := queries.result_value(row)) else None,
    )


def practice_out(member: Membership) -> PracticeOut:
    """The practice room."""
    heads = []
    for head in HEADS:
        start, target = head.zones[0].hair.start_level, head.zones[0].target_level
        before, after = hair_hex(start, [start, target])
        heads.append(
            HeadCardOut(
                key=head.key,
                title=head.title,
                about=head.about,
                difficulty=head.difficulty,
                from_hex=before,
                to_hex=after,
                zones=len(head.zones),
            )
        )
    filed = loading.of_studio(member).filter(step=Step.RECORD.value, kind="lighten_and_tone").order_by("-starts_at")
    past = [
        PastHeadOut(service_id=s.pk, client_name=s.client.name, starts_at=s.starts_at, zones=s.zone_count)
        for s in filed.select_related("client")
        .filter(client__erased_at=None)
        .annotate(zone_count=Count("zones"))[:PAST_SHOWN]
    ]
    others = Membership.objects.filter(studio_id=member.studio_id, shares_practice=True).exclude(pk=member.pk)
    shared = list(others.select_related("user")) if member.role == Role.OWNER.value else []
    return PracticeOut(
        heads=heads,
        past=past,
        difficulties=list(Difficulty),
        rounds=[line_out(r) for r in queries.rounds_of(member)[: queries.ROUNDS_SHOWN]],
        progress=progress_out(member),
        shared=[progress_out(m) for m in shared],
        is_shared=member.shares_practice,
    )


def drilled(member: Membership) -> list[EyePair]:
    """What a member's drills say of the eye, weak as they are."""
    return [
        EyePair(ReadingMode(told["mode"]), seen, known, std, told["weight"])
        for told in member.eye_rounds
        if told.get("weight")
        for seen, known, std in told["pairs"]
    ]


def own_results(member: Membership) -> list[RoundResult]:
    """What is kept of the rounds a member played and ended, the newest first."""
    rows = queries.rounds_of(member).filter(played_by="", ended_at__isnull=False, result__isnull=False)
    return [result for row in rows if (result := queries.result_value(row))]


def progress_out(member: Membership) -> ProgressOut:
    """A member's progress over the rounds they played themselves."""
    results = own_results(member)
    numbers = [r.numbers for r in results if r.numbers.lanes]
    return ProgressOut(
        member_id=member.pk,
        name=member.name,
        rounds=len(results),
        lanes=sum(n.lanes for n in numbers),
        on_target=sum(n.on_target for n in numbers),
        walls_kept=sum(n.walls_kept for n in numbers),
        minutes_over_advice=minutes_over_advice(results),
        eyes=list(eyes_over(results, drilled(member))),
        last=numbers[:LAST_SHOWN],
    )


def round_out(loaded: Loaded) -> RoundOut:
    """A round at the chair."""
    row = loaded.round
    assert row is not None
    played = queries.played(loaded)
    setup, live = played.setup, live_events(loaded.events)
    asked = {e.data.topic for e in live if isinstance(e.data, PracticeAsked)}
    truth = played.truth if played.chair is not None and played.chair.state.lanes else None
    return RoundOut(
        service_id=loaded.row.pk,
        title=say(f"practice_head-{setup.head}"),
        difficulty=setup.difficulty,
        help=setup.help,
        light=light_of(setup),
        seed=setup.seed,
        speed=float(row.clock["speed"]) if row.ended_at is None else 0.0,
        now=loaded.now,
        is_over=row.ended_at is not None,
        asked=[AskedOut(topic=t, answer=answer_of(setup, t) if t in asked else None) for t in Topic],
        mishaps=_mishaps(truth, played),
        lanes=[lane_looks(truth, x) for x in truth.chair.state.lanes] if truth else [],
        stills=_stills(played, loaded),
        strands=[
            StrandLookOut(key=s.key, seed=seed, step_min=step, wiped=list(wiped))
            for s in loaded.strand_values
            for seed, step, wiped in [strand_look(setup, s)]
        ],
        toned=list(toned_looks(truth, played.shades)) if truth else [],
        position=loaded.log[-1].pk if loaded.log else 0,
    )


def _mishaps(truth: Truth | None, played: Round) -> list[MishapOut]:
    if truth is None:
        return []
    answers = answers_of(played.live)
    return [
        MishapOut(
            key=m.key,
            kind=m.kind,
            lane_key=m.lane_key,
            at=m.at,
            text=m.text,
            is_hidden=m.is_hidden,
            answer=answers.get(m.key),
            takes_min=PHONE_MIN if m.kind is Mishaps.PHONE else 0.0,
            lasts_min=m.lasts_min,
        )
        for m in truth.mishaps
    ]


def _stills(played: Round, loaded: Loaded) -> list[StillOut]:
    """Zones and parts as they came, before any product; and parts no lightener goes on."""
    keys = {z.key: z for z in (*loaded.zones, *loaded.lanes, *kept_parts(loaded))}
    found = []
    for key, zone in keys.items():
        seed, dry, wet = still_colours(played.setup, zone)
        found.append(StillOut(key=key, seed=seed, dry=dry, wet=wet))
    return found


def debrief_out(row: PracticeRound, played: Round, outcome: Outcome, sentences: Sentences) -> DebriefOut:
    """What a round came to."""
    setup = played.setup
    return DebriefOut(
        service_id=row.service_id,
        title=say(f"practice_head-{setup.head}"),
        difficulty=setup.difficulty,
        help=setup.help,
        seed=setup.seed,
        played_by=row.played_by,
        worked=list(sentences.worked),
        change=sentences.change,
        outcome=outcome,
        found_out=[
            FoundOutOut(topic=f.topic, is_so=f.is_so, was_asked=f.was_asked, says=answer_of(setup, f.topic))
            for f in found_out(played)
        ],
    )


def class_out(member: Membership, row: PracticeRound) -> ClassOut:
    """Everyone who played the head of a round: own rounds, those from files, and those of members who share."""
    setup = setup_value(row)
    same = PracticeRound.objects.filter(
        service__studio_id=member.studio_id,
        ended_at__isnull=False,
        result__isnull=False,
        setup__seed=setup.seed,
        setup__head=setup.head,
        setup__difficulty=setup.difficulty.value,
    ).select_related("user", "user__membership")
    lines = []
    for other in same:
        is_own = other.user_id == member.user_id
        if not is_own and not other.user.membership.shares_practice:
            continue
        result = queries.result_value(other)
        assert result is not None
        eyes = [e for e in eyes_over([result], ()) if e.mode in DRILL_MODES]
        lines.append(
            ClassLineOut(
                service_id=other.service_id if is_own else None,
                name=other.played_by or other.user.membership.name,
                help=help_of(other),
                numbers=result.numbers,
                eye_bias=max(eyes, key=lambda e: e.count).bias if eyes else None,
            )
        )
    best_first = sorted(lines, key=lambda x: (-x.numbers.on_target, x.numbers.worst or 9.0, x.numbers.minutes))
    return ClassOut(title=title_of(setup.head), seed=setup.seed, difficulty=setup.difficulty, lines=best_first)


def title_of(head: str) -> str:
    """What a head is called."""
    found = head_called(head)
    return in_words(found.title if found else say(f"practice_head-{head}"))
