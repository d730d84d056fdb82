import { useMemo } from 'react';
import type { StopModel } from '../../../core/ranging/stopModel';
import { approachFrom, approachSentence, type Reads } from '../../../core/ranging/stopStudy';
import type { StopTrials } from '../../../formats/benchRecords';
import { NumberField } from '../../../ui/fields/NumberField';
import { BENCH_LENGTH, SPEED, TIMES } from '../../../ui/fields/units';
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
        <NumberField
          label="Wanted gap"
          unit={BENCH_LENGTH}
          min={0}
          max={500}
          value={conditions.wantedM}
          onChange={(wantedM) => onChange({ wantedM })}
        />
        <NumberField
          label="Speed"
          unit={SPEED}
          min={1}
          max={500}
          value={conditions.speedMPerS}
          onChange={(speedMPerS) => onChange({ speedMPerS })}
        />
        <NumberField
          label="Readings in a row"
          unit={TIMES}
          min={1}
          max={10}
          value={conditions.confirmations}
          onChange={(confirmations) => onChange({ confirmations: Math.round(confirmations) })}
        />
        <NumberField
          label="Starts at a gap of"
          unit={BENCH_LENGTH}
          min={1}
          max={1000}
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
