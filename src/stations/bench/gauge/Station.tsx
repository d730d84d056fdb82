import { useMemo } from 'react';
import type { Gauge } from '../../../core/ranging/gauge';
import { gaugeLacks, gaugeStudy } from '../../../core/ranging/gaugeStudy';
import { counted, fineLength } from '../../../core/text/quantities';
import type { GaugeTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Table } from '../../../ui/Table';
import { GAUGE_TRIAL } from '../../../core/trials/gauge';
import { notAside } from '../trials/openedList';
import { DescribedEntry } from '../trials/DescribedEntry';
import type { BenchProps } from '../procedure';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';

interface Props extends BenchProps {
  trials: GaugeTrials;
  lists: TrialListEntry[];
}

const STEPS = [
  'Put two or three things on the table, and say which length of each is read: box to wall, say.',
  'One person reads all of them, then another, then the first again; nobody looks at what was read before.',
  'Every person reads every length as often: two times each is enough, three are better.',
];
const REASONS = ['Something had moved', 'Another length was read', 'Typed by mistake'];

/** What of the scatter: its standard deviation, and between which it lies where that can be told. */
const rowsOf = (found: Gauge): [string, number, [number, number] | null][] => [
  ['The same person again', found.repeatabilitySdM, found.repeatability95M],
  ['Another person', found.reproducibilitySdM, null],
  ['Both together', found.gaugeSdM, found.gauge95M],
];

/** The same lengths read by several persons: how much of all scatter is the measuring. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => gaugeStudy(used), [used]);
  const persons = [...new Set(record.trials.map(({ person }) => person))];
  const parts = [...new Set(record.trials.map(({ part }) => part))];
  return (
    <TrialsShell<GaugeTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="reading"
      reasons={REASONS}
      caution="A reading that differs by itself is no reason: that is what is looked for."
      opening={
        <>
          Let two people read the same lengths twice: that tells how much of a robot’s scatter is
          only the tape. {counted(used.length, 'reading')} so far.{' '}
          {used.length > 0 && gaugeLacks(used)}
        </>
      }
      see={
        study !== null && (
          <Table
            label="Where the scatter comes from"
            rows={rowsOf(study.found)}
            keyOf={([name]) => name}
            columns={[
              { title: 'Of what', head: true, cell: ([name]) => name },
              {
                title: 'Standard deviation',
                number: true,
                cell: ([, sd]) => `± ${fineLength(sd)}`,
              },
              {
                title: 'Between (95 %)',
                number: true,
                cell: ([, , range]) =>
                  range === null ? '–' : `${fineLength(range[0])} to ${fineLength(range[1])}`,
              },
            ]}
          />
        )
      }
      steps={STEPS}
      doing={
        <>
          <DescribedEntry
            kind={GAUGE_TRIAL}
            start={{ part: parts.at(-1) ?? '', person: persons.at(-1) ?? '' }}
            suggestions={{ part: parts, person: persons }}
            onTrial={add}
          />
          <TrialsFile
            label="Readings (CSV)"
            kind={GAUGE_TRIAL}
            onTake={(readings) => add(...readings)}
          />
        </>
      }
      table={(ask) => (
        <DescribedTable
          label="Readings"
          kind={GAUGE_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
    />
  );
}
