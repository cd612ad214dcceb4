"""The whole app as one ASGI application."""

import gc
import os
import warnings
from typing import cast

from django.core.asgi import get_asgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
# WhiteNoise hands Django plain iterators; that is slower by a hair and right.
warnings.filterwarnings("ignore", message="StreamingHttpResponse must consume synchronous iterators")
inner = get_asgi_application()

from config.limits import App, BodyLimits  # noqa: E402  # it needs the apps

application = BodyLimits(cast(App, inner))
# What is loaded by now stays: looking through it for garbage again and again would make acts wait (bin/bench live).
gc.collect()
gc.freeze()
