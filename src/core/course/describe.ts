import { centimetres, degrees, shortNumber } from '../text/quantities';
import type { Route, Step } from './route';
import type { Mission } from './table';

const WAY = { short: 'the short way', left: 'to the left', right: 'to the right' } as const;

/** The name of a mission, or a plain word for one that the table no longer has. */
export const missionName = (missions: readonly Mission[], id: string): string =>
  missions.find((mission) => mission.id === id)?.name ?? 'a mission that is gone';

/** A step as one plain sentence with its values, lengths in cm and angles in degrees. */
export function describeStep(step: Step, missions: readonly Mission[]): string {
  switch (step.kind) {
    case 'straight': {
      const way = step.distanceM < 0 ? 'back' : 'ahead';
      return `Drive ${centimetres(Math.abs(step.distanceM))} ${way} at ${centimetres(step.speedMPerS)}/s, heading held with gain ${shortNumber(step.gainMPerSPerRad, 2)}`;
    }
    case 'turn': {
      const target =
        step.mode === 'to'
          ? `to ${degrees(step.angleRad)}, ${WAY[step.direction]}`
          : `by ${degrees(Math.abs(step.angleRad))} ${step.angleRad < 0 ? 'to the right' : 'to the left'}`;
      return `Turn ${target}, at ${degrees(step.rateRadPerS, 0)}/s, stopping ${degrees(step.leadRad)} early`;
    }
    case 'approach':
      return `Drive up to ${centimetres(step.thresholdM)} by the distance sensor, at ${centimetres(step.speedMPerS)}/s`;
    case 'mark':
      return `Work the ${missionName(missions, step.missionId)}, ${shortNumber(step.dwellS, 1)} s`;
  }
}

/** Where and how the robot is placed, as one plain sentence. */
export const describeStart = ({ start }: Route): string =>
  `Place the robot with its axle ${centimetres(start.xM)} along the home edge and ${centimetres(start.yM)} away from it, heading ${degrees(start.headingRad)}`;
