import type { RunPlan, Wish } from '../../../core/compare/plan/wish';
import { errorScale } from '../../../core/text/lengths';
import button from '../../../ui/Button.module.css';
import { PlainInput, PlainSelect } from '../../../ui/fields/PlainFields';
import { PlanOrder } from '../../../ui/PlanOrder';
import styles from './Compare.module.css';

interface Props {
  about: Wish['about'];
  /** As typed. */
  by: string;
  changes: 1 | 2;
  plan: RunPlan | null;
  /** Why what was typed cannot be taken. */
  problem: string | null;
}

const ABOUT: { value: Wish['about']; label: string }[] = [
  { value: 'spread', label: 'less spread, by' },
  { value: 'aim', label: 'an aim that moves by' },
  { value: 'success', label: 'more runs of ten that work, by' },
];

const CHANGES = [
  { value: '1', label: 'one change' },
  { value: '2', label: 'two changes at once' },
];

const LETTERS = { 1: 'A without, B with it', 2: 'A neither, B the first, C the second, D both' };

/** Planned beforehand: what would be worth seeing, how many runs that takes, and in which order. */
export function PlanRuns({ about, by, changes, plan, problem }: Props) {
  return (
    <section aria-label="Plan the next runs" className={styles.plan}>
      <h2>Plan the next runs</h2>
      <div className={styles.wish}>
        <PlainSelect name="want" label="I want to see" value={about} options={ABOUT} />
        <PlainInput
          name="by"
          label={
            <>
              So much <small>({errorScale().label}, or runs of ten)</small>
            </>
          }
          inputMode="decimal"
          value={by}
        />
        <PlainSelect name="changes" label="From" value={String(changes)} options={CHANGES} />
        <button type="submit" className={button.button}>
          Say how many
        </button>
      </div>
      {problem !== null && <p role="alert">{problem}</p>}
      {plan !== null && <p data-testid="plan-sentence">{plan.sentence}</p>}
      {plan !== null && plan.order.length > 0 && (
        <PlanOrder
          label={`Order of the runs: ${LETTERS[changes]}`}
          order={plan.order.map((way) => ({ way, isMade: false }))}
        />
      )}
    </section>
  );
}
