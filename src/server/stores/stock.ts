import { stockUnitRecord, type StockUnitRecord } from '../../formats/records';
import { type Database, inTransaction } from '../database';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(stockUnitRecord);

const stockKept = (db: Database): Kept<StockUnitRecord> => ({
  what: 'unit',
  model: db.models.stockUnit,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
});

/** Put a unit into the stock, change it there, or throw it away. */
export const saveStockUnit = (db: Database, record: StockUnitRecord): Promise<StockUnitRecord> =>
  inTransaction(db, (transaction) => saveVersioned(stockKept(db), record, transaction));

/** The stock of a team, in the order in which it came in. */
export const listStock = async (db: Database, teamId: string): Promise<StockUnitRecord[]> =>
  (await db.models.stockUnit.findAll({ where: { teamId, archivedAt: null }, order: ['id'] })).map(
    toRecord,
  );
