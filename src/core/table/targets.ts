import type { Mission } from './table';

/** Something that is scored at a mark: a mission, or a part of one, with its own place, window and points. */
export interface Target extends Mission {
  /** By which it is told from all others. */
  key: string;
  part: string | null;
  mission: Mission;
}

/** All that a mission is scored by: itself, or each of its parts. */
export const targetsOf = (mission: Mission): Target[] =>
  mission.parts.length === 0
    ? [{ ...mission, key: mission.id, part: null, mission }]
    : mission.parts.map(({ name, points, pieces, pose, window }) => ({
        ...mission,
        key: `${mission.id}: ${name}`,
        part: name,
        mission,
        name: `${mission.name}, ${name}`,
        points: points * pieces,
        pose: pose ?? mission.pose,
        window: window ?? mission.window,
      }));

/** A mark works a mission, or one part of it; without one, all of them. */
export interface Marked {
  missionId: string;
  part: string | null;
}

export const isMarkOf = ({ missionId, part }: Marked, target: Target): boolean =>
  missionId === target.id && (part === null || part === target.part);

/** What a mission is worth if all of it is worked. */
export const worthOf = (mission: Mission): number =>
  mission.parts.reduce((sum, { points, pieces }) => sum + points * pieces, mission.points);
