import { teamSetUp } from '../../../formats/records';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { setUpTeam } from '../../../server/stores/teams';
import { rememberTeam } from '../../../server/teamCookie';

/** Make a team with its first robot, course and route. */
export const POST = endpoint(async (db, { request, cookies }) => {
  const team = await setUpTeam(db, await readBody(request, teamSetUp));
  rememberTeam(cookies, team.id);
  return json(team);
});
