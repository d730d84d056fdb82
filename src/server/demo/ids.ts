/** An identifier of the demo data: a valid ULID that never changes. */
export const demoId = (kind: string, n: number): string =>
  `01DEM${kind}${String(n).padStart(26 - 5 - kind.length, '0')}`;
