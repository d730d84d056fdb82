import { isKept, type Way } from './way';

/** What was tuned stands by the name of its controller; once it was the gain of holding a heading alone. */
export const gainsByController: Way = {
  name: 'gains by controller',
  up(record) {
    if (!isKept(record.measured) || !('headingGainMPerSPerRad' in record.measured)) return record;
    const { headingGainMPerSPerRad: gain, ...measured } = record.measured;
    const gains = { ...(gain !== null && { 'heading-hold': gain }), ...Object(measured.gains) };
    return { ...record, measured: { ...measured, gains } };
  },
};
