import { endpoint, json } from '../../server/endpoint';
import { findTeam } from '../../server/stores/teams';

/** Whether the application and its database answer, and which start of Corvat this is. */
export const GET = endpoint(async (db) => {
  await findTeam(db);
  return json({ ok: true, instance: process.env.CORVAT_INSTANCE ?? null });
});
