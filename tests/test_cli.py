"""The command line."""

import json
import sys

import cv2
import pytest
from typer.testing import CliRunner

from garnetfern.cli import app, start_site
from garnetfern.cli.common import painted
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import pack_site_file, unpack_site_file
from garnetfern.service.workspace.house import first_site
from tests.conftest import jpeg
from tests.referee.own_fonts import files_of
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, with_picture

run = CliRunner().invoke


@pytest.fixture
def good(tmp_path):
    file = tmp_path / "good.zip"
    file.write_bytes(pack_site_file(with_picture(document(image_layer()), jpeg(800, 600, (10, 20, 15)))))
    return file


@pytest.fixture
def short(tmp_path):
    file = tmp_path / "short.zip"
    file.write_bytes(pack_site_file(one_banner(colour_layer("#dddddd"))))
    return file


def test_check_passes_where_all_can_be_read(good):
    result = run(app, ["check", str(good)])
    assert result.exit_code == 0
    assert result.stdout.splitlines()[-1] == "12 readings, 12 can be read (AA). No words were found that do not fit."
    assert "ok" not in result.stdout
    assert run(app, ["check", str(good), "--all"]).stdout.count("  ok ") == 12


def test_check_fails_and_names_what_falls_short(short):
    result = run(app, ["check", str(short)])
    assert result.exit_code == 1
    assert "SHORT" in result.stdout
    assert "falls short: 1.3 of 3" in result.stdout
    assert "home: 9 readings, 0 can be read, 9 fall short" in result.stdout
    assert result.stdout.splitlines()[-1].startswith("9 readings, 0 can be read")


def test_colour_is_for_terminals_that_want_it(monkeypatch):
    line = painted("it falls short", "SHORT")
    assert line == "it falls short"
    monkeypatch.setattr(sys.stdout, "isatty", lambda: True)
    assert painted("it falls short", "SHORT") != line
    monkeypatch.setenv("NO_COLOR", "1")
    assert painted("it falls short", "SHORT") == line


def test_check_as_json(short):
    result = run(app, ["check", str(short), "--json"])
    body = json.loads(result.stdout)
    assert body["short"] == 9
    assert body["readings"][0]["page"] == "home"
    assert all(row["busyness"] >= 0 for row in body["readings"])


@pytest.mark.parametrize("command", ["check", "emit", "render"])
def test_a_file_that_cannot_be_opened_is_said(command, tmp_path):
    bad = tmp_path / "bad.zip"
    bad.write_bytes(b"nothing")
    more = {
        "check": [],
        "emit": ["--out", str(tmp_path / "o")],
        "render": ["--page", "home", "--width", "390", "--height", "844", "--out", str(tmp_path / "o.png")],
    }[command]
    for file in (bad, tmp_path / "absent.zip"):
        result = run(app, [command, str(file), *more])
        assert result.exit_code == 2
        assert file.name in result.stderr


def test_render_draws_the_page_as_high_as_it_is(good, tmp_path):
    out = tmp_path / "page.png"
    args = ["render", str(good), "--page", "home", "--width", "390", "--height", "500", "--out", str(out)]
    assert run(app, args).exit_code == 0
    assert cv2.imread(str(out)).shape == (500, 390, 3)
    assert run(app, [*args[:3], "nowhere", *args[4:]]).exit_code == 2


def test_emit_writes_a_site_that_opens_from_disk(good, tmp_path):
    assert run(app, ["emit", str(good), "--out", str(tmp_path / "site")]).exit_code == 0
    assert (tmp_path / "site" / "index.html").exists()
    assert list((tmp_path / "site" / "pictures").glob("*.webp"))


def test_schema_is_json():
    assert json.loads(run(app, ["schema"]).stdout)["title"] == "Site"


def test_a_first_start_lays_a_site_and_later_ones_keep_it(tmp_path):
    start_site(tmp_path, demo=False)
    studio = first_site(tmp_path)
    studio.change(1, [{"op": "replace", "path": "/name", "value": "Ours"}], "rename")
    studio.close()
    start_site(tmp_path, demo=False)
    again = first_site(tmp_path)
    assert again.state().document["name"] == "Ours"
    assert again.state().undo == "rename"
    again.close()


def test_a_first_start_with_the_sample_says_what_is_made(tmp_path, monkeypatch, capsys):
    def made(told):
        told("1 of 2 pictures and films drawn", 0.5)
        return [one_banner(), one_banner()]

    monkeypatch.setattr("garnetfern.demo.sample_sites", made)
    start_site(tmp_path, demo=True)
    assert "1 of 2 pictures and films drawn" in capsys.readouterr().out
    studio = first_site(tmp_path)
    assert studio.id == "marrowby-fern-house"
    studio.close()
    start_site(tmp_path, demo=True)
    assert capsys.readouterr().out == ""


def test_check_can_ask_for_more_than_the_site_says(tmp_path):
    file = tmp_path / "middling.zip"
    file.write_bytes(pack_site_file(one_banner(colour_layer("#787878"))))
    assert run(app, ["check", str(file)]).exit_code == 0
    assert run(app, ["check", str(file), "--require", "AAA"]).exit_code == 1
    assert run(app, ["check", str(file), "--require", "A"]).exit_code == 2


def test_check_writes_junit_for_build_servers(short, tmp_path):
    from xml.etree import ElementTree as ET

    report = tmp_path / "report.xml"
    assert run(app, ["check", str(short), "--junit", str(report)]).exit_code == 1
    suite = ET.parse(report).getroot()[0]
    assert (suite.get("name"), suite.get("tests"), suite.get("failures")) == ("home", "9", "9")
    assert "falls short: 1.3 of 3" in suite[0][0].get("message")


def test_words_that_do_not_fit_are_lost_or_hard(tmp_path):
    from xml.etree import ElementTree as ET

    file, report = tmp_path / "wide.zip", tmp_path / "report.xml"
    lettering = {**HEADING["lettering"], "size": "150px"}
    heading = {**HEADING, "wording": "Antidisestablishmentarianistically", "lettering": lettering}
    file.write_bytes(pack_site_file(one_banner(blocks=[heading])))
    result = run(app, ["check", str(file), "--junit", str(report)])
    assert result.exit_code == 1
    assert "LOST   home: Torn words, Phone. 'Antidisestablishmentarianistically' is torn into" in result.stdout
    suite = ET.parse(report).getroot()[0]
    cases = {case.get("name"): case for case in suite if (case.get("name") or "").startswith("Torn words")}
    assert cases["Torn words: Phone"].find("failure") is not None
    assert suite.get("failures") == str(len(suite.findall("testcase/failure")))
    found = json.loads(run(app, ["check", str(file), "--json"]).stdout)["fit"]
    assert {"Phone, letters at 200 %", "Printed"} <= {row["name"] for row in found}
    assert all(row["boxes"] for row in found)


def test_several_processes_find_the_same(tmp_path, monkeypatch):
    from garnetfern.core.document import read_site
    from garnetfern.service.files.site_file import SiteFile

    plain = document(colour_layer("#777777"))
    second = {**plain["pages"][0], "id": "fair", "slug": "fair", "bands": []}
    for number, band in enumerate(plain["pages"][0]["bands"]):
        blocks = [{**HEADING, "id": f"fair-{number}"}]
        columns = [{"id": f"fair-column-{number}", "blocks": blocks}]
        backdrop = {"base": "#20302a"}
        second["bands"].append({**band, "id": f"fair-band-{number}", "columns": columns, "backdrop": backdrop})
    plain["pages"].append(second)
    file = tmp_path / "two.zip"
    file.write_bytes(pack_site_file(SiteFile(read_site(plain, shipped_fonts().names()), {})))
    alone = run(app, ["check", str(file), "--json"])
    several = run(app, ["check", str(file), "--json", "--jobs", "2"])
    assert alone.exit_code == several.exit_code
    assert json.loads(alone.stdout) == json.loads(several.stdout)
    assert {row["page"] for row in json.loads(several.stdout)["readings"]} == {"home", "fair"}


def test_what_is_only_harder_does_not_fail(tmp_path):
    from xml.etree import ElementTree as ET

    file, report = tmp_path / "close.zip", tmp_path / "report.xml"
    text = {**HEADING, "kind": "text", "wording": "Ferns under glass " * 40}
    text.pop("level")
    text["lettering"] = {**HEADING["lettering"], "size": "18px", "line": 1.1}
    file.write_bytes(pack_site_file(one_banner(blocks=[text])))
    result = run(app, ["check", str(file), "--junit", str(report)])
    assert result.exit_code == 0, result.stdout
    assert "hard   home: Close lines, Phone. " in result.stdout
    assert "Fit: 0 lost, " in result.stdout
    said = [case.findtext("system-out") or "" for case in ET.parse(report).getroot()[0]]
    assert any("1.2 are wanted" in text for text in said)


def test_words_that_cannot_be_vouched_for_are_neither_pass_nor_short(tmp_path):
    file = tmp_path / "unsure.zip"
    heading = {**HEADING, "wording": "\u6c34"}
    file.write_bytes(pack_site_file(one_banner(colour_layer("#dddddd"), blocks=[heading])))
    result = run(app, ["check", str(file)])
    assert result.exit_code == 3
    assert "9 cannot be vouched for" in result.stdout


@pytest.fixture
def kept(tmp_path):
    """A data folder with a site that the application works with meanwhile."""
    studio = first_site(tmp_path / "data")
    studio.start(one_banner(), "A new site")
    yield studio
    studio.close()


def release(kept, *more):
    return run(app, ["release", str(kept.folder.path), "--to", str(kept.folder.path.parent / "www"), *more])


def test_a_release_beside_the_application(kept):
    www = kept.folder.path.parent / "www"
    listed = release(kept, "--dry-run")
    assert (listed.exit_code, "+ index.html" in listed.stdout) == (0, True)
    assert "Nothing was written: " in listed.stdout
    assert not www.exists()
    assert kept.publishing.live() is None
    made = release(kept)
    assert made.exit_code == 0, made.output
    assert "Release 1 is live: " in made.stdout
    assert kept.publishing.live().number == 1
    said = json.loads((www / "garnetfern-release.json").read_text())
    assert (said["site"], said["release"], said["short"]) == ("site", 1, 0)
    again = json.loads(release(kept, "--json").stdout)
    assert (again["release"], again["fresh"]) == (1, [])
    assert "release 1 is live" in run(app, ["sites", str(kept.folder.path)]).stdout
    assert json.loads(run(app, ["sites", str(kept.folder.path), "--json"]).stdout)[0]["live"] == 1


def test_a_release_that_falls_short(kept):
    www = kept.folder.path.parent / "www"
    base = {"op": "replace", "path": "/pages/0/bands/0/backdrop/base", "value": "#fafafa"}
    kept.change(1, [base], "Bright")
    assert release(kept, "--dry-run").exit_code == 1
    refused = release(kept)
    assert refused.exit_code == 1
    assert "Nothing was put live." in refused.output
    assert not www.exists()
    done = release(kept, "--anyway")
    assert (done.exit_code, "That is kept with it." in done.stdout) == (0, True)
    assert json.loads((www / "garnetfern-release.json").read_text())["short"] > 0
    assert kept.publishing.live().facts["short"] > 0


def test_a_release_that_cannot_be(kept, tmp_path):
    assert release(kept, "--site", "nothing").exit_code == 2
    (tmp_path / "www").mkdir()
    (tmp_path / "www" / "mine.txt").write_text("mine")
    refused = release(kept)
    assert (refused.exit_code, "mine.txt" in refused.output) == (2, True)
    assert kept.publishing.live() is None
    assert run(app, ["release", str(tmp_path / "nowhere"), "--to", str(tmp_path / "x")]).exit_code == 2


@pytest.fixture
def own(tmp_path):
    """Somebody's own page, with its stylesheet and picture."""
    folder = tmp_path / "own"
    (folder / "css").mkdir(parents=True)
    (folder / "css" / "s.css").write_text(
        ".hero { background: url(../fern.jpg) center / cover #111; color: #fff; font-family: Literata }\n"
        ".hero:hover { background: red }\n"
    )
    (folder / "fern.jpg").write_bytes(jpeg(400, 300, (10, 20, 15)))
    (folder / "page.html").write_text('<link rel="stylesheet" href="css/s.css"><div class="hero"><h1>Ferns</h1></div>')
    return folder


def test_a_stylesheet_is_read(own):
    result = run(app, ["read", str(own / "css" / "s.css")])
    assert result.exit_code == 1
    assert "s.css:1: .hero: base #111111, fern" in result.stdout
    assert "s.css:2:1: .hero:hover: it holds in a state alone" in result.stdout
    (own / "css" / "s.css").write_text(".hero { background: #111 }")
    whole = run(app, ["read", str(own / "css" / "s.css"), "--json"])
    assert whole.exit_code == 0
    assert json.loads(whole.stdout)["areas"][0]["band"]["backdrop"] == {"base": "#111111"}


def test_what_is_no_stylesheet_ends_with_two(own):
    assert run(app, ["read", str(own / "fern.jpg")]).exit_code == 2
    assert run(app, ["read", str(own / "nothing.css")]).exit_code == 2
    missing = run(app, ["read", str(own / "css" / "s.css"), "--selector", ".x"])
    assert (missing.exit_code, ".hero" in missing.output) == (2, True)


def test_a_stylesheet_is_laid_on_a_site_file(own, good):
    page = str(own / "page.html")
    result = run(app, ["read", page, "--selector", ".hero", "--site", str(good), "--page", "home", "--area", "banner"])
    assert "Laid .hero on banner of home" in result.stdout, result.output
    found = unpack_site_file(good.read_bytes(), shipped_fonts().names())
    banner = found.site.pages[0].bands[0]
    assert (banner.backdrop.base, [x.kind for x in banner.backdrop.layers]) == ("#111111", ["image"])
    assert [b.wording for b in banner.blocks()] == ["Ferns under glass"]
    assert len(found.pictures) == 2
    before = good.read_bytes()
    for wrong in (["--page", "home", "--area", "x"], ["--page", "home"]):
        again = run(app, ["read", page, "--selector", ".hero", "--site", str(good), *wrong])
        assert again.exit_code == 2
    assert good.read_bytes() == before


def test_somebody_s_own_page_is_checked(own):
    sheet, page = str(own / "css" / "s.css"), str(own / "page.html")
    result = run(app, ["check", sheet, "--html", page])
    assert result.exit_code == 0, result.output
    assert "unsure css/s.css:2:1: .hero:hover" in result.stdout
    assert "is not vouched for" in result.stdout
    (own / "fern.jpg").write_bytes(jpeg(400, 300, (240, 240, 240)))
    short = run(app, ["check", sheet, "--html", page, "--json"])
    assert short.exit_code == 1
    assert json.loads(short.stdout)["short"] > 0
    told = {row["misfit"] for row in json.loads(short.stdout)["fit"]}
    assert not told & {"paper", "forced", "focus"}, "nobody knows what its own rules say"
    assert run(app, ["check", str(own / "fern.jpg"), "--html", page]).exit_code == 2
    (own / "css" / "s.css").write_text("p { color: red }")
    assert run(app, ["check", sheet, "--html", page]).exit_code == 2


def test_a_font_that_lies_beside_somebody_s_page_is_read_in(own):
    from garnetfern.cli.reading import own_page

    sheet, page = own / "css" / "s.css", own / "page.html"
    file = files_of("@fontsource/lato")[0]
    (own / "house.woff2").write_bytes(file.read_bytes())
    (own / "spoilt.woff2").write_bytes(file.read_bytes()[:900])
    faces = "@font-face { font-family: House; src: url(../house.woff2) }\n"
    spoilt = "@font-face { font-family: Spoilt; src: url(../spoilt.woff2) }\n"
    sheet.write_text(faces + spoilt + "h1 { font-family: House, serif }\n" + sheet.read_text())
    found, _ = own_page([sheet], page)
    assert [font.family for font in found.site.fonts] == ["House"]
    heading = next(b for b in found.site.pages[0].blocks() if b.kind == "heading")
    assert heading.lettering.font == "House"
    assert run(app, ["check", str(sheet), "--html", str(page), "--json"]).exit_code in (0, 1)
