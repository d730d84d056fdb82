import { ulid } from 'ulid';
import { PLACING_WAYS, readOffGrid, type Marks } from '../../../core/placing/placing';
import { teamNames } from '../../../core/text/manner';
import type { PlacingTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { fieldsOf } from '../../../ui/recordForm';
import { SMALL_LENGTH } from '../../../ui/units';
import { placingForm } from '../../parsers';
import type { PlacingEntryValues } from '../entrySchemas';
import { TrialEntry } from '../TrialEntry';
import { usePutBack } from './usePutBack';

const F = fieldsOf<PlacingEntryValues>();
const MOST_MM = 5000;

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
  const place = ({ person, way }: PlacingEntryValues) =>
    void standIn.putBack(way, (pose) =>
      onTrial({
        id: ulid(),
        person: person.trim(),
        way,
        ...readOffGrid(pose, marks),
        setAsideReason: null,
      }),
    );
  return (
    <>
      <TrialEntry<PlacingEntryValues, PlacingTrialRecord>
        start={{
          person: last?.person ?? '',
          way: last?.way ?? 'by hand',
          noseAlongM: null,
          noseAcrossM: null,
          tailAcrossM: null,
        }}
        schema={placingForm}
        button="Add the placing"
        trialOf={({ person, way, noseAlongM, noseAcrossM, tailAcrossM }) =>
          noseAlongM === null || noseAcrossM === null || tailAcrossM === null || !person.trim()
            ? null
            : { person: person.trim(), way, noseAlongM, noseAcrossM, tailAcrossM }
        }
        next={(entry) => ({ ...entry, noseAlongM: null, noseAcrossM: null, tailAcrossM: null })}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <Button
            disabled={!standIn.isReady || isWrong || entry.person.trim() === ''}
            onClick={() => place(entry)}
          >
            {standIn.isBusy ? 'The stand-in is placed …' : 'Let the stand-in be placed'}
          </Button>
        )}
      >
        {(first) => (
          <>
            <F.Text
              name="person"
              label="Placed by (nickname)"
              maxLength={40}
              suggestions={[...new Set([...persons, ...teamNames()])]}
            />
            <F.Choice
              name="way"
              label="How"
              options={PLACING_WAYS.map((way) => ({ value: way, label: way }))}
            />
            <F.Number
              name="noseAlongM"
              label="Nose, along"
              unit={SMALL_LENGTH}
              min={-MOST_MM}
              max={MOST_MM}
              optional
              inputRef={first}
            />
            <F.Number
              name="noseAcrossM"
              label="Nose, across (left +)"
              unit={SMALL_LENGTH}
              min={-MOST_MM}
              max={MOST_MM}
              optional
            />
            <F.Number
              name="tailAcrossM"
              label="Tail, across (left +)"
              unit={SMALL_LENGTH}
              min={-MOST_MM}
              max={MOST_MM}
              optional
            />
          </>
        )}
      </TrialEntry>
      {standIn.problem !== null && <Notice tone="fault">{standIn.problem}</Notice>}
    </>
  );
}
