import type { ReactNode } from 'react';
import type { Unit, UnitOf } from '../../../core/units/unit';

type MarkOf<Kind> = Kind extends Unit['kind']
  ? (props: { unit: UnitOf<Kind> }) => ReactNode
  : never;

/** The mark of a kind of unit in the drawing of a robot, in millimetres about its place, looking up. */
export type UnitMark<Kind extends Unit['kind'] | 'any' = 'any'> = Kind extends 'any'
  ? (props: { unit: Unit }) => ReactNode
  : MarkOf<Kind>;
