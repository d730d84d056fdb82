import type { Device } from '../devices/device';
import { READ_BY_STEPS } from '../devices/channels';
import { readBySteps } from '../devices/ofRobot';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Condition, Single } from './condition/condition';
import type { Joined } from './joined';
import type { Motion } from './kind';

/** A step as it is planned. */
export type PlannedMotion = Motion & Joined & { from: Pose };

/**
 * What a program compares as it leaves a step: a reading, and a number that it is to have come to. Values are the core's;
 * how a robot's own programs read them is told by `course/leaveText.ts`.
 */
export type Leave =
  /** The wheels have rolled so far since the step began, on average; negative backwards. Null: how it turns meanwhile is open. */
  | { by: 'travel'; distanceM: number; angleRad: number | null }
  /** Each wheel has rolled so far. */
  | { by: 'wheels'; leftM: number; rightM: number }
  /** The heading on the table has come to this one, turning this way, or stays so near to it. */
  | { by: 'heading'; headingRad: number; turns: number; withinRad?: number }
  /** It has turned by so much since the step began. */
  | { by: 'turned'; angleRad: number }
  | { by: 'time'; seconds: number }
  | ReadingLeave
  /** The motor of an arm stands at this angle. */
  | { by: 'arm'; unit: Device | null; angleRad: number }
  /** Both wheels are held; the start signal came. */
  | { by: 'stall' }
  | { by: 'start' }
  | { by: 'condition'; condition: Condition };

/** A unit reads so much or more, or so much or less; null: there is no such unit. */
export interface ReadingLeave {
  by: 'reading';
  unit: Device | null;
  channel: string;
  is: 'above' | 'below';
  value: number;
  /** At the how manieth time: between two of them it has passed `again` the other way. */
  nth?: number;
  again?: number;
  /** It stops the motor of one side alone. */
  stops?: 'left' | 'right';
}

/** The unit that a condition looks at, by its label, its id or its kind; null where it is none, or not there. */
export function unitLookedAt({ reading }: Single, robot: Robot): Device | null {
  if (typeof reading !== 'object') return null;
  const name = 'unit' in reading ? reading.unit : reading.motor;
  const own = robot.units.find(
    ({ port, label, id }) => port !== null && (label === name || id === name),
  );
  if (own !== undefined || !('unit' in reading)) return own ?? null;
  const byKind = READ_BY_STEPS.find(
    ({ kind, channel }) => kind === name && channel.name === reading.channel,
  );
  return byKind === undefined ? null : readBySteps(robot, byKind);
}
