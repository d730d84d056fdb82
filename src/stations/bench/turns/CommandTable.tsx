import { degreesFromRadians } from '../../../core/geometry/angle';
import { degrees, number } from '../../../core/text/quantities';
import type { TurnCommand } from '../../../core/turns/turnModel';
import { Table } from '../../../ui/Table';

const size = (angle: number) => number(Math.abs(degreesFromRadians(angle)), 1);

function flags({ extrapolated, short, reason }: TurnCommand): string {
  return [
    ...(reason === null ? [] : [reason]),
    ...(extrapolated ? ['not tried: an extrapolation'] : []),
    ...(short ? ['too short to reach its rate: try it'] : []),
  ].join('; ');
}

/** Between what one turn then ends, the nearer end first. */
function range({ wantedRad, commandRad, low95Rad, high95Rad }: TurnCommand): string {
  if (low95Rad === null || high95Rad === null) return commandRad === null ? '–' : 'not known yet';
  const [near, far] = wantedRad >= 0 ? [low95Rad, high95Rad] : [high95Rad, low95Rad];
  return `${size(near)}° to ${size(far)}°`;
}

/** What to tell the program for each angle, and what one such turn will truly make. */
export const CommandTable = ({ commands }: { commands: readonly TurnCommand[] }) => (
  <Table
    label="Commands"
    rows={commands}
    keyOf={({ wantedRad, rateRadPerS, kind }) => `${wantedRad}/${rateRadPerS}/${kind}`}
    columns={[
      {
        title: 'Wanted',
        cell: ({ wantedRad, direction, kind }) =>
          `${degrees(Math.abs(wantedRad), 0)} to the ${direction}${kind === 'pivot' ? ', one wheel stands' : ''}`,
      },
      { title: 'At', number: true, cell: ({ rateRadPerS }) => `${degrees(rateRadPerS, 0)}/s` },
      {
        title: 'Stop the motors at',
        number: true,
        cell: ({ commandRad }) =>
          commandRad === null ? 'none' : <strong>{size(commandRad)}°</strong>,
      },
      { title: 'One turn then makes (95 %)', number: true, cell: range },
      {
        title: 'Careful',
        cell: (command) => <span className="faint">{flags(command)}</span>,
      },
    ]}
  />
);
