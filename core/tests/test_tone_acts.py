"""Acts at the basin: a bowl for all its parts, formulas of her own, what is told beside them."""

import pytest
from make import at, event, zone
from test_basin import KEYS, ZONES, chair, rinsed, step
from told import told

from fervens_core.head import Tone
from fervens_core.log import (
    BowlPart,
    Grab,
    ProbeRead,
    ToneBowlApplied,
    ToneFormulaSet,
    TonersEmulsified,
    TonersRinsed,
    TonerStrandRead,
    WishSet,
    fold,
)


def bowl(found, number=1):
    """The act that puts a bowl on all its parts, as the page sends it."""
    own = next(b for b in found.bowls if b.number == number)
    act = next(a for a in found.acts if a.code == "apply" and a.bowl == number)
    lanes = {x.id: x.proposal for x in found.lanes}
    parts = tuple(
        BowlPart(i, lanes[i].minutes, lanes[i].product_g, lanes[i].developer_g, before)
        for i, before in zip(act.ids, act.before_min, strict=True)
    )
    two = len(own.shade_keys) > 1
    return ToneBowlApplied(
        own.shade_keys[0],
        own.shade_names[0],
        parts,
        *(own.shade_keys[1:] + own.shade_names[1:] if two else ()),
        share=own.share if two else 1.0,
        developer_parts=own.developer_parts,
        dilution=own.dilution,
    )


def test_one_act_puts_a_bowl_on_all_its_parts_and_each_keeps_its_own_clock():
    log = rinsed(dict.fromkeys(KEYS, 9.0))
    found = step(chair(log), tone=Tone.COOL)
    assert [len(found.bowls), [a.code for a in found.acts]] == [1, ["apply"]]
    put = bowl(found)
    log.append(event(75, put))
    there = chair(log, 76.0)
    now = step(there, tone=Tone.COOL)
    clocks = {x.id: x.toner for x in now.lanes}
    first, last = found.acts[0].ids[0], found.acts[0].ids[-1]
    gap = (clocks[last].applied_at - clocks[first].applied_at).total_seconds() / 60
    assert gap == pytest.approx(put.parts[0].before_min)
    assert gap > 1.0
    # all of them are planned to be rinsed at one moment
    planned = {round(c.planned_at.timestamp()) for c in clocks.values()}
    assert max(planned) - min(planned) <= 1
    assert [(a.code, len(a.ids)) for a in now.acts] == [("emulsify", 3), ("strand", 1), ("rinse", 3)]
    log += [event(80, TonersEmulsified(KEYS)), event(83, TonerStrandRead(first, 0.5)), event(90, TonersRinsed(KEYS))]
    done = step(chair(log, 91.0), tone=Tone.COOL)
    assert done.acts == ()
    assert {x.toner.rinsed_at for x in done.lanes} == {at(90)}
    assert fold([*log, event(92, TonersRinsed(("nape",)))]).conflicts[0].code == "no_toner"


def test_a_formula_of_her_own_is_planned_like_any_other_and_can_be_taken_back():
    log = rinsed(dict.fromkeys(KEYS, 9.0), (60, ToneFormulaSet(("crown",), "rose", "hay", 0.25)))
    found = step(chair(log), tone=Tone.COOL)
    (own,) = [b for b in found.bowls if b.is_own]
    assert (own.shade_keys, own.share, own.lane_ids) == (("rose", "hay"), 0.25, ("crown",))
    assert len({x.proposal.rinse_min for x in found.lanes}) == 1
    log.append(event(62, ToneFormulaSet(("crown",))))
    assert not any(b.is_own for b in step(chair(log), tone=Tone.COOL).bowls)
    whole = rinsed(dict.fromkeys(KEYS, 9.0), (60, ToneFormulaSet(KEYS, "rose")))
    assert [b.shade_keys for b in step(chair(whole)).bowls] == [("rose",)]


def test_a_probe_that_took_little_keeps_the_formula_and_lengthens_the_time():
    alone = {"nape": 9.0}
    plain = step(chair(rinsed(alone, zones=ZONES[:1]), zones=ZONES[:1]), tone=Tone.NEUTRAL).lanes[0].proposal
    there = chair(rinsed(alone, (60, ProbeRead("nape", Grab.LITTLE)), zones=ZONES[:1]), zones=ZONES[:1])
    little = step(there, tone=Tone.NEUTRAL).lanes[0].proposal
    assert little.formula_name == plain.formula_name
    assert little.minutes > plain.minutes


def test_more_toner_than_usual_is_said_and_why():
    assert step(chair(rinsed())).much is None
    long = tuple(zone(k, 4.0, 8.5, length_mm=900.0, foil_count=20) for k in KEYS)
    found = step(chair(rinsed(zones=long), zones=long))
    assert found.total_g > 120.0
    assert "more than the usual 60 to 120" in told(found.much)
    assert sum(sum(b.shades_g) + b.developer_g for b in found.bowls) == pytest.approx(found.total_g)


def test_what_goes_far_deeper_is_filled_first():
    assert step(chair(rinsed())).fill is None
    deep = step(chair(rinsed(dict.fromkeys(KEYS, 9.0), (60, WishSet(Tone.NEUTRAL, 6.5)))))
    assert told(deep.fill).startswith("Fill Nape, Back, Crown first with a warm copper-gold")
