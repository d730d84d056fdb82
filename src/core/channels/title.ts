import { channelKey, channelName, channelOf } from './key';
import { CHANNEL_KINDS, type ChannelKind } from './kinds';

/** What a column of a file holds: which channel, and what its numbers are multiplied by. */
export interface ColumnMeaning {
  key: string;
  factor: number;
}

/** The title of a column less what only says its unit. */
export function nameIn(title: string, { units, title: ending }: ChannelKind): string {
  const [unit, last] = /[_ ]([^_ ]*)$/.exec(title) ?? [];
  const isUnit =
    unit !== undefined && (last === ending || units.some(({ said }) => said.test(unit)));
  return channelName(isUnit ? title.slice(0, -unit.length) : title);
}

const factorSaid = (title: string, { units }: ChannelKind): number =>
  (units.find(({ said }) => said.test(title)) ?? units[0]).factor;

/** The kind that a title means: one whose own it is, or else the first that it may be. */
const kindOf = (title: string): ChannelKind | undefined =>
  CHANNEL_KINDS.find((kind) => !kind.several && kind.title === title) ??
  CHANNEL_KINDS.find(({ guess }) => guess.test(title));

/**
 * What a column seems to hold by its title, as "front_cm" says that it is a distance in centimetres.
 *
 * @param taken channels that other columns hold already; of these it is none
 */
export function meaningOf(title: string, taken: ReadonlySet<string>): ColumnMeaning {
  const kinds = [kindOf(title), CHANNEL_KINDS.at(-1)].flatMap((kind) => kind ?? []);
  for (const kind of kinds) {
    const key = channelKey(kind, nameIn(title, kind));
    if (!taken.has(key)) return { key, factor: factorSaid(title, kind) };
  }
  let n = 2;
  while (taken.has(`number:${channelName(title)} ${n}`)) n += 1;
  return { key: `number:${channelName(title)} ${n}`, factor: 1 };
}

/** The title of a channel in Corvat's files: `meaningOf` reads it back. */
export function titleOf(key: string): string {
  const channel = channelOf(key);
  if (channel === null) return key;
  const { kind, name } = channel;
  if (!kind.several) return kind.title;
  const isSaid = kind.title === '' || (kind.title === 'touch' && kind.guess.test(name));
  return isSaid ? name : `${name}_${kind.title}`;
}
