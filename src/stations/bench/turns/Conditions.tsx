import { useState } from 'react';
import { driftText } from '../../../core/gyro/driftText';
import type { TurnTrials } from '../../../formats/benchRecords';
import { fetchedLater } from '../../../ui/fetchedLater';

const ConditionsForm = fetchedLater(async () => (await import('./ConditionsForm')).ConditionsForm);

/** Under what the trials are made, and what is known besides; its fields are fetched when it is unfolded. */
export function Conditions(props: {
  conditions: TurnTrials['conditions'];
  onChange(part: Partial<TurnTrials['conditions']>): void;
}) {
  const [wanted, setWanted] = useState(false);
  const { driftRadPerS } = props.conditions;
  return (
    <details onToggle={() => setWanted(true)}>
      <summary>
        Conditions: surface, battery, who measures,{' '}
        {driftRadPerS === 0 ? 'no known drift' : `a drift of ${driftText(driftRadPerS)} taken out`}
      </summary>
      {wanted && <ConditionsForm {...props} />}
    </details>
  );
}
