"""What blocks the work, what must be acknowledged, how strong a developer may be, and what stops."""

from fervens_core.safety.cautions import (
    CLEARED_TODAY,
    GUMMY,
    ONE_VISIT_WHITE_FROM_LEVEL,
    WHITE_FROM_LEVEL,
    Caution,
    Severity,
    WeakestVolumes,
    cautions_of,
    lightening_cautions,
    strongest_volume,
    toner_block,
    toning_cautions,
    usual_volume,
)
from fervens_core.safety.today import CONTACT_MAX_MIN, again_block, heat_block, refresh_block, stop_reason

__all__ = [
    "CLEARED_TODAY",
    "CONTACT_MAX_MIN",
    "GUMMY",
    "ONE_VISIT_WHITE_FROM_LEVEL",
    "WHITE_FROM_LEVEL",
    "Caution",
    "Severity",
    "WeakestVolumes",
    "again_block",
    "cautions_of",
    "heat_block",
    "lightening_cautions",
    "refresh_block",
    "stop_reason",
    "strongest_volume",
    "toner_block",
    "toning_cautions",
    "usual_volume",
]
