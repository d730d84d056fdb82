/** What a sheet's lines are made of, read by somebody who knows nothing but what stands there. */

/** A line with those that are moved in under it. */
export interface Sentence {
  text: string;
  under: Sentence[];
}

const INDENT = 4;

export function sentences(lines: readonly string[]): Sentence[] {
  const top: Sentence[] = [];
  const open: Sentence[][] = [top];
  for (const line of lines) {
    const depth = (line.length - line.trimStart().length) / INDENT;
    const one = { text: line.trim().replaceAll('−', '-'), under: [] };
    open[depth]?.push(one);
    open.splice(depth + 1, Infinity, one.under);
  }
  return top;
}

/** What a name stands for now; null: nothing was read. */
export type Look = (name: string) => number | null;

const FUNCTIONS: Record<string, (...of: number[]) => number> = {
  'smallest of': Math.min,
  'largest of': Math.max,
  'square root of': Math.sqrt,
  'size of': Math.abs,
};
const COMPARED: Record<string, (a: number, b: number) => boolean> = {
  '>=': (a, b) => a >= b - 1e-9,
  '<=': (a, b) => a <= b + 1e-9,
  '>': (a, b) => a > b + 1e-9,
  '<': (a, b) => a < b - 1e-9,
  '=': (a, b) => a === b,
};

/** Reads an expression from left to right; the longest name that fits is meant. */
class Reader {
  private at = 0;

  constructor(
    private readonly text: string,
    private readonly names: readonly string[],
    private readonly look: Look,
  ) {}

  either(): boolean {
    let so = this.both();
    while (this.take('or')) so = this.both() || so;
    return so;
  }

  value(): number {
    let sum = this.product();
    for (;;) {
      if (this.take('+')) sum += this.product();
      else if (this.take('-')) sum -= this.product();
      else return sum;
    }
  }

  end(): void {
    this.skip();
    if (this.at < this.text.length) throw new Error(`What is “${this.text.slice(this.at)}”?`);
  }

  private both(): boolean {
    let so = this.one();
    while (this.take('and')) so = this.one() && so;
    return so;
  }

  private one(): boolean {
    const began = this.at;
    if (this.take('both motors are held')) return this.look('both motors are held') === 1;
    const name = this.name();
    if (name !== null) {
      if (this.take('shows something')) return this.look(name) !== null;
      if (this.take('is pressed')) return this.look(name) === 1;
      this.at = began;
    }
    if (this.take('(')) {
      try {
        const so = this.either();
        if (this.take(')')) return so;
      } catch {
        // It was no condition in brackets, but a number.
      }
      this.at = began;
    }
    const left = this.value();
    for (const [sign, holds] of Object.entries(COMPARED))
      if (this.take(sign)) return holds(left, this.value());
    throw new Error(`No comparison in “${this.text}”`);
  }

  private product(): number {
    let product = this.factor();
    for (;;) {
      if (this.take('*')) product *= this.factor();
      else if (this.take('/')) product /= this.factor();
      else return product;
    }
  }

  private factor(): number {
    if (this.take('-')) return -this.factor();
    for (const [words, of] of Object.entries(FUNCTIONS))
      if (this.take(words)) return of(...this.list());
    if (this.take('(')) {
      const value = this.value();
      this.need(')');
      return value;
    }
    const name = this.name();
    if (name !== null) return this.look(name) ?? Number.NaN;
    const digits = /^\d+(\.\d+)?/.exec(this.text.slice(this.at))?.[0];
    if (digits === undefined) throw new Error(`What is “${this.text.slice(this.at)}”?`);
    this.at += digits.length;
    return Number(digits);
  }

  private list(): number[] {
    this.need('(');
    const values = [this.value()];
    while (this.take(',')) values.push(this.value());
    this.need(')');
    return values;
  }

  private name(): string | null {
    this.skip();
    const rest = this.text.slice(this.at);
    const fits = this.names.filter((name) => rest.startsWith(name));
    const longest = fits.toSorted((a, b) => b.length - a.length)[0] ?? null;
    this.at += longest?.length ?? 0;
    return longest;
  }

  private need(what: string): void {
    if (!this.take(what)) throw new Error(`“${what}” is missing in “${this.text}”`);
  }

  private take(what: string): boolean {
    this.skip();
    if (!this.text.startsWith(what, this.at)) return false;
    this.at += what.length;
    return true;
  }

  private skip(): void {
    while (this.text[this.at] === ' ') this.at += 1;
  }
}

export function valueOf(text: string, names: readonly string[], look: Look): number {
  const reader = new Reader(text, names, look);
  const value = reader.value();
  reader.end();
  return value;
}

export function isSo(text: string, names: readonly string[], look: Look): boolean {
  const reader = new Reader(text, names, look);
  const so = reader.either();
  reader.end();
  return so;
}
