() => {
  const PRESSABLE =
    "button, a[href], select, textarea, input:not([type=file]), summary, [role=slider], [role=menuitem]";
  const found = [];
  const name = (e) =>
    (e.getAttribute("aria-label") || e.title || e.textContent || e.tagName)
      .trim()
      .slice(0, 40);
  const shown = (e) => {
    const style = getComputedStyle(e);
    return (
      style.visibility !== "hidden" &&
      style.display !== "none" &&
      e.getClientRects().length > 0
    );
  };
  /** What of an element is in sight: its box cut by all that clips it. Whether something around it scrolls. */
  const seen = (e) => {
    let { left, top, right, bottom } = e.getBoundingClientRect();
    let scrolls = false;
    for (let a = e.parentElement; a; a = a.parentElement) {
      const style = getComputedStyle(a);
      if (
        style.position === "fixed" &&
        a.hasAttribute("data-bits-floating-content-wrapper")
      )
        break;
      if (!/(auto|scroll|hidden|clip)/.test(style.overflowX + style.overflowY))
        continue;
      const box = a.getBoundingClientRect();
      if (
        a.scrollHeight > a.clientHeight + 1 ||
        a.scrollWidth > a.clientWidth + 1
      )
        scrolls ||= /(auto|scroll)/.test(style.overflowX + style.overflowY);
      left = Math.max(left, box.left);
      right = Math.min(right, box.right);
      top = Math.max(top, box.top);
      bottom = Math.min(bottom, box.bottom);
    }
    return { left, top, right, bottom, scrolls };
  };
  for (const e of document.querySelectorAll(PRESSABLE)) {
    const whole = e.getBoundingClientRect();
    if (
      !shown(e) ||
      whole.width <= 2 ||
      whole.height <= 2 ||
      e.closest("[aria-hidden=true], [inert]")
    )
      continue;
    const box = seen(e);
    const [w, h] = [box.right - box.left, box.bottom - box.top];
    if (w < 2 || h < 2) {
      if (!box.scrolls) found.push(`out of reach: ${name(e)}`);
      continue;
    }
    if (
      !box.scrolls &&
      (box.left < -1 ||
        box.top < -1 ||
        box.right > innerWidth + 1 ||
        box.bottom > innerHeight + 1)
    )
      found.push(`leaves the window: ${name(e)}`);
    if (w < whole.width * 0.6 || h < whole.height * 0.6) continue; // half scrolled away
    const x = box.left + w / 2,
      y = box.top + h / 2;
    if (x < 0 || y < 0 || x >= innerWidth || y >= innerHeight) continue;
    const top = document.elementFromPoint(x, y);
    const own =
      top &&
      (top === e ||
        e.contains(top) ||
        top.contains(e) ||
        top.closest("label")?.contains(e));
    const overlay = top?.closest(
      "[data-bits-floating-content-wrapper], .bar, .under-way, [role=alert]",
    );
    if (!own && !overlay && !top?.closest(PRESSABLE)?.contains(e))
      found.push(`covered: ${name(e)} by ${name(top ?? document.body)}`);
  }
  /** A select draws its own text and tells nobody that it is cut: each of its words is measured, beside its arrow; of
      one that is as wide as what is chosen, that one. */
  const pen = document.createElement("canvas").getContext("2d");
  const ARROW = 16;
  for (const e of document.querySelectorAll("select")) {
    const style = getComputedStyle(e);
    const inner =
      e.clientWidth -
      parseFloat(style.paddingLeft) -
      parseFloat(style.paddingRight) -
      (style.appearance === "none" ? 0 : ARROW);
    pen.font = style.font;
    const told = e.title.includes(e.selectedOptions[0]?.label ?? "");
    if (shown(e) && !(e.title && told))
      for (const option of style.fieldSizing === "content"
        ? e.selectedOptions
        : e.options)
        if (pen.measureText(option.label).width > inner + 1)
          found.push(`cut in its select: ${option.label}`);
  }
  /** What scrolls up and down alone must hold its content from side to side. */
  for (const e of document.querySelectorAll("body *")) {
    const style = getComputedStyle(e);
    if (
      !/(auto|scroll)/.test(style.overflowY) ||
      !/(hidden|clip|auto|scroll)/.test(style.overflowX)
    )
      continue;
    if (
      e.scrollHeight > e.clientHeight + 1 &&
      e.scrollWidth > e.clientWidth + 1 &&
      e.clientWidth > 2 &&
      shown(e) &&
      !e.querySelector("table, [role=table]")
    )
      found.push(
        `runs past its side by ${e.scrollWidth - e.clientWidth}: ${name(e)}`,
      );
  }
  for (const e of document.querySelectorAll("body *")) {
    if (!shown(e) || e.closest("[aria-hidden=true], svg, iframe, .sr-only"))
      continue;
    const own = [...e.childNodes].some(
      (n) => n.nodeType === 3 && n.textContent.trim(),
    );
    const input = e.matches("input[type=text], input:not([type]), select");
    if (!own && !input) continue;
    const style = getComputedStyle(e);
    const cuts = input || /(hidden|clip)/.test(style.overflowX);
    if (
      !cuts ||
      e.scrollWidth <= e.clientWidth + 1 ||
      e.getBoundingClientRect().width <= 2
    )
      continue;
    if (e.closest("[title]") || e.matches("[aria-label][type=search]"))
      continue; // the whole is told when it is pointed at
    found.push(`cut: ${(e.value ?? e.textContent).trim().slice(0, 50)}`);
  }
  const root = document.querySelector(".frame");
  if (scrollX + scrollY + root.scrollTop + root.scrollLeft !== 0)
    found.push("the window has scrolled");
  if (document.documentElement.scrollWidth > innerWidth + 1)
    found.push("the window is wider than it is");
  return [...new Set(found)];
};
