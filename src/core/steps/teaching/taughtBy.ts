import { radiansFromDegrees } from '../../geometry/angle';
import type { Robot } from '../../robot/robot';
import { channelsOf } from '../../devices/channels';
import { describedFields } from '../../description/description';
import type { Condition, Single } from '../condition/condition';
import { unitRead } from '../condition/unitRead';
import { readingWords, statesOf } from '../condition/words';
import { descriptionOfStep, isOwner, type Step } from '../descriptions';
import { kindOfStep } from '../registry';
import type { Taught } from './taught';

/** What a reading is of that a condition can be taught; null: no size that a robot reads as it stands. */
function ofSingle({ reading, is }: Single, robot: Robot): Taught<Step>['of'] | null {
  if ((is !== 'above' && is !== 'below') || statesOf(reading) !== null) return null;
  if (reading === 'heading') return 'heading';
  const unit = unitRead(reading, robot);
  if (unit === null || typeof reading === 'string') return null;
  if ('unit' in reading) return { unit, channel: reading.channel };
  return channelsOf(unit).some(({ name }) => name === 'angle') ? { unit, channel: 'angle' } : null;
}

/** Motors are read in degrees, and waited for in radians. */
const valueRead = ({ reading }: Single, read: number): number =>
  typeof reading === 'object' && 'motor' in reading ? radiansFromDegrees(read) : read;

/** Each single condition within one, and the whole with another value for it. */
function singles(
  condition: Condition,
  whole: (one: Condition) => Condition,
): { single: Single; withValue(value: number): Condition }[] {
  if ('reading' in condition)
    return [{ single: condition, withValue: (value) => whole({ ...condition, value }) }];
  const parts = 'all' in condition ? condition.all : condition.any;
  return parts.flatMap((part, i) =>
    singles(part, (one) => {
      const changed = parts.with(i, one);
      return whole('all' in condition ? { all: changed } : { any: changed });
    }),
  );
}

/** What the conditions of a step can be taught. */
function byConditions(step: Step, robot: Robot): Taught<Step>[] {
  const fields = Object.entries(describedFields(descriptionOfStep(step)));
  const named = fields.filter(([, field]) => field.is === 'part' && field.shape === 'condition');
  return named.flatMap(([name]) => {
    const condition = (step as Readonly<Record<string, unknown>>)[name] as Condition | undefined;
    if (condition === undefined) return [];
    return singles(condition, (one) => one).flatMap(({ single, withValue }): Taught<Step>[] => {
      const of = ofSingle(single, robot);
      if (of === null) return [];
      return [
        {
          placed: `as it should be when ${readingWords(single.reading)} ends or decides it`,
          of,
          with: (read) => ({ ...step, [name]: withValue(valueRead(single, read)) }) as Step,
        },
      ];
    });
  });
}

/** All values of a step that it can be taught by placing the robot. */
export const taughtBy = (step: Step, robot: Robot): Taught<Step>[] => [
  ...(isOwner(step) ? [] : (kindOfStep(step).teaches?.(step, robot) ?? [])),
  ...byConditions(step, robot),
];
