"""Accounts: an own password, invitations, resets, a second factor, sessions that end."""

import re
import time

import pytest
from conftest import PASSWORD, Actor, make_member, make_studio
from django.core import mail
from django.utils import timezone
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice

from apps.studio.models import AuditEntry, Invitation, Membership

NEW = "another-password-of-mine"


def signed_in(user, password=PASSWORD, expect=200, **more):
    actor = Actor()
    actor.user = user
    actor.answer = actor.post("/session", {"username": user.get_username(), "password": password, **more}, expect)
    return actor


def acts(studio=None):
    return list(AuditEntry.objects.order_by("id").values_list("act", flat=True))


def code_of(user, *, later=0):
    device = TOTPDevice.objects.get(user=user)
    return f"{totp(device.bin_key, device.step, device.t0, device.digits, device.drift + later):06d}"


def with_factor(actor):
    actor.post("/account/second-factor", {"old_password": PASSWORD})
    codes = actor.put("/account/second-factor", {"code": code_of(actor.user)})["codes"]
    TOTPDevice.objects.filter(user=actor.user).update(last_t=-1)  # its code was used up; a minute goes by
    return codes


def test_a_password_of_ones_own_asks_for_the_old_one_and_ends_every_other_device(technician):
    here, there = signed_in(technician.user), signed_in(technician.user)
    wrong = here.post("/account/password", {"old_password": "no", "password": NEW}, 422)
    assert (wrong["field"], wrong["value"]) == ("old_password", "***")
    assert here.post("/account/password", {"old_password": PASSWORD, "password": "short"}, 422)["field"] == "password"
    assert here.post("/account/password", {"old_password": PASSWORD, "password": PASSWORD}, 422)["field"] == "password"
    here.post("/account/password", {"old_password": PASSWORD, "password": NEW})
    assert here.get("/account")["username"] == technician.user.get_username()
    assert there.get("/day", 401)
    assert signed_in(technician.user, expect=401).answer["code"] == "wrong_password"
    signed_in(technician.user, NEW)
    assert "password_changed" in acts()


def test_a_password_someone_else_chose_is_changed_before_anything_else(owner):
    owner.post("/members", {"username": "nell", "role": "technician", "password": "the-owner-knows-it"}, 201)
    user = Membership.objects.get(user__username="nell").user
    nell = signed_in(user, "the-owner-knows-it")
    assert nell.answer["owes"] == "password"
    assert "of your own" in nell.get("/day", 403)["detail"]
    nell.post("/account/password", {"old_password": "the-owner-knows-it", "password": NEW})
    nell.get("/day")
    assert nell.get("/session")["owes"] is None


def test_an_invitation_opens_once_for_a_week_and_is_mailed(owner, settings):
    settings.PUBLIC_ADDRESS = "https://hair.example"
    made = owner.post("/invitations", {"role": "technician", "for_name": "Tove", "email": "tove@studio.example"}, 201)
    assert made["is_mailed"]
    (sent,) = mail.outbox
    assert f"https://hair.example{made['path']}" in sent.body
    assert [i["path"] for i in owner.get("/invitations")] == [None]
    nobody, body = Actor(), {"username": "tove", "first_name": "Tove", "password": NEW}
    told = nobody.get(made["path"])
    assert (told["role"], told["studio_name"]) == ("technician", owner.get("/studio")["name"])
    assert nobody.post(made["path"], body | {"password": "tove"}, 422)["field"] == "password"
    assert nobody.post(made["path"], body)["member_name"] == "Tove"
    nobody.get("/day")
    assert Membership.objects.get(user__username="tove").user.email == "tove@studio.example"
    assert Actor().get(made["path"], 404)
    assert Actor().post(made["path"], body | {"username": "tove2"}, 404)
    assert owner.get("/invitations") == []
    late = owner.post("/invitations", {"role": "assistant"}, 201)
    Invitation.objects.filter(pk=late["id"]).update(expires_at=timezone.now())
    assert Actor().get(late["path"], 404)
    back = owner.post("/invitations", {"role": "assistant"}, 201)
    owner.ask("DELETE", f"/invitations/{back['id']}")
    assert Actor().get(back["path"], 404)


def test_invitations_are_the_owners_and_of_their_studio(owner, technician):
    assert technician.post("/invitations", {"role": "owner"}, 403)["code"] == "not_allowed"
    other = Actor(make_member(make_studio("Elsewhere"), "owner"))
    made = other.post("/invitations", {"role": "assistant"}, 201)
    owner.ask("DELETE", f"/invitations/{made['id']}", None, 404)
    assert owner.get("/invitations") == []
    assert owner.post("/invitations", {"role": "assistant", "email": "not one"}, 422)["field"] == "email"


def test_a_reset_comes_by_mail_tells_nothing_and_ends_every_session(technician):
    here = signed_in(technician.user)
    here.ask("PATCH", "/account", {"old_password": PASSWORD, "first_name": "Finn", "email": "finn@studio.example"})
    wrong = here.ask("PATCH", "/account", {"old_password": "no", "email": "x@studio.example"}, 422)
    assert wrong["field"] == "old_password"
    nobody = Actor()
    known = nobody.post("/reset", {"email": "Finn@studio.example"})
    assert known == nobody.post("/reset", {"email": "nobody@studio.example"})
    (sent,) = mail.outbox
    path = re.search(r"/reset/\S+", sent.body)[0]
    assert nobody.get(path)["username"] == technician.user.get_username()
    assert nobody.post(path, {"password": "short"}, 422)["field"] == "password"
    nobody.post(path, {"password": NEW})
    assert here.get("/day", 401)
    assert nobody.post(path, {"password": NEW + "2"}, 404)
    signed_in(technician.user, NEW)
    for _ in range(5):
        nobody.post("/reset", {"email": "finn@studio.example"}, None)
    assert nobody.post("/reset", {"email": "finn@studio.example"}, 429)["code"] == "sign_in_busy"


@pytest.mark.parametrize("path", ["/reset/x/y", "/reset/MQ/set-password", "/reset/////", "/reset/OTk5OTk5OTk5OTk5/a-b"])
def test_a_made_up_reset_opens_nothing(technician, path):
    assert Actor().ask("GET", path, None, 404)


def test_an_owner_hands_out_a_reset_and_never_learns_the_password(owner, technician):
    row = next(m for m in owner.get("/members") if m["username"] == technician.user.get_username())
    path = owner.post(f"/members/{row['id']}/reset")["path"]
    assert technician.post(f"/members/{row['id']}/reset", None, 403)
    Actor().post(path, {"password": NEW})
    signed_in(technician.user, NEW)


def test_a_second_factor_is_asked_for_once_set_and_each_code_opens_once(technician):
    here, there = signed_in(technician.user), signed_in(technician.user)
    assert here.post("/account/second-factor", {"old_password": "no"}, 422)["field"] == "old_password"
    told = here.post("/account/second-factor", {"old_password": PASSWORD})
    assert "<svg" in told["svg"]
    assert len(told["key"]) >= 32
    assert here.put("/account/second-factor", {"code": "000000"}, 422)["field"] == "code"
    TOTPDevice.objects.update(throttling_failure_count=0)
    codes = with_factor(here)
    assert len(set(codes)) == 10
    assert there.get("/day", 401)  # other devices signed in without it
    assert here.get("/account")["recovery_codes_left"] == 10
    assert signed_in(technician.user, expect=401).answer["code"] == "code_needed"
    assert signed_in(technician.user, expect=401, code="000000").answer["code"] == "wrong_code"
    TOTPDevice.objects.update(throttling_failure_count=0)
    code = code_of(technician.user)
    signed_in(technician.user, code=code)
    assert signed_in(technician.user, expect=401, code=code).answer["code"] == "wrong_code"
    signed_in(technician.user, code=codes[3].upper())
    assert signed_in(technician.user, expect=401, code=codes[3]).answer["code"] == "wrong_code"
    assert here.get("/account")["recovery_codes_left"] == 9
    assert {"second_factor_set", "code_failed", "recovery_code_used"} <= set(acts())


def test_wrong_codes_make_the_next_wait(technician):
    with_factor(signed_in(technician.user))
    for _ in range(3):
        signed_in(technician.user, expect=401, code="000000")
    right = code_of(technician.user)
    assert signed_in(technician.user, expect=401, code=right).answer["code"] == "wrong_code"
    assert (
        TOTPDevice.objects.get(user=technician.user).throttling_failure_count == 1
    )  # those in between were not even looked at


def test_an_owner_demands_a_second_factor_and_takes_a_lost_one_off(owner, technician):
    owner.ask("PATCH", "/studio", {"demands_second_factor": True})
    mine = signed_in(owner.user)
    assert mine.answer["owes"] == "second_factor"
    theirs = signed_in(technician.user)
    assert "second factor" in theirs.get("/day", 403)["detail"]
    with_factor(theirs)
    theirs.get("/day")
    refused = theirs.ask("DELETE", "/account/second-factor", {"old_password": PASSWORD}, 409)
    assert refused["code"] == "second_factor_demanded"
    with_factor(mine)
    row = next(m for m in mine.get("/members") if m["username"] == technician.user.get_username())
    assert row["has_second_factor"]
    mine.ask("PATCH", f"/members/{row['id']}", {"has_second_factor": False})
    assert signed_in(technician.user).answer["owes"] == "second_factor"


def test_signing_out_everywhere_leaves_only_this_device(technician):
    here, there = signed_in(technician.user), signed_in(technician.user)
    here.post("/account/sign-out-everywhere")
    here.get("/day")
    assert there.get("/day", 401)
    assert there.get("/session")["member_name"] is None


def test_a_device_left_alone_is_signed_out_the_studios_own_is_not(owner, monkeypatch):
    owner.ask("PATCH", "/studio", {"idle_min": 30})
    assert owner.ask("PATCH", "/studio", {"idle_min": 1}, 422)["field"] == "idle_min"
    own, tablet = signed_in(owner.user), signed_in(owner.user, is_studios=True)
    assert own.browser.cookies["sessionid"]["max-age"] == ""  # forgotten when the browser is closed
    assert tablet.browser.cookies["sessionid"]["max-age"] > 13 * 86400
    assert tablet.get("/session")["is_studios"]
    began, at = time.time(), [0.0]
    monkeypatch.setattr("apps.studio.sessions.time.time", lambda: began + at[0] * 60)
    at[0] = 29
    own.post("/account/here")
    at[0] = 58
    own.get("/day")
    at[0] = 60
    assert own.get("/day", 401)
    assert own.get("/session")["member_name"] is None
    tablet.get("/day")


def test_sign_ins_and_failures_stand_in_the_trail_and_nobody_can_fill_it(technician):
    for _ in range(4):
        signed_in(technician.user, "wrong", 401)
    signed_in(technician.user)
    assert acts().count("sign_in_failed") == 1
    assert acts().count("signed_in") == 1


def test_the_trail_tells_from_what_to_what(owner, technician):
    row = next(m for m in owner.get("/members") if m["username"] == technician.user.get_username())
    owner.ask("PATCH", f"/members/{row['id']}", {"role": "assistant"})
    owner.ask("PATCH", "/studio", {"growth_mm_per_month": 13.0})
    lines = owner.get("/audit")["lines"]
    assert {"field": "growth_mm_per_month", "before": "12.0", "after": "13.0"} in lines[0]["changes"]
    assert lines[1]["changes"] == [{"field": "role", "before": "technician", "after": "assistant"}]


def test_a_question_with_an_old_cookie_takes_no_new_one_away(technician):
    """Changing the password gives another session; what was on its way with the old one must not end the new one."""
    browser = technician.browser
    browser.cookies["sessionid"] = "x" * 32
    assert "sessionid" not in browser.get("/api/session").cookies
    signed_in = Actor(technician.user)
    gone = signed_in.browser.delete("/api/session")
    assert gone.cookies["sessionid"]["max-age"] == 0
