import type { StraightModel } from '../../../core/drive/straightModel';
import { errorFigure, errorScale, benchScale } from '../../../core/text/lengths';
import type { StraightTrialRecord } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';

interface Props {
  trials: readonly StraightTrialRecord[];
  model: StraightModel | null;
  sentence: string;
}

/** How far each drive went too far, against what it was told, and what the model says. */
export function StraightChart({ trials, model, sentence }: Props) {
  const onBench = (metres: number) => metres * benchScale().perM;
  const point = ({ commandedM, actualM }: StraightTrialRecord) => ({
    x: onBench(commandedM),
    y: errorFigure(actualM - commandedM),
  });
  const told = trials.map(({ commandedM }) => commandedM);
  const ends = [Math.min(0, ...told), Math.max(0, ...told)];
  const line =
    model === null
      ? []
      : ends.map((at) => ({
          x: onBench(at),
          y: errorFigure(
            (model.scaleFactor.value - 1) * at + (Math.sign(at) || 1) * model.coastM.value,
          ),
        }));
  return (
    <Frame
      title="Too far, against the distance"
      sentence="Each mark is one drive; below 0 it ended short."
      legend="◆ a drive   — wheels and coasting as fitted"
    >
      <Plot
        label={`How far drives went too far, against the distance. ${sentence}`}
        xTitle={`told to drive, ${benchScale().label}`}
        yTitle={`too far, ${errorScale().label}`}
        curves={[
          { label: 'as fitted', points: line, tone: 'predicted', look: 'line' },
          {
            label: 'drives',
            points: trials.map(point),
            tone: 'measured',
            look: 'points',
            shape: 'rectRot',
          },
        ]}
      />
    </Frame>
  );
}
