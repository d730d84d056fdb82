import type { ReactNode } from 'react';
import { classes } from './classes';
import styles from './Table.module.css';

/** A column: its title, and what it shows of a row. */
export interface Column<Row> {
  title: string;
  /** Said to a screen reader alone: what stands below needs no title. */
  hidden?: boolean;
  cell(row: Row, index: number): ReactNode;
  /** Figures stand under each other, to the right. */
  number?: boolean;
  /** What the row is about. */
  head?: boolean;
}

interface Props<Row> {
  label?: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  keyOf(row: Row, index: number): string;
  /** Whether a row is set aside: shown, and counted no more. */
  isAside?(row: Row): boolean;
}

/** A table of rows that are alike; on a narrow screen it is moved sideways by itself. */
export function Table<Row>({ label, columns, rows, keyOf, isAside }: Props<Row>) {
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label={label}>
        <thead>
          <tr>
            {columns.map(({ title, hidden = false, number = false }) => (
              <th key={title} scope="col" className={classes(number && styles.number)}>
                {hidden ? <span className="visually-hidden">{title}</span> : title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={keyOf(row, index)} className={classes(isAside?.(row) && styles.aside)}>
              {columns.map(({ title, cell, number = false, head = false }) =>
                head ? (
                  <th key={title} scope="row">
                    {cell(row, index)}
                  </th>
                ) : (
                  <td key={title} className={classes(number && styles.number)}>
                    {cell(row, index)}
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
