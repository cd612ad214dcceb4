"""Heads nobody would make up: whatever is told and asked for, a plan is one that hands can do."""

import random

import pytest
from heads import SHELF

from fervens_core.head import (
    USUAL_HEAD,
    Covering,
    Hair,
    History,
    Lightener,
    Pieces,
    Porosity,
    StrandPart,
    Thickness,
    Zone,
)
from fervens_core.planning import (
    Aim,
    DelicateWay,
    Ending,
    Paces,
    PlanChoice,
    PlanRequest,
    hands_busy,
    plan_from,
)


def hair(dice: random.Random, level: float) -> Hair:
    return Hair(
        min(level, 10.0),
        history=dice.choice([History.VIRGIN] * 3 + [History.LIGHTENED, History.TINTED]),
        thickness=dice.choice(list(Thickness)),
        porosity=dice.choice(list(Porosity)),
    )


def parts(dice: random.Random, level: float, length: float) -> tuple[StrandPart, ...]:
    match dice.choice(["whole", "root", "regrowth", "ends", "band"]):
        case "root":
            return (StrandPart(Hair(level), 0.0, 12.0),)
        case "regrowth":
            return (StrandPart(Hair(max(level - 2, 1)), 0.0, dice.choice([40.0, 70.0])),)
        case "ends":
            return (StrandPart(hair(dice, level + 2), length * 0.8, None),)
        case "band":
            return (StrandPart(hair(dice, max(level - 1, 1)), 40.0, 80.0),)
    return ()


def odd_head(seed: int, *, has_lines: bool) -> PlanRequest:
    """A head of up to twelve zones with parts, pieces and rows of any kind, and slow or quick hands."""
    dice = random.Random(seed)
    zones = []
    for place in dice.sample(USUAL_HEAD, dice.randint(1, 12)):
        level, length = dice.choice([2, 3, 4, 5, 6, 7, 8]), dice.choice([150.0, 300.0])
        wanted = min(10, level + dice.choice([1, 2, 3, 4, 5]))
        pieces = Pieces(hair=hair(dice, level), name="pieces", share=0.4, target_level=min(wanted + 1, 10.0))
        zones.append(
            Zone(
                place.key,
                place.key,
                hair(dice, level),
                wanted,
                foil_count=dice.randint(2, 14),
                pace_min_per_foil=dice.choice([0.8, 1.1, 1.5]),
                covering=dice.choice(list(Covering)),
                is_delicate=place.is_delicate,
                parts=parts(dice, level, length),
                length_mm=length,
                pieces=pieces if dice.random() < 0.15 else None,
            )
        )
    choice = PlanChoice(
        aim=dice.choice([Aim.SIMPLE, Aim.EVEN, Aim.GENTLE]),
        delicate_way=dice.choice(list(DelicateWay)),
        keeps_order=dice.random() < 0.3,
        rows={zones[0].key: 2} if dice.random() < 0.3 else {},
        visit_mins=tuple(sorted(float(t) for t in dice.sample(range(20, 200), dice.randint(1, 4))))
        if has_lines
        else (),
    )
    label = Lightener("p", "Powder", 1.5, label_max_min=dice.choice([45, 50, 60]), counts_from_end=dice.random() < 0.2)
    pace = Paces(rinse_min=dice.choice([5, 7, 12]), root_share=dice.choice([0.4, 0.5, 0.9]))
    return PlanRequest(tuple(zones), label, SHELF, choice, pace=pace)


@pytest.mark.parametrize("seed", range(10))
@pytest.mark.parametrize("has_lines", [False, True])
def test_whatever_is_told_hands_can_do_the_plan(seed, has_lines):
    request = odd_head(seed, has_lines=has_lines)
    plan = plan_from(request)
    on = {x.zone.key: x for x in plan.lanes}
    for lane in plan.lanes:
        assert lane.rinse_min <= lane.wall_min + 1e-6, lane.zone.key
        is_slow = lane.end_min + 5.0 > lane.wall_min  # it takes the whole label to go on
        assert is_slow or lane.rinse_min >= lane.end_min + 5.0 - 1e-6, lane.zone.key
        assert lane.volume_strength <= lane.strongest_volume + 1e-9
        assert lane.ending is not Ending.WIPED or lane.zone.covering is not Covering.OPEN_AIR
        main = on.get(lane.zone.waits_for or "")
        if main is not None:
            assert lane.start_min >= main.end_min - 1e-6, "roots and ends go on when their lengths are on"
            assert has_lines or lane.start_min < main.rinse_min, "and not after these were rinsed"
    if not has_lines:  # but for roots that take longer than their lengths' label leaves, hands are in one place
        clashes = [b for b in hands_busy(plan, request) if b.is_clash]
        assert all(on[key].zone.waits_for for b in clashes for key in b.lane_keys)
        assert all(b.lane_keys for b in clashes)
    assert plan.price.total < 1e5
