"""Review and tone as answers."""

from __future__ import annotations

from apps.services.chair.colour_reader import reader_address
from apps.services.loading import Loaded
from apps.services.tone import queries as tone_queries
from apps.services.tone.schemas import ReviewOut, ToneOut
from apps.services.wording import conflicts_out, undo_of, zone_names
from fervens_core.basin import ToneChoice
from fervens_core.head import Tone
from fervens_core.log import Phase


def review_out(loaded: Loaded) -> ReviewOut:
    """The review now."""
    row, now = loaded.row, loaded.now
    names = zone_names(loaded)
    return ReviewOut(
        service_id=row.pk,
        step=loaded.state.step,
        tone=Tone(row.tone),
        review=tone_queries.review(loaded, now),
        open_zones=[names.get(x.key, x.key) for x in loaded.state.lanes if x.phase is not Phase.RINSED],
        lightener_name=row.lightener.name if row.lightener else "",
        undo=undo_of(loaded),
        has_reader=loaded.round is None and reader_address() is not None,
        server_now=now,
    )


def tone_out(loaded: Loaded, choice: ToneChoice) -> ToneOut:
    """The tone step now."""
    row, now = loaded.row, loaded.now
    names = zone_names(loaded)
    return ToneOut(
        service_id=row.pk,
        step=loaded.state.step,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        most_bowls=choice.most_bowls,
        tone_step=tone_queries.tone(loaded, now, choice=choice),
        open_zones=[names.get(x.key, x.key) for x in loaded.state.lanes if x.phase is not Phase.RINSED],
        undo=undo_of(loaded),
        conflicts=conflicts_out(loaded),
        has_reader=loaded.round is None and reader_address() is not None,
        server_now=now,
    )
