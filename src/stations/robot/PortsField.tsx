import { useState } from 'react';
import { buildSchema } from '../../core/robot';
import { TextField } from '../../ui/TextField';

/** The controller's ports, typed with commas; what cannot be read yet changes nothing. */
export function PortsField({
  ports,
  onChange,
}: {
  ports: readonly string[];
  onChange(ports: string[]): void;
}) {
  const [text, setText] = useState(ports.join(', '));
  return (
    <TextField
      label="Ports of the controller, with commas"
      value={text}
      onChange={(next) => {
        setText(next);
        const typed = next
          .split(',')
          .map((port) => port.trim())
          .filter((port) => port !== '');
        if (buildSchema.shape.ports.safeParse(typed).success) onChange(typed);
      }}
    />
  );
}
