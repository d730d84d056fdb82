/** How programs say how fast the motors turn. */
export const COMMANDS = [
  'percent',
  'power of -1 to 1',
  'degrees per second',
  'rotations per second',
  'mm per second',
] as const;
/** How programs say how far the robot drives. */
export const TRAVELS = ['motor degrees', 'rotations', 'mm', 'cm', 'inches'] as const;
/** What a steering of −100 to 100 does to the wheels. */
export const STEERINGS = ['one wheel slows', 'one faster, one slower'] as const;

export type Command = (typeof COMMANDS)[number];
export type Travel = (typeof TRAVELS)[number];
export type Steering = (typeof STEERINGS)[number];
