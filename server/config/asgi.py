"""The whole app as one ASGI application."""

import gc
import os
import signal
import warnings
from typing import cast

from django.core.asgi import get_asgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
# WhiteNoise hands Django plain iterators; that is slower by a hair and right.
warnings.filterwarnings("ignore", message="StreamingHttpResponse must consume synchronous iterators")
inner = get_asgi_application()

from django.conf import settings  # noqa: E402

from apps.common.heavy import warm_up  # noqa: E402
from apps.common.watch import follow_parent  # noqa: E402
from config.limits import App, BodyLimits  # noqa: E402  # it needs the apps
from config.proxies import behind  # noqa: E402
from config.turns import Turns  # noqa: E402

application = behind(settings.TRUSTED_PROXIES, BodyLimits(Turns(cast(App, inner))))
if settings.SERVING:
    # Logs that are kept are many small values, and none is garbage: they are looked through seldom. Without
    # a pool that would keep connections of threads that have ended.
    gc.set_threshold(20_000, 20, 100)
    follow_parent(lambda: os.kill(os.getpid(), signal.SIGTERM))
    warm_up()
# What is loaded by now stays: looking through it for garbage again and again would make acts wait (bin/bench live).
gc.collect()
gc.freeze()
