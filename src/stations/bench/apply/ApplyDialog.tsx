import { useState, type ReactNode } from 'react';
import { ulid } from 'ulid';
import type { CalibrationValue } from '../../../core/calibration/calibration';
import { kindOfCalibration } from '../../../core/calibration/registry';
import type { CalibrationRecord, SavedCalibration } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import { WhyAndWho } from './WhyAndWho';
import { letHold } from './letHold';

interface Props {
  robot: RobotRecord;
  value: CalibrationValue;
  evidence: CalibrationRecord['evidence'];
  surface: string | null;
  battery: string | null;
  /** The unit that was measured; left out: the first of its kind. */
  unitId?: string | undefined;
  /** What it will change. */
  children: ReactNode;
  onApplied(calibration: SavedCalibration): void;
  onClose(): void;
}

/** Let a result hold from now on: what it changes, why, and who says so. It can be taken back. */
export function ApplyDialog(props: Props) {
  const { robot, value, evidence, surface, battery, unitId, children, onApplied, onClose } = props;
  const [said, setSaid] = useState({ reason: '', who: '' });
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  // Made once, so that pressing again after a lost answer applies it once.
  const [ids] = useState(() => ({ calibration: ulid(), change: ulid() }));
  const name = kindOfCalibration(value.kind).name;
  const apply = async () => {
    setSaving(true);
    setProblem(null);
    try {
      const { calibration } = await letHold(
        robot,
        { value, evidence, surface, battery, unitId },
        ids,
        said,
      );
      onApplied(calibration);
    } catch (error) {
      setProblem(sentenceOf(error));
      setSaving(false);
    }
  };
  return (
    <Dialog
      title={`Let this hold: ${name}`}
      onClose={onClose}
      actions={
        <Button look="strong" disabled={saving} onClick={() => void apply()}>
          Apply from now on
        </Button>
      }
    >
      {children}
      <WhyAndWho {...said} onChange={(part) => setSaid({ ...said, ...part })} />
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </Dialog>
  );
}
