import { errorScale } from '../../core/text/lengths';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Mission } from '../../core/table/table';
import { counted } from '../../core/text/quantities';
import type { RunRecord, SavedRun } from '../../formats/records';
import { readCsvTable, UnreadableFile, type CsvTable } from '../../formats/csv/csvTable';
import { guessRunColumns, readRuns, type RunColumns, type CsvRun } from '../../formats/csv/runsCsv';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { FileField } from '../../ui/fields/FileField';
import { Notice } from '../../ui/Notice';
import { post, sentenceOf } from '../api';
import { ColumnChoices } from './ColumnChoices';
import { ImportPreview } from './ImportPreview';
import styles from './Import.module.css';

interface Props {
  seriesId: string;
  missions: readonly Mission[];
  onImported(runs: SavedRun[]): void;
  onClose(): void;
}

/** A file that was read: its table, and an id for each line, so that a repeated import is the same. */
interface Opened {
  name: string;
  table: CsvTable;
  ids: Map<number, string>;
  readAt: number;
}

const toRecord = (seriesId: string, opened: Opened, line: number, run: CsvRun): RunRecord => ({
  ...run,
  id: opened.ids.get(line) ?? ulid(),
  version: 0,
  seriesId,
  // A file without times: one after the other, at the moment of reading it.
  happenedAt: run.happenedAt ?? new Date(opened.readAt + line).toISOString(),
});

/** Runs from a CSV file: map the columns, see what will be read, take it over all at once. */
export function ImportDialog({ seriesId, missions, onImported, onClose }: Props) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [map, setMap] = useState<RunColumns>({});
  const [withoutBad, setWithoutBad] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const rows = useMemo(() => (opened === null ? [] : readRuns(opened.table, map)), [opened, map]);
  const good = rows.flatMap(({ line, run }) => (run === undefined ? [] : [{ line, run }]));
  const bad = rows.length - good.length;

  const open = async (file: File) => {
    setProblem(null);
    setOpened(null);
    try {
      const table = readCsvTable(new Uint8Array(await file.arrayBuffer()));
      const ids = new Map(table.rows.map(({ line }) => [line, ulid()]));
      setOpened({ name: file.name, table, ids, readAt: Date.now() });
      setMap(guessRunColumns(table.header, missions));
    } catch (error) {
      if (!(error instanceof UnreadableFile)) throw error;
      setProblem(`${file.name}: ${error.message}`);
    }
  };
  const save = async () => {
    if (opened === null) return;
    setSaving(true);
    setProblem(null);
    try {
      const runs = good.map(({ line, run }) => toRecord(seriesId, opened, line, run));
      const answer = await post<{ runs: SavedRun[] }>(`/api/series/${seriesId}/import`, { runs });
      onImported(answer.runs);
    } catch (error) {
      setProblem(`Nothing was imported. ${sentenceOf(error)}`);
      setSaving(false);
    }
  };
  return (
    <Dialog
      wide
      title="Import runs from a CSV file"
      onClose={onClose}
      actions={
        <Button
          look="strong"
          disabled={good.length === 0 || (bad > 0 && !withoutBad) || saving}
          onClick={() => void save()}
        >
          {saving
            ? 'Importing…'
            : good.length === 0
              ? 'Import'
              : `Import ${counted(good.length, 'run')}`}
        </Button>
      }
    >
      <p>
        One run a line, a heading line above. Ends are offsets in {errorScale().label} from where
        the route is planned to end, x along the long edge of the table, y away from the home edge.
      </p>
      <FileField
        label="CSV file"
        accept=".csv,.txt,text/csv,text/plain"
        onFile={(file) => void open(file)}
      />
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {opened !== null && (
        <>
          <ColumnChoices
            header={opened.table.header}
            missions={missions}
            map={map}
            onChange={setMap}
          />
          <ImportPreview rows={rows} missions={missions} />
          {bad > 0 && (
            <label className={styles.leaveOut}>
              <input
                type="checkbox"
                checked={withoutBad}
                onChange={(event) => setWithoutBad(event.target.checked)}
              />
              Leave out {counted(bad, 'row')} that cannot be read
            </label>
          )}
        </>
      )}
    </Dialog>
  );
}
