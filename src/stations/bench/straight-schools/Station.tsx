import { GAINS_ASKED, WAYS_ASKED } from '../../../core/drive/waysAsked';
import { useEffect, useState } from 'react';
import { straightStrategySentences } from '../../../core/drive/straightStrategyText';
import {
  MISHAPS,
  STRAIGHT_WAYS,
  type Mishap,
  type StraightOutcome,
} from '../../../core/drive/straightStrategies';
import type { Robot } from '../../../core/robot/robot';
import { benchScale, errorFigure, errorScale } from '../../../core/text/lengths';
import { errorLength, headingText, number } from '../../../core/text/quantities';
import { asTyped, SHOWN } from '../../../core/control/tuned';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { Select } from '../../../ui/fields/Select';
import { Table } from '../../../ui/Table';
import { gainUnit } from '../../../ui/fields/units';
import { sentenceOf } from '../../api';
import { classes } from '../../../ui/classes';
import styles from '../Bench.module.css';
import type { WorkerJob } from '../../inWorker';
import type { BenchProps } from '../procedure';
import { compareWays } from './compareWays';

interface Props extends BenchProps {
  /** The robot as it was measured. */
  fitted: Robot;
}

/** With the gains that were tuned, where they were. */
const firstFor = ({ measured }: Robot) => ({
  distanceM: 1,
  speedMPerS: 0.25,
  gains: {
    headingMPerSPerRad: asTyped(
      'heading-hold',
      measured.gains['heading-hold'] ?? SHOWN['heading-hold'].usual,
    ),
    balancePerS: asTyped('balance', measured.gains.balance ?? SHOWN.balance.usual),
  },
});
type Wanted = ReturnType<typeof firstFor>;
/** A moment after the last change. */
const SETTLED_MS = 80;

function useOutcomes(robot: Robot, wanted: Wanted) {
  const [outcomes, setOutcomes] = useState<StraightOutcome[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let job: WorkerJob<StraightOutcome[]> | null = null;
    const timer = setTimeout(() => {
      job = compareWays({ robot, ...wanted });
      job.result.then(
        (found) => {
          setOutcomes(found);
          setProblem(null);
        },
        (error: unknown) => setProblem(sentenceOf(error)),
      );
    }, SETTLED_MS);
    return () => {
      clearTimeout(timer);
      job?.cancel();
    };
  }, [robot, wanted]);
  return { outcomes, problem };
}

const LOOKS = [
  { tone: 'predicted', dashed: false },
  { tone: 'predicted', dashed: true },
  { tone: 'faint', dashed: false },
  { tone: 'faint', dashed: true },
] as const;
const SIGNS = ['green', 'green, dashed', 'grey', 'grey, dashed'] as const;

function Paths({ outcomes, mishap }: { outcomes: StraightOutcome[]; mishap: Mishap['id'] }) {
  const { title } = MISHAPS.find(({ id }) => id === mishap) ?? { title: '' };
  const shown = STRAIGHT_WAYS.map((way) =>
    outcomes.find((one) => one.way === way.id && one.mishap === mishap),
  );
  return (
    <Frame
      title={`Where it drives: ${title}`}
      sentence="One drive of each way, seen from above; to the left is up."
      legend={STRAIGHT_WAYS.map(({ title: way }, i) => `${SIGNS[i] ?? ''}: ${way}`).join('   ')}
    >
      <Plot
        label={`Paths of each way of driving straight: ${title}.`}
        xTitle={`along the plan, ${benchScale().label}`}
        yTitle={`to the left, ${errorScale().label}`}
        curves={STRAIGHT_WAYS.map((way, i) => ({
          label: way.title,
          points: (shown[i]?.path ?? []).map(({ alongM, leftM }) => ({
            x: alongM * benchScale().perM,
            y: errorFigure(leftM),
          })),
          look: 'line',
          ...(LOOKS[i] ?? LOOKS[0]),
        }))}
      />
    </Frame>
  );
}

const Outcomes = ({ outcomes }: { outcomes: StraightOutcome[] }) => (
  <Table
    label="What each way comes to"
    rows={STRAIGHT_WAYS}
    keyOf={({ id }) => id}
    columns={[
      { title: 'The program', head: true, cell: ({ title }) => title },
      ...MISHAPS.map((mishap) => ({
        title: mishap.title,
        number: true,
        cell: ({ id }: (typeof STRAIGHT_WAYS)[number]) => {
          const one = outcomes.find(({ way, mishap: under }) => way === id && under === mishap.id);
          return (
            one !== undefined && (
              <>
                {errorLength(one.sidewaysM)} ± {errorLength(one.sidewaysSdM)}
                <br />
                <small className="faint">{headingText(one.headingRad)}</small>
              </>
            )
          );
        },
      })),
      {
        title: 'Takes',
        number: true,
        cell: ({ id }) => `${number(outcomes.find(({ way }) => way === id)?.timeS ?? 0, 1)} s`,
      },
    ]}
  />
);

/** Ways of driving straight, simulated side by side on this robot, with what may happen on the way. */
export default function Station({ fitted }: Props) {
  const [wanted, setWanted] = useState(() => firstFor(fitted));
  const [mishap, setMishap] = useState<Mishap['id']>('turned-off');
  const { outcomes, problem } = useOutcomes(fitted, wanted);
  const says = outcomes && straightStrategySentences(outcomes, wanted.distanceM);
  const set = (part: Partial<Wanted>) => setWanted((old) => ({ ...old, ...part }));
  const setGains = (part: Partial<Wanted['gains']>) =>
    setWanted((old) => ({ ...old, gains: { ...old.gains, ...part } }));
  return (
    <>
      <div className={styles.verdict} data-testid="verdict">
        <p className={styles.headline}>{says?.found ?? 'Computing …'}</p>
        {says !== null && (
          <>
            <p>{says.means}</p>
            <p className={styles.next}>{says.next}</p>
          </>
        )}
      </div>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <div className={styles.fields}>
          <ValueField
            field={WAYS_ASKED.distanceM}
            value={wanted.distanceM}
            onChange={(distanceM) => set({ distanceM })}
          />
          <ValueField
            field={WAYS_ASKED.speedMPerS}
            value={wanted.speedMPerS}
            onChange={(speedMPerS) => set({ speedMPerS })}
          />
          <ValueField
            field={GAINS_ASKED.headingMPerSPerRad}
            unit={gainUnit('heading-hold')}
            value={wanted.gains.headingMPerSPerRad}
            onChange={(headingMPerSPerRad) => setGains({ headingMPerSPerRad })}
          />
          <ValueField
            field={GAINS_ASKED.balancePerS}
            unit={gainUnit('balance')}
            value={wanted.gains.balancePerS}
            onChange={(balancePerS) => setGains({ balancePerS })}
          />
          <Select
            label="What happens"
            value={mishap}
            options={MISHAPS.map(({ id, title }) => ({ value: id, label: title }))}
            onChange={(id) => setMishap(MISHAPS.find((one) => one.id === id)?.id ?? 'nothing')}
          />
        </div>
      </section>
      {outcomes !== null && (
        <>
          <Paths outcomes={outcomes} mishap={mishap} />
          <Outcomes outcomes={outcomes} />
          <small className="faint">
            Each figure is of forty simulated drives: so far to the left of the plan (− to its
            right) ± the spread, and the heading at the end.
          </small>
        </>
      )}
    </>
  );
}
