import { useState } from 'react';
import { ulid } from 'ulid';
import { compareRoutes } from '../../core/course/compare';
import type { Route } from '../../core/course/route';
import type { Mission } from '../../core/table/table';
import type { RouteVersionRecord, SavedRouteVersion } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Notice } from '../../ui/Notice';
import { TextField } from '../../ui/fields/TextField';
import { putRecord, sentenceOf } from '../api';
import { DifferenceList } from './DifferenceList';

interface Props {
  routeId: string;
  route: Route;
  base: SavedRouteVersion | null;
  missions: readonly Mission[];
  onSaved(version: SavedRouteVersion): void;
  onClose(): void;
}

/** Keep the draft for good, with a note on what it is about. */
export function SaveVersionDialog({ routeId, route, base, missions, onSaved, onClose }: Props) {
  // The id is made once, so that pressing again after a lost connection saves the same version.
  const [id] = useState(() => ulid());
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const save = async () => {
    setSaving(true);
    setProblem(null);
    const record: RouteVersionRecord = { id, routeId, note: note.trim(), route };
    try {
      onSaved(await putRecord<SavedRouteVersion>('route-versions', record));
    } catch (error) {
      setProblem(sentenceOf(error));
      setSaving(false);
    }
  };
  return (
    <Dialog
      title={`Save as version ${(base?.number ?? 0) + 1}`}
      onClose={onClose}
      actions={
        <Button look="strong" disabled={saving} onClick={() => void save()}>
          Save version
        </Button>
      }
    >
      <p>A version is never changed again: runs point to the exact one that they were made with.</p>
      <TextField
        label="What is new in it?"
        value={note}
        maxLength={500}
        onChange={setNote}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || saving) return;
          event.preventDefault();
          void save();
        }}
      />
      {base !== null && <DifferenceList differences={compareRoutes(base.route, route, missions)} />}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </Dialog>
  );
}
