import { compareSentence, couldHide } from '../../core/compare/sentence';
import { FIGURE } from '../../core/compare/plan/figures';
import { wished, wishOf } from '../../core/compare/plan/wish';
import { dayIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import { counted } from '../../core/text/quantities';
import { csvText } from '../../formats/csv/csvText';
import type { PlanSoFar } from '../../formats/runs/planSoFar';
import type { RunPlanRecord } from '../../formats/runs/runPlan';
import type { SelectedRun } from '../stores/selectedRuns';
import type { PlanFindings } from './runPlan';
import type { ChangeDone } from './seasonOfChanges';
import { errorFigure, errorScale, fineDecimals } from '../../core/text/lengths';
import { endOf, type Compared, type ComparedSide } from './comparison';

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
  return [
    '# Did it help?',
    `- Before: ${sideName(a)}, ${a.runs.length} runs\n- After: ${sideName(b)}, ${b.runs.length} runs`,
    `**${compareSentence(comparison)}**`,
    ...(unfair === null ? [] : [`> ${unfair}`]),
    ...(hidden.length === 0 ? [] : [`What could still hide:\n\n- ${hidden.join('\n- ')}`]),
    pictureLine('Where the runs of both ended', picture),
    '',
  ].join('\n\n');
}

/** Each run of some sides, its end in the planned direction of travel. */
export function sidesCsv(sides: readonly { name: string; runs: readonly SelectedRun[] }[]): string {
  const { label } = errorScale();
  const figure = (metres: number | null | undefined) =>
    typeof metres === 'number' ? errorFigure(metres).toFixed(1 + fineDecimals()) : '';
  const rows = sides.flatMap(({ name, runs }) =>
    runs.map((selected) => {
      const { run, series } = selected;
      const { xM, yM } = endOf(selected);
      return [
        name,
        series.trying,
        run.number,
        figure(xM),
        figure(yM),
        run.worked === null ? '' : Number(run.worked),
        run.placedBy ?? '',
        run.battery ?? '',
      ];
    }),
  );
  const fields = ['side', 'series', 'run', `along_${label}`, `across_left_${label}`];
  return csvText([...fields, 'worked', 'placed_by', 'battery'], rows);
}

/** Each run of both sides of a comparison. */
export const comparisonCsv = ({ a, b }: Compared): string =>
  sidesCsv([
    { name: 'before', runs: a.runs },
    { name: 'after', runs: b.runs },
  ]);

/** A picture within Markdown. */
const pictureLine = (what: string, svg: string): string =>
  `![${what}](data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')})`;

/** A plan of runs in Markdown, with its picture where there is one. */
export function planMarkdown(
  { plan, soFar }: { plan: RunPlanRecord; soFar: PlanSoFar },
  { sentences, figures }: Pick<PlanFindings, 'sentences' | 'figures'>,
  picture: string | null,
): string {
  const [first, ...others] = sentences;
  return [
    `# Plan: ${plan.changes.join(' and ')}`,
    `Asked beforehand: ${wished(wishOf(plan.about, plan.amount))}; ${counted(plan.perSeries, 'run')} of each way.`,
    `**${first ?? ''}**`,
    ...(others.length === 0 ? [] : [others.map((line) => `- ${line}`).join('\n')]),
    [
      `| Way | Runs |${figures === null ? '' : ` ${FIGURE[plan.about]} |`}`,
      `| --- | --- |${figures === null ? '' : ' --- |'}`,
      ...soFar.ways.map(
        ({ way, label, runs }, i) =>
          `| ${way} ${label} | ${runs} of ${plan.perSeries} |${figures === null ? '' : ` ${figures[i] ?? '–'} |`}`,
      ),
    ].join('\n'),
    ...(picture === null ? [] : [pictureLine('Where the runs of both ways ended', picture)]),
    '',
  ].join('\n\n');
}

/** What each change did, in Markdown. */
export const changesMarkdown = (changes: readonly ChangeDone[]): string =>
  [
    '# What each change did',
    ...changes.map(
      ({ trying, startedAt, before, sentence, unfair }) =>
        `- ${dayIn(startedAt, teamZone())} **${trying}**${before === null ? '' : `, against “${before}”`}: ${sentence}${unfair === null ? '' : ` ${unfair}`}`,
    ),
    '',
  ].join('\n\n');
