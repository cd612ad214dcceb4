"""Heads a master would sign, told as requests: for the schedule's tests and for the command's."""

from __future__ import annotations

from fervens_core.head import (
    USUAL_HEAD,
    Covering,
    Developer,
    DeveloperUse,
    DyeHue,
    Hair,
    History,
    Lightener,
    Pieces,
    Porosity,
    StrandPart,
    Thickness,
    Zone,
)
from fervens_core.planning import PlanChoice, PlanRequest

POWDER = Lightener("powder", "Powder", 1.5, label_max_min=50)
SHELF = tuple(
    Developer(f"d{v}", f"{v} vol", v, DeveloperUse.TONING if v < 10 else DeveloperUse.BOTH)
    for v in (5, 7, 10, 20, 30, 40)
)
BACK_TO_FRONT = (
    "low_back",
    "high_back",
    "left_back",
    "right_back",
    "crown",
    "left_side",
    "right_side",
    "top",
    "left_front",
    "right_front",
)


def place(key: str, start: float, target: float, sections: int = 6, **more) -> Zone:
    """A zone at the pace of 1.1 min a section; what is of its hair goes there."""
    hair = {k: more.pop(k) for k in ("history", "thickness", "porosity", "tint_level", "dye_hue") if k in more}
    return Zone(
        key=key,
        name=key.replace("_", " ").title(),
        hair=Hair(start, **hair),
        target_level=target,
        foil_count=sections,
        pace_min_per_foil=1.1,
        **more,
    )


def head(*zones: Zone, lightener: Lightener = POWDER, others: tuple[Lightener, ...] = (), **choice) -> PlanRequest:
    """A request for a head; the rest is chosen for its plan."""
    return PlanRequest(tuple(zones), lightener, SHELF, PlanChoice(**choice), others=others)


def four_quarters(**more) -> PlanRequest:
    """Case 1: four big quarters, coarse, 2.5 to 8."""
    return head(*(place(f"quarter{i}", 2.5, 8, 20, thickness=Thickness.COARSE) for i in range(4)), **more)


def six_even(**more) -> PlanRequest:
    """Case 2: six even zones, virgin 4 to 9.5."""
    return head(*(place(f"zone{i}", 4, 9.5) for i in range(6)), **more)


def retouch(**more) -> PlanRequest:
    """Case 3: twelve zones, roots of 12 mm at 5, lengths at 9 left alone."""
    keys = (*BACK_TO_FRONT, "nape", "fringe")
    root = (StrandPart(Hair(5.0), 0.0, 12.0, 9.0),)
    return head(*(place(k, 9, 9, history=History.LIGHTENED, parts=root) for k in keys), **more)


def whole_head(**more) -> PlanRequest:
    """Case 4: ten zones of virgin 7, root to ends, to 9.5."""
    return head(*(place(k, 7, 9.5, parts=(StrandPart(Hair(7.0), 0.0, 12.0, 9.5),)) for k in BACK_TO_FRONT), **more)


def with_hairline(**more) -> PlanRequest:
    """Twelve zones of virgin 7, root to ends, to 9.5; nape, fringe and temples delicate."""
    zones = (
        place(
            z.key,
            7,
            9.5,
            3 if z.is_delicate else 5,
            is_delicate=z.is_delicate,
            parts=(StrandPart(Hair(7.0), 0.0, 12.0),),
        )
        for z in USUAL_HEAD
    )
    return head(*zones, **more)


def all_but_the_temples(**more) -> PlanRequest:
    """Ten zones as the desk's short-hand reads them: virgin 7 root to ends to 9.5; nape and fringe delicate."""
    parts = (StrandPart(Hair(7.0), 0.0, 12.0, 9.5),)
    told = (z for z in USUAL_HEAD if not z.key.endswith("temple"))
    return head(*(place(z.key, 7, 9.5, 6, is_delicate=z.is_delicate, parts=parts) for z in told), **more)


def open_pieces(**more) -> PlanRequest:
    """Case 5: open air, 6 with pieces to 7.5, 8.5 and 9."""
    wishes = (7.5, 8.5, 9.0)
    return head(*(place(f"piece{i}", 6, wishes[i % 3], covering=Covering.OPEN_AIR) for i in range(9)), **more)


def bands(**more) -> PlanRequest:
    """Case 6: a dark band in the middle of five of eight zones."""
    band = (StrandPart(Hair(6.0), 80.0, 140.0, 8.5),)
    return head(
        *(place(f"zone{i}", 8.5, 8.5, history=History.LIGHTENED, parts=band if i < 5 else ()) for i in range(8)), **more
    )


def long_regrowth(**more) -> PlanRequest:
    """Case 7: regrowth of 60 mm at 6, lengths at 9."""
    root = (StrandPart(Hair(6.0), 0.0, 60.0, 9.0),)
    return head(*(place(k, 9, 9, history=History.LIGHTENED, parts=root) for k in BACK_TO_FRONT), **more)


def dark_under_light(**more) -> PlanRequest:
    """Six zones of 30 mm at 6 under lengths at 8, all to 9.5."""
    root = (StrandPart(Hair(6.0), 0.0, 30.0, 9.5),)
    return head(*(place(k, 8, 9.5, history=History.LIGHTENED, parts=root) for k in BACK_TO_FRONT[:6]), **more)


def fine_hairline(**more) -> PlanRequest:
    """Case 8: fine delicate hairline on a medium 5 to 9."""
    line = (place(f"line{i}", 5, 9, 4, thickness=Thickness.FINE, is_delicate=True) for i in range(3))
    return head(*(place(f"zone{i}", 5, 9) for i in range(5)), *line, **more)


def old_green(**more) -> PlanRequest:
    """Case 9: old green on six zones, brown pieces beside that are left out."""
    brown = Pieces(hair=Hair(5.0), name="brown pieces", share=0.4, is_left_out=True)
    return head(
        *(place(f"zone{i}", 7, 8.5, history=History.DIRECT_DYE, dye_hue=DyeHue.GREEN, pieces=brown) for i in range(6)),
        **more,
    )


def black_tint(**more) -> PlanRequest:
    """Case 10: black tint put on for years, to silver; a label that lets two rounds go on in a visit."""
    twice = Lightener("powder", "Powder", 1.5, label_max_min=50, max_applications=2)
    zones = (place(f"zone{i}", 2, 10, history=History.TINTED, tint_level=2) for i in range(8))
    return head(*zones, lightener=twice, **more)


def two_lighteners(**more) -> PlanRequest:
    """Case 12: a dark product of 45 min on the back, a white one of 50 min on the sides."""
    dark = Lightener("dark", "Dark powder", 1.5, label_max_min=45, is_dark=True)
    back = (place(k, 5, 8.5, lightener="dark") for k in BACK_TO_FRONT[:4])
    return head(*back, *(place(k, 5, 8.5) for k in BACK_TO_FRONT[5:7]), others=(dark,), **more)


def porous_ends(**more) -> PlanRequest:
    """Case 14: porous lightened ends at 7 under lengths at 4, all to 9.5."""
    ends = (StrandPart(Hair(7.0, History.LIGHTENED, porosity=Porosity.HIGH), 200.0, None, 9.5),)
    return head(*(place(f"zone{i}", 4, 9.5, parts=ends) for i in range(6)), **more)
