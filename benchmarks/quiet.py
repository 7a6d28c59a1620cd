"""Waiting until an application has nothing to do of its own accord."""

from playwright.sync_api import Page

from garnetfern.demo import FERN_HOUSE

REST = 300
"""So many seconds are given to what is done in the background."""


def at_rest(page: Page, address: str) -> None:
    """Wait until the sample site has all that is made of it in the background: a new one's film is coded first."""
    for _ in range(REST):
        page.wait_for_timeout(1000)
        jobs = page.request.get(f"{address}of/{FERN_HOUSE}/api/work").json()
        if jobs and all(job["state"] == "done" for job in jobs):
            return
    raise TimeoutError(f"something is at work for {REST} seconds")
