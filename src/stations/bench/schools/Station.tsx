import { CONTROLLER_ASKED, OVERSHOOT, WAYS_ASKED } from '../../../core/turns/waysAsked';
import { useEffect, useRef, useState } from 'react';
import type { Robot } from '../../../core/robot/robot';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { number } from '../../../core/text/quantities';
import type { TurnStrategy } from '../../../core/control/turn/schema';
import { adviceText, compareText } from '../../../core/turns/strategyText';
import type { StrategiesReply } from '../../../workers/turnStrategies.worker';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { Slider } from '../../../ui/fields/Slider';
import { sentenceOf } from '../../api';
import type { WorkerJob } from '../../inWorker';
import type { BenchProps } from '../procedure';
import { classes } from '../../../ui/classes';
import styles from '../Bench.module.css';
import { compareStrategies } from './compareStrategies';
import { StrategyResults } from './StrategyResults';

interface Props extends BenchProps {
  /** The robot as it was measured. */
  fitted: Robot;
  turnsNote: string;
}

interface Knobs {
  targetRad: number;
  rateRadPerS: number;
  leadRad: number;
  slowRateRadPerS: number;
  slowFromRad: number;
  kpPerS: number;
  kd: number;
  kiPerS2: number;
  overshootRad: number;
}

const FIRST: Knobs = {
  targetRad: radiansFromDegrees(90),
  rateRadPerS: radiansFromDegrees(150),
  leadRad: radiansFromDegrees(6),
  slowRateRadPerS: radiansFromDegrees(40),
  slowFromRad: radiansFromDegrees(30),
  kpPerS: 5,
  kd: 0.1,
  kiPerS2: 0.5,
  overshootRad: radiansFromDegrees(1),
};

function waysOf(knobs: Knobs): TurnStrategy[] {
  const { rateRadPerS, leadRad, slowRateRadPerS, slowFromRad, kpPerS, kd, kiPerS2 } = knobs;
  const proportional = {
    school: 'proportional' as const,
    rateRadPerS,
    kpPerS,
    leastRateRadPerS: 0.25,
    integralLimitRadPerS: 0.4,
    settledRad: radiansFromDegrees(1),
    settledRateRadPerS: radiansFromDegrees(5),
    settledS: 0.1,
  };
  return [
    { school: 'encoder', rateRadPerS },
    { school: 'stop-early', rateRadPerS, leadRad },
    {
      school: 'two-speed',
      rateRadPerS,
      slowRateRadPerS,
      slowFromRad,
      leadRad: leadRad * (slowRateRadPerS / rateRadPerS),
    },
    { ...proportional, kd: 0, kiPerS2: 0 },
    { ...proportional, kd, kiPerS2: 0 },
    { ...proportional, kd, kiPerS2 },
  ];
}

/** The comparison for the knobs as they stand, computed anew a moment after each change. */
function useComparison(props: Pick<Props, 'fitted'>, knobs: Knobs) {
  const [compared, setCompared] = useState<StrategiesReply | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const job = useRef<WorkerJob<StrategiesReply> | null>(null);
  const { fitted } = props;
  useEffect(() => {
    const timer = setTimeout(() => {
      job.current?.cancel();
      const started = compareStrategies({
        robot: fitted,
        schools: waysOf(knobs),
        targetRad: knobs.targetRad,
        overshootRad: knobs.overshootRad,
      });
      job.current = started;
      started.result.then(
        (result) => {
          setCompared(result);
          setProblem(null);
        },
        (error: unknown) => setProblem(sentenceOf(error)),
      );
    }, 60);
    return () => clearTimeout(timer);
  }, [fitted, knobs]);
  useEffect(() => () => job.current?.cancel(), []);
  return { compared, problem };
}

/** Ways to turn, simulated side by side on this robot, with sliders that answer at once. */
export default function Station({ fitted, turnsNote }: Props) {
  const [knobs, setKnobs] = useState(() => ({
    ...FIRST,
    kpPerS: fitted.measured.gains.turn ?? FIRST.kpPerS,
  }));
  const { compared, problem } = useComparison({ fitted }, knobs);
  const set = (part: Partial<Knobs>) => setKnobs((old) => ({ ...old, ...part }));
  const suggested = compared?.suggestedKpPerS ?? null;
  return (
    <>
      <div className={styles.verdict} data-testid="schools-sentence">
        <p className={styles.headline}>
          {compared === null ? 'Computing …' : compareText(compared.outcomes)}
        </p>
        {compared !== null && <p className={styles.next}>{adviceText(compared.outcomes)}</p>}
        <p className="faint">{turnsNote}</p>
      </div>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <ol className={styles.steps}>
          <li>Set the angle and the highest rate that your routes use.</li>
          <li>Push the sliders until the turn ends right and does not shake.</li>
          <li>Put the values into the program, and make three turn trials with it.</li>
        </ol>
        <div className={styles.fields}>
          <ValueField
            field={WAYS_ASKED.targetRad}
            value={knobs.targetRad}
            onChange={(targetRad) => set({ targetRad })}
          />
          <ValueField
            field={WAYS_ASKED.rateRadPerS}
            value={knobs.rateRadPerS}
            onChange={(rateRadPerS) => set({ rateRadPerS })}
          />
          <ValueField
            field={WAYS_ASKED.leadRad}
            value={knobs.leadRad}
            onChange={(leadRad) => set({ leadRad })}
          />
          <ValueField
            field={WAYS_ASKED.slowRateRadPerS}
            value={knobs.slowRateRadPerS}
            onChange={(slowRateRadPerS) => set({ slowRateRadPerS })}
          />
          <ValueField
            field={WAYS_ASKED.slowFromRad}
            value={knobs.slowFromRad}
            onChange={(slowFromRad) => set({ slowFromRad })}
          />
        </div>
        <div className={styles.fields}>
          <Slider
            field={CONTROLLER_ASKED.kpPerS}
            unit="1/s"
            step={0.1}
            value={knobs.kpPerS}
            onChange={(kpPerS) => set({ kpPerS })}
          />
          <Slider
            field={CONTROLLER_ASKED.kd}
            unit=""
            step={0.01}
            value={knobs.kd}
            onChange={(kd) => set({ kd })}
          />
          <Slider
            field={CONTROLLER_ASKED.kiPerS2}
            unit="1/s²"
            step={0.1}
            value={knobs.kiPerS2}
            onChange={(kiPerS2) => set({ kiPerS2 })}
          />
        </div>
        <div className={styles.actions}>
          <ValueField
            field={OVERSHOOT}
            value={knobs.overshootRad}
            onChange={(overshootRad) => set({ overshootRad })}
          />
          {suggested === null ? (
            <span>With so little room beyond the target no gain settles.</span>
          ) : (
            <>
              <span data-testid="suggested-gain">
                The largest P gain that stays within it: <strong>{number(suggested, 1)} 1/s</strong>
              </span>
              <Button onClick={() => set({ kpPerS: Math.round(suggested * 10) / 10 })}>
                Use it
              </Button>
            </>
          )}
        </div>
      </section>
      {compared !== null && (
        <StrategyResults outcomes={compared.outcomes} targetRad={knobs.targetRad} />
      )}
    </>
  );
}
