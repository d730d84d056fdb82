import styles from '../Bench.module.css';
import type { useProgram } from './useProgram';

/** Why the stand-in did not drive, if it did not. */
export const ProgramProblem = ({
  program: { problem },
}: {
  program: ReturnType<typeof useProgram>;
}) =>
  problem !== null && (
    <p role="alert" className={styles.problem}>
      {problem}
    </p>
  );
