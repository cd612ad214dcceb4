"""Drawings for paper: the head with its lanes hanging as strands, and a lane as a painted strip. SVG, sizes in mm."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import count

from django.utils.html import escape
from django.utils.safestring import SafeString, mark_safe

from fervens_core.chair import CurvePoint, Lane

FALL_SHARE = 0.3
"""Of the drawing's height, what the hair takes over the head before it falls straight."""
WIDEST_MM = 15.0
FIBRES = 9
AWAY_MM = 22.0
"""So far from the parting a strand lies flat over the head."""
STOPS_MAX = 24
_TYPE = 'font-family="Archivo"'


@dataclass(frozen=True, slots=True)
class Strand:
    """A lane as it hangs: colours from the scalp down, and two short lines under it."""

    hexes: Sequence[str]
    number: str
    below: str


@dataclass(frozen=True, slots=True)
class Bead:
    """A reading on a strip."""

    minute: float
    level: str
    hex: str


def _svg(width: float, height: float, body: str) -> SafeString:
    view = f'viewBox="0 0 {width:g} {height:g}" style="width:{width:g}mm;height:{height:g}mm"'
    # all text in it was escaped
    return mark_safe(f'<svg xmlns="http://www.w3.org/2000/svg" {view} fill="none">{body}</svg>')


def _gradient(name: str, y: tuple[float, float], stops: Sequence[tuple[float, str]]) -> str:
    told = "".join(f'<stop offset="{at:.3f}" stop-color="{escape(colour)}"/>' for at, colour in stops)
    place = f'gradientUnits="userSpaceOnUse" x1="0" x2="0" y1="{y[0]:.2f}" y2="{y[1]:.2f}"'
    return f'<linearGradient id="{name}" {place}>{told}</linearGradient>'


def _fibre(parting: float, middle: float, aside: float, fall: float, end: float) -> str:
    away, x = middle - parting, middle + aside
    side = (away > 0) - (away < 0)
    y = 1.0 + (2.0 - aside * side * 0.8) * min(abs(away) / AWAY_MM, 1.0)
    bend, down = parting + (x - parting) * 0.58, y + (fall - y) * 0.3
    start = f"M{parting - side * 0.8 + aside * 0.3:.2f} {y:.2f}"
    return f"{start}C{bend:.2f} {y:.2f} {x:.2f} {down:.2f} {x:.2f} {fall:.2f}V{end:.2f}"


def hanging(strands: Sequence[Strand], *, width: float, height: float, name: str = "head") -> SafeString:
    """Strands in their place on the head, seen from behind.

    Args:
        strands: from left to right. width, height: of the drawing, mm; figures stand in its lowest 8 mm.
        name: of the drawing, the only one of that name on its sheet.
    """
    room = min(width / max(len(strands), 1), WIDEST_MM)
    wide = min(room * 0.5, 6.0)
    parting, fall, tip = width / 2.0, (height - 9.0) * FALL_SHARE, height - 9.0
    left = (width - room * len(strands)) / 2.0
    placed = [(left + room * (i + 0.5), s) for i, s in enumerate(strands)]
    defs, hair, text = [], [], []
    for i, (x, strand) in sorted(enumerate(placed), key=lambda p: -abs(p[1][0] - parting)):
        # those on the left are drawn as on the right and mirrored: what sets PDF bounds their gradients wrongly else
        is_left = x < parting
        at = 2.0 * parting - x if is_left else x
        each = 1.0 / max(len(strand.hexes) - 1, 1)
        stops = [(k * each, colour) for k, colour in enumerate(strand.hexes)]
        defs.append(_gradient(f"{name}{i}", (fall * 0.6, tip - 2.0), stops))
        base = _fibre(parting, at, 0.0, fall, tip - 2.0)
        mirror = f' transform="translate({2.0 * parting:.3f} 0) scale(-1 1)"' if is_left else ""
        hair.append(f'<g stroke="url(#{name}{i})"{mirror}><path d="{base}" stroke-width="{wide * 0.9:.2f}"/>')
        for k in range(FIBRES):
            aside = ((k + 0.5) / FIBRES - 0.5) * wide
            end = tip - ((k * 37 + i * 11) % 10) * 0.22
            d = _fibre(parting, at, aside, fall, end)
            hair.append(f'<path d="{d}" stroke-width="{wide / FIBRES * 1.3:.2f}" stroke-linecap="round"/>')
        for k in (1, 4, 7):
            d = _fibre(parting, at, ((k + 0.3) / FIBRES - 0.5) * wide, fall, tip - 2.6)
            hair.append(f'<path d="{d}" stroke="#000" stroke-opacity="0.25" stroke-width="0.14"/>')
        hair.append("</g>")
        for line, y, weight in ((strand.number, tip + 3.6, 700), (strand.below, tip + 7.6, 500)):
            style = f'{_TYPE} text-anchor="middle" font-size="3.1" font-weight="{weight}" fill="#1c1c1c"'
            text.append(f'<text x="{x:.2f}" y="{y:.2f}" {style}>{escape(line)}</text>')
    return _svg(width, height, f"<defs>{''.join(defs)}</defs>{''.join(hair)}{''.join(text)}")


_NAMES = count()


def strip(
    curve: Sequence[CurvePoint],
    *,
    axis: tuple[float, float],
    zero: float,
    started: float,
    end: float,
    wall: float | None,
    beads: Sequence[Bead] = (),
    width: float,
    height: float = 7.0,
) -> SafeString:
    """A lane painted in time: hatched while product goes on, then in the colour of each minute; readings stand in it.

    Args:
        axis, zero, started, end, wall: minutes on the sheet's axis; the curve's own minutes start at `zero`.
        beads: readings, min after `zero`. width, height: mm.
    """
    span = max(axis[1] - axis[0], 1.0)

    def x(minute: float) -> float:
        return min(max((minute - axis[0]) / span, 0.0), 1.0) * width

    name = f"strip{next(_NAMES)}"
    parts = []
    middle, thick = height / 2.0, height * 0.62
    for k in range(round((x(zero) - x(started)) / 1.2)):
        at = x(started) + 1.2 * k + 0.4
        line = f"M{at:.2f} {middle + thick / 2:.2f}l0.7 {-thick:.2f}"
        parts.append(f'<path d="{line}" stroke="#8a8a8a" stroke-width="0.18"/>')
    if curve and end > zero:
        last = max(curve[-1].minute, 0.1)
        every = max(1, len(curve) // STOPS_MAX)
        stops = [(p.minute / last, p.hex) for i, p in enumerate(curve) if i % every == 0 or p is curve[-1]]
        told = "".join(f'<stop offset="{at:.3f}" stop-color="{escape(colour)}"/>' for at, colour in stops)
        place = f'gradientUnits="userSpaceOnUse" y1="0" y2="0" x1="{x(zero):.2f}" x2="{x(zero + last):.2f}"'
        parts.append(f'<defs><linearGradient id="{name}" {place}>{told}</linearGradient></defs>')
        box = f'x="{x(zero):.2f}" y="{middle - thick / 2:.2f}" width="{x(end) - x(zero):.2f}" height="{thick:.2f}"'
        parts.append(f'<rect {box} fill="url(#{name})"/>')
        parts.append(f'<path d="M{x(end):.2f} 0.6V{height - 0.6:.2f}" stroke="#1c1c1c" stroke-width="0.35"/>')
    if wall is not None:
        parts.append(f'<path d="M{x(wall):.2f} 1V{height - 1:.2f}" stroke="#1c1c1c" stroke-width="0.9"/>')
    for bead in beads:
        at = x(zero + bead.minute)
        box = f'x="{at - 2.6:.2f}" y="0.7" width="5.2" height="{height - 1.4:.2f}" rx="0.8"'
        # readable in grey: the figure stands on white
        parts.append(f'<rect {box} fill="#fff" stroke="#1c1c1c" stroke-width="0.3"/>')
        style = f'{_TYPE} text-anchor="middle" font-size="3" font-weight="700" fill="#1c1c1c"'
        parts.append(f'<text x="{at:.2f}" y="{middle + 1.1:.2f}" {style}>{escape(bead.level)}</text>')
    return _svg(width, height, "".join(parts))


def in_place(lanes: Sequence[Lane]) -> list[Lane]:
    """Lanes from left to right as they hang, the parts of a zone together."""
    first: dict[str, int] = {}
    for i, lane in enumerate(lanes):
        first.setdefault(lane.zone_key, i)
    order = sorted(range(len(lanes)), key=lambda i: (lanes[i].across, first[lanes[i].zone_key], i))
    return [lanes[i] for i in order]
