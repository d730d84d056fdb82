import { useState } from 'react';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { TextField } from '../ui/fields/TextField';

interface Props {
  /** What is set aside: "run 6". */
  what: string;
  reasons: readonly string[];
  /** What is no reason. */
  caution: string;
  onConfirm(reason: string): void;
  onClose(): void;
}

/** Leave something out of the figures, with a reason; it stays in the list and can come back. */
export function SetAsideDialog({ what, reasons, caution, onConfirm, onClose }: Props) {
  const [reason, setReason] = useState('');
  const confirm = () => reason.trim() !== '' && onConfirm(reason.trim());
  return (
    <Dialog
      title={`Set ${what} aside`}
      onClose={onClose}
      actions={
        <Button look="strong" disabled={reason.trim() === ''} onClick={confirm}>
          Set aside
        </Button>
      }
    >
      <p>
        It stays in the list and is counted as set aside, but no figure is made from it. {caution}
      </p>
      <TextField
        label="Why?"
        value={reason}
        maxLength={200}
        suggestions={reasons}
        {...(reason.trim() === '' && {
          hint: 'A reason is wanted: without one it cannot be set aside.',
        })}
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
