"""Bands that are chosen on the visitor's machine: in templates, so that nothing of them is fetched before, and a script
right behind them that puts the chosen one in their place before anything is painted."""

from ..document.placing import Between, InTurn, OnWeekdays, Placed
from ..placement.static import Group
from .escape import html_attribute, script_hash

CHOOSE = (
    "{let s=document.currentScript,a=[],e=s;"
    "while((e=e.previousElementSibling)&&e.dataset.gfBand)a.unshift(e);"
    'let z=s.dataset.gfZone,d=new Date().toLocaleDateString("sv",{timeZone:z}),n=Date.parse(d)/864e5,v=0;'
    "try{let l=localStorage,o=sessionStorage;v=+l.gfVisit||0;"
    "if(!o.gfVisit)l.gfVisit=v+=1,o.gfVisit=1;v-=1}catch{}"
    "let w=a.filter(({dataset:t})=>(!t.gfDays||t.gfDays.includes((n+3)%7+1))&&"
    '(!t.gfTimes||t.gfTimes.split(" ").some(p=>{let[f,l]=p.split("/");return(!f||f<=d)&&(!l||d<=l)}))),'
    'f=w[0],i=(x,y)=>(x.dataset.gfWith||"").split(" ").includes(y.dataset.gfBand),'
    "g=w.filter(x=>x==f||i(f,x)||i(x,f)),b=g.find(x=>x.dataset.gfBy);"
    'if(f){f=b&&g.length>1?g[(b.dataset.gfBy=="day"?n+719163:v)%g.length]:f;f.before(f.content)}'
    "a.forEach(x=>x.remove())}"
)
"""The same on every page and in every place, so that one hash in a content security policy admits it. Days are those
of ISO 8601 in the site's zone; day 0 of the script's count is day 719,163 of Python's `date.toordinal`."""

WITHOUT_SCRIPT = "@media (scripting: none) {\n  .gf-chosen {\n    display: contents;\n  }\n}\n"
"""What stands where no script runs is a row like any other band (Media Queries 5, section 7.1)."""

CHOOSE_HASH = script_hash(CHOOSE)
"""The source expression that admits the script."""


def _times(rule: Between) -> str:
    return f"{rule.first or ''}/{rule.last or ''}"


def opened(placed: Placed) -> str:
    """The template of a candidate, with what the script has to know of its rules."""
    said = [("band", placed.page)]
    times = [_times(r) for r in placed.rules if isinstance(r, Between)]
    days = sorted({d for r in placed.rules if isinstance(r, OnWeekdays) for d in r.days})
    turn = next((r for r in placed.rules if isinstance(r, InTurn)), None)
    if times:
        said.append(("times", " ".join(times)))
    if days:
        said.append(("days", "".join(map(str, days))))
    if turn:
        said += [("with", " ".join(turn.others)), ("by", turn.by)]
    attributes = "".join(f' data-gf-{name}="{html_attribute(value)}"' for name, value in said)
    return f"<template{attributes}>\n"


def chosen(group: Group, zone: str, bands: dict[str, str]) -> str:
    """A group: each candidate in a template, what chooses, and what stands where no script runs.

    `bands` is the markup of each candidate.
    """
    if group.fixed:
        return "".join(bands.values())
    parts = [f"{opened(placed)}{bands[placed.page]}</template>\n" for placed, _ in group.candidates]
    parts.append(f'<script data-gf-zone="{html_attribute(zone)}">{CHOOSE}</script>\n')
    if group.default is not None:
        parts.append(f'<noscript class="gf-chosen">\n{bands[group.default]}</noscript>\n')
    return "".join(parts)
