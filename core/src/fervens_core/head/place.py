"""Where zones lie on the head, seen from behind: what a drawing of the head needs to hang lanes in their place."""

from __future__ import annotations

from fervens_core.head.zones import Zone

_ACROSS = {
    "left_temple": -1.0,
    "left_side": -0.8,
    "left_back": -0.5,
    "fringe": -0.15,
    "top": -0.1,
    "crown": -0.05,
    "high_back": 0.05,
    "low_back": 0.1,
    "nape": 0.15,
    "right_back": 0.5,
    "right_side": 0.8,
    "right_temple": 1.0,
}
"""Areas of the usual head from left to right. Those in the middle lie behind one another: from the front to the nape
they stand a little apart, so that their order is always the same."""
_SIDES = {"left": -0.6, "right": 0.6, None: 0.0}
_HALVES = {"1": -0.02, "2": 0.02}


def across(zone: Zone) -> float:
    """Where a zone, or a lane of one, lies across the head seen from behind.

    Returns:
        -1.0 at the left temple, 0.0 in the middle, 1.0 at the right temple; of several areas their mean. A zone of the
        technician's own that is on no area lies by the side its key tells, else in the middle.
    """
    found = []
    for area in zone.areas or (zone.zone_key,):
        name, _, half = area.partition("/")
        if name in _ACROSS:
            found.append(_ACROSS[name] + _HALVES.get(half, 0.0))
    return sum(found) / len(found) if found else _SIDES[zone.side]
