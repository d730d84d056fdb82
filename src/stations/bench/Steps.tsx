import { FoldOnPhone } from '../../ui/FoldOnPhone';
import styles from './Bench.module.css';

/** How a procedure is done, step by step. */
export const Steps = ({ steps }: { steps: readonly string[] }) => (
  <div className={styles.after}>
    <FoldOnPhone says="How it is done">
      <ol className={styles.steps}>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </FoldOnPhone>
  </div>
);
