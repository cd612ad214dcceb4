"""Hair read from photographs with a card in them, against rendered photographs whose truth is known.

Scenes run over black bodies of 2700 to 6500 K, mixed and uneven light, wrong white balance, tilt, blur, noise and JPEG;
`bin/bench camera` has many. Colour correction is checked against colour-science; markers are OpenCV's.
"""

import contextlib
import io

import colour
import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from fervens_core.colour import hair_lab, xyz_to_lab
from fervens_core.colour import hair_reflectance as spectrum
from fervens_core.formats import level_of_lab
from fervens_vision import (
    BYTES_MAX,
    CARD,
    GREYS,
    PAPERS,
    PATCHES,
    PictureRefusedError,
    card_svg,
    nominal_values,
    read_strand,
    values_of,
)
from fervens_vision.card import RIM_GREY
from fervens_vision.colours import WHITE_10, lab_to_srgb, lab_to_xyz
from fervens_vision.colours import xyz_to_lab as their_lab
from fervens_vision.find import MARKERS
from fervens_vision.light import Light
from fervens_vision.picture import open_picture
from fervens_vision.simulate import SPOILT, Scene, any_scene, photograph, spoilt

PLAIN = Scene(noise=0.003)


@pytest.fixture
def random():
    return np.random.default_rng(20260301)


def level_read(photo, values=None, start=3.0):
    return level_of_lab(start, read_strand(photo.data, values or photo.values).lab).level


@pytest.mark.parametrize("level", [4.0, 5.5, 7.0, 8.5, 9.5, 10.0])
def test_a_strand_is_read_to_a_quarter_level_in_plain_light(level):
    found = read_strand((photo := photograph(spectrum(3.0, level), PLAIN, 4)).data, photo.values)
    assert level_of_lab(3.0, found.lab).level == pytest.approx(level, abs=0.25)
    assert np.abs(np.array(found.lab) - hair_lab(3.0, np.array([level]))[0]).max() < 4.0
    assert found.is_measured
    assert min(found.std) > 0.5


@pytest.mark.parametrize(
    "scene",
    [
        Scene(kelvin=(2700.0, 2700.0)),
        Scene(kelvin=(2700.0, 5500.0)),
        Scene(kelvin=(6500.0, 6500.0), balance=(0.85, 1.2)),
        Scene(fall=(0.2, -0.15)),
        Scene(tilt=0.1),
        Scene(contrast=0.35, exposure=0.5),
        Scene(blur_px=1.3, noise=0.012, quality=75),
        Scene(sheen=0.04),
    ],
)
def test_light_balance_angle_and_camera_do_not_matter(scene):
    off = []
    for seed, level in enumerate((5.0, 7.0, 9.0)):
        off.append(level_read(photograph(spectrum(3.0, level), scene, seed)) - level)
    assert np.abs(off).max() <= 0.35


def test_any_good_scene_is_read_near_and_told_honestly(random):
    off, told, refused = [], [], 0
    for seed in range(24):
        level = float(random.uniform(4.0, 9.9))
        photo = photograph(spectrum(3.0, level), any_scene(random), seed)
        try:
            found = read_strand(photo.data, photo.values)
        except PictureRefusedError:
            refused += 1
            continue
        off.append(level_of_lab(3.0, found.lab).level - level)
        told.append(abs(found.lab[0] - hair_lab(3.0, np.array([level]))[0][0]) / found.std[0])
    assert refused <= 2
    assert np.mean(np.abs(off) <= 0.25) >= 0.8
    assert np.mean(np.abs(off) <= 0.5) >= 0.95
    assert np.mean(np.array(told) <= 1.645) >= 0.8  # spreads hold about what they say


def test_a_card_nobody_measured_is_read_too_and_says_that_it_is_less_sure(random):
    off = []
    for seed in range(10):
        level = float(random.uniform(4.0, 9.9))
        photo = photograph(spectrum(3.0, level), any_scene(random), 200 + seed)
        try:
            plain, measured = (read_strand(photo.data, v) for v in (nominal_values(), photo.values))
        except PictureRefusedError:
            continue
        assert plain.std[0] > measured.std[0]
        assert not plain.is_measured
        off.append(level_of_lab(3.0, plain.lab).level - level)
    assert np.mean(np.abs(off) <= 0.75) >= 0.9


@pytest.mark.parametrize("why", SPOILT)
def test_what_cannot_be_read_is_refused_by_its_name(why, random):
    for seed in range(3):
        photo = photograph(spectrum(3.0, float(random.uniform(5.0, 9.0))), spoilt(any_scene(random), why, random), seed)
        with pytest.raises(PictureRefusedError) as caught:
            read_strand(photo.data, photo.values)
        assert caught.value.why in {why, "other_light"} if why == "gloss" else caught.value.why == why


@pytest.mark.parametrize(
    ("fall", "side"), [((0.8, 0), "left"), ((-0.8, 0), "right"), ((0, 0.8), "top"), ((0, -0.8), "bottom")]
)
def test_the_dark_side_is_named(fall, side):
    photo = photograph(spectrum(3.0, 7.0), Scene(fall=fall, exposure=0.5), 1)
    with pytest.raises(PictureRefusedError) as caught:
        read_strand(photo.data, photo.values)
    assert (caught.value.why, caught.value.side) == ("uneven", side)


# ---- pictures that are none, or too much


def png(picture):
    found = io.BytesIO()
    picture.save(found, "PNG")
    return found.getvalue()


@pytest.mark.parametrize(
    ("data", "why"),
    [
        (b"", "no_picture"),
        (b"\xff\xd8\xff\xe0 not a picture", "no_picture"),
        (b"GIF89a" + b"\0" * 40, "no_picture"),
        (b"\0" * (BYTES_MAX + 1), "too_large"),
        (png(Image.new("1", (20_000, 12_000))), "too_large"),
        (png(Image.new("RGB", (400, 300), "grey")), "blurred"),
    ],
)
def test_hostile_and_huge_pictures_are_refused(data, why):
    with pytest.raises(PictureRefusedError) as caught:
        read_strand(data, nominal_values())
    assert caught.value.why == why


def test_a_large_picture_is_worked_with_small_and_the_right_way_up():
    picture = Image.new("RGB", (4000, 3000), "white")
    picture.paste("black", (0, 0, 400, 3000))
    exif = Image.Exif()
    exif[0x0112] = 3  # taken upside down
    found = io.BytesIO()
    picture.save(found, "JPEG", exif=exif)
    opened = open_picture(found.getvalue())
    assert max(opened.shape[:2]) <= 1800
    assert opened[5, -5].mean() < 60 < 200 < opened[5, 5].mean()


@settings(max_examples=25, deadline=None)
@given(st.integers(0, 10_000), st.integers(1, 60))
def test_a_picture_with_bytes_gone_wrong_is_read_or_refused_and_nothing_else(at, count):
    data = bytearray(photograph(spectrum(3.0, 7.0), Scene(quality=60), 2).data)
    data[at : at + count] = bytes(count)
    with contextlib.suppress(PictureRefusedError):
        read_strand(bytes(data), nominal_values())


# ---- the card


def boxes():
    return [b for p in PATCHES for b in p.boxes] + [CARD.rim, *CARD.markers]


def test_nothing_on_the_card_lies_on_anything_else_and_all_lies_on_it():
    found = boxes()
    for i, one in enumerate(found):
        assert 0 <= one.left < one.right <= CARD.width
        assert 0 <= one.top < one.bottom <= CARD.height
        for other in found[:i]:
            apart = (
                one.right <= other.left or other.right <= one.left or one.bottom <= other.top or other.bottom <= one.top
            )
            assert apart, (one, other)


def test_every_grey_lies_on_opposite_sides_and_every_paper_holds_the_card():
    for patch in PATCHES:
        if patch.name in GREYS:
            at = np.array([b.middle for b in patch.boxes]) - [CARD.width / 2, CARD.height / 2]
            assert np.abs(at.sum(axis=0)).max() < 16.0, patch.name
    for paper in PAPERS.values():
        assert paper.width >= CARD.width + 8.0
        assert paper.height >= CARD.height + 8.0


@pytest.mark.parametrize("name", PAPERS)
def test_the_printed_card_is_at_its_true_size_and_has_its_patches(name):
    from xml.etree import ElementTree

    said = "Print at its <true> size."
    drawn = ElementTree.fromstring(card_svg(PAPERS[name], title="Card", notes=(said,)))
    assert (drawn.get("width"), drawn.get("height")) == (f"{PAPERS[name].width:g}mm", f"{PAPERS[name].height:g}mm")
    assert drawn.get("viewBox") == f"0 0 {PAPERS[name].width:g} {PAPERS[name].height:g}"
    assert said in [t.text for t in drawn.iter("{http://www.w3.org/2000/svg}text")]
    rects = list(drawn.iter("{http://www.w3.org/2000/svg}rect"))
    fills = {r.get("fill") for r in rects}
    for patch in PATCHES:
        told = ",".join(f"{100 * share:.3f}%" for share in lab_to_srgb(patch.nominal))
        assert f"rgb({told})" in fills, patch.name
    left = (PAPERS[name].width - CARD.width) / 2
    first = CARD.markers[0]
    assert any(
        float(r.get("x")) == pytest.approx(left + first.left)
        and float(r.get("width")) == pytest.approx(first.right - first.left)
        for r in rects
    )


def test_a_measured_card_needs_every_patch():
    measured = {p.name: p.nominal for p in PATCHES}
    assert values_of(measured).is_measured
    with pytest.raises(KeyError):
        values_of({k: v for k, v in measured.items() if k != RIM_GREY})


# ---- against the outside


def test_conversions_are_those_of_the_standard():
    # ISO/CIE 11664-4 as the core computes it, and colour-science
    lab = np.array([[62.0, 14.0, 45.0], [18.0, 0.0, 0.0], [95.0, -1.0, 3.0]])
    np.testing.assert_allclose(xyz_to_lab(lab_to_xyz(lab) / WHITE_10), lab, atol=0.02)
    np.testing.assert_allclose(their_lab(lab_to_xyz(lab)), lab, atol=1e-6)
    assert lab_to_srgb((100.0, 0.0, 0.0)) == pytest.approx((1.0, 1.0, 1.0), abs=0.01)
    assert len(set(np.round(lab_to_srgb((55.0, 0.0, 0.0)), 2))) == 1


def test_the_light_of_a_curve_and_a_fall_is_undone():
    curve = np.array([[-0.5, 0.9, 0.02]] * 3)
    fall = np.array([[0.2, -0.1, 0.02]] * 3)
    light = Light(curve, fall, 0.01)
    wanted, at = np.array([0.03, 0.2, 0.7])[:, None].repeat(3, 1), np.array([[-1.0, 0.5], [0.3, -0.4], [1.0, 1.0]])
    u = np.log(wanted)
    seen = np.exp(-0.5 + 0.9 * u + 0.02 * u**2 + (at @ [0.2, -0.1] + 0.02 * at.prod(axis=1))[:, None])
    np.testing.assert_allclose(light.reflectance(seen, at), wanted, rtol=1e-6)


def test_root_polynomials_do_not_change_with_exposure():
    """Finlayson, Mackiewicz and Hurlbert (2015): the expansion is exposure-invariant."""
    told = colour.characterisation.polynomial_expansion_Finlayson2015(np.array([0.2, 0.4, 0.1]), degree=2)
    twice = colour.characterisation.polynomial_expansion_Finlayson2015(np.array([0.4, 0.8, 0.2]), degree=2)
    np.testing.assert_allclose(twice, 2.0 * told)


def test_markers_are_told_apart():
    bits = [cv2.aruco.Dictionary.getBitsFromByteList(MARKERS.bytesList[i : i + 1], 4) for i in range(4)]
    for i, one in enumerate(bits):
        for other in bits[:i]:
            assert min(int((np.rot90(one, k) != other).sum()) for k in range(4)) >= 3


def test_a_scene_says_what_it_was_made_from():
    one, same = (photograph(spectrum(3.0, 7.0), PLAIN, 9) for _ in range(2))
    assert one.data == same.data
    assert set(one.values.lab) == {p.name for p in PATCHES}
    near = [np.abs(np.array(one.values.lab[p.name]) - p.nominal).max() for p in PATCHES]
    assert 0.2 < float(np.mean(near)) < 6.0  # printed a little wrong
