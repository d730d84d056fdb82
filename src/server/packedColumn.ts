import { deflateRawSync, inflateRawSync } from 'node:zlib';

const BYTES = Float64Array.BYTES_PER_ELEMENT;

/** Numbers as they are kept: 64-bit, little-endian, deflated; NaN for a gap. */
export function packColumn(values: ArrayLike<number>): Buffer {
  const bytes = Buffer.alloc(values.length * BYTES);
  for (let i = 0; i < values.length; i += 1) {
    bytes.writeDoubleLE(values[i] ?? Number.NaN, i * BYTES);
  }
  return deflateRawSync(bytes);
}

/** @throws Error when it is none, or was cut off */
export function unpackColumn(packed: Buffer): Float64Array {
  const bytes = inflateRawSync(packed);
  return Float64Array.from({ length: bytes.length / BYTES }, (_, i) =>
    bytes.readDoubleLE(i * BYTES),
  );
}
