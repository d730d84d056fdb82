import { NumberField } from '../../../ui/NumberField';
import { SPEED } from '../../../ui/units';

interface Props {
  speedMPerS: number;
  onChange(speedMPerS: number): void;
}

/** How fast a step drives. */
export const SpeedField = ({ speedMPerS, onChange }: Props) => (
  <NumberField
    inline
    label="Speed"
    unit={SPEED}
    min={1}
    max={500}
    value={speedMPerS}
    onChange={onChange}
  />
);
