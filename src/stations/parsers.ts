import { STOP_ENTRY } from '../core/trials/stop';

/** Schemas of what is edited or was kept in the browser; Zod is fetched only where one is needed. */
const records = () => import('../formats/records');

export const robotForm = async () => (await records()).robotRecord;
export const courseForm = async () => (await records()).courseRecord;
export const matchForm = async () => (await records()).matchRecord;
export const runForm = async () => (await import('./runs/log/entrySchema')).runEntrySchema;
export const planForm = async () => (await import('../formats/runs/planEntry')).planEntry;
export const turnForm = async () => (await import('./bench/trials/entrySchemas')).turnEntrySchema;
export const stopForm = async () =>
  (await import('../formats/trialSchema')).entrySchema(STOP_ENTRY);
export const turnConditionsForm = async () =>
  (await import('../formats/benchRecords')).turnConditions;

/** Parsers of records that were kept in the browser. */
export const robotParser = async () => {
  const schema = await robotForm();
  return schema.parse.bind(schema);
};

export const courseParser = async () => {
  const schema = await courseForm();
  return schema.parse.bind(schema);
};

export const matchParser = async () => {
  const schema = await matchForm();
  return schema.parse.bind(schema);
};
