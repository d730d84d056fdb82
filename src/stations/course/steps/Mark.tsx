import { NumberField } from '../../../ui/NumberField';
import { SECONDS } from '../../../ui/units';
import styles from '../CourseStation.module.css';
import type { StepFields } from './stepFields';

export function MarkSentence({ step, missions, onChange }: StepFields<'mark'>) {
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
