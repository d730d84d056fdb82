import { z } from 'zod';
import { controller, type Tick } from '../../control/controller';
import { settled } from '../../control/rest';
import type { Robot } from '../../robot/robot';
import { FLOOR_MIDDLE } from '../../simulate/floor';
import { tunedController } from '../../tuning/controllers/registry';
import { TUNED_IDS } from '../../robot/tunedIds';
import { heldBy } from '../../tuning/simulatedTrace';
import { NOTHING_ABOUT, seenFrom } from '../surroundings';
import { benchStepKind } from './kind';

const schema = z.object({
  kind: z.literal('push'),
  controller: z.enum(TUNED_IDS),
  gain: z.number().min(-1e5).max(1e5),
});

function experimentOf({ controller: id, gain }: z.output<typeof schema>, robot: Robot) {
  const tuned = tunedController(id);
  return tuned.lack(robot) === null ? tuned.experiment(robot, gain) : null;
}

/** The robot has nothing to follow by. */
const lacks: Tick<object> = () => 'no-sensor';

/** A controller at a gain, and the disturbance by which it is tuned: a wheel held, a wall or a line a little off. */
export const push = benchStepKind({
  schema,
  control(step, robot) {
    const experiment = experimentOf(step, robot);
    return experiment === null
      ? controller(lacks, {})
      : settled(heldBy(experiment.heldS, experiment.motion));
  },
  about(step, robot) {
    const { scene } = experimentOf(step, robot) ?? {};
    return scene === undefined ? NOTHING_ABOUT : seenFrom(scene.table, FLOOR_MIDDLE);
  },
});
