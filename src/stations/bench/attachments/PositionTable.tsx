import type { MovesFound, PositionFound } from '../../../core/attachments/moves';
import {
  chanceOf,
  chanceText,
  positionText,
  type ToldOfArm,
} from '../../../core/attachments/movesStudy';
import { degrees, errorLength, number, percent } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

interface Props {
  found: MovesFound;
  told: ToldOfArm;
}

const isKnown = ({ scatter: { sd } }: PositionFound): boolean => Number.isFinite(sd);

/** How exactly each position is reached, and what that is worth at its tip and to its mission. */
export function PositionTable({ found, told }: Props) {
  const { armM, windowM, rangeRad } = told;
  const ofRange =
    rangeRad === null
      ? []
      : [
          {
            title: 'Of its range',
            number: true,
            cell: ({ wantedRad }: PositionFound) => percent(wantedRad / rangeRad),
          },
        ];
  const atTip =
    armM === 0
      ? []
      : [
          {
            title: 'At its tip',
            number: true,
            cell: (one: PositionFound) =>
              isKnown(one) ? `± ${errorLength(one.scatter.sd * armM, 1)}` : 'not known',
          },
        ];
  const forMission =
    armM === 0 || windowM === null
      ? []
      : [
          {
            title: `Within ± ${errorLength(windowM)}`,
            number: true,
            cell: (one: PositionFound) => {
              const chance = chanceOf(one, found, told);
              return chance === null ? 'two moves tell' : chanceText(chance);
            },
          },
        ];
  return (
    <Table
      label="The positions"
      rows={found.positions}
      keyOf={positionText}
      columns={[
        { title: 'Position', head: true, cell: positionText },
        {
          title: 'At',
          number: true,
          cell: ({ wantedRad }: PositionFound) => degrees(wantedRad),
        },
        ...ofRange,
        { title: 'Moves', number: true, cell: ({ n }: PositionFound) => n },
        {
          title: 'Off on average (95 %)',
          number: true,
          cell: ({ offset: { value, low95, high95 } }: PositionFound) =>
            Number.isFinite(low95)
              ? `${degrees(value)} (${degrees(low95)} to ${degrees(high95)})`
              : degrees(value),
        },
        {
          title: 'Scatter',
          number: true,
          cell: (one: PositionFound) =>
            isKnown(one) ? `± ${degrees(one.scatter.sd)}` : 'not known',
        },
        ...atTip,
        {
          title: 'Takes',
          number: true,
          cell: ({ time }: PositionFound) =>
            time === null
              ? 'not timed'
              : `${number(time.meanS, 2)} s${Number.isFinite(time.sdS) ? ` ± ${number(time.sdS, 2)}` : ''}`,
        },
        ...forMission,
      ]}
    />
  );
}
