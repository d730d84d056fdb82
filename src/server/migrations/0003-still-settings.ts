import type { QueryInterface } from 'sequelize';

/** What counts as steady is kept with each still check; earlier ones had the usual settings. */
export async function up(queryInterface: QueryInterface): Promise<void> {
  await queryInterface.sequelize.query('ALTER TABLE still_check ADD COLUMN settings JSON NULL');
}
