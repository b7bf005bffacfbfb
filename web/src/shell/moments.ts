const TIME: Intl.DateTimeFormatOptions = { hour: '2-digit', minute: '2-digit', second: '2-digit' };

/** A moment as people say it: the time alone where it is today. */
export function momentWords(at: number | string): string {
  const then = new Date(at);
  const time = then.toLocaleTimeString(undefined, TIME);
  if (then.toDateString() === new Date().toDateString()) return `Today, ${time}`;
  const day = then.toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });
  return `${day}, ${time}`;
}
