import { TIME_LEFT } from '../../../core/gyro/still/description';
import { useState } from 'react';
import { measuredDrift } from '../../../core/gyro/driftText';
import {
  notPossible,
  proveRezero,
  recommendStrategy,
  strategyRecords,
  stillTimeNeeded,
} from '../../../core/gyro/rezero';
import type { RezeroStrategy } from '../../../core/robot/rezeroStrategies';
import type { SavedStillCheck } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { Empty, Toast } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { useToast } from '../../../ui/useToast';
import { useSaved } from '../../useSaved';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';
import { RecordTakeOver } from '../RecordTakeOver';
import { StillProcedure } from '../still/StillProcedure';
import { Recipe } from './Recipe';
import { StrategyTable } from './StrategyTable';
import { strategyTrials } from './trials';

interface Props extends BenchProps {
  checks: SavedStillCheck[];
}

/** Getting rid of drift: five ways, one recommended, and a check that proves that it helped. */
export default function Station({ robot, checks: loaded }: Props) {
  const [checks, setChecks] = useState(loaded);
  const [chosen, setChosen] = useState<RezeroStrategy | null>(null);
  const [timeS, setTime] = useState(120);
  const [proof, setProof] = useState<string | null>(null);
  const [toast, tell] = useToast();
  const used = checks.filter(({ setAsideReason }) => setAsideReason === null);
  const saved = useSaved<RobotRecord>('robots', robot, () => tell('Kept in the robot’s record.'));
  const recorded = saved.saved.robot;
  const records = strategyRecords(strategyTrials(checks), recorded);
  const before = used[0];
  if (before === undefined) {
    return (
      <>
        <Empty
          title="First measure the drift"
          action={<a href={`/bench/still?robot=${robot.id}`}>To the still check</a>}
        >
          What helps depends on how fast the heading creeps, and only a check before tells whether
          anything has helped.
        </Empty>
      </>
    );
  }
  const { result, runDurationS, toleranceRad, settings } = before;
  const allowedRad = settings.driftShare * toleranceRad;
  const recommendation = recommendStrategy(
    {
      verdict: result.verdict,
      driftRadPerS: result.driftRadPerS,
      walkRadPerSqrtS: result.randomWalkRadPerSqrtS,
      runDurationS,
      allowedRad,
      healthyRadPerS: settings.healthyRadPerS,
      timeS,
    },
    records,
  );
  const stillS = stillTimeNeeded(result.randomWalkRadPerSqrtS, runDurationS, allowedRad);
  const cannot = notPossible(recorded);
  const change = (school: RezeroStrategy, part: { isPossible?: boolean; takesS?: number }) => {
    const { driftCures } = recorded.build;
    const cure = { isPossible: true, takesS: null, ...driftCures[school], ...part };
    const build = { ...recorded.build, driftCures: { ...driftCures, [school]: cure } };
    void saved.save({ ...saved.saved, robot: { ...recorded, build } });
  };
  const record = records.find(({ facts }) => facts.school === chosen);
  return (
    <>
      <div className={styles.verdict} data-testid="rezero-verdict">
        {proof === null ? (
          <>
            <p className={styles.headline}>
              The last check found {measuredDrift(result)}.{' '}
              {recommendation === null && 'The sensor is steady: there is nothing to get rid of.'}
            </p>
            {recommendation !== null && (
              <>
                <p>{recommendation.reason}</p>
                {recommendation.school !== null && (
                  <p className={styles.next}>
                    {
                      records.find(({ facts }) => facts.school === recommendation.school)?.facts
                        .title
                    }
                    .
                  </p>
                )}
              </>
            )}
          </>
        ) : (
          <p className={styles.headline} data-testid="rezero-proof">
            {proof}
          </p>
        )}
      </div>
      <div className={styles.fields}>
        <ValueField field={TIME_LEFT} value={timeS} onChange={setTime} />
      </div>
      <StrategyTable
        records={records}
        stillS={stillS}
        recommended={recommendation?.school ?? null}
        chosen={chosen}
        onChoose={(school) => {
          setChosen(school);
          setProof(null);
        }}
      />
      {cannot.length > 0 && (
        <p className="faint" data-testid="not-possible">
          Not for this kit:{' '}
          {cannot.map(({ school, title }) => (
            <Button key={school} onClick={() => change(school, { isPossible: true })}>
              {title}: it can
            </Button>
          ))}
        </p>
      )}
      <RecordTakeOver saved={saved} label={null} change={(same) => same} />
      {record !== undefined && (
        <>
          <Recipe
            key={`recipe ${record.facts.school}`}
            record={record}
            takesS={record.facts.takesS ?? stillS}
            onTakes={(takesS) => change(record.facts.school, { takesS })}
            onNotPossible={() => {
              change(record.facts.school, { isPossible: false });
              setChosen(null);
            }}
          />
          <StillProcedure
            key={record.facts.school}
            robot={robot}
            school={record.facts.school}
            beforeId={before.id}
            lastSettings={settings}
            known={checks}
            intro={<h2>Then check again: did it help?</h2>}
            onSaved={(check) => {
              setProof(proveRezero(result, check.result));
              setChecks((old) => [check, ...old]);
              tell('The check is kept.');
            }}
          />
        </>
      )}
      <Toast text={toast} />
    </>
  );
}
