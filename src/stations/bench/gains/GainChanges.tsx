import { withHeadingGain } from '../../../core/calibration/applyHeadingGain';
import type { Robot } from '../../../core/robot';
import { counted } from '../../../core/text/quantities';
import type { RobotRoute } from '../../../formats/robotRoute';
import styles from '../Bench.module.css';

interface Props {
  gainMPerSPerRad: number;
  fitted: Robot;
  routes: readonly RobotRoute[];
}

/** What a tuned gain would change in each saved route. */
export function GainChanges({ gainMPerSPerRad, fitted, routes }: Props) {
  const measured = { ...fitted.measured, headingGainMPerSPerRad: gainMPerSPerRad };
  const robot = { ...fitted, measured };
  return (
    <>
      <p>New drives hold their heading with it. On the Course, saved routes can take it over:</p>
      <ul className={styles.routes}>
        {routes.map(({ routeId, name, version }) => {
          const { changed } = withHeadingGain(version.route, robot);
          return (
            <li key={routeId}>
              <strong>
                {name}, version {version.number}
              </strong>
              : {changed === 0 ? 'nothing changes' : `${counted(changed, 'drive')} would change`}
            </li>
          );
        })}
        {routes.length === 0 && <li className="faint">No route of this robot is saved yet.</li>}
      </ul>
    </>
  );
}
