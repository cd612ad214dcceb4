"""After the service: paper read back, a second visit, a studio out and in again, a request that lands."""

import datetime as dt
import io
import re
import zipfile

from conftest import make_member, picture
from django.contrib.auth import get_user_model
from django.utils import timezone
from playwright.sync_api import expect
from pypdf import PdfReader

from apps.clients.models import Client
from apps.services.models import Photo, Service
from apps.studio.models import Studio

from .conftest import open_service, sign_in, violations


def test_a_service_is_filed_read_on_paper_and_a_second_visit_taken_from_it(signed_in, address):
    page = signed_in
    open_service(page, "Tobias Renn", "tone")
    rinsed = page.get_by_role("article").get_by_role("button", name="Rinsed")
    rinsed.first.wait_for()
    while rinsed.count():
        left = rinsed.count()
        rinsed.first.click()
        expect(rinsed).to_have_count(left - 1)
    page.get_by_role("link", name="To the record").click()
    page.get_by_label("Two things that worked").fill("Violet to the roots; steady hands")
    page.get_by_label("One thing to change").fill("Begin with the crown")
    page.get_by_role("button", name="File the service").click()
    link = page.get_by_role("link", name="Service card")
    page.get_by_role("link", name="Take-home sheet").wait_for()
    answer = page.request.get(f"{address}{link.get_attribute('href')}")
    text = " ".join(p.extract_text() for p in PdfReader(io.BytesIO(answer.body())).pages)
    row = page.locator("li", has_text="Low back").filter(has_text="vol:").first.inner_text()
    volume = re.search(r"(\d+) vol", row)[1]
    log = Service.objects.get(client__name="Tobias Renn").events
    times = [e.occurred_at for e in log.filter(kind__in=["Rinsed", "ToneBowlApplied"])]
    words = [f"{volume} vol", "Fog 9", "Begin with the crown", "steady hands", *(f"{t:%H:%M}" for t in times)]
    assert [w for w in words if w not in text] == []
    sheet = page.request.get(f"{address}{page.get_by_role('link', name='Take-home').get_attribute('href')}").body()
    assert "How to care for it" in PdfReader(io.BytesIO(sheet)).pages[0].extract_text()

    page.get_by_label("Add to the record").fill("She called: it held in the rain.")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.get_by_role("listitem").filter(has_text="it held in the rain")).to_contain_text("Maren Okoye")
    photo = {"name": "after.jpg", "mimeType": "image/jpeg", "buffer": picture(800, 600).getvalue()}
    page.get_by_label("Add photos, after").set_input_files(photo)
    shown = page.get_by_role("img", name="After, hair")
    shown.scroll_into_view_if_needed()
    expect(shown).to_have_js_property("naturalWidth", 800)

    page.get_by_role("region", name="Next visit").get_by_label("At").fill("14:30")
    page.get_by_role("button", name="Book it").click()
    booked = page.get_by_role("button", name=re.compile("^Booked: ")).first
    expect(booked).to_contain_text("14:30")
    visit = page.request.get(f"{address}{page.get_by_role('link', name='For a diary').get_attribute('href')}")
    assert "BEGIN:VEVENT" in visit.text()
    page.get_by_role("button", name="Cancel it").click()
    expect(booked).to_have_count(0)
    page.get_by_role("button", name="Book it").click()
    booked.click()
    page.wait_for_url("**/consultation")
    page.get_by_role("group", name="Zones").get_by_role("button", name="Low back").click()
    page.get_by_role("tab", name="Root").click()
    assert float(page.get_by_label("Regrowth", exact=True).input_value()) > 5


def test_a_client_over_the_years_and_again_from_last_time(signed_in):
    page = signed_in
    page.get_by_label("Find a client or a service").fill("odi")
    page.get_by_role("region", name="Found").get_by_role("link", name="Odile Brandt", exact=True).click()
    visits = page.get_by_role("region", name="Over the years").get_by_role("listitem")
    expect(visits).to_have_count(3)
    expect(visits.nth(2)).to_contain_text("Even at the rinse")
    expect(page.get_by_text("longer than one root application takes")).to_be_visible()
    expect(page.get_by_role("region", name="Contact load")).to_contain_text("visit")
    page.get_by_role("button", name="Start from last time").click()
    page.wait_for_url("**/consultation")
    expect(page.get_by_text(re.compile("past 12 mm|longer than 12|12 mm")).first).to_be_visible()


def archive(page, address):
    return page.request.get(f"{address}/api/archive").body()


def entries(body):
    with zipfile.ZipFile(io.BytesIO(body)) as file:
        return {n: file.read(n) for n in file.namelist() if n not in ("archive.json", "members.json", "trail.jsonl")}


def test_a_studio_goes_out_and_comes_into_an_empty_installation(signed_in, address, device):
    page = signed_in
    page.get_by_role("navigation", name="The studio").get_by_role("link", name="Studio").click()
    page.get_by_role("heading", name="Out and in").wait_for()
    with page.expect_download() as download:
        page.get_by_role("link", name="Take it out").click()
    body = download.value.path().read_bytes()
    assert len(entries(body)) >= 3
    Service.everything.all().delete()
    Studio.objects.all().delete()
    get_user_model().objects.all().delete()
    owner = make_member(Studio.objects.create(name="An empty room"), "owner")
    page.context.clear_cookies()
    sign_in(page, address, owner.username)
    expect(page.get_by_text("Nobody is booked on this day")).to_be_visible()
    page.get_by_role("navigation", name="The studio").get_by_role("link", name="Studio").click()
    file = {"name": "studio.zip", "mimeType": "application/zip", "buffer": body}
    page.get_by_label("Bring one in").set_input_files(file)
    expect(page.get_by_role("status").filter(has_text="The studio is here: ")).to_be_visible()
    page.get_by_role("link", name="Fervens, to the day").click()
    expect(page.get_by_role("link", name="Ilse Varga")).to_be_visible()
    assert entries(archive(page, address)) == entries(body)


def test_a_request_lands_in_the_week_as_a_draft(signed_in, address, browser, browser_context_args):
    page = signed_in
    page.get_by_role("navigation", name="The studio").get_by_role("link", name="Studio").click()
    page.get_by_role("button", name="Make a request form").click()
    link = page.get_by_text(re.compile("^http")).inner_text()
    context = browser.new_context(**browser_context_args | {"viewport": {"width": 390, "height": 844}})
    phone = context.new_page()
    phone.goto(link)
    phone.get_by_label("Your name").fill("Nia Vale")
    assert violations(phone) == []
    phone.get_by_label("What you wish for").fill("Pale beige for the gondolier")
    for question, hair in (("Your hair now", "Dark brown"), ("As light as", "Light blonde")):
        radio = phone.get_by_role("group", name=question).get_by_role("radio", name=hair, exact=True)
        radio.locator("xpath=ancestor::label[1]").click()
        expect(radio).to_be_checked()
    day = timezone.localdate() + dt.timedelta(days=1)
    phone.get_by_label("Day", exact=True).fill(day.isoformat())
    phone.get_by_label("You have").select_option("60")
    phone.get_by_label("Photos of your hair").set_input_files(
        {"name": "me.jpg", "mimeType": "image/jpeg", "buffer": picture(300, 200).getvalue()}
    )
    phone.get_by_role("button", name="Send it").click()
    expect(phone.get_by_role("heading", name="Thank you, it has arrived")).to_be_visible()
    expect(phone.get_by_text("longer than the time you asked for")).to_be_visible()
    context.close()
    assert Client.objects.filter(name="Nia Vale").count() == 1
    assert Photo.objects.filter(service__client__name="Nia Vale").count() == 1
    page.get_by_role("link", name="Fervens, to the day").click()
    waits = page.get_by_role("region", name="For the desk")
    expect(waits).to_contain_text("Request, Nia Vale:")
    waits.get_by_role("link", name="Look at it").click()
    page.wait_for_url("**/consultation")
    expect(page.get_by_text(re.compile(r"60 .*booked|booked.* 60|is booked")).first).to_be_visible()
    page.goto(f"{address}/studio")
    page.get_by_role("button", name="Revoke").click()
    expect(page.get_by_text("None works at present.")).to_be_visible()
    phone = browser.new_context(**browser_context_args).new_page()
    phone.goto(link)
    expect(phone.get_by_role("heading", name="This link does not work any more")).to_be_visible()
    phone.context.close()


def test_a_closed_day_is_named_once_and_told_wherever_a_visit_is_put(signed_in, address):
    page = signed_in
    sid = Service.objects.get(client__name="Noor Castell", step="record").pk
    usual = dt.date.fromisoformat(page.request.get(f"{address}/api/services/{sid}/next").json()["proposal"]["on"])
    page.goto(f"{address}/studio")
    settings = page.get_by_role("form", name="Settings")
    settings.get_by_role("button", name="Add closed days").click()
    expect(settings.get_by_label("From")).to_be_focused()
    settings.get_by_label("From").fill(str(usual))
    settings.get_by_label("From").blur()
    expect(settings.get_by_label("To", exact=True)).to_have_value(str(usual))  # a single day is named once
    assert violations(page) == []
    settings.get_by_role("button", name="Keep").click()
    expect(page.get_by_text("Kept.")).to_be_visible()
    page.get_by_role("button", name="Make a request form").click()
    link = page.get_by_text(re.compile("^http")).inner_text()

    page.goto(f"{address}/services/{sid}/record")
    visit = page.get_by_role("region", name="Next visit")
    expect(visit).to_contain_text("The studio is closed on")
    expect(visit.get_by_role("status")).to_have_count(0)
    visit.get_by_label("Day").fill(str(usual))
    expect(visit.get_by_role("status")).to_have_text("The studio is closed that day.")

    page.goto(address)
    page.get_by_role("button", name="Week", exact=True).click()
    here = timezone.localdate()
    for _ in range(
        ((usual - dt.timedelta(days=usual.weekday())) - (here - dt.timedelta(days=here.weekday()))).days // 7
    ):
        page.get_by_role("button", name="Week after").click()
    expect(page.get_by_role("region", name=f"{usual:%a} {usual.day} {usual:%b}")).to_contain_text("closed")

    page.goto(link)
    page.get_by_label("Your name").fill("Nia Vale")
    page.get_by_label("What you wish for").fill("Pale beige for the gondolier")
    page.get_by_label("Day", exact=True).fill(str(usual))
    expect(page.get_by_role("status")).to_have_text("The studio is closed that day.")
    page.get_by_role("button", name="Send it").click()
    expect(page.get_by_role("alert")).to_contain_text("must be a day the studio is open")
    assert not Client.objects.filter(name="Nia Vale").exists()


def test_the_shelf_counts_and_the_studio_learns(signed_in):
    page = signed_in
    places = page.get_by_role("navigation", name="The studio")
    places.get_by_role("link", name="Shelf").click()
    order = page.get_by_role("region", name="To order")
    expect(order).to_contain_text("Harbour 6")
    page.get_by_role("button", name=re.compile("^Harbour 6")).click()
    page.get_by_label("On the shelf, g").fill("120")
    page.get_by_role("button", name="Keep").click()
    expect(order).not_to_contain_text("Harbour 6")
    page.get_by_role("button", name="Add a toner").click()
    page.get_by_label("Name", exact=True).fill("Moss 8")
    page.get_by_label("Green").fill("100")
    page.get_by_role("button", name="Put it on the shelf").click()
    expect(page.get_by_role("button", name=re.compile("^Moss 8"))).to_be_visible()
    places.get_by_role("link", name="Numbers").click()
    chalk = page.get_by_role("listitem").filter(has_text="Chalk powder")
    chalk.get_by_role("button", name=re.compile("^Plan with")).click()
    expect(chalk.get_by_role("button", name="Back to 1.00 and 1.00")).to_be_visible()
    page.get_by_role("button", name="Undo").click()
    expect(chalk).to_contain_text("planned with 1.00 as far, 1.00 as fast")


def test_a_client_is_erased_only_by_name_and_a_bad_table_keeps_all_out(signed_in):
    page = signed_in
    page.get_by_label("Find a client or a service").fill("Marlo")
    page.get_by_role("region", name="Found").get_by_role("link", name="Marlo Fenn", exact=True).click()
    page.get_by_role("button", name="Erase").click()
    gone = page.get_by_role("button", name="Erase for good")
    expect(gone).to_be_disabled()
    page.get_by_label("Type the name").fill("Marlo Fenn")
    gone.click()
    expect(page.get_by_role("heading", name="Today")).to_be_visible()
    assert not Client.objects.filter(name="Marlo Fenn").exists()
    page.get_by_role("navigation", name="The studio").get_by_role("link", name="Studio").click()
    head = "name,birth_date,notes,has_reacted_before,patch_test_placed_on,patch_test_result"
    table = {"name": "c.csv", "mimeType": "text/csv", "buffer": f"{head}\nAda,,,no,,\nBo,soon,,no,,\n".encode()}
    page.get_by_label("Look into a CSV").set_input_files(table)
    expect(page.get_by_text("Line 3, birth_date")).to_be_visible()
    expect(page.get_by_role("button", name="Bring them in")).to_be_disabled()
    table["buffer"] = f"{head}\nAda,,,no,,\nBo,,,no,,\n".encode()
    page.get_by_label("Look into a CSV").set_input_files(table)
    page.get_by_role("button", name="Bring them in").click()
    expect(page.get_by_role("status").filter(has_text="2 clients brought in")).to_be_visible()
