/** How a share of full power drives; `speedTable` fits it. */
export interface PowerLaw {
  gainMPerSPerV: number;
  deadBand: number;
}

/** Timed so near to full power, the fastest that a robot can drive is known. */
const NEARLY_FULL = 0.9;
export const tellsTopSpeed = ({ highestCommand }: { highestCommand: number }): boolean =>
  highestCommand >= NEARLY_FULL;

/** Speed in m/s at a share of full power and a battery voltage; 0 within the dead band. */
export const speedOf = (
  { gainMPerSPerV, deadBand }: PowerLaw,
  command: number,
  batteryV: number,
): number => Math.max(0, gainMPerSPerV * batteryV * (command - deadBand));
