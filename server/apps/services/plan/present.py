"""Plans, aims, versions and bowls as answers."""

from __future__ import annotations

import math

import numpy as np

from apps.services.known import known_value
from apps.services.loading import Loaded
from apps.services.models import PlanVersion
from apps.services.plan.schemas import (
    AgainLane,
    AimLane,
    AimOut,
    BowlOut,
    LeftOutLane,
    OrderOut,
    PlanLane,
    PlanOut,
    PourOut,
    TonerIdea,
    VersionOut,
)
from apps.services.planned import aims_of
from apps.shelf.adapters import shade_hex
from apps.shelf.queries import toners
from fervens_core.base import Message, say
from fervens_core.chair import paint_plan, window_of
from fervens_core.colour import hair_lab, seen_hexes
from fervens_core.head import kept_parts_of, lanes_of
from fervens_core.lift import HeadMove
from fervens_core.planning import (
    LanePlan,
    OrderWay,
    Plan,
    PlannedBowl,
    PlanRequest,
    Pour,
    chair_time,
    hands_busy,
    hardest,
    head_sessions,
    propose_order,
    sessions_needed,
    strand_moves,
    total_min,
)
from fervens_core.safety import toner_block


def _pour_out(pour: Pour) -> PourOut:
    return PourOut(name=pour.developer.name, volume_strength=pour.developer.volume_strength, mass_g=pour.mass_g)


def bowl_out(bowl: PlannedBowl) -> BowlOut:
    """One bowl of the mixing list."""
    return BowlOut(
        number=bowl.number,
        mix_min=bowl.mix_min,
        volume_strength=bowl.volume_strength,
        lightener_key=bowl.lightener.key,
        lightener_name=bowl.lightener.name,
        lightener_g=bowl.product_g,
        developer_g=bowl.developer_g,
        total_g=bowl.total_g,
        waste_g=bowl.waste_g,
        oldest_min=bowl.oldest_min,
        life_min=bowl.life_min,
        lift_lost_share=max(f.lift_lost_share for f in bowl.fills),
        pours=[_pour_out(p) for p in bowl.pours],
        fills=list(bowl.fills),
    )


def _poured(plan: Plan) -> list[PourOut]:
    """What the mixing list takes from each bottle."""
    taken: dict[str, PourOut] = {}
    for pour in (p for b in plan.bowls for p in b.pours):
        if pour.developer.key in taken:
            taken[pour.developer.key].mass_g += pour.mass_g
        else:
            taken[pour.developer.key] = _pour_out(pour)
    return sorted(taken.values(), key=lambda p: p.volume_strength)


def _lane_colours(zones: tuple[LanePlan, ...]) -> tuple[list[str], list[str], list[str]]:
    """Colours of lanes before, at the rinse, and at their target."""
    if not zones:
        return [], [], []
    start = np.array([z.zone.hair.start_level for z in zones])
    reached = np.array([z.level_at_rinse for z in zones])
    target = np.array([z.zone.target_level for z in zones])
    before, after, wanted = (seen_hexes(hair_lab(start, levels)) for levels in (start, reached, target))
    return before, after, wanted


def _plan_lanes(plan: Plan, request: PlanRequest) -> list[PlanLane]:
    painted = paint_plan(plan)
    _, reached, wanted = _lane_colours(plan.lanes)
    return [
        PlanLane(
            key=z.zone.key,
            zone_key=z.zone.zone_key,
            part=z.zone.part,
            name=z.zone.label,
            lightener=request.lightener_of(z.zone).name if z.zone.lightener else "",
            covering=z.zone.covering,
            foil_count=z.zone.foil_count,
            side=z.zone.side or "",
            round=z.round,
            visit=z.visit,
            start_level=z.zone.hair.start_level,
            target_level=z.zone.target_level,
            volume_strength=z.volume_strength,
            is_own_volume=z.zone.key in request.choice.volumes,
            is_own_minutes=z.zone.key in request.choice.minutes,
            is_own_visit=z.zone.key in request.choice.visits,
            is_delicate=z.zone.is_delicate,
            strongest_volume=z.strongest_volume,
            limit_reason=z.limit_reason,
            start_min=z.start_min,
            end_min=z.end_min,
            wall_min=z.wall_min,
            rinse_min=z.rinse_min,
            ending=z.ending,
            minutes_on=z.minutes_on,
            ready_min=window_of(z.ready_min),
            level_at_rinse=z.level_at_rinse,
            level_low=z.level_low,
            level_high=z.level_high,
            hex_at_rinse=reached[i],
            hex_target=wanted[i],
            reason=z.reason,
            note=z.note or "",
            curve=list(curve),
            fibres=list(fibres),
            crossings=list(crossed),
        )
        for i, (z, (curve, fibres, crossed)) in enumerate(zip(plan.lanes, painted, strict=True))
    ]


def _again(plan: Plan) -> list[AgainLane]:
    """A second round in the same sitting."""
    return [
        AgainLane(
            key=x.zone.key,
            name=x.zone.label,
            volume_strength=x.volume_strength,
            start_min=x.start_min,
            rinse_min=x.rinse_min,
            start_level=x.zone.hair.start_level,
            level_at_rinse=x.level_at_rinse,
            target_level=x.zone.target_level,
        )
        for x in (plan.again.lanes if plan.again else ())
    ]


def _toner_ideas(loaded: Loaded) -> list[TonerIdea]:
    found = []
    for shade in toners(loaded.row.studio_id):
        block = toner_block(loaded.findings, shade)
        found.append(
            TonerIdea(
                key=shade.key,
                name=shade.name,
                level=shade.level,
                is_oxidative=shade.is_oxidative,
                hex=shade_hex(shade),
                blocked=say("caution", title=block.title, advice=block.advice) if block else None,
            )
        )
    return found


def _known(loaded: Loaded) -> Message | None:
    """What earlier visits taught of the client's hair, in words."""
    known = known_value(loaded.row)
    if known is None:
        return None
    move = HeadMove(math.exp(known.log_extent), math.exp(known.log_rate))
    return say("plan-known_head", move=move.text, visits=known.visits)


def plan_out(loaded: Loaded, plan: Plan, request: PlanRequest, toner_key: str) -> PlanOut:
    """A plan, painted."""
    choice = request.choice
    chair = chair_time(plan, request)
    sessions = head_sessions(request, plan)
    worst = hardest(sessions) if sessions else None
    return PlanOut(
        revision=loaded.row.revision,
        lightener_key=request.lightener.key,
        order=[z.key for z in request.zones],
        zone_names={z.key: z.name for z in request.zones},
        visit_mins=list(choice.visit_mins),
        round_starts=list(choice.round_starts),
        volumes=choice.volumes,
        minutes=choice.minutes,
        own_visits=choice.visits,
        coverings=choice.coverings,
        lighteners=choice.lighteners,
        rows=choice.rows,
        keeps_order=choice.keeps_order,
        delicate_way=choice.delicate_way,
        hands=choice.hands,
        has_additive=choice.has_additive,
        uses_known=choice.known_head is not None,
        known=_known(loaded),
        aim=choice.aim,
        step=choice.step,
        bowl_style=choice.bowl_style,
        toner_key=toner_key,
        finish_min=plan.finish_min,
        last_rinse_min=plan.last_rinse_min,
        strengths=list(plan.strengths),
        price=plan.price,
        sessions=sessions_needed(sessions),
        promised_level=worst.sure_level if worst else None,
        likely_level=worst.levels[0] if worst else None,
        is_proposed=not (choice.visit_mins or choice.volumes or choice.minutes or choice.visits or choice.round_starts),
        contact_load_volume_min=plan.contact_load_volume_min,
        contact_min=plan.contact_min,
        spread_levels=plan.spread_levels,
        strongest_volume=plan.strongest_volume,
        lightener_g=sum(b.product_g for b in plan.bowls),
        lighteners_g={
            name: sum(b.product_g for b in plan.bowls if b.lightener.name == name)
            for name in dict.fromkeys(b.lightener.name for b in plan.bowls)
        },
        waste_g=plan.waste_g,
        lanes=_plan_lanes(plan, request),
        visits=list(plan.visits),
        busy=list(hands_busy(plan, request)),
        again=_again(plan),
        left_out=[LeftOutLane(key=x.zone.key, name=x.zone.label, reason=x.reason) for x in plan.left_out],
        kept=[
            LeftOutLane(key=x.key, name=x.label, reason=x.note or "")
            for x in kept_parts_of(request.zones, lanes_of(request.zones))
        ],
        bowls=[bowl_out(b) for b in plan.bowls],
        poured=_poured(plan),
        move_text=plan.move.text if plan.move else None,
        moves=list(strand_moves(request, plan)),
        proposed_order=list(propose_order(request.zones)),
        orders=[OrderOut(way=w, order=[p.key for p in propose_order(request.zones, w)]) for w in OrderWay],
        toner_ideas=_toner_ideas(loaded),
        chair=list(chair),
        chair_min=total_min(chair),
        booked_min=loaded.findings.booked_min,
        cautions=[c.title for c in loaded.cautions],
    )


def aims_out(request: PlanRequest) -> list[AimOut]:
    """Simple, gentle, even and quick side by side."""
    found = []
    for item in aims_of(request):
        plan = item.plan
        before, after, _ = _lane_colours(plan.lanes)
        found.append(
            AimOut(
                aim=item.aim,
                same_as=item.same_as,
                why=item.why,
                last_rinse_min=plan.last_rinse_min,
                chair_min=total_min(chair_time(plan, request)),
                visit_count=len(plan.visits) + (len(plan.again.visits) if plan.again else 0),
                strengths=list(plan.strengths),
                bowl_count=len(plan.bowls) + (len(plan.again.bowls) if plan.again else 0),
                short_count=len(plan.short),
                spread_levels=plan.spread_levels,
                contact_load_volume_min=plan.contact_load_volume_min,
                sessions=item.sessions,
                price=plan.price,
                lanes=[
                    AimLane(
                        name=z.zone.label,
                        volume_strength=z.volume_strength,
                        start_min=z.start_min,
                        end_min=z.end_min,
                        rinse_min=z.rinse_min,
                        hexes=[before[i], after[i]],
                        is_short=z.reason is not None,
                    )
                    for i, z in enumerate(plan.lanes)
                ],
            )
        )
    return found


def version_out(row: PlanVersion) -> VersionOut:
    """A kept plan."""
    return VersionOut(
        number=row.number,
        label=say("version-taken") if row.is_taken else row.label,
        kept_at=row.kept_at,
        by_name=row.by_name,
        choice=row.choice,
        **row.summary,
    )
