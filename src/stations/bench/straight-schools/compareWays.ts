import type { StraightOutcome } from '../../../core/drive/straightStrategies';
import type {
  StraightStrategiesRequest,
  StraightStrategiesWorker,
} from '../../../workers/straightStrategies.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const newWorker = () =>
  new Worker(new URL('../../../workers/straightStrategies.worker.ts', import.meta.url), {
    type: 'module',
  });

/** Ways of driving straight side by side, in a worker. */
export const compareWays = (request: StraightStrategiesRequest): WorkerJob<StraightOutcome[]> =>
  inWorker<StraightStrategiesWorker, StraightOutcome[]>(newWorker, ({ compare }) =>
    compare(request),
  );
