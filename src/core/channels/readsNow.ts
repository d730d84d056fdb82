import { channelsIn, type ChannelLog } from './log';
import { channelLabel, channelOf } from './key';
import type { ChannelKind } from './kinds';

/** A channel, and what it reads at the end of a log, in the core's unit; null where that is a gap. */
export interface ReadsNow {
  key: string;
  kind: ChannelKind;
  label: string;
  value: number | null;
}

/**
 * What each channel of a log reads at its end. A sensor that is read now and then only counts with what it read
 * last; a distance without an echo does not: there was none.
 */
export const readsNow = ({ columns }: ChannelLog): ReadsNow[] =>
  channelsIn(columns).flatMap(([key, values]) => {
    const kind = channelOf(key)?.kind;
    if (kind === undefined) return [];
    const value =
      kind.key === 'distanceM'
        ? values.at(-1)
        : values.findLast((reading) => !Number.isNaN(reading));
    const isRead = value !== undefined && !Number.isNaN(value);
    return [{ key, kind, label: channelLabel(key), value: isRead ? value : null }];
  });
