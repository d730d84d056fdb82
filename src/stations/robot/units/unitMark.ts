import type { ReactNode } from 'react';
import type { Unit } from '../../../core/units/unit';

/** The mark of a kind of unit in the drawing of a robot, in millimetres about its place, looking up. */
export type UnitMark = (props: { unit: Unit }) => ReactNode;
