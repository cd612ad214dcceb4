"""What the planner before this one would have done for the bench's heads: waves and strengths, kept in yesterday.json.

Run: git worktree add FOLDER b71e11f && PYTHONPATH=FOLDER/core/src .local/venv/bin/python bench/_yesterday.py
"""

from __future__ import annotations

import json
import random
from pathlib import Path

from _heads import HEADS, SEED, random_head

from fervens_core.planning import make_plan


def main() -> None:
    """Write the file."""
    dice = random.Random(SEED)
    found = []
    for _ in range(HEADS):
        plan = make_plan(random_head(dice))
        waves: dict[int, str] = {}
        for lane in plan.zones:  # type: ignore[attr-defined]
            waves.setdefault(lane.wave, lane.zone.zone_key)
        order = list(dict.fromkeys(x.zone.zone_key for x in plan.zones))  # type: ignore[attr-defined]
        volumes = {x.zone.key: x.volume_strength for x in plan.zones}  # type: ignore[attr-defined]
        found.append({"order": order, "wave_starts": list(waves.values()), "volumes": volumes})
    Path(__file__).with_name("yesterday.json").write_text(json.dumps(found, separators=(",", ":")) + "\n")


if __name__ == "__main__":
    main()
