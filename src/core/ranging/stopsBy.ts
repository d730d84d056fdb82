/** What can end a drive. */
export const STOP_KINDS = ['distance', 'line', 'touch', 'encoder'] as const;

export type StopKind = (typeof STOP_KINDS)[number];

/** How a coach says them, what the robot needs for it, and what its stops are measured from. */
export const STOPS_BY: Record<StopKind, { title: string; needs: string; mark: string }> = {
  distance: {
    title: 'the distance sensor',
    needs: 'a distance sensor',
    mark: 'the wall',
  },
  line: { title: 'a line', needs: 'a light sensor, and a line there', mark: 'the line’s edge' },
  touch: {
    title: 'touching',
    needs: 'something to run into (a touch sensor tells at once)',
    mark: 'where it touched',
  },
  encoder: { title: 'the motors’ angle', needs: 'nothing', mark: 'the told distance' },
};
