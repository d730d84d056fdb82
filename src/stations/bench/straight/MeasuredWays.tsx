import type { StraightGroup } from '../../../core/drive/straightGroups';
import { degrees, errorLength, aMetre } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

const ofModel = (say: (model: NonNullable<StraightGroup['model']>) => string | undefined) =>
  function cell({ model }: StraightGroup): string {
    return (model && say(model)) ?? '–';
  };

/** The ways of driving straight that were tried on the floor, side by side. */
export const MeasuredWays = ({ groups }: { groups: readonly StraightGroup[] }) => (
  <Table
    label="Ways that were tried"
    rows={groups}
    keyOf={({ name }) => name}
    columns={[
      { title: 'Driven, and kept straight', head: true, cell: ({ name }) => name },
      { title: 'Drives', number: true, cell: ({ trials }) => trials.length },
      {
        title: `Scatter after ${aMetre()}`,
        number: true,
        cell: ofModel(({ repeatabilityMPerSqrtM: sd }) =>
          Number.isFinite(sd) ? errorLength(sd, 1) : undefined,
        ),
      },
      {
        title: 'Sets off to the left by',
        number: true,
        cell: ofModel(
          ({ sideways }) =>
            sideways?.startHeadingErrorRad && degrees(sideways.startHeadingErrorRad.value, 2),
        ),
      },
      {
        title: `Pulls to the left, over ${aMetre()}`,
        number: true,
        cell: ofModel(({ sideways }) =>
          sideways?.areApart === true ? degrees(sideways.trimRadPerM.value, 2) : undefined,
        ),
      },
      {
        title: 'Scatter sideways',
        number: true,
        cell: ofModel(({ sideways }) =>
          sideways !== null && Number.isFinite(sideways.residualSdM)
            ? errorLength(sideways.residualSdM, 1)
            : undefined,
        ),
      },
    ]}
  />
);
