import { READ_BY_STEPS } from '../devices/channels';
import type { Device } from '../devices/device';
import { kindOf } from '../devices/registry';
import { toTable, type Pose } from '../geometry/pose';
import { rawReading, rawText, type RawReading } from '../program/rawReading';
import type { Robot } from '../robot/robot';
import { expectedReading } from '../sensing/expected';
import { randomStream } from '../stats/random';
import type { Table } from '../table/table';
import { benchScale } from '../text/lengths';
import { usualTable } from '../table/drawnTable';
import type { Route } from './route';

/** What a sensor shows where the robot stands as it is placed; null: nothing within its range. */
export interface StartReading {
  unit: Device;
  /** As the robot's own programs read it, 19 times in 20 between these two. */
  shows: { value: RawReading; low: RawReading; high: RawReading } | null;
}

/** So many placings tell the band; the same ones each time that it is asked for. */
const PLACINGS = 400;
const SEED = 1;

/** Places about the planned start, as it is placed by hand. */
function placings({ start, placement }: Pick<Route, 'start' | 'placement'>): Pose[] {
  const { alongSdM, acrossSdM, headingSdRad } = placement;
  return Array.from({ length: PLACINGS }, (_, i) => {
    const random = randomStream(SEED, i, 'placed');
    const at = { xM: alongSdM * random.normal(), yM: acrossSdM * random.normal() };
    const headingRad = start.headingRad + headingSdRad * random.normal();
    return { ...toTable(start, at), headingRad };
  });
}

/** How far its single readings scatter. */
function noiseOf(unit: Device): number {
  const behaviour = unit.behaviour as Readonly<Record<string, number>>;
  return Math.hypot(
    ...Object.keys(kindOf(unit.kind).noise ?? {}).map((name) => behaviour[name] ?? 0),
  );
}

/** Kinds by one number each; a touch sensor is pressed or not, and says nothing of the place. */
const TOLD = READ_BY_STEPS.filter(({ channel }) => ['distance', 'light'].includes(channel.name));

/** As the robot's own programs read it; a length, where nobody has said how they do, as the team measures. */
function asRead(unit: Device, channel: string, value: number, robot: Robot): RawReading {
  const raw = rawReading(unit, channel, value, robot);
  if (channel !== 'distance' || unit.raw !== null) return raw;
  const { perM, decimals, label } = benchScale();
  return { ...raw, value: perM * value, decimals, unit: label };
}

/**
 * What each distance and light sensor should show where the robot is placed, for whoever starts it: what it shows
 * otherwise stands, looks or is plugged in otherwise.
 *
 * Its band: the middle 19 of 20 of what it shows over placings as the route has them, single readings scattering as
 * well: next to an edge of a line no straight law holds.
 */
export function startReadings(
  { start, placement }: Pick<Route, 'start' | 'placement'>,
  robot: Robot,
  table: Table,
): StartReading[] {
  const usual = usualTable(table);
  const places = placings({ start, placement });
  return robot.units
    .filter(({ port }) => port !== null)
    .flatMap((unit): StartReading[] => {
      const told = TOLD.find(({ kind }) => kind === unit.kind);
      if (told === undefined) return [];
      const { name } = told.channel;
      const read = (pose: Pose) => expectedReading(unit, name, pose, usual);
      const value = read(start);
      if (value === null) return [{ unit, shows: null }];
      const noise = randomStream(SEED, 0, 'noise');
      const sd = noiseOf(unit);
      const raw = (reading: number) => asRead(unit, name, Math.max(0, reading), robot);
      const seen = places
        .flatMap((place) => read(place) ?? [])
        .map((reading) => raw(reading + sd * noise.normal()))
        .toSorted((one, other) => one.value - other.value);
      const outside = Math.floor(0.025 * seen.length);
      const ends = [seen[outside], seen[seen.length - 1 - outside]];
      const [low = raw(value), high = raw(value)] = ends;
      return [{ unit, shows: { value: raw(value), low, high } }];
    });
}

const called = ({ label, programName, port }: Device): string =>
  `${programName.trim() === '' ? label : programName.trim()}${port === null || port === '' ? '' : ` on port ${port}`}`;

/** The same in words: "D1 on port 4 shows 62.3 cm (60.8 to 63.8)". */
export const startReadingText = ({ unit, shows }: StartReading): string =>
  shows === null
    ? `${called(unit)} shows nothing`
    : `${called(unit)} shows ${rawText(shows.value)} (${rawText({ ...shows.low, unit: '' })} to ${rawText({ ...shows.high, unit: '' })})`;
