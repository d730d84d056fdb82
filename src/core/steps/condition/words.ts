import { READ_BY_STEPS } from '../../devices/channels';
import { QUANTITIES, type QuantityName } from '../../quantities/quantities';
import { counted } from '../../text/quantities';
import type { Condition, Reading, Single } from './condition';

/** What is on or off, as it is called either way; null for what has a size. */
export function statesOf(reading: Reading): { above: string; below: string } | null {
  if (typeof reading === 'string' || 'motor' in reading) return null;
  return readsOf(reading.channel)?.states ?? null;
}

const readsOf = (channel: string) =>
  READ_BY_STEPS.find((one) => one.channel.name === channel)?.channel.reads ?? null;

/** In what a reading is said; of a change of it, too. */
export function quantityOf({ reading, is }: Single): QuantityName {
  const isChange = is === 'changed' || is === 'still';
  if (reading === 'heading') return isChange ? 'angle' : 'heading';
  if (reading === 'volts') return 'voltage';
  if (reading === 'time') return 'time';
  if ('motor' in reading) return 'angle';
  return readsOf(reading.channel)?.quantity ?? 'ratio';
}

/** What is read, in words. */
export function readingWords(reading: Reading): string {
  if (reading === 'volts') return 'the battery';
  if (reading === 'time') return 'the step’s time';
  if (reading === 'heading') return 'the heading';
  if ('motor' in reading) return `motor ${reading.motor}`;
  const what = `the ${readsOf(reading.channel)?.words ?? reading.channel}`;
  // Named by its kind it is the one that looks ahead, or the only one.
  const isKind = READ_BY_STEPS.some(({ kind }) => kind === reading.unit);
  return isKind ? what : `${what} of ${reading.unit}`;
}

const A_LITTLE_RAD = 0.1;

/** A heading that is shown the other way round is less where it is more. */
const isShownRound = ({ reading }: Single): boolean => {
  if (reading !== 'heading') return false;
  const { unit } = QUANTITIES.heading;
  return unit.show(A_LITTLE_RAD) < unit.show(0);
};
/** Over or under, as the team counts what is read. */
export function sideShown(single: Single): Single['is'] {
  const { is } = single;
  if (!isShownRound(single) || (is !== 'above' && is !== 'below')) return is;
  return is === 'above' ? 'below' : 'above';
}

const IS_WORDS = {
  above: (value: string, verb: string) => `${verb} ${value} or more`,
  below: (value: string, verb: string) => `${verb} ${value} or less`,
  changed: (value: string) => `has changed by ${value}`,
  still: (value: string) => `stays within ${value}`,
};

function singleWords(single: Single): string {
  const { reading, is, value, confirmations, timeoutS } = single;
  const states = statesOf(reading);
  const verb = typeof reading === 'object' && 'unit' in reading ? 'reads' : 'is';
  const said =
    states !== null && (is === 'above' || is === 'below')
      ? `is ${states[is]}`
      : IS_WORDS[sideShown(single)](QUANTITIES[quantityOf(single)].text(value), verb);
  const often = confirmations === 1 ? '' : `, ${counted(confirmations, 'time')} in a row`;
  const limit =
    timeoutS === undefined ? '' : `, within ${QUANTITIES.time.text(timeoutS)} or it has failed`;
  return `${readingWords(reading)} ${said}${often}${limit}`;
}

/** A condition as a plain sentence says it. */
export function conditionWords(condition: Condition): string {
  const within = (one: Condition) =>
    'reading' in one ? conditionWords(one) : `(${conditionWords(one)})`;
  if ('all' in condition) return condition.all.map(within).join(' and ');
  if ('any' in condition) return condition.any.map(within).join(' or ');
  return singleWords(condition);
}
