import { homeSentences } from '../../../core/attachments/goingHome';
import { MOST_LETTERS } from '../../../core/description/description';
import { devicesOf } from '../../../core/devices/ofRobot';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Robot } from '../../../core/robot/robot';
import { ATTACHMENT_LIST } from '../../../core/trials/lists/attachments';
import type { AttachmentTrials } from '../../../formats/benchRecords';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

type Conditions = AttachmentTrials['conditions'];

interface Props {
  robot: Robot;
  conditions: Conditions;
  onChange(part: Partial<Conditions>): void;
}

/** What is told of an arm besides its moves: how it is built, how it finds home, what its mission needs. */
export function AboutArm({ robot, conditions, onChange }: Props) {
  const [motor] = devicesOf(robot, 'attachment motor');
  const { homesBy, homePower, homeRadPerS, rangeRad } = conditions;
  const stepRad = radiansFromDegrees(1 / (motor?.behaviour.countsPerMotorDegree ?? 1));
  const home = homeSentences(
    { by: homesBy, power: homePower, rangeRad, speedRadPerS: homeRadPerS },
    { stepRad, loopPeriodS: robot.loopPeriodS },
  );
  const seeks = homesBy === 'stop' || homesBy === 'switch';
  return (
    <details>
      <summary>The arm, its home, and what its mission needs</summary>
      <div className={styles.work}>
        <div className={styles.fields}>
          <ValueField
            field={ATTACHMENT_LIST.armM}
            value={conditions.armM}
            onChange={(armM) => onChange({ armM })}
          />
          <ValueField
            field={ATTACHMENT_LIST.windowM}
            value={conditions.windowM}
            onClear={() => onChange({ windowM: null })}
            onChange={(windowM) => onChange({ windowM })}
          />
          <ValueField
            field={ATTACHMENT_LIST.rangeRad}
            value={rangeRad}
            onClear={() => onChange({ rangeRad: null })}
            onChange={(next) => onChange({ rangeRad: next })}
          />
          <TextField
            label={ATTACHMENT_LIST.startsAt.label}
            maxLength={MOST_LETTERS}
            value={conditions.startsAt}
            onChange={(startsAt) => onChange({ startsAt })}
          />
        </div>
        <div className={styles.fields}>
          <ChoiceField
            field={ATTACHMENT_LIST.homesBy}
            value={homesBy}
            onChange={(next) => onChange({ homesBy: next })}
          />
          {seeks && (
            <>
              <ValueField
                field={ATTACHMENT_LIST.homePower}
                value={homePower}
                onClear={() => onChange({ homePower: null })}
                onChange={(next) => onChange({ homePower: next })}
              />
              <ValueField
                field={ATTACHMENT_LIST.homeRadPerS}
                value={homeRadPerS}
                onClear={() => onChange({ homeRadPerS: null })}
                onChange={(next) => onChange({ homeRadPerS: next })}
              />
            </>
          )}
          <ChoiceField
            field={ATTACHMENT_LIST.counter}
            value={conditions.counter}
            onChange={(counter) => onChange({ counter })}
          />
        </div>
        {home.map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </div>
    </details>
  );
}
