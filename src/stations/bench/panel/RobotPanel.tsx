import { rawConvention, type RawConvention } from '../../../core/channels/rawConvention';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { hasSerial } from '../logs/serial';
import { StandInControls, standInStateText } from '../standIn/StandInControls';
import { useStandIn } from '../standIn/useStandIn';
import { useSource } from '../logs/useSource';
import { PanelFrame } from './PanelFrame';
import { useSerialWindow } from './useSerialWindow';
import { useStandInWindow } from './useStandInWindow';
import { fetchedLater } from '../../../ui/fetchedLater';

/** What reads files is fetched when somebody plays one. */
const FilePanel = fetchedLater(async () => (await import('./FilePanel')).FilePanel);

function StandInPanel({ robot, raw }: { robot: RobotRecord; raw: RawConvention }) {
  const seen = useStandIn();
  const log = useStandInWindow(raw);
  return (
    <div data-ready={seen.view !== null}>
      <PanelFrame
        source="stand-in"
        title={`Stand-in for ${robot.name}`}
        state={standInStateText(seen.view)}
        log={log}
        nothing={
          seen.view?.on === true
            ? 'Its first reading comes at once.'
            : 'It reads nothing while it is switched off.'
        }
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

/** What is read just now, of whichever source is in use; it is chosen once for the whole Bench. */
export function RobotPanel({ robot }: { robot: RobotRecord }) {
  const [source] = useSource('stand-in');
  const raw = rawConvention(robot.robot);
  if (source === 'serial') return <SerialPanel robot={robot} raw={raw} />;
  if (source === 'file') {
    return <FilePanel robot={robot} raw={raw} />;
  }
  return <StandInPanel robot={robot} raw={raw} />;
}
