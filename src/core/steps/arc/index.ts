import { arc as driveArc, expectedArcS } from '../../control/arc';
import { settled } from '../../control/rest';
import { timeoutS as timeoutFor } from '../../control/settings';
import { toTable, type Pose } from '../../geometry/pose';
import { atSpeed, newGain, turningSteering } from '../driven';
import type { StepKind } from '../kind';
import type { ArcStep } from './description';

/** On which side of the robot the middle of its circle lies, left positive. */
const sideOf = ({ angleRad, back }: ArcStep): number => Math.sign(angleRad) * (back ? -1 : 1);

/** The circle that it drives on. */
function circleOf(step: ArcStep, from: Pose) {
  const leftM = sideOf(step) * step.radiusM;
  const centre = toTable(from, { xM: 0, yM: leftM });
  const fromRad = from.headingRad - (sideOf(step) * Math.PI) / 2;
  return { centre, radiusM: step.radiusM, fromRad, sweepRad: step.angleRad };
}

function endOf(step: ArcStep, from: Pose): Pose {
  const { centre, radiusM, fromRad, sweepRad } = circleOf(step, from);
  return {
    xM: centre.xM + radiusM * Math.cos(fromRad + sweepRad),
    yM: centre.yM + radiusM * Math.sin(fromRad + sweepRad),
    headingRad: from.headingRad + step.angleRad,
  };
}

export const arc: StepKind<ArcStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor'],
  group: 'drive',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'arc',
    radiusM: 0.2,
    angleRad: Math.PI / 2,
    back: false,
    speedMPerS: 0.2,
    gainMPerSPerRad: newGain(place),
  }),
  plan(step, from, robot) {
    const lengthM = step.radiusM * Math.abs(step.angleRad);
    const durationS = expectedArcS(step, robot);
    return {
      to: step.angleRad === 0 ? from : endOf(step, from),
      distanceM: step.back ? -lengthM : lengthM,
      angleRad: step.angleRad,
      durationS,
      timeoutS: step.timeoutS ?? timeoutFor(durationS),
      problems: [],
      ...(step.angleRad !== 0 && { trail: [{ arc: circleOf(step, from) }] }),
    };
  },
  control: ({ radiusM, angleRad, back, speedMPerS, gainMPerSPerRad }, leg, robot) =>
    settled(
      driveArc(
        {
          radiusM,
          angleRad: robot.program.headingScale * angleRad,
          speedMPerS: back ? -speedMPerS : speedMPerS,
          gainMPerSPerRad,
          fromReadingRad: leg.plannedReadingRad,
          timeoutS: leg.timeoutS,
          lateM: leg.lateM,
        },
        robot,
      ),
    ),
  byEncoders: ({ radiusM, angleRad, back, speedMPerS }) => ({
    distanceM: (back ? -1 : 1) * radiusM * Math.abs(angleRad),
    speedMPerS,
  }),
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  drives: true,
  inProgram: {
    speed: atSpeed<ArcStep>(),
    steering: turningSteering<ArcStep>(),
    leaves: (_step, { distanceM, angleRad }) => [{ by: 'travel', distanceM, angleRad }],
  },
};
