import { expose } from 'comlink';
import {
  straightStrategies,
  type StraightGains,
  type StraightOutcome,
} from '../core/drive/straightStrategies';
import type { Robot } from '../core/robot/robot';
import { setDisplaySettings } from '../core/text/displaySettings';

export interface StraightStrategiesRequest {
  robot: Robot;
  distanceM: number;
  speedMPerS: number;
  gains: StraightGains;
}

const RUNS = 40;
const SEED = 13;

const ways = {
  speakAs: setDisplaySettings,

  /** The ways of driving straight side by side. */
  compare: ({ robot, ...wanted }: StraightStrategiesRequest): StraightOutcome[] =>
    straightStrategies(robot, wanted, RUNS, SEED),
};

export type StraightStrategiesWorker = typeof ways;

expose(ways);
