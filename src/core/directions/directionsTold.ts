import type { DirectionResult, DirectionStep } from './directionCheck';

/** What somebody saw of a number on a robot's small screen while the robot was moved by hand. */
export const SEEN_CHANGES = ['grew', 'fell', 'stayed'] as const;
export type SeenChange = (typeof SEEN_CHANGES)[number];

/** Which numbers are looked at in each move. */
export const LOOKED_AT: Record<
  DirectionStep,
  readonly { key: 'heading' | 'leftMotor' | 'rightMotor'; label: string }[]
> = {
  'turn-left': [{ key: 'heading', label: 'The heading' }],
  'roll-forward': [
    { key: 'leftMotor', label: 'The left motor’s angle' },
    { key: 'rightMotor', label: 'The right motor’s angle' },
  ],
  tilt: [{ key: 'heading', label: 'The heading' }],
};

/** What was seen of those numbers; what nobody looked at is left out. */
export type SeenChanges = Partial<Record<'heading' | 'leftMotor' | 'rightMotor', SeenChange>>;

const NOTHING = { signs: {}, rollsOver: null, ok: false } as const;
const signOf = (seen: SeenChange): 1 | -1 => (seen === 'grew' ? 1 : -1);
const word = (seen: SeenChange) => (seen === 'grew' ? 'grows' : 'shrinks');

function toldTilt(heading: SeenChange): DirectionResult {
  return heading === 'stayed'
    ? {
        ...NOTHING,
        ok: true,
        sentence:
          'Tilting left the heading where it was: the sensor’s axis is vertical, as far as an eye sees.',
      }
    : {
        ...NOTHING,
        sentence:
          'Tilting changed the heading: the sensor lies crooked, or another axis is read. Mount it flat.',
      };
}

/**
 * Which way raw readings grow, from what somebody saw of them on a small screen: for robots that log nothing. Whether
 * encoders roll over is not told by it.
 *
 * @returns null while something of it was not answered
 */
export function directionsTold(step: DirectionStep, seen: SeenChanges): DirectionResult | null {
  const answers = LOOKED_AT[step].map(({ key, label }) => ({ key, label, change: seen[key] }));
  const told = answers.flatMap(({ change, ...rest }) =>
    change === undefined ? [] : [{ ...rest, change }],
  );
  const [first] = told;
  if (first === undefined || told.length < answers.length) return null;
  if (step === 'tilt') return toldTilt(first.change);
  const still = told.filter(({ change }) => change === 'stayed');
  if (still.length > 0) {
    return {
      ...NOTHING,
      sentence: `${still.map(({ label }) => label).join(' and ')} did not change: is it plugged in, and is that the number on the screen?`,
    };
  }
  return {
    rollsOver: null,
    ok: true,
    signs: Object.fromEntries(told.map(({ key, change }) => [key, signOf(change)])),
    sentence: `${step === 'turn-left' ? 'Turning left' : 'Rolling forward'}: ${told
      .map(
        ({ label, change }) => `${label.charAt(0).toLowerCase()}${label.slice(1)} ${word(change)}`,
      )
      .join(', ')}.`,
  };
}
