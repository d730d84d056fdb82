import { channelOf } from '../../core/channels/key';
import { titleOf } from '../../core/channels/title';
import { channelsIn, type ChannelLog } from '../../core/channels/log';
import type { RawConvention } from '../../core/channels/rawConvention';

const TIME_DECIMALS = 4;

/**
 * A log as CSV, one reading a line: every channel as the robot gave it, in its own directions, so that the file
 * read in again is the same log. A gap is an empty cell.
 */
export function logToCsv({ tS, columns }: ChannelLog, { signs }: RawConvention): string {
  const channels = channelsIn(columns).flatMap(([key, values]) => {
    const kind = channelOf(key)?.kind;
    if (kind === undefined) return [];
    const { sign, units, filedDecimals } = kind;
    const perUnit = (sign === null ? 1 : signs[sign]) / units[0].factor;
    const cell = (value: number) =>
      filedDecimals === null
        ? String(value * perUnit)
        : String(Number((value * perUnit).toFixed(filedDecimals)));
    return [{ title: titleOf(key), cellAt: (i: number) => told(values[i], cell) }];
  });
  const lines = Array.from(tS, (t, i) =>
    [Number(t.toFixed(TIME_DECIMALS)), ...channels.map(({ cellAt }) => cellAt(i))].join(','),
  );
  return [['t_s', ...channels.map(({ title }) => title)].join(','), ...lines, ''].join('\n');
}

const told = (value: number | undefined, cell: (value: number) => string): string =>
  value === undefined || Number.isNaN(value) ? '' : cell(value);
