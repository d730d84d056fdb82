import type { Robot } from '../robot';
import type { UnitColumn } from './kind';
import { unitsOf } from './ofRobot';
import { KINDS, kindOf } from './registry';
import type { Unit } from './unit';

/** A unit and the column of a log in which its readings stand. */
export interface ColumnOfUnit {
  unit: Unit;
  column: UnitColumn;
  title: string;
}

/** A label as part of a column's name. */
const asName = (label: string): string =>
  label.replace(/[^\p{L}\p{N}]+/gu, '_').replace(/^_+|_+$/g, '') || 'unit';

/** Under which titles the units of a robot stand in its logs: by their labels where there are several of a kind. */
export function columnsOf(robot: Pick<Robot, 'units'>): ColumnOfUnit[] {
  const taken = new Set<string>();
  return KINDS.flatMap(({ kind }) => {
    const { column } = kindOf(kind);
    if (column === null) return [];
    const units: Unit[] = unitsOf(robot, kind);
    return units.map((unit) => {
      const name = units.length === 1 ? column.alone : asName(unit.label);
      let title = name + column.ending;
      for (let n = 2; taken.has(title); n += 1) title = `${name}_${n}${column.ending}`;
      taken.add(title);
      return { unit, column, title };
    });
  });
}
