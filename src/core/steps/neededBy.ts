import { READ_BY_STEPS } from '../devices/channels';
import type { DeviceKindName } from '../devices/registry';
import { singlesOf } from './condition/condition';
import type { MotionStep } from './descriptions';
import { kindOfStep } from './registry';

/** The kinds of unit that a step cannot do without, those among them that a condition of it looks at. */
export function neededBy(step: MotionStep): DeviceKindName[] {
  const until = 'until' in step ? step.until : undefined;
  const looked = (until === undefined ? [] : singlesOf(until)).flatMap(({ reading }) =>
    typeof reading === 'object' && 'unit' in reading
      ? READ_BY_STEPS.filter(
          ({ kind, channel }) =>
            channel.name === reading.channel &&
            (!isKindName(reading.unit) || kind === reading.unit),
        )
          .slice(0, 1)
          .map(({ kind }) => kind)
      : [],
  );
  return [...new Set([...kindOfStep(step).needs(step), ...looked])];
}

const isKindName = (name: string): boolean => READ_BY_STEPS.some(({ kind }) => kind === name);
