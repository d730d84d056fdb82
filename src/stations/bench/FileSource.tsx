import { useEffect, useRef, useState } from 'react';
import type { RawConvention } from '../../core/rawConvention';
import { counted } from '../../core/text/quantities';
import { MAX_LOG_SAMPLES } from '../../formats/benchConstants';
import {
  COLUMN_NAMES,
  estimatedLines,
  guessColumns,
  previewCsv,
  UNITS,
  type ColumnMap,
} from '../../formats/logCsv';
import { READING_NUMBERS, type ReadingNumber } from '../../formats/readings';
import type { ReadLog } from '../../workers/bench.worker';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Progress } from '../../ui/Progress';
import { Select } from '../../ui/Select';
import { sentenceOf } from '../api';
import { readLogFile, type WorkerJob } from './benchWorker';
import styles from './Bench.module.css';

interface Props {
  /** How the robot's readings are to be taken. */
  raw: RawConvention;
  /** With the file's name, and when it was written. */
  onLog(read: ReadLog, name: string, modifiedAt: Date): void;
}

interface Opened {
  file: File;
  /** Null for JSON Lines, which say themselves what is what. */
  csv: { header: string[]; rows: string[][] } | null;
}

const MOST_BYTES = 60_000_000;
/** The beginning of a file tells what kind it is. */
const HEAD_BYTES = 65_536;
const memoryKey = (header: readonly string[]) => `corvat-columns:${header.join('|').slice(0, 200)}`;

function rememberedColumns(header: readonly string[]): ColumnMap {
  try {
    const kept = localStorage.getItem(memoryKey(header));
    if (kept !== null) return JSON.parse(kept) as ColumnMap;
  } catch {
    // What cannot be remembered is guessed.
  }
  return guessColumns(header);
}

function ColumnChoice({
  name,
  header,
  map,
  onChange,
}: {
  name: ReadingNumber;
  header: readonly string[];
  map: ColumnMap;
  onChange(map: ColumnMap): void;
}) {
  const use = map[name];
  const choose = (value: string) => {
    const { [name]: _gone, ...rest } = map;
    const factor = use?.factor ?? UNITS[name][0]?.factor ?? 1;
    onChange(value === '' ? rest : { ...rest, [name]: { column: Number(value), factor } });
  };
  return (
    <span className={styles.columnChoice}>
      <Select
        label={COLUMN_NAMES[name]}
        value={use === undefined ? '' : String(use.column)}
        options={[
          { value: '', label: 'not in it' },
          ...header.map((title, i) => ({ value: String(i), label: title || `column ${i + 1}` })),
        ]}
        onChange={choose}
      />
      {use !== undefined && (
        <Select
          label={`in (${COLUMN_NAMES[name].toLowerCase()})`}
          value={String(use.factor)}
          options={UNITS[name].map(({ name: unit, factor }) => ({
            value: String(factor),
            label: unit,
          }))}
          onChange={(factor) => onChange({ ...map, [name]: { ...use, factor: Number(factor) } })}
        />
      )}
    </span>
  );
}

/** A log from a file: JSON Lines as they are, CSV by its columns, which are remembered. */
export function FileSource({ raw, onLog }: Props) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [map, setMap] = useState<ColumnMap>({});
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [bad, setBad] = useState<ReadLog | null>(null);
  const job = useRef<WorkerJob<ReadLog> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);

  const read = async (chosen: Opened, columns: ColumnMap | null) => {
    setProblem(null);
    setShare(0);
    setBad(null);
    job.current = readLogFile(chosen.file, columns, raw, setShare);
    try {
      const result = await job.current.result;
      if (chosen.csv !== null) {
        localStorage.setItem(memoryKey(chosen.csv.header), JSON.stringify(columns));
      }
      setBad(result.badCount > 0 ? result : null);
      onLog(result, chosen.file.name, new Date(chosen.file.lastModified));
    } catch (error) {
      setProblem(`${chosen.file.name}: ${sentenceOf(error)}`);
    } finally {
      setShare(null);
    }
  };
  const open = async (file: File | undefined) => {
    if (file === undefined) return;
    setOpened(null);
    setBad(null);
    setProblem(null);
    if (file.size > MOST_BYTES) {
      setProblem(`${file.name} is larger than 60 MB: log for a shorter time, or less often.`);
      return;
    }
    const text = await file.slice(0, HEAD_BYTES).text();
    if (text.trim() === '') {
      setProblem(`${file.name} is empty.`);
      return;
    }
    if (text.includes('\u0000')) {
      setProblem(`${file.name} is no text: expected CSV or JSON Lines.`);
      return;
    }
    const lines = estimatedLines(text, file.size);
    if (lines > 1.05 * MAX_LOG_SAMPLES) {
      setProblem(
        `${file.name} has about ${Number(lines.toPrecision(2))} lines; up to ${MAX_LOG_SAMPLES} readings fit. Log less often, or for a shorter time.`,
      );
      return;
    }
    const isJson = text.trimStart().startsWith('{');
    const next: Opened = { file, csv: isJson ? null : previewCsv(text) };
    setOpened(next);
    if (next.csv === null) await read(next, null);
    else setMap(rememberedColumns(next.csv.header));
  };
  const cancel = () => {
    job.current?.cancel();
    setShare(null);
  };
  const ready =
    map.t_s !== undefined && (map.heading_deg !== undefined || map.rate_deg_per_s !== undefined);
  return (
    <div className={styles.file}>
      <label className={styles.fileField}>
        <span>Log file (JSON Lines or CSV)</span>
        <input
          type="file"
          accept=".jsonl,.ndjson,.json,.csv,.txt,text/plain"
          onChange={(event) => {
            const input = event.currentTarget;
            // The same file can be chosen again.
            void open(input.files?.[0]).finally(() => (input.value = ''));
          }}
        />
      </label>
      {opened?.csv != null && (
        <fieldset className={styles.columns}>
          <legend>Columns of {opened.file.name}</legend>
          {READING_NUMBERS.map((name) => (
            <ColumnChoice
              key={name}
              name={name}
              header={opened.csv?.header ?? []}
              map={map}
              onChange={setMap}
            />
          ))}
          <Button
            look="strong"
            disabled={!ready || share !== null}
            onClick={() => void read(opened, map)}
          >
            Read this file
          </Button>
          {!ready && <small>A time and a heading (or a turning rate) are needed.</small>}
        </fieldset>
      )}
      {share !== null && (
        <Progress
          label="Reading, percent"
          done={Math.round(share * 100)}
          total={100}
          onCancel={cancel}
        />
      )}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {bad !== null && (
        <Notice tone="careful">
          <p>
            {counted(bad.badCount, 'line')} could not be read and{' '}
            {bad.badCount === 1 ? 'is' : 'are'} left out:
          </p>
          <ul className={styles.badLines}>
            {bad.bad.slice(0, 5).map(({ line, why }) => (
              <li key={line}>
                line {line}: {why}
              </li>
            ))}
          </ul>
        </Notice>
      )}
    </div>
  );
}
