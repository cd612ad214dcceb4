"""A service file as a chair for other programs: what is believed, how sure it is, what does not fit, whose eye read."""

import copy
import json
from pathlib import Path

import pytest
from fervens_cli.__main__ import main
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.chair import make_board
from fervens_core.formats import advise_answer, learn_answer, read_service_file
from fervens_core.formats.answers import chair_of

ILSE = json.loads((Path(__file__).parents[2] / "demo/services/ilse-mid-lift.json").read_text())


def last_reading(document, **values):
    """The file with its last reading told otherwise."""
    found = copy.deepcopy(document)
    read = [e for e in found["events"] if e["kind"] == "ReadingTaken"]
    read[-1]["data"] |= values
    return found, read[-1]["data"]["zone_key"]


def learnt(document, key=None):
    answer = learn_answer(read_service_file(document), (20.0,))
    return answer if key is None else next(x for x in answer.lanes if x.key == key)


def test_bands_are_wider_by_an_eye_nobody_knows_and_move_with_what_is_known_of_it():
    _, key = last_reading(ILSE)
    by = {e["by"] for e in ILSE["events"] if e["kind"] == "ReadingTaken"}
    eyes = [{"by": name, "mode": "wiped", "bias": 0.0, "bias_std": 0.05, "pairs": 40} for name in by]
    blind, known = (learnt(d, key) for d in (ILSE, ILSE | {"eyes": eyes}))
    light = learnt(ILSE | {"eyes": [e | {"bias": 0.5} for e in eyes]}, key)
    width = [x.bands[0].high - x.bands[0].low for x in (blind, known)]
    assert width[1] < width[0]
    assert light.bands[0].likely < known.bands[0].likely - 0.1
    assert {(e.by, e.mode.value) for e in learnt(ILSE).eyes} == {(name, "wiped") for name in by}
    assert all(e.bias_std < 0.25 for e in learnt(ILSE).eyes)


def test_an_instrument_in_the_log_teaches_the_eye_that_read_before_it():
    document, key = last_reading(ILSE)
    read = next(e for e in document["events"] if e["kind"] == "ReadingTaken" and e["data"]["zone_key"] == key)
    data = read["data"] | {"level": read["data"]["level"] - 1.0, "lab": [55.0, 12.0, 35.0], "level_std": 0.1}
    with_pair = document | {"events": [*document["events"], read | {"version": 4, "data": data}]}
    with_pair["events"].sort(key=lambda e: e["at_min"])
    plain, taught = (next(e for e in learnt(d).eyes if e.by == read["by"]) for d in (document, with_pair))
    assert taught.bias > plain.bias + 0.1
    assert taught.bias_std < plain.bias_std


def test_a_reading_that_does_not_fit_is_told_with_its_lane_and_asked_for_again():
    odd, key = last_reading(ILSE, level=2.0)
    assert learnt(ILSE, key).misfit < 3.0
    lane = learnt(odd, key)
    assert lane.is_misfit
    assert lane.misfit > 3.0
    at = max(e["at_min"] for e in odd["events"]) + 3.0
    advice = advise_answer(read_service_file(odd), at)
    assert next(x for x in advice.lanes if x.key == key).is_misfit
    file = read_service_file(odd)
    assert make_board(chair_of(file, at), file.plan_request()).proposals == ()  # first it is read again
    (act,) = [a for a in advice.acts if key in a.lanes]
    assert (act.code, act.detail.code) == ("read", "act-read_again")
    assert "do not fit" in told(act.detail)
    second = next(e for e in reversed(odd["events"]) if e["kind"] == "ReadingTaken" and e["data"]["zone_key"] == key)
    seen = second | {"at_min": second["at_min"] + 1.0}
    again = read_service_file(odd | {"events": sorted([*odd["events"], seen], key=lambda e: e["at_min"])})

    def noted(one):
        board = make_board(chair_of(one, at), one.plan_request())
        return [n.code for n in next(x for x in board.lanes if x.key == key).notes], board.proposals

    assert "note-misfit" in noted(file)[0]
    notes, proposals = noted(again)  # two looks that agree are believed, and developers follow
    assert "note-misfit" not in notes
    assert proposals


def test_a_file_tells_what_is_wrong_with_an_eye():
    with refused(LimitError, match=r"eyes\[0\]\.bias: .*-2 to 2 levels, got 3"):
        read_service_file(ILSE | {"eyes": [{"by": "Maren", "mode": "wiped", "bias": 3}]})


@pytest.mark.parametrize("command", ["learn", "advise"])
def test_ten_lanes_are_answered_through_batch(capsys, monkeypatch, command):
    """`bin/bench answers` has the time; here that what is asked line by line is what the command says."""
    monkeypatch.setattr("sys.stdin", iter([json.dumps({"do": command, "file": ILSE, "id": 4}) + "\n"]))
    assert main(["batch"]) == 0
    found = json.loads(capsys.readouterr().out)
    assert found["id"] == 4
    assert {"learn": "eyes", "advise": "acts"}[command] in found["answer"]
    assert all("is_misfit" in lane for lane in found["answer"]["lanes"])
