import { expose } from 'comlink';
import type { DrillCause } from '../core/drill/cause';
import { drillTask, type DrillTask } from '../core/drill/registry';
import { setDisplaySettings } from '../core/text/displaySettings';

/** A task as a page shows it. */
export interface DrawnTask {
  cause: Pick<DrillCause, 'id' | 'why'>;
  shown: DrillTask['shown'];
  answers: DrillCause['id'][];
}

const drill = {
  speakAs: setDisplaySettings,

  /** The task under a number, drawn by the simulator. */
  draw(seed: number): DrawnTask {
    const { cause, shown, answers } = drillTask(seed);
    const { id, why } = cause;
    return { cause: { id, why }, shown, answers: answers.map((one) => one.id) };
  },
};

export type DrillWorker = typeof drill;

expose(drill);
