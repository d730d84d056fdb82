import { teamNames } from '../../../core/text/displaySettings';
import { TextField } from '../../../ui/fields/TextField';
import styles from '../Bench.module.css';

/** What every list may say of the circumstances it was made in. */
export const CONDITION_FIELDS = {
  surface: 'Surface',
  battery: 'Battery',
  who: 'Measured by (nickname)',
} as const;

export type ConditionField = keyof typeof CONDITION_FIELDS;

interface Props {
  asked: readonly ConditionField[];
  conditions: Partial<Record<ConditionField, string>>;
  onChange(part: Partial<Record<ConditionField, string>>): void;
}

/** Under what the trials are made: folded, with what was said in its title. */
export function ConditionsFold({ asked, conditions, onChange }: Props) {
  const said = asked.map((field) => conditions[field] ?? '').filter((text) => text !== '');
  const open = asked.map((field) => CONDITION_FIELDS[field].toLowerCase());
  return (
    <details>
      <summary>Conditions: {(said.length === 0 ? open : said).join(', ')}</summary>
      <div className={styles.fields}>
        {asked.map((field) => (
          <TextField
            key={field}
            label={CONDITION_FIELDS[field]}
            value={conditions[field] ?? ''}
            maxLength={40}
            {...(field === 'who' && { suggestions: teamNames() })}
            onChange={(text) => onChange({ [field]: text })}
          />
        ))}
      </div>
    </details>
  );
}
