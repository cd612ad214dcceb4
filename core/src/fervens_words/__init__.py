"""Words: what the core says as codes with values, told in a language. A language is one file of languages/.

The files are Fluent (projectfluent); numbers and days are written as the language writes them (CLDR, through Babel).
"""

from __future__ import annotations

import dataclasses
from collections.abc import Callable
from functools import cache, lru_cache
from importlib.resources import files
from typing import Any, cast

from babel import Locale
from babel.dates import format_date, format_skeleton
from babel.lists import format_list
from babel.numbers import parse_pattern
from babel.units import format_unit
from fluent.runtime import FluentBundle, FluentResource

from fervens_core.base import Message, Value, message_json

DEFAULT = "en"
LOCALES = {"en": "en_GB", "de": "de_DE", "fr": "fr_FR", "es": "es_ES", "ar": "ar_AE"}
"""The locale whose numbers and days a language writes; its own name when it is not here."""


METRIC, US = "metric", "us"
UNITS = (METRIC, US)
"""Grams and millimetres, or ounces and inches. Whatever is shown, all is kept and computed in grams and millimetres."""
G_PER_OZ, MM_PER_INCH = 28.349523125, 25.4
"""Avoirdupois ounce and inch, exact [PUB: NIST Handbook 44, appendix C]."""


def tongue(language: str, units: str = METRIC) -> str:
    """A language together with the units its readers weigh and measure in: what `tell` and `words` take."""
    return language if units == METRIC else f"{language}/{units}"


def _parted(spoken: str) -> tuple[str, str]:
    language, _, units = spoken.partition("/")
    return language, units or METRIC


@cache
def languages() -> tuple[str, ...]:
    """The languages there are, the default first."""
    found = sorted(f.name.removesuffix(".ftl") for f in files(__name__).joinpath("languages").iterdir())
    return (DEFAULT, *(x for x in found if x != DEFAULT))


def catalogue(language: str) -> str:
    """A language's file."""
    return files(__name__).joinpath("languages").joinpath(f"{language}.ftl").read_text(encoding="utf-8")


def _measures(locale: Locale, units: str) -> dict[str, Callable[[Any], str]]:
    """Weights told in g or oz, lengths in mm or in, as the language writes them (CLDR)."""

    def weight(digits: str) -> Callable[[Any], str]:
        if units == US:
            return lambda g: format_unit(float(g) / G_PER_OZ, "mass-ounce", "short", format="0.0#", locale=locale)
        return lambda g: format_unit(float(g), "mass-gram", "short", format=digits, locale=locale)

    def length(mm: Any) -> str:
        if units == US:
            return format_unit(float(mm) / MM_PER_INCH, "length-inch", "short", format="0.0#", locale=locale)
        return format_unit(float(mm), "length-millimeter", "short", format="0.#", locale=locale)

    def figure(us: float, digits: str) -> Callable[[Any], str]:
        pattern = parse_pattern("0.0#" if units == US else digits)
        return lambda value: str(pattern.apply(float(value) / us if units == US else float(value), locale))

    return {
        "WEIGHT": weight("0"),
        "WEIGHT_TENTHS": weight("0.#"),
        "WEIGHT_FIGURE": figure(G_PER_OZ, "0.##"),
        "LENGTH": length,
        "LENGTH_FIGURE": figure(MM_PER_INCH, "0.#"),
    }


def functions(spoken: str) -> dict[str, Callable[[Any], str]]:
    """What a catalogue may call on its values, by name, as the language writes it; `spoken` is a `tongue`."""
    language, units = _parted(spoken)
    locale = _locale(language)

    def number(pattern: str) -> Callable[[Any], str]:
        shape = parse_pattern(pattern)
        return lambda value: shape.apply(float(value), locale)

    def span(minutes: Any) -> str:
        """Minutes as a person says them: 45 min, 2 h 40."""
        hours, rest = divmod(round(float(minutes)), 60)
        said = "both" if hours and rest else "hours" if hours else "minutes"
        return told(f"span-{said}", hours=str(hours), minutes=f"{rest:02d}" if hours else str(rest))

    def told(code: str, **values: str) -> str:
        named = _bundle(language)
        return str(named.format_pattern(cast(Any, named.get_message(code).value), values)[0])

    def _called(name: str) -> str:
        if _bundle(language).has_message(f"field-{name}"):
            return told(f"field-{name}")
        return name.removeprefix("is_").removeprefix("has_").replace("_", " ")

    def field(path: Any) -> str:
        """A field as a person calls it: by the catalogue, else in its own words; its place in a list before it."""
        if " " in str(path) or ".json" in str(path):
            return str(path)  # a place in a file: whoever mends the file looks for it
        *places, name = str(path).replace("]", "").split(".")
        inside = [place.split("[") for place in places]
        listed = [f"{_called(what)} {int(number[0]) + 1}" for what, *number in inside if number and number[0].isdigit()]
        said = ", ".join([*listed, _called(name.split("[")[0])])
        return said[:1].upper() + said[1:]

    return {
        **_measures(locale, units),
        "WHOLE": number("0"),
        "TENTHS": number("0.0"),
        "HUNDREDTHS": number("0.00"),
        "LEVEL": number("0.#"),  # as a person says it: 8, 8.5, 8.2
        "PLAIN": number("0.######"),
        "PERCENT": number("0%"),
        "SPAN": span,
        "FIELD": field,
        "CAPITAL": lambda text: str(text)[:1].upper() + str(text)[1:],
        "LOWER": lambda text: str(text).lower(),
        "DAY": lambda day: str(format_date(day, "long", locale)),
        "DAY_OF_YEAR": lambda day: str(format_skeleton("MMMMd", day, locale=locale)),
    }


@cache
def _locale(language: str) -> Locale:
    return Locale.parse(LOCALES.get(language, language))


@cache
def _bundle(spoken: str) -> FluentBundle:
    language, _ = _parted(spoken)
    locale = _locale(language)
    bundle = FluentBundle([str(locale).replace("_", "-")], functions=cast(Any, functions(spoken)), use_isolating=False)
    bundle.add_resource(FluentResource(catalogue(language)))
    return bundle


def _comma(locale: Locale, *, of_clauses: bool = False) -> str:
    """What stands between things in a row; CLDR's own list without an "and" is not whole for every language."""
    signs = "،؛" if locale.text_direction == "rtl" else ",;"
    return f"{signs[of_clauses]} "


def _plain(value: Value, spoken: str) -> Any:
    if isinstance(value, Message):
        return tell(value, spoken)
    if isinstance(value, tuple):
        return _comma(_locale(_parted(spoken)[0])).join(str(_plain(v, spoken)) for v in value)
    return value


_LISTS: dict[str, Callable[[list[str], Locale], str]] = {
    "list-and": lambda told, locale: str(format_list(told, locale=locale)),
    "list-semicolons": lambda told, locale: _comma(locale, of_clauses=True).join(told),
    "list-sentences": lambda told, locale: " ".join(told),
}
"""Ways to say several things in a row, which no catalogue has to name."""


@lru_cache(maxsize=8192)
def tell(message: Message, spoken: str = DEFAULT) -> str:
    """A message in a language; what the language does not have is told in the default one, else by its code.

    Args:
        spoken: of `languages()`, or a `tongue`.
    """
    language, units = _parted(spoken)
    if message.code in _LISTS:
        (items,) = (v for _, v in message.items)
        told = [str(_plain(v, spoken)) for v in (items if isinstance(items, tuple) else (items,))]
        return _LISTS[message.code](told, _locale(language))
    name, _, attribute = message.code.partition(".")
    for known in dict.fromkeys((language if language in languages() else DEFAULT, DEFAULT)):
        asked = tongue(known, units)
        bundle = _bundle(asked)
        if not bundle.has_message(name):
            continue
        found = bundle.get_message(name)
        pattern = found.attributes.get(attribute) if attribute else found.value
        if pattern is not None:
            values = {k: _plain(v, asked) for k, v in message.items}
            return str(bundle.format_pattern(pattern, values)[0])
    return message.code


def words(value: Message | str, spoken: str = DEFAULT) -> str:
    """A message told; a text that is one already (a name somebody gave) as it is."""
    return tell(value, spoken) if isinstance(value, Message) else value


def plainly(value: Any, told: Callable[[Message], Any] = lambda message: message) -> Any:
    """An answer as dictionaries, lists and plain values; what becomes of its messages is for `told` to say."""
    if isinstance(value, Message):
        return told(value)
    if dataclasses.is_dataclass(value) and not isinstance(value, type):
        return {f.name: plainly(getattr(value, f.name), told) for f in dataclasses.fields(value)}
    if isinstance(value, dict):
        return {k: plainly(v, told) for k, v in value.items()}
    if isinstance(value, list | tuple):
        return [plainly(v, told) for v in value]
    return value


def for_programs(value: Any) -> Any:
    """An answer as JSON for programs: every message with its code, its values, and its words in English as `text`."""
    return plainly(value, lambda message: {**message_json(message), "text": tell(message)})
