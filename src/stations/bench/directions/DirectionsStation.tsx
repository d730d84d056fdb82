import { useEffect, useRef, useState } from 'react';
import {
  judgeDirection,
  signDifferences,
  type DirectionResult,
  type DirectionStep,
} from '../../../core/directionCheck';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { RawSigns } from '../../../core/robot';
import type { StandInAction } from '../../../core/standIn/act';
import type { Reading } from '../../../formats/readings';
import { rawLogOf } from '../../../formats/rawLog';
import { Button } from '../../../ui/Button';
import { Notice, Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { sentenceOf } from '../../api';
import { useSaved } from '../../useSaved';
import { ConflictDialog } from '../../ConflictDialog';
import { BenchLayout, type BenchProps } from '../BenchLayout';
import styles from '../Bench.module.css';
import { FileSource } from '../FileSource';
import { SourceChoice, type Source } from '../SourceChoice';
import { hasSerial, listenTo, type LiveSource } from '../sources';
import { doWithStandIn } from '../standIn/standInStore';
import { useStandInIsOn, useStandsInFor } from '../standIn/useStandIn';

const STEPS: {
  step: DirectionStep;
  title: string;
  how: string;
  byHand: StandInAction;
  handLabel: string;
}[] = [
  {
    step: 'turn-left',
    title: 'Turn it to the left',
    how: 'Press start, turn the robot a quarter to the left by hand, press done.',
    byHand: { do: 'turn-by-hand', angleRad: radiansFromDegrees(90) },
    handLabel: 'A hand turns the stand-in left',
  },
  {
    step: 'roll-forward',
    title: 'Roll it forward',
    how: 'Press start, roll the robot about 30 cm forward on its wheels, press done.',
    byHand: { do: 'roll-by-hand', distanceM: 0.3 },
    handLabel: 'A hand rolls the stand-in forward',
  },
  {
    step: 'tilt',
    title: 'Tilt it',
    how: 'Press start, lift its nose and put it down again, press done.',
    byHand: { do: 'tilt' },
    handLabel: 'A hand tilts the stand-in',
  },
];

const UNSIGNED: RawSigns = { heading: 1, leftMotor: 1, rightMotor: 1 };

type Results = Partial<Record<DirectionStep, DirectionResult>>;

/** Readings between "start" and "done". */
function useBetween(source: LiveSource, onDone: (readings: Reading[]) => void) {
  const stop = useRef<(() => void) | null>(null);
  const kept = useRef<Reading[]>([]);
  const [active, setActive] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const start = async () => {
    setProblem(null);
    kept.current = [];
    try {
      stop.current = await listenTo(source, (readings) => kept.current.push(...readings));
      setActive(true);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const done = () => {
    stop.current?.();
    stop.current = null;
    setActive(false);
    onDone(kept.current);
  };
  return { active, start, done, problem };
}

interface StepProps {
  entry: (typeof STEPS)[number];
  source: Source;
  result: DirectionResult | undefined;
  standInReady: boolean;
  onResult(result: DirectionResult): void;
}

function Step({ entry, source, result, standInReady, onResult }: StepProps) {
  const live = source === 'file' ? 'stand-in' : source;
  const between = useBetween(live, (readings) =>
    onResult(judgeDirection(entry.step, rawLogOf(readings))),
  );
  const ready = source === 'serial' ? hasSerial() : standInReady;
  return (
    <section aria-label={entry.title} className={styles.tool}>
      <h2>{entry.title}</h2>
      <p>{source === 'file' ? 'A log of just this, with raw readings:' : entry.how}</p>
      {source === 'file' ? (
        <FileSource
          signs={UNSIGNED}
          onLog={({ log }) =>
            onResult(
              judgeDirection(entry.step, {
                headingRad: log.columns.headingRad ?? null,
                leftMotorDegrees: log.columns.leftMotorDegrees ?? null,
                rightMotorDegrees: log.columns.rightMotorDegrees ?? null,
              }),
            )
          }
        />
      ) : (
        <div className={styles.actions}>
          {between.active ? (
            <>
              {source === 'stand-in' && (
                <Button onClick={() => void doWithStandIn(entry.byHand)}>{entry.handLabel}</Button>
              )}
              <Button look="strong" onClick={between.done}>
                Done
              </Button>
            </>
          ) : (
            <Button disabled={!ready} onClick={() => void between.start()}>
              Start
            </Button>
          )}
        </div>
      )}
      {between.problem !== null && <Notice tone="fault">{between.problem}</Notice>}
      {result !== undefined && (
        <Notice tone={result.ok ? 'good' : 'careful'}>{result.sentence}</Notice>
      )}
    </section>
  );
}

function headlineOf(results: Results, record: RawSigns, found: Partial<RawSigns>): string {
  const known = Object.keys(found).length;
  if (known === 0) {
    return 'Which way is positive? Three moves by hand tell how the raw readings grow, once and for all.';
  }
  const wrong = signDifferences(record, found);
  if (wrong.length > 0) {
    return `The record has ${wrong.join(' and ')} the wrong way round: take over what was found.`;
  }
  return known === 3 && results.tilt?.ok === true
    ? 'All readings grow the way the record says, and the sensor lies flat.'
    : 'So far the readings grow the way the record says.';
}

/** Directions: which way each raw reading grows, and whether the heading sensor lies flat. */
export function DirectionsStation({ robot, robots }: BenchProps) {
  const [toast, tell] = useToast();
  const saved = useSaved('robots', robot, () => tell('The record is put right.'));
  const [source, setSource] = useState<Source>('stand-in');
  const [results, setResults] = useState<Results>({});
  const fits = useStandsInFor(robot.id);
  const isOn = useStandInIsOn();
  const found: Partial<RawSigns> = {
    ...results['turn-left']?.signs,
    ...results['roll-forward']?.signs,
  };
  const record = saved.saved.robot.signs;
  const wrong = signDifferences(record, found);
  const takeOver = () =>
    void saved.save({
      ...saved.saved,
      robot: { ...saved.saved.robot, signs: { ...record, ...found } },
    });
  return (
    <BenchLayout robot={saved.saved} robots={robots} current="directions">
      <p className={styles.headline} data-testid="directions-verdict">
        {headlineOf(results, record, found)}
      </p>
      <div className={styles.fields}>
        <SourceChoice value={source} onChange={setSource} />
        {source === 'stand-in' && isOn === false && (
          <span className="faint">The stand-in is switched off.</span>
        )}
        {source === 'stand-in' && fits === false && (
          <span className="faint">The stand-in stands in for another robot.</span>
        )}
      </div>
      <div className={styles.tools}>
        {STEPS.map((entry) => (
          <Step
            key={entry.step}
            entry={entry}
            source={source}
            result={results[entry.step]}
            standInReady={fits === true && isOn === true}
            onResult={(result) => setResults((old) => ({ ...old, [entry.step]: result }))}
          />
        ))}
      </div>
      {wrong.length > 0 && (
        <div className={styles.actions}>
          <Button look="strong" disabled={saved.saving} onClick={takeOver}>
            Take this over into the record
          </Button>
        </div>
      )}
      {saved.problem !== null && <Notice tone="fault">{saved.problem}</Notice>}
      {saved.theirs !== null && (
        <ConflictDialog
          what="robot"
          mine={saved.draft}
          theirs={saved.theirs}
          onKeepMine={(mine) => void saved.save(mine)}
          onTakeTheirs={saved.accept}
          onClose={saved.dismiss}
        />
      )}
      <Toast text={toast} />
    </BenchLayout>
  );
}
