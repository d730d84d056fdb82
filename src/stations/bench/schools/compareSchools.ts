import type {
  SchoolsReply,
  SchoolsRequest,
  TurnSchoolsWorker,
} from '../../../workers/turnSchools.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

/** Ways of turning side by side, and the gain that stays within an overshoot, in a worker of their own. */
export const compareSchools = (request: SchoolsRequest): WorkerJob<SchoolsReply> =>
  inWorker<TurnSchoolsWorker, SchoolsReply>(
    new Worker(new URL('../../../workers/turnSchools.worker.ts', import.meta.url), {
      type: 'module',
    }),
    ({ compare }) => compare(request),
  );
