import { withHeadingGain } from '../../../core/calibration/applyHeadingGain';
import type { CalibrationValue } from '../../../core/calibration/calibration';
import { describeCalibration, kindOfCalibration } from '../../../core/calibration/registry';
import { capitalised } from '../../../core/text/capitalised';
import type { Robot } from '../../../core/robot/robot';
import type { TunedId } from '../../../core/robot/tunedIds';
import { SHOWN } from '../../../core/control/tuned';
import { counted } from '../../../core/text/quantities';
import type { RobotRoute } from '../../../formats/robotRoute';
import styles from '../Bench.module.css';

interface Props {
  controller: TunedId;
  value: CalibrationValue;
  fitted: Robot;
  routes: readonly RobotRoute[];
}

/** What a tuned gain would change in each saved route. */
export function GainChanges({ controller, value, fitted, routes }: Props) {
  const robot = kindOfCalibration(value.kind).fit(fitted, value, [value]);
  const changes = routes.map(({ routeId, name, version }) => ({
    routeId,
    name: `${name}, version ${version.number}`,
    changed: withHeadingGain(version.route, robot).changed,
  }));
  // The steps of a route hold a heading; what else is tuned is kept to be typed, and compared with.
  if (SHOWN[controller].holdsRoutes === undefined) {
    return (
      <p>
        {capitalised(describeCalibration(value))}. It stands among the numbers to type on every step
        card, and the Bench begins with it. No step of a route uses it yet.
      </p>
    );
  }
  return (
    <>
      <p>
        {capitalised(describeCalibration(value))}. New drives hold their heading with it. On the
        Course, saved routes can take it over:
      </p>
      <ul className={styles.routes}>
        {changes.map(({ routeId, name, changed }) => (
          <li key={routeId}>
            <strong>{name}</strong>:{' '}
            {changed === 0 ? 'nothing changes' : `${counted(changed, 'drive')} would change`}
          </li>
        ))}
        {routes.length === 0 && <li className="faint">No route of this robot is saved yet.</li>}
      </ul>
    </>
  );
}
