import { useState } from 'react';
import type { LineThreshold } from '../../../core/light/lineThreshold';
import { profileNow } from '../../../core/light/profiles';
import { lineText } from '../../../core/light/thresholdWords';
import { dayOf } from '../../../ui/dates';
import { oneIn } from '../../../core/text/oneIn';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { Toast } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import { useToast } from '../../../ui/useToast';
import { ApplyDialog } from '../apply/later';
import type { Profile } from './profilesOf';

interface Props {
  robot: RobotRecord;
  profiles: readonly Profile[];
  /** What line and floor read in the list that is open; null: nothing yet. */
  now: LineThreshold | null;
}

const called = ({ value }: Profile) => (value.venue === '' ? 'somewhere' : value.venue);

/** The thresholds of each venue: what they would do with what line and floor read here, and one to be used again. */
export function Profiles({ robot, profiles, now }: Props) {
  const [chosen, setChosen] = useState<Profile | null>(null);
  const [toast, tell] = useToast();
  const today = (profile: Profile): string => {
    if (now === null) return 'five readings of each tell';
    const { errorRate, holds } = profileNow(profile.value, now);
    return `${holds ? 'still holds' : 'does not hold here'}: ${oneIn(errorRate, 'reading')} is wrong`;
  };
  return (
    <>
      <Table
        label="Thresholds of each venue"
        rows={profiles}
        keyOf={({ id }) => id}
        columns={[
          { title: 'Where', head: true, cell: called },
          { title: 'Light', cell: ({ value }) => value.lighting },
          { title: 'Line', cell: ({ value }) => lineText(value, value.threshold) },
          { title: 'Found', cell: ({ madeAt }) => dayOf(madeAt) },
          { title: 'With the readings of this list', cell: today },
          {
            title: 'Use',
            cell: (profile) => (
              <Button
                look="bare"
                aria-label={`Use the threshold of ${called(profile)}`}
                onClick={() => setChosen(profile)}
              >
                Use it
              </Button>
            ),
          },
        ]}
      />
      {chosen !== null && (
        <ApplyDialog
          robot={robot}
          value={chosen.value}
          evidence={chosen.evidence}
          unitId={chosen.unitId ?? undefined}
          surface={null}
          battery={null}
          onApplied={() => {
            setChosen(null);
            tell('This holds from now on.');
          }}
          onClose={() => setChosen(null)}
        >
          <p>
            What was found at {called(chosen)} holds again. Nothing is measured anew: five readings
            of line and floor say whether it is right here.
          </p>
        </ApplyDialog>
      )}
      <Toast text={toast} />
    </>
  );
}
