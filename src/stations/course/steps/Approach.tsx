import { NumberField } from '../../../ui/NumberField';
import { BENCH_LENGTH, SECONDS } from '../../../ui/units';
import { SpeedField } from './SpeedField';
import type { StepFields } from './stepFields';

export function ApproachSentence({ step, timeoutS, onChange }: StepFields<'approach'>) {
  return (
    <>
      Drive until the distance reads{' '}
      <NumberField
        inline
        label="Threshold"
        unit={BENCH_LENGTH}
        min={0.5}
        max={500}
        value={step.thresholdM}
        onChange={(thresholdM) => onChange({ ...step, thresholdM })}
      />{' '}
      or less, at{' '}
      <SpeedField
        speedMPerS={step.speedMPerS}
        onChange={(speedMPerS) => onChange({ ...step, speedMPerS })}
      />
      , give up after{' '}
      <NumberField
        inline
        label="Time-out"
        unit={SECONDS}
        min={0.1}
        max={150}
        value={timeoutS}
        onChange={(value) => onChange({ ...step, timeoutS: value })}
      />
    </>
  );
}
