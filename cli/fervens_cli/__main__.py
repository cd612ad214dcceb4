"""`bin/fervens curve | neutralise | plan | reader`: one line for bad input, exit code 2."""

from __future__ import annotations

import argparse
import json
import sys
from pathlib import Path
from typing import Any, NoReturn

import numpy as np

from fervens_cli.reader import serve
from fervens_core.base import CoreError, LimitError, check_level, check_range, check_volume_strength
from fervens_core.colour import hair_lab, lab_to_hex, undertone
from fervens_core.formats import plan_to_json, read_service_file
from fervens_core.lift import level_at
from fervens_core.planning import make_plan
from fervens_core.toning import rank_neutralisers

MAX_FILE_BYTES = 5_000_000


class _Parser(argparse.ArgumentParser):
    def error(self, message: str) -> NoReturn:
        self.exit(2, f"{self.prog}: {message}\n")


def _number(field: str, text: str) -> float:
    try:
        return float(text)
    except ValueError:
        raise LimitError(field, "a number", text) from None


def _curve(args: argparse.Namespace) -> dict[str, Any]:
    start = check_level("--from", _number("--from", args.start))
    volume = check_volume_strength("--volume", _number("--volume", args.volume))
    parts = args.minutes.split(",")
    if len(parts) > 1000:
        raise LimitError("--minutes", "at most 1000 values", len(parts))
    minutes = [check_range("--minutes", _number("--minutes", p.strip()), 0, 240, "min") for p in parts]
    levels = np.atleast_1d(level_at(np.array(minutes), start_level=start, volume_strength=volume))
    labs = hair_lab(start, levels)
    return {
        "points": [
            {"minute": m, "level": round(float(v), 3), "lab": [round(x, 2) for x in lab], "hex": h}
            for m, v, lab, h in zip(minutes, levels, labs.tolist(), lab_to_hex(labs), strict=True)
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


def _plan(args: argparse.Namespace) -> dict[str, Any]:
    path = Path(args.file)
    try:
        if path.stat().st_size > MAX_FILE_BYTES:
            raise LimitError("FILE", f"at most {MAX_FILE_BYTES} bytes", path.stat().st_size)
        text = path.read_text(encoding="utf-8")
    except OSError as error:
        raise LimitError("FILE", f"a readable file ({error.strerror})", args.file) from None
    except UnicodeDecodeError:
        raise LimitError("FILE", "UTF-8 text", args.file) from None
    try:
        document = json.loads(text)
    except (json.JSONDecodeError, RecursionError) as error:
        raise LimitError("FILE", f"JSON ({error})", args.file) from None
    return plan_to_json(make_plan(read_service_file(document).plan_request()))


def _reader(args: argparse.Namespace) -> int:
    try:
        port = int(check_range("--port", _number("--port", args.port), 0, 65535))
        serve(port)
    except (CoreError, OSError) as error:
        print(f"fervens reader: {error}", file=sys.stderr)
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


def _print_plan(result: dict[str, Any]) -> None:
    for w in result["waves"]:
        print(f"Wave {w['number']}: finish line {w['finish_min']:g} min after the first product.")
        for z in result["lanes"]:
            if z["wave"] != w["number"]:
                continue
            early, likely, late = ("never" if t is None else f"{t:.0f}" for t in z["ready_min"])
            times = f"on {z['start_min']:.0f}-{z['end_min']:.0f}, ready {early}/{likely}/{late}"
            ends = f"rinse {z['rinse_min']:.0f}, wall {z['wall_min']:.0f} min"
            print(f"  {z['name']}: {z['volume_strength']:g} vol, {times}, {ends}")
            for text in (z["reason"], z["note"]):
                if text:
                    print(f"      {text}")
    for x in result["left_out"]:
        print(f"  {x['name']}: left out. {x['reason']}")
    print("Mixing list:")
    for b in result["bowls"]:
        pours = " + ".join(f"{p['mass_g']:g} g of {p['volume_strength']:g} vol" for p in b["developer"])
        print(f"  {b['mix_min']:5.0f} min  {b['lightener_g']:g} g lightener, {pours}  for {', '.join(b['for'])}")


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
    reader = commands.add_parser("reader", help="a simulated colour reader on loopback")
    reader.add_argument("--port", default="0", metavar="PORT")
    for command in (curve, neutralise, plan):
        command.add_argument("--json", action="store_true", help="print JSON")
    return parser


def main(arguments: list[str] | None = None) -> int:
    """Run one command; 0 when done, 2 for input that cannot be used."""
    args = _parser().parse_args(arguments)
    if args.command == "reader":
        return _reader(args)
    run, show = {
        "curve": (_curve, _print_curve),
        "neutralise": (_neutralise, _print_neutralise),
        "plan": (_plan, _print_plan),
    }[args.command]
    try:
        result = run(args)
    except CoreError as error:
        print(f"fervens {args.command}: {error.message}", file=sys.stderr)
        return 2
    if args.json:
        print(json.dumps(result, indent=2))
    else:
        show(result)
    return 0


if __name__ == "__main__":
    sys.exit(main())
