import { useState } from 'react';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { Notice } from '../ui/Notice';
import { TextField } from '../ui/fields/TextField';
import { ArchiveLine } from './ArchiveLine';
import { putRecord, sentenceOf } from './api';
import styles from './RecordMenu.module.css';

interface Record {
  id: string;
  version: number;
  archivedAt?: string | null;
}

interface Props {
  /** Of the interface: "series", "routes". */
  kind: string;
  /** In words: "series", "route". */
  what: string;
  record: Record;
  /** What it is called, and the field that says so; null: it is renamed elsewhere. */
  name: { field: string; value: string } | null;
  canArchive?: boolean;
}

function RenameDialog({
  what,
  name,
  onRename,
  onClose,
}: {
  what: string;
  name: string;
  onRename(name: string): void;
  onClose(): void;
}) {
  const [text, setText] = useState(name);
  const rename = () => text.trim() !== '' && onRename(text.trim());
  return (
    <Dialog
      title={`Rename this ${what}`}
      onClose={onClose}
      actions={
        <Button look="strong" disabled={text.trim() === ''} onClick={rename}>
          Rename
        </Button>
      }
    >
      <TextField
        label="Name"
        value={text}
        maxLength={80}
        onChange={setText}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          rename();
        }}
      />
    </Dialog>
  );
}

/** Another name for a record, or out of the way with it; nothing is deleted, and it can be taken back. */
export function RecordMenu({ kind, what, record, name, canArchive = true }: Props) {
  const [renaming, setRenaming] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (part: object) => {
    setProblem(null);
    try {
      await putRecord(kind, { ...record, ...part });
      location.reload();
    } catch (error) {
      setRenaming(false);
      setProblem(sentenceOf(error));
    }
  };
  return (
    <div className={styles.menu}>
      {name !== null && (
        <Button look="bare" onClick={() => setRenaming(true)}>
          Rename this {what}…
        </Button>
      )}
      {canArchive && (
        <ArchiveLine
          what={what}
          archivedAt={record.archivedAt ?? null}
          onArchive={(archivedAt) => void change({ archivedAt })}
        />
      )}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {renaming && name !== null && (
        <RenameDialog
          what={what}
          name={name.value}
          onRename={(value) => void change({ [name.field]: value })}
          onClose={() => setRenaming(false)}
        />
      )}
    </div>
  );
}
