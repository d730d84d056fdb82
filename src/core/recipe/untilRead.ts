import type { Figure, Line, Recipe } from './lines';
import { limitLines, motionLines, type Interrupts, type OnTimeout } from './loops';
import { speedFigure, type CommandLaw } from './motors';
import type { OwnProgram } from './ownProgram';
import { beginAt, rollingAt, ROLLING_WORDS, speedUp } from './profile';
import { runSteered, type SteeringLines } from './steering';

/** A drive that goes on until its lines leave the loop. */
export interface UntilLines {
  name: string;
  speedMPerS: number;
  law: CommandLaw;
  kept: SteeringLines;
  direction: Figure;
  limit: Figure;
  /** It rolls already as it begins. */
  fromMPerS: number | undefined;
  onTimeout: OnTimeout;
  parameters: Record<string, Figure>;
  /** Before the first round; how it ends, and how it slows down. */
  before: Line[];
  ends: Line[];
  slows: Line[];
}

export const driveUntil = (
  program: OwnProgram,
  of: UntilLines,
  interrupts: Interrupts,
): Recipe => ({
  name: `${of.name}${of.fromMPerS === undefined ? '' : ROLLING_WORDS}`,
  parameters: {
    ...of.parameters,
    DIRECTION: of.direction,
    SPEED: speedFigure(of.law, of.speedMPerS),
    ...rollingAt(of.law, of.fromMPerS),
    ...of.kept.parameters,
    LIMIT: of.limit,
  },
  lines: motionLines(
    [beginAt(of.law, of.fromMPerS), ...of.before, ...of.kept.before],
    [
      ...of.ends,
      ...limitLines(of.onTimeout),
      ...of.slows,
      speedUp(program, of.law),
      ...of.kept.each,
      runSteered(program),
    ],
    interrupts,
    program.loop,
  ),
});
