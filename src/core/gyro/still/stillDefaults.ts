/** What a coach may set: the share of the tolerance that drift may use up, what a healthy sensor shows. */
export interface StillSettings {
  driftShare: number;
  healthyRadPerS: number;
}

export const STILL_SETTINGS: StillSettings = {
  driftShare: 0.5,
  healthyRadPerS: (0.1 * Math.PI) / 180,
};
