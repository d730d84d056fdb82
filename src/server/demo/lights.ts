import { calibrationFromPresence } from '../../core/calibration/kinds/presence/fromStudy';
import { calibrationFromThreshold } from '../../core/calibration/kinds/lightThreshold/fromStudy';
import { lineThreshold } from '../../core/light/lineThreshold';
import { readingsOver } from '../../core/light/heights';
import { presence } from '../../core/presence/presence';
import { randomStream } from '../../core/stats/random';
import type {
  ColourTrialRecord,
  FaultLookRecord,
  LightTrialRecord,
  PresenceTrialRecord,
} from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import { demoId } from './ids';
import { CONDITIONS, loadApplied, loadList, NOT_ASIDE } from './list';

const L1 = { id: 'u5', label: 'L1' };
const FIVE = [0, 1, 2, 3, 4];
const percent = (value: number): number => Math.round(Math.min(100, Math.max(0, value)));

/** What line and floor read at each place of a table, in percent. */
interface Venue {
  unit: { id: string; label: string };
  heightM: number;
  seed: number;
  places: { line: number; floor: number }[];
}
const HOME: Venue = {
  unit: L1,
  heightM: 0.012,
  seed: 91,
  places: [
    { line: 15, floor: 61 },
    { line: 16, floor: 60 },
    { line: 14, floor: 63 },
    { line: 15, floor: 62 },
  ],
};
const HALL: Venue = {
  unit: L1,
  heightM: 0.012,
  seed: 92,
  places: [
    { line: 24, floor: 74 },
    { line: 23, floor: 71 },
    { line: 26, floor: 75 },
  ],
};

/** Five readings over the line and five beside it, at each place. */
const lightReadings = ({ unit, heightM, seed, places }: Venue): LightTrialRecord[] =>
  places
    .flatMap(({ line, floor }, place) =>
      (['line', 'floor'] as const).flatMap((over) =>
        FIVE.map(() => ({ over, place: `${place + 1}`, truly: over === 'line' ? line : floor })),
      ),
    )
    .map(({ over, place, truly }, i) => ({
      id: demoId(`H${seed}`, i + 1),
      unit: unit.label,
      over,
      place,
      reading: percent(truly + 1.1 * randomStream(seed, i, 'demo-light').normal()),
      heightM,
      ...NOT_ASIDE,
    }));

/** Line and floor at one venue, applied there. */
export async function loadVenue(
  db: TeamDatabase,
  robotId: string,
  number: number,
  of: Venue & { venue: string; lighting: string; who: string; day: string },
): Promise<void> {
  const { venue, lighting, who, day, heightM } = of;
  const readings = lightReadings(of);
  const startedAt = `${day}T15:10:00.000Z`;
  const trialsId = await loadList<'light'>(db, robotId, number, startedAt, {
    procedure: 'light',
    conditions: { ...CONDITIONS, scale: 'percent', full: null, venue, lighting, programs: null },
    trials: readings,
  });
  const found = lineThreshold(readingsOver(readings, 'line'), readingsOver(readings, 'floor'));
  await loadApplied(db, robotId, number, {
    value: calibrationFromThreshold(found, { venue, lighting, full: 100, heightM }),
    trialsId,
    raw: readings,
    reason: `read at ${venue}`,
    who,
    madeAt: startedAt,
    changedAt: `${day}T15:20:00.000Z`,
    unitId: of.unit.id,
  });
}

/** What a borrowed sensor counts over each colour near the table, of 255; further off it counts less. */
const COLOURS: Record<string, [number, number, number]> = {
  red: [190, 38, 32],
  green: [40, 138, 64],
  blue: [30, 64, 150],
  yellow: [204, 166, 40],
  white: [216, 217, 215],
  'dark floor': [26, 25, 28],
};

const colourReadings = (): ColourTrialRecord[] =>
  Object.entries(COLOURS)
    .flatMap(([name, counts]) =>
      [0.008, 0.014].flatMap((distanceM) => FIVE.map(() => ({ name, counts, distanceM }))),
    )
    .map(({ name, counts, distanceM }, i) => {
      const random = randomStream(93, i, 'demo-colours');
      const light = (distanceM < 0.01 ? 1 : 0.7) * (1 + 0.05 * random.normal());
      const [red = 0, green = 0, blue = 0] = counts.map((count) =>
        Math.round(Math.min(255, Math.max(0, count * light + 2.5 * random.normal()))),
      );
      const rest = {
        clear: null,
        hue: null,
        saturation: null,
        value: null,
        says: '',
        light: '',
        unit: '',
      };
      return { id: demoId('HC', i + 1), name, red, green, blue, ...rest, distanceM, ...NOT_ASIDE };
    });

/** The barrel before D3, and the empty table; once no echo came back. */
const barrelReadings = (): PresenceTrialRecord[] =>
  Array.from({ length: 24 }, (_, i) => {
    const random = randomStream(94, i, 'demo-presence');
    const there = i < 12 ? 'yes' : 'no';
    const reading = Number(((there === 'yes' ? 14 : 62) + 0.8 * random.normal()).toFixed(1));
    return { id: demoId('HP', i + 1), there, reading, batteryV: null, ...NOT_ASIDE };
  });

/** A loose cable: the heading froze in three of ten drives, and in none with another cable. */
const looks = (): FaultLookRecord[] => {
  const asItWas = [0, 1, 0, 0, 1, 0, 0, 1, 0, 0].map((fault) => ({
    exchanged: 'nothing' as const,
    fault,
  }));
  const other = Array.from({ length: 30 }, () => ({ exchanged: 'cable' as const, fault: 0 }));
  return [...asItWas, ...other].map(({ exchanged, fault }, i) => ({
    id: demoId('HF', i + 1),
    exchanged,
    showed: fault === 1 ? ('yes' as const) : ('no' as const),
    ...NOT_ASIDE,
  }));
};

/** Light at two venues, colours of a borrowed sensor, the barrel, and a part that was found guilty. */
export async function loadLights(db: TeamDatabase, robotId: string): Promise<void> {
  await loadVenue(db, robotId, 20, {
    ...HALL,
    venue: 'school hall',
    lighting: 'ceiling lamps',
    who: 'Tam',
    day: '2026-11-13',
  });
  await loadVenue(db, robotId, 21, {
    ...HOME,
    venue: 'home table',
    lighting: 'desk lamp',
    who: 'Moss',
    day: '2026-11-18',
  });
  await loadList<'colours'>(db, robotId, 22, '2026-11-18T15:40:00.000Z', {
    procedure: 'colours',
    conditions: {
      ...CONDITIONS,
      shows: 'rgb',
      full: 255,
      fullHue: null,
      fullShare: null,
      white: '',
      black: '',
      divisor: 2,
      keepsTo: 100,
    },
    trials: colourReadings(),
  });
  const barrel = barrelReadings();
  const conditions = { ...CONDITIONS, by: 'D3', target: 'barrel' };
  const uncounted = { passes: null, caught: null, absentPasses: null, falseAlarms: null };
  const presenceAt = '2026-11-19T15:05:00.000Z';
  const presenceId = await loadList<'presence'>(db, robotId, 23, presenceAt, {
    procedure: 'presence',
    conditions: { ...conditions, ...uncounted },
    trials: barrel,
  });
  const of = (is: 'yes' | 'no') =>
    barrel.filter(({ there }) => there === is).map(({ reading }) => reading);
  await loadApplied(db, robotId, 23, {
    value: calibrationFromPresence(presence(of('yes'), of('no')), {
      by: conditions.by,
      target: conditions.target,
      n: barrel.length,
      lostBelowV: null,
    }),
    trialsId: presenceId,
    raw: barrel,
    reason: 'the barrel is there or not',
    who: 'Juniper',
    madeAt: presenceAt,
    changedAt: '2026-11-19T15:08:00.000Z',
  });
  await loadList<'guilty-part'>(db, robotId, 24, '2026-11-12T16:20:00.000Z', {
    procedure: 'guilty-part',
    conditions: { ...CONDITIONS, what: 'the heading stands still in a drive' },
    trials: looks(),
  });
}
