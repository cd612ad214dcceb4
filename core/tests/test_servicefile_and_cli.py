"""The open service file and the command line: the demo files are read, anything else gets one clear line."""

import copy
import json
from pathlib import Path

import pytest
from fervens_cli.__main__ import main
from fervens_cli.shown import language_of
from hypothesis import given, settings
from hypothesis import strategies as st
from jsonschema import Draft202012Validator
from told import refused, told

from fervens_core.base import CoreError
from fervens_core.formats import plan_to_json, read_service_file, write_service_file
from fervens_core.head import lanes_of
from fervens_core.lift import level_at
from fervens_core.planning import make_plan
from fervens_words import for_programs

DEMO = sorted((Path(__file__).parents[2] / "demo" / "services").glob("*.json"))
SCHEMA = json.loads((Path(__file__).parents[2] / "docs" / "format" / "service-file.schema.json").read_text())
SEGMENTED = [json.loads(p.read_text()) for p in DEMO if p.name[:4] in ("odil", "casi")]
WREN = json.loads(next(p for p in DEMO if "wren" in p.name).read_text())


@pytest.mark.parametrize("path", DEMO, ids=lambda p: p.stem)
def test_demo_files_are_read_and_planned(path):
    file = read_service_file(json.loads(path.read_text()))
    request = file.plan_request()
    plan = make_plan(request)
    planned = [z.zone.key for z in plan.lanes] + [x.zone.key for x in plan.left_out]
    assert sorted(planned) == sorted(x.key for x in lanes_of(file.zones))
    assert bool(json.loads(json.dumps(for_programs(plan_to_json(plan, request))))["bowls"]) == bool(planned)


@pytest.mark.parametrize("path", DEMO, ids=lambda p: p.stem)
def test_written_and_read_back_is_the_same_service(path):
    file = read_service_file(json.loads(path.read_text()))
    written = json.loads(json.dumps(write_service_file(file)))
    assert read_service_file(written) == file
    Draft202012Validator(SCHEMA).validate(written)


def test_version_1_is_read_still():
    old = {k: v for k, v in WREN.items() if k not in ("strands", "strand_lighteners")}
    known = ("key", "name", "start_level", "target_level", "history", "thickness", "porosity", "foil_count")
    old |= {
        "version": 1,
        "zones": [{k: z[k] for k in known if k in z} for z in WREN["zones"]],
        "plan": {"finish_min": 48, "volumes": {"low_back": 30}, "has_additive": True},
    }
    file = read_service_file(old)
    assert file.plan.visit_mins == (48.0,)
    assert file.plan.volumes == {"low_back": 30.0}
    assert make_plan(file.plan_request()).visits[0].at_min == pytest.approx(48.0, abs=1.2)


@pytest.mark.parametrize(
    ("path", "value", "message"),
    [
        (("format",), "other", "format: must be one of 'fervens-service'"),
        (("version",), 99, "version: must be 1, 2, 3"),
        (("version",), True, "version: must be 1, 2, 3"),
        (("client",), "", "client: must be 1 to 80 characters"),
        (("zones", 2, "start_level"), 11, r"zones\[2\].start_level: must be a number from 1 to 10 \(level\), got 11"),
        (("zones", 0, "target_level"), 11, r"zones\[0\].target_level: must be a number from 1 to 10"),
        (("zones", 0, "lightener"), "chalc", r"zones\[0\].lightener: must be one of chalk"),
        (("zones", 1, "key"), "low_back", r"zones\[1\].key: must be different"),
        (("zones", 0, "foil_count"), 2.5, r"zones\[0\].foil_count: must be a whole number"),
        (("zones", 0, "history"), "dyed", r"zones\[0\].history: must be one of virgin, tinted"),
        (("zones", 0, "colour"), "x", r"zones\[0\].colour: must be one of"),
        (("zones", 0, "is_delicate"), "yes", r"zones\[0\].is_delicate: must be true or false"),
        (("zones",), {}, "zones: must be a list"),
        (("lightener", "label_max_min"), 500, r"lightener.label_max_min: must be a number from 10 to 90 min, got 500"),
        (("lightener",), None, "lightener: must be given"),
        (("developers",), [], "bottles: must be at least one developer"),
        (("toners", 0, "dyes"), {"violet": 0.4}, r"toners\[0\].dyes: must be shares that sum to 1"),
        (("toners", 0, "dyes"), {"mauve": 1}, r"toners\[0\].dyes: must be made of yellow"),
        (("plan",), {"volumes": {"chin": 20}}, "plan.volumes: must be one of the zones"),
        (("plan",), {"finish_min": -4}, "plan.finish_min: must be a field that is known here"),
        (("events", 0, "kind"), "Sang", r"events\[0\].kind: must be one of"),
        (("events", 0, "at_min"), -1, r"events\[0\].at_min"),
        (("findings",), {"age_years": 400}, "findings.age_years: must be a number from 0 to 120 years, got 400"),
        (("extra",), 1, "extra: must be a field of ServiceFile"),
        (("zones", 0, "key"), "a.b", r"zones\[0\].key: must be without a dot"),
        (
            ("zones", 0, "parts"),
            [{"from_mm": 0}],
            r"zones\[0\].parts\[0\].start_level: must be given, got None",
        ),
        (
            ("zones", 0, "parts"),
            [{"start_level": 3, "to_mm": 280}],
            r"zones\[0\].parts\[0\].to_mm: must be within the length of the hair, 250 mm, got 280",
        ),
        (("zones", 0, "dye_hue"), "teal", r"zones\[0\].dye_hue: must be one of red, pink"),
        (("zones", 0, "areas"), "crown", r"zones\[0\].areas: must be a list"),
        (("findings",), {"home_care": ["tea"]}, r"findings.home_care\[0\]: must be one of violet_shampoo"),
        (("plan",), {"visit_mins": [40, "x"]}, r"plan.visit_mins\[1\]: must be a number"),
        (("plan",), {"round_starts": ["chin"]}, "plan.round_starts: must be one of the zones"),
        (("plan",), {"aim": "cheap"}, "plan.aim: must be one of simple, gentle, even, quick"),
        (("strands",), [{"key": "s", "start_level": 3}], r"strands\[0\].volume_strength: must be given"),
        (
            ("strands",),
            [{"key": "s", "lightener_key": "z", "start_level": 3, "volume_strength": 20}],
            r"strands\[0\].lightener_key: must be one of chalk",
        ),
        (
            ("strands",),
            [{"key": "s", "start_level": 3, "volume_strength": 20, "readings": [{"minutes": 500, "level": 4}]}],
            r"strands\[0\].readings\[0\].minutes: must be a number from 0 to 180 min, got 500",
        ),
    ],
)
def test_bad_files_are_named_by_path(path, value, message):
    document = copy.deepcopy(WREN)
    place = document
    for part in path[:-1]:
        place = place[part]
    place[path[-1]] = value
    with refused(CoreError, match=message):
        make_plan(read_service_file(document).plan_request())


json_values = st.recursive(
    st.none() | st.booleans() | st.floats() | st.integers(-(10**30), 10**30) | st.text(max_size=8),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=8), inner, max_size=3),
    max_leaves=6,
)


@settings(max_examples=250)
@given(st.data())
def test_fuzzed_files_give_a_clear_error_or_a_plan(data):
    document = copy.deepcopy(data.draw(st.sampled_from([WREN, *SEGMENTED])))
    place = document
    for _ in range(data.draw(st.integers(1, 4))):
        if isinstance(place, dict) and place:
            key = data.draw(st.sampled_from(sorted(place)))
        elif isinstance(place, list) and place:
            key = data.draw(st.integers(0, len(place) - 1))
        else:
            break
        holder, last = place, key
        place = place[key]
    holder[last] = data.draw(json_values)
    try:
        file = read_service_file(document)
        # what the reader takes, the published schema allows
        assert Draft202012Validator(SCHEMA).is_valid(document)
        make_plan(file.plan_request())
    except CoreError as error:
        assert error.message
        assert len(told(error.message)) < 2000


def test_published_schema_is_a_schema_and_holds_the_demo():
    Draft202012Validator.check_schema(SCHEMA)
    for path in DEMO:
        Draft202012Validator(SCHEMA).validate(json.loads(path.read_text()))


def test_published_schema_and_reader_know_the_same_fields():
    for place, kind in (
        (SCHEMA["$defs"]["Zone"], WREN["zones"][0]),
        (SCHEMA["$defs"]["Lightener"], WREN["lightener"]),
        (SCHEMA["$defs"]["TonerShade"], WREN["toners"][0]),
    ):
        for field in place["properties"]:
            document = copy.deepcopy(WREN)
            zone = document["zones"][0] if kind is WREN["zones"][0] else None
            target = zone or (document["lightener"] if kind is WREN["lightener"] else document["toners"][0])
            target[field] = object
            with refused(CoreError, match=field):
                read_service_file(document)


def run(capsys, *arguments):
    code = main(list(arguments))
    captured = capsys.readouterr()
    return code, captured.out, captured.err


def test_curve(capsys):
    code, out, _ = run(capsys, "curve", "--from", "3", "--volume", "30", "--minutes", "0,10,50", "--json")
    points = json.loads(out)["points"]
    assert code == 0
    assert [p["minute"] for p in points] == [0, 10, 50]
    assert points[2]["level"] == pytest.approx(float(level_at(50, start_level=3, volume_strength=30)), abs=1e-3)
    assert len(points[0]["lab"]) == 3
    assert points[0]["hex"].startswith("#")


def test_neutralise(capsys):
    code, out, _ = run(capsys, "neutralise", "--from", "3", "--level", "9", "--json")
    found = json.loads(out)
    assert code == 0
    assert found["undertone"] == "pale yellow"
    assert found["ranking"][0]["family"] == "violet"
    chromas = [n["chroma"] for n in found["ranking"]]
    assert chromas == sorted(chromas)


def test_plan_and_plain_text(capsys, tmp_path):
    path = tmp_path / "s.json"
    path.write_text(json.dumps(WREN))
    code, out, _ = run(capsys, "plan", str(path), "--json")
    assert code == 0
    assert len(json.loads(out)["lanes"]) == len(WREN["zones"])
    for arguments in (
        ["plan", str(path)],
        ["curve", "--from", "3", "--volume", "20"],
        ["neutralise", "--from", "3", "--level", "7"],
    ):
        code, out, err = run(capsys, *arguments)
        assert (code, err) == (0, "")
        assert out.strip()


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (["curve", "--from", "12", "--volume", "20"], ["--from", "1 to 10", "12"]),
        (["curve", "--from", "3", "--volume", "strong"], ["--volume", "number", "strong"]),
        (["curve", "--from", "3", "--volume", "60"], ["--volume", "40 vol", "60"]),
        (["curve", "--from", "3", "--volume", "20", "--minutes", "0,x"], ["--minutes", "x"]),
        (["curve", "--from", "3", "--volume", "20", "--minutes", "900"], ["--minutes", "240", "900"]),
        (["neutralise", "--from", "8", "--level", "6"], ["level", "8", "6"]),
        (["plan", "/nowhere/at/all.json"], ["FILE", "readable", "/nowhere/at/all.json"]),
    ],
)
def test_bad_input_gets_one_line(capsys, arguments, words):
    code, out, err = run(capsys, *arguments)
    assert (code, out) == (2, "")
    assert err.count("\n") == 1
    assert all(w in err for w in words)


@pytest.mark.parametrize("content", [b"\xff\xfe", b"{", b"[" * 100_000, b"[]", b'"x"'])
def test_files_that_are_no_service_get_one_line(capsys, tmp_path, content):
    path = tmp_path / "s.json"
    path.write_bytes(content)
    code, out, err = run(capsys, "plan", str(path))
    assert (code, out, err.count("\n")) == (2, "", 1)


def test_missing_arguments_exit_with_2(capsys):
    with pytest.raises(SystemExit) as caught:
        main(["curve", "--volume", "20"])
    assert caught.value.code == 2
    assert capsys.readouterr().err.count("\n") == 1


DEMO_SERVICES = Path(__file__).parents[2] / "demo" / "services"


def test_tone_advise_and_learn_answer_from_a_file(capsys):
    code, out, _ = run(capsys, "tone", str(DEMO_SERVICES / "sanna-three-bands.json"), "--json")
    tone = json.loads(out)
    assert code == 0
    assert {p["bowl"] for p in tone["parts"]} == {b["number"] for b in tone["bowls"]}
    assert sorted(k for r in tone["rinses"] for k in r["parts"]) == sorted(p["key"] for p in tone["parts"])
    assert all(p["off_min"] <= tone["minutes"] + 1e-6 for p in tone["parts"])
    ilse = str(DEMO_SERVICES / "ilse-mid-lift.json")
    code, out, _ = run(capsys, "advise", ilse, "--at", "45", "--json")
    advice = json.loads(out)
    assert (code, advice["at_min"]) == (0, 45.0)
    assert advice["acts"][0]["code"] in ("read", "rinse", "mix", "start", "finish")
    code, out, _ = run(capsys, "learn", ilse, "--minutes", "10,30", "--json")
    lanes = json.loads(out)["lanes"]
    assert code == 0
    for lane in lanes:
        assert [b["minute"] for b in lane["bands"]] == [10.0, 30.0]
        assert all(b["low"] <= b["likely"] <= b["high"] for b in lane["bands"])
    assert any(abs(lane["rate"] - 1.0) > 0.01 for lane in lanes)


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (("advise", "wren-level-3-to-9.json"), "No plan has been taken"),
        (("tone", "ilse-mid-lift.json"), "still have lightener on"),
        (("advise", "ilse-mid-lift.json", "--at", "-3"), "at: must be a number from 0 to 6000 min, got -3"),
        (("learn", "ilse-mid-lift.json", "--minutes", "500"), "minutes: must be a number from 0 to 240 min, got 500"),
    ],
)
def test_what_a_file_cannot_answer_is_said_in_a_line(capsys, arguments, words):
    command, name, *more = arguments
    code, _, err = run(capsys, command, str(DEMO_SERVICES / name), *more)
    assert (code, err.count("\n")) == (2, 1)
    assert words in err


def test_a_batch_answers_line_by_line_and_goes_on_after_a_bad_one(capsys, monkeypatch):
    wren = json.loads((DEMO_SERVICES / "wren-level-3-to-9.json").read_text())
    asked = [
        {"do": "plan", "file": wren, "id": 1},
        {"do": "curve", "from": 3, "volume": 20, "minutes": [10, 20], "id": "c"},
        {"do": "plan", "id": 3},
        {"do": "plan", "file": wren, "finish": 40},
        {"do": "fly"},
    ]
    lines = [*(json.dumps(a) for a in asked), "{not json", ""]
    monkeypatch.setattr("sys.stdin", iter(f"{x}\n" for x in lines))
    code, out, _ = run(capsys, "batch")
    answers = [json.loads(x) for x in out.splitlines()]
    assert code == 0
    assert [a.get("id") for a in answers] == [1, "c", 3, None, None, None]
    request = read_service_file(wren).plan_request()
    assert answers[0]["answer"] == for_programs(plan_to_json(make_plan(request), request))
    assert len(answers[1]["answer"]["points"]) == 2
    said = [a["error"]["detail"] for a in answers[2:]]
    assert said[0].startswith("file: must be given for plan")
    assert said[1].startswith("finish: must be one of")
    assert said[2].startswith("do: must be one of")
    assert said[3].startswith("line: must be JSON")


@pytest.mark.parametrize(
    ("environment", "language"),
    [
        ({}, "en"),
        ({"LANG": "C.UTF-8"}, "en"),
        ({"LANG": "de_AT.UTF-8"}, "de"),
        ({"LANG": "de_DE.UTF-8", "LC_MESSAGES": "ar"}, "ar"),
        ({"LANG": "de_DE.UTF-8", "LC_MESSAGES": "ar", "LC_ALL": "fr_CA"}, "fr"),
        ({"LANG": "ja_JP.UTF-8"}, "en"),
    ],
)
def test_a_terminal_is_answered_in_its_language(environment, language):
    assert language_of(environment) == language


@pytest.mark.parametrize(("language", "list_head"), [("de", "Mischliste:"), ("ar", "قائمة الخلط:")])
def test_the_command_line_speaks_other_languages_and_json_stays_as_it_is(capsys, monkeypatch, language, list_head):
    path = str(next(DEMO_SERVICES.glob("ilse*.json")))
    _, plain, _ = run(capsys, "plan", path, "--json")
    monkeypatch.setenv("LC_ALL", f"{language}.UTF-8")
    _, said, _ = run(capsys, "plan", path)
    assert list_head in said.splitlines()
    assert run(capsys, "plan", path, "--json")[1] == plain
    for command in ("tone", "advise", "learn"):
        code, out, err = run(capsys, command, path)
        assert out.strip() or (code == 2 and err.strip())
        assert "Bowl" not in out
    assert "must be" not in run(capsys, "curve", "--from", "3", "--volume", "55")[2]
