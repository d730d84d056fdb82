import type { OverviewLine } from './line';

/** What is most worth doing, and why. */
export interface WorthDoing {
  id: string;
  why: string;
}

/** The first line of each kind, the most pressing kind first. */
const PRESSING: { fits(line: OverviewLine): boolean; why(line: OverviewLine): string }[] = [
  {
    fits: ({ sentence, freshness }) => sentence !== null && freshness?.state === 'missing',
    why: ({ freshness }) => freshness?.text ?? '',
  },
  {
    // What gives a calibration changes what is simulated; the rest can wait.
    fits: ({ sentence, gives }) => sentence === null && gives,
    why: () => 'never measured',
  },
  {
    fits: ({ freshness }) => freshness?.state === 'ageing',
    why: ({ freshness }) => freshness?.text ?? '',
  },
  { fits: ({ sentence }) => sentence === null, why: () => 'never done' },
];

/** What is worth doing next by what is known and how old it is; null where all is fresh. */
export function worthNext(lines: readonly OverviewLine[]): WorthDoing | null {
  const open = lines.filter(({ minutes }) => minutes !== null);
  for (const { fits, why } of PRESSING) {
    const line = open.find(fits);
    if (line !== undefined) return { id: line.id, why: why(line) };
  }
  return null;
}
