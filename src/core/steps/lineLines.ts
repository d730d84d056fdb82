import type { DeviceOf } from '../devices/device';
import type { Figure, Line } from '../recipe/lines';
import type { OwnProgram } from '../recipe/ownProgram';
import { lineShares } from '../sensing/lineShares';

interface Counted {
  parameters: Record<string, Figure>;
  before: Line[];
  each: Line[];
}

/**
 * Lines are counted: from ENTER on a reading is the line's, until it has passed LEAVE. What it stands on at first is no
 * line that it came to.
 */
export function countLines(
  program: OwnProgram,
  unit: DeviceOf<'light sensor'>,
  darker: boolean,
  on: 'entering' | 'leaving',
): Counted {
  const lineIs = darker ? 'darker' : 'lighter';
  const { enterShare, leaveShare } = lineShares(unit.behaviour, lineIs);
  const isLine = (value: string) =>
    program.compare(unit, 'light', darker ? 'below' : 'above', value);
  const counts = on === 'entering' ? 'WAS ON = 0 and ON = 1' : 'WAS ON = 1 and ON = 0';
  return {
    parameters: {
      ENTER: program.reading(unit, 'light', enterShare),
      LEAVE: program.reading(unit, 'light', leaveShare),
    },
    // On: 1; off: 0; not looked yet: 2.
    before: ['set ON to 2', 'set SEEN to 0'],
    each: [
      'set WAS ON to ON',
      'set LIMIT OF LINE to ENTER',
      'if WAS ON = 1:',
      ['set LIMIT OF LINE to LEAVE'],
      'set ON to 0',
      `if ${isLine('LIMIT OF LINE')}:`,
      ['set ON to 1'],
      `if ${counts}:`,
      ['set SEEN to SEEN + 1'],
    ],
  };
}
