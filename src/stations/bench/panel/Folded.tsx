import { readsNow } from '../../../core/channels/readsNow';
import { shownText } from '../../../core/channels/shown';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { classes } from '../../../ui/classes';
import { SOURCE_OPTIONS, type Source } from '../logs/SourceChoice';
import { folding } from './folding';
import styles from './Panel.module.css';

/** What is told in a line, the most asked for first; so many readings fit. */
const ORDER = ['headingRad', 'distanceM', 'volts', 'light', 'touch'];
const MOST = 4;
const placeOf = (key: string): number => ORDER.indexOf(key.replace(/:.*/, ''));

/** The panel as one line: the source, and what it reads now. */
export function Folded({ source, state, log }: { source: Source; state: string; log: Log | null }) {
  const readings = (log === null ? [] : readsNow(log))
    .filter(({ key, value }) => value !== null && placeOf(key) >= 0)
    .toSorted((a, b) => placeOf(a.key) - placeOf(b.key));
  return (
    <aside className={classes(styles.folded, 'no-print')} aria-label="Robot panel">
      <div>
        <span>
          {SOURCE_OPTIONS.find(({ value }) => value === source)?.label}:{' '}
          <span data-testid="panel-state">{state}</span>
        </span>
        {readings.slice(0, MOST).map(({ key, kind, label, value }) => (
          <span key={key}>
            {label.toLowerCase()} {value !== null && shownText(kind, value)}
          </span>
        ))}
      </div>
      <Button look="bare" onClick={() => folding.fold(false)}>
        Unfold
      </Button>
    </aside>
  );
}
