/** A part of a robot; what was measured with it no longer holds when it is changed. */
export const ROBOT_PARTS = [
  'wheels and track',
  'motors',
  'heading sensor',
  'distance sensor',
  'light sensor',
  'battery',
  'wiring',
  'other',
] as const;

export type RobotPart = (typeof ROBOT_PARTS)[number];
