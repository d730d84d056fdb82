import type { Pose } from '../geometry/pose';
import { outlineOf, passesBeneath } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import { bodyRadius, clearanceM, grownBody, hitsWall, pushInside } from './contact';
import type { FloorPose } from './floorPose';
import { DEEPEST_M, pushOffWalls, sidesInReach, type WallSide } from './wallContact';

/** So far off a wall that it leant against, a robot has left it. */
const LEFT_M = 0.001;

/** An outline, and the walls on the table that it can meet. */
interface Outline {
  body: Robot['body'];
  /** Of what is deeper in it than it can be pushed out again. */
  core: Robot['body'];
  touching: Robot['body'];
  walls: Table['walls'];
  /** Those that it may touch within this period. */
  inReach: WallSide[];
}

const outline = (body: Robot['body'], walls: Table['walls']): Outline => ({
  body,
  core: grownBody(body, -DEEPEST_M),
  touching: grownBody(body, LEFT_M),
  walls,
  inReach: [],
});

/** What a robot touches on its table: how far off everything is, what pushes it back, what holds it. */
export class Surroundings {
  /** A wall on the table holds it where it ran into it. */
  hitWall = false;
  /** It is meant to run into something: walls push it back as the border does, until it has left them. */
  private leans: boolean;
  private isMeantTo = false;
  /** So far it may go in any direction before anything can touch it; not looked at again until then. */
  private freeM = 0;
  private readonly reachM: number;
  /** Nearer than this to the border something may touch it within a period. */
  private readonly marginM: number;
  private readonly nearM: number;
  private readonly body: Robot['body'];
  /** The robot with what is mounted on it, and without it for what passes beneath that. */
  private readonly outlines: Outline[];

  /** @param periodM the most that it drives in a period of its program's loop */
  constructor(
    robot: Robot,
    private readonly table: Table,
    periodM: number,
    start: Pose,
  ) {
    this.body = outlineOf(robot);
    const isLow = (wall: Table['walls'][number]) => passesBeneath(robot, wall);
    this.outlines = [
      outline(
        this.body,
        table.walls.filter((wall) => !isLow(wall)),
      ),
      outline(robot.body, table.walls.filter(isLow)),
    ].filter(({ walls }) => walls.length > 0);
    this.reachM = bodyRadius(this.body);
    this.marginM = this.reachM + periodM;
    this.nearM = 2 * periodM;
    // Placed at a wall, it leans against it.
    this.leans = this.isInWall(start, 'touching');
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

  /** Whether the motion that begins now is meant to run into something. */
  mayLean(isMeantTo: boolean): void {
    this.isMeantTo = isMeantTo;
    this.leans ||= isMeantTo;
  }

  /** Whether something that pushes it back is in reach within a period. */
  pushes(pose: Pose): boolean {
    const { table, marginM } = this;
    const { xM, yM } = pose;
    if (this.leans)
      for (const one of this.outlines) one.inReach = sidesInReach(pose, marginM, one.walls);
    return (
      (this.leans && this.hasInReach) ||
      xM < marginM ||
      yM < marginM ||
      xM > table.widthM - marginM ||
      yM > table.heightM - marginM
    );
  }

  /** Push it back out of what it pokes into; by how far it was moved. */
  pushBackM(pose: FloorPose): number {
    const { xM, yM } = pose;
    let isPushed = pushInside(pose, this.body, this.table);
    if (this.leans)
      for (const { body, inReach } of this.outlines)
        isPushed = pushOffWalls(pose, body, inReach) || isPushed;
    if (!isPushed) return 0;
    pose.face();
    return Math.hypot(pose.xM - xM, pose.yM - yM);
  }

  /** See whether a wall on the table is run into, and how far off everything is otherwise. */
  meet(pose: Pose): void {
    if (this.leans && !this.isMeantTo) this.leans = this.isInWall(pose, 'touching');
    this.hitWall = this.isInWall(pose, this.leans ? 'core' : 'body');
    this.freeM = clearanceM(pose, this.reachM, this.table);
  }

  /** It drives and does not move: a wall that it is not meant to press against stops it. */
  holds(): void {
    this.hitWall = this.leans && !this.isMeantTo && this.hasInReach;
  }

  private get hasInReach(): boolean {
    return this.outlines.some(({ inReach }) => inReach.length > 0);
  }

  private isInWall(pose: Pose, part: 'body' | 'core' | 'touching'): boolean {
    const reachM = this.reachM + 2 * LEFT_M;
    return this.outlines.some((one) =>
      one.walls.some((wall) => hitsWall(pose, one[part], reachM, wall)),
    );
  }
}
