import type { GyroDriftCalibration } from '../../../core/calibrationValues/gyroDrift';
import { oneWaySentences, oneWaySquare } from '../../../core/square/oneWay';
import { ownReturns } from '../../../core/square/ownReturns';
import { encoderSquare, gyroSquare } from '../../../core/square/squareFit';
import type { SquareTrials } from '../../../formats/benchRecords';
import { notAside } from '../trials/openedList';

const NOTHING = { encoders: null, gyro: null, oneWay: null };

/** What the laps of a list say, by what drove them and which ways they went. */
export function studied(
  { conditions, trials }: SquareTrials,
  trackM: number,
  drift: GyroDriftCalibration | null,
) {
  // A lap that was set aside is still where the next one began.
  const own = notAside(ownReturns(trials)).map((lap) => ({
    ...lap,
    driven: lap.driven ?? conditions.driven,
  }));
  const used = own.filter(({ driven }) => driven === conditions.driven);
  const cw = used.filter(({ direction }) => direction === 'cw');
  const ccw = used.filter(({ direction }) => direction === 'ccw');
  const { sideM, corners, driven, lapS, readToM } = conditions;
  if (cw.length + ccw.length === 0) return { own, cw, ccw, ...NOTHING };
  if (cw.length === 0 || ccw.length === 0) {
    const direction: 'cw' | 'ccw' = cw.length > 0 ? 'cw' : 'ccw';
    const one = { direction, driven, laps: [...cw, ...ccw] };
    const known = drift === null || lapS === null ? null : { ...drift, lapS };
    const sentences = oneWaySentences(one, oneWaySquare(one, known));
    return { own, cw, ccw, ...NOTHING, oneWay: sentences };
  }
  const laps = { sideM, corners, trackM, cw, ccw, readToM };
  return driven === 'encoders'
    ? { own, cw, ccw, ...NOTHING, encoders: encoderSquare(laps) }
    : { own, cw, ccw, ...NOTHING, gyro: gyroSquare(laps) };
}
