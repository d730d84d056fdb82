import { figure } from '../recipe/figure';
import type { Figure, Line, Recipe } from '../recipe/lines';
import { leaveIf, limitLines, motionLines, type OnTimeout } from '../recipe/loops';
import { speedFigure } from '../recipe/motors';
import { significant, significantDecimals } from '../recipe/significant';
import { limitOf, type Making } from './recipeOf';

/** What is followed, in lines. */
export interface Followed {
  name: string;
  speedMPerS: number;
  lengthM: number;
  onTimeout: OnTimeout;
  /** Its reading: an expression, and when it is there. */
  reading: string;
  isRead: string | null;
  target: Figure;
  /** Turning to the left, rad/s, for a reading that is one too large, as the program shows it. */
  gainRadPerSPerShown: number;
  parameters: Record<string, Figure>;
  before: Line[];
  /** What ends it besides. */
  ends: Line[];
  /** Where it goes straight on. */
  straightOn: string | null;
}

/** Turn by how far a reading is from its target; the inner wheel never runs backwards. */
export function followRecipe(of: Followed, making: Making): Recipe {
  const { program, interrupts } = making;
  const law = program.law(of.speedMPerS);
  const gain = (law.perMPerS * of.gainRadPerSPerShown * program.robot.trackM) / 2;
  const most = law.perMPerS * of.speedMPerS;
  const turning: Line[] = [
    `set TURN to GAIN * (${of.reading} - TARGET)`,
    `set TURN to largest of (-${significant(most)}, smallest of (${significant(most)}, TURN))`,
  ];
  return {
    name: of.name,
    parameters: {
      LENGTH: program.travel(of.lengthM),
      SPEED: speedFigure(law, of.speedMPerS),
      TARGET: of.target,
      GAIN: figure(gain, significantDecimals(gain), law.unit),
      ...of.parameters,
      LIMIT: limitOf(making),
    },
    lines: motionLines(
      [...program.countFromHere, 'set TURN to 0', ...of.before],
      [
        ...leaveIf(`${program.way} >= LENGTH`),
        ...of.ends,
        ...limitLines(of.onTimeout),
        ...(of.isRead === null ? turning : [`if ${of.isRead}:`, turning]),
        'set STEER to TURN',
        ...(of.straightOn === null ? [] : [`if ${of.straightOn}:`, ['set STEER to 0']]),
        program.run('(SPEED - STEER)', '(SPEED + STEER)'),
      ],
      interrupts,
      program.loop,
    ),
  };
}
