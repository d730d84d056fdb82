import type { ColourClassesCalibration } from '../../../calibrationValues/colourClasses';
import type { ColourNumber } from '../../../colour/inequalities';
import { rulesBy } from '../../../colourClasses/colourClasses';
import type { ColourStudy } from '../../../colourClasses/colourStudy';
import type { Box } from '../../../colourClasses/rules';
import type { ColourScale } from '../../../colourClasses/scale';

const DEGREES = 360;
const PERCENT = 100;

/** Of what each number counts to in the team's program, how much it is where every robot's is kept. */
function perCount(by: string, isSaidInHsv: boolean, { counts, h, s, v }: ColourScale): number {
  if (by === 'h') return DEGREES / h;
  if (by === 's' || by === 'v') return isSaidInHsv ? PERCENT / (by === 's' ? s : v) : 1;
  return by.endsWith('Percent') ? 1 : 1 / counts;
}

/** Inequalities in shares, percent and degrees. */
const kept = (boxes: readonly Box[], isSaidInHsv: boolean, scale: ColourScale) =>
  boxes.map((box) =>
    box.map(({ column, low, high }) => {
      const times = perCount(column.name, isSaidInHsv, scale);
      const of = (bound: number | null) => (bound === null ? null : bound * times);
      return { by: column.name as ColourNumber, low: of(low), high: of(high) };
    }),
  );

/** Colours by which a program is to go, as their readings told. */
export function calibrationFromColours({
  found: { representation, rules, errorRate, classes },
  samples,
  scale,
  counted,
  references,
}: Pick<
  ColourStudy,
  'found' | 'samples' | 'scale' | 'counted' | 'references'
>): ColourClassesCalibration {
  const byBoxes = new Map(
    rulesBy(samples, representation, scale).map(({ name, boxes }) => [name, boxes]),
  );
  const isSaidInHsv = samples[0]?.reading.kind === 'hsv';
  return {
    kind: 'colour-classes',
    representation,
    rules: rules.map(({ name, sentence }) => {
      const boxes = byBoxes.get(name);
      return {
        name,
        sentence: sentence.slice(0, 400),
        boxes: boxes === undefined ? null : kept(boxes, isSaidInHsv, scale),
      };
    }),
    references,
    countsTo: counted.scale.counts,
    errorRate: errorRate.value,
    errorHigh95: errorRate.high95,
    n: classes.reduce((sum, { n }) => sum + n, 0),
  };
}
