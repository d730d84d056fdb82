import { CROSSING } from '../../../core/light/description';
import { FOLLOWING } from '../../../core/control/tunedDrives';
import { gainText } from '../../../core/control/tuned';
import type { Robot } from '../../../core/robot/robot';
import { roundLength } from '../../../core/text/lengths';
import { benchSpeed } from '../../../core/text/quantities';
import { EDGE, USUAL_BEND_M } from '../../../core/tuning/edge/description';
import { neededGainRadPerS } from '../../../core/tuning/edge/fastestRound';
import { ValueField } from '../../../ui/fields/ValueField';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';

/** The bend that is asked about; a gain of null is as much as it needs. */
export interface BendAsked {
  speedMPerS: number;
  radiusM: number;
  lineWidthM: number;
  gainRadPerS: number | null;
}

/** What is asked at first: with the gain that was tuned, over the narrowest of the lines. */
export const firstAsked = (widthsM: readonly number[], tuned: number | undefined): BendAsked => ({
  speedMPerS: roundLength(FOLLOWING.usual),
  radiusM: roundLength(USUAL_BEND_M),
  lineWidthM: widthsM[0] ?? CROSSING.lineWidthM.default ?? 0.02,
  gainRadPerS: tuned === undefined ? null : Math.abs(tuned),
});

interface FieldsProps {
  asked: BendAsked;
  onChange(asked: BendAsked): void;
}

/** The bend, the speed, the gain and the line. */
export const BendFields = ({ asked, onChange }: FieldsProps) => (
  <div className={styles.fields}>
    {(['radiusM', 'speedMPerS', 'gainRadPerS', 'lineWidthM'] as const).map((name) => (
      <ValueField
        key={name}
        field={EDGE[name]}
        value={asked[name]}
        onChange={(next) => onChange({ ...asked, [name]: next })}
        {...(name === 'gainRadPerS' && { onClear: () => onChange({ ...asked, [name]: null }) })}
      />
    ))}
  </div>
);

/** The gain that a bend needs, by speed. */
export const NeededGains = ({ robot, asked }: { robot: Robot; asked: BendAsked }) => (
  <Table
    label="The gain that the bend needs, by speed"
    rows={[...new Set([...FOLLOWING.others, asked.speedMPerS])].toSorted((a, b) => a - b)}
    keyOf={String}
    columns={[
      { title: 'At', head: true, cell: (speed: number) => benchSpeed(speed) },
      {
        title: 'Needs a gain of',
        number: true,
        cell: (speed: number) => gainText('line', neededGainRadPerS(robot, asked.radiusM, speed)),
      },
    ]}
  />
);
