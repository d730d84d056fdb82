import { expose } from 'comlink';
import { setTeamManner } from '../core/text/manner';
import { sensitivitiesOf } from '../core/forecast/sensitivities';
import { forecast } from '../core/forecast/summary';

/** Forecasts are made here: the statistics are not with the simulator. */
const forecaster = { speakAs: setTeamManner, forecast, sensitivitiesOf };

export type ForecastWorker = typeof forecaster;

expose(forecaster);
