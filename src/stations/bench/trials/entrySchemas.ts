import { z } from 'zod';
import { lapRecord, turnTrialRecord } from '../../../formats/trialRecords';

const lengthM = z.number().min(-5).max(5);

/** A turn while it is entered: what was told, and what was read off by which means. */
export const turnEntrySchema = z.object({
  ...turnTrialRecord.pick({ rateRadPerS: true, kind: true }).shape,
  targetRad: z.number().positive().max(13),
  direction: z.enum(['left', 'right']),
  by: z.enum(['protractor', 'along the reference', 'along the edge', 'eye, in degrees', 'eye']),
  withinRad: z.number().positive().max(1),
  /** A magnitude: what a turn is to make that is only looked at. */
  wantedRad: z.number().positive().max(13),
  means: z.enum(['whole', 'over']),
  angleRad: z.number().min(-20).max(20).nullable(),
  lengthM: z.number().positive().max(5),
  offsetM: lengthM.nullable(),
  /** A magnitude, as it is read off. */
  readingRad: z.number().min(-20).max(20).nullable(),
  lookedAt: z.enum(['one turn', 'a square of four']),
  followed: z.enum(['standing still', 'a drive']),
  startFacedRad: z.number().min(-3).max(3).nullable(),
  startReadRad: z.number().min(-3).max(3).nullable(),
  turnsTo: z.boolean(),
  facedRad: turnTrialRecord.shape.facedRad.unwrap(),
  place: turnTrialRecord.shape.place.unwrap(),
});

/** A lap while it is entered: what is not read off yet is empty. */
export const lapEntrySchema = z.object({
  ...lapRecord.pick({ direction: true, goesOn: true }).shape,
  xM: lengthM.nullable(),
  yM: lengthM.nullable(),
  headingRad: lapRecord.shape.headingRad.nullable(),
});

export type TurnEntryValues = z.output<typeof turnEntrySchema>;
export type LapEntryValues = z.output<typeof lapEntrySchema>;
