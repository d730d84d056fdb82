import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { BENCH_LENGTH, PLAIN } from '../../../ui/units';
import { SpeedField } from './SpeedField';
import type { StepFields } from './stepFields';

export function StraightSentence({ step, onChange }: StepFields<'straight'>) {
  const back = step.distanceM < 0;
  return (
    <>
      Drive{' '}
      <NumberField
        inline
        label="Distance"
        unit={BENCH_LENGTH}
        min={0}
        max={1000}
        value={Math.abs(step.distanceM)}
        onChange={(distanceM) => onChange({ ...step, distanceM: back ? -distanceM : distanceM })}
      />{' '}
      <Choice
        inline
        label="Direction"
        value={back ? 'back' : 'ahead'}
        options={[
          { value: 'ahead', label: 'ahead' },
          { value: 'back', label: 'back' },
        ]}
        onChange={(way) =>
          onChange({ ...step, distanceM: (way === 'back' ? -1 : 1) * Math.abs(step.distanceM) })
        }
      />{' '}
      at{' '}
      <SpeedField
        speedMPerS={step.speedMPerS}
        onChange={(speedMPerS) => onChange({ ...step, speedMPerS })}
      />
      , gain{' '}
      <NumberField
        inline
        label="Heading gain"
        unit={PLAIN}
        min={0}
        max={20}
        value={step.gainMPerSPerRad}
        onChange={(gainMPerSPerRad) => onChange({ ...step, gainMPerSPerRad })}
      />
    </>
  );
}
