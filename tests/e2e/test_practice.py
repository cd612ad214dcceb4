"""Practice in the browser: a round at sixty times the speed from the card to its debrief, help, no line, the drill."""

from __future__ import annotations

import re
from uuid import UUID

from coloraide import Color
from playwright.sync_api import TimeoutError, expect

from apps.services import loading
from apps.services.models import PracticeRound, Service
from apps.services.practice.queries import played
from fervens_core.head import ReadingMode
from fervens_core.lift import mode_bias
from fervens_core.practice import head_called, person_of, setup_of

from .conftest import pick
from .test_walk import pick_level

MEAN = """() => {
  const canvas = document.querySelector('canvas')
  const bytes = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data
  const sums = [0, 0, 0]
  for (let i = 0; i < bytes.length; i += 4) for (let k = 0; k < 3; k++) sums[k] += (bytes[i + k] / 255) ** 2.2
  return sums.map((sum) => (sum / (bytes.length / 4)) ** (1 / 2.2))
}"""
"""The colour of a drawn strand as a whole: light is added up, not its code."""


def to_practice(page) -> None:
    page.get_by_role("link", name="Practice", exact=True).click()
    page.get_by_role("heading", name="Practice").wait_for()


def begin(page, head: str, *, seed: int = 3, help: str = "The full board", wrong: bool = False) -> UUID:
    to_practice(page)
    pick(page.get_by_role("radio", name=re.compile(f"^{head}")))
    pick(page.get_by_role("radio", name=help))
    page.get_by_role("checkbox", name="Things go wrong").set_checked(wrong)
    page.get_by_role("textbox", name="Seed").fill(str(seed))
    page.get_by_role("button", name="Begin").click()
    page.wait_for_url("**/consultation")
    return UUID(page.url.split("/")[-2])


def to_chair(page) -> None:
    acknowledge = page.get_by_role("button", name="I have seen to it")
    expect(acknowledge.first).to_be_visible()
    while acknowledge.count():
        before = acknowledge.count()
        acknowledge.first.click()
        expect(acknowledge).to_have_count(before - 1, timeout=60_000)  # an act that was cut off is sent again
    page.get_by_role("button", name="Plan it").click()
    page.get_by_role("button", name="To the chair").click()
    page.wait_for_url("**/chair")


HANDS = re.compile("^(Mixed|First section on|Last section on|Mix the bowl for |Start |Finish applying )")

IN_SHEET = re.compile("^(Bowl is mixed|First section on|Last section on)")


def put_all_on(page, service: UUID) -> None:
    """Everything on, one after the other; in practice as well that takes the time it takes."""
    for _ in range(40):
        loaded = loading.load(loading.with_parts(Service.everything.all()).get(pk=service))
        if all(x.finished_at for x in loaded.state.lanes):
            return
        acts = len(loaded.log)
        hands = page.get_by_role("button", name=HANDS)
        waiting = page.get_by_role("img", name=re.compile(": (waiting|applying)"))
        expect(hands.or_(waiting).first).to_be_visible()
        if not hands.count():  # what comes later stands behind looks that are due: by its lane
            waiting.first.click()
            hands = page.get_by_role("dialog").get_by_role("button", name=IN_SHEET)
        hands.first.click()
        for _ in range(100):
            if Service.everything.get(pk=service).events.count() > acts:
                break
            page.wait_for_timeout(50)
        page.wait_for_timeout(150)
    raise AssertionError("hands that never finish")


def truth(service: UUID, lane: str, *, is_first: bool) -> float:
    """Level the hair that is looked at really has, to the half: an eye that is never wrong."""
    loaded = loading.load(loading.with_parts(Service.everything.all()).get(pk=service))
    found = played(loaded)
    seen = found.truth.level_at(found.chair.state.lane(lane), loaded.now, is_first=is_first) + mode_bias(
        ReadingMode.WIPED
    )
    return round(seen * 2) / 2


def lanes_of(service: UUID):
    loaded = loading.load(loading.with_parts(Service.everything.all()).get(pk=service))
    return [(x.key, str(z.name)) for x in loaded.state.lanes for z in loaded.lanes if z.key == x.key]


def test_a_round_at_sixty_times_the_speed_from_the_card_to_its_debrief(signed_in):
    page = signed_in
    service = begin(page, "Three zones", seed=10)  # hair about as it is expected: the hands can keep up with it
    expect(page.get_by_role("region", name="Practice")).to_contain_text("Even")
    page.get_by_role("button", name="Find out").click()
    page.get_by_role("button", name="Ask").first.click()
    expect(page.get_by_role("button", name="Ask")).to_have_count(2)
    page.get_by_role("button", name="Close").click()
    to_chair(page)
    put_all_on(page, service)
    page.get_by_role("button", name="×60").click()
    stopped = page.get_by_role("button", name="Run on", exact=True)
    for _ in range(60):
        loaded = loading.load(loading.with_parts(Service.everything.all()).get(pk=service))
        if all(x.rinsed_at for x in loaded.state.lanes):
            break
        acts = len(loaded.log)
        off = page.get_by_role("button", name=re.compile("^(Rinsed|Wiped out|All rinsed)( *then on to the review)?$"))
        read = page.get_by_role("button", name="Read it", exact=True)
        expect(stopped).to_be_visible(timeout=60_000)  # what is due waits for the hand, on the slowest machine
        expect(read.or_(off).first).to_be_visible()
        if read.count():
            try:  # once it is due the board is asked again: another act may have become the next one
                title = page.get_by_role("heading", name=re.compile("^Wipe and read")).inner_text(timeout=2_000)
                read.click(timeout=2_000)
            except TimeoutError:
                continue
            key, name = next((k, n) for k, n in lanes_of(service) if n.lower() in title.lower())
            page.get_by_role("button", name="Open it and look").click()
            expect(page.get_by_role("img", name="The strand, wiped")).to_be_visible()
            before = page.get_by_label("The clock of this round", exact=True).inner_text()
            page.wait_for_timeout(1500)  # a minute and a half, if it ran on
            assert page.get_by_label("The clock of this round", exact=True).inner_text() == before
            first = page.get_by_role("radio", name=re.compile("^First on"))
            level = truth(service, key, is_first=bool(first.count()) and first.is_checked())
            pick_level(page, "Tap the swatch that matches", f"{level:g}")
            expect(page.get_by_role("heading", name=name, exact=True)).to_have_count(0)
        elif off.count():  # what is next may just have changed
            try:
                off.first.click(timeout=2_000)
            except TimeoutError:
                continue
        for _ in range(100):
            if Service.everything.get(pk=service).events.count() > acts:
                break
            page.wait_for_timeout(50)
    page.get_by_role("button", name="End and debrief").click()
    page.wait_for_url("**/practice/*")
    expect(page.get_by_role("region", name="Three sentences").get_by_role("paragraph")).to_have_count(3)
    expect(page.get_by_role("button", name="Undo", exact=True)).to_have_count(0)  # a round that is over has none
    ways = page.get_by_role("region", name="Three ways with this head")
    expect(ways.get_by_role("row", name=re.compile("^You"))).to_contain_text("3 of 3")
    expect(ways.get_by_role("row", name=re.compile("The best for this hair"))).to_contain_text("3 of 3")

    # the round once more under the slider, and from there on otherwise
    moment = page.get_by_role("slider", name=re.compile("The moment"))
    moment.fill("20")
    hair = page.get_by_role("region", name="What the hair did")
    expect(hair).to_contain_text("rinsed now:")
    page.get_by_role("button", name="From here").click()
    page.wait_for_url("**/chair")
    expect(page.get_by_role("region", name="Zones on the head").get_by_role("button")).to_have_count(3)
    other = UUID(page.url.split("/")[-2])
    assert PracticeRound.objects.get(service_id=other).setup == PracticeRound.objects.get(service_id=service).setup

    # nothing of it on the day, and both rounds in the practice room
    to_practice(page)
    expect(page.get_by_role("region", name="Over")).to_contain_text("3 of 3")
    expect(page.get_by_role("region", name="In work")).to_contain_text("Three zones")
    page.get_by_role("link", name="Day", exact=True).click()
    page.get_by_role("heading", name="Today").wait_for()
    expect(page.get_by_text("Three zones")).to_have_count(0)


def test_without_help_there_are_only_clocks_and_the_hair(signed_in):
    page = signed_in
    service = begin(page, "Three zones", help="Only clocks")
    to_chair(page)
    put_all_on(page, service)
    board = page.get_by_role("region", name="Zones on the head")
    expect(board.get_by_role("button")).to_have_count(3)
    expect(page.get_by_role("button", name="Read it", exact=True)).to_have_count(0)
    colours = page.evaluate(
        "() => [...document.querySelectorAll('linearGradient stop')].map((s) => s.getAttribute('stop-color'))"
    )
    assert set(colours) == {"#8a8a8a"}
    page.get_by_role("button", name=re.compile(r"^\d ")).first.click()
    expect(page.get_by_text("Should look like")).to_have_count(0)
    page.get_by_role("button", name="Open it and look").click()
    expect(page.get_by_role("img", name="The strand, wiped")).to_be_visible()


def test_a_round_goes_on_without_a_line_once_it_is_open(signed_in):
    page = signed_in
    service = begin(page, "Three zones")
    to_chair(page)
    put_all_on(page, service)
    expect(page.get_by_role("button", name=re.compile("^(Read it|Rinsed)"))).to_be_visible()
    page.get_by_role("button", name=re.compile(r"^\d ")).last.click()  # what came on last is there: the round is open
    page.get_by_role("button", name="Open it and look").click()
    expect(page.get_by_role("img", name="The strand, wiped")).to_be_visible()
    page.get_by_role("button", name="Close").click()
    page.get_by_role("button", name="×60").click()
    page.context.set_offline(True)
    before = page.get_by_label("The clock of this round").inner_text()
    expect(page.get_by_label("The clock of this round")).not_to_have_text(before)  # time goes by
    page.get_by_role("button", name=re.compile(r"^\d ")).first.click()
    page.get_by_role("button", name="Open it and look").click()
    expect(page.get_by_role("img", name="The strand, wiped")).to_be_visible()
    pick_level(page, "Tap the swatch that matches", "7")
    expect(page.get_by_text(re.compile("acts? waits?")).first).to_be_visible()
    page.context.set_offline(False)
    expect(page.get_by_text(re.compile("acts? waits?"))).to_have_count(0)
    kinds = list(Service.everything.get(pk=service).events.values_list("kind", flat=True))
    assert {"FoilOpened", "ReadingTaken"} <= set(kinds)


def test_a_positive_salts_test_stops_a_round_and_declining_it_is_right(signed_in):
    page = signed_in
    seed = next(s for s in range(400) if person_of(setup_of(head_called("tint"), s)).has_salts)
    begin(page, '“Never coloured”|^"Never', seed=seed)
    page.get_by_role("button", name="Find out").click()
    page.get_by_role("button", name="Test").last.click()
    expect(page.get_by_text("grows warm")).to_be_visible()
    page.get_by_role("button", name="Close").click()
    page.get_by_text("Tests", exact=True).click()
    page.get_by_role("button", name="Done: tell what it did").click()
    page.get_by_text("It warms").click()
    expect(page.get_by_text("Positive: metallic salts")).to_be_visible()
    expect(page.get_by_role("button", name="Plan it")).to_be_disabled()
    page.get_by_role("button", name="End and debrief").click()
    page.wait_for_url("**/practice/*")
    expect(page.get_by_role("region", name="Three sentences")).to_contain_text("did not lighten")


def test_twelve_strands_are_named_and_told_at_once(signed_in):
    page = signed_in
    to_practice(page)
    page.get_by_role("link", name=re.compile("Eye drill")).click()
    page.get_by_role("heading", name="Eye drill").wait_for()
    with page.expect_response(re.compile("/api/practice/drill")) as answer:
        page.get_by_role("button", name="Begin").click()
    strands = answer.value.json()["strands"]
    for number in range(12):
        expect(page.get_by_role("heading", name=f"Strand {number + 1} of 12")).to_be_visible()
        expect(page.get_by_role("img", name="A strand to name")).to_be_visible()
        assert Color("srgb", page.evaluate(MEAN)).delta_e(strands[number]["colours"]["body"], method="2000") < 2.0
        pick_level(page, "Its level", "7")
        page.get_by_role("button", name="yellow-orange", exact=True).click()
        if number < 11:
            expect(page.get_by_text(re.compile("The last: you said 7"))).to_be_visible()
    expect(page.get_by_role("heading", name=re.compile("^12 named"))).to_be_visible()
    expect(page.get_by_text(re.compile("Your eye on a screen, dry"))).to_be_visible()
    page.get_by_role("link", name="To practice").click()
    expect(page.get_by_text(re.compile("12 answers on a screen"))).to_be_visible()
