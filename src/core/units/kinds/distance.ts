import { z } from 'zod';
import { unitKind } from '../kind';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();

/** How a distance sensor behaves: reading = offset + scale · true distance, and what scatters. */
export const distanceBehaviour = z.object({
  beamHalfAngleRad: notNegative.max(1.2).default(0.2),
  minM: notNegative.max(20).default(0.03),
  maxM: positive.max(20).default(2),
  offsetM: z.number().min(-5).max(5).default(0).describe('reading = offset + scale · true'),
  scale: positive.max(10).default(1),
  noiseM: notNegative.max(1).default(0.003),
  quantumM: notNegative.max(1).default(0.001),
  lostEchoShare: z.number().min(0).max(0.9).default(0.01),
  periodS: positive.max(0.5).default(0.03),
});

export const distance = unitKind({
  kind: 'distance sensor',
  letter: 'D',
  connection: 'sensor',
  behaviour: distanceBehaviour.prefault({}),
  single: false,
  isBuiltInSomewhere: false,
  faces: true,
  lack: 'approaches fail; drive a set distance instead, or against a wall',
  column: { alone: 'distance', ending: '_cm', factor: 100, decimals: 2 },
});
