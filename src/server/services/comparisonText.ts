import Papa from 'papaparse';
import { compareSentence, couldHide } from '../../core/compare/sentence';
import { errorFigure, errorScale, fineDecimals } from '../../core/text/lengths';
import type { Compared, ComparedSide } from './comparison';

/** What a side is called. */
export const sideName = ({ name, part }: ComparedSide): string =>
  part === '' ? name : `${name} (${part})`;

/** A side as pictures show it. */
export const cloudOf = (side: ComparedSide) => ({
  name: sideName(side),
  ends: side.ends,
  figures: side.figures,
});

/** A comparison in Markdown, its picture within. */
export function comparisonMarkdown(found: Compared, picture: string): string {
  const { a, b, comparison, unfair } = found;
  const hidden = comparison === null ? [] : couldHide(comparison);
  const data = Buffer.from(picture).toString('base64');
  return [
    '# Did it help?',
    `- Before: ${sideName(a)}, ${a.runs.length} runs\n- After: ${sideName(b)}, ${b.runs.length} runs`,
    `**${compareSentence(comparison)}**`,
    ...(unfair === null ? [] : [`> ${unfair}`]),
    ...(hidden.length === 0 ? [] : [`What could still hide:\n\n- ${hidden.join('\n- ')}`]),
    `![Where the runs of both ended](data:image/svg+xml;base64,${data})`,
    '',
  ].join('\n\n');
}

/** Each run of both sides, its end in the planned direction of travel. */
export function comparisonCsv({ a, b }: Compared): string {
  const { label } = errorScale();
  const figure = (metres: number | null | undefined) =>
    typeof metres === 'number' ? errorFigure(metres).toFixed(1 + fineDecimals()) : '';
  const rows = [a, b].flatMap((side, i) =>
    side.runs.map(({ run, series }, k) => [
      i === 0 ? 'before' : 'after',
      series.trying,
      run.number,
      figure(side.ends[k]?.xM),
      figure(side.ends[k]?.yM),
      run.worked === null ? '' : Number(run.worked),
      run.placedBy ?? '',
      run.battery ?? '',
    ]),
  );
  const fields = ['side', 'series', 'run', `along_${label}`, `across_left_${label}`];
  return `${Papa.unparse(
    { fields: [...fields, 'worked', 'placed_by', 'battery'], data: rows },
    { escapeFormulae: true, newline: '\n' },
  )}\n`;
}
