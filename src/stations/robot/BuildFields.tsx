import { BUILD, SIGNS } from '../../core/robot/description';
import type { Robot } from '../../core/robot/robot';
import { SUMMARIES, wantedOf } from '../../core/robot/robotSummary';
import { F, FieldGroup } from './FieldGroup';

/** Which way readings grow, and facts about how it is built. */
export const BuildFacts = ({ robot }: { robot: Robot }) => (
  <FieldGroup
    title="Directions and build"
    summary={SUMMARIES.directions(robot)}
    wanted={wantedOf(robot).directions}
    note="The guided check on the Bench finds the directions out; nothing else ever turns a sign round."
  >
    <F.Values of="robot.signs" fields={SIGNS} />
    <F.Values of="robot.build" fields={BUILD} />
  </FieldGroup>
);
