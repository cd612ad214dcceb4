"""What a practice client answers, and what small tests on them show."""

from __future__ import annotations

from fervens_core.base import Message, all_of, say, term
from fervens_core.log import Topic
from fervens_core.practice.setup import Setup, person_of


def answer_of(setup: Setup, topic: Topic) -> Message:
    """What asking, looking or testing tells."""
    person = person_of(setup)
    if topic is Topic.HOME_CARE:
        if person.home_care:
            uses = all_of([term(x) for x in sorted(person.home_care)])
            return say("practice_answer-home_care", uses=uses)
        return say("practice_answer-home_care_none")
    is_so = {
        Topic.REACTIONS: person.reacts,
        Topic.HISTORY: person.had_tint,
        Topic.SCALP: person.is_scalp_sensitive,
        Topic.STRETCH: person.elasticity.value != "returns",
        Topic.SALTS: person.has_salts,
    }[topic]
    return say(f"practice_answer-{topic.value}" if is_so else f"practice_answer-{topic.value}_none")
