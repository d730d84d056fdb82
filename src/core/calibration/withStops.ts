import type { Robot } from '../robot/robot';
import { mean } from '../stats/moments';
import { headingOf, withHeading } from '../devices/ofRobot';
import { ownStop } from '../turns/ownStop';
import type { TurnsCalibration } from '../calibrationValues/turns';

/** How far turns at a rate went too far. */
interface Stop {
  rate: number;
  beyondRad: number;
}

/** The turn at which the simulated stop is made that of the trials. */
const TOLD_RAD = Math.PI / 2;
/** Simulated turns for each try: their mean is known to a tenth of a degree. */
const TURNS = 16;
const LONGEST_LATENCY_S = 0.5;
/** Brakings between which the true one is looked for, m/s² at the wheels. */
const SOFTEST = 0.3;
const HARDEST = 50;
const HALVINGS = 9;

/** What the trials of spins found at each rate, from slow to fast, all directions together. */
function stopsOf({ groups }: TurnsCalibration): Stop[] {
  const spins = groups.filter(({ kind }) => kind === 'spin');
  const rates = [...new Set(spins.flatMap((group) => group.rates))].sort((a, b) => a - b);
  return rates.map((rate) => ({
    rate,
    beyondRad: mean(
      spins
        .filter((group) => group.rates.includes(rate))
        .map(({ constantRad, scaleError }) => constantRad + scaleError * TOLD_RAD),
    ),
  }));
}

const stopAt = (robot: Robot, rate: number): number =>
  ownStop(robot, TOLD_RAD, rate, TURNS).meanRad;

/** The latency of the heading sensor with which simulated turns stop as late as those of the trials. */
function withLatency(robot: Robot, { rate, beyondRad }: Stop): Robot {
  const latencyNow = headingOf(robot)?.latencyS ?? 0;
  const wanted = latencyNow + (beyondRad - stopAt(robot, rate)) / rate;
  return withHeading(robot, { latencyS: Math.min(LONGEST_LATENCY_S, Math.max(0, wanted)) });
}

const withBraking = (robot: Robot, maxAccelerationMPerS2: number): Robot => ({
  ...robot,
  motors: { ...robot.motors, maxAccelerationMPerS2 },
});

/**
 * The robot whose simulated turns stop as late as those of the trials.
 *
 * The lag of a turn is the heading sensor's: its latency makes the slowest turns right. How hard the wheels
 * brake makes the fastest ones right as well, found by halving: the softer, the more a fast turn goes on
 * beyond what its rate alone would have it. Of one rate there is only the latency.
 */
export function withStops(robot: Robot, turns: TurnsCalibration): Robot {
  const stops = stopsOf(turns);
  const [slow, fast] = [stops[0], stops.at(-1)];
  if (slow === undefined || fast === undefined) return robot;
  if (fast === slow) return withLatency(robot, slow);
  let [soft, hard] = [SOFTEST, HARDEST];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = Math.sqrt(soft * hard);
    const tried = withLatency(withBraking(robot, middle), slow);
    if (stopAt(tried, fast.rate) > fast.beyondRad) soft = middle;
    else hard = middle;
  }
  return withLatency(withBraking(robot, Math.sqrt(soft * hard)), slow);
}
