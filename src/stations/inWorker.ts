import { wrap, type Remote } from 'comlink';
import { displaySettings, type DisplaySettings } from '../core/text/displaySettings';

/** Work under way in a worker. */
export interface WorkerJob<T> {
  result: Promise<T>;
  cancel(): void;
}

/** What every worker that says something is told first. */
interface Speaks {
  speakAs(display: DisplaySettings): void;
}

/** A promise that fails when the worker itself does: its script is not there, or ran out of room. */
export const faultOf = (worker: Worker): Promise<never> =>
  new Promise((_, reject) => {
    worker.addEventListener('error', (event) =>
      reject(new Error(`The computation stopped: ${event.message}`)),
    );
  });

/** Ask a worker of its own for something; the worker ends with the answer, or when it is no longer wanted. */
export function inWorker<Api extends Speaks, T>(
  worker: Worker,
  ask: (api: Remote<Api>) => Promise<T>,
): WorkerJob<T> {
  const api = wrap<Api>(worker);
  const answer = async () => {
    await (api as Remote<Speaks>).speakAs(displaySettings());
    return ask(api);
  };
  const cancel = () => worker.terminate();
  return { result: Promise.race([answer(), faultOf(worker)]).finally(cancel), cancel };
}
