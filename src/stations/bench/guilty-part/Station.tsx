import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { MOST_LETTERS } from '../../../core/description/description';
import type { FaultIsolation } from '../../../core/faultIsolation/faultIsolation';
import { faultStudy } from '../../../core/faultIsolation/faultStudy';
import { LINKS } from '../../../core/faultIsolation/links';
import { faultSeed, faultShows, hiddenFault } from '../../../core/faultIsolation/standInFault';
import { percent } from '../../../core/text/quantities';
import { FAULT_LOOK } from '../../../core/trials/faultLook';
import { FAULT_LIST } from '../../../core/trials/lists/presence';
import type { FaultLookRecord, FaultTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { TextField } from '../../../ui/fields/TextField';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';

interface Props extends BenchProps {
  trials: FaultTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Say what misbehaves, and how one look goes: “drive to the wall; the echo is lost”. Each look the same.',
  'Look until the fault has shown twice, with nothing exchanged.',
  'Then exchange one part alone, as Corvat asks, and look again. The first fault puts the old one back.',
  CARE_AT_THE_BENCH,
];
const REASONS = [
  'Two parts were exchanged at once',
  'The look went another way',
  'Pressed by mistake',
];

/** What the looks say of each part. */
function LinkTable({ found }: { found: FaultIsolation }) {
  return (
    <Table
      label="The parts, from the easiest to exchange"
      rows={found.links}
      keyOf={({ link }) => link}
      columns={[
        { title: 'Part', head: true, cell: ({ link }) => LINKS[link].words },
        {
          title: 'With another one',
          cell: ({ looks, faults }) =>
            looks === 0 ? 'not tried' : `the fault in ${faults} of ${looks}`,
        },
        {
          title: 'Verdict',
          cell: ({ link, isCleared }) =>
            isCleared ? 'cleared' : found.guilty === link ? 'guilty' : 'open',
        },
        { title: 'Sure', number: true, cell: ({ probability }) => percent(probability) },
      ]}
    />
  );
}

/** A part that misbehaves is found by exchanging one link at a time, as often as the fault asks for. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace, setConditions } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => faultStudy(used), [used]);
  const advised = study?.found.next?.link ?? 'nothing';
  const [chosen, setChosen] = useState<FaultLookRecord['exchanged'] | null>(null);
  const exchanged = chosen ?? advised;
  const [isStandIn, setStandIn] = useState(false);
  const look = (showed: FaultLookRecord['showed']) => {
    add({ id: ulid(), exchanged, showed, setAsideReason: null });
    setChosen(null);
  };
  const seed = faultSeed(record.id);
  const askStandIn = () => {
    setStandIn(true);
    look(faultShows(seed, exchanged, record.trials.length) ? 'yes' : 'no');
  };
  const hidden = hiddenFault(seed);
  return (
    <TrialsShell<FaultTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="look"
      reasons={REASONS}
      caution="That it did not fit what was expected is no reason."
      opening={
        <>
          Something misbehaves, always or now and then: exchange one part at a time, look as often
          as it takes, and the guilty one is named with its evidence.
        </>
      }
      see={study !== null && <LinkTable found={study.found} />}
      steps={STEPS}
      doing={
        <div className={styles.work}>
          <div className={styles.fields}>
            <TextField
              label={FAULT_LIST.what.label}
              maxLength={MOST_LETTERS}
              value={record.conditions.what}
              onChange={(what) => setConditions({ what })}
            />
          </div>
          <ChoiceField field={FAULT_LOOK.fields.exchanged} value={exchanged} onChange={setChosen} />
          <div className={styles.actions}>
            <Button look="strong" onClick={() => look('yes')}>
              The fault showed
            </Button>
            <Button look="strong" onClick={() => look('no')}>
              It did not show
            </Button>
            <Button onClick={askStandIn}>Look at the stand-in</Button>
          </div>
          <TrialsFile label="Looks (CSV)" kind={FAULT_LOOK} onTake={(looks) => add(...looks)} />
        </div>
      }
      know={
        <p>
          {study?.found.guilty != null && isStandIn && (
            <>
              In the stand-in it was {LINKS[hidden.link].words},{' '}
              {hidden.share === 1 ? 'in every look' : `in ${percent(hidden.share)} of looks`}.{' '}
            </>
          )}
          {study?.found.guilty != null && !isStandIn && (
            <>
              <a href={`/robot?robot=${robot.id}`}>Note the exchange in the record</a>.{' '}
            </>
          )}
          Is it the heading? <a href={`/bench/heading-tests?robot=${robot.id}`}>Test the heading</a>{' '}
          first: half a minute each.
        </p>
      }
      asks={['battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Looks"
          kind={FAULT_LOOK}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
    />
  );
}
