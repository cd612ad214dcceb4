"""Days a studio is shut, and the open day a visit is proposed on instead."""

import datetime as dt

import pytest
from hypothesis import given
from hypothesis import strategies as st
from told import refused, told

from fervens_core.base import LimitError, plain, read
from fervens_core.followup import ClosedDays, closed_between, is_closed, propose_visit

FILED = dt.date(2026, 11, 28)
CHRISTMAS = ClosedDays(dt.date(2026, 12, 24), dt.date(2027, 1, 2), True)


def shut(first, last=None, is_every_year=False):
    return ClosedDays(dt.date.fromisoformat(first), dt.date.fromisoformat(last or first), is_every_year)


def propose(*closed, short=False, roots=False, strand=False):
    return propose_visit(FILED, is_short=short, has_roots=roots, is_toned=True, is_strand_test=strand, closed=closed)


@pytest.mark.parametrize(
    ("day", "is_shut"),
    [("2026-12-23", False), ("2026-12-24", True), ("2031-12-31", True), ("2025-01-02", True), ("2032-01-03", False)],
)
def test_a_break_over_new_year_comes_every_year(day, is_shut):
    assert is_closed((CHRISTMAS,), dt.date.fromisoformat(day)) is is_shut


def test_a_day_in_a_leap_year_is_kept_the_day_before_in_others():
    leap = shut("2028-02-29", is_every_year=True)
    assert [leap.holds(dt.date(y, 2, 28)) for y in (2027, 2028, 2029)] == [True, False, True]


def test_once_is_once_and_all_days_are_named():
    once = shut("2026-08-03", "2026-08-05")
    assert not once.holds(dt.date(2027, 8, 4))
    assert closed_between((once, shut("2026-08-10")), dt.date(2026, 8, 5), dt.date(2026, 8, 31)) == (
        dt.date(2026, 8, 5),
        dt.date(2026, 8, 10),
    )


@pytest.mark.parametrize(("first", "last"), [("2026-08-05", "2026-08-04"), ("2026-01-01", "2027-01-02")])
def test_the_last_day_is_not_before_the_first_and_not_years_after(first, last):
    with refused(LimitError, match=r"days\.last: must be not before the first day, at most 366 days in all, got"):
        read(ClosedDays, {"first": first, "last": last}, "days")
    assert read(ClosedDays, plain(CHRISTMAS)) == CHRISTMAS


def test_roots_come_a_week_sooner_and_a_rest_is_a_week_longer():
    """Before 12 mm one root application does it; a rest is of at least six weeks (common practice, no source)."""
    usual = propose(roots=True)
    assert (usual.on, usual.moved) == (dt.date(2026, 12, 26), None)
    sooner = propose(CHRISTMAS, roots=True)
    assert sooner.on == dt.date(2026, 12, 19)
    assert told(sooner.moved) == "The studio is closed on 26 December 2026"
    assert sooner.regrowth_mm < usual.regrowth_mm
    assert sooner.remind_on <= sooner.on - dt.timedelta(days=14)
    rest = propose(short=True)
    assert propose(shut(rest.on.isoformat()), short=True).on == rest.on + dt.timedelta(days=7)
    taught = propose(strand=True)
    assert propose(shut(taught.on.isoformat()), strand=True).on == taught.on + dt.timedelta(days=1)


def test_roots_never_come_within_two_weeks_and_a_year_without_an_open_day_moves_nothing():
    long = shut("2026-12-06", "2026-12-31")
    assert propose(long, roots=True).on == dt.date(2027, 1, 2)
    never = shut("2026-11-01", "2027-10-31")
    assert (propose(never, roots=True).on, propose(never, roots=True).moved) == (propose(roots=True).on, None)


@given(
    st.lists(st.tuples(st.integers(0, 200), st.integers(0, 20), st.booleans()), max_size=6),
    st.booleans(),
    st.booleans(),
    st.booleans(),
)
def test_the_visit_is_on_an_open_day_wherever_there_is_one(spans, short, roots, strand):
    closed = tuple(
        ClosedDays(FILED + dt.timedelta(days=a), FILED + dt.timedelta(days=a + n), yearly) for a, n, yearly in spans
    )
    usual, found = (propose(*c, short=short, roots=roots, strand=strand) for c in ((), closed))
    assert not is_closed(closed, found.on) or found.on == usual.on
    assert (found.moved is None) is (found.on == usual.on)
    assert strand or found.on.weekday() == FILED.weekday()
    if short or strand:
        assert found.on >= usual.on
