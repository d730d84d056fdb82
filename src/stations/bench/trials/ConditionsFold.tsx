import { MOST_LETTERS } from '../../../core/description/description';
import { MADE_UNDER } from '../../../core/trials/lists/madeUnder';
import { teamNames } from '../../../core/text/displaySettings';
import { TextField } from '../../../ui/fields/TextField';
import styles from '../Bench.module.css';

/** What every list may say of the circumstances it was made in. */
const { readToM: _readTo, ...CONDITIONS } = MADE_UNDER;

export type ConditionField = keyof typeof CONDITIONS;

interface Props {
  asked: readonly ConditionField[];
  conditions: Partial<Record<ConditionField, string>>;
  onChange(part: Partial<Record<ConditionField, string>>): void;
}

/** Under what the trials are made: folded, with what was said in its title. */
export function ConditionsFold({ asked, conditions, onChange }: Props) {
  const said = asked.map((field) => conditions[field] ?? '').filter((text) => text !== '');
  const open = asked.map((field) => CONDITIONS[field].label.toLowerCase());
  return (
    <details>
      <summary>Conditions: {(said.length === 0 ? open : said).join(', ')}</summary>
      <div className={styles.fields}>
        {asked.map((field) => (
          <TextField
            key={field}
            label={CONDITIONS[field].label}
            value={conditions[field] ?? ''}
            maxLength={MOST_LETTERS}
            {...(field === 'who' && { suggestions: teamNames() })}
            onChange={(text) => onChange({ [field]: text })}
          />
        ))}
      </div>
    </details>
  );
}
