import { useEffect, useRef, useState } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { MAX_LOG_SAMPLES } from '../../../formats/benchConstants';
import { estimatedLines, guessColumns, type ColumnMap } from '../../../formats/csv/logColumns';
import type { ReadLog } from '../../../workers/bench.worker';
import { Button } from '../../../ui/Button';
import { keep, readKeptAs } from '../../../ui/browser/browserStore';
import { FileField } from '../../../ui/fields/FileField';
import { Notice } from '../../../ui/Notice';
import { Progress } from '../../../ui/Progress';
import { sentenceOf } from '../../api';
import type { WorkerJob } from '../../inWorker';
import { readLogFile } from '../benchWorker';
import styles from '../Bench.module.css';
import columnStyles from './Columns.module.css';
import { ColumnTable, whyNotYet } from './ColumnTable';
import { ReadReport } from './ReadReport';

interface Props {
  label?: string;
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
const memoryKey = (header: readonly string[]) =>
  `corvat-log-columns:${header.join('|').slice(0, 200)}`;

const rememberedColumns = (header: readonly string[]): ColumnMap =>
  readKeptAs(memoryKey(header), (kept) => kept as ColumnMap) ?? guessColumns(header);

/** A log from a file: JSON Lines as they are, CSV by its columns, which are remembered. */
export function FileSource({ label = 'Log file (JSON Lines or CSV)', raw, onLog }: Props) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [map, setMap] = useState<ColumnMap>({ time: null, columns: [] });
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [taken, setTaken] = useState<ReadLog | null>(null);
  const job = useRef<WorkerJob<ReadLog> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);

  const read = async (chosen: Opened, columns: ColumnMap | null) => {
    setProblem(null);
    setShare(0);
    setTaken(null);
    job.current = readLogFile(chosen.file, columns, raw, setShare);
    try {
      const result = await job.current.result;
      if (chosen.csv !== null) keep(memoryKey(chosen.csv.header), JSON.stringify(columns));
      setTaken(result);
      onLog(result, chosen.file.name, new Date(chosen.file.lastModified));
    } catch (error) {
      setProblem(`${chosen.file.name}: ${sentenceOf(error)}`);
    } finally {
      setShare(null);
    }
  };
  const open = async (file: File) => {
    setOpened(null);
    setTaken(null);
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
    const { previewCsv } = await import('../../../formats/csv/logCsv');
    const next: Opened = { file, csv: isJson ? null : previewCsv(text) };
    setOpened(next);
    if (next.csv === null) await read(next, null);
    else setMap(rememberedColumns(next.csv.header));
  };
  const cancel = () => {
    job.current?.cancel();
    setShare(null);
  };
  const notYet = whyNotYet(map);
  return (
    <div className={styles.file}>
      <FileField
        label={label}
        accept=".jsonl,.ndjson,.json,.csv,.txt,text/plain"
        onFile={(file) => void open(file)}
      />
      {opened?.csv != null && (
        <fieldset className={columnStyles.columns}>
          <legend>Columns of {opened.file.name}</legend>
          <ColumnTable
            header={opened.csv.header}
            rows={opened.csv.rows}
            map={map}
            onChange={setMap}
          />
          <Button
            look="strong"
            disabled={notYet !== null || share !== null}
            onClick={() => void read(opened, map)}
          >
            Read this file
          </Button>
          {notYet !== null && <small>{notYet}</small>}
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
      {taken !== null && <ReadReport read={taken} />}
    </div>
  );
}
