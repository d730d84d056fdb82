let zone = 'UTC';

/** The team's time zone. It surrounds all that is said, as a language does: a process serves one team. */
export const teamZone = (): string => zone;

export function setTeamZone(name: string): void {
  zone = name;
}
