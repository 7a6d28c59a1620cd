"""Speed, measured: the bench in a real browser, and the check beside a browser that is scripted to do the same."""
