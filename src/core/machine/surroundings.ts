import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import { bodyRadius, clearanceM, hitsWall, pushInside } from './contact';
import type { FloorPose } from './floorPose';

/** What a robot touches on its table: how far off everything is, what pushes it back, what holds it. */
export class Surroundings {
  /** A wall on the table holds it where it ran into it. */
  hitWall = false;
  /** So far it may go in any direction before anything can touch it; not looked at again until then. */
  private freeM = 0;
  private readonly reachM: number;
  /** Nearer than this to the border something may touch it within a period. */
  private readonly marginM: number;
  private readonly nearM: number;

  /** @param periodM the most that it drives in a period of its program's loop */
  constructor(
    private readonly body: Robot['body'],
    private readonly table: Table,
    periodM: number,
  ) {
    this.reachM = bodyRadius(body);
    this.marginM = this.reachM + periodM;
    this.nearM = 2 * periodM;
  }

  /** Whether anything may touch it in this period. */
  get isNear(): boolean {
    return this.freeM < this.nearM;
  }

  /** It drove so far, signed, with nothing in reach. */
  went(byM: number): void {
    this.freeM -= byM < 0 ? -byM : byM;
  }

  /** It was put somewhere else. */
  wasMoved(): void {
    this.freeM = 0;
  }

  /** Whether something that pushes it back is in reach within a period. */
  pushes({ xM, yM }: Pose): boolean {
    const { table, marginM } = this;
    return (
      xM < marginM || yM < marginM || xM > table.widthM - marginM || yM > table.heightM - marginM
    );
  }

  /** Push it back out of what it pokes into; by how far it was moved. */
  pushBackM(pose: FloorPose): number {
    const { xM, yM } = pose;
    if (!pushInside(pose, this.body, this.table)) return 0;
    pose.face();
    return Math.hypot(pose.xM - xM, pose.yM - yM);
  }

  /** See whether a wall on the table is run into, and how far off everything is otherwise. */
  meet(pose: Pose): void {
    const { table, body, reachM } = this;
    this.hitWall = table.walls.some((wall) => hitsWall(pose, body, reachM, wall));
    this.freeM = clearanceM(pose, reachM, table);
  }
}
