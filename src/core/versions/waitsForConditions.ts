import { isKept, type Kept, type Way } from './way';

/** Deeper than this no route is read: its schema refuses it. */
const DEEPEST = 8;
/** What is on or off has passed beyond its middle. */
const MIDDLE = 0.5;
const USUAL_S = 1;
const USUAL_VALUE = 0.12;
const USUAL_SENSOR = 'distance sensor';

/** What each kind of unit read, where its name did not say it. */
const CHANNELS: Readonly<Record<string, string>> = {
  'distance sensor': 'distance',
  'light sensor': 'light',
  'touch sensor': 'touch',
};

/** The reading of a sensor that was named by its kind, and by what it reads where that is several things. */
function readingOf(sensor: string): { unit: string; channel: string } {
  const [unit = sensor, channel = CHANNELS[sensor] ?? sensor] = sensor.split(': ');
  return { unit, channel };
}

function wait({ until, sensor, passes, value, timeS, ...step }: Kept): Kept {
  const seconds = timeS ?? USUAL_S;
  if (until !== 'reading') return { ...step, seconds };
  const reading = readingOf(typeof sensor === 'string' ? sensor : USUAL_SENSOR);
  const is = passes === 'above' ? 'above' : 'below';
  const limit = reading.channel === 'touch' ? MIDDLE : (value ?? USUAL_VALUE);
  return { ...step, seconds, until: { reading, is, value: limit } };
}

/** Written as it was before: for a time or until a reading, each value in a field of its own. */
const isBefore = ({ kind, until, timeS }: Kept): boolean =>
  kind === 'wait' && (typeof until === 'string' || timeS !== undefined);

function brought(steps: readonly unknown[], depth = 0): unknown[] {
  return steps.map((step) => {
    if (!isKept(step) || depth > DEEPEST) return step;
    if (isBefore(step)) return wait(step);
    const { steps: inner } = step;
    return Array.isArray(inner) ? { ...step, steps: brought(inner, depth + 1) } : step;
  });
}

/** A wait ends by a condition, as every motion may. */
export const waitsForConditions: Way = {
  name: 'waits for conditions',
  up: (record) =>
    Array.isArray(record.steps) ? { ...record, steps: brought(record.steps) } : record,
};
