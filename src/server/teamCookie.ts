import type { AstroCookies } from 'astro';

/** Which of the teams of this Corvat a browser works for; without it, the first. */
export const TEAM_COOKIE = 'corvat-team';

const YEAR_S = 31_536_000;

export const rememberTeam = (cookies: AstroCookies, teamId: string): void =>
  cookies.set(TEAM_COOKIE, teamId, { path: '/', httpOnly: true, sameSite: 'lax', maxAge: YEAR_S });
