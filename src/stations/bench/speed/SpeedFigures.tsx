import type { SpeedStudy } from '../../../core/drive/speedStudy';
import { drivenAtVolts } from '../../../core/drive/speedTable';
import { benchScale } from '../../../core/text/lengths';
import { benchSpeed, number, percent } from '../../../core/text/quantities';
import type { SpeedTrialRecord } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

/** Powers that programs are told. */
const TOLD = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
/** Above and below the voltage of the drives. */
const VOLTS_AROUND = [-0.5, 0, 0.5];

interface Props {
  study: SpeedStudy;
  trials: readonly SpeedTrialRecord[];
}

/** Speed against power: the drives as they were timed, and the line at their mean voltage. */
export function SpeedChart({ study, trials }: Props) {
  const { table, batteryV, sentences } = study;
  const perM = benchScale().perM;
  const line = [table.deadBand, ...TOLD.filter((command) => command > table.deadBand)].map(
    (command) => table.at(command, batteryV),
  );
  const x = line.map(({ command }) => 100 * command);
  return (
    <Frame
      title="Speed against power"
      sentence={`Each mark is one drive; the line is at ${number(batteryV, 1)} V.`}
      legend="◆ a drive, as at that voltage   — as fitted, with its 95 % interval"
    >
      <Plot
        label={`Speed against power. ${sentences.found}`}
        xTitle="power, %"
        yTitle={`speed, ${benchScale().label}/s`}
        yFromZero
        bands={[
          {
            label: '95 %',
            x,
            low: line.map(({ low95 }) => low95 * perM),
            high: line.map(({ high95 }) => high95 * perM),
          },
        ]}
        curves={[
          {
            label: 'as fitted',
            points: line.map(({ command, speedMPerS }) => ({
              x: 100 * command,
              y: speedMPerS * perM,
            })),
            tone: 'predicted',
            look: 'line',
          },
          {
            label: 'drives',
            points: trials.map((trial) => ({
              x: 100 * trial.command,
              y: drivenAtVolts(trial, batteryV) * perM,
            })),
            tone: 'measured',
            look: 'points',
            shape: 'rectRot',
          },
        ]}
      />
    </Frame>
  );
}

/** What each power drives at three voltages; what lies beyond the powers that were tried is said to be a guess. */
export function SpeedTableShown({ table, batteryV }: SpeedStudy) {
  const volts = VOLTS_AROUND.map((more) => batteryV + more);
  return (
    <Table
      label="Speed at a power"
      rows={TOLD}
      keyOf={String}
      columns={[
        { title: 'Told', head: true, cell: percent },
        ...volts.map((volt) => ({
          title: `at ${number(volt, 1)} V`,
          number: true,
          cell: (command: number) => {
            const { speedMPerS, isExtrapolated } = table.at(command, volt);
            if (speedMPerS === 0) return 'stands';
            return isExtrapolated ? `${benchSpeed(speedMPerS)}, a guess` : benchSpeed(speedMPerS);
          },
        })),
      ]}
    />
  );
}
