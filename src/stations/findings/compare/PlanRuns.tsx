import type { RunPlan, Wish } from '../../../core/compare/plan/wish';
import { errorScale } from '../../../core/text/lengths';
import button from '../../../ui/Button.module.css';
import fields from '../../../ui/TextField.module.css';
import styles from './Compare.module.css';

interface Props {
  about: Wish['about'];
  /** As typed. */
  by: string;
  plan: RunPlan | null;
  /** Why what was typed cannot be taken. */
  problem: string | null;
}

const ABOUT: { value: Wish['about']; label: string }[] = [
  { value: 'spread', label: 'less spread, by' },
  { value: 'aim', label: 'an aim that moves by' },
  { value: 'success', label: 'more runs of ten that work, by' },
];

/** Planned beforehand: what would be worth seeing, how many runs that takes, and in which order. */
export function PlanRuns({ about, by, plan, problem }: Props) {
  return (
    <section aria-label="Plan the next runs" className={styles.plan}>
      <h2>Plan the next runs</h2>
      <div className={styles.wish}>
        <span className={fields.field}>
          <label htmlFor="want">I want to see</label>
          <select id="want" name="want" defaultValue={about}>
            {ABOUT.map(({ value, label }) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </span>
        <span className={fields.field}>
          <label htmlFor="by">
            So much <small>({errorScale().label}, or runs of ten)</small>
          </label>
          <input id="by" name="by" inputMode="decimal" defaultValue={by} />
        </span>
        <button type="submit" className={button.button}>
          Say how many
        </button>
      </div>
      {problem !== null && <p role="alert">{problem}</p>}
      {plan !== null && <p data-testid="plan-sentence">{plan.sentence}</p>}
      {plan !== null && plan.order.length > 0 && (
        <ol className={styles.order} aria-label="Order of the runs: A before, B after">
          {plan.order.map((way, i) => (
            <li key={i} data-way={way}>
              {way}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
