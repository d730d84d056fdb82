import { benchSpeed } from '../text/quantities';
import type { LineSquaringWay } from './lineSquaring';

/** "at 10 cm/s, then at 4 cm/s". */
export const wayText = ({
  speedMPerS,
  secondMPerS,
}: Pick<LineSquaringWay, 'speedMPerS' | 'secondMPerS'>): string =>
  secondMPerS === null
    ? `at ${benchSpeed(speedMPerS)}`
    : `at ${benchSpeed(speedMPerS)}, then at ${benchSpeed(secondMPerS)}`;
