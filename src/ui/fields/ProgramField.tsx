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
  /** Nothing larger is a value of a program. */
  most?: number;
  /** Its sign says a direction. */
  signed?: boolean;
  /** False: what it would be was never measured. */
  onTake(value: number): boolean;
  lacks?: string;
  inline?: boolean;
}

/** No program has larger ones, where nothing else is known. */
const MOST = 1e6;

/** A value as a robot's program has it; what is typed counts there as well. */
export function ProgramField(props: Props) {
  const { label, unit, decimals, value, most = MOST, signed = false } = props;
  const { onTake, lacks, inline = false } = props;
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
      {...{ label, value, inline }}
      min={signed ? -most : 0}
      max={most}
      onChange={(typed) => setRefused(!onTake(typed))}
      onClear={() => setRefused(false)}
      unit={own}
      {...(value === null && lacks !== undefined && !inline && { hint: lacks })}
      {...(refused && lacks !== undefined && { problem: lacks })}
    />
  );
}
