import { expose } from 'comlink';
import type { Robot } from '../core/robot/robot';
import type { TurnStrategy } from '../core/control/turn/schema';
import { setDisplaySettings } from '../core/text/displaySettings';
import {
  simulateStrategy,
  suggestGain,
  type StrategyOutcome,
} from '../core/turns/simulateStrategy';

export interface StrategiesRequest {
  robot: Robot;
  schools: TurnStrategy[];
  targetRad: number;
  /** Beyond the target by so much at most, for the suggested gain. */
  overshootRad: number;
}

export interface StrategiesReply {
  outcomes: StrategyOutcome[];
  suggestedKpPerS: number | null;
}

const RUNS = 60;
const SEED = 11;

const turnStrategies = {
  speakAs: setDisplaySettings,

  /** Ways of turning side by side, and the gain that stays within an overshoot. */
  compare({ robot, schools, targetRad, overshootRad }: StrategiesRequest): StrategiesReply {
    const own = schools.find((school) => school.school === 'proportional');
    return {
      outcomes: schools.map((school) => simulateStrategy(robot, school, targetRad, RUNS, SEED)),
      suggestedKpPerS: own === undefined ? null : suggestGain(robot, own, targetRad, overshootRad),
    };
  },
};

export type TurnStrategiesWorker = typeof turnStrategies;

expose(turnStrategies);
