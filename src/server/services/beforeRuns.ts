import { calibrationOf } from '../../core/calibration/find';
import { venueWarning } from '../../core/light/venueWarning';
import { batteryWarning } from '../../core/presence/batteryWarning';
import { allHeld } from '../../formats/holding';
import type { SavedRun } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { calibrationsOf, holdingOf } from '../stores/calibrations';
import { findRobot } from '../stores/robots';
import { carriedProgram } from '../stores/typedPrograms';
import { dayIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import type { SeriesContext } from './seriesContext';

/** Something that is to be known before the next run, and where it is mended. */
export interface BeforeRuns {
  sentence: string;
  link: { href: string; words: string };
}

/**
 * What is to be known before the next run of a series, by what holds now.
 *
 * @param runs of the series, in their order
 */
export async function warningsBeforeRuns(
  db: TeamDatabase,
  { robot, version, series }: SeriesContext,
  runs: readonly Pick<SavedRun, 'batteryV'>[],
): Promise<BeforeRuns[]> {
  const { route } = version;
  // As it is now: what was exchanged since the series began counts.
  const record = (await findRobot(db, robot.id)) ?? robot;
  const held = allHeld(holdingOf(await calibrationsOf(db, record), record));
  const values = held.map(({ value }) => value);
  const to = (procedure: string, words: string) => ({
    href: `/bench/${procedure}?robot=${robot.id}`,
    words,
  });
  const lastV = runs.findLast(({ batteryV }) => batteryV !== null)?.batteryV ?? null;
  const carried = await carriedProgram(db, version.routeId);
  const isOther = carried !== null && carried.routeVersionId !== version.id;
  const warnings = [
    {
      sentence: isOther
        ? `${robot.name} carries another version of this route, as it was typed in on ${dayIn(carried.typedAt, teamZone())}.`
        : null,
      link: {
        href: `/course/building?version=${version.id}`,
        words: 'What is to be typed in',
      },
    },
    {
      sentence: venueWarning(route, calibrationOf(values, 'light-threshold'), series.tableLabel),
      link: to('light', 'Read line and floor'),
    },
    {
      sentence: batteryWarning(route, calibrationOf(values, 'presence'), lastV),
      link: to('presence', 'Where echoes are lost'),
    },
  ];
  return warnings.flatMap(({ sentence, link }) => (sentence === null ? [] : [{ sentence, link }]));
}
