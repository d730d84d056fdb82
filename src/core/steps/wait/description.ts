import { choice, description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { READ_BY_STEPS, type ReadByKind } from '../../devices/channels';

/** The reading of a step that nobody has said it of. */
const USUAL = READ_BY_STEPS[0] as ReadByKind;
export const USUAL_SENSOR = USUAL.name;

/** What a step waits for, by the name that its record has for it. */
export const readingOf = (sensor: string): ReadByKind =>
  READ_BY_STEPS.find(({ name }) => name === sensor) ?? USUAL;

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
    sensor: choice<string>({
      label: 'What reads',
      about: 'for "reading"',
      options: Object.fromEntries(
        READ_BY_STEPS.map(({ name, channel }) => [name, channel.reads?.words ?? name]),
      ),
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
    const { reads } = readingOf(sensor).channel;
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
