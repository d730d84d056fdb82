import type { Robot } from '../core/robot';
import type { TurnSchool } from '../core/control/turn/schema';
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

self.onmessage = ({ data }: MessageEvent<SchoolsRequest>) => {
  const { robot, schools, targetRad, overshootRad } = data;
  const outcomes = schools.map((school) => simulateSchool(robot, school, targetRad, RUNS, SEED));
  const own = schools.find((school) => school.school === 'proportional');
  const reply: SchoolsReply = {
    outcomes,
    suggestedKpPerS: own === undefined ? null : suggestGain(robot, own, targetRad, overshootRad),
  };
  self.postMessage(reply);
};
