"""The usual head: the zones a technician parts it into, in the order they are usually applied (common practice)."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import Message, say


@dataclass(frozen=True, slots=True)
class HeadZone:
    """A zone of the usual head; `foil_count` is a usual number of sections on medium density. [MODEL]"""

    key: str
    foil_count: int
    is_delicate: bool = False

    @property
    def name(self) -> Message:
        """What the studio's language calls it."""
        return say(f"head-{self.key}")

    @property
    def mirror(self) -> str | None:
        """Key of the same zone on the other side; None for one in the middle."""
        for side, other in (("left_", "right_"), ("right_", "left_")):
            if self.key.startswith(side):
                return other + self.key.removeprefix(side)
        return None


USUAL_HEAD: tuple[HeadZone, ...] = (
    HeadZone("low_back", 7),
    HeadZone("high_back", 8),
    HeadZone("left_back", 5),
    HeadZone("right_back", 5),
    HeadZone("crown", 7),
    HeadZone("left_side", 6),
    HeadZone("right_side", 6),
    HeadZone("top", 7),
    HeadZone("nape", 4, is_delicate=True),
    HeadZone("fringe", 4, is_delicate=True),
    HeadZone("left_temple", 3, is_delicate=True),
    HeadZone("right_temple", 3, is_delicate=True),
)
