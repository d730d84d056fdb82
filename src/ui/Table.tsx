import {
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';
import { useMemo, type ReactNode } from 'react';
import { classes } from './classes';
import styles from './Table.module.css';

/** A column: its title, and what it shows of a row. */
export interface Column<Row> {
  title: string;
  /** Said to a screen reader alone: what stands below needs no title. */
  hidden?: boolean;
  cell(row: Row, index: number): ReactNode;
  /** What the rows can be put in order by; a row without a value stands last. */
  sortBy?(row: Row): number | string | null;
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

/** A place in the list as it was given: a row may be the same as another. */
interface Placed<Row> {
  row: Row;
  index: number;
}

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });

const order = (a: number | string, b: number | string): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b));

function definitions<Row>(
  columns: readonly Column<Row>[],
): ColumnDef<typeof features, Placed<Row>>[] {
  return columns.map(({ title, sortBy }) => ({
    id: title,
    header: title,
    accessorFn: ({ row }: Placed<Row>) => sortBy?.(row) ?? undefined,
    enableSorting: sortBy !== undefined,
    sortUndefined: 'last' as const,
    sortDescFirst: false,
    sortFn: (a, b, id) => order(a.getValue<number | string>(id), b.getValue<number | string>(id)),
  }));
}

const ARIA_SORT = { asc: 'ascending', desc: 'descending' } as const;

/**
 * A table of rows that are alike, put in order by what a column's title says where it can be; on a narrow screen it
 * is moved sideways by itself.
 */
export function Table<Row>({ label, columns, rows, keyOf, isAside }: Props<Row>) {
  const data = useMemo(() => rows.map((row, index) => ({ row, index })), [rows]);
  const defined = useMemo(() => definitions(columns), [columns]);
  const table = useTable({ features, columns: defined, data, enableSortingRemoval: true });
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label={label}>
        <thead>
          <tr>
            {columns.map(({ title, hidden = false, number = false }) => {
              const column = table.getColumn(title);
              const sorted = column?.getIsSorted() || null;
              return (
                <th
                  key={title}
                  scope="col"
                  className={classes(number && styles.number)}
                  aria-sort={sorted === null ? undefined : ARIA_SORT[sorted]}
                >
                  {hidden ? (
                    <span className="visually-hidden">{title}</span>
                  ) : column?.getCanSort() ? (
                    <button
                      type="button"
                      className={styles.sort}
                      onClick={column.getToggleSortingHandler()}
                    >
                      {title}
                    </button>
                  ) : (
                    title
                  )}
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ original: { row, index } }) => (
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
