import { useId } from 'react';
import type { Port } from '../../core/units/port';
import { PORT_CLASSES } from '../../core/units/port';
import { KINDS, kindOf } from '../../core/units/registry';
import { RAW_READINGS, type Unit } from '../../core/units/unit';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/fields/Select';
import { DEG, SMALL_LENGTH, PLAIN } from '../../ui/fields/units';
import { F, numberOf, textOf } from './FieldGroup';
import styles from './RobotStation.module.css';
import { BUILT_IN } from '../../core/units/port';
import { useUnfolded } from './useUnfolded';

const KIND_OPTIONS = KINDS.map(({ kind }) => ({ value: kind, label: kind }));
const CONNECTIONS = PORT_CLASSES.map((value) => ({ value, label: value }));
const AS_SHOWN = 'in its own unit';
const READS = [AS_SHOWN, ...RAW_READINGS].map((value) => ({ value, label: value }));
const GROWS = [
  { value: true, label: 'grows' },
  { value: false, label: 'falls' },
];
const UNPLUGGED = '(not plugged in)';

interface Props {
  at: number;
  unit: Unit;
  ports: readonly Port[];
  onChange(unit: Unit): void;
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
      {unit.raw !== null && (
        <>
          <F.Number
            name={numberOf(at, 'raw.max')}
            label="Full scale, if known"
            unit={PLAIN}
            min={0}
            max={1e9}
            optional
          />
          <F.Choice
            name={textOf(at, 'raw.grows')}
            label="With what it measures, that"
            options={GROWS}
          />
        </>
      )}
    </>
  );
}

/** Where a unit sits, how it is plugged in and called, and how it behaves. */
function UnitDetails({ at, unit, onChange }: Pick<Props, 'at' | 'unit' | 'onChange'>) {
  return (
    <div className={styles.fields}>
      <F.Number
        name={numberOf(at, 'place.aheadM')}
        label="Ahead of the axle"
        unit={SMALL_LENGTH}
        min={-2000}
        max={2000}
      />
      <F.Number
        name={numberOf(at, 'place.leftM')}
        label="Left of the middle"
        unit={SMALL_LENGTH}
        min={-1000}
        max={1000}
      />
      <F.Number
        name={numberOf(at, 'place.heightM')}
        label="Height"
        unit={SMALL_LENGTH}
        min={0}
        max={1000}
        optional
      />
      {kindOf(unit.kind).faces && (
        <F.Number
          name={numberOf(at, 'facingRad')}
          label="Looks to the left by"
          unit={DEG}
          min={-180}
          max={180}
        />
      )}
      {Object.entries(kindOf(unit.kind).behaviour).map(([name, field]) => (
        <F.Described key={name} name={numberOf(at, `behaviour.${name}`)} field={field} />
      ))}
      <F.Text name={textOf(at, 'mounting')} label="Mounted" maxLength={40} />
      <F.Text name={textOf(at, 'programName')} label="Name in programs" maxLength={40} />
      <F.Select name={textOf(at, 'connection')} label="Plug" options={CONNECTIONS} />
      {unit.connection === 'bus' && (
        <F.Text name={textOf(at, 'address')} label="Address on its bus" maxLength={40} />
      )}
      <RawFields {...{ at, unit, onChange }} />
    </div>
  );
}

/** One motor or sensor: what it is and where it is plugged in; the rest unfolds. */
export function UnitRow({ at, unit, ports, onChange, onRemove, onStock }: Props) {
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
    const { asKind } = await import('../../core/units/newUnit');
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
      <F.Text name={textOf(at, 'label')} label="Label on it" maxLength={40} />
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
          <UnitDetails {...{ at, unit, onChange }} />
          <Button onClick={onStock}>Take it off, into the team’s stock</Button>
        </div>
      )}
    </div>
  );
}
