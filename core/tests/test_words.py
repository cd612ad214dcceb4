"""Prose is no data: every code has its words, every text its code, and no sentence stands outside the catalogues."""

from __future__ import annotations

import ast
import re
from collections.abc import Iterator
from enum import StrEnum
from pathlib import Path

import pytest
from fluent.syntax import FluentParser
from fluent.syntax import ast as fluent
from fluent.syntax.visitor import Visitor

from fervens_core import basin, chair, colour, head, log, planning
from fervens_core.base import LimitError, Message, all_of, message_json, say, semicolons, sentences, term
from fervens_words import (
    DEFAULT,
    G_PER_OZ,
    UNITS,
    US,
    catalogue,
    for_programs,
    functions,
    languages,
    tell,
    tongue,
    words,
)

ROOT = Path(__file__).resolve().parents[2]
SOURCES = ("core/src/fervens_core", "server/apps", "server/config", "cli")
PREFIX = {
    "say": "", "CoreError": "error-", "ConflictError": "error-", "BlockedError": "error-", "require": "error-",
    "_block": "caution-", "_warn": "caution-", "_no_toner": "toner_block-", "problem": "error-",
    "require_lead": "doing-", "require_owner": "doing-", "_head": "card_head-",
}  # fmt: skip
"""Calls that name a code, and what stands before it in the catalogues."""
PLACE = {"require": 1, "problem": 1, "require_lead": 1, "require_owner": 1}


class _Named(Visitor):
    def __init__(self) -> None:
        self.names: set[str] = set()

    def visit_VariableReference(self, node: fluent.VariableReference) -> None:  # noqa: N802
        self.names.add(node.id.name)


def entries(language: str) -> dict[str, set[str]]:
    """The codes of a language with what their texts name."""
    found: dict[str, set[str]] = {}
    for entry in FluentParser().parse(catalogue(language)).body:
        assert not isinstance(entry, fluent.Junk), entry.content
        if not isinstance(entry, fluent.Message):
            continue
        for code, pattern in [(entry.id.name, entry.value)] + [
            (f"{entry.id.name}.{a.id.name}", a.value) for a in entry.attributes
        ]:
            named = _Named()
            named.visit(pattern)
            assert code not in found, f"{code} stands twice"
            found[code] = named.names
    return found


def files() -> Iterator[Path]:
    for source in SOURCES:
        for path in sorted((ROOT / source).rglob("*.py")):
            if "migrations" not in path.parts:
                yield path


def _codes(node: ast.expr) -> Iterator[ast.expr]:
    if isinstance(node, ast.IfExp):
        yield from _codes(node.body)
        yield from _codes(node.orelse)
    else:
        yield node


def calls() -> Iterator[tuple[str, set[str], bool, str]]:
    """(code, or a pattern of codes; names of its values; whether these are all; where)."""
    for path in files():
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            if not isinstance(node, ast.Call):
                continue
            name = getattr(node.func, "id", getattr(node.func, "attr", ""))
            at = PLACE.get(name, 0)
            if name not in PREFIX or len(node.args) <= at:
                continue
            values = {k.arg for k in node.keywords if k.arg}
            is_whole = all(k.arg for k in node.keywords) and name not in ("problem",)
            for code in _codes(node.args[at]):
                where = f"{path.name}:{node.lineno}"
                if isinstance(code, ast.Constant) and isinstance(code.value, str):
                    yield re.escape(PREFIX[name] + code.value), values, is_whole, where
                elif isinstance(code, ast.JoinedStr):
                    parts = [re.escape(p.value) if isinstance(p, ast.Constant) else r"[\w-]+" for p in code.values]
                    yield re.escape(PREFIX[name]) + "".join(parts), values, False, where


BUILT_IN = {"list-and", "list-semicolons", "list-sentences"}
CHOSEN = re.compile(r"^(span|shorthand|field|undertone|dye_family|dye_hue|covering|history|tone|thickness|porosity|"
                    r"elasticity|reading_mode|grab|part|audit|hue|problem|topic|home_care|mishaps|"
                    r"error-(value_out_of_limit|refused_at))")  # fmt: skip
"""Codes that are made from a word of an enumeration, of the audit trail or of an error's kind."""


def test_every_code_has_its_words_and_what_they_name():
    known = entries(DEFAULT)
    for pattern, values, is_whole, where in calls():
        fitting = [code for code in known if re.fullmatch(pattern, code)]
        plain = pattern.replace("\\", "")
        if plain in BUILT_IN:
            continue
        assert fitting, f"{where}: {plain} has no words"
        if is_whole:
            for code in fitting:
                assert known[code] <= values, f"{where}: {code} names {known[code] - values}, which is not given"


def test_no_words_stand_unused():
    patterns = [pattern for pattern, *_ in calls()]
    unused = [
        code for code in entries(DEFAULT) if not CHOSEN.match(code) and not any(re.fullmatch(p, code) for p in patterns)
    ]
    assert not unused


@pytest.mark.parametrize("language", [x for x in languages() if x != DEFAULT] or [DEFAULT])
def test_every_language_has_the_codes_of_the_first_and_names_no_more(language):
    first = entries(DEFAULT)
    own = entries(language)
    assert set(own) == set(first)
    for code, named in own.items():
        assert named <= first[code], code


@pytest.mark.parametrize("language", languages())
def test_every_function_a_language_calls_is_there(language):
    """An unknown one stands as its own name in what a person reads."""
    called = set(re.findall(r"\{ ([A-Z_]+)\(", catalogue(language)))
    assert {"WHOLE", "TENTHS", "SPAN"} <= called
    assert called <= set(functions(language))


@pytest.mark.parametrize("language", languages())
def test_lists_of_any_length_are_whole_in_every_language(language):
    for count in range(1, 6):
        names = tuple("①②③④⑤"[:count])
        for code in ("list-and", "list-semicolons", "list-sentences"):
            told = tell(say(code, things=names), language)
            assert [c for c in told if c in "①②③④⑤"] == list(names), (code, told)
        listed = tell(say("reach-lanes", lanes=names, level=9.0), language)
        assert all(listed.count(n) >= 1 for n in names), listed
        assert len(re.split(r"[,،] ", listed)) == count


def _kinds() -> Iterator[type[StrEnum]]:
    wanted = ("Undertone", "DyeFamily", "DyeHue", "Covering", "History", "Tone", "Thickness", "Porosity", "Elasticity",
              "ReadingMode", "Grab")  # fmt: skip
    for room in (colour, head, log, planning, chair, basin):
        for name in wanted:
            kind = getattr(room, name, None)
            if isinstance(kind, type) and issubclass(kind, StrEnum):
                yield kind


def test_words_of_the_trade_are_all_there():
    known = entries(DEFAULT)
    found = {kind.__name__: kind for kind in _kinds()}
    assert len(found) >= 10
    for kind in found.values():
        for word in kind:
            assert term(word).code in known


PROSE = re.compile(r"[A-Za-z]{2,} [a-z]{2,}")
NO_PROSE = {
    "colour/chart.py", "base/contracts.py", "base/messages.py", "formats/cgats.py", "formats/service_file.py",
    "followup/filed.py", "formats/colour_reader.py", "practice/file.py",
}  # fmt: skip
"""Names of the chart, JSON Schema's descriptions, keywords of formats, and how an older version wrote."""


def prose_in(path: Path) -> list[str]:
    """Sentences of a file that are no docstrings."""
    tree = ast.parse(path.read_text(encoding="utf-8"))
    docs = {
        id(n.value) for n in ast.walk(tree) if isinstance(n, ast.Expr) and isinstance(n.value, ast.Constant)
    }  # a text that stands alone says what is above it
    return [
        n.value
        for n in ast.walk(tree)
        if isinstance(n, ast.Constant) and isinstance(n.value, str) and id(n) not in docs and PROSE.search(n.value)
    ]


def test_no_sentence_stands_in_the_core():
    core = ROOT / "core/src/fervens_core"
    found = {
        str(path.relative_to(core)): prose
        for path in sorted(core.rglob("*.py"))
        if str(path.relative_to(core)) not in NO_PROSE and (prose := prose_in(path))
    }
    assert not found


FOR_OPERATORS = {
    "common/hub.py", "common/paper.py", "common/telling.py", "common/watching.py",
    "records/drawing.py", "records/management/commands/load_demo.py",
    "services/visits/api.py",
    "services/kept_log.py", "studio/begin.py", "studio/mail.py", "studio/management/commands/begin_address.py",
    "studio/management/commands/roles.py", "studio/management/commands/upgrade.py",
}  # fmt: skip
"""HTML and SVG, lines of a log, SQL, a command's help, a tag of the schema; and models.py: the admin's helps."""


def test_no_sentence_stands_in_the_server():
    server = ROOT / "server/apps"
    found = {
        name: prose
        for path in sorted(server.rglob("*.py"))
        if (name := str(path.relative_to(server))) not in FOR_OPERATORS
        and path.name != "models.py"
        and "migrations" not in path.parts
        and (prose := prose_in(path))
    }
    assert not found


def test_a_sentence_in_a_file_is_found(tmp_path):
    path = tmp_path / "room.py"
    path.write_text('"""What it is for."""\nTITLE = "Rinse this zone now"\n')
    assert prose_in(path) == ["Rinse this zone now"]


def test_messages_nest_and_lists_are_told():
    lanes = ["Top", say("lane-part", zone="Nape", part=head.Part.ROOT)]
    assert tell(say("lanes", lanes=lanes)) == "Top, Nape root"
    assert tell(all_of(["Top", "Nape", "Crown"])) == "Top, Nape and Crown"
    assert tell(semicolons(["a", "b"])) == "a; b"
    assert tell(sentences(["A.", "B."])) == "A. B."
    assert words("Top") == "Top"


def test_numbers_are_written_as_the_text_asks():
    assert tell(say("effect-reaches", level=8.25)) == "reaches 8.2 by its label's time"
    assert tell(say("vol", volume=7.5)) == "7.5 vol"
    assert tell(say("note-stale_bowl", lost=0.126)) == "stale bowl, lifts 13% less"
    assert (
        tell(say("band-darker", levels=1.0, beside=say("band-beside_zone")))
        == "1.0 level darker than the rest of the zone"
    )


LEVELS = ("level", "target", "start", "read", "best")
"""Values that are levels wherever a text names them."""


@pytest.mark.parametrize("language", languages())
def test_a_level_is_told_as_a_person_says_it(language):
    """An expected level has many digits; whoever refuses a number tells the number (limit-…)."""
    naked = re.compile(rf"\{{ (PLAIN\()?\$({'|'.join(LEVELS)})\)? \}}")
    lines = [x for x in catalogue(language).splitlines() if not x.startswith(("limit-", "#"))]
    assert [x for x in lines if naked.search(x)] == []
    assert functions(language)["LEVEL"](8.224003) == ("8.2" if language in ("en", "ar") else "8,2")
    assert functions(language)["LEVEL"](8.0) == "8"


def test_what_a_language_does_not_have_is_told_in_english():
    assert tell(say("advice-leave"), "xx") == "Leave it"
    assert tell(Message("no-such-code")) == "no-such-code"


def test_programs_get_code_values_and_words():
    said = say("act-rinse", lane=say("lane-part", zone="Top", part=head.Part.ENDS))
    assert message_json(said) == {
        "code": "act-rinse",
        "values": {
            "lane": {"code": "lane-part", "values": {"zone": "Top", "part": {"code": "part-ends", "values": {}}}}
        },
    }
    assert for_programs({"title": said})["title"]["text"] == "Rinse Top ends"


def test_an_error_says_its_field_limit_and_value():
    error = LimitError("zones[3].level", say("limit-range", low=1.0, high=10.0, unit="level"), "seven")
    assert words(error.message) == "zones[3].level: must be a number from 1 to 10 (level), got 'seven'."
    named = say("error-field_out_of_limit", **dict(error.message.items))
    assert words(named) == "Zone 4, level: must be a number from 1 to 10 (level), got 'seven'."
    own = say("error-field_out_of_limit", field="old_password", limit="x", value="***")
    assert words(own).startswith("Password you have now: must be")
    assert (error.code, error.field, error.value) == ("value_out_of_limit", "zones[3].level", "seven")


@pytest.mark.parametrize(
    ("language", "weight", "length"),
    [
        ("en", ("53 g", "1.87 oz"), ("12 mm", "0.47 in")),
        ("de", ("53 g", "1,87 oz"), ("12 mm", "0,47 in")),
        ("ar", ("53 غرام", "1.87 أونصة"), ("12 مم", "0.47 بوصة")),
    ],
)
def test_weights_and_lengths_are_told_in_the_units_that_are_read(language, weight, length):
    """Ounce and inch by NIST Handbook 44, appendix C; how a language writes them by CLDR."""
    for i, units in enumerate(UNITS):
        asked = tongue(language, units)
        assert tell(say("g", grams=53.0), asked) == weight[i]
        assert length[i] in tell(say("band-width", mm=12.0), asked)
    assert pytest.approx(1.8695, abs=1e-4) == 53.0 / G_PER_OZ


@pytest.mark.parametrize(
    ("code", "written"),
    [
        ("limit-range", r'(?:Within|check_range)\([^()]*?"([^"]*)",?\s*\)'),
        ("limit-count", r'Count\([^()]*?"([^"]*)",?\s*\)'),
    ],
)
def test_every_unit_and_noun_of_a_limit_is_told_in_every_language(code, written):
    """What a limit counts is written in the core as a word of its own: it is none of the reader's language."""
    sources = [f for place in SOURCES for f in (ROOT / place).rglob("*.py")]
    found = {word for source in sources for word in re.findall(written, source.read_text())} - {"", "%"}
    assert len(found) > 8
    for language in languages():
        message = re.search(rf"^{code} = .*?(?=^\S+ = )", catalogue(language), re.M | re.S).group(0)
        missing = {word for word in found if f"[{word}]" not in message}
        assert not missing, (language, missing)


def test_a_limit_of_weight_or_length_is_told_in_the_units_that_are_typed():
    limit = say("limit-range", low=1.0, high=40.0, unit="g")
    assert words(limit) == "a number from 1 to 40 g"
    assert words(limit, tongue("de", US)) == "eine Zahl von 0,04 bis 1,41 oz"
    assert words(say("limit-range", low=4.0, high=25.0, unit="mm"), tongue("en", US)) == "a number from 0.16 to 0.98 in"


def test_no_catalogue_writes_a_unit_of_weight_or_length_itself():
    """Behind a value there is no g or mm: whoever reads ounces would read them there."""
    for language in languages():
        found = re.findall(r"\} (?:g|mm|غ|مم)(?![\w])", catalogue(language))
        assert found == [], language
