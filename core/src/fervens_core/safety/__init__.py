"""What blocks the work, what must be acknowledged, how strong a developer may be, and what stops."""

from fervens_core.safety.cautions import (
    CLEARED_TODAY,
    GUMMY,
    ONE_VISIT_WHITE_FROM_LEVEL,
    WHITE_FROM_LEVEL,
    Caution,
    Severity,
    WeakestVolumes,
    lightening_cautions,
    strongest_volume,
    toner_block,
)

__all__ = [
    "CLEARED_TODAY",
    "GUMMY",
    "ONE_VISIT_WHITE_FROM_LEVEL",
    "WHITE_FROM_LEVEL",
    "Caution",
    "Severity",
    "WeakestVolumes",
    "lightening_cautions",
    "strongest_volume",
    "toner_block",
]
