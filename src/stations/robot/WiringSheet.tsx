import type { Robot } from '../../core/robot';
import styles from './WiringSheet.module.css';

const grows = (sign: 1 | -1) => (sign > 0 ? 'grows' : 'shrinks');

/** The ports and units of a robot on one sheet, to hang beside the table. */
export function WiringSheet({ name, robot, note }: { name: string; robot: Robot; note: string }) {
  const { build, signs } = robot;
  const onPort = (port: string) => build.units.filter((unit) => unit.port === port);
  const loose = build.units.filter(({ port }) => port === '');
  return (
    <article className={styles.sheet}>
      <h1>Wiring of {name}</h1>
      <p>{note}</p>
      <table>
        <thead>
          <tr>
            <th>Port</th>
            <th>What</th>
            <th>Label</th>
            <th>Height</th>
            <th>Mounted</th>
          </tr>
        </thead>
        <tbody>
          {build.ports.flatMap((port) => {
            const units = onPort(port);
            if (units.length === 0) {
              return (
                <tr key={port}>
                  <th>{port}</th>
                  <td colSpan={4}>free</td>
                </tr>
              );
            }
            return units.map((unit, i) => (
              <tr key={unit.id} className={units.length > 1 ? styles.clash : undefined}>
                <th>
                  {port}
                  {i > 0 && ' (twice!)'}
                </th>
                <td>{unit.role}</td>
                <td>{unit.label}</td>
                <td>{unit.heightM === null ? '' : `${Math.round(unit.heightM * 1000)} mm`}</td>
                <td>{unit.mounting}</td>
              </tr>
            ));
          })}
        </tbody>
      </table>
      {loose.length > 0 && (
        <p>Not plugged in: {loose.map(({ label, role }) => `${label} (${role})`).join(', ')}.</p>
      )}
      <p>
        Raw heading {grows(signs.heading)} turning left; left motor {grows(signs.leftMotor)} and
        right motor {grows(signs.rightMotor)} rolling forward.
        {build.encodersRollOver &&
          ' The encoders begin anew after every turn of the motor.'} Motors {build.onStop} on a
        stop.
        {build.battery !== '' && ` Battery: ${build.battery}.`}
      </p>
      <p className="faint">
        Cables away from wheels and arms. Switch it on lying still, hands off.
      </p>
    </article>
  );
}
