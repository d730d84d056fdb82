import type { Comparison, Question } from '../../../core/compare/compareSeries';
import { errorLength, number, percent } from '../../../core/text/quantities';
import styles from '../Findings.module.css';

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
  const rows: { question: Question; name: string; cells: string[] }[] = [
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
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Question</span>
            </th>
            <th scope="col">Before</th>
            <th scope="col">After</th>
            <th scope="col">Difference (95 %)</th>
            <th scope="col">By chance alone</th>
            <th scope="col">All three judged</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Runs, measured ends</th>
            <td>
              {a.n}, {a.nPose}
            </td>
            <td>
              {b.n}, {b.nPose}
            </td>
            <td />
            <td />
            <td />
          </tr>
          {rows.map(({ question, name, cells }) => (
            <tr key={question} data-testid={`compare-${question}`}>
              <th scope="row">{name}</th>
              {cells.map((cell, i) => (
                <td key={i}>{cell}</td>
              ))}
              <td>{SHOWN[answers[question]]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="faint">
        Aim: Hotelling’s two-sample test by permutation. Spread: Brown and Forsythe, interval by
        bootstrap. Success: Fisher’s exact test, interval after Newcombe. The three are judged
        together (Holm): where nothing differs, a difference is shown in at most 5 of 100
        comparisons.
      </p>
    </details>
  );
}
