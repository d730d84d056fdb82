import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import type { Keeping } from './trials/useKeptList';

/** Whether what is on the screen is in the database, too. */
export function KeepingLine({
  keeping,
  problem,
  onKeep,
}: {
  keeping: Keeping;
  problem: string | null;
  onKeep(): void;
}) {
  if (problem !== null) {
    return (
      <Notice tone="fault" action={<Button onClick={onKeep}>Keep it now</Button>}>
        {problem}
      </Notice>
    );
  }
  return (
    <small className="faint" data-testid="keeping">
      {keeping === 'kept' ? 'Everything is kept.' : 'Keeping …'}
    </small>
  );
}
