/**
 * Keeps the focus somewhere sensible. Where what had it is taken away, the nearest thing around it that is still there
 * gets it; so the next press of Tab goes on from where one was, and never from the beginning of the page.
 */
export function keepFocus(root: HTMLElement): () => void {
  let path: HTMLElement[] = [];

  function focused(event: FocusEvent): void {
    path = [];
    for (let at = event.target as HTMLElement | null; at && at !== document.body; at = at.parentElement)
      path.push(at);
  }

  function restore(): void {
    const had = path[0];
    if (!had || had.isConnected || document.activeElement !== document.body) return;
    const around = path.find((element) => element.isConnected);
    const region = around?.closest<HTMLElement>('section, nav, ul, main, header, [role=dialog]') ?? root;
    path = [];
    if (!region.hasAttribute('tabindex')) region.tabIndex = -1;
    region.focus({ preventScroll: true });
  }

  const watcher = new MutationObserver(() => {
    const had = path[0];
    // menus and panels give the focus back themselves; what is still nowhere then is helped
    if (had && !had.isConnected) setTimeout(restore, 30);
  });
  document.addEventListener('focusin', focused);
  watcher.observe(document.body, { childList: true, subtree: true });
  return () => {
    document.removeEventListener('focusin', focused);
    watcher.disconnect();
  };
}
