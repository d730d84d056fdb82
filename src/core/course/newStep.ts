import { radiansFromDegrees } from '../geometry/angle';
import type { TurnsCalibration } from '../calibration/calibration';
import { leadFor } from '../calibration/applyTurns';
import { turnAngle } from '../geometry/angle';
import type { Step } from './route';

const TURN = { angleRad: radiansFromDegrees(90), rateRadPerS: radiansFromDegrees(90) };

/** Where a step is added: the heading there, the mission that is meant, and what was measured of turns. */
export interface NewStepPlace {
  headingRad: number;
  missionId: string;
  turns: TurnsCalibration | null;
}

/** How early a new turn stops: as measured; not at all where nobody has measured it. */
function measuredLead({ headingRad, turns }: NewStepPlace): number {
  if (turns === null) return 0;
  const angleRad = turnAngle(headingRad, TURN.angleRad, 'short') || TURN.angleRad;
  return leadFor(turns, angleRad, TURN.rateRadPerS) ?? 0;
}

/** A step as it is when a coach adds it: ordinary values, to be changed in place. */
export function newStep(kind: Step['kind'], id: string, place: NewStepPlace): Step {
  switch (kind) {
    case 'straight':
      return { id, kind, distanceM: 0.3, speedMPerS: 0.3, gainMPerSPerRad: 1.2 };
    case 'turn':
      return {
        id,
        kind,
        mode: 'to',
        ...TURN,
        direction: 'short',
        leadRad: measuredLead(place),
      };
    case 'approach':
      return { id, kind, thresholdM: 0.12, speedMPerS: 0.12, gainMPerSPerRad: 1.2 };
    case 'mark':
      return { id, kind, missionId: place.missionId, dwellS: 1 };
  }
}
