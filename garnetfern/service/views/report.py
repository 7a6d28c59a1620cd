"""A check of a whole site as rows, and the rows as a table or as JUnit XML, which build servers show."""

from collections.abc import Callable, Sequence
from typing import Any
from xml.etree import ElementTree as ET

from ...core.colour.contrast import Requirement
from ...core.document import Page, Site
from ...core.placement import Occasion, compositions
from ...core.reading import Reader, situations
from ...core.reading.fit import KINDS as MISFITS
from ...core.reading.widths import WidthRun, changes
from .check import ReadingView, floored, left_out, reading_view
from .fit import grave_of, misfits_of

DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
Row = dict[str, Any]
Progress = Callable[[str, float], None]
Pages = Sequence[tuple[str, Page]]
"""Pages as rules compose them, each with its name."""


def demanding(site: Site, level: Requirement | None) -> Site:
    """The site with another level required; None leaves its own."""
    return site if level is None else site.model_copy(update={"requirement": level})


def said_of(occasion: Occasion) -> str:
    """An occasion in a few words: the ISO date, the day of the week, and which visit, where it is not the first."""
    day = f"{occasion.day} {DAYS[occasion.day.weekday()]}"
    return day if occasion.visit == 0 else f"{day}, visit {occasion.visit + 1}"


def composed(site: Site) -> list[tuple[str, Page]]:
    """Every page that rules can compose, each once, named by its address and the first day that it stands so."""
    found: list[tuple[str, Page]] = []
    for page in site.visited:
        every = compositions(site, page)
        one = len(every) == 1
        found += [(page.slug if one else f"{page.slug} on {said_of(c.occasion)}", c.page) for c in every]
    return found


def check_site(reader: Reader, site: Site, progress: Progress, which: Pages | None = None) -> list[Row]:
    """Every block of words of some pages (None: of all that rules can compose), in every situation."""
    rows: list[Row] = []
    every = which or composed(site)
    for n, (slug, page) in enumerate(every):

        def told(situation: str, share: float, n: int = n, slug: str = slug) -> None:
            progress(f"{slug}: {situation}", (n + share) / len(every))

        rows += [{"page": slug, **view} for view in read_all(reader, site, page, told)]
    return rows


def read_all(reader: Reader, site: Site, page: Page, progress: Progress) -> list[ReadingView]:
    """Every block of words of a page as it is, in every situation."""
    wanted = situations(site, page, None)
    found: list[ReadingView] = []
    for m, (situation, readings) in enumerate(reader.reading_of(site, page, wanted)):
        progress(situation.name, m / len(wanted))
        found += [reading_view(r, situation) for r in readings]
    for situation, edges in reader.parts_of(site, page, wanted):
        found += [reading_view(r, situation) for r in edges]
    return found


def fit_rows(reader: Reader, site: Site, own: bool, progress: Progress, which: Pages | None = None) -> list[Row]:
    """What does not fit on some pages (None: on all that rules can compose); `own`: somebody's own page, whose every
    rule nobody knows, so that some kinds of trouble cannot be told."""
    rows: list[Row] = []
    every = which or composed(site)
    for n, (slug, page) in enumerate(every):

        def told(situation: str, share: float, n: int = n, slug: str = slug) -> None:
            progress(f"{slug}: fit, {situation}", (n + share) / len(every))

        rows += [{"page": slug, **view} for view in misfits_of(reader, site, page, told)]
    return [row for row in rows if not own or not getattr(MISFITS[row["misfit"]], "OURS", False)]


def fit_table(rows: list[Row]) -> list[tuple[str, str]]:
    """What does not fit as lines with their verdict: LOST where something is, otherwise hard."""
    lines: list[tuple[str, str]] = []
    for row in rows:
        word = "LOST" if row["grave"] else "hard"
        lines.append((word, f"{word:6} {row['page']}: {row['title']}, {row['name']}. {row['sentence']}"))
    return lines


def fit_summed(rows: list[Row]) -> str:
    """How much does not fit, in one line."""
    lost = len(grave_of(rows))
    if not rows:
        return "No words were found that do not fit."
    return f"Fit: {lost} lost, {len(rows) - lost} harder than need be."


def run_over_widths(reader: Reader, site: Site, progress: Progress, which: Pages | None = None) -> list[Row]:
    """Where words begin to fall short and can be read again, over every width, on some pages (None: on all)."""
    rows: list[Row] = []
    every = which or composed(site)
    for n, (slug, page) in enumerate(every):
        run = WidthRun(reader, site, page)

        def told(share: float, n: int = n, slug: str = slug) -> None:
            progress(f"{slug}: widths", (n + share) / len(every))

        points = run.run(told)
        for change in changes(points):
            ratios = {block: (ratio, need) for block, ratio, need in run.at(change.width).ratios}
            ratio, need = ratios[change.block]
            figures = {"ratio": round(ratio, 3), "shown": floored(ratio), "required": need}
            row = {"page": slug, "block": change.block, "width": change.width, "short": change.short}
            rows.append(row | figures)
    return rows


SAID = {"enough": "ok", "short": "SHORT", "unread": "unread", "unsure": "unsure"}
"""A verdict in one word for a terminal."""


def verdict(row: Row) -> str:
    """One word for a row."""
    return SAID[row["verdict"]]


def unmeasured(rows: list[Row]) -> int:
    """How many readings say nothing of words of which nothing else says anything: see `left_out`."""
    pages = dict.fromkeys(r["page"] for r in rows)
    return sum(len(left_out([r for r in rows if r["page"] == slug])) for slug in pages)


def table(rows: list[Row], every: bool) -> list[tuple[str, str]]:
    """What a check found, by page, as lines with their verdict: what falls short and what is unsure, or every reading.

    The verdict of a page's own line is that of its worst reading; it says how many of its readings can be read.
    """
    lines: list[tuple[str, str]] = []
    width = max((len(r["block"]) for r in rows), default=5)
    names = max((len(r["name"]) for r in rows), default=5)
    for slug in dict.fromkeys(r["page"] for r in rows):
        mine = [r for r in rows if r["page"] == slug]
        shown = mine if every else [r for r in mine if verdict(r) != "ok"]
        left = [r["verdict"] for r in left_out(mine)]
        worst = "SHORT" if any(verdict(r) == "SHORT" for r in mine) else SAID[left[0]] if left else "ok"
        lines.append((worst, f"{slug}: {summed(mine)}"))
        for r in shown:
            figure = f"{r['shown'] or '-':>5} of {r['required']:g}"
            where = f"{r['block']:{width}}  {r['name']:{names}}"
            lines.append((verdict(r), f"  {verdict(r):6} {where}  {figure:12} {r['sentence']}"))
    return lines


def summed(rows: list[Row]) -> str:
    """How many of some readings can be read, in one line."""
    said = [verdict(r) for r in rows]
    parts = [f"{len(rows)} reading{'' if len(rows) == 1 else 's'}", f"{said.count('ok')} can be read"]
    if said.count("SHORT"):
        parts.append(f"{said.count('SHORT')} fall{'s' if said.count('SHORT') == 1 else ''} short")
    if said.count("unsure"):
        parts.append(f"{said.count('unsure')} cannot be vouched for")
    if said.count("unread"):
        parts.append(f"{said.count('unread')} {'has' if said.count('unread') == 1 else 'have'} no words in sight")
    return ", ".join(parts)


def width_table(rows: list[Row]) -> str:
    """Changes over the widths for reading on a terminal."""
    return "\n".join(
        f"{'SHORT' if r['short'] else 'ok':6} {r['page']:10} {r['block']}  from {r['width']} px on: "
        f"{r['shown']} of {r['required']:g}"
        for r in rows
    )


def _fit_case(row: Row) -> ET.Element:
    """A failure where something is lost; what is only harder passes, and says so."""
    case = ET.Element("testcase", classname=f"{row['page']}.{row['block']}", name=f"{row['title']}: {row['name']}")
    if row["grave"]:
        ET.SubElement(case, "failure", message=row["sentence"])
    else:
        ET.SubElement(case, "system-out").text = row["sentence"]
    return case


def junit(rows: list[Row], changes_: list[Row], fit: list[Row], level: str) -> str:
    """JUnit XML: a suite for each page, a case for each block in each situation, and for each misfit."""
    root = ET.Element("testsuites", name=f"garnetfern {level}")
    for slug in dict.fromkeys(r["page"] for r in rows):
        mine = [r for r in rows if r["page"] == slug]
        widths = [r for r in changes_ if r["page"] == slug and r["short"]]
        misfits = [_fit_case(row) for row in fit if row["page"] == slug]
        short = sum(verdict(r) == "SHORT" for r in mine) + len(widths)
        short += sum(case.find("failure") is not None for case in misfits)
        unsure = sum(verdict(r) in ("unsure", "unread") for r in mine)
        counts = {"tests": str(len(mine) + len(widths) + len(misfits)), "failures": str(short), "skipped": str(unsure)}
        suite = ET.SubElement(root, "testsuite", {"name": slug, **counts})
        for row in mine:
            case = ET.SubElement(suite, "testcase", classname=f"{slug}.{row['block']}", name=row["name"])
            if verdict(row) == "SHORT":
                ET.SubElement(case, "failure", message=row["sentence"])
            elif verdict(row) in ("unsure", "unread"):
                ET.SubElement(case, "skipped", message=row["sentence"])
        for row in widths:
            case = ET.SubElement(suite, "testcase", classname=f"{slug}.{row['block']}", name=f"from {row['width']} px")
            message = f"From {row['width']} px on it falls short: {row['shown']} of {row['required']:g}."
            ET.SubElement(case, "failure", message=message)
        suite.extend(misfits)
    ET.indent(root)
    return '<?xml version="1.0" encoding="UTF-8"?>\n' + ET.tostring(root, encoding="unicode") + "\n"
