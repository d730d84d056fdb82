import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { NumberField } from '../../ui/fields/NumberField';
import { BENCH_LENGTH, DEG, SMALL_LENGTH, HEADING } from '../../ui/fields/units';

interface Props {
  route: Route;
  table: Table;
  onChange(route: Route): void;
}

/** Where the robot starts and how exactly it is placed, as a sentence with its values in place. */
export function StartSentence({ route, table, onChange }: Props) {
  const { start, placement } = route;
  const setStart = (part: Partial<Route['start']>) =>
    onChange({ ...route, start: { ...start, ...part } });
  const setPlacement = (part: Partial<Route['placement']>) =>
    onChange({ ...route, placement: { ...placement, ...part } });
  return (
    <>
      Start at{' '}
      <NumberField
        inline
        label="Start x"
        unit={BENCH_LENGTH}
        min={0}
        max={table.widthM * 100}
        value={start.xM}
        onChange={(xM) => setStart({ xM })}
      />{' '}
      |{' '}
      <NumberField
        inline
        label="Start y"
        unit={BENCH_LENGTH}
        min={0}
        max={table.heightM * 100}
        value={start.yM}
        onChange={(yM) => setStart({ yM })}
      />{' '}
      facing{' '}
      <NumberField
        inline
        label="Start heading"
        unit={HEADING}
        min={-360}
        max={360}
        value={start.headingRad}
        onChange={(headingRad) => setStart({ headingRad })}
      />
      ; placed to ±{' '}
      <NumberField
        inline
        label="Placing scatter along"
        unit={SMALL_LENGTH}
        min={0}
        max={500}
        value={placement.alongSdM}
        onChange={(alongSdM) => setPlacement({ alongSdM })}
      />{' '}
      along, ±{' '}
      <NumberField
        inline
        label="Placing scatter across"
        unit={SMALL_LENGTH}
        min={0}
        max={500}
        value={placement.acrossSdM}
        onChange={(acrossSdM) => setPlacement({ acrossSdM })}
      />{' '}
      across, ±{' '}
      <NumberField
        inline
        label="Placing scatter of the heading"
        unit={DEG}
        min={0}
        max={50}
        value={placement.headingSdRad}
        onChange={(headingSdRad) => setPlacement({ headingSdRad })}
      />
    </>
  );
}
