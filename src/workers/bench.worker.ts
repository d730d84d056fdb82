import { expose, transfer } from 'comlink';
import { setDisplaySettings } from '../core/text/displaySettings';
import { channelsIn } from '../core/channels/log';
import { shownLog, type ShownLog } from '../core/gyro/shownLog';
import type { KnownBefore } from '../core/gyro/still/soonAfterPowerUp';
import { judgeLog } from '../core/gyro/judgeLog';
import type { StillCheck } from '../core/gyro/still/stillCheck';
import { stillLogOf } from '../core/gyro/still/stillLog';
import type { StillSettings } from '../core/gyro/still/stillDefaults';
import { studyRunLog } from '../core/gyro/runLog';
import type { RawConvention } from '../core/channels/rawConvention';
import { contentOf } from '../formats/contentId';
import { parseLogCsv } from '../formats/csv/logCsv';
import type { ColumnMap } from '../formats/csv/logColumns';
import { parseJsonLines } from '../formats/jsonLines';
import type { BadLine, ReadingTable } from '../formats/readings';
import { toLog, type Log } from '../formats/toLog';

/** A log that was read from a file, and what of it could not be. */
export interface ReadLog {
  log: Log;
  /** What it holds, as a word. */
  content: string;
  bad: BadLine[];
  badCount: number;
  leftOut: ReadingTable['leftOut'];
}

export interface StillAnalysis {
  check: StillCheck;
  shown: ShownLog;
}

function logFrom(
  text: string,
  map: ColumnMap | null,
  raw: RawConvention,
  onProgress: (share: number) => void,
): ReadLog {
  const table =
    map === null ? parseJsonLines(text, onProgress) : parseLogCsv(text, map, onProgress);
  const [first] = table.bad;
  if (table.columns.length === 0) {
    throw new Error(
      first === undefined
        ? 'There are no readings in this file.'
        : `No line of this file could be read. Line ${first.line}: ${first.why}.`,
    );
  }
  const log = toLog(table, raw);
  const { bad, badCount, leftOut } = table;
  return { log, content: contentOf(log), bad, badCount, leftOut };
}

const bench = {
  speakAs: setDisplaySettings,

  /** Read a file of readings: JSON Lines, or CSV by a choice of columns. */
  async read(
    file: Blob,
    map: ColumnMap | null,
    raw: RawConvention,
    onProgress: (share: number) => void,
  ): Promise<ReadLog> {
    const read = logFrom(await file.text(), map, raw, onProgress);
    const { tS, columns } = read.log;
    const buffers = [tS, ...channelsIn(columns).map(([, values]) => values)];
    return transfer(
      read,
      buffers.map(({ buffer }) => buffer),
    );
  },

  still(
    kept: Log,
    runDurationS: number,
    toleranceRad: number,
    settings: StillSettings,
    displayStepRad: number | null,
    before: KnownBefore,
  ): StillAnalysis {
    const log = stillLogOf(kept);
    if (log === null) {
      throw new Error('There is neither a heading nor a turning rate in this log.');
    }
    return {
      check: judgeLog(log, runDurationS, toleranceRad, settings, displayStepRad, before),
      shown: shownLog(log),
    };
  },

  /** A recorded run corrected by anchors, and what its encoders and time stamps say. */
  run: studyRunLog,
};

export type BenchWorker = typeof bench;

expose(bench);
