import { useState } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { clock } from '../../../core/text/quantities';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { FileSource } from '../logs/FileSource';
import { PanelFrame } from './PanelFrame';
import { usePlayedFile } from './usePlayedFile';

/** A log from a file, played in the panel. */
export function FilePanel({ robot, raw }: { robot: RobotRecord; raw: RawConvention }) {
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
