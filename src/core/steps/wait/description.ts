import { choice, description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { KINDS, kindOf, type UnitKindName } from '../../units/registry';

const sensed = KINDS.flatMap(({ kind, reads }) =>
  reads === null ? [] : [[kind as UnitKindName, reads.words] as const],
);

/** The sensor of a step that nobody has said it of. */
export const USUAL_SENSOR = sensed[0]?.[0] as UnitKindName;

/** What a step that waits for a reading knows of it. */
export const readingOf = (sensor: UnitKindName) => kindOf(sensor).reads;

/** Stand for a time, or until a reading passes a value; when the time is over it goes on in any case. */
export const WAIT = description({
  kind: 'wait',
  label: 'Wait',
  fields: {
    until: choice({
      label: 'For a time or until a reading',
      options: { time: 'for', reading: 'until' },
      default: 'time',
    }),
    sensor: choice<UnitKindName>({
      label: 'What reads',
      about: 'for "reading"',
      options: Object.fromEntries(sensed) as Record<UnitKindName, string>,
      default: USUAL_SENSOR,
    }),
    passes: choice({
      label: 'Under or over',
      about: 'for "reading"',
      options: { below: 'or less', above: 'or more' },
      default: 'below',
    }),
    value: number({
      label: 'Reading',
      about: 'for "reading": metres, or a share of full scale',
      quantity: 'ratio',
      min: 0,
      max: 5,
      default: 0.12,
    }),
    timeS: number({ label: 'Time', quantity: 'time', min: 0, max: 60, default: 1 }),
  },
  phrase({ until, sensor }) {
    if (until === 'time') return say`Wait ${'until'} ${'timeS'}`;
    const reads = readingOf(sensor);
    const is = reads?.states;
    return [
      ...say`Wait ${'until'} the ${'sensor'} `,
      ...(is === undefined
        ? say`reads ${{ slot: 'value', quantity: reads?.quantity ?? 'ratio', most: reads?.most ?? 1 }} ${'passes'}`
        : say`is ${{ slot: 'passes', words: is }}`),
      ...say`, for ${{ slot: 'timeS', label: 'Time at most' }} at most`,
    ];
  },
});

export type WaitStep = RecordOf<typeof WAIT>;
