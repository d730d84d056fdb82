import { straightModel, type StraightModel, type StraightTrial } from './straightModel';

/** By what a straight drive is kept straight, and how that is said. */
export const KEPT_BY = {
  heading: 'the heading sensor',
  encoders: 'both encoders',
  nothing: 'nothing',
} as const;

export type KeptBy = keyof typeof KEPT_BY;
export type DriveDirection = 'forward' | 'backward';

/** A drive, and by what it was kept straight. */
export interface KeptDrive extends StraightTrial {
  keptBy: KeptBy;
}

/** Drives that have one model: forward and backward, and each way of keeping straight, go elsewhere. */
export interface StraightGroup {
  /** "forward, by the heading sensor" */
  name: string;
  direction: DriveDirection;
  trials: KeptDrive[];
  /** Null with fewer than two drives. */
  model: StraightModel | null;
}

export const directionOf = ({ commandedM }: StraightTrial): DriveDirection =>
  commandedM < 0 ? 'backward' : 'forward';

const nameOf = (drive: KeptDrive): string => `${directionOf(drive)}, by ${KEPT_BY[drive.keptBy]}`;

/**
 * Drives by direction and by what they were kept straight, in the order in which each was first tried.
 *
 * @param readToM in which step the tape was read, as somebody said; null: as the readings show it
 */
export function straightGroups(
  trials: readonly KeptDrive[],
  readToM: number | null = null,
): StraightGroup[] {
  const names = [...new Set(trials.map(nameOf))];
  return names.flatMap((name) => {
    const own = trials.filter((drive) => nameOf(drive) === name);
    const [first] = own;
    return first === undefined
      ? []
      : [{ name, direction: directionOf(first), trials: own, model: straightModel(own, readToM) }];
  });
}
