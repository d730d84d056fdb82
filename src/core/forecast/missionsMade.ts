import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Machine } from '../machine/machine';
import type { MotionStep } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';
import { asLeft, hasMoved } from '../table/moved';
import type { Table } from '../table/table';
import { isMarkOf, targetsOf } from '../table/targets';
import { passBy, type Passing } from './passing';
import { missionsWorked } from './points';
import type { MarkPose } from './simulatedRun';

/** Where a machine is, its heading wrapped. */
export const tablePose = ({ pose }: Machine): Pose => ({
  xM: pose.xM,
  yM: pose.yM,
  headingRad: wrap(pose.headingRad),
});

/** The missions that one run comes to, and what it moves by working them. */
export class MissionsMade {
  readonly marks: MarkPose[] = [];
  /** To be worked in passing, on the motion that is made now or the next. */
  private awaited: Passing[] = [];
  private readonly movesThings: boolean;
  /** So many of the marks have moved what they move. */
  private moved = 0;

  /** @param onTable what this run finds on the table before it has worked anything */
  constructor(
    private readonly table: Table,
    private readonly onTable: Table,
    private readonly machine: Machine,
  ) {
    this.movesThings = hasMoved(onTable);
  }

  /** A step is made that may work one: at once; or in passing, on the motion that follows. */
  mark(step: MotionStep, isMeanwhile = false): void {
    const marked = kindOfStep(step).marks?.(step);
    if (marked === undefined) return;
    const { missionId, part, passing, leastMPerS } = marked;
    const { machine } = this;
    if (passing && !isMeanwhile) {
      const targets = this.table.missions.flatMap(targetsOf);
      const at = targets.find((one) => isMarkOf(marked, one))?.pose;
      const unseen = { at: at ?? null, nearest: null, last: null };
      this.awaited.push({ missionId, part, leastMPerS, ...unseen });
    } else {
      this.marks.push({ missionId, part, timeS: machine.readings.timeS, ...tablePose(machine) });
    }
  }

  /** The robot is on its way. */
  comesBy(): void {
    for (const one of this.awaited) {
      passBy(one, tablePose(this.machine), this.machine.readings.timeS);
    }
  }

  /** A motion is over: what was worked on it in passing is known, and what that moves is moved. */
  hasPassed(): void {
    for (const { missionId, part, nearest, leastMPerS } of this.awaited) {
      if (nearest === null || nearest.speedMPerS < leastMPerS) continue;
      const { speedMPerS: _speed, ...pose } = nearest;
      this.marks.push({ missionId, part, ...pose });
    }
    this.awaited = this.awaited.filter(({ nearest }) => nearest === null);
    if (!this.movesThings || this.marks.length === this.moved) return;
    this.moved = this.marks.length;
    this.machine.lay(asLeft(this.onTable, missionsWorked(this.marks, this.table.missions)));
  }
}
