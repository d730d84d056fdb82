import { channelLabel, channelOf } from '../../../core/channels/key';
import { shownValue } from '../../../core/channels/shown';
import { channelsIn } from '../../../core/gyro/log';
import type { Log } from '../../../formats/toLog';
import styles from './Panel.module.css';

const newest = (values: Float64Array): number =>
  values.findLast((value) => !Number.isNaN(value)) ?? Number.NaN;

/** A channel and what it reads now; null where the last reading is a gap. */
export function readingsNow(log: Log) {
  return channelsIn(log.columns).flatMap(([key, values]) => {
    const kind = channelOf(key)?.kind;
    if (kind === undefined) return [];
    // A sensor that is read now and then shows what it read last; a lost echo is one.
    const last = values.at(-1) ?? Number.NaN;
    const value = kind.key === 'distanceM' ? last : newest(values);
    const shown = Number.isNaN(value) ? null : shownValue(kind, value);
    return [{ key, label: channelLabel(key), shown }];
  });
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
  const readings = readingsNow(log).toSorted(
    (a, b) => Number(b.key === 'headingRad') - Number(a.key === 'headingRad'),
  );
  return (
    <dl className={styles.readings} data-testid="panel-readings">
      {readings.map(({ key, label, shown }) => (
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
            {shown === null ? (
              '–'
            ) : shown.unit.startsWith('°') ? (
              `${shown.figure}${shown.unit}`
            ) : (
              <>
                {shown.figure}
                <small> {shown.unit}</small>
              </>
            )}
          </dd>
        </div>
      ))}
    </dl>
  );
}
