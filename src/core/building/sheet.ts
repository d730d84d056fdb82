import type { Route } from '../course/route';
import { devicesOf } from '../devices/ofRobot';
import { printed, type Line } from '../recipe/lines';
import { pluggedIn, portText } from '../recipe/names';
import { ownProgram, type OwnProgram } from '../recipe/ownProgram';
import { asMounted, mountingOn } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import { degrees } from '../text/quantities';
import type { Table } from '../table/table';
import { Blocks, calls, type Block } from './blocks';
import { headingSetLine, type Writing } from './calls';
import { programLines } from './program';

/** A motor or sensor, as the lines call it, and the port that it is to be in. */
export interface SheetDevice {
  name: string;
  device: string;
  port: string;
}

/** A route as it is put together in the robot's own programs. */
export interface BuildingSheet {
  devices: SheetDevice[];
  /** Blocks of one's own, each typed once. */
  recipes: Block[];
  /** The program, in its order: calls of the blocks. */
  program: string[];
  /** What whoever types it should know. */
  notes: string[];
}

/** What stands before the first step. */
const beginLines = (writing: Writing, { robot }: OwnProgram): Line[] => [
  ...(devicesOf(robot, 'heading sensor').length === 0 ? ['set HEADING ADDED to 0'] : []),
  headingSetLine(writing, 0),
  ...(writing.keepsBalance ? ['set BALANCE to 0'] : []),
];

/**
 * The building sheet of a route: what is plugged in where, the recipes with their parameters, and the program that calls
 * them, every number in the units, and with the signs, of the robot's own programs.
 */
export function buildingSheet(route: Route, robot: Robot, table: Table): BuildingSheet {
  const program = ownProgram(robot);
  const blocks = new Blocks();
  const keepsBalance = JSON.stringify(route.steps).includes('"encoder-balance"');
  const writing: Writing = { program, blocks, keepsBalance };
  const { lines: ofSteps, isWhole } = programLines(route, writing, table);
  const lines = [...beginLines(writing, program), ...ofSteps];
  const devices = pluggedIn(robot).map(({ unit, name }) => ({
    name,
    device: unit.kind,
    port: portText(unit),
  }));
  const typed = printed(lines);
  const every = blocks.all();
  const text = [...typed, ...every.flatMap((block) => block.lines)];
  const mounting = mountingOn(asMounted(robot, route));
  const notes = [
    ...(mounting === null
      ? []
      : [
          `Mount “${mounting.name}” before it is placed, its motor at ${degrees(mounting.armStartRad, 0)} then.`,
        ]),
    ...(robot.program.command === null
      ? [
          'Nobody has said yet how its programs command the motors (Robot: How its programs count): speeds stand here in mm/s of each wheel.',
        ]
      : []),
    ...(isWhole
      ? []
      : [
          'It asks so often that not every way through it stands here: where one is missing the program gives up.',
        ]),
  ];
  // What was only written to be compared is called by nobody.
  const recipes = every.filter(({ name }) => text.some((line) => calls(line, name)));
  return { devices, recipes, program: typed, notes };
}
