import { expose } from 'comlink';
import { setDisplaySettings } from '../core/text/displaySettings';
import { rareLists } from '../core/forecast/rareLists';
import { sensitivitiesOf } from '../core/forecast/sensitivities';
import { forecast } from '../core/forecast/summary';
import { matchOfRuns } from '../core/match/matchOfRuns';

/** Forecasts are made here: the statistics are not with the simulator. */
const forecaster = {
  speakAs: setDisplaySettings,
  forecast,
  rareLists,
  sensitivitiesOf,
  matchOfRuns,
};

export type ForecastWorker = typeof forecaster;

expose(forecaster);
