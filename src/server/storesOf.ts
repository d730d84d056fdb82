import type { ModelStatic } from 'sequelize';
import type { Database, TeamDatabase } from './database';
import { OF_TEAM, type Models, type Row } from './models';

type Make<Rows> = (values: Rows, options?: object) => Promise<unknown>;
interface Makes {
  create: Make<object>;
  bulkCreate: Make<readonly object[]>;
}

/** The rows of a table that are a team's: no other is read or changed, and new ones become the team's. */
function ofTeam(model: ModelStatic<Row>, teamId: string): ModelStatic<Row> {
  const own = model.scope({ where: { teamId } });
  const makes = own as unknown as Makes;
  const { create, bulkCreate } = makes;
  makes.create = (values, options) => create.call(own, { ...values, teamId }, options);
  makes.bulkCreate = (rows, options) =>
    bulkCreate.call(
      own,
      rows.map((row) => ({ ...row, teamId })),
      options,
    );
  return own;
}

const opened = new WeakMap<Database['models'], Map<string, TeamDatabase>>();
/** Opening is cheap; so many teams are kept open. */
const MOST_OPEN = 100;

/**
 * The stores of one team: what they are asked and told is that team's alone. Tables that stand for themselves
 * (missions, pieces of logs, kept findings) are reached through what they belong to.
 */
export function storesOf(of: Database | TeamDatabase, teamId: string): TeamDatabase {
  const db = 'all' in of ? of.all : of;
  const known = opened.get(db.models) ?? new Map<string, TeamDatabase>();
  opened.set(db.models, known);
  const found = known.get(teamId);
  if (found !== undefined) return found;
  const models = { ...db.models };
  for (const name of OF_TEAM) models[name] = ofTeam(db.models[name], teamId);
  const stores: TeamDatabase = { ...db, models: models as Models, teamId, all: db };
  if (known.size >= MOST_OPEN) known.clear();
  known.set(teamId, stores);
  return stores;
}
