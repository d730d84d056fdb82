import { withTurnCalibration } from '../../../core/calibration/applyTurns';
import { headingsCommanded } from '../../../core/calibration/planText';
import type { TurnsCalibration } from '../../../core/calibrationValues/turns';
import { counted, degrees } from '../../../core/text/quantities';
import type { RobotRecord } from '../../../formats/records';
import type { RobotRoute } from '../../../formats/robotRoute';
import styles from '../Bench.module.css';

interface Props {
  turns: TurnsCalibration;
  robot: RobotRecord;
  routes: readonly RobotRoute[];
}

/** What a turn calibration changes in each saved route: old command → new command. */
export function RouteChanges({ turns, robot, routes }: Props) {
  const told = headingsCommanded(turns);
  const inProgram = told === '' ? null : <p>{told}</p>;
  if (routes.length === 0) {
    return (
      <>
        {inProgram}
        <p className="faint">No route of this robot is saved yet.</p>
      </>
    );
  }
  return (
    <>
      {inProgram}
      <ul className={styles.routes}>
        {routes.map(({ routeId, name, version, table }) => {
          const { changes } = withTurnCalibration(version.route, robot.robot, table, turns, '');
          return (
            <li key={routeId}>
              <strong>
                {name}, version {version.number}
              </strong>
              :{' '}
              {changes.length === 0
                ? 'nothing changes'
                : `${counted(changes.length, 'turn')} change`}
              {changes.length > 0 && (
                <ul>
                  {changes.map(
                    ({ number, angleRad, rateRadPerS, oldCommandRad, newCommandRad }) => (
                      <li key={number}>
                        Step {number}, {degrees(Math.abs(angleRad), 0)} to the{' '}
                        {angleRad < 0 ? 'right' : 'left'} at {degrees(rateRadPerS, 0)}/s: stop at{' '}
                        {degrees(Math.abs(oldCommandRad))} →{' '}
                        <strong>{degrees(Math.abs(newCommandRad))}</strong>
                      </li>
                    ),
                  )}
                </ul>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
