const DAY = 86_400_000;

/** When something was, as one says it: the hour of today and yesterday, else the day, with its year when that is another. */
export function told(iso: string, now: Date): string {
  const at = new Date(iso);
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const hour = at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  if (at.getTime() >= midnight) return `today ${hour}`;
  if (at.getTime() >= midnight - DAY) return `yesterday ${hour}`;
  return at.toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    ...(at.getFullYear() === now.getFullYear() ? {} : { year: 'numeric' }),
  });
}
