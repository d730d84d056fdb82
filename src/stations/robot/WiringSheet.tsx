import { kindOf } from '../../core/devices/registry';
import type { Robot } from '../../core/robot/robot';
import { errorLength } from '../../core/text/quantities';
import type { Device } from '../../core/devices/device';
import { BUILT_IN } from '../../core/devices/portClasses';
import { looksText, portsUsedTwice, wiringProblems } from '../../core/course/wiring';
import styles from './WiringSheet.module.css';

const named = ({ label, kind }: Device) => `${label} (${kind})`;

const grows = (sign: 1 | -1) => (sign > 0 ? 'grows' : 'shrinks');

/** Where it sits, how high, and which way it looks. */
const mountedText = (unit: Device): string => {
  const looks = looksText(unit);
  const { heightM } = unit.place;
  return [
    unit.mounting,
    looks === '' || unit.mounting.includes(looks) ? '' : `looks ${looks}`,
    heightM === null ? '' : `${errorLength(heightM)} high`,
    unit.address === '' ? '' : `address ${unit.address}`,
    kindOf(unit.kind).note?.(unit.behaviour) ?? '',
  ]
    .filter((text) => text !== '')
    .join(', ');
};

/** The ports and units of a robot on one sheet, to hang beside the table. */
export function WiringSheet({ name, robot, note }: { name: string; robot: Robot; note: string }) {
  const { build, signs, units } = robot;
  const onPort = (port: string) => units.filter((unit) => unit.port === port);
  const loose = units.filter(({ port }) => port === null);
  const notNoted = units.filter(({ port }) => port === '');
  const builtIn = onPort(BUILT_IN);
  const twice = new Set(portsUsedTwice(robot).map(({ port }) => port));
  const hasNames = units.some(({ programName }) => programName !== '');
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
            {hasNames && <th>In programs</th>}
            <th>Plug</th>
            <th>Mounted</th>
          </tr>
        </thead>
        <tbody>
          {build.ports.flatMap(({ name: port }) => {
            const units = onPort(port);
            if (units.length === 0) {
              return (
                <tr key={port}>
                  <th>{port}</th>
                  <td colSpan={hasNames ? 5 : 4}>free</td>
                </tr>
              );
            }
            return units.map((unit, i) => (
              <tr key={unit.id} className={twice.has(port) ? styles.clash : undefined}>
                <th>
                  {port}
                  {i > 0 && (twice.has(port) ? ' (twice!)' : ' (shared)')}
                </th>
                <td>{unit.kind}</td>
                <td>{unit.label}</td>
                {hasNames && <td>{unit.programName}</td>}
                <td>{unit.connection}</td>
                <td>{mountedText(unit)}</td>
              </tr>
            ));
          })}
        </tbody>
      </table>
      {builtIn.length > 0 && <p>Built into the controller: {builtIn.map(named).join(', ')}.</p>}
      {wiringProblems(robot).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      {loose.length > 0 && <p>Not plugged in: {loose.map(named).join(', ')}.</p>}
      {notNoted.length > 0 && <p>Plugged in somewhere: {notNoted.map(named).join(', ')}.</p>}
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
