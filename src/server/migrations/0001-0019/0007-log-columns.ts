import { QueryTypes, type QueryInterface } from 'sequelize';
import { packColumn } from '../../packedColumn';
import { running, table } from '../lib/statements';

/** A piece of a log as it was kept until now: all its columns in one text. */
interface OldPiece {
  log_id: string;
  number: number;
  data: string | { tS: number[]; columns: Record<string, number[]> };
}

/** So many of them are in memory at once. */
const AT_ONCE = 4;

async function carryOver({ sequelize }: QueryInterface): Promise<void> {
  for (let offset = 0; ; offset += AT_ONCE) {
    const pieces = await sequelize.query<OldPiece>(
      `SELECT log_id, number, data FROM bench_log_piece ORDER BY log_id, number LIMIT ${AT_ONCE} OFFSET ${offset}`,
      { type: QueryTypes.SELECT },
    );
    for (const { log_id, number, data } of pieces) {
      const piece =
        typeof data === 'string' ? (JSON.parse(data) as Exclude<typeof data, string>) : data;
      for (const [channel, values] of [
        ['t', piece.tS] as const,
        ...Object.entries(piece.columns),
      ]) {
        await sequelize.query(
          'REPLACE INTO bench_log_column (log_id, channel, number, data) VALUES (?, ?, ?, ?)',
          { replacements: [log_id, channel, number, packColumn(values)] },
        );
      }
    }
    if (pieces.length < AT_ONCE) return;
  }
}

/** Logs are kept channel by channel, so that one can be read without the rest. */
export async function up(queryInterface: QueryInterface): Promise<void> {
  await running([
    table(
      'bench_log_column',
      `log_id CHAR(26) NOT NULL,
      channel VARCHAR(64) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL,
      number INT NOT NULL,
      data MEDIUMBLOB NOT NULL,
      PRIMARY KEY (log_id, channel, number),
      FOREIGN KEY (log_id) REFERENCES bench_log (id)`,
    ),
    // Where an earlier try was cut off behind the last statement, the old table is there no more.
    table('bench_log_piece', 'log_id CHAR(26), number INT, data JSON'),
  ])(queryInterface);
  await carryOver(queryInterface);
  await running(['DROP TABLE bench_log_piece'])(queryInterface);
}
