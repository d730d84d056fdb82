import { useState } from 'react';
import type { SavedRun } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { TextField } from '../../ui/TextField';

const REASONS = [
  'Somebody touched the robot',
  'The table was bumped',
  'The battery was changed in between',
  'Typed by mistake',
];

interface Props {
  run: SavedRun;
  onConfirm(reason: string): void;
  onClose(): void;
}

/** Leave a run out of the figures, with a reason; it stays in the list and can come back. */
export function SetAsideDialog({ run, onConfirm, onClose }: Props) {
  const [reason, setReason] = useState('');
  const confirm = () => reason.trim() !== '' && onConfirm(reason.trim());
  return (
    <Dialog
      title={`Set run ${run.number} aside`}
      onClose={onClose}
      actions={
        <Button look="strong" disabled={reason.trim() === ''} onClick={confirm}>
          Set aside
        </Button>
      }
    >
      <p>
        It stays in the list and is counted as set aside, but no figure is made from it. A run that
        went wrong by itself is no reason: leaving those out would flatter.
      </p>
      <TextField
        label="Why?"
        value={reason}
        maxLength={200}
        suggestions={REASONS}
        onChange={setReason}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          // The focus goes back to the button that opened this: the key must not press it again.
          event.preventDefault();
          confirm();
        }}
      />
    </Dialog>
  );
}
