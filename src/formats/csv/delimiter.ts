const DELIMITERS = [',', ';', '\t'] as const;

/**
 * What stands between the fields of a CSV file: comma, semicolon or tab, whichever its heading line
 * has most of outside quotes. What people typed further down must not decide.
 */
export function delimiterOf(text: string): string {
  const [heading = ''] = text.replace(/^\uFEFF?[\r\n]*/, '').split(/\r?\n/, 1);
  const bare = heading.replace(/"[^"]*"/g, '');
  const count = (delimiter: string) => bare.split(delimiter).length;
  return DELIMITERS.toSorted((a, b) => count(b) - count(a))[0] ?? ',';
}
