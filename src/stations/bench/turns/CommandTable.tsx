import { degreesFromRadians } from '../../../core/geometry/angle';
import { degrees, number } from '../../../core/text/quantities';
import type { TurnCommand } from '../../../core/turns/turnModel';
import styles from '../Bench.module.css';

const size = (angle: number) => number(Math.abs(degreesFromRadians(angle)), 1);

function flags({ extrapolated, short, reason }: TurnCommand): string {
  return [
    ...(reason === null ? [] : [reason]),
    ...(extrapolated ? ['not tried: an extrapolation'] : []),
    ...(short ? ['too short to reach its rate: try it'] : []),
  ].join('; ');
}

/** What to tell the program for each angle, and what one such turn will truly make. */
export function CommandTable({ commands }: { commands: readonly TurnCommand[] }) {
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label="Commands">
        <thead>
          <tr>
            <th>Wanted</th>
            <th className={styles.number}>At</th>
            <th className={styles.number}>Stop the motors at</th>
            <th className={styles.number}>One turn then makes (95 %)</th>
            <th>Careful</th>
          </tr>
        </thead>
        <tbody>
          {commands.map((command) => (
            <tr key={`${command.wantedRad}/${command.rateRadPerS}/${command.kind}`}>
              <td>
                {degrees(Math.abs(command.wantedRad), 0)} to the {command.direction}
                {command.kind === 'pivot' && ', one wheel stands'}
              </td>
              <td className={styles.number}>{degrees(command.rateRadPerS, 0)}/s</td>
              <td className={styles.number}>
                {command.commandRad === null ? (
                  'none'
                ) : (
                  <strong>{size(command.commandRad)}°</strong>
                )}
              </td>
              <td className={styles.number}>
                {command.low95Rad === null || command.high95Rad === null
                  ? command.commandRad === null
                    ? '–'
                    : 'not known yet'
                  : `${size(command.wantedRad >= 0 ? command.low95Rad : command.high95Rad)}° to ${size(command.wantedRad >= 0 ? command.high95Rad : command.low95Rad)}°`}
              </td>
              <td className="faint">{flags(command)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
