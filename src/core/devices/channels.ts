import type { DeviceChannel } from './channel';
import { KINDS, kindOf, type DeviceKindName } from './registry';
import type { Device } from './device';

/** What a unit reads: what its kind does, less what this one has not. */
export const channelsOf = ({ kind, behaviour }: Device): DeviceChannel[] =>
  kindOf(kind).channels.filter(
    ({ onlyWith }) =>
      onlyWith === undefined || (behaviour as Record<string, unknown>)[onlyWith] === true,
  );

/** A reading that a step may wait for: which kind of unit gives it, by which of its channels. */
export interface ReadByKind {
  /** As records name it: the kind, and the channel where it has several. */
  name: string;
  kind: DeviceKindName;
  channel: DeviceChannel;
}

/** All that steps may wait for, by the names that records have for it. */
export const READ_BY_STEPS: readonly ReadByKind[] = KINDS.flatMap(({ kind }) => {
  const { channels } = kindOf(kind);
  const several = channels.length > 1;
  return channels
    .filter(({ reads }) => reads !== null)
    .map((channel) => ({ name: several ? `${kind}: ${channel.name}` : kind, kind, channel }));
});
