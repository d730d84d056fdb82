import type { Comparison, Question } from '../../../core/compare/compareSeries';
import { errorLength, number, percent } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

const pText = (p: number): string =>
  p < 0.001 ? `p < ${number(0.001, 3)}` : `p = ${number(p, 3)}`;
const size = ({ xM, yM }: { xM: number; yM: number }) => Math.hypot(xM, yM);
const NONE = '–';
const lengthOrNone = (metres: number | null): string =>
  metres === null ? NONE : errorLength(metres);
const SHOWN = { helped: 'helped', hurt: 'hurt', 'no-difference-shown': 'not shown' } as const;

/** The numbers behind the sentence. */
export function CompareFigures({ comparison }: { comparison: Comparison }) {
  const { a, b, bias, spread, success, answers } = comparison;
  const rows: { question: Question | null; name: string; cells: string[] }[] = [
    {
      question: null,
      name: 'Runs, measured ends',
      cells: [`${a.n}, ${a.nPose}`, `${b.n}, ${b.nPose}`],
    },
    {
      question: 'bias',
      name: 'Middle of the ends, from the target',
      cells: [
        lengthOrNone(a.biasM && size(a.biasM)),
        lengthOrNone(b.biasM && size(b.biasM)),
        bias === null
          ? NONE
          : `moved by ${errorLength(size(bias.shiftM))} ± ${errorLength(bias.shiftRadiusM)}`,
        bias === null ? NONE : pText(bias.pValue),
      ],
    },
    {
      question: 'spread',
      name: 'Spread: mean distance from their own middle',
      cells: [
        lengthOrNone(a.meanDistanceM),
        lengthOrNone(b.meanDistanceM),
        spread === null
          ? NONE
          : `× ${number(spread.ratio, 2)} (${number(spread.low95, 2)} to ${number(spread.high95, 2)})`,
        spread === null ? NONE : pText(spread.pValue),
      ],
    },
    {
      question: 'success',
      name: 'Worked',
      cells: [
        a.success === null ? NONE : `${a.success.successes} of ${a.success.n}`,
        b.success === null ? NONE : `${b.success.successes} of ${b.success.n}`,
        success === null
          ? NONE
          : `${percent(success.difference)} (${percent(success.low95)} to ${percent(success.high95)})`,
        success === null ? NONE : pText(success.pValue),
      ],
    },
  ];
  return (
    <details data-testid="compare-figures">
      <summary>The numbers behind it</summary>
      <Table
        rows={rows}
        keyOf={({ name }) => name}
        columns={[
          { title: 'Question', hidden: true, head: true, cell: ({ name }) => name },
          { title: 'Before', number: true, cell: ({ cells }) => cells[0] },
          { title: 'After', number: true, cell: ({ cells }) => cells[1] },
          { title: 'Difference (95 %)', number: true, cell: ({ cells }) => cells[2] },
          { title: 'By chance alone', number: true, cell: ({ cells }) => cells[3] },
          {
            title: 'All three judged',
            cell: ({ question }) => question && SHOWN[answers[question]],
          },
        ]}
      />
      <p className="faint">
        Aim: Hotelling’s two-sample test by permutation. Spread: Brown and Forsythe, interval by
        bootstrap. Success: Fisher’s exact test, interval after Newcombe. The three are judged
        together (Holm): where nothing differs, a difference is shown in at most 5 of 100
        comparisons.
      </p>
    </details>
  );
}
