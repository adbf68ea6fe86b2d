/** What this browser keeps of how somebody works, under a name; null where nothing was kept or nothing can be. */
export function kept(name: string): string | null {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
}

/** Keeps it for the next visit; where a browser keeps nothing it lasts as long as the page. */
export function keep(name: string, value: unknown): void {
  try {
    localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // told above
  }
}
