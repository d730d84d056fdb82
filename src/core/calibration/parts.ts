/** A part of a robot; what was measured with it no longer holds when it is changed. */
export const ROBOT_PARTS = [
  'wheels and track',
  'motors',
  'heading sensor',
  'heading sensor in use',
  'distance sensor',
  'light sensor',
  'battery',
  'wiring',
  'other',
] as const;

/** Another unit in use changes nothing about what belongs to a unit. */
export const PARTS_IN_USE: readonly RobotPart[] = ['heading sensor in use'];

export type RobotPart = (typeof ROBOT_PARTS)[number];
