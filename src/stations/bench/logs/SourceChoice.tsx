import { Choice } from '../../../ui/fields/Choice';
import { Notice } from '../../../ui/Notice';
import { hasSerial } from './serial';
import type { LiveSource } from './sources';

export type Source = LiveSource | 'file';

export const LIVE_OPTIONS: readonly { value: LiveSource; label: string }[] = [
  { value: 'stand-in', label: 'stand-in' },
  { value: 'serial', label: 'robot on USB' },
];

export const SOURCE_OPTIONS: readonly { value: Source; label: string }[] = [
  { value: 'stand-in', label: 'stand-in' },
  { value: 'file', label: 'a file' },
  { value: 'serial', label: 'robot on USB' },
];

/** Where readings come from: the stand-in, a file, or a robot on USB. */
export function SourceChoice({
  value,
  onChange,
}: {
  value: Source;
  onChange(value: Source): void;
}) {
  return (
    <>
      <Choice label="Read from" value={value} options={SOURCE_OPTIONS} onChange={onChange} />
      {value === 'serial' && !hasSerial() && (
        <Notice tone="careful">
          This browser cannot read a robot on USB. Use one that can (over localhost or HTTPS), or
          let the robot write a file and choose “a file”.
        </Notice>
      )}
    </>
  );
}
