import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { SECONDS } from '../../../ui/units';
import { SpeedField } from './SpeedField';
import type { StepFields } from './stepFields';

export function SquareUpSentence({ step, onChange }: StepFields<'square-up'>) {
  return (
    <>
      Drive{' '}
      <Choice
        inline
        label="Direction"
        value={step.back ? 'back' : 'ahead'}
        options={[
          { value: 'back', label: 'back' },
          { value: 'ahead', label: 'ahead' },
        ]}
        onChange={(way) => onChange({ ...step, back: way === 'back' })}
      />{' '}
      against the border at{' '}
      <SpeedField
        speedMPerS={step.speedMPerS}
        onChange={(speedMPerS) => onChange({ ...step, speedMPerS })}
      />
      , press for{' '}
      <NumberField
        inline
        label="Pressing"
        unit={SECONDS}
        min={0.1}
        max={10}
        value={step.pressS}
        onChange={(pressS) => onChange({ ...step, pressS })}
      />
      , and take the heading for the wall’s
    </>
  );
}
