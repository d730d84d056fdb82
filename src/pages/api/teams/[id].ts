import { teamRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/problem';
import { saveTeam } from '../../../server/stores/teams';

export const PUT = putEndpoint(teamRecord, (db, record) => {
  // A team is changed by those who work for it.
  if (record.id !== db.teamId) throw notFound('team');
  return saveTeam(db, record);
});
