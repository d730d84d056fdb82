import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { DEG, DEG_PER_S, HEADING } from '../../../ui/units';
import type { StepFields } from './stepFields';

function TurnWay({ step, onChange }: Pick<StepFields<'turn'>, 'step' | 'onChange'>) {
  if (step.mode === 'by') {
    return (
      <Choice
        inline
        label="Direction"
        value={step.angleRad < 0 ? 'right' : 'left'}
        options={[
          { value: 'left', label: 'left' },
          { value: 'right', label: 'right' },
        ]}
        onChange={(way) =>
          onChange({ ...step, angleRad: (way === 'right' ? -1 : 1) * Math.abs(step.angleRad) })
        }
      />
    );
  }
  return (
    <Choice
      inline
      label="Which way"
      value={step.direction}
      options={[
        { value: 'short', label: 'short' },
        { value: 'left', label: 'left' },
        { value: 'right', label: 'right' },
      ]}
      onChange={(direction) => onChange({ ...step, direction })}
    />
  );
}

export function TurnSentence({ step, onChange }: StepFields<'turn'>) {
  const by = step.mode === 'by';
  const sign = by && step.angleRad < 0 ? -1 : 1;
  return (
    <>
      Turn{' '}
      <Choice
        inline
        label="To a heading or by an angle"
        value={step.mode}
        options={[
          { value: 'to', label: 'to' },
          { value: 'by', label: 'by' },
        ]}
        onChange={(mode) => onChange({ ...step, mode })}
      />{' '}
      <NumberField
        inline
        label={by ? 'Angle' : 'Heading'}
        unit={by ? DEG : HEADING}
        min={by ? 0 : -360}
        max={by ? 1080 : 360}
        value={sign * step.angleRad}
        onChange={(angle) => onChange({ ...step, angleRad: sign * angle })}
      />{' '}
      <TurnWay step={step} onChange={onChange} /> at{' '}
      <NumberField
        inline
        label="Turning rate"
        unit={DEG_PER_S}
        min={3}
        max={1000}
        value={step.rateRadPerS}
        onChange={(rateRadPerS) => onChange({ ...step, rateRadPerS })}
      />
      ,{' '}
      <NumberField
        inline
        label="Lead"
        unit={DEG}
        min={-28}
        max={85}
        value={step.leadRad}
        onChange={(leadRad) => onChange({ ...step, leadRad })}
      />{' '}
      early
    </>
  );
}
