import { roundLength } from '../../../core/text/lengths';
import { driveCommandFor } from '../../../core/drive/straightStudy';
import type { Estimate } from '../../../core/stats/roundedFit';
import type { StraightModel } from '../../../core/drive/straightModel';
import { benchLength, degrees, errorLength, number, aMetre } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

/** Distances that routes are made of. */
const WANTED_M = [0.1, 0.25, 0.5, 1, 1.5];

const interval = ({ value, low95, high95 }: Estimate, say: (value: number) => string): string =>
  low95 === high95 ? say(value) : `${say(value)} (${say(low95)} to ${say(high95)})`;

const mm = (value: number) => errorLength(value, 1);

/** The figures of straight drives with their intervals, and what to tell for a wanted distance. */
export function StraightFigures({ model }: { model: StraightModel }) {
  const { scaleFactor, coastM, sideways } = model;
  const rows = [
    {
      name: 'Driven per told, wheels',
      text: interval(scaleFactor, (value) => `× ${number(value, 4)}`),
    },
    {
      name: 'On at the end, coasting',
      text: model.areApart ? interval(coastM, mm) : 'not told apart from the wheels',
    },
    ...(model.playM === null
      ? []
      : [{ name: 'Less after a drive the other way', text: interval(model.playM, mm) }]),
    ...(Number.isFinite(model.residualSdM)
      ? [
          { name: 'Scatter of single drives', text: mm(model.residualSdM) },
          { name: `Scatter after ${aMetre()}`, text: mm(model.repeatabilityMPerSqrtM) },
        ]
      : []),
    ...(sideways === null
      ? []
      : [
          {
            name: 'Sets off to the left by',
            text: interval(sideways.startHeadingErrorRad, (value) => degrees(value, 2)),
          },
          {
            name: `Pulls to the left, over ${aMetre()}`,
            text: sideways.areApart
              ? interval(sideways.trimRadPerM, (value) => degrees(value, 2))
              : 'not told apart from how it sets off',
          },
        ]),
  ];
  const told = WANTED_M.map(roundLength).map((wantedM) => ({
    wantedM,
    tellM: driveCommandFor(wantedM, { scaleFactor: scaleFactor.value, coastM: coastM.value }),
  }));
  return (
    <div>
      <Table
        label="What the drives say"
        rows={rows}
        keyOf={({ name }) => name}
        columns={[
          { title: 'Figure', head: true, cell: ({ name }) => name },
          { title: 'Value (95 %)', number: true, cell: ({ text }) => text },
        ]}
      />
      <Table
        label="What to tell"
        rows={told}
        keyOf={({ wantedM }) => String(wantedM)}
        columns={[
          { title: 'To drive', head: true, cell: ({ wantedM }) => benchLength(wantedM) },
          {
            title: 'tell a program that knows only the record',
            number: true,
            cell: ({ tellM }) => mm(tellM),
          },
        ]}
      />
    </div>
  );
}
