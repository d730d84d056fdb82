import type { TurnSchool } from './schoolSchema';
import type { Machine } from '../simulate/machine';
import type { Robot } from '../robot';

type Proportional = Extract<TurnSchool, { school: 'proportional' }>;

/** What a turn's program reads in one loop: angles turned since it began, left positive. */
interface Reading {
  timeS: number;
  gyroRad: number;
  encoderRad: number;
}

/** The rate to command now, or null when the program stops its motors for good. */
type Controller = (reading: Reading) => number | null;

/**
 * P, PD or PID on the angle left, with a least rate (below it motors do not move), a limit on the
 * integral's share, and a test for having settled: near enough and slow enough for long enough.
 *
 * Source: Åström and Murray, Feedback Systems, 2nd ed., 2021, chapter 11 (with conditional integration).
 */
function proportional(school: Proportional, targetRad: number): Controller {
  let integral = 0;
  let before: Reading | undefined;
  let settledSince: number | null = null;
  return (reading) => {
    const left = targetRad - reading.gyroRad;
    const dt = before === undefined ? 0 : reading.timeS - before.timeS;
    const rateNow = dt > 0 ? (reading.gyroRad - (before?.gyroRad ?? 0)) / dt : 0;
    before = reading;
    const near = Math.abs(left) <= school.settledRad;
    const slow = Math.abs(rateNow) <= school.settledRateRadPerS;
    settledSince = near && slow ? (settledSince ?? reading.timeS) : null;
    if (settledSince !== null && reading.timeS - settledSince >= school.settledS) return null;
    const limit = school.integralLimitRadPerS;
    const without = school.kpPerS * left - school.kd * rateNow;
    // While the rate is at its limit the integral would only wind up.
    if (Math.abs(without + integral) < school.rateRadPerS) {
      integral = Math.max(-limit, Math.min(limit, integral + school.kiPerS2 * left * dt));
    }
    const wanted = without + integral;
    const size = Math.min(school.rateRadPerS, Math.abs(wanted));
    if (near && size < school.leastRateRadPerS) return 0;
    return Math.sign(wanted) * Math.max(size, near ? 0 : school.leastRateRadPerS);
  };
}

function controllerFor(school: TurnSchool, targetRad: number): Controller {
  const sign = Math.sign(targetRad);
  switch (school.school) {
    case 'encoder':
      return ({ encoderRad }) => {
        const left = sign * (targetRad - encoderRad);
        if (left <= 0) return null;
        const end = school.endRateRadPerS ?? school.rateRadPerS;
        return sign * Math.min(school.rateRadPerS, Math.max(end, SLOWING_PER_S * left));
      };
    case 'stop-early':
      return ({ gyroRad }) =>
        sign * (targetRad - gyroRad) <= school.leadRad ? null : sign * school.rateRadPerS;
    case 'two-speed':
      return ({ gyroRad }) => {
        const left = sign * (targetRad - gyroRad);
        if (left <= school.leadRad) return null;
        return sign * (left > school.slowFromRad ? school.rateRadPerS : school.slowRateRadPerS);
      };
    case 'proportional':
      return proportional(school, targetRad);
  }
}

/** A turn that slows down goes at this share of the angle left a second. */
const SLOWING_PER_S = 2;
/** A program that hangs is ended after this. */
const timeoutS = (school: TurnSchool, targetRad: number): number =>
  4 + (4 * Math.abs(targetRad)) / school.rateRadPerS;
/** Time given to come to rest after the motors have stopped. */
const REST_S = 0.4;

export interface TurnOutcome {
  /** From the start to the last command, s. */
  durationS: number;
  settled: boolean;
}

/**
 * Let a machine turn by an angle as a program of this school would.
 *
 * @param onLoop called after each loop of the program
 */
export function runTurnSchool(
  machine: Machine,
  robot: Robot,
  school: TurnSchool,
  targetRad: number,
  onLoop: () => void,
): TurnOutcome {
  const control = controllerFor(school, targetRad);
  const startS = machine.timeS;
  const gyro = machine.headingReadingRad();
  const turnedBy = () => (machine.rightEncoderM() - machine.leftEncoderM()) / robot.trackM;
  const encoder = turnedBy();
  const until = startS + timeoutS(school, targetRad);
  let settled = true;
  for (;;) {
    const rateRadPerS = control({
      timeS: machine.timeS,
      gyroRad: machine.headingReadingRad() - gyro,
      encoderRad: turnedBy() - encoder,
    });
    if (rateRadPerS === null) break;
    if (machine.timeS > until) {
      settled = false;
      break;
    }
    const wheel = (rateRadPerS * robot.trackM) / 2;
    machine.command(-wheel, wheel);
    machine.advance();
    onLoop();
  }
  const durationS = machine.timeS - startS;
  machine.command(0, 0);
  const restUntil = machine.timeS + REST_S;
  while (machine.timeS < restUntil) {
    machine.advance();
    onLoop();
  }
  return { durationS, settled };
}
