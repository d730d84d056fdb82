import { useState, type ReactNode } from 'react';
import { rawConvention } from '../../../core/channels/rawConvention';
import { counted, number } from '../../../core/text/quantities';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { FileSource } from './FileSource';
import { hasSerial } from './serial';
import { SourceChoice, type Source } from './SourceChoice';
import { logOf } from './sources';
import { useStandInIsOn } from '../standIn/useStandIn';
import { useBetween } from './useBetween';
import { useSource } from './useSource';

interface Props {
  robot: RobotRecord;
  /** What the robot does between start and done: "Let the robot drive its run." */
  meanwhile: string;
  /** What the stand-in can be told to do meanwhile. */
  standInDoes?: ReactNode;
  onLog(log: Log, name: string, source: Source): void;
}

/** A log of a robot while it does something: the stand-in's, a robot's on USB, or a file. */
export function LogSource({ robot, meanwhile, standInDoes, onLog }: Props) {
  const [source, setSource] = useSource('file');
  const [problem, setProblem] = useState<string | null>(null);
  const isOn = useStandInIsOn();
  const raw = rawConvention(robot.robot);
  const live = source === 'file' ? 'stand-in' : source;
  const between = useBetween(live, (readings) => {
    try {
      onLog(logOf(readings, raw), source === 'serial' ? 'robot on USB' : 'stand-in', source);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  });
  const { recording } = between;
  const whyNot = source === 'stand-in' && isOn === false ? 'The stand-in is switched off.' : null;
  const ready = source === 'serial' ? hasSerial() : whyNot === null && isOn === true;
  return (
    <div className={styles.file}>
      {recording === null && <SourceChoice value={source} onChange={setSource} />}
      {source === 'file' ? (
        <FileSource raw={raw} onLog={({ log }, name) => onLog(log, name, source)} />
      ) : recording === null ? (
        <div className={styles.actions}>
          <Button
            disabled={!ready}
            onClick={() => {
              setProblem(null);
              void between.start();
            }}
          >
            Start recording
          </Button>
          {whyNot !== null && <span className="faint">{whyNot}</span>}
        </div>
      ) : (
        <>
          <p role="status" data-testid="recording">
            Recording: {number(recording.lengthS, 1)} s, {counted(recording.readings, 'reading')}.{' '}
            {meanwhile}
          </p>
          <div className={styles.actions}>
            {source === 'stand-in' && standInDoes}
            <Button look="strong" onClick={between.done}>
              Done
            </Button>
            <Button look="bare" onClick={between.cancel}>
              Cancel
            </Button>
          </div>
        </>
      )}
      {(problem ?? between.problem) !== null && (
        <Notice tone="fault">{problem ?? between.problem}</Notice>
      )}
    </div>
  );
}
