import { readsNow, type ReadsNow } from '../../../core/channels/readsNow';
import { shownValue } from '../../../core/channels/shown';
import type { Log } from '../../../formats/toLog';
import styles from './Panel.module.css';

/** A figure with its unit small; a degree sign belongs to its figure. */
function Value({ kind, value }: Pick<ReadsNow, 'kind' | 'value'>) {
  if (value === null) return '–';
  const { figure, unit } = shownValue(kind, value);
  if (unit === '' || unit.startsWith('°')) return `${figure}${unit}`;
  return (
    <>
      {figure}
      <small> {unit}</small>
    </>
  );
}

/** What every channel reads now, the heading large; each can be chosen for the strip. */
export function Readings({
  log,
  chosen,
  onChoose,
}: {
  log: Log;
  chosen: string;
  onChoose(key: string): void;
}) {
  const readings = readsNow(log).toSorted(
    (a, b) => Number(b.key === 'headingRad') - Number(a.key === 'headingRad'),
  );
  return (
    <dl className={styles.readings} data-testid="panel-readings">
      {readings.map(({ key, kind, label, value }) => (
        <div key={key} className={key === 'headingRad' ? styles.heading : styles.value}>
          <dt>
            <button
              type="button"
              aria-pressed={key === chosen}
              aria-label={`Draw ${label}`}
              onClick={() => onChoose(key)}
            >
              {label}
            </button>
          </dt>
          <dd data-testid={`reads-${key}`}>
            <Value kind={kind} value={value} />
          </dd>
        </div>
      ))}
    </dl>
  );
}
