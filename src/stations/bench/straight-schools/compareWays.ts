import type { StraightOutcome } from '../../../core/drive/straightSchools';
import type {
  StraightSchoolsRequest,
  StraightSchoolsWorker,
} from '../../../workers/straightSchools.worker';
import { inWorker, type WorkerJob } from '../../inWorker';

const newWorker = () =>
  new Worker(new URL('../../../workers/straightSchools.worker.ts', import.meta.url), {
    type: 'module',
  });

/** Ways of driving straight side by side, in a worker. */
export const compareWays = (request: StraightSchoolsRequest): WorkerJob<StraightOutcome[]> =>
  inWorker<StraightSchoolsWorker, StraightOutcome[]>(newWorker, ({ compare }) => compare(request));
