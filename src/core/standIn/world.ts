import { WHITE } from '../colour/colour';
import { missionsWorked } from '../forecast/points';
import type { Pose } from '../geometry/pose';
import type { Floor } from '../sensing/underSpot';
import { obstacles } from '../table/obstacles';
import { laidOut } from '../table/laidOut';
import { asLeft } from '../table/moved';
import type { Segment } from '../table/table';
import { aboutAt } from './about';
import { drivenRoute, onTableOf } from './drivenRoute';
import { placeAt } from './place';
import { motionAt, type StandIn } from './state';
import type { StandInTruth } from './truth';

/** What its units see: where the robot is, and what stands and lies there, in one frame. */
export interface World {
  pose: Pose;
  /** All that a beam can meet that begins so high. */
  surfacesAt(sitsM: number | null): readonly Segment[];
  floor: Floor;
}

/** It lies under all of a robot, wherever that stands, m. */
const CARD = { x1M: -1000, y1M: -1000, x2M: 1000, y2M: 1000 };

/** A card is laid over all that is drawn there. */
const under = (card: StandIn['card'], floor: Floor): Floor =>
  card === null
    ? floor
    : { lines: [], fields: [{ ...CARD, colour: card }], floorColour: floor.floorColour };

/** What is about the stand-in at a moment: the table of the route that it drives, until it is moved by hand; else its floor. */
export function worldAt(truth: StandInTruth, state: StandIn, tS: number): World {
  const { pose } = placeAt(truth.robot, state, tS);
  const motion = motionAt(state, tS);
  if (motion?.what.by === 'route') {
    const { table: drawn, run } = drivenRoute(truth.robot, motion.what);
    const marks = run.marks.filter(({ timeS }) => motion.fromS + timeS <= tS);
    const table = laidOut(asLeft(drawn, missionsWorked(marks, drawn.missions)));
    return {
      pose: onTableOf(motion, motion.what, pose),
      surfacesAt: (sitsM) => obstacles(table, sitsM),
      floor: under(state.card, table),
    };
  }
  const { walls, lines } = aboutAt(truth, state, tS);
  const floor = under(state.card, { lines, fields: [], floorColour: WHITE });
  return { pose, surfacesAt: () => walls, floor };
}
