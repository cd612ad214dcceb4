"""A head read in one typed line, in the words of who types it."""

from __future__ import annotations

from apps.common.words import in_words
from apps.services.consultation.schemas import ReadLineOut, ShorthandIn
from fervens_core.base import say
from fervens_core.head import USUAL_HEAD, History, Meaning, Part, Porosity, Word, read_shorthand

TOLD: tuple[Meaning, ...] = (*Word, *(p for p in Part if p is not Part.WHOLE), *History, *Porosity)


def _code(meaning: Meaning) -> str:
    return f"shorthand-{type(meaning).__name__.lower()}_{meaning}"


def vocabulary() -> dict[str, Meaning]:
    """What words mean in the language of the request: each of a catalogue's texts names some, parted by bars."""
    found: dict[str, Meaning] = {}
    for meaning in TOLD:
        for words in in_words(say(_code(meaning))).lower().split("|"):
            found[words.strip()] = meaning
    return found


def read_line(asked: ShorthandIn) -> list[ReadLineOut]:
    """What a typed line says of the usual head's zones and of the service's own. Raises LimitError."""
    names = {z.key: in_words(z.name) for z in USUAL_HEAD} | {z.key: z.name for z in asked.zones}
    sides = {key: next((s for s in ("left", "right") if s in key.split("_")), None) for key in names}
    known = vocabulary() | {" ".join(name.lower().split()): key for key, name in names.items()}
    return [ReadLineOut.from_orm(line) for line in read_shorthand(asked.text, known, sides)]
