import { dayOf, instantOf } from '../../ui/dates';
import { useState } from 'react';
import { ulid } from 'ulid';
import { ROBOT_PARTS, type RobotPart } from '../../core/calibration/parts';
import type { RobotChangeRecord } from '../../formats/benchRecords';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/fields/Select';
import { TextField } from '../../ui/fields/TextField';
import { putRecord, sentenceOf } from '../api';
import styles from './RobotStation.module.css';

interface Props {
  robotId: string;
  changes: RobotChangeRecord[];
}

const SHOWN = 6;

/** Dated changes of a robot: what was measured before them may no longer hold. */
export function ChangeList({ robotId, changes: loaded }: Props) {
  const [changes, setChanges] = useState(loaded);
  const [adding, setAdding] = useState(false);
  const [part, setPart] = useState<RobotPart>('wheels and track');
  const [note, setNote] = useState('');
  const [day, setDay] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const open = () => {
    setDay(dayOf(new Date()));
    setNote('');
    setProblem(null);
    setAdding(true);
  };
  const save = async () => {
    const changedAt =
      day === dayOf(new Date())
        ? new Date().toISOString()
        : (instantOf(`${day}T12:00`) ?? new Date().toISOString());
    try {
      const record: RobotChangeRecord = {
        id: ulid(),
        robotId,
        part,
        note: note.trim(),
        who: null,
        changedAt,
      };
      const saved = await putRecord<RobotChangeRecord>('robot-changes', record);
      setChanges((old) =>
        [saved, ...old].toSorted((a, b) => b.changedAt.localeCompare(a.changedAt)),
      );
      setAdding(false);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <section aria-label="Changes">
      <h2>Changes</h2>
      {changes.length === 0 ? (
        <p className="faint">
          None noted. Wheels, motors or sensors changed? Note it: what was measured before is then
          marked.
        </p>
      ) : (
        <ul className={styles.changes}>
          {changes.slice(0, SHOWN).map((change) => (
            <li key={change.id}>
              {dayOf(change.changedAt)}: {change.part}
              {change.note !== '' && `, ${change.note}`}
            </li>
          ))}
        </ul>
      )}
      <Button onClick={open}>Note a change…</Button>
      {adding && (
        <Dialog
          title="What was changed?"
          onClose={() => setAdding(false)}
          actions={
            <Button look="strong" disabled={day === ''} onClick={() => void save()}>
              Note it
            </Button>
          }
        >
          <Select
            label="Part"
            value={part}
            options={ROBOT_PARTS.map((value) => ({ value, label: value }))}
            onChange={(value) => setPart(value as RobotPart)}
          />
          <TextField label="What exactly" value={note} maxLength={500} onChange={setNote} />
          <label className={styles.day}>
            <span>When</span>
            <input type="date" value={day} onChange={(event) => setDay(event.target.value)} />
          </label>
          {problem !== null && <Notice tone="fault">{problem}</Notice>}
        </Dialog>
      )}
    </section>
  );
}
