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

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const DRIVEN = ['left motor', 'right motor'];
const SENSES = 'heading sensor';
const MEASURES = 'distance sensor';

/** The list of units of an earlier record; what it had and did not list is listed. */
function unitsFrom({ gyro, distance, build }: OldRobot) {
  const old: OldUnit[] = Array.isArray(build?.units) ? build.units.filter(isRecord) : [];
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

/** A robot's record with its list of units; one that has it already stays as it is. */
export function broughtForward(value: unknown): unknown {
  if (!isRecord(value) || value.units !== undefined) return value;
  const { gyro: _gyro, distance: _distance, ...robot } = value;
  const build = isRecord(value.build) ? value.build : {};
  const { units: _units, ports, ...rest } = build;
  return {
    ...robot,
    units: unitsFrom(value as OldRobot),
    build: {
      ...rest,
      ...(Array.isArray(ports) && {
        ports: ports.map((port: unknown) => (typeof port === 'string' ? { name: port } : port)),
      }),
    },
  };
}
