import { predictionHalfWidth } from '../../../core/turns/errorModel';
import type { TurnGroup } from '../../../core/turns/grouping';
import { groupName, type TurnStudy } from '../../../core/turns/turnStudy';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { Plot } from '../../../ui/chart/Plot';
import type { Band, Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';

const SHAPES = { left: 'rectRot', right: 'triangle' } as const;
const STEPS = 24;

/** The modelled error of a group over the angles that were tried, and the band of single turns. */
function modelCurve(group: TurnGroup): { curve: Curve; band: Band | null } {
  const { model } = group;
  const width = Math.max(model.toRad - model.fromRad, 0.2);
  const angles = Array.from(
    { length: STEPS + 1 },
    (_, i) => Math.max(0, model.fromRad - 0.1 * width) + (1.2 * width * i) / STEPS,
  );
  const error = (angle: number) => model.constantRad + model.scaleError * angle;
  const deg = degreesFromRadians;
  const half = angles.map((angle) => predictionHalfWidth(model, angle));
  const x = angles.map(deg);
  return {
    curve: {
      label: groupName(group),
      points: angles.map((angle) => ({ x: deg(angle), y: deg(error(angle)) })),
      tone: 'predicted',
      look: 'line',
    },
    band: half.every(Number.isFinite)
      ? {
          label: 'single turns',
          x,
          low: angles.map((angle, i) => deg(error(angle) - (half[i] ?? 0))),
          high: angles.map((angle, i) => deg(error(angle) + (half[i] ?? 0))),
        }
      : null,
  };
}

/** Error against target: the trials, the chosen model of each group, and where single turns fall. */
export function TurnChart({ study }: { study: TurnStudy }) {
  const { groups } = study.model;
  const modelled = groups.map(modelCurve);
  const points = (['left', 'right'] as const).map((side): Curve => ({
    label: `turned to the ${side}`,
    points: groups.flatMap((group) =>
      group.points
        .filter((point) => point.side === side)
        .map(({ target, actual }) => ({
          x: degreesFromRadians(target),
          y: degreesFromRadians(actual - target),
        })),
    ),
    tone: 'measured',
    look: 'points',
    shape: SHAPES[side],
  }));
  return (
    <Frame
      title="Error against the angle"
      sentence="Each mark is one turn; the band holds 95 of 100 single turns."
      legend="◆ to the left   ▲ to the right   — model of each group, with the band of single turns"
    >
      <Plot
        label={`Turning error against the angle. ${study.sentences.found}`}
        xTitle="told to turn, degrees"
        yTitle="too far, degrees"
        curves={[...modelled.map(({ curve }) => curve), ...points]}
        bands={modelled.flatMap(({ band }) => band ?? [])}
      />
    </Frame>
  );
}
