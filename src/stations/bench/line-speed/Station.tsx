import { useMemo, useState } from 'react';
import type { ModeSwitchCalibration } from '../../../core/calibrationValues/modeSwitch';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import { calibrationFromLinePasses } from '../../../core/calibration/kinds/lineCrossing/fromStudy';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { devicesOf } from '../../../core/devices/ofRobot';
import { crossingStudy, shareToCount } from '../../../core/light/crossing';
import { CROSSING } from '../../../core/light/description';
import { linePassesStudy } from '../../../core/light/linePassesStudy';
import { bothModesApartS } from '../../../core/loop/modeSwitch';
import { roundLength } from '../../../core/text/lengths';
import { LINE_PASS } from '../../../core/trials/linePass';
import type { LinePassTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Choice } from '../../../ui/fields/Choice';
import type { BenchProps } from '../procedure';
import { DescribedTable } from '../trials/DescribedTable';
import { notAside } from '../trials/openedList';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { Crossing } from './Crossing';
import { PassEntry } from './PassEntry';
import { PassTables } from './PassTables';

interface Props extends BenchProps {
  trials: LinePassTrials;
  lists: TrialListEntry[];
  /** The threshold that holds; null: none was found. */
  held: LightThresholdCalibration | null;
  /** What switching modes costs; null: nobody has timed it. */
  switched: ModeSwitchCalibration | null;
  /** Of the lines on its tables, the narrowest first. */
  widthsM: number[];
}

const LOOKS = [
  { value: 'one', label: 'in one mode' },
  { value: 'both', label: 'in two modes by turns' },
] as const;
const USUAL_SPEED_M_PER_S = 0.2;
const STEPS = [
  'Let the program stop by the line, from a start two hands away. Measure from the line’s edge to the middle of the sensor’s spot.',
  'Ten times forwards onto it. Then backwards, off the line, at another speed: each as often as you drive so.',
  'The same by its colour, or by the light of the room with the sensor’s lamp off: the passes stand side by side.',
  CARE_AT_THE_BENCH,
];
const REASONS = [
  'It was touched before it was measured',
  'The line was not flat',
  'Typed by mistake',
];

/** How fast a line may be crossed, and what passes over it show: misses, lateness, overruns, each way by itself. */
export default function Station({ robot, trials: loaded, lists, held, switched, widthsM }: Props) {
  const kept = useTrials(loaded);
  const { record, add, replace } = kept;
  const used = useMemo(() => notAside(record.trials), [record]);
  const study = useMemo(() => linePassesStudy(used), [used]);
  const [sensor] = devicesOf(robot.robot, 'light sensor');
  const [told, setTold] = useState({
    lineWidthM: widthsM[0] ?? CROSSING.lineWidthM.default ?? 0,
    spotM: sensor?.behaviour.spotDiameterM ?? CROSSING.spotM.default ?? 0,
    loopPeriodS: robot.robot.loopPeriodS,
    sensorPeriodS: sensor?.behaviour.periodS ?? robot.robot.loopPeriodS,
    readings: CROSSING.readings.default ?? 1,
  });
  const [speedMPerS, setSpeed] = useState(USUAL_SPEED_M_PER_S);
  const [looks, setLooks] = useState<'one' | 'both'>('one');
  const of = useMemo(() => {
    const sensorPeriodS =
      looks === 'both' && switched !== null
        ? bothModesApartS(switched.high95S, switched.oldReadings, told.sensorPeriodS)
        : told.sensorPeriodS;
    return { ...told, sensorPeriodS, share: shareToCount(held) };
  }, [told, held, looks, switched]);
  const crossing = useMemo(() => crossingStudy(of, speedMPerS), [of, speedMPerS]);
  const howFast = (
    <Crossing
      robotId={robot.id}
      hasSensor={sensor !== undefined}
      isMeasured={held !== null}
      modes={
        switched !== null && (
          <Choice label="The program looks" value={looks} options={LOOKS} onChange={setLooks} />
        )
      }
      of={{ ...of, sensorPeriodS: told.sensorPeriodS }}
      reckoned={of}
      onChange={(part) => setTold({ ...told, ...part })}
      speedMPerS={speedMPerS}
      onSpeed={setSpeed}
      study={crossing}
      isSaid={study === null}
    />
  );
  return (
    <TrialsShell<LinePassTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? crossing.sentences}
      what="pass"
      reasons={REASONS}
      caution="A line that it missed by itself is no reason: it will in a run, too."
      opening={null}
      see={study === null ? howFast : <PassTables study={study} />}
      know={study !== null && howFast}
      steps={STEPS}
      doing={
        <>
          <PassEntry
            robot={robot}
            held={held}
            lineWidthM={told.lineWidthM}
            speedMPerS={roundLength(USUAL_SPEED_M_PER_S)}
            onTrial={add}
          />
          <TrialsFile
            label="Passes over a line (CSV)"
            kind={LINE_PASS}
            onTake={(passes) => add(...passes)}
          />
        </>
      }
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <DescribedTable
          label="Passes"
          kind={LINE_PASS}
          trials={record.trials}
          {...{ ask, replace }}
        />
      )}
      apply={{
        value: study && calibrationFromLinePasses(study),
        evidence: used,
        label: 'Apply these stops…',
        applied: 'These hold from now on.',
        consequences: () => (
          <p>
            Kept with the robot: how far past a line’s edge it stands in each direction, at this
            speed. Take that off the way that follows in the program.
          </p>
        ),
      }}
    />
  );
}
