import { allHeld } from '../../../formats/holding';
import { calibrationFromLinePasses } from '../../../core/calibration/kinds/lineCrossing/fromStudy';
import { calibrationOf } from '../../../core/calibration/find';
import { devicesOf } from '../../../core/devices/ofRobot';
import { crossingStudy, shareToCount } from '../../../core/light/crossing';
import { CROSSING } from '../../../core/light/description';
import { linePassesStudy } from '../../../core/light/linePassesStudy';
import { heldOf, notApplied } from '../known';
import type { BenchFacts, Procedure } from '../procedure';
import { emptyList } from '../trials/emptyList';
import { notAside, openedList, usedTrials } from '../trials/openedList';
import { foundInList } from '../waiting';

/** The threshold of line and floor that holds, or null. */
export async function heldThreshold(facts: BenchFacts) {
  const held = (await facts.holding())['light-threshold'];
  return held === undefined ? null : calibrationOf([held.value], 'light-threshold');
}

/** The widths of the lines that the robot's routes may cross, the narrowest first. */
export async function lineWidths(facts: BenchFacts): Promise<number[]> {
  const widths = (await facts.routes()).flatMap(({ table }) =>
    table.lines.map(({ widthM }) => widthM),
  );
  return [...new Set(widths)].toSorted((a, b) => a - b);
}

export const lineSpeed: Procedure = {
  id: 'line-speed',
  title: 'Crossing a line',
  group: 'light and colour',
  goodFor: 'how fast it may go so that no line is missed, and how far past it knows',
  minutes: 6,
  gives: ['line-crossing'],
  known: async (facts) => {
    const applied = await heldOf(facts, 'line-crossing');
    if (applied !== null) return applied;
    const passes = linePassesStudy(usedTrials(await facts.trials('line-speed')).used);
    if (passes !== null) return notApplied(passes);
    const [sensor] = devicesOf(facts.robot.robot, 'light sensor');
    if (sensor === undefined) return { sentence: null, freshness: null };
    const [held, [lineWidthM]] = await Promise.all([heldThreshold(facts), lineWidths(facts)]);
    const { found } = crossingStudy(
      {
        lineWidthM: lineWidthM ?? CROSSING.lineWidthM.default ?? 0,
        loopPeriodS: facts.robot.robot.loopPeriodS,
        sensorPeriodS: sensor.behaviour.periodS,
        spotM: sensor.behaviour.spotDiameterM,
        readings: CROSSING.readings.default ?? 1,
        share: shareToCount(held),
      },
      1,
    ).sentences;
    return {
      sentence: `By the record: ${found.charAt(0).toLowerCase()}${found.slice(1)}`,
      freshness: null,
    };
  },
  found: (facts) =>
    foundInList(facts, 'line-speed', ({ trials }) => {
      const used = notAside(trials);
      const study = linePassesStudy(used);
      return { value: study && calibrationFromLinePasses(study), raw: used };
    }),
  props: async (facts) => {
    const [list, holding, widthsM] = await Promise.all([
      openedList(facts, 'line-speed', emptyList('line-speed')),
      facts.holding(),
      lineWidths(facts),
    ]);
    const values = allHeld(holding).map(({ value }) => value);
    return {
      ...list,
      held: calibrationOf(values, 'light-threshold'),
      switched: calibrationOf(values, 'mode-switch'),
      widthsM,
    };
  },
};
