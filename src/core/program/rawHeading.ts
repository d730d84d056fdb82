import type { Robot } from '../robot/robot';
import { ANGLE_UNITS } from './gain';
import type { RawReading } from './rawReading';

/** With so many digits behind the point programs are told a heading. */
const DECIMALS = { degrees: 1, radians: 3 } as const;

/**
 * A heading, or a turn, as the robot's own sensor shows it: in its unit, with its sign, by its scale.
 *
 * @param rad of the heading on the table since its sensor read zero, counted on past a turn; left positive
 */
export function rawHeading({ program, signs }: Robot, rad: number): RawReading {
  const { unit, sizeRad } = ANGLE_UNITS[program.angles];
  return {
    value: (signs.heading * program.headingScale * rad) / sizeRad,
    decimals: DECIMALS[program.angles],
    unit,
    isTurned: signs.heading === -1,
  };
}
