import { dayAndClockOf } from '../../../ui/dates';
import { measuredDrift } from '../../../core/gyro/driftText';
import { VERDICT_NAMES } from '../../../core/gyro/still/stillSentence';
import { counted, headingFigure } from '../../../core/text/quantities';
import type { SavedStillCheck } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';

interface Props {
  checks: readonly SavedStillCheck[];
  onSetAside(check: SavedStillCheck): void;
}

const MARKS = { 'lying still': 'circle', 'in the hand': 'triangle', 'not known': 'rect' } as const;
const SHOWN = 12;

/** Drift of a robot over the season, told apart by how its sensor was started. */
export function SeasonChart({ checks, onSetAside }: Props) {
  const used = checks
    .filter(({ setAsideReason }) => setAsideReason === null)
    .toSorted((a, b) => a.takenAt.localeCompare(b.takenAt));
  const curves = (Object.keys(MARKS) as (keyof typeof MARKS)[]).map((powerUp): Curve => ({
    label: `switched on: ${powerUp}`,
    points: used.flatMap((check, i) =>
      check.powerUp === powerUp ? [{ x: i + 1, y: headingFigure(check.result.driftRadPerS) }] : [],
    ),
    tone: powerUp === 'in the hand' ? 'fault' : 'measured',
    look: 'points',
    shape: MARKS[powerUp],
  }));
  const inHand = used.filter(({ powerUp }) => powerUp === 'in the hand').length;
  const sentence = `${counted(used.length, 'check')} so far; ${counted(inHand, 'power-up')} in the hand.`;
  return (
    <section aria-label="Earlier checks" className={styles.work}>
      <Frame
        title="Drift over the season"
        sentence={sentence}
        legend="● switched on lying still   ▲ in the hand   ■ not known"
      >
        <Plot
          label={`Drift over the season. ${sentence}`}
          xTitle="check"
          yTitle="°/s"
          curves={curves}
          xRange={{ min: 0.5, max: used.length + 0.5 }}
          wholeX
        />
      </Frame>
      <Table
        rows={checks.slice(0, SHOWN)}
        keyOf={({ id }) => id}
        isAside={({ setAsideReason }) => setAsideReason !== null}
        columns={[
          {
            title: 'When',
            sortBy: ({ takenAt }) => takenAt,
            cell: ({ takenAt }) => dayAndClockOf(takenAt),
          },
          { title: 'Switched on', cell: ({ powerUp }) => powerUp },
          { title: 'After', cell: ({ school }) => school ?? '–' },
          {
            title: 'Drift',
            number: true,
            sortBy: ({ result }) => result.driftRadPerS,
            cell: ({ result }) => measuredDrift(result),
          },
          {
            title: 'Verdict',
            cell: ({ setAsideReason, result }) => setAsideReason ?? VERDICT_NAMES[result.verdict],
          },
          {
            title: 'Set aside',
            hidden: true,
            cell: (check) =>
              check.setAsideReason === null && (
                <Button look="bare" onClick={() => onSetAside(check)}>
                  Set aside
                </Button>
              ),
          },
        ]}
      />
    </section>
  );
}
