"""The camera with a card: the studio's card, pictures read, and the stand-in where there is no camera."""

from __future__ import annotations

import datetime as dt
import os
import threading
import zlib
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import numpy as np
from django.db import transaction
from django.utils import timezone
from ninja import UploadedFile

from apps.services import loading
from apps.services.loading import Loaded, kept_parts
from apps.studio.actions import audit
from apps.studio.models import Membership, Studio
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, LimitError, check_range, say
from fervens_core.chair import as_reflectance, kept_level, simulated_level
from fervens_core.colour import hair_lab, hair_reflectance, seen_hexes
from fervens_core.formats import Measured, level_of_lab, level_spread, samples_from_cgats
from fervens_core.head import Zone
from fervens_core.lift import ROUND_STRANDS
from fervens_vision import (
    BYTES_MAX,
    PATCHES,
    CardValues,
    PictureRefusedError,
    load,
    nominal_values,
    read_strand,
    values_of,
)

SIMULATED = "simulated"
CAMERA, SIMULATED_CAMERA = "camera", "simulated_camera"
"""What a camera's readings are called in the log."""
STRAND_START, STRAND_LEVELS = 3.0, (4.0, 9.5)


@dataclass(frozen=True, slots=True)
class CameraReading:
    """What a picture says: the colour, its level, the spread of that in levels, and how much of the strand shone."""

    measured: Measured
    level_std: float
    gloss_share: float
    is_card_measured: bool


@lru_cache(maxsize=1)
def make_ready() -> None:
    """Load what pictures are read with, aside: the first picture then waits no longer than the next."""
    threading.Thread(target=load, daemon=True).start()


def is_simulated() -> bool:
    """Whether there is a simulated camera: only where one is asked for by name (FERVENS_CAMERA=simulated)."""
    return os.environ.get("FERVENS_CAMERA") == SIMULATED


def card_values(studio: Studio) -> CardValues:
    """What the studio's card is known to be."""
    kept = (studio.card or {}).get("lab")
    return values_of({name: tuple(lab) for name, lab in kept.items()}) if kept else nominal_values()


@transaction.atomic
def measure_card(member: Membership, text: str) -> Studio:
    """Keep what a colour reader said of the printed card, or of a chart laid on its patches; CGATS text.

    Raises:
        LimitError: a patch is missing. CoreError: no CGATS. NotAllowed.
    """
    require_may(member, "measure_the_card")
    lab = {s.name.strip().upper(): s.lab for s in samples_from_cgats(text)}
    missing = [p.name for p in PATCHES if p.name not in lab]
    if missing:
        raise LimitError("card", say("limit-patches", missing=missing), len(lab))
    studio = Studio.objects.select_for_update().get(pk=member.studio_id)
    studio.card = {"lab": {p.name: list(lab[p.name]) for p in PATCHES}, "at": timezone.now().isoformat()}
    studio.save(update_fields=["card"])
    audit(member, "card_measured", studio.pk)
    return studio


@transaction.atomic
def forget_card(member: Membership) -> Studio:
    """The card as it was printed, once more."""
    require_may(member, "measure_the_card")
    studio = Studio.objects.select_for_update().get(pk=member.studio_id)
    studio.card = None
    studio.save(update_fields=["card"])
    audit(member, "card_forgotten", studio.pk)
    return studio


def read_picture(studio: Studio, upload: UploadedFile, start_level: float) -> CameraReading:
    """The level of the strand in a picture; the picture is not kept.

    Raises:
        ConflictError: why it is not read. LimitError: too large. CoreError: it looks like no hair.
    """
    size = upload.size or 0
    if not 0 < size <= BYTES_MAX:
        raise LimitError("picture", say("limit-file_of_bytes", most=BYTES_MAX), size)
    try:
        found = read_strand(upload.read(), card_values(studio))
    except PictureRefusedError as error:
        side = f"-{error.side}" if error.side else ""
        raise ConflictError(f"picture.{error.why}{side}") from None
    return CameraReading(
        level_of_lab(start_level, found.lab),
        level_spread(start_level, found.lab, found.std),
        found.gloss_share,
        found.is_measured,
    )


def lane_of(loaded: Loaded, key: str) -> Zone:
    """The lane, or the part no lightener goes on, with a key. Raises ConflictError."""
    kept = next((z for z in kept_parts(loaded) if z.key == key), None)
    if kept is not None:
        return kept
    there = loading.chair(loaded, timezone.now())
    if there is None:
        raise ConflictError("no_plan")
    return there.zones[there.state.lane(key).key]


def _photograph(reflectance: Any, seed: int) -> bytes:
    from fervens_vision.simulate import Scene, photograph  # what renders is not on a server of one's own

    random = np.random.default_rng(seed)
    scene = Scene(
        kelvin=(float(random.uniform(3000.0, 6000.0)),) * 2,
        fall=(float(random.normal(0.0, 0.08)), float(random.normal(0.0, 0.06))),
        exposure=float(random.uniform(0.6, 0.9)),
        tilt=0.06,
        print_spread=0.02,
    )
    return photograph(reflectance, scene, seed).data


def simulated_photograph(loaded: Loaded, key: str, now: dt.datetime) -> bytes:
    """A picture of a lane's simulated hair under the card. Raises ConflictError where no camera is simulated."""
    if not is_simulated():
        raise ConflictError("no_camera")
    zone, seed = lane_of(loaded, key), zlib.crc32(f"{loaded.row.pk} {key}".encode())
    there = loading.chair(loaded, now)
    is_kept = any(z.key == key for z in kept_parts(loaded))
    level = kept_level(zone, seed) if is_kept or there is None else simulated_level(there, key, seed)
    return _photograph(as_reflectance(zone, level), seed + int(now.timestamp()) % 1000)


def simulated_strands(seed: int) -> list[float]:
    """Levels of a dozen simulated strands for a calibration round. Raises ConflictError where none are simulated."""
    if not is_simulated():
        raise ConflictError("no_camera")
    random = np.random.default_rng(seed)
    return [float(x) for x in np.round(random.permutation(np.linspace(*STRAND_LEVELS, ROUND_STRANDS)), 2)]


def strand_hexes(seed: int) -> list[str]:
    """How they look. Raises ConflictError."""
    return seen_hexes(hair_lab(STRAND_START, np.array(simulated_strands(seed))))


def strand_photograph(seed: int, number: int) -> bytes:
    """A picture of one of them under the card. Raises ConflictError, LimitError."""
    levels = simulated_strands(seed)
    check_range("number", number, 0.0, ROUND_STRANDS - 1.0)
    return _photograph(hair_reflectance(STRAND_START, np.array(levels[number])), seed + number)
