import type { Readings, WheelSpeeds } from '../../../src/core/control/controller';
import type { Drivable } from '../../../src/core/control/drive';

interface Options {
  trackM: number;
  periodS?: number;
  /** Where a wall stands ahead, on the x axis; none is seen where it is left out. */
  wallXM?: number;
  /** The wheels do not turn, whatever they are told. */
  stuck?: boolean;
  headingRad?: number;
  /** Roll of the right wheel that is there at the start. */
  rightM?: number;
  /** Each second reading of the distance is lost. */
  losesEchoes?: boolean;
  /** What whatever is asked reads at a place on the x axis; left out: the distance to the wall. */
  readsAt?(xM: number): number;
}

/** A machine whose wheels do at once what they are told, on exact arcs: what is left is the controller's. */
export function perfectMachine(options: Options) {
  const { trackM, periodS = 0.001, wallXM = Infinity, stuck = false } = options;
  const pose = { xM: 0, yM: 0, headingRad: options.headingRad ?? 0 };
  const told: WheelSpeeds = { leftMPerS: 0, rightMPerS: 0 };
  let reads = 0;
  const readings: Readings = {
    timeS: 0,
    headingRad: pose.headingRad,
    leftM: 0,
    rightM: options.rightM ?? 0,
    // Whatever it asks, the distance answers.
    reading() {
      if (options.readsAt !== undefined) return options.readsAt(pose.xM);
      reads += 1;
      const gap = (wallXM - pose.xM) / Math.cos(pose.headingRad);
      return Number.isFinite(gap) && !(options.losesEchoes === true && reads % 2 === 1)
        ? gap
        : null;
    },
  };
  const machine: Drivable & { pose: typeof pose; told: WheelSpeeds } = {
    pose,
    told,
    readings,
    hitWall: false,
    command: (wheels) => void Object.assign(told, wheels),
    advance() {
      readings.timeS += periodS;
      if (stuck) return;
      const [leftM, rightM] = [told.leftMPerS * periodS, told.rightMPerS * periodS];
      readings.leftM += leftM;
      readings.rightM += rightM;
      const turn = (rightM - leftM) / trackM;
      const middle = pose.headingRad + turn / 2;
      const chord = ((leftM + rightM) / 2) * (turn === 0 ? 1 : Math.sin(turn / 2) / (turn / 2));
      pose.xM += chord * Math.cos(middle);
      pose.yM += chord * Math.sin(middle);
      pose.headingRad += turn;
      readings.headingRad = pose.headingRad;
    },
  };
  return machine;
}
