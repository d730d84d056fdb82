import type { Mission } from '../../../core/table/table';
import { counted } from '../../../core/text/quantities';
import type { SavedRun } from '../../../formats/records';
import { KeyHelp } from '../../../ui/page/KeyHelp';
import { ConflictDialog } from '../../ConflictDialogLater';
import { logKeys } from './keys';
import { SetAsideDialog } from '../../SetAsideDialog';
import type { Logging } from './useLogging';
import { fetchedLater } from '../../../ui/fetchedLater';

/** Reading files is not needed for logging: it comes when it is asked for. */
const ImportDialog = fetchedLater(async () => (await import('../ImportDialog')).ImportDialog);

export type OpenDialog = 'import' | 'keys' | { setAside: SavedRun } | null;

const REASONS = [
  'Somebody touched the robot',
  'The table was bumped',
  'The battery was changed in between',
  'Typed by mistake',
];

interface Props {
  open: OpenDialog;
  logging: Logging;
  seriesId: string;
  missions: readonly Mission[];
  onClose(): void;
  tell(text: string): void;
}

/** The dialog that is open on the logging screen, if any. */
export function LogDialogs({ open, logging, seriesId, missions, onClose, tell }: Props) {
  const { conflict, change, take, takeTheirs, dismiss, setAside } = logging;
  if (conflict !== null) {
    return (
      <ConflictDialog
        what="run"
        mine={conflict.mine}
        theirs={conflict.theirs}
        onKeepMine={(mine) => void change(mine)}
        onTakeTheirs={takeTheirs}
        onClose={dismiss}
      />
    );
  }
  if (open === null) return null;
  if (open === 'keys') return <KeyHelp keys={logKeys(missions.length)} onClose={onClose} />;
  if (open === 'import') {
    return (
      <ImportDialog
        seriesId={seriesId}
        missions={missions}
        onClose={onClose}
        onImported={(imported) => {
          take(...imported);
          onClose();
          tell(`${counted(imported.length, 'run')} imported.`);
        }}
      />
    );
  }
  return (
    <SetAsideDialog
      what={`run ${open.setAside.number}`}
      reasons={REASONS}
      caution="A run that went wrong by itself is no reason: leaving those out would flatter."
      onConfirm={(reason) => {
        onClose();
        void setAside(open.setAside, reason);
      }}
      onClose={onClose}
    />
  );
}
