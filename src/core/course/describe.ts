import { benchLength, degrees, shortNumber, benchSpeed, headingText } from '../text/quantities';
import type { Route, Step } from './route';
import type { Mission } from './table';

const WAY = { short: 'the short way', left: 'to the left', right: 'to the right' } as const;

/** The name of a mission, or a plain word for one that the table no longer has. */
export const missionName = (missions: readonly Mission[], id: string): string =>
  missions.find((mission) => mission.id === id)?.name ?? 'a mission that is gone';

/** A step as one plain sentence with its values, in the team's units. */
export function describeStep(step: Step, missions: readonly Mission[]): string {
  switch (step.kind) {
    case 'straight': {
      const way = step.distanceM < 0 ? 'back' : 'ahead';
      return `Drive ${benchLength(Math.abs(step.distanceM))} ${way} at ${benchSpeed(step.speedMPerS)}, heading held with gain ${shortNumber(step.gainMPerSPerRad, 2)}`;
    }
    case 'turn': {
      const target =
        step.mode === 'to'
          ? `to ${headingText(step.angleRad)}, ${WAY[step.direction]}`
          : `by ${degrees(Math.abs(step.angleRad))} ${step.angleRad < 0 ? 'to the right' : 'to the left'}`;
      return `Turn ${target}, at ${degrees(step.rateRadPerS, 0)}/s, stopping ${degrees(step.leadRad)} early`;
    }
    case 'approach':
      return `Drive up to ${benchLength(step.thresholdM)} by the distance sensor, at ${benchSpeed(step.speedMPerS)}, heading held with gain ${shortNumber(step.gainMPerSPerRad, 2)}${step.timeoutS === undefined ? '' : `, giving up after ${shortNumber(step.timeoutS, 2)} s`}`;
    case 'mark':
      return `Work the ${missionName(missions, step.missionId)}, ${shortNumber(step.dwellS, 1)} s`;
  }
}

/** A number with all the digits that it was given, up to a millionth. */
const exact = (value: number, factor: number, unit: string): string =>
  `${shortNumber(value * factor, 6)}${unit}`;

const DEGREES_PER_RADIAN = 180 / Math.PI;

/** What each value of a step is called, and in which unit it is told. */
const VALUE_WORDS: Record<string, (value: unknown) => string> = {
  distanceM: (value) => `distance ${benchLength(Number(value), 5)}`,
  speedMPerS: (value) => `speed ${benchSpeed(Number(value), 5)}`,
  gainMPerSPerRad: (value) => `gain ${exact(Number(value), 1, '')}`,
  angleRad: (value) => `angle ${exact(Number(value), DEGREES_PER_RADIAN, '°')}`,
  rateRadPerS: (value) => `rate ${exact(Number(value), DEGREES_PER_RADIAN, '°/s')}`,
  leadRad: (value) => `stopping ${exact(Number(value), DEGREES_PER_RADIAN, '°')} early`,
  thresholdM: (value) => `threshold ${benchLength(Number(value), 5)}`,
  timeoutS: (value) =>
    value === undefined ? 'time-out as planned' : `time-out ${exact(Number(value), 1, ' s')}`,
  dwellS: (value) => `standing ${exact(Number(value), 1, ' s')}`,
  direction: (value) => `way: ${String(value)}`,
  mode: (value) => `turning ${String(value)}`,
  missionId: (value) => `mission ${String(value)}`,
};

/** The values in which two steps of a kind differ, exactly: for differences that a sentence rounds away. */
export function differingValuesOf(before: Step, after: Step): { before: string; after: string } {
  const old: Record<string, unknown> = before;
  const now: Record<string, unknown> = after;
  const names = [...new Set([...Object.keys(old), ...Object.keys(now)])].filter(
    (name) => name !== 'id' && old[name] !== now[name],
  );
  const say = (values: Record<string, unknown>) =>
    names.map((name) => VALUE_WORDS[name]?.(values[name]) ?? name).join(', ');
  return { before: say(old), after: say(now) };
}

/** Where and how the robot is placed, as one plain sentence. */
export const describeStart = ({ start }: Route): string =>
  `Place the robot with its axle ${benchLength(start.xM)} along the home edge and ${benchLength(start.yM)} away from it, heading ${headingText(start.headingRad)}`;
