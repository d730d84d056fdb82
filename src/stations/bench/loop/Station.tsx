import { TURNS_AT } from '../../../core/loop/description';
import { useMemo, useState } from 'react';
import { loopStudy, offInRecord } from '../../../core/loop/loopStudy';
import { loopRounds } from '../../../core/loop/loopTiming';
import { measuredLoop, type CountedRounds } from '../../../core/loop/loopByHand';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { counted as counting, number } from '../../../core/text/quantities';
import type { Log } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Notice, Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { useSaved } from '../../useSaved';
import { ValueField } from '../../../ui/fields/ValueField';
import { MILLISECONDS } from '../../../ui/fields/units';
import { classes } from '../../../ui/classes';
import styles from '../Bench.module.css';
import { LogSource } from '../logs/LogSource';
import type { BenchProps } from '../procedure';
import { RecordTakeOver } from '../RecordTakeOver';
import { ByHand } from './ByHand';
import { ModeSwitch } from './ModeSwitch';
import { ProgramButton } from '../standIn/ProgramButton';
import { useProgram } from '../standIn/useProgram';

/** A usual turn. */
const USUAL_RAD_PER_S = radiansFromDegrees(180);
const QUARTER_RAD = Math.PI / 2;

/** From any log with time stamps: how often the program looks, how late its heading sensor is, what that costs. */
export default function Station({ robot }: BenchProps) {
  const [taken, setTaken] = useState<{ log: Log; name: string } | null>(null);
  const [rateRadPerS, setRate] = useState(USUAL_RAD_PER_S);
  const program = useProgram();
  const study = useMemo(
    () => (taken === null ? null : loopStudy(taken.log, rateRadPerS)),
    [taken, rateRadPerS],
  );
  const [toast, tell] = useToast();
  const saved = useSaved('robots', robot, () => tell('The record is put right.'));
  const record = saved.saved.robot;
  const [counted, setCounted] = useState<CountedRounds>({ rounds: null, durationS: 10 });
  const measured = measuredLoop(study, counted);
  const rounds = useMemo(() => (taken === null ? [] : loopRounds(taken.log.tS)), [taken]);
  const turn = () =>
    void program.run(
      [QUARTER_RAD, -QUARTER_RAD].map((angleRad) => ({
        kind: 'turn' as const,
        angleRad,
        how: { school: 'encoder' as const, rateRadPerS: QUARTER_RAD },
      })),
      () => undefined,
    );
  return (
    <>
      {study === null ? (
        <p className={styles.headline}>
          Take any log in which the robot turns: its time stamps tell how often the program looks,
          and its encoders how late the heading sensor is.
        </p>
      ) : (
        <div className={styles.verdict} data-testid="verdict">
          <p className={styles.headline}>{study.sentences.found}</p>
          <p>{study.sentences.means}</p>
          <p className={styles.next}>{study.sentences.next}</p>
        </div>
      )}
      {study !== null && taken !== null && (
        <Frame
          title={`Time from one round to the next, ${taken.name}`}
          sentence={`${counting(study.timing.rounds, 'round')}.`}
          legend="— each round"
        >
          <Plot
            label={`Period of the loop over the log. ${study.sentences.found}`}
            xTitle="time, s"
            yTitle="a round took, ms"
            yFromZero
            curves={[
              {
                label: 'rounds',
                points: rounds.map(({ atS, tookS }) => ({ x: atS, y: MILLISECONDS.show(tookS) })),
                tone: 'measured',
                look: 'line',
              },
            ]}
          />
        </Frame>
      )}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <ol className={styles.steps}>
          <li>
            Let the program write its clock in every round; heading and motors too, if it can.
          </li>
          <li>Let the robot turn left and right a few times meanwhile.</li>
        </ol>
        <div className={styles.fields}>
          <ValueField field={TURNS_AT} value={rateRadPerS} onChange={setRate} />
        </div>
        <LogSource
          robot={robot}
          meanwhile="Let the robot turn left and right."
          standInDoes={
            <ProgramButton
              program={program}
              label="Let the stand-in turn"
              busy="The stand-in turns …"
              onClick={turn}
            />
          }
          onLog={(log, name) => setTaken({ log, name })}
        />
        <ByHand rateRadPerS={rateRadPerS} counted={counted} onCounted={setCounted} />
        <ModeSwitch
          robot={saved.saved}
          log={taken?.log ?? null}
          onApplied={() => tell('This holds from now on.')}
        />
        {program.problem !== null && <Notice tone="fault">{program.problem}</Notice>}
      </section>
      <p className="faint">
        The record says a period of {number(1000 * record.loopPeriodS, 1)} ms, and a lag of the
        motors of {number(1000 * record.motors.lagS)} ms.
      </p>
      <RecordTakeOver
        saved={saved}
        label={measured && offInRecord(measured, record)}
        change={(old) =>
          measured === null
            ? old
            : {
                ...old,
                loopPeriodS: measured.periodS,
                motors: { ...old.motors, lagS: measured.motorLagS ?? old.motors.lagS },
              }
        }
      />
      <Toast text={toast} />
    </>
  );
}
