import { figure } from './figure';
import type { Figure, Line } from './lines';
import type { CommandLaw } from './motors';
import type { OwnProgram } from './ownProgram';
import { significantDecimals } from './significant';

/** What keeps a drive straight, in lines. */
export interface SteeringLines {
  words: string;
  parameters: Record<string, Figure>;
  before: Line[];
  each: Line[];
}

/** How much faster the right wheel is to go than the left one, by how far the heading is off. */
export const steerByHeading = ({ leftSign, heading }: OwnProgram, wanted = 'HEADING'): string =>
  leftSign === 1 ? `GAIN * (${wanted} - ${heading})` : `GAIN * (${heading} - ${wanted})`;

/** A gain of steering as it is typed: what is told more to one wheel than to the other, for one unit of the heading. */
export function headingGain(
  { perRad }: OwnProgram,
  law: CommandLaw,
  gainMPerSPerRad: number,
): Figure {
  const value = (law.perMPerS * gainMPerSPerRad) / perRad;
  return figure(value, significantDecimals(value), law.unit);
}

/** The heading is held: as it was planned, or (null) as it is read at the start. */
export const heldByHeading = (
  program: OwnProgram,
  law: CommandLaw,
  gainMPerSPerRad: number,
  headingRad: number | null,
): SteeringLines => ({
  words: headingRad === null ? 'the heading held as it is' : 'the heading held',
  parameters: {
    ...(headingRad !== null && { HEADING: program.angle(headingRad) }),
    GAIN: headingGain(program, law, gainMPerSPerRad),
  },
  before: headingRad === null ? [`set HEADING to ${program.heading}`] : [],
  each: [`set STEER to ${steerByHeading(program)}`],
});

/** The line that drives at NOW with STEER between the wheels. */
export const runSteered = ({ run }: OwnProgram): Line =>
  run('(DIRECTION * NOW - STEER / 2)', '(DIRECTION * NOW + STEER / 2)');
