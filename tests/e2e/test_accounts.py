"""From an invitation to a second factor, as two people would on two devices."""

from conftest import PASSWORD
from django.contrib.auth import get_user_model
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice
from playwright.sync_api import expect

from .conftest import violations

NEW = "thimble-and-thread"


def code_of(username):
    device = TOTPDevice.objects.get(user__username=username)
    return f"{totp(device.bin_key, device.step, device.t0, device.digits, device.drift):06d}"


def test_an_invitation_becomes_an_account_with_a_second_factor(device, browser, browser_context_args, address):
    page = device("maren")
    page.get_by_role("link", name="Studio", exact=True).click()
    page.get_by_role("button", name="Invite someone").click()
    page.get_by_label("For whom").fill("Tove Lind")
    page.get_by_label("Role", exact=True).select_option("technician")
    page.get_by_role("button", name="Make the link").click()
    made = page.get_by_role("status").filter(has_text="Shown this once")
    link = made.locator("p").nth(1).inner_text()
    expect(page.get_by_text("invited as technician")).to_be_visible()
    assert violations(page) == []

    context = browser.new_context(**browser_context_args)
    tove = context.new_page()
    tove.goto(link)
    tove.get_by_role("heading", name="Welcome to").wait_for()
    expect(tove.get_by_label("First name")).to_have_value("Tove")
    tove.get_by_label("Name to sign in with").fill("tove")
    tove.get_by_label("Password").fill(NEW)
    assert violations(tove) == []
    tove.get_by_role("button", name="Make my account").click()
    tove.get_by_role("heading", name="Today").wait_for()
    tove.goto(link)
    expect(tove.get_by_role("alert")).to_contain_text("opens nothing")

    tove.goto(f"{address}/account")
    factor = tove.get_by_role("region", name="Second factor")
    factor.get_by_label("Your password").fill(NEW)
    factor.get_by_role("button", name="Set it up").click()
    factor.get_by_label("Six digits").fill("000000")
    assert violations(tove) == []
    TOTPDevice.objects.update(throttling_failure_count=0)
    factor.get_by_label("Six digits").fill(code_of("tove"))
    factor.get_by_role("button", name="Ask for codes").click()
    expect(factor.get_by_text("Shown this once")).to_be_visible()
    recovery = factor.get_by_role("status").locator("p").nth(1).inner_text().split()[0]
    tove.get_by_role("button", name="Sign out", exact=True).click()

    tove.get_by_label("Name", exact=True).fill("tove")
    tove.get_by_label("Password", exact=True).fill(NEW)
    tove.get_by_role("button", name="Sign in").click()
    digits = tove.get_by_label("Six digits from your phone")
    expect(digits).to_be_focused()
    digits.fill("123456")
    tove.get_by_role("button", name="Sign in").click()
    expect(tove.get_by_role("alert")).to_contain_text("not right")
    expect(tove.get_by_label("Name", exact=True)).to_have_value("tove")
    digits.fill(recovery)
    tove.get_by_role("button", name="Sign in").click()
    expect(tove.get_by_role("region", name="Second factor")).to_contain_text("9 recovery codes are left")
    context.close()


def test_who_was_given_a_password_chooses_one_before_anything_else(device, browser, browser_context_args, address):
    page = device("juno")
    user = get_user_model().objects.get(username="juno")
    user.membership.owes_password = True
    user.membership.save()
    page.goto(f"{address}/shelf")
    expect(page.get_by_role("status").filter(has_text="Choose one of your own")).to_be_visible()
    word = page.get_by_role("form", name="Password")
    word.get_by_label("As it is now").fill("not it")
    word.get_by_label("The new one").fill(NEW)
    word.get_by_role("button", name="Change it").click()
    expect(word.get_by_role("alert")).to_have_text("Password you have now: must be your password as it is now.")
    word.get_by_label("As it is now").fill(PASSWORD)
    word.get_by_role("button", name="Change it").click()
    expect(page.get_by_role("heading", name="Shelf")).to_be_visible()
    context = browser.new_context(**browser_context_args)
    again = context.new_page()
    again.goto(address)
    again.get_by_label("Name", exact=True).fill("juno")
    again.get_by_label("Password", exact=True).fill(NEW)
    again.get_by_role("button", name="Sign in").click()
    again.get_by_role("heading", name="Today").wait_for()
    context.close()
