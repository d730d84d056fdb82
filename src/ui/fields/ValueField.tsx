import type { ComponentProps } from 'react';
import { hintOf, type NumberValue } from '../../core/description/description';
import { QUANTITIES } from '../../core/quantities/quantities';
import { NumberField } from './NumberField';
import type { Unit } from './units';

type Rest = Pick<
  ComponentProps<typeof NumberField>,
  'value' | 'onChange' | 'onClear' | 'inline' | 'problem' | 'inputRef'
>;

export interface AsShown {
  /** What it is called just here, where that is otherwise. */
  label?: string;
  hint?: string | undefined;
  /** Where the unit depends on something else. */
  unit?: Unit;
  /** Narrower limits, in SI, where something else sets them. */
  atLeast?: number;
  atMost?: number;
}

/** The field of a number, as it is described. */
export function ValueField({
  field,
  label = field.label,
  hint = hintOf(field),
  unit = QUANTITIES[field.quantity].unit,
  atLeast = field.min,
  atMost = field.max,
  ...rest
}: Rest & AsShown & { field: NumberValue }) {
  return (
    <NumberField
      {...{ label, unit, ...rest }}
      {...(hint !== undefined && { hint })}
      whole={field.whole ?? false}
      isOpen={field.open !== undefined && atLeast === field.min}
      min={atLeast * unit.limitsPerSi}
      max={atMost * unit.limitsPerSi}
    />
  );
}
