import { teamSetUp } from '../../../formats/records';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { setUpTeam } from '../../../server/stores/teams';

/** Make a team with its first robot, course and route. */
export const POST = endpoint(async (db, { request }) =>
  json(await setUpTeam(db, await readBody(request, teamSetUp))),
);
