import { teamManner } from '../../core/text/manner';
import type { Anchor } from '../../core/gyro/anchors';
import type { KnownDrift, RunLogStudy } from '../../core/gyro/runLog';
import type { StillSettings } from '../../core/gyro/stillDefaults';
import type { RawConvention } from '../../core/rawConvention';
import type { Robot } from '../../core/robot';
import type { ColumnMap } from '../../formats/logCsv';
import type { Log } from '../../formats/toLog';
import type {
  BenchReply,
  BenchRequest,
  ReadLog,
  StillAnalysis,
  Told,
} from '../../workers/bench.worker';

/** Work under way in a worker. */
export interface WorkerJob<T> {
  result: Promise<T>;
  cancel(): void;
}

function ask<T>(
  request: BenchRequest,
  pick: (reply: BenchReply) => T | undefined,
  onProgress: (share: number) => void = () => undefined,
): WorkerJob<T> {
  const worker = new Worker(new URL('../../workers/bench.worker.ts', import.meta.url), {
    type: 'module',
  });
  const end = () => worker.terminate();
  const result = new Promise<T>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<BenchReply>) => {
      if (data.kind === 'progress') return onProgress(data.share);
      end();
      const picked = pick(data);
      if (picked !== undefined) resolve(picked);
      else reject(new Error(data.kind === 'failed' ? data.sentence : 'The worker went astray.'));
    };
    worker.onerror = (event) => {
      end();
      reject(new Error(`The computation stopped: ${event.message}`));
    };
    const told: Told = { ...request, manner: teamManner() };
    worker.postMessage(told);
  });
  return { result, cancel: end };
}

/** Read a file of readings: JSON Lines, or CSV by a choice of columns. */
export const readLogFile = (
  file: Blob,
  map: ColumnMap | null,
  raw: RawConvention,
  onProgress: (share: number) => void,
): WorkerJob<ReadLog> =>
  ask(
    { kind: 'read', file, map, raw },
    (reply) => (reply.kind === 'read' ? reply.read : undefined),
    onProgress,
  );

export const analyseStill = (
  log: Log,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  displayStepRad: number | null = null,
): WorkerJob<StillAnalysis> =>
  ask({ kind: 'still', log, runDurationS, toleranceRad, settings, displayStepRad }, (reply) =>
    reply.kind === 'still' ? reply.analysis : undefined,
  );

/** A recorded run corrected by anchors, and what its encoders and time stamps say. */
export const studyRun = (
  log: Log,
  anchors: Anchor[],
  robot: Robot,
  known: KnownDrift | null,
): WorkerJob<RunLogStudy> =>
  ask({ kind: 'run-log', log, anchors, robot, known }, (reply) =>
    reply.kind === 'run-log' ? reply.study : undefined,
  );
