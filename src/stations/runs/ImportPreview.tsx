import type { Mission } from '../../core/table/table';
import { counted, number, fineLength, headingInList } from '../../core/text/quantities';
import type { CsvRow, CsvRun } from '../../formats/csv/runsCsv';
import styles from './Import.module.css';

interface Props {
  rows: readonly CsvRow[];
  missions: readonly Mission[];
}

const SHOWN = 8;

const yesNo = (value: boolean | null | undefined) =>
  value === true ? 'yes' : value === false ? 'no' : '';

const cells = (run: CsvRun, noted: readonly Mission[]): string[] => [
  run.placedBy ?? '',
  run.battery ?? '',
  run.batteryV === null ? '' : `${number(run.batteryV, 2)} V`,
  run.endXM === null ? '' : fineLength(run.endXM),
  run.endYM === null ? '' : fineLength(run.endYM),
  run.endHeadingRad === null ? '' : headingInList(run.endHeadingRad),
  yesNo(run.worked),
  ...noted.map(({ id }) => yesNo(run.missions[id])),
  run.setAsideReason ?? '',
];

/** What will be read: each bad row with its number and why, then the first good ones. */
export function ImportPreview({ rows, missions }: Props) {
  const good = rows.filter((row) => row.run !== undefined);
  const bad = rows.filter((row) => row.run === undefined);
  const noted = missions.filter(({ id }) => good.some(({ run }) => run && id in run.missions));
  return (
    <>
      {bad.length > 0 && (
        <div className={styles.bad} role="alert">
          <strong>{counted(bad.length, 'row')} cannot be read:</strong>
          <ul>
            {bad.slice(0, 50).map(({ line, problem }) => (
              <li key={line}>
                Row {line}: {problem}.
              </li>
            ))}
            {bad.length > 50 && <li>… and {bad.length - 50} more.</li>}
          </ul>
        </div>
      )}
      {good.length > 0 && (
        // A wide table is scrolled with the arrow keys.
        <div className={styles.preview} tabIndex={0} role="region" aria-label="What will be read">
          <table>
            <caption>
              {counted(good.length, 'run')} will be read
              {good.length > SHOWN && `; the first ${SHOWN}`}:
            </caption>
            <thead>
              <tr>
                {[
                  'Row',
                  'Placed by',
                  'Battery',
                  'Voltage',
                  'x',
                  'y',
                  'Heading',
                  'Worked',
                  ...noted.map(({ name }) => name),
                  'Set aside',
                ].map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {good.slice(0, SHOWN).map(({ line, run }) => (
                <tr key={line}>
                  <th scope="row">{line}</th>
                  {run && cells(run, noted).map((cell, index) => <td key={index}>{cell}</td>)}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </>
  );
}
