/** A key as it stands in lists. */
export function keyWords(key: string): string {
  const named: Record<string, string> = { Escape: 'Esc', Backspace: 'Backspace' };
  return key
    .split(/\+(?=.)/)
    .map((k) => named[k] ?? k.charAt(0).toUpperCase() + k.slice(1))
    .join(' ');
}
