/** What a coach may set: how small a share of the tolerance is steady, what a healthy sensor shows. */
export interface StillSettings {
  steadyShare: number;
  healthyRadPerS: number;
}

export const STILL_SETTINGS: StillSettings = {
  steadyShare: 0.1,
  healthyRadPerS: (0.1 * Math.PI) / 180,
};
