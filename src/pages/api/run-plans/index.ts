import { planStart } from '../../../formats/runs/runPlan';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { startPlan } from '../../../server/stores/runPlans';

/** Keep a plan of runs and begin its series. */
export const POST = endpoint(async (db, { request }) =>
  json(await startPlan(db, await readBody(request, planStart))),
);
