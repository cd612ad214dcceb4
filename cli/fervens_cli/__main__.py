"""The core from the command line, `bin/fervens`: one line for bad input, exit code 2."""

from __future__ import annotations

import argparse
import json
import os
import sys
from collections.abc import Callable, Iterable
from dataclasses import replace
from pathlib import Path
from typing import Any, NoReturn

import numpy as np

from fervens_cli.reader import serve
from fervens_cli.shown import language_of, show
from fervens_core.base import CoreError, LimitError, check_level, check_range, check_volume_strength, say
from fervens_core.colour import hair_lab, seen_hexes, undertone
from fervens_core.formats import (
    BANDS_MAX,
    ServiceFile,
    advise_answer,
    learn_answer,
    plan_to_json,
    read_service_file,
    tone_answer,
)
from fervens_core.lift import level_at
from fervens_core.planning import Aim, make_plan
from fervens_core.toning import rank_neutralisers
from fervens_words import for_programs, tell

MAX_FILE_BYTES = 5_000_000


class _Parser(argparse.ArgumentParser):
    def error(self, message: str) -> NoReturn:
        self.exit(2, f"{self.prog}: {message}\n")


def _number(field: str, text: str) -> float:
    try:
        return float(text)
    except ValueError:
        raise LimitError(field, say("limit-number"), text) from None


def _curve(args: argparse.Namespace) -> dict[str, Any]:
    start = check_level("--from", _number("--from", args.start))
    volume = check_volume_strength("--volume", _number("--volume", args.volume))
    parts = args.minutes.split(",")
    if len(parts) > 1000:
        raise LimitError("--minutes", say("limit-at_most_so_many", most=1000), len(parts))
    minutes = [check_range("--minutes", _number("--minutes", p.strip()), 0, 240, "min") for p in parts]
    levels = np.atleast_1d(level_at(np.array(minutes), start_level=start, volume_strength=volume))
    labs = hair_lab(start, levels)
    return {
        "points": [
            {"minute": m, "level": round(float(v), 3), "lab": [round(x, 2) for x in lab], "hex": h}
            for m, v, lab, h in zip(minutes, levels, labs.tolist(), seen_hexes(labs), strict=True)
        ]
    }


def _neutralise(args: argparse.Namespace) -> dict[str, Any]:
    start = check_level("--from", _number("--from", args.start))
    level = check_level("--level", _number("--level", args.level))
    ranking = rank_neutralisers(start_level=start, level=level)
    return {
        "undertone": undertone(level),
        "ranking": [
            {"family": n.family.value, "chroma": round(n.chroma, 2), "lab": [round(x, 2) for x in n.lab]}
            for n in ranking
        ],
    }


def _file(args: argparse.Namespace) -> ServiceFile:
    """The service file an argument names, or the one a line of `batch` holds."""
    document = getattr(args, "document", None)
    if document is not None:
        return read_service_file(document)
    path = Path(args.file)
    try:
        if path.stat().st_size > MAX_FILE_BYTES:
            raise LimitError("FILE", say("limit-most_bytes", most=MAX_FILE_BYTES), path.stat().st_size)
        text = path.read_text(encoding="utf-8")
    except OSError as error:
        raise LimitError("FILE", say("limit-readable_file", why=str(error.strerror)), args.file) from None
    except UnicodeDecodeError:
        raise LimitError("FILE", say("limit-utf8"), args.file) from None
    try:
        return read_service_file(json.loads(text))
    except (json.JSONDecodeError, RecursionError) as error:
        raise LimitError("FILE", say("limit-json", why=str(error)), args.file) from None


def _plan(args: argparse.Namespace) -> Any:
    request = _file(args).plan_request()
    if args.aim:
        if args.aim not in list(Aim):
            raise LimitError("--aim", say("limit-one_of", known=tuple(a.value for a in Aim)), args.aim)
        request = replace(request, choice=replace(request.choice, aim=Aim(args.aim)))
    return plan_to_json(make_plan(request), request)


def _tone(args: argparse.Namespace) -> Any:
    return tone_answer(_file(args))


def _advise(args: argparse.Namespace) -> Any:
    at_min = None if args.at is None else _number("--at", str(args.at))
    return advise_answer(_file(args), at_min)


def _learn(args: argparse.Namespace) -> Any:
    given = args.minutes if isinstance(args.minutes, str) else ",".join(str(m) for m in args.minutes or [])
    minutes = tuple(_number("--minutes", m.strip()) for m in given.split(",") if m.strip())
    if len(minutes) > BANDS_MAX:
        raise LimitError("--minutes", say("limit-at_most_so_many", most=BANDS_MAX), len(minutes))
    return learn_answer(_file(args), minutes)


RUNS: dict[str, Callable[[argparse.Namespace], Any]] = {
    "curve": _curve,
    "neutralise": _neutralise,
    "plan": _plan,
    "tone": _tone,
    "advise": _advise,
    "learn": _learn,
}
_ASKED: dict[str, dict[str, Any]] = {
    "curve": {"from": None, "volume": None, "minutes": "0,10,20,30,40,50"},
    "neutralise": {"from": None, "level": None},
    "plan": {"file": None, "aim": ""},
    "tone": {"file": None},
    "advise": {"file": None, "at": ""},
    "learn": {"file": None, "minutes": ""},
}
"""What a line of `batch` may hold beside `do`; None has to be given."""


def _answer(line: str) -> dict[str, Any]:
    """The answer to one line of `batch`. Raises CoreError."""
    try:
        asked = json.loads(line)
    except (json.JSONDecodeError, RecursionError) as error:
        raise LimitError("line", say("limit-json", why=str(error)), line[:60]) from None
    if not isinstance(asked, dict) or asked.get("do") not in _ASKED:
        raise LimitError(
            "do", say("limit-one_of", known=tuple(_ASKED)), asked.get("do") if isinstance(asked, dict) else line[:60]
        )
    known = _ASKED[asked["do"]]
    for name in asked:
        if name not in (*known, "do", "id"):
            raise LimitError(str(name), say("limit-one_of", known=(*known, "do", "id")), name)
    for name, usual in known.items():
        if usual is None and name not in asked:
            raise LimitError(name, say("limit-given_for", of=asked["do"]), None)
    values = {k: v for k, v in (known | asked).items() if k not in ("do", "id", "file", "from")}
    values |= {"document": asked.get("file"), "start": str(asked.get("from", ""))}
    if asked["do"] == "curve" and isinstance(values["minutes"], list):
        values["minutes"] = ",".join(str(m) for m in values["minutes"])
    if values.get("at") == "":
        values["at"] = None
    for name in ("volume", "level"):
        if name in values:
            values[name] = str(values[name])
    found: dict[str, Any] = for_programs(RUNS[asked["do"]](argparse.Namespace(**values)))
    return found


def _batch(lines: Iterable[str]) -> int:
    """Answer JSON lines one by one, each by a line; a bad one gets an error and the next goes on."""
    for line in lines:
        if not line.strip():
            continue
        try:
            given = json.loads(line).get("id")
        except (ValueError, RecursionError, AttributeError):
            given = None
        try:
            answer: dict[str, Any] = {"answer": _answer(line)}
        except CoreError as error:
            answer = {"error": {"code": error.code, "detail": tell(error.message)}}
        print(json.dumps(answer | ({} if given is None else {"id": given})), flush=True)
    return 0


def _reader(args: argparse.Namespace) -> int:
    try:
        port = int(check_range("--port", _number("--port", args.port), 0, 65535))
        serve(port)
    except (CoreError, OSError) as error:
        said = tell(error.message) if isinstance(error, CoreError) else str(error)
        print(f"fervens reader: {said}", file=sys.stderr)
        return 2
    return 0


def _parser(language: str) -> argparse.ArgumentParser:
    def told(what: str) -> str:
        return tell(say(f"cli-help_{what}"), language)

    parser = _Parser(prog="fervens", description=told("fervens"))
    commands = parser.add_subparsers(dest="command", required=True, parser_class=_Parser)
    curve = commands.add_parser("curve", help=told("curve"))
    curve.add_argument("--from", dest="start", required=True, metavar="LEVEL")
    curve.add_argument("--volume", required=True, metavar="VOL")
    curve.add_argument("--minutes", default="0,10,20,30,40,50", metavar="0,10,...")
    neutralise = commands.add_parser("neutralise", help=told("neutralise"))
    neutralise.add_argument("--from", dest="start", required=True, metavar="LEVEL")
    neutralise.add_argument("--level", required=True, metavar="LEVEL")
    plan = commands.add_parser("plan", help=told("plan"))
    plan.add_argument("file", metavar="FILE")
    plan.add_argument("--aim", default="", metavar="AIM", help=told("aim"))
    tone = commands.add_parser("tone", help=told("tone"))
    advise = commands.add_parser("advise", help=told("advise"))
    advise.add_argument("--at", default=None, metavar="MIN")
    learn = commands.add_parser("learn", help=told("learn"))
    learn.add_argument("--minutes", default="", metavar="0,10,...")
    for command in (tone, advise, learn):
        command.add_argument("file", metavar="FILE")
    commands.add_parser("batch", help=told("batch"))
    reader = commands.add_parser("reader", help=told("reader"))
    reader.add_argument("--port", default="0", metavar="PORT")
    for command in (curve, neutralise, plan, tone, advise, learn):
        command.add_argument("--json", action="store_true", help=told("json"))
    return parser


def main(arguments: list[str] | None = None) -> int:
    """Run one command; 0 when done, 2 for input that cannot be used."""
    language = language_of(os.environ)
    args = _parser(language).parse_args(arguments)
    if args.command == "reader":
        return _reader(args)
    if args.command == "batch":
        return _batch(sys.stdin)
    try:
        result = RUNS[args.command](args)
    except CoreError as error:
        print(f"fervens {args.command}: {tell(error.message, language)}", file=sys.stderr)
        return 2
    print(json.dumps(for_programs(result), indent=2) if args.json else "\n".join(show(args.command, result, language)))
    return 0


if __name__ == "__main__":
    sys.exit(main())
