"""Practice: the same seed is the same hair, what goes wrong does what it would, and hair looks like its spectrum."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace

import numpy as np
import pytest
from make import POWDER, START, request
from practice_rounds import a_round, a_setup, codes, head_on

from fervens_core.colour import hair_hex
from fervens_core.head import HomeCare, ReadingMode, lanes_of
from fervens_core.lift import Strand
from fervens_core.log import (
    BowlMixed,
    Event,
    FoilOpened,
    MishapMet,
    Rinsed,
    fold,
)
from fervens_core.practice import (
    Difficulty,
    Light,
    Mishaps,
    Round,
    Setup,
    follows_advice,
    lane_looks,
    outcome_of,
    person_of,
    play,
    sentences_of,
    strand_colours,
    strand_level,
    told_zones,
    truth_of,
)

# truth


def test_the_same_seed_is_the_same_hair_and_another_seed_is_not():
    played = a_round("advice")
    again = truth_of(played.setup, played.chair, played.live)
    other = truth_of(replace(played.setup, seed=2), played.chair, played.live)
    for lane in played.chair.state.lanes:
        assert played.truth.level_at(lane, lane.rinsed_at) == again.level_at(lane, lane.rinsed_at)
        assert played.truth.level_at(lane, lane.rinsed_at) != other.level_at(lane, lane.rinsed_at)


def test_hair_lifts_while_product_is_on_and_stays_after_the_rinse():
    played = a_round("advice")
    lane = played.chair.state.lanes[0]
    levels = played.truth.levels(lane, np.arange(0.0, 50.0))
    assert np.all(np.diff(levels) >= -1e-9)
    assert played.truth.level_at(lane, lane.rinsed_at) == played.truth.level_at(
        lane, lane.rinsed_at + dt.timedelta(hours=1)
    )


def test_truths_of_many_seeds_spread_as_heads_are_believed_to():
    """The belief's own spreads: 0.09 and 0.06 in how far (docs/models/readings.md)."""
    from fervens_core.practice.truth import deviation_of

    setup = a_setup("light", difficulty=Difficulty.BANDED)
    zone = setup.zones[0]
    off = [deviation_of(replace(setup, seed=s), zone.key, zone.key, zone.hair).log_extent for s in range(600)]
    assert np.std(off) == pytest.approx(np.hypot(0.09, 0.06), rel=0.12)
    assert np.mean(off) == pytest.approx(0.0, abs=0.015)


def test_resistant_and_stalling_heads_lift_less():
    lane = lanes_of(a_setup("six").zones)[0]
    strand = Strand("s", "low_back", lane.hair, POWDER, 30.0)
    levels = {
        d: np.mean([strand_level(a_setup("six", s, difficulty=d), strand, 50.0) for s in range(40)])
        for d in (Difficulty.EVEN, Difficulty.RESISTANT, Difficulty.STALLS)
    }
    assert levels[Difficulty.RESISTANT] < levels[Difficulty.EVEN] - 0.2
    assert levels[Difficulty.STALLS] < levels[Difficulty.EVEN] - 0.5


def test_a_lane_lightened_again_begins_where_it_really_ended():
    played = a_round("fixed")
    first = played.chair.state.lanes[0]
    from fervens_core.log import LighteningResumed, ReviewFinished

    end = max(x.rinsed_at for x in played.chair.state.lanes)
    later = end + dt.timedelta(minutes=5)
    events = [*played.events, Event("r", later, later, "learner", ReviewFinished())]
    events.append(Event("a", later, later, "learner", LighteningResumed((first.key,), (20.0,), (6.0,))))
    from fervens_core.basin import lanes_today

    state = fold(events)
    zones = {z.key: z for z in lanes_today(played.zones, state)}
    chair = replace(played.chair, state=state, zones=zones, now=later)
    truth = truth_of(played.setup, chair, events)
    again = state.lanes[-1]
    assert truth.start_level(again) == pytest.approx(truth.level_at(first, later))


# what goes wrong


def _with(kind: Mishaps, key: str = "six") -> Setup:
    from fervens_core.practice.mishaps import _drawn

    for seed in range(400):
        setup = a_setup(key, seed, has_mishaps=True)
        drawn = _drawn(setup)
        if drawn[0].kind is kind and drawn[0].place < 1 / 6:
            return setup
    raise AssertionError(kind)


def _level(played: Round) -> float:
    return played.truth.level_at(played.chair.state.lanes[0], played.chair.now)


def test_a_slipped_foil_lifts_less_until_it_is_seen():
    setup = _with(Mishaps.SLIPPED)
    calm = _level(head_on(replace(setup, has_mishaps=False)))
    unseen = _level(head_on(setup))
    (slip,) = [m for m in head_on(setup).truth.mishaps if m.kind is Mishaps.SLIPPED]
    minute = (slip.at - START).total_seconds() / 60.0
    key = slip.lane_key
    seen = _level(head_on(setup, [(minute + 1.0, FoilOpened(key))]))
    assert unseen < seen
    assert unseen < calm


def test_product_that_dried_has_stopped():
    setup = _with(Mishaps.DRIED)
    played = head_on(setup, now=36.0)
    (dry,) = [m for m in played.truth.mishaps if m.kind is Mishaps.DRIED]
    assert dry.is_hidden
    lane = played.chair.state.lanes[0]
    zero = played.truth.times[lane.key].zero
    minute = (dry.at - zero).total_seconds() / 60.0
    levels = played.truth.levels(lane, [minute + 1.0, minute + 20.0])
    assert levels[1] - levels[0] < 0.12


def test_a_fresh_bowl_mends_a_stale_one():
    setup = _with(Mishaps.STALE)
    first = lanes_of(setup.zones)[0].key
    stale = head_on(setup)
    assert Mishaps.STALE in {m.kind for m in stale.truth.mishaps}
    mended = head_on(setup, [(4.9, BowlMixed(first, 20.0, 20.0, 30.0))])
    assert _level(mended) > _level(stale) + 0.1


def test_a_burn_is_judged_by_when_it_was_rinsed():
    setup = _with(Mishaps.BURNS)
    (burn,) = [m for m in head_on(setup).truth.mishaps if m.kind is Mishaps.BURNS]
    minute = (burn.at - START).total_seconds() / 60.0
    for wait, code in ((1.0, "worked"), (9.0, "change")):
        met = [(minute + 0.2, MishapMet(burn.key)), (minute + wait, Rinsed(burn.lane_key))]
        played = head_on(setup, met, now=minute + wait + 1.0)
        outcome = outcome_of(played)
        (told,) = [m for m in outcome.mishaps if m.kind is Mishaps.BURNS]
        assert told.seen_to_min == pytest.approx(wait)
        said = sentences_of(played, outcome)
        found = said.change.code if code == "change" else " ".join(sorted(codes(said)))
        assert f"debrief_{code}-burn" in found


def test_a_scripted_learner_meets_what_goes_wrong_and_rinses_a_burn():
    setup = _with(Mishaps.BURNS, "first")
    played = play(setup, request(*told_zones(setup)), follows_advice, begins=START)
    burns = [m for m in outcome_of(played).mishaps if m.kind is Mishaps.BURNS]
    assert all(m.seen_to_min is not None and m.seen_to_min <= 1.0 for m in burns)


def test_a_violet_shampoo_shows_on_the_rinsed_hair():
    def dry(setup):
        lane = lanes_of(setup.zones)[0].key
        played = head_on(setup, [(30.0, Rinsed(lane))])
        return lane_looks(played.truth, played.chair.state.lanes[0]).dry.body

    uses = [s for s in range(60) if HomeCare.VIOLET_SHAMPOO in person_of(a_setup("first", s)).home_care]
    plain = [s for s in range(60) if s not in uses]

    def warmth(seed):
        body = dry(a_setup("first", seed))
        return int(body[1:3], 16) - int(body[5:], 16)

    assert np.mean([warmth(s) for s in uses[:8]]) < np.mean([warmth(s) for s in plain[:8]]) - 5


def test_nothing_goes_wrong_where_nothing_shall():
    assert head_on(a_setup("six", 7)).truth.mishaps == ()


# how hair looks


def test_a_strand_is_its_spectrum_and_product_makes_it_look_lighter():
    from fervens_core.practice.strand import as_seen

    (dry,), (wet,) = strand_colours(5.0, [7.0]), strand_colours(5.0, [7.0], is_wet=True)
    assert [dry.body] == hair_hex(5.0, [7.0])  # the swatch it is read beside
    assert dry.body == wet.body
    assert _lightness(wet.sheen) > _lightness(dry.sheen) > _lightness(dry.light) > _lightness(dry.body)
    assert _lightness(dry.body) > _lightness(dry.shade)
    lighter = as_seen(np.array([7.0]), ReadingMode.THROUGH_PRODUCT)
    assert lighter[0] == pytest.approx(7.5)
    yellow = strand_colours(5.0, [7.0], light=Light.YELLOW)[0].body
    assert int(yellow[5:], 16) < int(dry.body[5:], 16)


def _lightness(hexed: str) -> float:
    return sum(int(hexed[i : i + 2], 16) for i in (1, 3, 5)) / 3.0


def test_a_lane_is_painted_by_minute_while_it_is_on_and_still_when_it_is_not():
    played = head_on(a_setup("first"), now=20.0)
    on, waiting = played.chair.state.lanes[:2]
    looks = lane_looks(played.truth, on)
    assert len(looks.wiped) == len(looks.through) >= 25
    assert looks.dry is None
    assert _lightness(looks.wiped[20].body) > _lightness(looks.wiped[2].body)
    still = lane_looks(played.truth, waiting)
    assert still.dry is not None
    assert not still.wiped
    assert still == lane_looks(played.truth, waiting)
