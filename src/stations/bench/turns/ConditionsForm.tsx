import { teamNames } from '../../../core/text/displaySettings';
import { MADE_UNDER } from '../../../core/trials/lists/madeUnder';
import { TURN_LIST } from '../../../core/trials/lists/driving';
import type { TurnTrials } from '../../../formats/benchRecords';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { turnConditionsForm } from '../../parsers';
import styles from '../Bench.module.css';
import { AnglesField } from './AnglesField';

const { surface, battery, who } = MADE_UNDER;
const F = fieldsOf<TurnTrials['conditions']>();

/** Under what the trials are made, and what is known besides: its fields. */
export function ConditionsForm({
  conditions,
  onChange: set,
}: {
  conditions: TurnTrials['conditions'];
  onChange(part: Partial<TurnTrials['conditions']>): void;
}) {
  return (
    <RecordForm
      className={styles.fields}
      record={conditions}
      schema={turnConditionsForm}
      onChange={set}
    >
      <F.Value name="surface" field={surface} />
      <F.Value name="battery" field={battery} />
      <F.Value name="who" field={who} suggestions={teamNames()} />
      <F.Value name="stopMode" field={TURN_LIST.stopMode} />
      <F.Value name="driftRadPerS" field={TURN_LIST.driftRadPerS} />
      <F.Value name="readingSdRad" field={TURN_LIST.readingSdRad} />
      <AnglesField anglesRad={conditions.wantedRad} onChange={(wantedRad) => set({ wantedRad })} />
    </RecordForm>
  );
}
