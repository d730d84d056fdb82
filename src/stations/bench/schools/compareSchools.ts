import type {
  SchoolsReply,
  SchoolsRequest,
  TurnSchoolsWorker,
} from '../../../workers/turnSchools.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const newWorker = () =>
  new Worker(new URL('../../../workers/turnSchools.worker.ts', import.meta.url), {
    type: 'module',
  });

/** Ways of turning side by side, and the gain that stays within an overshoot, in a worker. */
export const compareSchools = (request: SchoolsRequest): WorkerJob<SchoolsReply> =>
  inWorker<TurnSchoolsWorker, SchoolsReply>(newWorker, ({ compare }) => compare(request));
