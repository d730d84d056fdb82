import { useEffect, useMemo, useRef, useState } from 'react';
import { standTooClose } from '../../../core/gyro/anchors';
import { whereRead } from '../../../core/channels/log';
import type { KnownDrift, RunLogStudy } from '../../../core/gyro/runLog';
import { counted, number } from '../../../core/text/quantities';
import type { RunLogRecord } from '../../../formats/benchRecords';
import { rawConvention } from '../../../core/channels/rawConvention';
import { correctedCsv } from '../../../formats/csv/correctedCsv';
import { logToCsv } from '../../../formats/csv/logToCsv';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { studyRun } from '../benchWorker';
import { KeepingLine } from '../KeepingLine';
import { saveLog } from '../logs/saveLog';
import type { Source } from '../logs/SourceChoice';
import { ArchiveLine } from '../../ArchiveLine';
import { useTrials } from '../trials/useTrials';
import { AnchorFields, newAnchor } from './AnchorFields';
import { ChannelChart } from './ChannelChart';
import { RunCharts } from './RunCharts';
import { PieceTable, RunFigures } from './RunFigures';

export interface OpenRun {
  log: Log;
  record: RunLogRecord;
  /** Where it was just taken from; null: it was kept before. */
  source: Source | null;
}

interface Props extends OpenRun {
  robot: RobotRecord;
  known: KnownDrift | null;
}

/** Keeps a log that was just taken, and says how far it is. */
function useLogKept({ log, record, source }: OpenRun, onKept: () => void) {
  const [share, setShare] = useState(source === null ? 1 : 0);
  const [problem, setProblem] = useState<string | null>(null);
  const send = async () => {
    setProblem(null);
    try {
      const { logId: id, name } = record.conditions;
      const takenAt = new Date().toISOString();
      await saveLog(
        log,
        { id, robotId: record.robotId, name, source: source ?? 'file', takenAt },
        setShare,
      );
      onKept();
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const begun = useRef(false);
  useEffect(() => {
    // Once, when the run was taken; what fails is sent again by a button.
    if (source === null || begun.current) return;
    begun.current = true;
    void send();
  });
  return { share, problem, send };
}

function save(name: string, what: string, text: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  link.download = `${name.replace(/\.[a-z]+$/i, '')}${what}.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

/** One recorded run: its anchors, and its heading before and after; put out of the way where wanted. */
export function RunCorrection({ robot, known, ...run }: Props) {
  const trials = useTrials(run.record);
  const { record, change, add, keep, keeping, problem } = trials;
  const kept = useLogKept(run, keep);
  const [studied, setStudied] = useState<{ study: RunLogStudy; of: unknown } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  // The heading is studied where it was read; the other channels are shown as they are.
  const log = useMemo(() => whereRead(run.log, ['headingRad']), [run.log]);
  const anchors = record.trials;
  const doubled = standTooClose(anchors);
  const study = studied?.study ?? null;
  // What is on the screen until the next one is done is of other anchors: no file is made of that.
  const isCurrent = studied?.of === anchors;
  useEffect(() => {
    if (doubled) return undefined;
    const at = anchors.map(({ tS, headingRad }) => ({ tS, headingRad }));
    const job = studyRun(log, at, robot.robot, known);
    job.result.then(
      (result) => {
        setStudied({ study: result, of: anchors });
        setFault(null);
      },
      (error: unknown) => setFault(sentenceOf(error)),
    );
    return job.cancel;
  }, [log, anchors, doubled, robot, known]);
  const pick = (tS: number) => add(newAnchor(Number(tS.toFixed(2))));
  const { headingRad } = log.columns;
  return (
    <>
      {study !== null && (
        <>
          {study.doubt !== null && <Notice tone="careful">{study.doubt}</Notice>}
          <div className={styles.verdict} data-testid="run-log-verdict">
            <p className={styles.headline}>{study.sentences.found}</p>
            <p>{study.sentences.means}</p>
            <p className={styles.next}>{study.sentences.next}</p>
          </div>
          {headingRad !== undefined && (
            <RunCharts {...{ log, study, anchors, name: record.conditions.name }} onPick={pick} />
          )}
          <ChannelChart log={run.log} onPick={pick} />
        </>
      )}
      {fault !== null && <Notice tone="fault">{fault}</Notice>}
      {headingRad !== undefined && (
        <AnchorFields
          anchors={anchors}
          doubled={doubled}
          onChange={(update) => change((now) => ({ ...now, trials: update(now.trials) }))}
        />
      )}
      {study !== null && (
        <>
          <RunFigures study={study} hasHeading={headingRad !== undefined} />
          <PieceTable study={study} />
          <div className={styles.actions}>
            {study.correction !== null && headingRad !== undefined && (
              <Button
                disabled={!isCurrent}
                onClick={() =>
                  study.correction &&
                  save(
                    record.conditions.name,
                    '-corrected',
                    correctedCsv(headingRad, study.correction),
                  )
                }
              >
                Corrected run as a file
              </Button>
            )}
            <Button
              onClick={() =>
                save(record.conditions.name, '-log', logToCsv(run.log, rawConvention(robot.robot)))
              }
            >
              The whole log as a file
            </Button>
            <small className="faint">{counted(run.log.tS.length, 'reading')} in the log.</small>
            {kept.problem !== null ? (
              <Notice
                tone="fault"
                action={<Button onClick={() => void kept.send()}>Keep it now</Button>}
              >
                {kept.problem}
              </Notice>
            ) : kept.share < 1 ? (
              <p role="status">Keeping the log: {number(kept.share * 100)} %</p>
            ) : (
              <KeepingLine keeping={keeping} problem={problem} onKeep={keep} />
            )}
          </div>
        </>
      )}
      <ArchiveLine what="run" archivedAt={record.archivedAt} onArchive={trials.setArchived} />
    </>
  );
}
