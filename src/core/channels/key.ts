import { CHANNEL_KINDS, type ChannelKind } from './kinds';

/*
 * A channel of a log is known by its key: that of its kind, and where a log may hold several of the kind
 * its own name behind a colon, as in "distanceM:front".
 */

/** The longest name of a channel. */
const LONGEST_NAME = 40;
const NAME = new RegExp(`^[\\p{L}\\p{N}][\\p{L}\\p{N} _.-]{0,${LONGEST_NAME - 1}}$`, 'u');

const KINDS = new Map(CHANNEL_KINDS.map((kind) => [kind.key, kind]));

export interface Channel {
  key: string;
  kind: ChannelKind;
  /** Of its own; empty for the only one of its kind. */
  name: string;
}

export const channelKey = ({ key, several }: ChannelKind, name: string): string =>
  several ? `${key}:${name}` : key;

/** A name as a key can hold it. */
export const channelName = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N} _.-]/gu, ' ')
    .replace(/^[ _.-]+|[ _.-]+$/g, '')
    .slice(0, LONGEST_NAME) || 'unnamed';

/** The channel of a key, or null for what is none. */
export function channelOf(key: string): Channel | null {
  const colon = key.indexOf(':');
  const kind = KINDS.get(colon < 0 ? key : key.slice(0, colon));
  const name = colon < 0 ? '' : key.slice(colon + 1);
  if (kind === undefined || kind.several !== colon >= 0) return null;
  return kind.several && !NAME.test(name) ? null : { key, kind, name };
}

/** What a channel is called on the screen: "Heading", "Distance front". */
export function channelLabel(key: string): string {
  const channel = channelOf(key);
  if (channel === null) return key;
  const { kind, name } = channel;
  if (!kind.several) return kind.name;
  const words = name.replace(/_/g, ' ');
  const saysKind = kind.title === '' || words.toLowerCase().includes(kind.name.toLowerCase());
  return saysKind ? words.charAt(0).toUpperCase() + words.slice(1) : `${kind.name} ${words}`;
}
