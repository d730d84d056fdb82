import { decimate } from '../../../core/chart/decimate';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { errorFigure, errorScale } from '../../../core/text/lengths';
import type { TunedId } from '../../../core/robot/tunedIds';
import { evidenceText } from '../../../core/tuning/evidenceText';
import type { GainJudgement, Trace } from '../../../core/tuning/judge';
import { Plot } from '../../../ui/chart/Plot';
import type { Tone } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { PERCENT } from '../../../ui/fields/units';

interface Props {
  controller: TunedId;
  title: string;
  trace: Trace;
  judged: GainJudgement | null;
  tone: Extract<Tone, 'predicted' | 'measured'>;
}

const MOST_POINTS = 600;

/** In what an error is drawn: degrees, small lengths, percent of light. */
const AXES: Record<TunedId, { label(): string; figure(error: number): number }> = {
  turn: { label: () => 'angle left, °', figure: degreesFromRadians },
  'heading-hold': { label: () => 'heading off, °', figure: degreesFromRadians },
  balance: { label: () => 'wheels apart, °', figure: degreesFromRadians },
  wall: { label: () => `too far from the wall, ${errorScale().label}`, figure: errorFigure },
  line: { label: () => 'light too much, %', figure: PERCENT.show },
};

/** A trace with what it is judged by: the farthest points of its swings, and the band that counts as back. */
export function TraceChart({ controller, title, trace, judged, tone }: Props) {
  const { label, figure } = AXES[controller];
  const points = decimate(trace.tS, trace.error.map(figure), MOST_POINTS);
  const ends = [trace.tS[0] ?? 0, trace.tS.at(-1) ?? 0];
  const sentence = evidenceText(judged);
  return (
    <Frame title={title} sentence={sentence} legend="◆ farthest of a swing   - - counts as back">
      <Plot
        label={`${title}. ${sentence}`}
        xTitle="time, s"
        yTitle={label()}
        curves={[
          { label: title, points, tone, look: 'line' },
          {
            label: 'farthest of a swing',
            points:
              judged?.swings.swings.map(({ tS, error }) => ({ x: tS, y: figure(error) })) ?? [],
            tone: 'fault',
            look: 'points',
            shape: 'rectRot',
          },
          ...(judged === null
            ? []
            : [1, -1].map((side) => ({
                label: side > 0 ? 'counts as back' : '',
                points: ends.map((x) => ({ x, y: figure(side * judged.swings.band) })),
                tone: 'faint' as const,
                look: 'line' as const,
                dashed: true,
              }))),
        ]}
      />
    </Frame>
  );
}
