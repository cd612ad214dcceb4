"""Arrays of numbers, as the whole core writes their types."""

from __future__ import annotations

from typing import Any

import numpy as np
import numpy.typing as npt

Floats = npt.NDArray[np.float64]
AnyFloats = npt.NDArray[np.floating[Any]]
"""Of single or double precision."""
Ints = npt.NDArray[np.int_]
Bools = npt.NDArray[np.bool_]
