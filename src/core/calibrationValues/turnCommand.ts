export type TurnDirection = 'left' | 'right';

export const sideOf = (angleRad: number): TurnDirection => (angleRad < 0 ? 'right' : 'left');

/** Command (magnitude) for a wanted angle: |turned| = constant + (1 + scale) · |told|, turned round. */
export const turnCommandFor = (
  { constantRad, scaleError }: { constantRad: number; scaleError: number },
  wantedRad: number,
): number => (wantedRad - constantRad) / (1 + scaleError);
