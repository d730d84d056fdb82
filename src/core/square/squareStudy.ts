import { degreesFromRadians } from '../geometry/angle';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { capitalised } from '../text/capitalised';
import { degrees, errorLength, number } from '../text/quantities';
import type { EncoderSquare, GyroSquare } from './squareFit';

const percentOver = (ratio: number): string => {
  const value = (ratio - 1) * 100;
  return `${number(Math.abs(value), 2)} % ${value >= 0 ? 'larger' : 'smaller'}`;
};

/** New sizes are worth applying where laps should end nearer by this share at least. */
const WORTH_APPLYING = 0.8;

/** What an encoder-driven square says about the drive. */
export function encoderSquareSentences(result: EncoderSquare): ThreeSentences {
  const trackProved = result.trackRatioLow95 > 1 || result.trackRatioHigh95 < 1;
  const wheelsProved = result.diameterRatioLow95 > 1 || result.diameterRatioHigh95 < 1;
  const track = trackProved
    ? `The track is ${percentOver(result.trackRatio)} than the ruler says`
    : 'The track is as the ruler says, as far as these laps tell';
  const wheels = wheelsProved
    ? `the right wheel is ${percentOver(result.diameterRatio)} than the left`
    : 'no difference of the wheels is proved';
  const before = errorLength(result.closureBeforeM);
  const isGained = result.closureAfterM < WORTH_APPLYING * result.closureBeforeM;
  return {
    found: `${track}; ${wheels}.`,
    means: `Laps end ${before} from where they began, on average.`,
    next:
      (trackProved || wheelsProved) && isGained
        ? `With the corrected sizes they should end about ${errorLength(result.closureAfterM)} off: apply them, and drive two laps to see.`
        : trackProved || wheelsProved
          ? `New sizes would bring them no nearer than about ${errorLength(result.closureAfterM)}: something else turns the robot. See whether a wheel slips, and drive slowly.`
          : 'Nothing to correct is proved: the laps scatter more than they are off. Drive three more each way, slowly.',
  };
}

/** What a gyro-turned square says: drift and turn bias, nothing about the track. */
export function gyroSquareSentences(result: GyroSquare): ThreeSentences {
  const { turnBiasRad, turnBiasLow95, turnBiasHigh95, driftRadPerLap, driftLow95, driftHigh95 } =
    result;
  const proved = (low: number | null, high: number | null) =>
    low !== null && high !== null && (low > 0 || high < 0);
  const bias = proved(turnBiasLow95, turnBiasHigh95);
  const drift = proved(driftLow95, driftHigh95);
  const found = [
    bias
      ? `each quarter turn goes ${degrees(Math.abs(turnBiasRad))} ${turnBiasRad > 0 ? 'too far' : 'short'}`
      : 'no turn bias is proved',
    drift
      ? `the heading sensor drifts by ${degrees(Math.abs(driftRadPerLap))} to the ${driftRadPerLap > 0 ? 'left' : 'right'} a lap`
      : 'no drift is proved',
  ].join('; ');
  const next = drift
    ? 'Make a still check: it tells the drift better than laps do.'
    : bias
      ? 'Make turn trials: they tell why, and what to command instead.'
      : 'Drive.';
  return {
    found: `${capitalised(found)}.`,
    means: `A lap ends ${errorLength(result.closureBeforeM)} from where it began. Turned by the gyro, it says nothing about the track (heading the same sign both ways is drift, opposite signs a turn bias: ${number(degreesFromRadians(driftRadPerLap), 1)}° and ${number(degreesFromRadians(turnBiasRad), 1)}°).`,
    next,
  };
}
