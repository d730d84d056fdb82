import { useId } from 'react';
import type { Port } from '../../core/devices/port';
import {
  ADDRESS,
  FACING,
  LABEL,
  PLACE,
  plugOf,
  RAW,
  RAW_READINGS,
  WORDS,
} from '../../core/devices/description';
import { KINDS, kindOf } from '../../core/devices/registry';
import type { Device } from '../../core/devices/device';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/fields/Select';
import { F } from './FieldGroup';
import styles from './RobotStation.module.css';
import { BUILT_IN } from '../../core/devices/portClasses';
import { useUnfolded } from './useUnfolded';

const KIND_OPTIONS = KINDS.map(({ kind }) => ({ value: kind, label: kind }));
const AS_SHOWN = 'in its own unit';
const READS = [AS_SHOWN, ...RAW_READINGS].map((value) => ({ value, label: value }));
const { reading: _reading, ...AS_RAW } = RAW;
const UNPLUGGED = '(not plugged in)';

interface Props {
  at: number;
  unit: Device;
  ports: readonly Port[];
  onChange(unit: Device): void;
  onRemove(): void;
  /** Take it off, into the team's stock. */
  onStock(): void;
}

function RawFields({ at, unit, onChange }: Pick<Props, 'at' | 'unit' | 'onChange'>) {
  return (
    <>
      <Select
        label="Programs read it"
        value={unit.raw?.reading ?? AS_SHOWN}
        options={READS}
        onChange={(value) => {
          const reading = RAW_READINGS.find((one) => one === value);
          const raw =
            reading === undefined ? null : { max: null, grows: true, ...unit.raw, reading };
          onChange({ ...unit, raw });
        }}
      />
      {unit.raw !== null && <F.Values of={`robot.units.${at}.raw`} fields={AS_RAW} />}
    </>
  );
}

/** Where a unit sits, how it is plugged in and called, and how it behaves. */
function DeviceDetails({ at, unit, onChange }: Pick<Props, 'at' | 'unit' | 'onChange'>) {
  const of = `robot.units.${at}`;
  return (
    <div className={styles.fields}>
      <F.Values of={`${of}.place`} fields={PLACE} />
      {kindOf(unit.kind).faces && <F.Values of={of} fields={FACING} />}
      <F.Values of={`${of}.behaviour`} fields={kindOf(unit.kind).behaviour} />
      <F.Values of={of} fields={{ ...WORDS, connection: plugOf(unit.connection) }} />
      {unit.connection === 'bus' && <F.Values of={of} fields={ADDRESS} />}
      <RawFields {...{ at, unit, onChange }} />
    </div>
  );
}

/** One motor or sensor: what it is and where it is plugged in; the rest unfolds. */
export function DeviceRow({ at, unit, ports, onChange, onRemove, onStock }: Props) {
  const [open, unfold] = useUnfolded(unit.id);
  const details = useId();
  const names = ports.map(({ name }) => name);
  const offered = [
    ...new Set([
      ...names,
      ...(kindOf(unit.kind).isBuiltInSomewhere ? [BUILT_IN] : []),
      ...(unit.port === null || unit.port === '' ? [] : [unit.port]),
    ]),
  ];
  const changeKind = async (value: string) => {
    const kind = KINDS.find((one) => one.kind === value)?.kind;
    if (kind === undefined) return;
    const { asKind } = await import('../../core/devices/newDevice');
    onChange(asKind(unit, kind));
  };
  return (
    <div className={styles.unit} role="group" aria-label={unit.label}>
      <Select
        label="What"
        value={unit.kind}
        options={KIND_OPTIONS}
        onChange={(kind) => void changeKind(kind)}
      />
      <F.Values of={`robot.units.${at}`} fields={LABEL} />
      <Select
        label="Port"
        value={unit.port ?? UNPLUGGED}
        options={[
          { value: '', label: 'not noted' },
          ...offered.map((port) => ({
            value: port,
            label: port === BUILT_IN ? 'built into the controller' : port,
          })),
          { value: UNPLUGGED, label: 'not plugged in' },
        ]}
        onChange={(port) => onChange({ ...unit, port: port === UNPLUGGED ? null : port })}
      />
      <Button
        look="bare"
        aria-label={`More of ${unit.label}`}
        aria-expanded={open}
        aria-controls={open ? details : undefined}
        onClick={() => unfold(!open)}
      >
        {open ? 'Less' : 'More'}
      </Button>
      <Button look="bare" aria-label={`Remove ${unit.label}`} onClick={onRemove}>
        Remove
      </Button>
      {open && (
        <div id={details} className={styles.unitDetails}>
          <DeviceDetails {...{ at, unit, onChange }} />
          <Button onClick={onStock}>Take it off, into the team’s stock</Button>
        </div>
      )}
    </div>
  );
}
