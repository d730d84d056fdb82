import { benchDistancesM, READINGS_EACH } from '../../../core/ranging/benchPlan';
import type { Robot } from '../../../core/robot/robot';
import { benchScale } from '../../../core/text/lengths';
import { benchLength } from '../../../core/text/quantities';
import { devicesOf } from '../../../core/devices/ofRobot';
import styles from './BlankBench.module.css';

/** A distance sensor against a tape, to be filled by hand where there is no screen beside the robot. */
function BlankTable({ label }: { label: string }) {
  return (
    <table className={styles.table}>
      <caption>Unit: {label === '' ? '……………………' : label}</caption>
      <thead>
        <tr>
          <th scope="col">By the tape</th>
          {Array.from({ length: READINGS_EACH }, (_, i) => (
            <th scope="col" key={i}>
              {i + 1}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {benchDistancesM().map((distanceM) => (
          <tr key={distanceM}>
            <th scope="row">{benchLength(distanceM)}</th>
            {Array.from({ length: READINGS_EACH }, (_, i) => (
              <td key={i} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The bench table of a robot’s distance sensors on a sheet, with what has to be noted beside it. */
export function BlankBench({ name, robot }: { name: string; robot: Robot }) {
  const labels = devicesOf(robot, 'distance sensor').map(({ label }) => label);
  return (
    <article className={styles.sheet}>
      <h1>Distance sensors of {name} against a tape</h1>
      <p>Day ……………… Who reads ……………………… Battery ……………… V</p>
      <p>
        Six readings at each distance, in {benchScale().spoken}, from the sensor’s face to something
        flat and upright; × where no echo comes back. Put the robot down anew for each.
      </p>
      {(labels.length === 0 ? [''] : labels).map((label, i) => (
        <BlankTable key={`${i} ${label}`} label={label} />
      ))}
    </article>
  );
}
