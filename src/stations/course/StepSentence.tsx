import type { Step, StepOf } from '../../core/course/route';
import type { Mission } from '../../core/course/table';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { BENCH_LENGTH, SPEED, DEG, DEG_PER_S, PLAIN, SECONDS, HEADING } from '../../ui/units';
import styles from './CourseStation.module.css';

interface Props<K extends Step['kind'] = Step['kind']> {
  step: StepOf<K>;
  missions: readonly Mission[];
  timeoutS: number;
  onChange(step: Step): void;
}

function StraightSentence({ step, onChange }: Props<'straight'>) {
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
      <NumberField
        inline
        label="Speed"
        unit={SPEED}
        min={1}
        max={500}
        value={step.speedMPerS}
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

function TurnWay({ step, onChange }: Pick<Props<'turn'>, 'step' | 'onChange'>) {
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

function TurnSentence({ step, onChange }: Props<'turn'>) {
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
        min={0}
        max={80}
        value={step.leadRad}
        onChange={(leadRad) => onChange({ ...step, leadRad })}
      />{' '}
      early
    </>
  );
}

function ApproachSentence({ step, timeoutS, onChange }: Props<'approach'>) {
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
      <NumberField
        inline
        label="Speed"
        unit={SPEED}
        min={1}
        max={500}
        value={step.speedMPerS}
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

function MarkSentence({ step, missions, onChange }: Props<'mark'>) {
  const known = missions.some((mission) => mission.id === step.missionId);
  return (
    <>
      Work the{' '}
      <select
        className={styles.inlineSelect}
        aria-label="Mission"
        value={step.missionId}
        onChange={(event) => onChange({ ...step, missionId: event.target.value })}
      >
        {!known && <option value={step.missionId}>(a mission that is gone)</option>}
        {missions.map((mission) => (
          <option key={mission.id} value={mission.id}>
            {mission.name}
          </option>
        ))}
      </select>
      , taking{' '}
      <NumberField
        inline
        label="Time at the mission"
        unit={SECONDS}
        min={0}
        max={60}
        value={step.dwellS}
        onChange={(dwellS) => onChange({ ...step, dwellS })}
      />
    </>
  );
}

/** A step as a plain sentence, its values edited in place. */
export function StepSentence({ step, ...rest }: Props) {
  switch (step.kind) {
    case 'straight':
      return <StraightSentence step={step} {...rest} />;
    case 'turn':
      return <TurnSentence step={step} {...rest} />;
    case 'approach':
      return <ApproachSentence step={step} {...rest} />;
    case 'mark':
      return <MarkSentence step={step} {...rest} />;
  }
}
