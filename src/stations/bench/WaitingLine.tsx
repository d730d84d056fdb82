import type { WaitingFor } from './waiting';

interface Props {
  waiting: readonly WaitingFor[];
  robotId: string;
}

/** What was measured and is not computed with, and the way to the one place that applies it. */
export const WaitingLine = ({ waiting, robotId }: Props) =>
  waiting.length > 0 && (
    <p data-testid="waiting">
      Measured, not applied: {waiting.map(({ title }) => title).join(', ')}.{' '}
      <a href={`/bench/calibrations?robot=${robotId}`}>Look and apply</a>
    </p>
  );
