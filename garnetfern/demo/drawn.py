"""The sample's pictures and its film, drawn side by side by several processes."""

import multiprocessing
import os
from concurrent.futures import ProcessPoolExecutor, as_completed

from ..core.processes import begun_unheard, end_at_once
from ..core.telling import Told
from .films import FILM, draw_film
from .kept import all_kept, keep
from .pictures import DRAWERS, draw_picture
from .tiles import SMALL, draw_small

LOOKS_AT = "fern-close"
"""The picture that is in the film."""


def one_after_the_other() -> dict[str, bytes]:
    """Every picture and the film by id, drawn here."""
    return _ordered({**{name: draw_picture(name) for name in DRAWERS}, FILM: draw_film()})


def side_by_side(told: Told) -> dict[str, bytes]:
    """The same by as many processes as there are processors, four at the most; at once where all are kept."""
    if all_kept([*DRAWERS, FILM]):
        return one_after_the_other()
    processes = min(4, os.cpu_count() or 1)
    told("drawing the pictures of the sample and its film", 0.0)
    with ProcessPoolExecutor(processes, multiprocessing.get_context("spawn"), end_at_once) as pool:
        with begun_unheard():
            # the film takes longest, so it is begun first; the picture that it looks at comes with it
            waiting = [pool.submit(_film)]
            waiting += [pool.submit(_picture, name) for name in DRAWERS if name != LOOKS_AT]
        found: dict[str, bytes] = {}
        try:
            for n, done in enumerate(as_completed(waiting)):
                found |= done.result()
                told(f"{n + 1} of {len(waiting)} parts drawn", (n + 1) / len(waiting))
        except BaseException:
            # nobody waits for them any more; what is being drawn now is finished and thrown away
            pool.shutdown(wait=False, cancel_futures=True)
            raise
    return _ordered(found)


def _ordered(found: dict[str, bytes]) -> dict[str, bytes]:
    return {**{name: found[name] for name in DRAWERS}, **{name: draw_small(name) for name in SMALL}, FILM: found[FILM]}


def _picture(name: str) -> dict[str, bytes]:
    return {name: draw_picture(name)}


def _film() -> dict[str, bytes]:
    return {LOOKS_AT: draw_picture(LOOKS_AT), FILM: draw_film()}


def main() -> None:
    """Draw all of them and keep them beside the code, unless they are kept already."""
    if not all_kept([*DRAWERS, FILM]):
        found = side_by_side(lambda said, _: print(said, flush=True))
        keep({name: found[name] for name in (*DRAWERS, FILM)})
