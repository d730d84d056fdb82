import { useMemo } from 'react';
import { calibrationFromLineSquaring } from '../../../core/calibration/kinds/lineSquaring/fromStudy';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { lookingSdRad, type LineSquaringWay } from '../../../core/light/lineSquaring';
import { lineSquaringStudy } from '../../../core/light/lineSquaringStudy';
import { wayText } from '../../../core/light/lineSquaringWords';
import { lightSensorCount, twoLightSensors } from '../../../core/light/twoLightSensors';
import {
  between,
  counted,
  degrees,
  errorLength,
  headingText,
  percent,
} from '../../../core/text/quantities';
import { LINE_SQUARING_TRIAL } from '../../../core/trials/lineSquaring';
import type { LineSquaringTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Notice } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import type { BenchProps } from '../procedure';
import { notAside } from '../trials/openedList';
import { DescribedTable } from '../trials/DescribedTable';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { SquareEntry, type Thresholds } from './SquareEntry';

interface Props extends BenchProps {
  trials: LineSquaringTrials;
  lists: TrialListEntry[];
  /** The threshold that holds for the first of its light sensors; null: none does. */
  thresholds: Thresholds;
}

const STEPS = [
  'Put the robot before the line, a little askew: 5° to the left, then 5° to the right, then 10°. Read the angle off.',
  'Let it drive until each side’s sensor is on the line and its own wheel has stopped. Read the angle again.',
  'Six times the same way; then with a second, slower pass: back off by two finger’s widths, and on again.',
  CARE_AT_THE_BENCH,
];
const USUAL_SPEED_M_PER_S = 0.1;
const REASONS = ['It was touched before it was read', 'One side did not stop', 'Typed by mistake'];

const interval = (low: number, high: number): string => {
  const [from, to] = between(low, high).map((one) => headingText(one));
  return `${from} to ${to}`;
};

/** What each way leaves over. */
const WayTable = ({ ways }: { ways: readonly LineSquaringWay[] }) => (
  <Table
    label="What each way leaves over"
    rows={ways}
    keyOf={(way: LineSquaringWay) => wayText(way)}
    columns={[
      { title: 'Squared', head: true, cell: (way: LineSquaringWay) => wayText(way) },
      { title: 'Trials', number: true, cell: ({ n }) => n },
      {
        title: 'On average (95 %)',
        number: true,
        cell: ({ biasRad, low95, high95 }) =>
          Number.isFinite(low95)
            ? `${headingText(biasRad)} (${interval(low95, high95)})`
            : headingText(biasRad),
      },
      {
        title: 'Scatter',
        number: true,
        cell: ({ scatter: { sd } }) => (Number.isFinite(sd) ? `± ${degrees(sd, 2)}` : 'not known'),
      },
      {
        title: 'Left of the error before',
        number: true,
        cell: ({ left }) => (left === null ? 'not known' : percent(left.value)),
      },
    ]}
  />
);

/** Squaring on a line by two light sensors: what heading is left over, by which speeds, and whether a second pass helps. */
export default function Station({ robot, trials: loaded, lists, thresholds }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const sensors = useMemo(() => twoLightSensors(robot.robot), [robot]);
  const study = useMemo(() => lineSquaringStudy(used, sensors), [used, sensors]);
  return (
    <TrialsShell<LineSquaringTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="squaring"
      reasons={REASONS}
      caution="One that came out badly by itself is no reason: it will in a run, too."
      opening={
        <>
          Each side drives until its sensor is on the line: what heading is left over after that?
          For the looking alone it scatters by{' '}
          {degrees(lookingSdRad(sensors, USUAL_SPEED_M_PER_S), 2)} at this speed.{' '}
          {counted(used.length, 'squaring')} so far.
        </>
      }
      see={
        <>
          {lightSensorCount(robot.robot) < 2 && (
            <Notice tone="careful">
              The record has fewer than two light sensors: {errorLength(sensors.spacingM)} between
              them is a guess. <a href={`/robot?robot=${robot.id}`}>Note them in the record</a>.
            </Notice>
          )}
          {study !== null && <WayTable ways={study.ways} />}
        </>
      }
      steps={STEPS}
      doing={
        <>
          <SquareEntry robot={robot} thresholds={thresholds} made={used.length} onTrial={add} />
          <TrialsFile
            label="Squaring on a line (CSV)"
            kind={LINE_SQUARING_TRIAL}
            onTake={(trials) => add(...trials)}
          />
        </>
      }
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Squarings"
          kind={LINE_SQUARING_TRIAL}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value: study && calibrationFromLineSquaring(study.best),
        evidence: used,
        label: 'Apply this…',
        applied: 'This holds from now on.',
        consequences: () =>
          study !== null && (
            <p>
              Kept with the robot: squared {wayText(study.best)}, and what that leaves over. Set the
              heading in the program once both sensors are on the line.
            </p>
          ),
      }}
    />
  );
}
