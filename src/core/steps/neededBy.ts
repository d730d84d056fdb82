import { READ_BY_STEPS } from '../devices/channels';
import type { DeviceKindName } from '../devices/registry';
import { singlesOf, type Condition } from './condition/condition';
import { isOwner, type Step } from './descriptions';
import { kindOfStep, ownerKindOf } from './registry';

/** The kinds of unit that conditions look at. */
const lookedAt = (conditions: readonly Condition[]): DeviceKindName[] =>
  conditions.flatMap(singlesOf).flatMap(({ reading }) =>
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

/** The kinds of unit that a step cannot do without itself, those among them that a condition of it looks at. */
export function neededBy(step: Step): DeviceKindName[] {
  const needed = isOwner(step)
    ? [
        ...(ownerKindOf(step).needs?.(step) ?? []),
        ...lookedAt(ownerKindOf(step).looksAt?.(step) ?? []),
      ]
    : [
        ...kindOfStep(step).needs(step),
        ...lookedAt('until' in step && step.until !== undefined ? [step.until] : []),
      ];
  return [...new Set(needed)];
}

const isKindName = (name: string): boolean => READ_BY_STEPS.some(({ kind }) => kind === name);
