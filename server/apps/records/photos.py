"""Photos of the hair: checked, turned upright, scaled, and without anything the camera wrote beside the picture."""

from __future__ import annotations

import io
import warnings
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone
from ninja import UploadedFile
from PIL import Image, ImageOps

from apps.services import loading
from apps.services.models import Photo, Service
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, LimitError, say
from fervens_core.log import Step

UPLOAD_MAX = 15_000_000
PIXELS_MAX = 60_000_000
SIDE_PX = 1600
QUALITY = 85
PHOTOS_MAX = 24
FORMATS = ("JPEG", "PNG", "WEBP")
KINDS = ("before", "after", "other")


def scaled_jpeg(upload: UploadedFile) -> tuple[bytes, int, int]:
    """A JPEG of an uploaded picture with its size, px. Raises LimitError for what is no picture or too large."""
    size = upload.size or 0
    if not 0 < size <= UPLOAD_MAX:
        raise LimitError("photo", say("limit-file_of_bytes", most=UPLOAD_MAX), size)
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            with Image.open(upload, formats=FORMATS) as opened:
                if opened.width * opened.height > PIXELS_MAX:
                    raise LimitError("photo", say("limit-most_pixels", most=PIXELS_MAX), opened.width * opened.height)
                picture = ImageOps.exif_transpose(opened).convert("RGB")
    except LimitError:
        raise
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError, Image.DecompressionBombWarning) as error:
        raise LimitError("photo", say("limit-picture", formats=tuple(FORMATS)), (upload.name or "")[:60]) from error
    picture.thumbnail((SIDE_PX, SIDE_PX))
    plain = Image.new("RGB", picture.size)
    plain.paste(picture)  # nothing but the pixels goes on
    out = io.BytesIO()
    plain.save(out, "JPEG", quality=QUALITY)
    return out.getvalue(), plain.width, plain.height


def add_row(service: Service, upload: UploadedFile, *, kind: str, caption: str, by_name: str) -> Photo:
    """A photo of a service. Raises LimitError, ConflictError when there are enough."""
    if kind not in KINDS:
        raise LimitError("kind", say("limit-one_of", known=tuple(KINDS)), kind[:20])
    if len(caption) > 120:
        raise LimitError("caption", say("limit-longest", most=120), len(caption))
    if service.photos.count() >= PHOTOS_MAX:
        raise ConflictError("enough_photos", most=PHOTOS_MAX)
    jpeg, width, height = scaled_jpeg(upload)
    return Photo.objects.create(
        service=service,
        kind=kind,
        caption=caption,
        width=width,
        height=height,
        jpeg=jpeg,
        at=timezone.now(),
        by_name=by_name,
    )


@transaction.atomic
def add_photo(member: Membership, service_id: UUID, upload: UploadedFile, *, kind: str, caption: str) -> Photo:
    """A photo of a service, by a member."""
    service = get_object_or_404(loading.of_studio(member), pk=service_id)
    row = add_row(service, upload, kind=kind, caption=caption, by_name=member.name)
    audit(member, "photo_added", service_id)
    return row


def photo_of(member: Membership, service_id: UUID, photo_id: UUID) -> Photo:
    """One photo; 404 when it is another studio's."""
    return get_object_or_404(Photo, pk=photo_id, service_id=service_id, service__studio_id=member.studio_id)


@transaction.atomic
def remove_photo(member: Membership, service_id: UUID, photo_id: UUID) -> None:
    """Take a photo out for good."""
    photo = photo_of(member, service_id, photo_id)
    if photo.service.step == Step.RECORD.value:
        require_may(member, "remove_a_filed_photo")
    photo.delete()
    audit(member, "photo_removed", service_id)
