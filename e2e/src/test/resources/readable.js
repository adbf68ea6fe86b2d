// Finds text on the page that cannot be read: cut by a box that does not scroll, laid over other text, or out of reach.
// What is shortened with an ellipsis is told in full when one comes to it. Answers with sentences.
() => {
  const SLACK = 2;
  // pixels of a shortened text that are left to see
  const LEFT = 12;
  const told = [];
  const short = (s) => (s.length > 40 ? s.slice(0, 40) + '…' : s);
  const shown = (e) => {
    if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) return false;
    for (let a = e; a; a = a.parentElement) {
      // what is there for screen readers alone, what only shows under a pointer, and what lies along a strip of time
      if (a.classList.contains('sr-only') || a.matches('[data-testid=lane], [data-testid=sheet], option, select')) return false;
      if (a instanceof SVGElement) return false;
    }
    return true;
  };
  const scrolls = (v) => v === 'auto' || v === 'scroll';
  const texts = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let n = walk.nextNode(); n; n = walk.nextNode()) {
    const text = n.textContent.trim();
    const e = n.parentElement;
    if (text === '' || !shown(e)) continue;
    const range = document.createRange();
    range.selectNodeContents(n);
    const all = [...range.getClientRects()].filter((r) => r.width > 1 && r.height > 1);
    if (all.length === 0) continue;
    texts.push({ e, text, all });
  }
  const seen = [];
  for (const t of texts) {
    const fixed = [...ancestors(t.e)].some((a) => getComputedStyle(a).position === 'fixed');
    let rects = t.all;
    let cut = null;
    let away = false;
    for (const a of [t.e, ...ancestors(t.e)]) {
      const s = getComputedStyle(a);
      if (s.display === 'inline' || s.display === 'contents') continue;
      const r = a.getBoundingClientRect();
      const ellipsis = s.textOverflow === 'ellipsis' && s.overflowX !== 'visible';
      // so many lines and then dots
      const clamped = s.webkitLineClamp !== 'none' && s.webkitLineClamp !== '';
      for (const [axis, from, to] of [['X', 'left', 'right'], ['Y', 'top', 'bottom']]) {
        const over = s['overflow' + axis];
        if (over === 'visible') continue;
        const beyond = rects.some((x) => x[from] < r[from] - SLACK || x[to] > r[to] + SLACK);
        if (!beyond) continue;
        if (scrolls(over)) {
          // it can be scrolled to; what is out of sight now is not compared with anything
          if (rects.every((x) => x[to] <= r[from] || x[from] >= r[to])) away = true;
          continue;
        }
        if (ellipsis && axis === 'X') {
          // the page tells the whole of it when one comes to it; but something must be left to come to
          const left = Math.max(...rects.map((x) => Math.min(x.right, r.right) - Math.max(x.left, r.left)));
          // of several texts behind each other the dots stand for the last ones
          const first = a.textContent.trim().startsWith(t.text);
          if (left < LEFT && !away && first) told.push(`“${short(t.text)}” is shortened to nothing`);
        } else if (!away && !clamped) cut = a;
      }
      rects = rects.map((x) => ({
        left: s.overflowX === 'visible' ? x.left : Math.max(x.left, r.left),
        right: s.overflowX === 'visible' ? x.right : Math.min(x.right, r.right),
        top: s.overflowY === 'visible' ? x.top : Math.max(x.top, r.top),
        bottom: s.overflowY === 'visible' ? x.bottom : Math.min(x.bottom, r.bottom),
      }));
      if (s.position === 'fixed') break;
    }
    if (away) continue;
    if (cut) {
      told.push(`“${short(t.text)}” is cut by ${cut.tagName.toLowerCase()}.${String(cut.className).slice(0, 60)}`);
      continue;
    }
    const inside = rects.filter((x) => x.right - x.left > SLACK && x.bottom - x.top > SLACK);
    if (inside.some((x) => x.right > innerWidth + SLACK || x.bottom > innerHeight + SLACK || x.left < -SLACK || x.top < -SLACK))
      told.push(`“${short(t.text)}” is out of the window and cannot be scrolled to`);
    seen.push({ ...t, rects: inside, fixed });
  }
  for (let i = 0; i < seen.length; i++)
    for (let j = i + 1; j < seen.length; j++) {
      const [a, b] = [seen[i], seen[j]];
      if (a.fixed !== b.fixed || a.e === b.e) continue;
      for (const x of a.rects)
        for (const y of b.rects) {
          const w = Math.min(x.right, y.right) - Math.max(x.left, y.left);
          const h = Math.min(x.bottom, y.bottom) - Math.max(x.top, y.top);
          if (w > 3 && h > 4) {
            // what lies under another thing, like a sheet under a bar, is not read there at all
            const at = document.elementFromPoint((Math.max(x.left, y.left) + Math.min(x.right, y.right)) / 2, (Math.max(x.top, y.top) + Math.min(x.bottom, y.bottom)) / 2);
            if (at && covers(at, a.e, b.e)) continue;
            told.push(`“${short(a.text)}” lies over “${short(b.text)}”`);
          }
        }
    }
  return [...new Set(told)];

  // Whether what is on top has a ground of its own, which hides the other one
  function covers(top, a, b) {
    for (let e = top; e && !(e.contains(a) && e.contains(b)); e = e.parentElement) {
      const ground = getComputedStyle(e).backgroundColor.match(/[\d.]+/g) ?? [];
      if (ground.length === 3 || Number(ground[3]) > 0.5) return true;
    }
    return false;
  }

  function* ancestors(e) {
    for (let a = e.parentElement; a; a = a.parentElement) yield a;
  }
};
