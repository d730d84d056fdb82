import { useState } from 'react';
import type { Port } from '../../core/devices/port';
import { PORT_CLASSES, type PortClass } from '../../core/devices/portClasses';
import { Select } from '../../ui/fields/Select';
import { TextField } from '../../ui/fields/TextField';
import styles from './RobotStation.module.css';

const MOST = 20;
const LONGEST = 40;

const TAKES = [
  { value: '', label: 'any unit' },
  ...PORT_CLASSES.map((value) => ({ value, label: value })),
];

/** The controller's ports: their names typed with commas, and what fits into each. */
export function PortsField({
  ports,
  onChange,
}: {
  ports: readonly Port[];
  onChange(ports: Port[]): void;
}) {
  const [text, setText] = useState(ports.map(({ name }) => name).join(', '));
  const rename = (next: string) => {
    setText(next);
    const names = next
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== '');
    if (names.length > MOST || names.some((name) => name.length > LONGEST)) return;
    onChange(names.map((name) => ports.find((port) => port.name === name) ?? { name, takes: [] }));
  };
  const take = (at: number, value: string) =>
    onChange(
      ports.map((port, i) =>
        i === at ? { ...port, takes: value === '' ? [] : [value as PortClass] } : port,
      ),
    );
  return (
    <>
      <div className={styles.wide}>
        <TextField label="Ports of the controller, with commas" value={text} onChange={rename} />
      </div>
      {ports.map(({ name, takes }, at) => (
        <Select
          key={name}
          label={`${name} takes`}
          value={takes[0] ?? ''}
          options={TAKES}
          onChange={(value) => take(at, value)}
        />
      ))}
    </>
  );
}
