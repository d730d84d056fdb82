import { extentOf } from '../../../core/channels/extent';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { channelsIn } from '../../../core/channels/log';
import { listed } from '../../../core/text/listed';
import { counted } from '../../../core/text/quantities';
import type { ReadLog } from '../../../workers/bench.worker';
import { Notice } from '../../../ui/Notice';
import styles from '../Bench.module.css';

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** What was taken from a file: whole, with gaps, and not at all. */
export function ReadReport({ read }: { read: ReadLog }) {
  const channels = channelsIn(read.log.columns).map(([key, values]) => ({
    label: channelLabel(key),
    missing: extentOf(values)?.missing ?? values.length,
    gap: channelOf(key)?.kind.gap ?? '',
  }));
  const whole = channels.filter(({ missing }) => missing === 0);
  const withGaps = channels.filter(({ missing }) => missing > 0);
  const { bad, badCount, leftOut, log } = read;
  return (
    <div data-testid="read-report">
      <p>
        {counted(log.tS.length, 'reading')} taken
        {whole.length > 0 && `, each with ${listed(whole.map(({ label }) => lowerFirst(label)))}`}.
      </p>
      {withGaps.length > 0 && (
        <ul className={styles.badLines}>
          {withGaps.map(({ label, missing, gap }) => (
            <li key={label}>
              {label}: {counted(missing, 'gap')} ({gap})
            </li>
          ))}
        </ul>
      )}
      {leftOut.length > 0 && (
        <p className="faint">
          Left out: {listed(leftOut.map(({ title, why }) => `${title} (${why})`))}.
        </p>
      )}
      {badCount > 0 && (
        <Notice tone="careful">
          <p>
            {counted(badCount, 'line')} could not be read and {badCount === 1 ? 'is' : 'are'} left
            out:
          </p>
          <ul className={styles.badLines}>
            {bad.slice(0, 5).map(({ line, why }) => (
              <li key={line}>
                line {line}: {why}
              </li>
            ))}
          </ul>
        </Notice>
      )}
    </div>
  );
}
