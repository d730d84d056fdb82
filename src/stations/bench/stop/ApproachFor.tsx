import { STOP_LIST } from '../../../core/trials/lists/distance';
import { useMemo } from 'react';
import type { StopModel } from '../../../core/ranging/stopModel';
import { approachFrom, approachSentence, type Reads } from '../../../core/ranging/stopStudy';
import type { StopTrials } from '../../../formats/benchRecords';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { ApproachFilters } from './ApproachFilters';

interface Props {
  model: StopModel;
  reads: Reads;
  /** Whether how it reads was measured. */
  isMeasured: boolean;
  conditions: StopTrials['conditions'];
  onChange(part: Partial<StopTrials['conditions']>): void;
}

/** The threshold for a wanted gap before a wall, and how far such stops will scatter. */
export function ApproachFor({ model, reads, isMeasured, conditions, onChange }: Props) {
  const answer = useMemo(() => approachFrom(model, reads, conditions), [model, reads, conditions]);
  return (
    <section aria-label="Approach" className={styles.do}>
      <h2>Stop before a wall</h2>
      <div className={styles.fields}>
        <ValueField
          field={STOP_LIST.wantedM}
          value={conditions.wantedM}
          onChange={(wantedM) => onChange({ wantedM })}
        />
        <ValueField
          field={STOP_LIST.speedMPerS}
          value={conditions.speedMPerS}
          onChange={(speedMPerS) => onChange({ speedMPerS })}
        />
        <ValueField
          field={STOP_LIST.confirmations}
          value={conditions.confirmations}
          onChange={(confirmations) => onChange({ confirmations })}
        />
        <ValueField
          field={STOP_LIST.startGapM}
          value={conditions.startGapM}
          onChange={(startGapM) => onChange({ startGapM })}
        />
      </div>
      <p data-testid="approach">{approachSentence(answer, conditions)}</p>
      {answer !== null && <ApproachFilters {...{ model, reads }} wanted={conditions} />}
      <small className="faint">
        {isMeasured
          ? 'With how the distance sensor was measured to read.'
          : 'How the distance sensor reads is as its record says: nobody has measured it.'}
      </small>
    </section>
  );
}
