import { dayOf } from '../../../ui/dates';
import type { SavedRun, SavedSeries } from '../../../formats/records';
import type { Selection } from '../../../formats/selection';
import fields from '../../../ui/TextField.module.css';
import styles from './Compare.module.css';

interface Props {
  side: 'a' | 'b';
  title: string;
  selection: Selection | null;
  series: readonly SavedSeries[];
  /** The runs of the chosen series: who placed the robot, and which batteries there are. */
  runs: readonly SavedRun[];
}

const distinct = (values: readonly (string | null)[]) =>
  [...new Set(values)].filter((value) => value !== null && value !== '') as string[];

function Choice({
  name,
  label,
  value,
  all,
  values,
}: {
  name: string;
  label: string;
  value: string | undefined;
  all: string;
  values: readonly string[];
}) {
  if (values.length === 0) return null;
  return (
    <span className={fields.field}>
      <label htmlFor={name}>{label}</label>
      <select id={name} name={name} defaultValue={value ?? ''}>
        <option value="">{all}</option>
        {values.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </select>
    </span>
  );
}

/** One side of a comparison: a series, and the part of it that is meant. */
export function SideFields({ side, title, selection, series, runs }: Props) {
  return (
    <fieldset className={styles.side}>
      <legend>{title}</legend>
      <span className={fields.field}>
        <label htmlFor={`${side}.series`}>Series</label>
        <select
          id={`${side}.series`}
          name={`${side}.series`}
          defaultValue={selection?.series ?? series[0]?.id}
        >
          {series.map(({ id, trying, startedAt }) => (
            <option key={id} value={id}>
              {dayOf(startedAt)} {trying}
            </option>
          ))}
        </select>
      </span>
      <details open={selection !== null && Object.values(selection).filter(Boolean).length > 1}>
        <summary>Only a part of it</summary>
        <div className={styles.part}>
          <Choice
            name={`${side}.person`}
            label="Placed by"
            value={selection?.person}
            all="everybody"
            values={distinct(runs.map(({ placedBy }) => placedBy))}
          />
          <Choice
            name={`${side}.battery`}
            label="Battery"
            value={selection?.battery}
            all="every battery"
            values={distinct(runs.map(({ battery }) => battery))}
          />
          {(['from', 'to'] as const).map((end) => (
            <span key={end} className={fields.field}>
              <label htmlFor={`${side}.${end}`}>{end === 'from' ? 'From run' : 'to run'}</label>
              <input
                id={`${side}.${end}`}
                name={`${side}.${end}`}
                type="number"
                min={1}
                defaultValue={selection?.[end] ?? ''}
              />
            </span>
          ))}
        </div>
      </details>
    </fieldset>
  );
}
