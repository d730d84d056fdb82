import type { Way } from '../core/compare/plan/ways';
import styles from './PlanOrder.module.css';

interface Props {
  label: string;
  order: readonly { way: Way; isMade: boolean }[];
}

/** The order of a plan's runs, by letters; what is made is ticked off, whose turn it is stands out. */
export function PlanOrder({ label, order }: Props) {
  const next = order.findIndex(({ isMade }) => !isMade);
  const isBegun = order.some(({ isMade }) => isMade);
  return (
    <ol className={styles.order} aria-label={label}>
      {order.map(({ way, isMade }, i) => (
        <li
          key={i}
          data-way={way}
          data-made={isMade || undefined}
          aria-current={isBegun && i === next ? 'step' : undefined}
        >
          {way}
          {isMade && <span className="visually-hidden"> made</span>}
        </li>
      ))}
    </ol>
  );
}
