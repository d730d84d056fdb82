import { expose } from 'comlink';
import {
  straightSchools,
  type StraightGains,
  type StraightOutcome,
} from '../core/drive/straightSchools';
import type { Robot } from '../core/robot/robot';
import { setDisplaySettings } from '../core/text/displaySettings';

export interface StraightSchoolsRequest {
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
  compare: ({ robot, ...wanted }: StraightSchoolsRequest): StraightOutcome[] =>
    straightSchools(robot, wanted, RUNS, SEED),
};

export type StraightSchoolsWorker = typeof ways;

expose(ways);
