import { ulid } from 'ulid';
import { readOffGrid, type Marks } from '../../../core/placing/placing';
import { teamNames } from '../../../core/text/displaySettings';
import type { EntryOf } from '../../../core/trials/kind';
import { PLACING_TRIAL, type PlacingTrialRecord } from '../../../core/trials/placing';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { DescribedEntry } from '../trials/DescribedEntry';
import { usePutBack } from './usePutBack';

interface Props {
  marks: Marks;
  /** Who has placed it so far, and how the last time. */
  persons: readonly string[];
  last: PlacingTrialRecord | undefined;
  onTrial(trial: PlacingTrialRecord): void;
}

/** A robot that was placed as for a run, read off at nose and tail, or the stand-in, put back by whoever is named. */
export function PlacingEntry({ marks, persons, last, onTrial }: Props) {
  const standIn = usePutBack();
  const place = ({ person, way }: EntryOf<typeof PLACING_TRIAL>) =>
    void standIn.putBack(way, (pose) => {
      const where = readOffGrid(pose, marks);
      onTrial({ id: ulid(), person: person.trim(), way, ...where, setAsideReason: null });
    });
  return (
    <>
      <DescribedEntry
        kind={PLACING_TRIAL}
        start={{ person: last?.person ?? '', way: last?.way ?? 'by hand' }}
        suggestions={{ person: [...new Set([...persons, ...teamNames()])] }}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <Button
            disabled={!standIn.isReady || isWrong || entry.person.trim() === ''}
            onClick={() => place(entry)}
          >
            {standIn.isBusy ? 'The stand-in is placed …' : 'Let the stand-in be placed'}
          </Button>
        )}
      />
      {standIn.problem !== null && <Notice tone="fault">{standIn.problem}</Notice>}
    </>
  );
}
