import { teamRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveTeam } from '../../../server/stores/teams';

export const PUT = putEndpoint(teamRecord, saveTeam);
