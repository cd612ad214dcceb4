"""The tone step as it is shown: bowls, parts, acts, and what each count of bowls comes to."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from fervens_core.base import Message
from fervens_core.basin.remedies import Remedy
from fervens_core.basin.toner_lane import ToneMinute, ToneOutcome, TonerClock
from fervens_core.colour import Undertone
from fervens_core.log import TonedPart
from fervens_core.toning import Needed, Wish


@dataclass(frozen=True, slots=True)
class ToneBowl:
    """One bowl to mix: grams by shade, developer or what thins a wash, and where it goes; `is_own`: her formula."""

    number: int
    formula_key: str
    formula_name: str
    shade_keys: tuple[str, ...]
    shade_names: tuple[str, ...]
    shades_g: tuple[float, ...]
    developer_g: float
    developer_volume: float | None
    developer_parts: float
    dilution: float
    diluent_g: float
    share: float
    label_max_min: float
    lane_ids: tuple[str, ...]
    lane_names: tuple[Message | str, ...]
    hex: str
    is_own: bool


@dataclass(frozen=True, slots=True)
class ToneProposal:
    """What a bowl does to one part, minute by minute.

    Args:
        start_min, on_min, rinse_min: its first section, its last section on, its rinse; min after the first toner.
        minutes: on its last section. delta_e: the difference, CIEDE2000 to its wish, depth and all.
        levels_deeper: than meant. needed: what would reach a wish that is out of reach, else None.
    """

    bowl: int
    formula_name: str
    minutes: float
    hex: str
    lab: tuple[float, ...]
    delta_e: float
    levels_deeper: float
    is_too_deep: bool
    needed: Needed | None
    grams: float
    product_g: float
    developer_g: float
    steps: tuple[ToneMinute, ...]
    outcome: ToneOutcome
    start_min: float
    on_min: float
    rinse_min: float


@dataclass(frozen=True, slots=True)
class ToneLane:
    """One part at the tone step, or its root shadow. `id` is its key, with the part behind it for a shadow.

    `difference`: CIEDE2000 to its wish of what it is, with the toner on it as it should be now. `taught_by`: which
    parts' strands its clock goes by, where it had none of its own.
    """

    id: str
    key: str
    part: TonedPart
    name: Message | str
    zone_key: str
    areas: tuple[str, ...]
    porosity: str
    before_level: float
    target_level: float
    level: float
    is_read: bool
    undertone: Undertone
    says: Message
    rest: str
    grab: str
    now_hex: str
    now_lab: tuple[float, ...]
    wanted_lab: tuple[float, ...]
    wanted_hex: str
    difference: float
    proposal: ToneProposal | None
    toner: TonerClock | None
    remedies: tuple[Remedy, ...]
    probe_change: Message | None
    taught_by: Message | None
    meeting: tuple[ToneMinute, ...]


@dataclass(frozen=True, slots=True)
class BowlCount:
    """What so many bowls come to: how far apart parts that are to end alike end, and how far from their wishes.

    `is_proposed`: the count that is proposed. `gives_up` in words, beside the proposed one.
    """

    count: int
    spread: float
    mean_delta_e: float
    worst_delta_e: float
    is_proposed: bool
    gives_up: Message


@dataclass(frozen=True, slots=True)
class WishedParts:
    """A wish, and the parts that share it."""

    wish: Wish
    hex: str
    keys: tuple[str, ...]
    names: tuple[Message | str, ...]


@dataclass(frozen=True, slots=True)
class ToneAct:
    """The next act at the basin, for all parts it is for.

    Args:
        ids: of the lanes. bowl: of toner that goes on; before_min: how long before it is all on each part is, min.
    """

    code: str
    ids: tuple[str, ...]
    title: Message
    detail: Message | str
    due_at: datetime
    hex: str | None
    bowl: int | None
    before_min: tuple[float, ...]


@dataclass(frozen=True, slots=True)
class ShelfShade:
    """A shade of the shelf for this person: `blocked` says why it may not be used; what it can be mixed with."""

    key: str
    name: str
    hex: str
    level: float
    is_oxidative: bool
    label_max_min: float
    blocked: Message | None
    pairs_with: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ToneStep:
    """The tone step as a whole.

    Args:
        wish: of most parts; wishes: every one with its parts. flat_hex: grey of the same lightness beside a white.
        finish_min: last rinse, rinses: all of them, min after the first toner. total_g: mixed toner in all; much: why
        that is more than usual. fill: what goes before a deep shade. stays_bright: pale wishes are held so.
        blocked: why nothing of the shelf may be used, or None. is_wash_only: only pigmented shampoo is left.
    """

    wish: Wish
    is_own_wish: bool
    wanted_hex: str
    flat_hex: str | None
    wishes: tuple[WishedParts, ...]
    counts: tuple[BowlCount, ...]
    bowls: tuple[ToneBowl, ...]
    lanes: tuple[ToneLane, ...]
    acts: tuple[ToneAct, ...]
    shelf: tuple[ShelfShade, ...]
    finish_min: float
    rinses: tuple[float, ...]
    total_g: float
    much: Message | None
    stays_bright: bool
    fill: Message | None
    shadow_length_mm: float
    shadow_blend_mm: float
    blocked: Message | None
    is_wash_only: bool
