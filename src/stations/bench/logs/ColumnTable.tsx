import { channelKey, channelLabel, channelOf } from '../../../core/channels/key';
import { CHANNEL_KINDS } from '../../../core/channels/kinds';
import { nameIn, type ColumnMeaning } from '../../../core/channels/title';
import { doubledKey, TIME_UNITS, type ColumnMap } from '../../../formats/csv/logColumns';
import styles from '../Bench.module.css';
import columns from './Columns.module.css';

interface Props {
  header: readonly string[];
  rows: readonly string[][];
  map: ColumnMap;
  onChange(map: ColumnMap): void;
}

interface ColumnProps extends Props {
  column: number;
}

const TIME = 'time';
const LEFT_OUT = '';

const without = (map: ColumnMap, column: number): ColumnMap => ({
  time: map.time?.column === column ? null : map.time,
  columns: map.columns.map((meaning, i) => (i === column ? null : meaning)),
});

/** The map with one column given another meaning; a column that was the time until now is left out. */
function withMeaning({ header, map, column }: ColumnProps, choice: string): ColumnMap {
  const rest = without(map, column);
  if (choice === TIME) return { ...rest, time: { column, factor: 1 } };
  const kind = CHANNEL_KINDS.find(({ key }) => key === choice);
  if (kind === undefined) return rest;
  const meaning: ColumnMeaning = {
    key: channelKey(kind, nameIn(header[column] ?? '', kind)),
    factor: kind.units[0].factor,
  };
  return { ...rest, columns: rest.columns.map((one, i) => (i === column ? meaning : one)) };
}

const withFactor = ({ map, column }: ColumnProps, factor: number): ColumnMap =>
  map.time?.column === column
    ? { ...map, time: { column, factor } }
    : {
        ...map,
        columns: map.columns.map((one, i) =>
          i === column && one !== null ? { ...one, factor } : one,
        ),
      };

function Column(props: ColumnProps) {
  const { header, rows, map, column, onChange } = props;
  const title = header[column] || `column ${column + 1}`;
  const isTime = map.time?.column === column;
  const meaning = map.columns[column] ?? null;
  const kind = meaning === null ? null : (channelOf(meaning.key)?.kind ?? null);
  const units = isTime ? TIME_UNITS : (kind?.units ?? []);
  const factor = isTime ? map.time?.factor : meaning?.factor;
  return (
    <tr>
      <td className={columns.columnTitle}>{title}</td>
      <td className={columns.sample}>
        {rows
          .slice(0, 3)
          .map((row) => row[column]?.trim() || '–')
          .join('   ')}
      </td>
      <td>
        <select
          aria-label={`What ${title} holds`}
          value={isTime ? TIME : (kind?.key ?? LEFT_OUT)}
          onChange={({ target }) => onChange(withMeaning(props, target.value))}
        >
          <option value={LEFT_OUT}>leave it out</option>
          <option value={TIME}>Time</option>
          {CHANNEL_KINDS.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </select>
      </td>
      <td>
        {units.length > 1 ? (
          <select
            aria-label={`Unit of ${title}`}
            value={String(factor)}
            onChange={({ target }) => onChange(withFactor(props, Number(target.value)))}
          >
            {units.map((unit) => (
              <option key={unit.name} value={String(unit.factor)}>
                {unit.name}
              </option>
            ))}
          </select>
        ) : (
          units[0]?.name
        )}
      </td>
    </tr>
  );
}

/** Why a file cannot be read by these columns, or null. */
export function whyNotYet(map: ColumnMap): string | null {
  if (map.time === null) return 'Say which column is the time.';
  if (map.columns.every((meaning) => meaning === null)) {
    return 'Say what at least one column holds besides the time.';
  }
  const doubled = doubledKey(map);
  return doubled === null
    ? null
    : `Two columns are given as “${channelLabel(doubled)}”: leave one out, or call it another number.`;
}

/** What each column of a CSV file holds, and in which unit. */
export function ColumnTable(props: Props) {
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label="Columns of the file">
        <thead>
          <tr>
            <th>Column</th>
            <th>Begins with</th>
            <th>Holds</th>
            <th>In</th>
          </tr>
        </thead>
        <tbody>
          {props.header.map((_, column) => (
            <Column key={column} {...props} column={column} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
