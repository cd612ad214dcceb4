"""One client through all steps in a real browser, by hand and by key."""

import datetime as dt
import re

from conftest import PASSWORD
from playwright.sync_api import expect

from apps.services.models import ServiceEvent

from .conftest import open_service, pick, still


def zone(page, name):
    return page.get_by_role("group", name="Zones").get_by_role("button", name=name)


def pick_level(page, legend, level):
    group = page.get_by_role("group", name=legend)
    swatch = page.get_by_role("radio", name=re.compile(rf"^{level}(,|$)"))
    group.locator("label").filter(has=swatch).click()


def test_one_client_from_first_reading_to_filed_record(signed_in):
    page = signed_in
    page.get_by_role("button", name="New service").click()
    page.get_by_label("Name", exact=True).fill("Hedda Lark")
    page.get_by_role("button", name="Add “Hedda Lark” and start").click()

    # consultation: two zones read at once
    page.get_by_role("heading", name="The person and the wish").wait_for()
    page.get_by_label("The wish, in the client's words").fill("Fair, and cool.")
    pick(page.get_by_role("group", name="Tone wanted").get_by_role("radio", name="Cool"))
    zone(page, "Crown").click()
    zone(page, "Top").click()
    pick_level(page, "Level now", "5")
    pick_level(page, "Level wanted", "8")
    page.get_by_role("button", name="None").click()
    expect(zone(page, "Crown")).to_contain_text("5→8")
    expect(page.get_by_text("Kept", exact=True)).to_be_visible()
    expect(page.get_by_role("button", name="Seen to all 2: plan it")).to_be_enabled()  # both are on the screen
    acknowledge = page.get_by_role("button", name="I have seen to it")
    expect(acknowledge.first).to_be_visible()
    while acknowledge.count():
        before = acknowledge.count()
        acknowledge.first.click()
        expect(acknowledge).to_have_count(before - 1)
    page.get_by_role("button", name="Plan it").click()

    # plan: amounts to weigh, then to the chair
    page.get_by_role("heading", name="Mixing list").wait_for()
    expect(page.get_by_role("row", name=re.compile("Crown"))).to_contain_text("vol")
    page.get_by_role("button", name="To the chair").click()

    # chair: both zones on, the first read and rinsed, the second rinsed
    page.get_by_role("heading", name=re.compile("^Mix the bowl for Crown")).wait_for()
    page.get_by_role("button", name="Only this").click()  # one bowl for both: the same strength
    page.get_by_role("heading", name="Start Crown").wait_for()
    page.get_by_role("button", name="First section on").click()
    page.get_by_role("heading", name="Finish applying Crown").wait_for()
    page.get_by_role("button", name="Last section on").click()  # and the first of the next, in one act
    page.get_by_role("heading", name="Finish applying Top").wait_for()
    page.get_by_role("button", name="Last section on").click()
    page.get_by_role("heading", name="Finish applying Top").wait_for(state="detached")
    page.get_by_role("button", name=re.compile("1 Crown")).click()
    page.get_by_role("heading", name="Crown", exact=True).wait_for()
    pick_level(page, "Tap the swatch that matches", "6.5")
    expect(page.get_by_role("status").filter(has_text="Crown read at 6.5")).to_be_visible()
    for number, name in ((1, "Crown"), (2, "Top")):
        page.get_by_role("button", name=re.compile(f"{number} {name}")).click()
        page.get_by_role("button", name=re.compile("^Rinsed")).last.click()
        expect(page.get_by_role("heading", name=name, exact=True)).to_have_count(0)

    # review: read dry, both on target, on to the tone
    page.get_by_role("button", name="Go on").click()
    page.get_by_role("button", name="Read Crown").click()
    for name in ("Crown", "Top"):  # the next unread zone opens by itself
        page.get_by_role("heading", name=name, exact=True).wait_for()
        pick_level(page, "Tap the swatch that matches", "8")
        expect(page.get_by_text(f"{name} read at 8")).to_be_visible()  # under the next zone's panel
    expect(page.get_by_text("All on target: tone now.")).to_be_visible()
    page.get_by_role("button", name="To the tone").click()

    # tone: no patch test was read, so only the wash may be used; put on and rinsed
    expect(page.get_by_text("No oxidative toner on this person")).to_be_visible()
    expect(page.get_by_role("region", name=re.compile("one rinse"))).to_contain_text(re.compile("Lilac wash|Ink wash"))
    page.get_by_role("article", name="Crown").get_by_role(
        "button", name=re.compile(r"Bowl \d is on Crown alone")
    ).click()
    page.get_by_role("article", name="Crown").get_by_role("button", name="Rinsed").click()
    expect(page.get_by_role("article", name="Crown")).to_contain_text("rinsed")

    # record: filed with its readings and its toner
    page.get_by_role("link", name="To the record").click()
    page.get_by_label("Two things that worked").fill("Small bowls.")
    page.get_by_label("One thing to change").fill("Start with the top.")
    page.get_by_role("button", name="File the service").click()
    expect(page.get_by_text("Small bowls.")).to_be_visible()
    expect(page.get_by_text(re.compile("filed \\d"))).to_be_visible()
    page.get_by_role("button", name="Show").click()
    log = page.get_by_role("region", name=re.compile("The log"))
    expect(log).to_contain_text("Crown: read 6.5 (wiped)")
    expect(log).to_contain_text("Crown: read 8 (dry)")
    expect(page.get_by_role("region", name="Toner", exact=True)).to_contain_text(re.compile("Lilac wash|Ink wash"))

    # it is still there tomorrow, and on the client's card
    page.reload()
    expect(page.get_by_text("Start with the top.")).to_be_visible()
    page.get_by_role("link", name="Hedda Lark").click()
    expect(page.get_by_role("region", name="Over the years")).to_contain_text("Start with the top.")


def test_a_reload_in_mid_service_loses_nothing(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    lanes = page.get_by_role("region", name="Zones on the head").get_by_role("img")
    expect(lanes.first).to_be_visible()

    def seen():
        names = [lanes.nth(i).get_attribute("aria-label") for i in range(lanes.count())]
        return [n for n in names if n and ": " in n]

    def whole_minutes(texts):
        return [re.sub(r"\d+(\.\d+)?", "#", t.split(", target")[0]) for t in texts]

    before = seen()
    page.reload()
    expect(lanes.first).to_be_visible()
    assert whole_minutes(seen()) == whole_minutes(before)
    assert len(before) == 8


def test_toner_clocks_go_on_through_a_reload(signed_in):
    page = signed_in
    open_service(page, "Tobias Renn", "tone")
    timers = page.get_by_role("article").get_by_role("timer")
    expect(timers).to_have_count(6)

    def seconds():
        return [int(m) * 60 + int(s) for m, s in (t.split(":") for t in timers.all_inner_texts())]

    before = seconds()
    page.reload()
    expect(timers).to_have_count(6)
    # derived from the log: they lost only the seconds the reload took
    assert all(0 <= a - b < 60 for a, b in zip(before, seconds(), strict=True))


def test_undo_at_the_chair_puts_the_zone_back(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("button", name="Wiped out", exact=True).click()
    notice = page.get_by_role("status").filter(has_text="Low back wiped out")
    expect(notice).to_be_visible()
    lane = page.get_by_role("img", name=re.compile("^Low back: "))
    expect(lane).to_have_attribute("aria-label", re.compile("rinsed"))
    notice.get_by_role("button", name="Undo").click()
    expect(lane).to_have_attribute("aria-label", re.compile("processing"))
    expect(page.get_by_role("heading", name="Wipe out Low back")).to_be_visible()


def test_the_chair_by_keyboard_alone(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("heading", name="Wipe out Low back").wait_for()
    page.locator("body").click(position={"x": 5, "y": 400})
    before = logged("Ilse Varga")
    page.keyboard.press("Space")  # due in two minutes, not yet
    page.wait_for_timeout(300)
    let_pass("Ilse Varga", 2.5)
    page.wait_for_timeout(1_100)  # a board is kept for a second, by the server, and on the device
    page.evaluate("localStorage.clear()")
    page.reload()
    page.get_by_role("heading", name="Wipe out Low back").wait_for()
    page.get_by_role("timer", name=re.compile("to the wall")).wait_for()
    assert logged("Ilse Varga") == before
    page.locator("body").click(position={"x": 5, "y": 400})
    page.keyboard.press("Space")
    expect(page.get_by_role("img", name=re.compile("^Low back: rinsed"))).to_be_visible()
    page.keyboard.press("u")
    expect(page.get_by_role("img", name=re.compile("^Low back: processing"))).to_be_visible()
    page.keyboard.press("4")
    page.get_by_role("heading", name="Left side", exact=True).wait_for()
    page.get_by_role("radio", name=re.compile("^7.5")).wait_for()
    page.locator("[role=dialog] :focus").wait_for()  # a sheet that opens takes the focus once
    still(page)
    page.get_by_role("radio", name=re.compile("^7.5")).focus()
    page.keyboard.press("Space")
    expect(page.get_by_role("status").filter(has_text="Left side read at 7.5")).to_be_visible()


def test_undo_takes_back_the_act_that_is_still_on_its_way_and_none_before_it(signed_in):
    page = signed_in
    let_pass("Ilse Varga", 2.5)
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("heading", name="Wipe out Low back").wait_for()
    page.get_by_role("timer", name=re.compile("to the wall")).wait_for()
    before = logged("Ilse Varga")
    held = []
    # the server's first answer is long in coming
    page.route("**/events", lambda route: route.continue_() if held else held.append(route))
    page.locator("body").click(position={"x": 5, "y": 400})
    page.keyboard.press("Space")
    expect(page.get_by_role("img", name=re.compile("^Low back: rinsed"))).to_be_visible()  # painted all the same
    page.keyboard.press("u")
    held[0].continue_()
    expect(page.get_by_role("img", name=re.compile("^Low back: processing"))).to_be_visible()
    expect(page.get_by_role("status").filter(has_text="Taken back: Low back wiped out.")).to_be_visible()
    assert logged("Ilse Varga") == before + 2


def test_a_declined_client_cannot_be_planned(signed_in):
    page = signed_in
    open_service(page, "Bruno Salt", "consultation")
    expect(page.get_by_text("Not today: salts test is positive")).to_be_visible()
    expect(page.get_by_text("This cannot be acknowledged away.")).to_be_visible()
    expect(page.get_by_role("button", name="Plan it")).to_be_disabled()
    expect(page.get_by_role("navigation", name="Steps of this service").get_by_role("link", name="Plan")).to_have_count(
        0
    )


def test_the_finish_line_is_dragged_and_nudged_and_developers_follow(signed_in):
    page = signed_in
    open_service(page, "Wren Adair", "plan")
    line = page.get_by_role("slider", name=re.compile("^Trip .*basin")).last
    line.wait_for()
    before = round(float(line.get_attribute("aria-valuenow")))
    line.focus()
    with page.expect_response(lambda r: r.request.method == "PUT"):  # kept after a pause of its own
        page.keyboard.press("ArrowLeft")
    expect(line).to_have_attribute("aria-valuenow", str(before - 1))
    top = page.get_by_role("button", name="Fringe: stronger developer")
    row = page.locator("div.plan-row").filter(has=top)
    strong = row.inner_text()
    line.scroll_into_view_if_needed()
    box = line.bounding_box()
    page.mouse.move(box["x"] + box["width"] / 2, box["y"] + 12)
    page.mouse.down()
    page.mouse.move(box["x"] - 60, box["y"] + 12, steps=8)
    with page.expect_response(lambda r: r.request.method == "PUT"):
        page.mouse.up()
    expect(line).not_to_have_attribute("aria-valuenow", str(before - 1))
    expect(row).not_to_have_text(strong)
    kept = line.get_attribute("aria-valuenow")
    page.reload()
    expect(line).to_have_attribute("aria-valuenow", kept)
    page.get_by_role("button", name="Propose all anew").click()
    expect(line).to_have_attribute("aria-valuenow", str(before))


def test_a_plan_is_changed_and_taken_back(signed_in):
    page = signed_in
    open_service(page, "Wren Adair", "plan")
    page.get_by_role("heading", name="Mixing list").wait_for()
    row = page.locator("div.plan-row").filter(has=page.get_by_role("button", name="Nape: weaker developer"))
    before = row.inner_text()
    row.get_by_role("button", name="Nape: weaker developer").click()
    expect(row).to_contain_text("yours")
    page.get_by_role("button", name="Move Nape").press("ArrowUp")
    expect(page.locator("div.plan-row span.narrow").nth(5)).to_have_text("Nape")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("div.plan-row span.narrow").nth(6)).to_have_text("Nape")
    grip, low = (page.get_by_role("button", name=f"Move {name}") for name in ("Top", "Low back"))
    grip.scroll_into_view_if_needed()
    at, to = grip.bounding_box(), low.bounding_box()
    page.mouse.move(at["x"] + 10, at["y"] + 20)
    page.mouse.down()
    page.mouse.move(to["x"] + 10, to["y"] + 20, steps=6)
    page.mouse.up()
    expect(page.locator("div.plan-row span.narrow").first).to_have_text("Top")
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("div.plan-row span.narrow").first).to_have_text("Low back")
    page.get_by_role("button", name="Undo").click()
    expect(row).not_to_contain_text("yours")
    assert row.inner_text() == before
    page.get_by_role("button", name="Product and hands").click()
    page.get_by_label("Lightener").select_option(label="River clay, open air, 60 min")
    expect(page.get_by_text("River clay, open air · last rinse")).to_be_visible()
    expect(page.get_by_text(re.compile(r"\d of 8 stop short"))).to_be_visible()


def test_an_assistant_cannot_take_a_plan_and_is_told_why(signed_in, address):
    page = signed_in
    page.get_by_role("button", name="Sign out").click()
    page.get_by_label("Name").fill("juno")
    page.get_by_label("Password").fill(PASSWORD)
    page.get_by_role("button", name="Sign in").click()
    page.get_by_role("heading", name="Today").wait_for()
    open_service(page, "Wren Adair", "plan")
    page.get_by_role("button", name="To the chair").click()
    expect(page.get_by_role("alert")).to_contain_text("An assistant cannot write a plan; ask a technician.")
    expect(page.get_by_role("heading", name="Mixing list")).to_be_visible()


def test_undo_in_the_consultation(signed_in):
    page = signed_in
    open_service(page, "Casimir Holt", "consultation")
    zone(page, "Crown").click()
    pick_level(page, "Level now", "6")
    expect(zone(page, "Crown")).to_contain_text("6→8")
    page.get_by_role("button", name="Undo").click()
    expect(zone(page, "Crown")).to_contain_text("6.5→8")
    page.get_by_role("button", name="Redo").click()
    expect(zone(page, "Crown")).to_contain_text("6→8")
    expect(page.get_by_text("Kept", exact=True)).to_be_visible()
    page.reload()
    expect(zone(page, "Crown")).to_contain_text("6→8")


def test_a_wrong_password_is_told_and_what_was_typed_stays(address, page):
    page.goto(address)
    page.get_by_label("Name").fill("maren")
    page.get_by_label("Password").fill("not this")
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_role("alert")).to_have_text("Name or password is not right.")
    expect(page.get_by_label("Name")).to_have_value("maren")


def let_pass(client, minutes):
    """The service of a client as it stands so many minutes later."""
    for row in ServiceEvent.objects.filter(service__client__name=client):
        row.occurred_at -= dt.timedelta(minutes=minutes)
        row.save()


def logged(client):
    return ServiceEvent.objects.filter(service__client__name=client).count()


def test_a_held_key_does_nothing_more_and_space_acts_only_on_what_is_due(signed_in):
    page = signed_in
    let_pass("Ilse Varga", 6)  # several acts are due
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("heading", name="Wipe out Low back").wait_for()
    page.get_by_role("timer", name=re.compile("to the wall")).wait_for()
    before = logged("Ilse Varga")
    page.locator("body").click(position={"x": 4, "y": 400})
    for _ in range(14):
        page.keyboard.down(" ")
        page.wait_for_timeout(60)
    page.keyboard.up(" ")
    page.wait_for_timeout(600)
    assert logged("Ilse Varga") - before == 1


def test_a_hand_quicker_than_the_sheet_keeps_the_place_it_went_to(signed_in):
    """The sheet comes up slowly and is used meanwhile: the key goes where the hand went, not to the first swatch."""
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    slow = page.context.new_cdp_session(page)
    slow.send("Animation.enable")
    slow.send("Animation.setPlaybackRate", {"playbackRate": 0.1})
    page.get_by_role("button", name="Left side").first.click()
    page.get_by_role("radio", name="Warm", exact=True).focus()
    moved = page.evaluate(
        """async () => {
          const moves = document.querySelector('[role=dialog]').getAnimations({ subtree: true })
          await Promise.allSettled(moves.map((m) => m.finished))
          await new Promise((done) => setTimeout(done, 100))
          return moves.length
        }"""
    )
    assert moved > 0, "the sheet stood still: nothing was tried"
    expect(page.get_by_role("radio", name="Warm", exact=True)).to_be_focused()


def test_undo_beside_an_open_sheet_takes_back_and_leaves_the_sheet_open(signed_in):
    page = signed_in
    open_service(page, "Ilse Varga", "chair")
    page.get_by_role("button", name="Left side").first.click()
    page.get_by_role("heading", name="Left side", exact=True).wait_for()
    before = logged("Ilse Varga")
    page.get_by_role("radio", name="Warm", exact=True).focus()
    page.keyboard.press("Space")
    page.get_by_role("dialog").get_by_role("button", name="Undo").click()
    page.get_by_role("dialog").get_by_text("Taken back").wait_for()
    expect(page.get_by_role("heading", name="Left side", exact=True)).to_be_visible()
    rows = ServiceEvent.objects.filter(service__client__name="Ilse Varga").order_by("-id")
    assert rows[0].kind == "EventVoided"
    assert rows.count() == before + 2
