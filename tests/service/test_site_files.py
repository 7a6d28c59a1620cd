"""Site files: out and in again, and what is refused on the way in."""

import io
import json
import zipfile

import pytest

from garnetfern.core.errors import DocumentError, GarnetfernError, PictureError, SiteFileError
from garnetfern.service.files.site_file import SiteFile, pack_site_file, unpack_site_file
from tests.conftest import encoded, jpeg
from tests.sites import document, image_layer, one_banner, with_picture


def packed():
    return with_picture(document(image_layer()), jpeg(80, 60))


def tampered(change):
    """A good site file with its entries changed."""
    files = {}
    with zipfile.ZipFile(io.BytesIO(pack_site_file(packed()))) as archive:
        for name in archive.namelist():
            files[name] = archive.read(name)
    files = change(files) or files
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        for name, data in files.items():
            archive.writestr(name, data)
    return out.getvalue()


def picture(files):
    return next(name for name in files if name.startswith("pictures/"))


def edited(files, change):
    plain = json.loads(files["site.json"])
    change(plain)
    files["site.json"] = json.dumps(plain).encode()


def swap_picture(files):
    files[picture(files)] = jpeg(80, 60, (1, 2, 3))


def wrong_size(files):
    edited(files, lambda d: d["assets"][0].update(width=81))


REFUSED = {
    "no site.json": (lambda f: f.pop("site.json") and None, "lacks site.json"),
    "a picture is missing": (lambda f: f.pop(picture(f)) and None, "lacks pictures/"),
    "a picture was swapped": (swap_picture, "hash differs"),
    "another size than it says": (wrong_size, "another size"),
    "a path that climbs": (lambda f: f.update({"../../etc/passwd": b"x"}), "no name that a member"),
    "an absolute path": (lambda f: f.update({"/tmp/x": b"x"}), "no name that a member"),
    "a stranger": (lambda f: f.update({"pictures/virus.exe": b"x"}), "does not name"),
    "broken JSON": (lambda f: f.update({"site.json": b"{"}), "no JSON"),
    "nested too deep": (lambda f: f.update({"site.json": b"[" * 200_000}), "deeper"),
    "a later version": (lambda f: edited(f, lambda d: d.update(version=5)), "versions 1 to"),
    "an unknown field": (lambda f: edited(f, lambda d: d.update(extra=1)), "not known"),
}


def test_a_site_comes_back_as_it_went(fonts):
    file = packed()
    assert unpack_site_file(pack_site_file(file), fonts.names()) == file


def test_the_file_is_the_same_every_time():
    assert pack_site_file(packed()) == pack_site_file(packed())


@pytest.mark.parametrize("name", REFUSED)
def test_what_is_wrong_is_refused_with_its_reason(name, fonts):
    change, said = REFUSED[name]
    with pytest.raises(GarnetfernError) as caught:
        unpack_site_file(tampered(change), fonts.names())
    assert said in str(caught.value)
    assert isinstance(caught.value, SiteFileError | DocumentError | PictureError)


@pytest.mark.parametrize("data", [b"", b"hello", b"PK\x03\x04" + b"\0" * 50])
def test_what_is_no_zip_is_refused(data, fonts):
    with pytest.raises(SiteFileError, match="no zip"):
        unpack_site_file(data, fonts.names())


def test_a_zip_that_unfolds_too_far_is_refused(fonts, monkeypatch):
    monkeypatch.setattr("garnetfern.service.files.site_file.DOCUMENT", 100)
    with pytest.raises(SiteFileError, match="unfolds to more"):
        unpack_site_file(pack_site_file(one_banner()), fonts.names())


def test_a_damaged_entry_is_refused(fonts):
    data = bytearray(pack_site_file(SiteFile(packed().site, packed().pictures)))
    at = data.find(b"\xff\xd8\xff")
    data[at + 200] ^= 255
    with pytest.raises(SiteFileError, match="damaged"):
        unpack_site_file(bytes(data), fonts.names())


def test_opening_is_one_step_that_undo_takes_back(studio, fonts):
    before = studio.state()
    data = pack_site_file(
        with_picture(document(image_layer(), base="#ffffff"), encoded(30, 20, (9, 9, 9), "PNG"), "p.png")
    )
    after = studio.open_site_file(data, before.revision, "other.zip")
    assert after.undo == "Open other.zip"
    assert after.document["assets"]
    assert studio.undo(after.revision).document == before.document


def test_opening_a_broken_file_changes_nothing(studio):
    before = studio.state()
    with pytest.raises(SiteFileError):
        studio.open_site_file(b"no zip", before.revision, "x")
    assert studio.state() == before
