import { expose } from 'comlink';
import {
  straightSchools,
  type StraightGains,
  type StraightOutcome,
} from '../core/drive/straightSchools';
import type { Robot } from '../core/robot/robot';
import { setTeamManner } from '../core/text/manner';

export interface StraightSchoolsRequest {
  robot: Robot;
  distanceM: number;
  speedMPerS: number;
  gains: StraightGains;
}

const RUNS = 40;
const SEED = 13;

const ways = {
  speakAs: setTeamManner,

  /** The ways of driving straight side by side. */
  compare: ({ robot, ...wanted }: StraightSchoolsRequest): StraightOutcome[] =>
    straightSchools(robot, wanted, RUNS, SEED),
};

export type StraightSchoolsWorker = typeof ways;

expose(ways);
