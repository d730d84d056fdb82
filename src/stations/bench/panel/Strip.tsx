import { withBreaks } from '../../../core/chart/withBreaks';
import { extentOf } from '../../../core/channels/extent';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { shownRange, shownScale } from '../../../core/channels/shown';
import type { Log } from '../../../formats/toLog';
import styles from './Panel.module.css';
import { WINDOW_S } from './useWindow';

const WIDTH = 280;
const HEIGHT = 64;
const MOST_POINTS = 280;

/** A channel over the last half minute, with its lowest and highest reading. */
export function Strip({ log, channel }: { log: Log; channel: string }) {
  const values = log.columns[channel];
  const kind = channelOf(channel)?.kind;
  if (values === undefined || kind === undefined) return null;
  const extent = extentOf(values);
  if (extent === null) return null;
  const { low, high } = extent;
  const endS = log.tS.at(-1) ?? 0;
  const x = (tS: number) => WIDTH * (1 - (endS - tS) / WINDOW_S);
  const rises = shownScale(kind).factor > 0;
  const y = (value: number) => {
    const share = high > low ? (value - low) / (high - low) : 0.5;
    return HEIGHT * (rises ? 1 - share : share);
  };
  const points = withBreaks(log.tS, values, MOST_POINTS);
  // The first of each stretch is gone to, the others are drawn to.
  const path = points
    .map((point, i) => {
      const goesOn = i > 0 && !Number.isNaN(points[i - 1]?.y);
      return Number.isNaN(point.y)
        ? ''
        : `${goesOn ? 'L' : 'M'}${x(point.x).toFixed(1)} ${y(point.y).toFixed(1)}`;
    })
    .join('');
  const label = channelLabel(channel);
  return (
    <figure className={styles.strip}>
      <svg
        viewBox={`0 -2 ${WIDTH} ${HEIGHT + 4}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={`${label} of the last ${WINDOW_S} s: from ${shownRange(kind, low, high)}`}
      >
        <path d={path} />
      </svg>
      <figcaption>
        <span>
          {label}, last {WINDOW_S} s
        </span>
        <span>{shownRange(kind, low, high)}</span>
      </figcaption>
    </figure>
  );
}
