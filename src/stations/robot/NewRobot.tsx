import { useState } from 'react';
import { ulid } from 'ulid';
import type { Robot } from '../../core/robot/robot';
import type { RobotRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Notice } from '../../ui/Notice';
import { TextField } from '../../ui/fields/TextField';
import { putRecord, sentenceOf } from '../api';

/** Its units are like those of the other robot, and not the same ones. */
const withOwnDevices = (robot: Robot): Robot => ({
  ...robot,
  units: robot.units.map((unit) => ({ ...unit, id: ulid() })),
});

/** A further robot, which begins with the values of the one in sight. */
export function NewRobot({ like, onClose }: { like: RobotRecord; onClose(): void }) {
  const [id] = useState(() => ulid());
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const save = async () => {
    try {
      const record: RobotRecord = {
        ...like,
        id,
        version: 0,
        name: name.trim(),
        robot: withOwnDevices(like.robot),
      };
      await putRecord<RobotRecord>('robots', record);
      location.assign(`/robot?robot=${id}`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Dialog
      title="New robot"
      onClose={onClose}
      actions={
        <Button look="strong" disabled={name.trim() === ''} onClick={() => void save()}>
          Make the robot
        </Button>
      }
    >
      <p>It begins with the values of {like.name}; change what differs.</p>
      <TextField label="Name" value={name} maxLength={80} onChange={setName} />
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </Dialog>
  );
}
