import { calibrationOf } from '../../../core/calibration/find';
import { devicesOf } from '../../../core/devices/ofRobot';
import { crossingStudy, shareToCount } from '../../../core/light/crossing';
import { CROSSING } from '../../../core/light/description';
import type { BenchFacts, Procedure } from '../procedure';

async function heldThreshold(facts: BenchFacts) {
  const held = (await facts.holding())['light-threshold'];
  return held === undefined ? null : calibrationOf([held.value], 'light-threshold');
}

/** The widths of the lines that the robot's routes may cross, the narrowest first. */
async function lineWidths(facts: BenchFacts): Promise<number[]> {
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
  minutes: 2,
  gives: [],
  known: async (facts) => {
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
  props: async (facts) => {
    const [held, widthsM] = await Promise.all([heldThreshold(facts), lineWidths(facts)]);
    return { held, widthsM };
  },
};
