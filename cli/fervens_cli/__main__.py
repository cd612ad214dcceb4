"""The core from the command line, `bin/fervens`: one line for bad input, exit code 2."""

from __future__ import annotations

import argparse
import json
import sys
from collections.abc import Callable, Iterable
from dataclasses import replace
from pathlib import Path
from typing import Any, NoReturn

import numpy as np

from fervens_cli.reader import serve
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
from fervens_core.head import Part, lane_label
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


def _plan(args: argparse.Namespace) -> dict[str, Any]:
    request = _file(args).plan_request()
    if args.aim:
        if args.aim not in list(Aim):
            raise LimitError("--aim", say("limit-one_of", known=tuple(a.value for a in Aim)), args.aim)
        request = replace(request, choice=replace(request.choice, aim=Aim(args.aim)))
    found: dict[str, Any] = for_programs(plan_to_json(make_plan(request), request))
    return found


def _tone(args: argparse.Namespace) -> dict[str, Any]:
    found: dict[str, Any] = for_programs(tone_answer(_file(args)))
    return found


def _advise(args: argparse.Namespace) -> dict[str, Any]:
    at_min = None if args.at is None else _number("--at", str(args.at))
    found: dict[str, Any] = for_programs(advise_answer(_file(args), at_min))
    return found


def _learn(args: argparse.Namespace) -> dict[str, Any]:
    given = args.minutes if isinstance(args.minutes, str) else ",".join(str(m) for m in args.minutes or [])
    minutes = tuple(_number("--minutes", m.strip()) for m in given.split(",") if m.strip())
    if len(minutes) > BANDS_MAX:
        raise LimitError("--minutes", say("limit-at_most_so_many", most=BANDS_MAX), len(minutes))
    found: dict[str, Any] = for_programs(learn_answer(_file(args), minutes))
    return found


RUNS: dict[str, Callable[[argparse.Namespace], dict[str, Any]]] = {
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
    return RUNS[asked["do"]](argparse.Namespace(**values))


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


def _print_curve(result: dict[str, Any]) -> None:
    print("  min  level  colour")
    for p in result["points"]:
        print(f"{p['minute']:5g}  {p['level']:5.1f}  {p['hex']}")


def _print_neutralise(result: dict[str, Any]) -> None:
    print(f"Undertone: {result['undertone']}. Chroma left, best first:")
    for n in result["ranking"]:
        print(f"  {n['family']:<8} {n['chroma']:5.1f}")


def _called(lane: dict[str, Any]) -> str:
    at_mm = lane["at_mm"] and (lane["at_mm"][0], lane["at_mm"][1])
    found = lane_label(lane["name"], Part(lane["part"]), piece=lane["piece"], at_mm=at_mm)
    return found if isinstance(found, str) else tell(found)


def _print_plan(result: dict[str, Any]) -> None:
    names = {x["key"]: _called(x) for x in result["lanes"]}
    strengths = " and ".join(f"{v:g}" for v in result["strengths"]) or "no"
    print(
        f"{result['aim'].capitalize()}: last rinse {result['last_rinse_min']:.0f} min after the first product, "
        f"{result['chair_min']:.0f} min in the chair, {strengths} vol, {len(result['bowls'])} bowls."
    )
    _print_schedule(result)
    for x in result["left_out"]:
        print(f"  {_called(x)}: left out. {x['reason']['text']}")
    if result["again"]:
        print("A second round where the label allows:")
        _print_schedule(result["again"])
    print("Mixing list:")
    for b in result["bowls"]:
        pours = " + ".join(f"{p['mass_g']:g} g of {p['volume_strength']:g} vol" for p in b["developers"])
        lanes = ", ".join(names[k] for k in b["lanes"])
        print(f"  {b['at_min']:5.0f} min  {b['lightener_g']:g} g {b['lightener']}, {pours}  for {lanes}")


def _print_schedule(result: dict[str, Any]) -> None:
    for visit in result["basin_visits"]:
        print(f"Basin visit {visit['number']} at {visit['at_min']:.0f} min:")
        for x in result["lanes"]:
            if x["visit"] != visit["number"]:
                continue
            early, likely, late = ("never" if t is None else f"{t:.0f}" for t in x["ready_min"])
            times = f"on {x['start_min']:.0f}-{x['end_min']:.0f}, ready {early}/{likely}/{late}"
            ends = f"{x['ending']} {x['rinse_min']:.0f}, wall {x['wall_min']:.0f} min"
            print(f"  {_called(x)}: {x['volume_strength']:g} vol, {times}, {ends}, level {x['level_at_rinse']:.1f}")
            for said in (x["reason"], x["note"]):
                if said:
                    print(f"      {said['text']}")


def _print_tone(result: dict[str, Any]) -> None:
    if result["blocked"]:
        print(result["blocked"]["text"])
    for b in result["bowls"]:
        shades = " + ".join(f"{s['share']:.0%} {s['key']}" for s in b["shades"])
        volume = b["developer_volume"]
        mixed = "neat" if volume is None else f"{b['developer_g']:g} g of {volume:g} vol"
        print(f"Bowl {b['number']}: {b['shade_g']:g} g {shades}, {mixed}")
    for p in result["parts"]:
        if p["bowl"] is not None:
            times = f"on {p['on_min']:.0f}, off {p['off_min']:.0f} min"
            print(f"  {p['key']}: bowl {p['bowl']}, {times}, {p['difference']:.1f} from the wish")


def _print_advise(result: dict[str, Any]) -> None:
    for a in result["acts"]:
        print(f"{a['due_min']:7.1f} min  {a['title']['text']}" + (f" ({a['detail']['text']})" if a["detail"] else ""))


def _print_learn(result: dict[str, Any]) -> None:
    for x in result["lanes"]:
        early, late = ("never" if v is None else f"{v:.0f}" for v in (x["early_min"], x["late_min"]))
        told = f"{x['key']}: {x['extent']:.2f} as far, {x['rate']:.2f} as fast, ready {early} to {late} min"
        odd = "; readings do not fit" if x["is_misfit"] else "; unlike any hair of its kind" if x["is_stray"] else ""
        print(told + odd)
        for b in x["bands"]:
            print(f"    {b['minute']:5g} min  {b['low']:.1f}  {b['likely']:.1f}  {b['high']:.1f}")


SHOWS: dict[str, Callable[[dict[str, Any]], None]] = {
    "curve": _print_curve,
    "neutralise": _print_neutralise,
    "plan": _print_plan,
    "tone": _print_tone,
    "advise": _print_advise,
    "learn": _print_learn,
}


def _parser() -> argparse.ArgumentParser:
    parser = _Parser(prog="fervens", description="Lift, colour and plan from the command line.")
    commands = parser.add_subparsers(dest="command", required=True, parser_class=_Parser)
    curve = commands.add_parser("curve", help="level and colour over time")
    curve.add_argument("--from", dest="start", required=True, metavar="LEVEL")
    curve.add_argument("--volume", required=True, metavar="VOL")
    curve.add_argument("--minutes", default="0,10,20,30,40,50", metavar="0,10,...")
    neutralise = commands.add_parser("neutralise", help="dye families ranked by the colour they leave")
    neutralise.add_argument("--from", dest="start", required=True, metavar="LEVEL")
    neutralise.add_argument("--level", required=True, metavar="LEVEL")
    plan = commands.add_parser("plan", help="the plan of a service file")
    plan.add_argument("file", metavar="FILE")
    plan.add_argument("--aim", default="", metavar="AIM", help="simple, gentle, even or quick; else the file's own")
    tone = commands.add_parser("tone", help="the toner of a service file's results")
    advise = commands.add_parser("advise", help="what the chair advises at a minute of a service file")
    advise.add_argument("--at", default=None, metavar="MIN")
    learn = commands.add_parser("learn", help="what a service file's readings and strands taught")
    learn.add_argument("--minutes", default="", metavar="0,10,...")
    for command in (tone, advise, learn):
        command.add_argument("file", metavar="FILE")
    commands.add_parser("batch", help="JSON requests on standard input, a line each, answered by a line each")
    reader = commands.add_parser("reader", help="a simulated colour reader on loopback")
    reader.add_argument("--port", default="0", metavar="PORT")
    for command in (curve, neutralise, plan, tone, advise, learn):
        command.add_argument("--json", action="store_true", help="print JSON")
    return parser


def main(arguments: list[str] | None = None) -> int:
    """Run one command; 0 when done, 2 for input that cannot be used."""
    args = _parser().parse_args(arguments)
    if args.command == "reader":
        return _reader(args)
    if args.command == "batch":
        return _batch(sys.stdin)
    try:
        result = RUNS[args.command](args)
    except CoreError as error:
        print(f"fervens {args.command}: {tell(error.message)}", file=sys.stderr)
        return 2
    if args.json:
        print(json.dumps(result, indent=2))
    else:
        SHOWS[args.command](result)
    return 0


if __name__ == "__main__":
    sys.exit(main())
