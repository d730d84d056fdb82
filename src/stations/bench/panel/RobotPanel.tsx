import { useState, useSyncExternalStore, type ReactNode } from 'react';
import { rawConvention, type RawConvention } from '../../../core/rawConvention';
import { clock } from '../../../core/text/quantities';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { Select } from '../../../ui/Select';
import { FileSource } from '../FileSource';
import { hasSerial } from '../serial';
import { SOURCE_OPTIONS, type Source } from '../SourceChoice';
import { StandInControls, standInStateText } from '../standIn/StandInControls';
import { useStandIn } from '../standIn/useStandIn';
import { useSource } from '../useSource';
import { Folded } from './Folded';
import { folding } from './folding';
import styles from './Panel.module.css';
import { Readings } from './Readings';
import { Strip } from './Strip';
import { usePlayedFile } from './usePlayedFile';
import { useSerialWindow } from './useSerialWindow';
import { useStandInWindow } from './useStandInWindow';

interface Props {
  robot: RobotRecord;
  /** The robot that the stand-in stands in for. */
  standsInFor: RobotRecord;
}

interface FrameProps {
  source: Source;
  title: string;
  state: string;
  log: Log | null;
  /** What is said while nothing is read. */
  nothing: string;
  children: ReactNode;
}

/** What every source shows: its readings, a strip of one of them, and what can be done with it. */
function PanelFrame({ source, title, state, log, nothing, children }: FrameProps) {
  const [, setSource] = useSource('stand-in');
  const [chosen, setChosen] = useState('headingRad');
  const isFolded = useSyncExternalStore(folding.watch, folding.isFolded, () => false);
  if (isFolded) return <Folded {...{ source, state, log }} />;
  return (
    <aside className={styles.panel} aria-label="Robot panel">
      <header>
        <h2>{title}</h2>
        <p className="faint" data-testid="panel-state">
          {state}
        </p>
        <Button look="bare" onClick={() => folding.fold(true)}>
          Fold
        </Button>
      </header>
      <Select
        label="What it shows"
        value={source}
        options={SOURCE_OPTIONS}
        onChange={(value) => setSource(value as Source)}
      />
      {log === null ? (
        <p className="faint">{nothing}</p>
      ) : (
        <>
          <Readings log={log} chosen={chosen} onChoose={setChosen} />
          <Strip log={log} channel={chosen} />
        </>
      )}
      {children}
    </aside>
  );
}

function StandInPanel({ standsInFor, raw }: { standsInFor: RobotRecord; raw: RawConvention }) {
  const seen = useStandIn();
  const log = useStandInWindow(raw);
  return (
    <div data-ready={seen.view !== null}>
      <PanelFrame
        source="stand-in"
        title={`Stand-in for ${standsInFor.name}`}
        state={standInStateText(seen.view)}
        log={log}
        nothing="It reads nothing while it is switched off."
      >
        <StandInControls />
      </PanelFrame>
    </div>
  );
}

function SerialPanel({ robot, raw }: { robot: RobotRecord; raw: RawConvention }) {
  const { log, isOpen, problem, open } = useSerialWindow(raw);
  return (
    <PanelFrame
      source="serial"
      title={robot.name}
      state={isOpen ? 'on USB' : 'not connected'}
      log={log}
      nothing="Plug the robot in and let its program print its readings."
    >
      {!isOpen && hasSerial() && <Button onClick={open}>Read the robot on USB</Button>}
      {problem !== null && <p role="alert">{problem}</p>}
    </PanelFrame>
  );
}

function FilePanel({ robot, raw }: { robot: RobotRecord; raw: RawConvention }) {
  const [name, setName] = useState<string | null>(null);
  const played = usePlayedFile();
  return (
    <PanelFrame
      source="file"
      title={robot.name}
      state={
        name === null ? 'no file' : `${name}: ${clock(played.atS)} of ${clock(played.lengthS)}`
      }
      log={played.log}
      nothing="A log is played here as if it came just now."
    >
      {name !== null && (
        <Button onClick={played.toggle}>
          {played.playing ? 'Pause' : played.atS >= played.lengthS ? 'Play again' : 'Go on'}
        </Button>
      )}
      <FileSource
        label="Log to play"
        raw={raw}
        onLog={({ log }, file) => {
          setName(file);
          played.load(log);
        }}
      />
    </PanelFrame>
  );
}

/** What is read just now, of whichever source is in use; it is chosen once for the whole Bench. */
export function RobotPanel({ robot, standsInFor }: Props) {
  const [source] = useSource('stand-in');
  const raw = rawConvention((source === 'stand-in' ? standsInFor : robot).robot);
  if (source === 'serial') return <SerialPanel robot={robot} raw={raw} />;
  if (source === 'file') return <FilePanel robot={robot} raw={raw} />;
  return <StandInPanel standsInFor={standsInFor} raw={raw} />;
}
