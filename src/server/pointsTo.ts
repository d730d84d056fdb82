import type { ModelStatic, Transaction } from 'sequelize';
import type { Row } from './models';
import { pointsNowhere } from './problem';

/** A row that a record names as the one it belongs to; null where it names none. */
export type PointsTo = readonly [model: ModelStatic<Row>, id: string | null];

/** Refuse what belongs to nothing of this team: the database alone knows no teams. */
export async function needParents(
  pointsTo: readonly PointsTo[],
  transaction: Transaction,
): Promise<void> {
  for (const [model, id] of pointsTo) {
    if (id === null) continue;
    const isThere = await model.count({ where: { id }, transaction });
    if (isThere === 0) throw pointsNowhere();
  }
}
