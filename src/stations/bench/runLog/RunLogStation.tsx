import { useEffect, useState } from 'react';
import { ulid } from 'ulid';
import { decimate } from '../../../core/chart/decimate';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import type { RunLogStudy } from '../../../core/gyro/runLog';
import { driftText } from '../../../core/gyro/stillSentence';
import { counted, degrees, number } from '../../../core/text/quantities';
import type { Log } from '../../../formats/toLog';
import { readAnchors, type AnchorRow } from '../../../formats/trialsCsv';
import { Button } from '../../../ui/Button';
import { Plot, type Curve } from '../../../ui/chart/Plot';
import { Figure } from '../../../ui/Figure';
import { Frame } from '../../../ui/Frame';
import { Notice } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { TextField } from '../../../ui/TextField';
import { DEG, SECONDS } from '../../../ui/units';
import { sentenceOf } from '../../api';
import { BenchLayout, type BenchProps } from '../BenchLayout';
import styles from '../Bench.module.css';
import { studyRun } from '../benchWorker';
import { FileSource } from '../FileSource';
import { TrialsFile } from '../TrialsFile';

interface Anchored extends AnchorRow {
  id: string;
}

const START: Anchored = { id: 'start', tS: 0, headingRad: 0, what: 'start jig' };
const MOST_POINTS = 1500;

function curvesOf(log: Log, study: RunLogStudy): Curve[] {
  const start = log.tS[0] ?? 0;
  const times = log.tS.map((t) => t - start);
  const line = (
    label: string,
    values: Float64Array,
    look: Pick<Curve, 'tone' | 'dashed'>,
  ): Curve => ({
    label,
    points: decimate(times, values.map(degreesFromRadians), MOST_POINTS),
    look: 'line',
    ...look,
  });
  const { headingRad } = log.columns;
  return [
    ...(headingRad === undefined
      ? []
      : [line('heading as read', headingRad, { tone: 'measured' })]),
    ...(study.encoderRad === null
      ? []
      : [line('heading by the encoders', study.encoderRad, { tone: 'faint', dashed: true })]),
    ...(study.correction === null
      ? []
      : [
          line(
            'heading, corrected',
            Float64Array.from(study.correction.corrected, (sample) => sample.headingRad),
            { tone: 'predicted' },
          ),
        ]),
  ];
}

function Figures({ study }: { study: RunLogStudy }) {
  const { loop, lagS, partings } = study;
  return (
    <dl className={styles.figures}>
      <Figure
        label="Loop of the program"
        value={number(loop.meanS * 1000, 1)}
        unit="ms"
        detail={`at worst ${number(loop.worstS * 1000)} ms`}
        tone="measured"
      />
      <Figure
        label="Gyro comes after the encoders by"
        value={lagS === null ? null : number(lagS * 1000)}
        unit="ms"
        detail={lagS === null ? 'it needs encoders and turns' : undefined}
        tone="measured"
      />
      <Figure
        label="Gyro and encoders part"
        value={study.encoderRad === null ? null : number(partings.length)}
        unit={partings.length === 1 ? 'time' : 'times'}
        detail={partings
          .slice(0, 3)
          .map(({ fromS, changeRad }) => `${degrees(changeRad)} at ${number(fromS, 1)} s`)
          .join(', ')}
        tone={partings.length > 0 ? 'fault' : 'measured'}
      />
    </dl>
  );
}

function PieceTable({ study }: { study: RunLogStudy }) {
  if (study.correction === null) return null;
  return (
    <table className={styles.table} aria-label="Drift between the anchors">
      <thead>
        <tr>
          <th>From</th>
          <th>To</th>
          <th className={styles.number}>Drift</th>
        </tr>
      </thead>
      <tbody>
        {study.correction.pieces.map(({ fromS, toS, driftRadPerS }) => (
          <tr key={fromS}>
            <td>{number(fromS, 1)} s</td>
            <td>{number(toS, 1)} s</td>
            <td className={styles.number} data-testid="piece-drift">
              {driftText(driftRadPerS)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function AnchorTable({
  anchors,
  onChange,
}: {
  anchors: Anchored[];
  onChange(next: Anchored[]): void;
}) {
  const set = (id: string, part: Partial<AnchorRow>) =>
    onChange(anchors.map((one) => (one.id === id ? { ...one, ...part } : one)));
  return (
    <div className={styles.file}>
      {anchors.map((anchor, i) => (
        <div key={anchor.id} className={styles.fields}>
          <NumberField
            label={`Anchor ${i + 1} at`}
            unit={SECONDS}
            min={-1e6}
            max={1e6}
            value={anchor.tS}
            onChange={(tS) => set(anchor.id, { tS })}
          />
          <NumberField
            label="True heading"
            unit={DEG}
            min={-36000}
            max={36000}
            value={anchor.headingRad}
            onChange={(headingRad) => set(anchor.id, { headingRad })}
          />
          <TextField
            label="Known by"
            value={anchor.what}
            maxLength={80}
            onChange={(what) => set(anchor.id, { what })}
          />
          <Button
            look="bare"
            aria-label={`Remove anchor ${i + 1}`}
            onClick={() => onChange(anchors.filter(({ id }) => id !== anchor.id))}
          >
            Remove
          </Button>
        </div>
      ))}
      <div className={styles.actions}>
        <Button
          onClick={() =>
            onChange([
              ...anchors,
              {
                id: ulid(),
                tS: (anchors.at(-1)?.tS ?? 0) + 10,
                headingRad: radiansFromDegrees(0),
                what: '',
              },
            ])
          }
        >
          + Anchor
        </Button>
      </div>
    </div>
  );
}

/** A recorded run: mark where the true heading is known, and see the heading before and after. */
export function RunLogStation({ robot, robots }: BenchProps) {
  const [log, setLog] = useState<Log | null>(null);
  const [anchors, setAnchors] = useState<Anchored[]>([START]);
  const [study, setStudy] = useState<RunLogStudy | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const doubled = new Set(anchors.map(({ tS }) => tS)).size < anchors.length;
  useEffect(() => {
    if (log === null || doubled) return undefined;
    const job = studyRun(
      log,
      anchors.map(({ tS, headingRad }) => ({ tS, headingRad })),
      robot.robot,
    );
    job.result.then(
      (result) => {
        setStudy(result);
        setProblem(null);
      },
      (error: unknown) => setProblem(sentenceOf(error)),
    );
    return job.cancel;
  }, [log, anchors, doubled, robot]);
  return (
    <BenchLayout robot={robot} robots={robots} current="run-log">
      {study === null ? (
        <p className={styles.headline}>
          Load the log of a run and mark the moments at which you know the true heading: Corvat says
          how the reading drifted, and what the heading was.
        </p>
      ) : (
        <div className={styles.verdict} data-testid="run-log-verdict">
          <p className={styles.headline}>{study.sentences.found}</p>
          <p>{study.sentences.means}</p>
          <p className={styles.next}>{study.sentences.next}</p>
        </div>
      )}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {log !== null && study !== null && (
        <>
          <Frame
            title="Heading before and after"
            sentence={study.sentences.means}
            legend="amber: as read   green: corrected   grey dashed: by the encoders   ▮ gyro and encoders part"
          >
            <Plot
              label={`Heading of the run. ${study.sentences.found}`}
              xTitle="seconds"
              yTitle="degrees"
              curves={curvesOf(log, study)}
              shades={study.partings.map(({ fromS, toS }) => ({
                from: fromS - (log.tS[0] ?? 0),
                to: toS - (log.tS[0] ?? 0),
              }))}
            />
          </Frame>
          <Figures study={study} />
          <PieceTable study={study} />
        </>
      )}
      <section aria-label="Do" className={styles.do}>
        <ol className={styles.steps}>
          <li>Let the robot write time and heading (and its motors) to a file while it drives.</li>
          <li>Load the file.</li>
          <li>Type when you knew the true heading: in the jig, against a wall, along a line.</li>
        </ol>
        <FileSource
          signs={robot.robot.signs}
          onLog={(read) => {
            setStudy(null);
            setLog(read.log);
          }}
        />
        <h2>Where is the true heading known?</h2>
        <AnchorTable anchors={anchors} onChange={setAnchors} />
        {doubled && (
          <Notice tone="careful">
            Two anchors stand at the same moment: change the time of one.
          </Notice>
        )}
        <TrialsFile
          label="Anchors (CSV)"
          what="anchor"
          columns="t_s, true_heading_deg and, if you like, what"
          read={readAnchors}
          onTake={(rows) => setAnchors(rows.map((row) => ({ ...row, id: ulid() })))}
        />
        {log !== null && (
          <small className="faint">{counted(log.tS.length, 'reading')} in the log.</small>
        )}
      </section>
    </BenchLayout>
  );
}
