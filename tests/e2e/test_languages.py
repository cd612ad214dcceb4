"""Every language on the page: nothing left in English, axe content, and one service walked in German and in Arabic."""

from __future__ import annotations

import json
import re
from pathlib import Path

import pytest
from conftest import Actor
from demo import load_demo
from django.contrib.auth import get_user_model
from playwright.sync_api import TimeoutError, expect

from apps.clients.models import Client
from apps.services.models import Service, ServiceEvent
from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.models import Membership

from .conftest import loaded, violations

FILES = Path(__file__).parents[2] / "web" / "src" / "languages"
OTHERS = ("de", "fr", "es", "ar")


class Reader:
    """A member of the demo who reads a language, and the words the page has in it."""

    def __init__(self, browser, settings: dict, address: str, language: str) -> None:
        self.words = json.loads((FILES / f"{language}.json").read_text())
        self.errors: list[str] = []
        context = browser.new_context(**settings)
        member = Actor(get_user_model().objects.get(username="maren"))
        kept = {k: v.value for k, v in member.browser.cookies.items()} | {"django_language": language}
        context.add_cookies([{"name": k, "value": v, "url": address} for k, v in kept.items()])
        self.page = context.new_page()
        self.page.on("pageerror", lambda e: self.errors.append(str(e)))
        self.address = address

    def says(self, key: str, form: int = 0) -> str:
        """A message without values, or one of its plural forms."""
        part, name = key.split(".")
        return self.words[part][name].split(" | ")[form]

    def like(self, key: str, form: int = 0) -> re.Pattern[str]:
        """A message whatever its values."""
        return re.compile("^" + re.sub(r"\\\{\w+\\\}", ".*", re.escape(self.says(key, form))) + "$")

    def button(self, key: str, **more):
        return self.page.get_by_role("button", name=self.says(key), **more)

    def to_the_day(self) -> None:
        self.page.goto(self.address)
        self.page.get_by_role("heading", name=self.says("common.today"), exact=True).wait_for()


@pytest.fixture
def reader(address, browser, browser_context_args):
    load_demo()
    made: list[Reader] = []

    def make(language: str, **more) -> Reader:
        made.append(Reader(browser, browser_context_args | more, address, language))
        return made[-1]

    yield make
    for one in made:
        one.page.context.close()
        assert one.errors == []


def names_of_the_demo() -> list[str]:
    """What somebody wrote: it stays as it was written in every language; the longest first."""
    services = Service.objects.all()
    found = [
        *Client.everyone.values_list("name", flat=True),
        *(z.data["name"] for s in services for z in s.zones.all()),
        *services.values_list("wish", flat=True),
        *(row.name for kind in (Lightener, Developer, Toner) for row in kind.objects.all()),
        *(text for m in Membership.objects.all() for text in (m.name, m.user.get_username())),
        *Membership.objects.values_list("studio__name", flat=True),
    ]
    said = [str(v) for s in services for v in s.facts.values() if isinstance(v, str)]
    said += [str(e.data.get(k, "")) for e in ServiceEvent.objects.all() for k in ("recipe", "worked", "change")]
    return sorted({x for x in [*found, *said] if len(x) > 2}, key=len, reverse=True)


SHOWN = """() => {
  const found = []
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  while (walk.nextNode()) {
    const box = walk.currentNode.parentElement
    if (['SCRIPT', 'STYLE'].includes(box.tagName)) continue
    // what a list has to choose from is not drawn until it opens; a language's own name is in that language
    if (box.tagName === 'OPTION' ? box.lang : !box.checkVisibility()) continue
    found.push(walk.currentNode.textContent.trim())
  }
  for (const e of document.querySelectorAll('[aria-label], [placeholder], [title]'))
    found.push(e.getAttribute('aria-label') ?? e.getAttribute('placeholder') ?? e.getAttribute('title'))
  return found
}"""
ALIKE = re.compile(r"Fervens|CGATS|CSV|CIEDE2000|ICS|UTF|JSON|JPEG|Letter|English|Deutsch|Français|Español|iCal")
VIEWS = [
    ("Casimir Holt", "consultation"),
    ("Wren Adair", "plan"),
    ("Ilse Varga", "chair"),
    ("Sanna Quill", "review"),
    ("Tobias Renn", "tone"),
    ("Noor Castell", "record"),
]
PLACES = ["/shelf", "/numbers", "/studio", "/practice", "/account"]


def each_view(one: Reader):
    """Every main view in turn, by its name."""
    one.to_the_day()
    yield "day"
    for client, step in VIEWS:
        service = Service.objects.filter(client__name=client).latest("starts_at")
        one.page.goto(f"{one.address}/services/{service.pk}/{step}")
        one.page.locator("main").first.wait_for()
        one.page.wait_for_timeout(900)
        loaded(one.page)
        yield step
    for path in PLACES:
        one.page.goto(f"{one.address}{path}")
        one.page.locator("main h1").first.wait_for()
        one.page.wait_for_timeout(500)
        loaded(one.page)
        yield path


def test_nothing_is_left_in_english_where_letters_are_others(reader):
    one = reader("ar")
    known = names_of_the_demo()
    left: dict[str, list[str]] = {}
    for view in each_view(one):
        for text in one.page.evaluate(SHOWN):
            rest = text
            for name in known:
                rest = rest.replace(name, " ")
            rest = ALIKE.sub(" ", rest)
            if re.search(r"[A-Za-z]{3}", rest):
                left.setdefault(view, []).append(text)
    assert left == {}, json.dumps(left, ensure_ascii=False)


@pytest.mark.parametrize("language", OTHERS)
def test_no_accessibility_violation_in_any_language(reader, language):
    one = reader(language)
    found = {view: violations(one.page) for view in each_view(one)}
    assert {k: v for k, v in found.items() if v} == {}
    assert one.page.evaluate("document.documentElement.dir") == ("rtl" if language == "ar" else "ltr")
    assert one.page.evaluate("document.documentElement.lang") == language


RUNS_OFF = """() => {
  const off = []
  for (const element of document.querySelectorAll('main *, header *')) {
    if (element.children.length || !element.textContent.trim() || element.closest('.sr-only, svg')) continue
    const { left, right, width, height } = element.getBoundingClientRect()
    if (!element.checkVisibility() || !width || !height) continue
    if (right > window.innerWidth + 1 || left < -1) off.push(element.textContent.trim())
  }
  if (document.documentElement.scrollWidth > window.innerWidth) off.push('the page itself')
  return off
}"""


@pytest.mark.parametrize("language", OTHERS)
def test_nothing_runs_off_a_phone_or_a_tablet_in_any_language(reader, language):
    one = reader(language, viewport={"width": 390, "height": 844})
    off = {}
    for view in each_view(one):
        off[view, "phone"] = one.page.evaluate(RUNS_OFF)
        one.page.set_viewport_size({"width": 820, "height": 1180})
        off[view, "tablet"] = one.page.evaluate(RUNS_OFF)
        if one.page.locator("header").bounding_box()["height"] > 64:
            off[view, "tablet"].append("the header takes two rows")
        one.page.set_viewport_size({"width": 390, "height": 844})
    assert {k: v for k, v in off.items() if v} == {}


@pytest.mark.parametrize(
    ("language", "line"),
    [
        ("de", "alle 5 auf 8,5"),
        ("ar", "أسفل الخلف، أعلى الخلف، قمة الرأس، أعلى الرأس 5 إلى 8.5"),
    ],
)
def test_one_service_from_the_day_to_its_filed_record(reader, language, line):
    one = reader(language)
    page = one.page
    one.to_the_day()
    one.button("common.newService").first.click()
    expect(page.get_by_label(one.says("common.name"), exact=True)).to_be_focused()
    page.keyboard.type("Hedda Lark")
    page.keyboard.press("Enter")
    page.get_by_role("heading", name=one.says("consultationForm.theHead"), exact=True).wait_for()
    field = page.get_by_label(one.says("consultationForm.readTheHeadInOne"), exact=True)
    field.fill(line)
    field.press("Enter")
    expect(page.get_by_role("status").filter(has_text=one.says("common.kept2"))).to_be_visible()
    page.get_by_role("button", name=one.says("cautionList.iHaveSeenToIt", 1)).click()
    page.get_by_role("button", name=one.says("consultationForm.planIt"), exact=True).click()
    page.wait_for_url("**/plan")
    one.button("plan.toTheChair").click()
    page.wait_for_url("**/chair")
    through(one, ["chairNext.mixed", "common.firstSectionOn", "chairNext.lastSectionOn"])
    page.wait_for_url(re.compile("/(review|tone)$"))
    page.get_by_role("button", name=one.like("review.read")).first.click()
    page.get_by_role("dialog").get_by_role("heading").first.wait_for()
    page.get_by_role("dialog").get_by_role("button", name=re.compile(f"^{one.says('readResult.allTheRest')}")).click()
    page.get_by_role("dialog").get_by_role("radio", name=re.compile(r"^8[.,]5")).locator(
        "xpath=ancestor::label[1]"
    ).click()
    page.get_by_role("dialog").wait_for(state="detached")
    page.get_by_role("button", name=one.says("common.toTheTone")).click()
    page.wait_for_url("**/tone")
    over = page.get_by_text(one.says("toneNext.nothingLeft"))
    acts = page.get_by_role("region", name=one.says("common.next"), exact=True).first
    verbs = [
        "toneNext.bowlIsOn",
        "common.emulsified",
        "strandLook.asExpectedByNow",
        "common.rinsed",
        "toneNext.rinsedAll",
    ]
    done = acts.get_by_role("button", name=re.compile("|".join(one.like(verb).pattern for verb in verbs)))
    for _ in range(20):
        expect(over.or_(done).first).to_be_visible()
        if over.count():
            break
        before = acts.get_by_role("heading").inner_text()
        done.click()
        expect(over.or_(acts.get_by_role("heading").filter(has_not_text=before)).first).to_be_visible()
    page.get_by_role("link", name=one.says("common.toTheRecord")).click()
    page.wait_for_url("**/record")
    one.button("record.fileTheService").click()
    expect(page.get_by_text(re.compile(one.says("record.filed").split("{")[0].strip()))).to_be_visible()
    kept = Service.objects.get(client__name="Hedda Lark")
    assert kept.step == "record"
    assert kept.zones.count() == (12 if language == "de" else 4)


def through(one: Reader, keys: list[str]) -> None:
    """Each act of the hand, then whatever is on is rinsed; the last rinse leads on."""
    page = one.page
    title = page.get_by_role("heading", level=1, name=one.says("common.chair"), exact=True)
    chair, elsewhere = page.locator("main").filter(has=title), page.locator("main").filter(has_not=title)
    act = chair.get_by_role("region", name=one.says("common.next"), exact=True)
    act.get_by_role("heading").wait_for()
    hand = act.get_by_role("button", name=re.compile("|".join(f"^{re.escape(one.says(k))}" for k in keys)))
    rinse = chair.get_by_role("button").filter(has_text=one.says("chair.allThatIsOn"))
    trip = chair.get_by_role("button").filter(has_text=re.compile(one.says("chair.trip").split("{")[0].strip()))
    for _ in range(90):
        expect(act.get_by_role("button").first.or_(elsewhere)).to_be_enabled()
        if elsewhere.count():
            return
        said = page.locator("main").inner_text()
        for found in (hand, rinse, trip, act.get_by_role("button")):
            if found.count():
                try:
                    found.first.click(timeout=3_000)
                except TimeoutError:  # an answer of the server brought the next act meanwhile
                    break
                page.wait_for_function("said => document.querySelector('main').innerText !== said", arg=said)
                break
        page.wait_for_timeout(150)
    raise AssertionError("the chair has no end")


def test_a_member_chooses_a_language_once_for_every_device(reader):
    one, other = reader("en"), reader("en")
    one.page.goto(f"{one.address}/account")
    one.page.get_by_label(one.says("language.youRead")).select_option("de")
    expect(one.page.get_by_role("button", name="Abmelden", exact=True)).to_be_visible()
    other.page.goto(other.address)  # it was English until now
    expect(other.page.get_by_role("heading", name="Heute", exact=True)).to_be_visible()
    other.page.goto(f"{other.address}/account")
    other.page.get_by_label("Die Sprache, die Sie lesen, auf jedem Gerät").select_option("")
    expect(other.page.get_by_role("button", name="Sign out", exact=True)).to_be_visible()


def test_who_is_not_signed_in_chooses_a_language_too(address, page):
    load_demo()
    page.goto(address)
    page.get_by_label("Language", exact=True).select_option("ar")
    expect(page.get_by_role("button", name="دخول")).to_be_visible()
    assert page.evaluate("document.documentElement.dir") == "rtl"
    assert violations(page) == []
