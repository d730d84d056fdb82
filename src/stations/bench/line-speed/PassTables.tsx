import type { LineOverrun, LineWay } from '../../../core/light/linePasses';
import { directionText, SEEN_BY } from '../../../core/light/linePassWords';
import {
  delayText,
  overText,
  wrongText,
  type LinePassesStudy,
} from '../../../core/light/linePassesStudy';
import { capitalised } from '../../../core/text/capitalised';
import { benchSpeed, errorLength, errorNumber } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

/** What passes told: ways of noticing the line side by side, and each direction of the way in hand. */
export const PassTables = ({ study }: { study: LinePassesStudy }) => (
  <>
    <Table
      label={`Ways to tell the line, at ${benchSpeed(study.speedMPerS)}`}
      rows={study.ways}
      keyOf={({ by }: LineWay) => by}
      columns={[
        { title: 'By', head: true, cell: ({ by }: LineWay) => capitalised(SEEN_BY[by]) },
        { title: 'Passes', cell: (way: LineWay) => wrongText(way) },
        {
          title: 'Late',
          number: true,
          cell: ({ delayS }: LineWay) => (delayS === null ? 'two speeds tell' : delayText(delayS)),
        },
        {
          title: `Past the edge, ${directionText(study.along)}`,
          number: true,
          cell: ({ over }: LineWay) => (over === null ? 'not measured' : overText(over)),
        },
      ]}
    />
    {study.best.overruns.length > 0 && (
      <Table
        label={`Past the edge by ${SEEN_BY[study.best.by]}, by direction`}
        rows={study.best.overruns}
        keyOf={(one: LineOverrun) => directionText(one)}
        columns={[
          {
            title: 'Driving',
            head: true,
            cell: (one: LineOverrun) => capitalised(directionText(one)),
          },
          { title: 'Passes', number: true, cell: ({ n }: LineOverrun) => n },
          {
            title: 'On average (95 %)',
            number: true,
            cell: ({ over }: LineOverrun) => overText(over),
          },
          {
            title: 'Scatter',
            number: true,
            cell: ({ scatter: { sd } }: LineOverrun) =>
              Number.isFinite(sd) ? `± ${errorLength(sd, 1)}` : 'two tell',
          },
          {
            title: 'The next one',
            number: true,
            cell: ({ next: { low95, high95 } }: LineOverrun) =>
              Number.isFinite(low95)
                ? `${errorNumber(low95)} to ${errorLength(high95)}`
                : 'not known',
          },
        ]}
      />
    )}
  </>
);
