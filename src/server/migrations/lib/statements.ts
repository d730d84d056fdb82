import type { QueryInterface } from 'sequelize';

/**
 * A migration as a list of statements. Each can run again: MariaDB commits a change of a table by itself,
 * so that a Corvat that was killed half-way begins the whole list anew.
 */
export const running =
  (statements: readonly string[]) =>
  async ({ sequelize }: QueryInterface): Promise<void> => {
    for (const statement of statements) await sequelize.query(statement);
  };

/** A table in the engine and the character set of all of them. */
export const table = (name: string, columns: string): string =>
  `CREATE TABLE IF NOT EXISTS ${name} (${columns}) ENGINE=InnoDB CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`;
