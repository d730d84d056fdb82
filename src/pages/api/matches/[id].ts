import { matchRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveMatch } from '../../../server/stores/matches';

export const PUT = putEndpoint(matchRecord, saveMatch);
