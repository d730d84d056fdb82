/** So many readings of either surface at each place. */
export const READINGS_EACH = 5;

interface Taken {
  over: 'line' | 'floor';
  place: string;
}

const countOf = (taken: readonly Taken[], over: Taken['over'], place: string): number =>
  taken.filter((one) => one.over === over && one.place === place).length;

/** Where the next reading belongs: five over the line, five over the floor beside it, then the next place. */
export function nextSample(taken: readonly Taken[], now: Taken): Taken {
  const isFull = (over: Taken['over']) => countOf(taken, over, now.place) >= READINGS_EACH;
  if (!isFull(now.over)) return now;
  const other = now.over === 'line' ? 'floor' : 'line';
  if (!isFull(other)) return { ...now, over: other };
  const number = Number(now.place);
  return { over: 'line', place: Number.isInteger(number) ? `${number + 1}` : now.place };
}

/** Where the one after a list of readings belongs. */
export const sampleAfter = (taken: readonly Taken[]): Taken =>
  nextSample(taken, taken.at(-1) ?? { over: 'line', place: '1' });

export const doneAt = (taken: readonly Taken[], { over, place }: Taken): number =>
  countOf(taken, over, place);
