"""Booking what an act of the log takes from the shelf, and putting it back when the act is taken back."""

from __future__ import annotations

from uuid import UUID

from django.db.models import F

from apps.services.models import Service, ServiceEvent, StockUse
from apps.shelf.models import Developer, Lightener, Toner
from apps.shelf.queries import developers, toners
from fervens_core.log import BowlMixed, EventData, EventVoided, ToneBowlApplied, TonerApplied, uses_of

KINDS: tuple[type[Lightener] | type[Developer] | type[Toner], ...] = (Lightener, Developer, Toner)


def _move(product_id: UUID, grams: float) -> None:
    for kind in KINDS:
        kind.objects.filter(pk=product_id, stock_g__isnull=False).update(stock_g=F("stock_g") + grams)


def book(service: Service, row: ServiceEvent, data: EventData, lightener_key: str | None = None) -> None:
    """Take from the shelf what an act mixed, or put back what a voided one had; inside the act's transaction.

    Args:
        lightener_key: what a bowl of lightener was mixed of; None for the service's own.
    """
    if isinstance(data, EventVoided):
        for booked in StockUse.objects.filter(service=service, event_id=data.event_id):
            _move(booked.product_id, booked.grams)
            booked.delete()
        return
    if not isinstance(data, BowlMixed | TonerApplied | ToneBowlApplied):
        return
    studio_id = service.studio_id
    key = lightener_key or (str(service.lightener_id) if service.lightener_id else None)
    uses = uses_of(data, lightener_key=key, bottles=developers(studio_id), shades=toners(studio_id))
    wanted = {u.key for u in uses}
    found = {str(p.pk): p for kind in KINDS for p in kind.objects.filter(studio_id=studio_id, pk__in=wanted)}
    rows = []
    for use in uses:
        product = found.get(use.key)
        if product is None:
            continue
        price = product.price_per_g
        cost = None if price is None else price * use.grams
        rows.append(
            StockUse(
                service=service,
                event_id=row.event_id,
                product_id=product.pk,
                name=product.name,
                grams=use.grams,
                cost=cost,
                at=row.occurred_at,
            )
        )
        _move(product.pk, -use.grams)
    StockUse.objects.bulk_create(rows)
