import type { StraightModel, StraightTrial } from '../../../core/drive/straightModel';
import { errorFigure, errorScale, benchScale } from '../../../core/text/lengths';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';

interface Props {
  /** Of one direction. */
  trials: readonly StraightTrial[];
  model: StraightModel | null;
  sentence: string;
}

/** How far each drive went too far, against what it was told, and what the model says. */
export function StraightChart({ trials, model, sentence }: Props) {
  const onBench = (metres: number) => metres * benchScale().perM;
  const point = ({ commandedM, actualM }: StraightTrial) => ({
    x: onBench(Math.abs(commandedM)),
    y: errorFigure(Math.sign(commandedM) * (actualM - commandedM)),
  });
  const ends = [0, Math.max(0, ...trials.map(({ commandedM }) => Math.abs(commandedM)))];
  const line =
    model === null
      ? []
      : ends.map((at) => ({
          x: onBench(at),
          y: errorFigure((model.scaleFactor.value - 1) * at + model.coastM.value),
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
