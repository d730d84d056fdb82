import { integrateRate } from '../../channels/log';
import { quantumOf } from '../quantum';
import type { StillCheck, StillLog } from './stillCheck';
import type { StillSettings } from './stillDefaults';
import { typedStill } from './typedStill';

/** Of so few readings that nothing tells the step. */
const USUAL_STEP_RAD = Math.PI / 180;

/**
 * A still check of too few readings for a fit: the first and the last alone, as if somebody had typed them. What the
 * readings between could tell of the sensor's walk is guessed.
 *
 * @returns null where no time passes between them
 */
export function sparseStill(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
): StillCheck | null {
  const { tS } = log;
  const durationS = (tS.at(-1) ?? 0) - (tS[0] ?? 0);
  if (!(durationS > LEAST_S)) return null;
  const heading =
    log.kind === 'heading' ? log.headingRad : integrateRate(tS, log.rateRadPerS).headingRad;
  const step = log.kind === 'heading' ? quantumOf(heading) : quantumOf(log.rateRadPerS) * durationS;
  const fromRad = heading[0] ?? 0;
  const readings = {
    fromRad,
    untilRad: heading.at(-1) ?? fromRad,
    durationS,
    stepRad: step > 0 ? step : USUAL_STEP_RAD,
  };
  return { ...typedStill(readings, runDurationS, toleranceRad, settings), kind: log.kind };
}

/** Two readings in the same instant tell nothing. */
const LEAST_S = 0.01;
