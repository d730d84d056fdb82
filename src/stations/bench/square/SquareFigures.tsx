import { degreesFromRadians } from '../../../core/geometry/angle';
import type { EncoderSquare, GyroSquare } from '../../../core/square/squareFit';
import { errorScale } from '../../../core/text/lengths';
import {
  between,
  errorLength,
  errorNumber,
  headingFigure,
  number,
  positiveTurn,
} from '../../../core/text/quantities';
import { Figure } from '../../../ui/Figure';
import styles from '../Bench.module.css';

interface Props {
  encoders: EncoderSquare | null;
  gyro: GyroSquare | null;
}

/** What the laps tell, in numbers. */
export function SquareFigures({ encoders, gyro }: Props) {
  if (encoders !== null) {
    const between = (low: number, high: number) => `${number(low, 4)} to ${number(high, 4)} (95 %)`;
    return (
      <dl className={styles.figures}>
        <Figure
          label="True track over nominal"
          value={number(encoders.trackRatio, 4)}
          detail={between(encoders.trackRatioLow95, encoders.trackRatioHigh95)}
          tone="measured"
          testId="track-ratio"
        />
        <Figure
          label="Right wheel over left"
          value={number(encoders.diameterRatio, 4)}
          detail={between(encoders.diameterRatioLow95, encoders.diameterRatioHigh95)}
          tone="measured"
          testId="diameter-ratio"
        />
        <Figure label="Left wheel, times" value={number(encoders.leftWheelFactor, 4)} />
        <Figure label="Right wheel, times" value={number(encoders.rightWheelFactor, 4)} />
        <Figure
          label="Ends off the start"
          value={errorNumber(encoders.closureBeforeM)}
          unit={errorScale().label}
          detail={`about ${errorLength(encoders.closureAfterM)} after correcting`}
          tone="predicted"
          testId="closure"
        />
      </dl>
    );
  }
  if (gyro === null) return null;
  const degrees = (value: number) => number(degreesFromRadians(value), 2);
  const directed = (value: number) => number(headingFigure(value), 2);
  const range = (ends: [number, number] | null, say: (value: number) => string) =>
    ends === null
      ? 'two laps each way tell how sure'
      : `${say(ends[0])} to ${say(ends[1])}° (95 %)`;
  const { turnBiasLow95, turnBiasHigh95, driftLow95, driftHigh95 } = gyro;
  const bias: [number, number] | null =
    turnBiasLow95 === null || turnBiasHigh95 === null ? null : [turnBiasLow95, turnBiasHigh95];
  const drift =
    driftLow95 === null || driftHigh95 === null ? null : between(driftLow95, driftHigh95);
  return (
    <dl className={styles.figures}>
      <Figure
        label="Each quarter turn too far by"
        value={degrees(gyro.turnBiasRad)}
        unit="°"
        detail={range(bias, degrees)}
        tone="measured"
      />
      <Figure
        label={`Drift a lap (${positiveTurn()})`}
        value={directed(gyro.driftRadPerLap)}
        unit="°"
        detail={range(drift, directed)}
        tone="measured"
      />
    </dl>
  );
}
