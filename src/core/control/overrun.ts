/** How far a robot goes on after its sensor passed a threshold: a dead time, then uniform braking (or none that shows). */
export const overrunM = (
  { lagS, brakingMPerS2 }: { lagS: number; brakingMPerS2: number | null },
  speedMPerS: number,
): number =>
  speedMPerS * lagS + (brakingMPerS2 === null ? 0 : speedMPerS ** 2 / (2 * brakingMPerS2));
