import { expose } from 'comlink';
import type { Robot } from '../core/robot/robot';
import type { TurnSchool } from '../core/control/turn/schema';
import { setDisplaySettings } from '../core/text/displaySettings';
import { simulateSchool, suggestGain, type SchoolOutcome } from '../core/turns/simulateSchool';

export interface SchoolsRequest {
  robot: Robot;
  schools: TurnSchool[];
  targetRad: number;
  /** Beyond the target by so much at most, for the suggested gain. */
  overshootRad: number;
}

export interface SchoolsReply {
  outcomes: SchoolOutcome[];
  suggestedKpPerS: number | null;
}

const RUNS = 60;
const SEED = 11;

const turnSchools = {
  speakAs: setDisplaySettings,

  /** Ways of turning side by side, and the gain that stays within an overshoot. */
  compare({ robot, schools, targetRad, overshootRad }: SchoolsRequest): SchoolsReply {
    const own = schools.find((school) => school.school === 'proportional');
    return {
      outcomes: schools.map((school) => simulateSchool(robot, school, targetRad, RUNS, SEED)),
      suggestedKpPerS: own === undefined ? null : suggestGain(robot, own, targetRad, overshootRad),
    };
  },
};

export type TurnSchoolsWorker = typeof turnSchools;

expose(turnSchools);
