import type { Database } from '../database';
import { demoId } from './ids';

/** The record that is loaded last: with it the demo data are whole. */
export const LAST_LOADED = demoId('X', 1);

/** Whether the demo data are there to the last record, or a team's own data stand in their place. */
export async function isDemoLoaded(db: Database): Promise<boolean> {
  const teams = await db.models.team.findAll({ attributes: ['id'] });
  if (teams.some((team) => team.get('id') !== demoId('T', 1))) return true;
  return (await db.models.robotChange.findByPk(LAST_LOADED)) !== null;
}
