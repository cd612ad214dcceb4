"""What everything stands on: errors, quantities with their limits, arrays."""

from fervens_core.base.arrays import AnyFloats, Floats
from fervens_core.base.errors import BlockedError, ConflictError, CoreError, LimitError
from fervens_core.base.quantities import (
    LEVEL_MAX,
    LEVEL_MIN,
    VOLUME_MAX,
    Ratio,
    check_level,
    check_range,
    check_text,
    check_volume_strength,
    nominal_percent,
)

__all__ = [
    "LEVEL_MAX",
    "LEVEL_MIN",
    "VOLUME_MAX",
    "AnyFloats",
    "BlockedError",
    "ConflictError",
    "CoreError",
    "Floats",
    "LimitError",
    "Ratio",
    "check_level",
    "check_range",
    "check_text",
    "check_volume_strength",
    "nominal_percent",
]
