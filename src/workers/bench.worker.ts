import { setTeamManner, type Manner } from '../core/text/manner';
import { channelsIn } from '../core/gyro/log';
import { shownLog, type ShownLog } from '../core/gyro/shownLog';
import { judgeLog } from '../core/gyro/judgeLog';
import type { StillCheck } from '../core/gyro/stillCheck';
import { stillLogOf } from '../core/gyro/stillLog';
import type { StillSettings } from '../core/gyro/stillDefaults';
import type { Anchor } from '../core/gyro/anchors';
import type { RawConvention } from '../core/rawConvention';
import type { Robot } from '../core/robot';
import { studyRunLog, type KnownDrift, type RunLogStudy } from '../core/gyro/runLog';
import { contentOf } from '../formats/contentId';
import { parseLogCsv, type ColumnMap } from '../formats/logCsv';
import { parseJsonLines } from '../formats/jsonLines';
import type { BadLine, ReadingTable } from '../formats/readings';
import { toLog, type Log } from '../formats/toLog';

/** A request, and how sentences are to be said. */
export type Told = BenchRequest & { manner: Manner };

export type BenchRequest =
  | { kind: 'read'; file: Blob; map: ColumnMap | null; raw: RawConvention }
  | {
      kind: 'still';
      log: Log;
      runDurationS: number;
      toleranceRad: number;
      settings: StillSettings;
      displayStepRad: number | null;
    }
  | { kind: 'run-log'; log: Log; anchors: Anchor[]; robot: Robot; known: KnownDrift | null };

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

export type BenchReply =
  | { kind: 'progress'; share: number }
  | { kind: 'read'; read: ReadLog }
  | { kind: 'still'; analysis: StillAnalysis }
  | { kind: 'run-log'; study: RunLogStudy }
  | { kind: 'failed'; sentence: string };

const reply = (message: BenchReply, transfer: Transferable[] = []): void =>
  self.postMessage(message, { transfer });

function read(text: string, map: ColumnMap | null, raw: RawConvention): ReadLog {
  const onProgress = (share: number) => reply({ kind: 'progress', share });
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

function analyse(request: Extract<BenchRequest, { kind: 'still' }>): StillAnalysis {
  const log = stillLogOf(request.log);
  if (log === null) throw new Error('There is neither a heading nor a turning rate in this log.');
  return {
    check: judgeLog(
      log,
      request.runDurationS,
      request.toleranceRad,
      request.settings,
      request.displayStepRad,
    ),
    shown: shownLog(log),
  };
}

async function answer(data: BenchRequest): Promise<void> {
  if (data.kind === 'run-log') {
    const { log, anchors, robot, known } = data;
    return reply({ kind: 'run-log', study: studyRunLog(log, anchors, robot, known) });
  }
  if (data.kind === 'still') return reply({ kind: 'still', analysis: analyse(data) });
  const result = read(await data.file.text(), data.map, data.raw);
  const { tS, columns } = result.log;
  reply(
    { kind: 'read', read: result },
    [tS, ...channelsIn(columns).map(([, values]) => values)].map(({ buffer }) => buffer),
  );
}

self.onmessage = ({ data: { manner, ...data } }: MessageEvent<Told>) => {
  setTeamManner(manner);
  answer(data).catch((error: unknown) =>
    reply({ kind: 'failed', sentence: error instanceof Error ? error.message : String(error) }),
  );
};
