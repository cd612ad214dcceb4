"""The usual head: the zones a technician parts it into, in the order they are usually applied (common practice)."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class HeadZone:
    """A zone of the usual head; `foil_count` is a usual number of sections on medium density. [MODEL]"""

    key: str
    name: str
    foil_count: int
    is_delicate: bool = False

    @property
    def mirror(self) -> str | None:
        """Key of the same zone on the other side; None for one in the middle."""
        for side, other in (("left_", "right_"), ("right_", "left_")):
            if self.key.startswith(side):
                return other + self.key.removeprefix(side)
        return None


USUAL_HEAD: tuple[HeadZone, ...] = (
    HeadZone("low_back", "Low back", 7),
    HeadZone("high_back", "High back", 8),
    HeadZone("left_back", "Left back side", 5),
    HeadZone("right_back", "Right back side", 5),
    HeadZone("crown", "Crown", 7),
    HeadZone("left_side", "Left side", 6),
    HeadZone("right_side", "Right side", 6),
    HeadZone("top", "Top", 7),
    HeadZone("nape", "Nape", 4, is_delicate=True),
    HeadZone("fringe", "Fringe", 4, is_delicate=True),
    HeadZone("left_temple", "Left temple", 3, is_delicate=True),
    HeadZone("right_temple", "Right temple", 3, is_delicate=True),
)
