"""What rules are when a page that they name is gone."""

from ...core.document import Site
from ...core.document.placing import InTurn, NotOnPages, OnPages, Placed, Rule


def rules_without(rules: tuple[Rule, ...], page: str) -> tuple[Rule, ...]:
    """Rules without those that name a page that is gone; what names nothing then is gone too."""
    found: list[Rule] = []
    for rule in rules:
        if isinstance(rule, InTurn) and page in rule.others:
            others = tuple(name for name in rule.others if name != page)
            found += [rule.model_copy(update={"others": others})] if others else []
        elif isinstance(rule, OnPages | NotOnPages) and page in rule.pages:
            pages = tuple(name for name in rule.pages if name != page)
            found += [rule.model_copy(update={"pages": pages})] if pages or rule.kinds else []
        else:
            found.append(rule)
    return tuple(found)


def without_page(site: Site, page: str) -> tuple[Placed, ...]:
    """What is placed, its rules without a page that is gone. What was meant for that page alone would be shown
    everywhere then: it keeps off every kind of page instead."""
    found = []
    for placed in site.placed:
        rules = rules_without(placed.rules, page)
        if any(isinstance(r, OnPages) for r in placed.rules) and not any(isinstance(r, OnPages) for r in rules):
            rules = (*rules, NotOnPages(kinds=site.kinds))
        found.append(placed.model_copy(update={"rules": rules}))
    return tuple(found)
