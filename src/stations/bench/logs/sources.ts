import type { RawConvention } from '../../../core/channels/rawConvention';
import { TableBuilder, toReading, type Reading } from '../../../formats/readings';
import { toLog, type Log } from '../../../formats/toLog';
import { listenToSerial } from './serial';
import { listenToStandIn, standInNowS, standInSeen, watchStandIn } from '../standIn/standInStore';

/** Where readings come from while they are made. */
export type LiveSource = 'stand-in' | 'serial';

/** A log from readings that were collected one by one. */
export function logOf(readings: readonly Reading[], raw: RawConvention): Log {
  const table = new TableBuilder();
  for (const reading of readings) table.add(reading);
  return toLog(table.done(readings.length), raw);
}

async function listenToTheStandIn(
  onReadings: (readings: Reading[]) => void,
  onEnd: (sentence: string) => void,
): Promise<() => void> {
  // What was read before, but comes with the next answer, is no part of it.
  const beginS = await standInNowS();
  const deafen = listenToStandIn((raw) => {
    const readings = raw.filter(({ tS }) => tS > beginS).map(toReading);
    if (readings.length > 0) onReadings(readings);
  });
  const unwatch = watchStandIn(() => {
    if (standInSeen().view?.on !== false) return;
    end();
    onEnd('The stand-in was switched off.');
  });
  const end = () => {
    deafen();
    unwatch();
  };
  return end;
}

/**
 * Every reading of a live source from now on, until the returned function is called.
 *
 * @param onEnd told in a sentence when the source ends by itself
 */
export function listenTo(
  source: LiveSource,
  onReadings: (readings: Reading[]) => void,
  onEnd: (sentence: string) => void,
): Promise<() => void> {
  return source === 'serial'
    ? listenToSerial(onReadings, onEnd)
    : listenToTheStandIn(onReadings, onEnd);
}
