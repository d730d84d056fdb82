import type { SchoolsReply, SchoolsRequest } from '../../../workers/turnSchools.worker';

export interface SchoolsJob {
  result: Promise<SchoolsReply>;
  cancel(): void;
}

/** Ways of turning side by side, and the gain that stays within an overshoot, in a worker of their own. */
export function compareSchools(request: SchoolsRequest): SchoolsJob {
  const worker = new Worker(new URL('../../../workers/turnSchools.worker.ts', import.meta.url), {
    type: 'module',
  });
  const cancel = () => worker.terminate();
  const result = new Promise<SchoolsReply>((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<SchoolsReply>) => {
      cancel();
      resolve(data);
    };
    worker.onerror = (event) => {
      cancel();
      reject(new Error(`The computation stopped: ${event.message}`));
    };
    worker.postMessage(request);
  });
  return { result, cancel };
}
