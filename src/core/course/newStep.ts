import { radiansFromDegrees } from '../geometry/angle';
import type { Step } from './route';

/** A step as it is when a coach adds it: ordinary values, to be changed in place. */
export function newStep(kind: Step['kind'], id: string, missionId: string): Step {
  switch (kind) {
    case 'straight':
      return { id, kind, distanceM: 0.3, speedMPerS: 0.3, gainMPerSPerRad: 1.2 };
    case 'turn':
      return {
        id,
        kind,
        mode: 'to',
        angleRad: radiansFromDegrees(90),
        direction: 'short',
        rateRadPerS: radiansFromDegrees(90),
        leadRad: radiansFromDegrees(5.2),
      };
    case 'approach':
      return { id, kind, thresholdM: 0.12, speedMPerS: 0.12, gainMPerSPerRad: 1.2 };
    case 'mark':
      return { id, kind, missionId, dwellS: 1 };
  }
}
