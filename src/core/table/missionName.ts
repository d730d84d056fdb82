import type { Mission } from './table';

/** The name of a mission, or a plain word for one that the table no longer has. */
export const missionName = (missions: readonly Mission[], id: string): string =>
  missions.find((mission) => mission.id === id)?.name ?? 'a mission that is gone';
