import { useState } from 'react';
import { NumberField } from './NumberField';
import type { Unit } from './units';

interface Props {
  label: string;
  /** The program's own unit, and the digits that it is worth saying with. */
  unit: string;
  decimals: number;
  /** As the program has it; null: it cannot be told, and `lacks` says why. */
  value: number | null;
  /** 0 where it is left out. */
  min?: number;
  max: number;
  /** False: what it would be was never measured. */
  onTake(value: number): boolean;
  lacks?: string;
  inline?: boolean;
}

/** A value as a robot's program has it; what is typed counts there as well. */
export function ProgramField(props: Props) {
  const { label, unit, decimals, value, min = 0, max, onTake, lacks, inline = false } = props;
  const [refused, setRefused] = useState(false);
  const own: Unit = {
    label: unit,
    spoken: unit,
    show: (shown) => shown,
    read: (shown) => shown,
    decimals,
    limitsPerSi: 1,
    step: decimals === 0 ? 1 : 0.1,
  };
  return (
    <NumberField
      {...{ label, value, min, max, inline }}
      onChange={(typed) => setRefused(!onTake(typed))}
      onClear={() => setRefused(false)}
      unit={own}
      {...(value === null && lacks !== undefined && !inline && { hint: lacks })}
      {...(refused && lacks !== undefined && { problem: lacks })}
    />
  );
}
