import { positiveTurn } from '../../../core/text/quantities';
import type { RunLogStudy } from '../../../core/gyro/runLog';
import type { AnchorRecord } from '../../../formats/benchRecords';
import type { Log } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { offCurves, runCurves } from './runCurves';

interface Props {
  log: Log;
  study: RunLogStudy;
  anchors: readonly AnchorRecord[];
  name: string;
  /** Told the moment at which the chart was clicked. */
  onPick(tS: number): void;
}

/** The heading through a run, and below it how far it was off: too little to be seen in the other. */
export function RunCharts({ log, study, anchors, name, onPick }: Props) {
  const shades = study.divergences.map(({ fromS, toS }) => ({ from: fromS, to: toS }));
  return (
    <>
      <Frame
        title={`Heading of the run: ${name}`}
        sentence={study.sentences.found}
        legend="amber: as read   green: corrected   grey dashed: by the encoders   ▲ true heading known   ▮ gyro and encoders part"
      >
        <Plot
          label={`Heading of the run. ${study.sentences.found}`}
          xTitle="seconds"
          yTitle="degrees"
          curves={runCurves(log, study, anchors)}
          shades={shades}
          onPick={onPick}
        />
      </Frame>
      {study.off !== null && (
        <Frame
          title="How far it was off"
          sentence={study.sentences.means}
          legend="amber: the reading   grey dashed: the encoders’ heading, with slip and a wrong track in it"
        >
          <Plot
            label={`How far the heading was off. ${study.sentences.means}`}
            xTitle="seconds"
            yTitle={`degrees (${positiveTurn()})`}
            curves={offCurves(log, study.off)}
            shades={shades}
            onPick={onPick}
          />
        </Frame>
      )}
    </>
  );
}
