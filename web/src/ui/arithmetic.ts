/**
 * Reads what people type into a number field: a number, simple arithmetic ("1280/2", "3*25") and a
 * unit behind it. Null if it cannot be read.
 */
export function readNumber(text: string): { value: number; unit: string } | null {
  const match = /^([-+*/().,\d\s]*)\s*(%|px|em|°|deg|laps?|s|f|fps)?\s*$/i.exec(text.trim());
  if (!match) return null;
  const parser = new Parser((match[1] ?? '').replace(/,/g, '.'));
  const value = parser.sum();
  if (!parser.done() || !Number.isFinite(value)) return null;
  return { value, unit: (match[2] ?? '').toLowerCase() };
}

/**
 * The number that is meant by a text in a field.
 *
 * @param unit the field's own, which may stand behind the number
 * @param units what others come to in it
 * @returns the number, or why there is none
 */
export function withUnits(
  text: string,
  unit: string,
  units: Record<string, (value: number) => number>,
): number | string {
  const read = readNumber(text);
  const convert = read?.unit ? units[read.unit] : undefined;
  if (!read || (read.unit && !convert && read.unit !== unit && read.unit !== 'deg')) {
    return `“${text}” is not a number here; the old one stands`;
  }
  return convert ? convert(read.value) : read.value;
}

class Parser {
  private at = 0;

  constructor(private readonly text: string) {}

  private peek(): string {
    while (this.text[this.at] === ' ') this.at++;
    return this.text[this.at] ?? '';
  }

  done(): boolean {
    return this.peek() === '';
  }

  sum(): number {
    let value = this.product();
    while (this.peek() === '+' || this.peek() === '-') {
      value += this.text[this.at++] === '+' ? this.product() : -this.product();
    }
    return value;
  }

  private product(): number {
    let value = this.factor();
    while (this.peek() === '*' || this.peek() === '/') {
      if (this.text[this.at++] === '*') value *= this.factor();
      else value /= this.factor();
    }
    return value;
  }

  private factor(): number {
    const c = this.peek();
    if (c === '-' || c === '+') {
      this.at++;
      return c === '-' ? -this.factor() : this.factor();
    }
    if (c === '(') {
      this.at++;
      const value = this.sum();
      if (this.peek() !== ')') return NaN;
      this.at++;
      return value;
    }
    const number = /^\d*\.?\d*/.exec(this.text.slice(this.at))?.[0] ?? '';
    this.at += number.length;
    return number === '' || number === '.' ? NaN : Number(number);
  }
}

/** A number with at most so many decimals, without trailing zeros. */
export function shown(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}
