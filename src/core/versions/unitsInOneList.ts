import { isKept, type Way } from './way';

/*
 * Records of robots as earlier Corvats kept them: one heading sensor and at most one distance sensor, each a
 * part of its own beside a list of what is plugged in.
 */

interface OldUnit {
  id: string;
  role: string;
  label: string;
  port: string;
  heightM?: number | null;
  mounting?: string;
}

interface OldRobot {
  gyro?: object | null;
  distance?: { aheadM?: number; leftM?: number } | null;
  build?: { ports?: unknown[]; units?: OldUnit[] };
  units?: unknown;
}

const DRIVEN = ['left motor', 'right motor'];
const SENSES = 'heading sensor';
const MEASURES = 'distance sensor';

/** The list of units of an earlier record; what it had and did not list is listed. */
function unitsFrom({ gyro, distance, build }: OldRobot) {
  const old: OldUnit[] = Array.isArray(build?.units) ? build.units.filter(isKept) : [];
  const noted = old.some(({ port }) => port !== '');
  const { aheadM = 0.1, leftM = 0, ...looks } = distance ?? {};
  const listed = old.map(({ role, port, heightM = null, ...unit }) => ({
    ...unit,
    kind: role,
    // Where no port was noted at all, that one has none says nothing.
    port: port === '' && noted ? null : port,
    place: role === MEASURES ? { aheadM, leftM, heightM } : { heightM },
    ...(role === SENSES && { behaviour: gyro ?? {} }),
    ...(role === MEASURES && { behaviour: looks }),
  }));
  const has = (kind: string) => listed.some((unit) => unit.kind === kind);
  const missing = (kind: string) => ({ id: kind, kind, label: kind });
  return [
    ...DRIVEN.filter((kind) => !has(kind)).map(missing),
    ...listed,
    ...(gyro === null || has(SENSES) ? [] : [{ ...missing(SENSES), behaviour: gyro ?? {} }]),
    ...(distance === null || distance === undefined || has(MEASURES)
      ? []
      : [{ ...missing(MEASURES), place: { aheadM, leftM }, behaviour: looks }]),
  ];
}

/** All motors and sensors of a robot stand in one list. */
export const unitsInOneList: Way = {
  name: 'units in one list',
  up(record) {
    if (record.units !== undefined) return record;
    const { gyro: _gyro, distance: _distance, ...robot } = record;
    const build = isKept(record.build) ? record.build : {};
    const { units: _units, ports, ...rest } = build;
    return {
      ...robot,
      units: unitsFrom(record as OldRobot),
      build: {
        ...rest,
        ...(Array.isArray(ports) && {
          ports: ports.map((port: unknown) => (typeof port === 'string' ? { name: port } : port)),
        }),
      },
    };
  },
};
