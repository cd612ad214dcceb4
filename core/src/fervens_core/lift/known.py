"""What earlier visits taught of a person's hair, whatever kind it is now: it comes with them. docs/models/learnt.md.

How far and how fast a head lifts beside what is expected of its hair is mostly the person's: it holds for new growth
and for lengths, at the scalp and away from it, since what kind of hair it is is already in what is expected.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Annotated

import numpy as np

from fervens_core.base import Number, Whole, Within, contract
from fervens_core.lift.belief import HEAD_EXTENT_STD, HEAD_RATE_STD, ZONE_EXTENT_STD, ZONE_RATE_STD

VISIT_EXTENT_STD, VISIT_RATE_STD = 0.06, 0.15
"""[MODEL] how far one visit of a person is from another: the room, the hands, the day."""
LOG_MOST = 1.0

Log = Annotated[Number, Within(-LOG_MOST, LOG_MOST)]


@dataclass(frozen=True, slots=True)
@contract
class KnownHead:
    """How a person's hair lifted beside what was expected of it, natural logs.

    Args:
        log_extent, log_rate: how far and how fast, most likely; extent_std, rate_std: how unsure that still is.
        visits: that taught it.
    """

    log_extent: Log
    log_rate: Log
    extent_std: Annotated[Number, Within(0.001, 0.5)] = HEAD_EXTENT_STD
    rate_std: Annotated[Number, Within(0.001, 0.5)] = HEAD_RATE_STD
    visits: Annotated[Whole, Within(0, 1000)] = 0


def known_head(visits: Sequence[Sequence[tuple[float, float]]]) -> KnownHead | None:
    """What a person's visits teach; None where no lane was read.

    Args:
        visits: of each, (log how far, log how fast) of every lane that was read, beside what was expected.
    """
    read = [np.array(v, dtype=float) for v in visits if len(v)]
    if not read:
        return None
    found = []
    for place, (head, zone, visit) in enumerate(
        ((HEAD_EXTENT_STD, ZONE_EXTENT_STD, VISIT_EXTENT_STD), (HEAD_RATE_STD, ZONE_RATE_STD, VISIT_RATE_STD))
    ):
        weights = np.array([1.0 / (visit**2 + zone**2 / len(v)) for v in read])
        means = np.array([float(v[:, place].mean()) for v in read])
        precision = float(weights.sum()) + head**-2.0
        mean = float(np.clip((weights * means).sum() / precision, -LOG_MOST, LOG_MOST))
        found.append((mean, float(np.hypot(precision**-0.5, visit))))
    (log_extent, extent_std), (log_rate, rate_std) = found
    return KnownHead(log_extent, log_rate, min(extent_std, HEAD_EXTENT_STD), min(rate_std, HEAD_RATE_STD), len(read))


def of_known(known: KnownHead | None) -> tuple[tuple[float, float], tuple[float, float]]:
    """(mean, spread) of the person's own how far and how fast; as of anyone where nothing is known."""
    if known is None:
        return (0.0, HEAD_EXTENT_STD), (0.0, HEAD_RATE_STD)
    return (known.log_extent, known.extent_std), (known.log_rate, known.rate_std)
