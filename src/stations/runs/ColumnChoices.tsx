import type { Mission } from '../../core/table/table';
import { FIELDS, type RunColumns, type Field } from '../../formats/csv/runsCsv';
import { Select } from '../../ui/fields/Select';
import styles from './Import.module.css';

interface Props {
  header: readonly string[];
  missions: readonly Mission[];
  map: RunColumns;
  onChange(map: RunColumns): void;
}

const NOT_READ = 'none';

/** For each column of the file, what it is read as. */
export function ColumnChoices({ header, missions, map, onChange }: Props) {
  const options = [
    { value: NOT_READ, label: '(not read)' },
    ...Object.entries(FIELDS).map(([value, label]) => ({ value, label })),
    ...missions.map(({ id, name }) => ({ value: `mission:${id}`, label: `Mission ${name}` })),
  ];
  const meaningOf = (column: number) =>
    Object.entries(map).find(([, index]) => index === column)?.[0] ?? NOT_READ;
  const choose = (column: number, meaning: string) => {
    // A meaning belongs to one column, and a column has one meaning.
    const others = Object.entries(map).filter(
      ([field, index]) => field !== meaning && index !== column,
    );
    const next: RunColumns = Object.fromEntries(others);
    if (meaning !== NOT_READ) next[meaning as Field] = column;
    onChange(next);
  };
  return (
    <fieldset className={styles.columns}>
      <legend>Columns</legend>
      {header.map((name, column) => (
        <Select
          key={column}
          label={name === '' ? `column ${column + 1}` : name}
          value={meaningOf(column)}
          options={options}
          onChange={(meaning) => choose(column, meaning)}
        />
      ))}
    </fieldset>
  );
}
