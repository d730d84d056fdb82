import type { Robot } from '../robot/robot';
import type { TunedController } from './controllers/controller';
import { SHOWN } from '../control/tuned';
import { simulatedTrace } from './simulatedTrace';

/** Gains that are good on the simulator, and the one in their middle: it may be off by most either way. */
export interface GoodGains {
  from: number;
  to: number;
  middle: number;
}

/** Gains are tried from the first to the last of these, each so much stronger than the one before. */
const WEAKEST = 0.02;
const STRONGEST = 2000;
const STEP = 1.5;
/** One push may go well by luck, and badly: most of these are to go well. */
const SEEDS = [7, 8, 9];
const MOST = 2;

function isGood(controller: TunedController, robot: Robot, gain: number, speed: number): boolean {
  const looks = { good: 0, bad: 0 };
  for (const seed of SEEDS) {
    const trace = simulatedTrace(robot, controller.experiment(robot, gain, speed), seed);
    looks[controller.judge(robot, trace, speed)?.verdict === 'good' ? 'good' : 'bad'] += 1;
    if (looks.good >= MOST || looks.bad >= MOST) break;
  }
  return looks.good >= MOST;
}

/**
 * A gain to begin with, from the robot as it was measured: the widest stretch of gains (by their ratio) that bring
 * it back from a disturbance on the simulator.
 *
 * Source: the gain margin, which is largest to either side in the geometric middle; Åström and Murray, Feedback
 * Systems, 2nd ed., 2021, section 10.3.
 * @param speed of the drive, m/s, or the turn, rad/s
 * @returns null where no two gains next to each other are good: one alone is luck
 */
export function firstGain(
  controller: TunedController,
  robot: Robot,
  speed = SHOWN[controller.id].speeds.usual,
): GoodGains | null {
  let widest: { from: number; to: number } | null = null;
  let begun: number | null = null;
  for (let gain = WEAKEST; gain < STRONGEST; gain *= STEP) {
    if (!isGood(controller, robot, gain, speed)) {
      begun = null;
      continue;
    }
    begun ??= gain;
    if (widest === null || gain / begun > widest.to / widest.from) {
      widest = { from: begun, to: gain };
    }
  }
  if (widest === null || widest.from === widest.to) return null;
  return { ...widest, middle: Math.sqrt(widest.from * widest.to) };
}
