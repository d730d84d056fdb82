import { commandsPower } from '../../core/program/commands';
import { useState } from 'react';
import { PROGRAM, TIMED_DRIVE } from '../../core/robot/description';
import { COMMANDS, STEERINGS, TRAVELS } from '../../core/robot/programWays';
import type { TimedDrive } from '../../core/robot/profile';
import { programSentence, programWants } from '../../core/course/programSentence';
import { timedSpeed } from '../../core/program/speedTable';
import { benchSpeed, number } from '../../core/text/quantities';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/fields/Select';
import { ValueField } from '../../ui/fields/ValueField';
import { F, FieldGroup, type RobotProps } from './FieldGroup';
import styles from './RobotStation.module.css';

const { regulated, ...counting } = PROGRAM;
const NOT_SAID = 'not said yet';

/** One of a few ways of counting, or none yet. */
function Way<T extends string>({
  label,
  ways,
  value,
  onChange,
}: {
  label: string;
  ways: readonly T[];
  value: T | null;
  onChange(way: T | null): void;
}) {
  return (
    <Select
      label={label}
      value={value ?? NOT_SAID}
      options={[NOT_SAID, ...ways].map((way) => ({ value: way, label: way }))}
      onChange={(chosen) => onChange(ways.find((way) => way === chosen) ?? null)}
    />
  );
}

/** Drives that were timed with a tape and a watch, each at one power. */
function TimedDrives({
  drives,
  onChange,
}: {
  drives: readonly TimedDrive[];
  onChange(drives: TimedDrive[]): void;
}) {
  const [next, setNext] = useState<TimedDrive>({ percent: 30, distanceM: 1, durationS: 5 });
  return (
    <section aria-label="Timed drives" className={styles.wide}>
      <ul className={styles.changes}>
        {drives.map((drive, at) => (
          <li key={`${at} ${drive.percent}`}>
            {number(drive.percent)} %: {benchSpeed(timedSpeed(drive))}{' '}
            <Button
              look="bare"
              aria-label={`Remove the drive at ${number(drive.percent)} %`}
              onClick={() => onChange(drives.filter((_, i) => i !== at))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <div className={styles.fields}>
        {Object.entries(TIMED_DRIVE).map(([name, field]) => (
          <ValueField
            key={name}
            field={field}
            value={next[name as keyof TimedDrive]}
            onChange={(value) => setNext({ ...next, [name]: value })}
          />
        ))}
        <Button onClick={() => onChange([...drives, next])}>Add this drive</Button>
      </div>
    </section>
  );
}

/** How the robot's programs count: fields that stand for a value of a program then take and show it. */
export function ProgramFields({ robot, onChange }: RobotProps) {
  const { program } = robot;
  const set = (part: Partial<typeof program>) =>
    onChange({ ...robot, program: { ...program, ...part } });
  return (
    <FieldGroup
      title="How its programs count"
      summary={programSentence(program)}
      wanted={programWants(program)}
      note="Where a field stands for a value of a program, it can then be typed as the program has it."
    >
      <Way
        label="Motors are told"
        ways={COMMANDS}
        value={program.command}
        onChange={(command) => set({ command })}
      />
      <Way
        label="Driving is told in"
        ways={TRAVELS}
        value={program.travel}
        onChange={(travel) => set({ travel })}
      />
      <Way
        label="At a steering of 50"
        ways={STEERINGS}
        value={program.steering}
        onChange={(steering) => set({ steering })}
      />
      <F.Values of="robot.program" fields={counting} />
      {commandsPower(program.command) && <F.Values of="robot.program" fields={{ regulated }} />}
      {commandsPower(program.command) && (
        <TimedDrives drives={program.speeds} onChange={(speeds) => set({ speeds })} />
      )}
    </FieldGroup>
  );
}
