import { planRoute } from '../course/plan';
import type { Route } from '../course/route';
import type { Table } from '../table/table';
import type { Robot } from '../robot/robot';
import { kindOfStep } from '../steps/registry';
import { withMotions } from '../steps/tree';
import type { TurnsCalibration } from '../calibrationValues/turns';
import { headingScaleOf, leadFor } from '../calibrationValues/turnStop';

/** A turn whose command a calibration changes. */
export interface CommandChange {
  /** The step's number in the route. */
  number: string;
  angleRad: number;
  rateRadPerS: number;
  /** Angle at which the motors stop: as it stands, and as the calibration wants it. */
  oldCommandRad: number;
  newCommandRad: number;
}

/** What a calibration changes of a route. */
export interface TurnChanges {
  route: Route;
  changes: CommandChange[];
  /** Turns of which it knows nothing: at other rates than were tried. They stay as they are. */
  unknown: number;
  /** Turns of which it knows. */
  known: number;
}

/** A change of the command smaller than this is none: a tenth of a degree. */
const LEAST_CHANGE_RAD = 0.00175;

/**
 * A route with the leads that a calibration gives its turns, and what that changes.
 *
 * Turns at rates of which the calibration knows nothing stay as they are.
 */
export function withTurnCalibration(
  route: Route,
  robot: Robot,
  table: Table,
  turns: TurnsCalibration,
  calibrationId: string,
): TurnChanges {
  const plan = planRoute(route, robot, table);
  const headingScale = headingScaleOf(turns);
  const changes: CommandChange[] = [];
  let [known, unknown] = [0, 0];
  const steps = withMotions(route.steps, (step) => {
    // Of a turn that is made several times the first counts that turns at all.
    const turning = plan.find((one) => one.step.id === step.id && one.angleRad !== 0);
    const kind = kindOfStep(step).turning;
    const told = kind?.of(step) ?? null;
    if (kind === undefined || told === null || turning === undefined) return step;
    const { angleRad, number } = turning;
    const lead = leadFor(turns, angleRad, told.rateRadPerS);
    if (lead === null) unknown += 1;
    else known += 1;
    if (lead === null || Math.abs(lead - told.leadRad) < LEAST_CHANGE_RAD) return step;
    const leadRad = Math.max(-0.5, Math.min(1.5, lead));
    const sign = Math.sign(angleRad);
    changes.push({
      number,
      angleRad,
      rateRadPerS: told.rateRadPerS,
      oldCommandRad: sign * (robot.program.headingScale * Math.abs(angleRad) - told.leadRad),
      newCommandRad: sign * (headingScale * Math.abs(angleRad) - leadRad),
    });
    return kind.withLead(step, leadRad);
  });
  return { route: { ...route, steps, turnCalibrationId: calibrationId }, changes, known, unknown };
}
