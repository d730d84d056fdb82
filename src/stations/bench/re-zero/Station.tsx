import { useState } from 'react';
import {
  proveRezero,
  recommendSchool,
  schoolRecords,
  stillTimeNeeded,
  type RezeroSchool,
  type SchoolRecord,
} from '../../../core/gyro/rezero';
import { driftText, measuredDrift } from '../../../core/gyro/driftText';
import { headingIsBuiltIn } from '../../../core/units/ofRobot';
import type { StandInAction } from '../../../core/standIn/act';
import { clock, percent } from '../../../core/text/quantities';
import type { SavedStillCheck } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Empty, Toast } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { SECONDS } from '../../../ui/units';
import { useToast } from '../../../ui/useToast';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { doWithStandIn } from '../standIn/standInStore';
import { schoolTrials } from './trials';
import { StillProcedure } from '../still/StillProcedure';
import { GateLine } from './GateLine';

interface Props extends BenchProps {
  checks: SavedStillCheck[];
}

const ON_STAND_IN: Partial<Record<RezeroSchool, { label: string; actions: StandInAction[] }>> = {
  restart: {
    label: 'Restart the stand-in, lying still',
    actions: [{ do: 'power-off' }, { do: 'power-on', inHand: false }],
  },
  reconnect: {
    label: 'Unplug and plug in the stand-in’s sensor',
    actions: [{ do: 'reconnect-sensor', inHand: false }],
  },
  're-initialise': {
    label: 'Let the stand-in’s program start its sensor anew',
    actions: [{ do: 'reinitialise-sensor', inHand: false }],
  },
};

function soFar({ success, worked, tried }: SchoolRecord): string {
  if (success === null) return 'never tried here';
  return `${worked} of ${tried} (${percent(success.low95)} to ${percent(success.high95)})`;
}

interface TableProps {
  records: SchoolRecord[];
  /** How long this robot has to stand still before a run; null: no time is enough. */
  stillS: number | null;
  recommended: RezeroSchool | null;
  chosen: RezeroSchool | null;
  onChoose(school: RezeroSchool): void;
}

function SchoolTable({ records, stillS, recommended, chosen, onChoose }: TableProps) {
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label="Ways to get rid of drift">
        <thead>
          <tr>
            <th>Way</th>
            <th className={styles.number}>Takes</th>
            <th>Needs</th>
            <th>Worked here</th>
            <th className={styles.number}>Drift left</th>
            <th>
              <span className="visually-hidden">Choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {records.map((record) => {
            const { facts, leftRadPerS } = record;
            const isBest = facts.school === recommended;
            return (
              <tr key={facts.school}>
                <td>
                  {isBest ? <strong>{facts.title}</strong> : facts.title}
                  {isBest && <small> (recommended)</small>}
                </td>
                <td className={styles.number}>
                  {facts.takesS === null
                    ? stillS === null
                      ? 'no time is enough'
                      : clock(stillS)
                    : clock(facts.takesS)}
                </td>
                <td>{facts.needs}</td>
                <td>{soFar(record)}</td>
                <td className={styles.number}>
                  {leftRadPerS === null ? '–' : driftText(leftRadPerS)}
                </td>
                <td>
                  <Button
                    look={isBest && chosen === null ? 'strong' : 'quiet'}
                    aria-pressed={chosen === facts.school}
                    aria-label={`Try: ${facts.title}`}
                    onClick={() => onChoose(facts.school)}
                  >
                    Try it
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The chosen way step by step, on the stand-in with one button. */
function Steps({ record }: { record: SchoolRecord }) {
  const [refused, setRefused] = useState<string | null>(null);
  const onStandIn = ON_STAND_IN[record.facts.school];
  const act = async (actions: StandInAction[]) => {
    for (const action of actions) {
      const problem = await doWithStandIn(action);
      setRefused(problem);
      if (problem !== null) return;
    }
  };
  return (
    <section aria-label="Steps" className={styles.do}>
      <h2>{record.facts.title}</h2>
      <ol className={styles.steps}>
        {record.facts.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {onStandIn !== undefined && (
        <div className={styles.actions}>
          <Button onClick={() => void act(onStandIn.actions)}>{onStandIn.label}</Button>
        </div>
      )}
      {refused !== null && (
        <p role="alert" className={styles.problem}>
          {refused}
        </p>
      )}
      <GateLine />
    </section>
  );
}

/** Getting rid of drift: five ways, one recommended, and a check that proves that it helped. */
export default function Station({ robot, checks: loaded }: Props) {
  const [checks, setChecks] = useState(loaded);
  const [chosen, setChosen] = useState<RezeroSchool | null>(null);
  const [timeS, setTime] = useState(120);
  const [proof, setProof] = useState<string | null>(null);
  const [toast, tell] = useToast();
  const used = checks.filter(({ setAsideReason }) => setAsideReason === null);
  const records = schoolRecords(schoolTrials(checks), headingIsBuiltIn(robot.robot));
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
  const recommendation = recommendSchool(
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
        <NumberField
          label="Time before the next run"
          unit={SECONDS}
          min={0}
          max={3600}
          value={timeS}
          onChange={setTime}
        />
      </div>
      <SchoolTable
        records={records}
        stillS={stillTimeNeeded(result.randomWalkRadPerSqrtS, runDurationS, allowedRad)}
        recommended={recommendation?.school ?? null}
        chosen={chosen}
        onChoose={(school) => {
          setChosen(school);
          setProof(null);
        }}
      />
      {record !== undefined && (
        <>
          <Steps record={record} />
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
