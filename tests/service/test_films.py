"""Films on the shelf, behind words, and their files: made in the background, stopped, gone on with, handed out."""

import io
import os
import signal
import subprocess
import sys
import time

import pytest
from PIL import Image

from garnetfern.core.errors import DocumentError, PictureError
from garnetfern.core.reading.flashes import Flash
from garnetfern.service.files.films import flash_key
from garnetfern.service.files.site_file import unpack_site_file
from garnetfern.service.runtime.work import StoppedError
from garnetfern.service.views.film import film_view
from garnetfern.service.views.vouching import notes_on
from garnetfern.service.workspace.house import first_site
from garnetfern.store import DamagedError
from tests.films import film, film_of
from tests.near_room import NearRoom
from tests.sites import HEADING, document, film_layer, one_banner, with_film

PLACE = "/pages/0/bands/0/backdrop/layers"


@pytest.fixture
def begun(tmp_path):
    """A site with nothing behind its words."""
    studio = first_site(tmp_path / "data", NearRoom())
    studio.start(one_banner(blocks=[HEADING]), "Begin")
    yield studio
    studio.close()


def brought(studio, data, name="Mist.mp4"):
    came = studio.incoming()
    came.write(data[:1000])
    came.write(data[1000:])
    came.close()
    try:
        return studio.take_film(came, name)
    finally:
        came.drop()


def laid(studio, data=None, name="Mist.mp4"):
    """A film behind the words; gives its layer."""
    asset, _ = brought(studio, data or film_of("H.264, BT.709"), name)
    edit = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset.model_dump(mode="json")}
    return studio.edit(studio.state().revision, studio_edit(edit))[1]


def studio_edit(plain):
    from pydantic import TypeAdapter

    from garnetfern.service.edits import Edit

    return TypeAdapter(Edit).validate_python(plain)


def change(studio, **values):
    patch = [{"op": "replace", "path": f"{PLACE}/0/{name}", "value": value} for name, value in values.items()]
    return studio.change(studio.state().revision, patch, "Set the film")


def made(studio):
    """All that its films need, told piece by piece."""
    told = []
    studio.long.tasks["film"](lambda *said: told.append(said) or True)
    return told


def test_a_film_that_is_brought_is_laid_as_one_and_shows_its_still_on_the_shelf(begun):
    name = laid(begun)
    layer = begun.site().pages[0].bands[0].backdrop.layers[0]
    assert (layer.id, layer.kind, layer.end, layer.rate) == (name, "video", 2, 12)
    assert begun.looks.of(begun.site().assets[0].hash).look.colours
    with Image.open(io.BytesIO(begun.thumb_data(begun.site().assets[0].hash[:10]))) as thumb:
        assert thumb.size == (320, 180)
    with Image.open(io.BytesIO(begun.strip(begun.site().assets[0].hash[:10]))) as strip:
        assert strip.size == (7 * 96, 54)
    assert not list(begun.folder.path.rglob(".part-*"))


def test_what_is_refused_leaves_nothing(begun):
    for data in (b"no film at all, but long enough " * 100, film(count=1)):
        with pytest.raises(PictureError):
            brought(begun, data)
    files = [f for f in (begun.folder.path / "pictures").rglob("*") if f.is_file()]
    assert files == []


def test_a_film_takes_a_picture_s_place_and_the_other_way_round(begun):
    laid(begun)
    change(begun, opacity=0.5)
    photo = io.BytesIO()
    Image.new("RGB", (200, 100), "#336655").save(photo, "PNG")
    picture = begun.add_picture(photo.getvalue(), "fern.png")
    other, _ = brought(begun, film(count=30), "Other.mp4")
    first = begun.site().assets[0]
    for asset, kind in ((picture, "image"), (other, "video"), (first, "video")):
        plain = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset.model_dump(mode="json")}
        layer = begun.site().pages[0].bands[0].backdrop.layers[0]
        begun.edit(begun.state().revision, studio_edit({**plain, "layer": layer.id}))
        now = begun.site().pages[0].bands[0].backdrop.layers[0]
        assert (now.kind, now.id, now.opacity, now.assets()) == (kind, layer.id, 0.5, (asset.id,))


def test_facts_of_a_film_cannot_be_changed(begun):
    laid(begun)
    patch = [{"op": "replace", "path": "/assets/0/duration", "value": 9}]
    with pytest.raises(DocumentError, match="duration"):
        begun.change(begun.state().revision, patch, "Longer")


def test_its_files_are_made_one_by_one_and_handed_out(begun):
    laid(begun)
    assert "films/" not in " ".join(begun.bundle_files())
    assert "<video" not in begun.emitted(begun.site(), begun.site().pages[0]).body
    told = made(begun)
    shares = [done / total for done, total, _ in told]
    assert shares == sorted(shares)
    assert {said for _, _, said in told} == {
        "Mist.mp4: looking for flashes",
        *(f"Mist.mp4, 320 px, {codec}" for codec in ("H.264", "AV1")),
    }
    files = begun.bundle_files()
    assert {n.rsplit(".", 2)[1] for n in files if n.startswith("films/")} == {"av1", "h264"}
    assert "<video" in files["index.html"].decode()
    assert begun.films.missing(begun.site()) == []
    view = film_view(begun.films, begun.site(), begun.site().pages[0], "banner", "picture")
    assert [(f["phone"], f["codec"]) for f in view["files"]] == [
        (False, "AV1"), (False, "H.264"), (True, "AV1"), (True, "H.264"),
    ]  # fmt: skip
    assert (view["missing"], view["held"], view["count"]) == (0, None, 24)


def test_another_part_wants_other_files_and_undo_finds_the_first_again(begun):
    laid(begun)
    made(begun)
    change(begun, end=1)
    assert len(begun.films.missing(begun.site())) == 5
    begun.undo(begun.state().revision)
    assert begun.films.missing(begun.site()) == []


def test_work_on_a_part_that_is_not_shown_any_more_is_left(begun):
    laid(begun)
    seen = []

    def report(done, total, said):
        if not seen:
            change(begun, end=1)
        seen.append(said)
        return True

    begun.long.tasks["film"](report)
    assert begun.films.missing(begun.site()) == []
    begun.undo(begun.state().revision)
    assert len(begun.films.missing(begun.site())) == 5


def test_it_stops_when_asked_and_what_was_made_stays(begun):
    laid(begun)

    def report(done, total, said):
        if "AV1" in said:
            raise StoppedError("asked")
        return True

    with pytest.raises(StoppedError):
        begun.long.tasks["film"](report)
    assert {p.codec for p in begun.films.missing(begun.site())} == {"av1"}
    # H.264, which every browser plays, is enough
    assert begun.films.coded(begun.site())
    assert not begun.long.films_wanted()
    change(begun, end=1.5)
    assert not begun.long.films_wanted()


def test_a_part_that_flashes_is_told_and_its_still_alone_is_handed_out(begun):
    laid(begun)
    made(begun)
    site = begun.site()
    layer = site.pages[0].bands[0].backdrop.layers[0]
    begun.fitted.keep_data(
        flash_key(site.assets[0].hash, layer.footage), b'{"kind": "red", "time": 1.25, "share": 1}', fits=True
    )
    assert begun.films.flash(site.assets[0].hash, layer.footage) == Flash("red", 1.25, 1)
    assert "<video" not in begun.emitted(site, site.pages[0]).body
    notes = [note["sentence"] for note in notes_on(site, site.pages[0], begun.fonts, begun.films.flash)]
    assert any("flashes in red more than three times in the second before 1.2 s" in note for note in notes)
    assert film_view(begun.films, site, site.pages[0], "banner", "picture")["held"] in notes


def test_a_damaged_film_is_told_and_heals(begun):
    laid(begun)
    asset = begun.site().assets[0]
    begun.pictures.original_path(asset.hash).write_bytes(b"rot")
    with pytest.raises(DamagedError, match="damaged on the disk"):
        begun.films.make(begun.films.missing(begun.site())[0], lambda _: None)
    with pytest.raises(DamagedError, match=r"Mist\.mp4"):
        begun.bundle_files()
    assert brought(begun, film_of("H.264, BT.709"))[1] is True
    made(begun)
    assert begun.bundle_files()


def test_a_site_file_carries_its_films(begun, fonts):
    laid(begun)
    file = unpack_site_file(begun.site_file(), fonts.names(), begun.room)
    assert file.site == begun.site()
    begun.open_site_file(begun.site_file(), begun.state().revision, "again")
    assert begun.site().assets[0].duration == 2


def test_a_picture_that_moves_is_laid_as_a_picture_and_offered_as_a_film(begun):
    from garnetfern.service.kinds.layers import Place, offered

    frames = [Image.new("RGB", (60, 40), (n * 20, 90, 60)) for n in range(10)]
    out = io.BytesIO()
    frames[0].save(out, "GIF", save_all=True, append_images=frames[1:], duration=200)
    asset = begun.add_picture(out.getvalue(), "sway.gif")
    assert (asset.duration, asset.rate) == (2.0, 5.0)
    edit = {"kind": "lay-picture", "page": "home", "area": "banner", "asset": asset.model_dump(mode="json")}
    begun.edit(begun.state().revision, studio_edit(edit))
    site = begun.site()
    assert site.pages[0].bands[0].backdrop.layers[0].kind == "image"
    there = offered(site, Place(site.pages[0]))
    offer = next(o for kind in there for o in kind["offers"] if o.name == "The film sway.gif")
    lay = {"kind": "lay-in", "page": "home", "area": "banner", "layer": {"id": "x", **offer.layer}, "at": 0}
    begun.edit(begun.state().revision, studio_edit(lay))
    made(begun)
    assert len(begun.films.coded(begun.site())) >= 1


KILLED = """
import sys
from pathlib import Path
from garnetfern.service.workspace.house import first_site
studio = first_site(Path(sys.argv[1]))
studio.begin()
import time
time.sleep(120)
"""


@pytest.mark.parametrize("after", ["H.264", "AV1"])
def test_a_kill_while_it_is_coded_loses_nothing_and_it_goes_on(tmp_path, after):
    data = tmp_path / "data"
    studio = first_site(data)
    studio.start(with_film(document(film_layer()), film(count=24, size=(640, 360))), "Begin")
    studio.close()
    process = subprocess.Popen([sys.executable, "-c", KILLED, str(data)], env={**os.environ, "PYTHONPATH": "."})
    try:
        until = time.monotonic() + 60
        while time.monotonic() < until and after not in message_of(data):
            time.sleep(0.02)
        assert after in message_of(data)
    finally:
        process.send_signal(signal.SIGKILL)
        process.wait()
    again = first_site(data)
    assert again.state().revision == 1
    missing = {p.codec for p in again.films.missing(again.site())}
    assert None not in missing
    again.begin()
    until = time.monotonic() + 60
    while again.films.missing(again.site()) and time.monotonic() < until:
        time.sleep(0.05)
    assert again.films.missing(again.site()) == []
    again.close()


def message_of(data):
    import sqlite3

    with sqlite3.connect(f"file:{data / 'garnetfern.sqlite'}?mode=ro", uri=True) as db:
        row = db.execute("SELECT message FROM job ORDER BY id DESC").fetchone()
    db.close()
    return row[0] if row else ""
