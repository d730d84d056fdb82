import { proxy } from 'comlink';
import type { Anchor } from '../../core/gyro/anchors';
import type { KnownBefore } from '../../core/gyro/still/soonAfterPowerUp';
import type { KnownDrift, RunLogStudy } from '../../core/gyro/runLog';
import type { StillSettings } from '../../core/gyro/still/stillDefaults';
import type { RawConvention } from '../../core/channels/rawConvention';
import type { Robot } from '../../core/robot/robot';
import type { ColumnMap } from '../../formats/csv/logColumns';
import type { Log } from '../../formats/toLog';
import type { BenchWorker, ReadLog, StillAnalysis } from '../../workers/bench.worker';
import { inWorker, type WorkerJob } from '../inWorker';

const newWorker = () =>
  new Worker(new URL('../../workers/bench.worker.ts', import.meta.url), { type: 'module' });

/** Read a file of readings: JSON Lines, or CSV by a choice of columns. */
export function readLogFile(
  file: Blob,
  map: ColumnMap | null,
  raw: RawConvention,
  onProgress: (share: number) => void,
): WorkerJob<ReadLog> {
  let isOver = false;
  // Progress comes by a way of its own: what is under way there when the work ends is late.
  const tell = (share: number) => {
    if (!isOver) onProgress(share);
  };
  const { result, cancel } = inWorker<BenchWorker, ReadLog>(newWorker, ({ read }) =>
    read(file, map, raw, proxy(tell)),
  );
  const end = () => {
    isOver = true;
  };
  return {
    result: result.finally(end),
    cancel() {
      end();
      cancel();
    },
  };
}

export const analyseStill = (
  log: Log,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  displayStepRad: number | null,
  before: KnownBefore,
): WorkerJob<StillAnalysis> =>
  inWorker<BenchWorker, StillAnalysis>(newWorker, ({ still }) =>
    still(log, runDurationS, toleranceRad, settings, displayStepRad, before),
  );

/** A recorded run corrected by anchors, and what its encoders and time stamps say. */
export const studyRun = (
  log: Log,
  anchors: Anchor[],
  robot: Robot,
  known: KnownDrift | null,
): WorkerJob<RunLogStudy> =>
  inWorker<BenchWorker, RunLogStudy>(newWorker, ({ run }) => run(log, anchors, robot, known));
