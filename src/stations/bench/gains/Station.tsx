import { TRIED_AT } from '../../../core/trials/lists/control';
import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Robot } from '../../../core/robot/robot';
import type { SeenGain } from '../../../core/tuning/byEye';
import { TUNED_IDS } from '../../../core/robot/tunedIds';
import { holdsBetween } from '../../../core/tuning/atSpeeds';
import { asTyped, gainText, SHOWN } from '../../../core/control/tuned';
import { seenOf } from '../../../core/tuning/gainStudy';
import type { DampingLook } from '../../../core/tuning/damping';
import type { GainJudgement } from '../../../core/tuning/judge';
import type { Followed } from '../../../formats/csv/gainTraceCsv';
import type { GainTrials, TrialListEntry } from '../../../formats/benchRecords';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { Select } from '../../../ui/fields/Select';
import { tunedSpeedUnit } from '../../../ui/fields/units';
import styles from '../Bench.module.css';
import type { BenchProps } from '../procedure';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { judgedGains, triedSpeed } from './judged';
import { AtSpeeds } from './AtSpeeds';
import { DampingEntry } from './DampingEntry';
import { GainChanges } from './GainChanges';
import { GainEntry, useGainField } from './GainEntry';
import { GainTable } from './GainTable';
import { MountPlaces } from './MountPlaces';
import { OnSimulator } from './OnSimulator';
import { TraceChart } from './TraceChart';
import { TraceFile } from './TraceFile';
import { TraceLog } from './TraceLog';
import { useGoodGains, usePush, useSpeeds } from './useGains';

interface Props extends BenchProps {
  trials: GainTrials;
  /** All lists of gains of this robot. */
  lists: TrialListEntry[];
  /** The robot as it was measured. */
  fitted: Robot;
  routes: RobotRoute[];
}

/** The target as it was, in the unit of the reading. */
const FOLLOWED: Record<string, Followed> = {
  wall: { target: 0.1, side: 'left' },
  line: { target: 0.4, side: 'right' },
};
const NONE_FOLLOWED: Followed = { target: 0, side: 'left' };

const REASONS = ['Another gain was in the program', 'The push was too small', 'Typed by mistake'];

/** Gains: how a robot comes back from a push, by eye or by a trace, and which gain to try next. */
export default function Station({ robot, trials: loaded, lists, fitted, routes }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const { controller } = record.conditions;
  const { title, push, usual, speeds: usualSpeeds } = SHOWN[controller];
  const speed = triedSpeed(record.conditions);
  const asked = { robot: fitted, controller, speed };
  const good = useGoodGains(asked);
  const simulated = good.answer?.lack === null ? good.answer.good : undefined;
  const byTable = useMemo(
    () => judgedGains(record, fitted, { good: simulated }),
    [record, fitted, simulated],
  );
  const { study, used } = byTable;
  const speeds = useSpeeds(asked, study?.isFound === true && good.answer?.lack === null).answer;
  const holds = study && speeds && holdsBetween(speeds.speeds, study.gain, speed);
  const { second, hasSecond, value } = useMemo(
    () => judgedGains(record, fitted, { good: simulated, holds }),
    [record, fitted, simulated, holds],
  );
  const aheadM = SHOWN[controller].sensor?.(fitted)?.place.aheadM ?? null;
  const held = fitted.measured.gains[controller];
  const advised = study?.gain ?? held ?? simulated?.middle ?? (good.answer && usual);
  const field = useGainField(advised && asTyped(controller, advised));
  const [followed, setFollowed] = useState<Record<string, Followed>>(FOLLOWED);
  const pushed = usePush(asked, good.answer?.lack === null ? field.gain : null);
  const note = (
    seen: SeenGain,
    proposedGainFactor: number | null,
    gain = field.gain,
    damping: DampingLook | null = null,
  ) => {
    if (gain === null) return;
    const tried = { controller, gain, speed, seen, proposedGainFactor, damping };
    add({ id: ulid(), ...tried, setAsideReason: null });
    field.follow();
  };
  const traced = {
    controller,
    followed: followed[controller] ?? NONE_FOLLOWED,
    onFollowed: (by: Followed) => setFollowed({ ...followed, [controller]: by }),
    onJudged: ({ verdict, proposedGainFactor }: GainJudgement) =>
      note(seenOf(verdict), proposedGainFactor),
  };
  const problem = good.problem ?? pushed.problem;
  return (
    <TrialsShell<GainTrials>
      {...{ robot, kept, lists }}
      sentences={study?.sentences ?? null}
      what="gain"
      reasons={REASONS}
      caution="A gain that looked bad is no reason."
      opening={
        <>
          {title}: push the robot, look how it comes back, and say it. From look to look the next
          gain follows, as a rule within five.
        </>
      }
      see={
        <>
          {problem !== null && <Notice tone="fault">{problem}</Notice>}
          {pushed.answer !== null && field.gain !== null && (
            <TraceChart
              controller={controller}
              title={`On the simulator, at ${gainText(controller, field.gain)}`}
              {...pushed.answer}
              tone="predicted"
            />
          )}
        </>
      }
      steps={[
        'Type the gain into the program.',
        `${push} Look how it comes back, or record it.`,
        'Say what you saw: the next gain stands here then.',
      ]}
      doing={
        <>
          <div className={styles.fields}>
            <Select
              label="Controller"
              value={controller}
              options={TUNED_IDS.map((id) => ({ value: id, label: SHOWN[id].title }))}
              onChange={(chosen) => {
                field.follow();
                setConditions({ controller: TUNED_IDS.find((id) => id === chosen) ?? controller });
              }}
            />
            <ValueField
              key={controller}
              field={TRIED_AT}
              label={usualSpeeds.isRate ? 'Turning at' : 'Driving at'}
              unit={tunedSpeedUnit(controller)}
              value={speed}
              onChange={(typed) =>
                setConditions({ speeds: { ...record.conditions.speeds, [controller]: typed } })
              }
            />
          </div>
          <OnSimulator robotName={robot.name} {...{ controller, aheadM }} reply={good.answer} />
          {good.answer?.lack === null && SHOWN[controller].column.keepsReading && (
            <MountPlaces key={`${controller} places`} {...{ controller, fitted, speed }} />
          )}
          {good.answer?.lack === null && field.gain !== null && (
            <AtSpeeds
              key={`${controller} speeds`}
              {...{ controller, fitted, speed }}
              gain={field.gain}
            />
          )}
          {field.gain !== null && (
            <>
              <GainEntry
                key={controller}
                robot={fitted}
                {...{ controller, speed }}
                gain={field.gain}
                onGain={field.type}
                onLook={(seen) => note(seen, null)}
              />
              {second !== null && study !== null && (
                <DampingEntry
                  key={`${controller} damping`}
                  controller={controller}
                  study={second}
                  isBegun={hasSecond}
                  onLook={(look) => note('good', null, study.gain, look)}
                />
              )}
              <TraceLog
                key={`${controller} log`}
                {...{ robot, fitted, ...traced }}
                aheadM={aheadM ?? 0}
                gain={field.gain}
              />
              <TraceFile key={`${controller} file`} {...traced} gain={field.gain} />
            </>
          )}
        </>
      }
      apply={{
        value,
        evidence: used,
        label: 'Apply this gain…',
        applied: 'This gain holds from now on.',
        consequences: () =>
          value !== null && <GainChanges {...{ controller, value, fitted, routes }} />,
      }}
      asks={['surface', 'battery', 'who']}
      table={(ask) => (
        <GainTable
          trials={record.trials}
          onSetAside={ask}
          onTakeBack={(gain) => replace({ ...gain, setAsideReason: null })}
        />
      )}
    />
  );
}
