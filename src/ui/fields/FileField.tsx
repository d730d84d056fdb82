import { useState, type DragEvent } from 'react';
import styles from './FileField.module.css';

interface Props {
  label: string;
  /** Endings and kinds of files, as an input takes them. */
  accept: string;
  onFile(file: File): void;
}

/** Choose a file, or drop it there. The same one can be chosen again. */
export function FileField({ label, accept, onFile }: Props) {
  const [name, setName] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const take = (file: File | undefined) => {
    if (file === undefined) return;
    setName(file.name);
    onFile(file);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    take(event.dataTransfer.files[0]);
  };
  return (
    <label
      className={styles.field}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <span>{label}</span>
      <input
        type="file"
        className="visually-hidden"
        aria-label={label}
        accept={accept}
        onChange={({ currentTarget }) => {
          take(currentTarget.files?.[0]);
          currentTarget.value = '';
        }}
      />
      <span className={styles.place} data-over={over}>
        <b>Choose a file</b>
        <span>{name ?? 'or drop it here'}</span>
      </span>
    </label>
  );
}
