/**
 * What is shortened with an ellipsis tells its whole text when the pointer or the keyboard comes to it, wherever on the page that is:
 * how much room there is, is known only then.
 */
export function watchShortened(): () => void {
  const told = (e: Event) => {
    if (!(e.target instanceof Element)) return;
    for (let a: Element | null = e.target; a && a !== document.body; a = a.parentElement) {
      if (!(a instanceof HTMLElement)) continue;
      const ours = a.dataset.whole !== undefined;
      if (a.title !== '' && !ours) return;
      const shortened =
        a.scrollWidth > a.clientWidth + 1 &&
        getComputedStyle(a).textOverflow === 'ellipsis' &&
        a.textContent !== '';
      if (shortened) {
        a.title = (a.textContent ?? '').replace(/\s+/g, ' ').trim();
        a.dataset.whole = '';
        return;
      }
      if (ours) {
        a.removeAttribute('title');
        delete a.dataset.whole;
      }
    }
  };
  document.addEventListener('pointerover', told, { passive: true });
  document.addEventListener('focusin', told);
  return () => {
    document.removeEventListener('pointerover', told);
    document.removeEventListener('focusin', told);
  };
}
