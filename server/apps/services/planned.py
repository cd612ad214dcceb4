"""Plans that were made, kept for a while: consultation, plan and chair ask for the same one."""

from __future__ import annotations

import hashlib
from collections.abc import Callable
from typing import TypeVar

from django.core.cache import caches

from apps.common.heavy import computed
from fervens_core.planning import AimPlan, Plan, PlanRequest, compare_aims, make_plan

T = TypeVar("T")


def _kept(kind: str, request: PlanRequest, make: Callable[[PlanRequest], T]) -> T:
    """A request says all a plan is made from, so what it is written as is its name."""
    name = f"{kind}-{hashlib.sha256(repr(request).encode()).hexdigest()}"
    cache = caches["plans"]
    found: T | None = cache.get(name)
    if found is None:
        found = computed(name, make, request)
        cache.set(name, found)
    return found


def planned(request: PlanRequest) -> Plan:
    """The plan of a request. Raises LimitError."""
    return _kept("plan", request, make_plan)


def aims_of(request: PlanRequest) -> tuple[AimPlan, ...]:
    """The four aims of a request side by side. Raises LimitError."""
    return _kept("aims", request, compare_aims)
