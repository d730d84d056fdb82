import { counted } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import type { Logging } from './useLogging';

/** What is not saved yet, what was not taken, and what else went wrong. */
export function LogNotices({ logging: { outbox, problem, takeUp } }: { logging: Logging }) {
  const { away, waiting, refused } = outbox;
  return (
    <>
      {away !== null && waiting.length > 0 && (
        <Notice tone="careful">
          <strong data-testid="not-yet-saved">
            {counted(waiting.length, 'run')} not yet saved.
          </strong>{' '}
          Corvat’s server is away just now. They are kept in this browser and go out by themselves;
          go on logging.
        </Notice>
      )}
      {refused.map(({ run, reason }) => (
        <Notice
          key={run.id}
          tone="fault"
          action={<Button onClick={() => takeUp(run)}>Back into the form</Button>}
        >
          A run was not taken: {reason}
        </Notice>
      ))}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </>
  );
}
