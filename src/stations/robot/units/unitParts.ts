import type { ReactNode } from 'react';
import type { Unit } from '../../../core/units/unit';

/** What a kind of unit shows on the Robot screen. */
export interface UnitParts {
  /** Fields of its behaviour; `at`: its place in the list. */
  Fields: ((props: { at: number }) => ReactNode) | null;
  /** Its mark in the drawing, in millimetres about its place, looking up. */
  Mark: (props: { unit: Unit }) => ReactNode;
}
