import { useCallback, useRef, useState } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import type { Reading } from '../../../formats/readings';
import type { Log } from '../../../formats/toLog';
import { logOf } from '../logs/sources';

/** So much of the past is shown. */
export const WINDOW_S = 30;
/** How often the panel is drawn anew. */
const TELL_MS = 250;

/** A heading that jumps by more began anew: it was set to 0, or wrapped round. */
const JUMP_DEG = 216;

const jumps = (from: Reading, to: Reading): boolean =>
  Math.abs((to.heading_deg ?? 0) - (from.heading_deg ?? 0)) > JUMP_DEG;

/** What was read since so long ago; after a clock or a heading that began anew only what came since. */
function recent(readings: readonly Reading[]): Reading[] {
  const newest = readings.at(-1)?.t_s ?? 0;
  const kept = readings.filter(({ t_s }) => t_s > newest - WINDOW_S && t_s <= newest);
  const anew = kept.findLastIndex((reading, i) => {
    const before = kept[i - 1];
    return before !== undefined && jumps(before, reading);
  });
  return kept.slice(Math.max(0, anew));
}

function asLog(readings: readonly Reading[], raw: RawConvention): Log | null {
  try {
    return logOf(readings, raw);
  } catch {
    // Too little of it to show yet.
    return null;
  }
}

/** The last half minute of readings that come one after the other, as a log. */
export function useWindow(raw: RawConvention) {
  const [log, setLog] = useState<Log | null>(null);
  const kept = useRef<Reading[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const { signs, encodersRollOver } = raw;
  const { heading, leftMotor, rightMotor } = signs;
  const take = useCallback(
    (readings: readonly Reading[]) => {
      kept.current = recent([...kept.current, ...readings]);
      // The last reading is shown, too, when no other comes after it.
      timer.current ??= setTimeout(() => {
        timer.current = null;
        const convention = { signs: { heading, leftMotor, rightMotor }, encodersRollOver };
        setLog(asLog(kept.current, convention));
      }, TELL_MS);
    },
    [heading, leftMotor, rightMotor, encodersRollOver],
  );
  const clear = useCallback(() => {
    kept.current = [];
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
    setLog(null);
  }, []);
  return { log, take, clear };
}
