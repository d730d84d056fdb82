import type {
  StrategiesReply,
  StrategiesRequest,
  TurnStrategiesWorker,
} from '../../../workers/turnStrategies.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const newWorker = () =>
  new Worker(new URL('../../../workers/turnStrategies.worker.ts', import.meta.url), {
    type: 'module',
  });

/** Ways of turning side by side, and the gain that stays within an overshoot, in a worker. */
export const compareStrategies = (request: StrategiesRequest): WorkerJob<StrategiesReply> =>
  inWorker<TurnStrategiesWorker, StrategiesReply>(newWorker, ({ compare }) => compare(request));
