import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { LOG_PIECE_SAMPLES } from '../formats/benchConstants';

const BYTES = Float64Array.BYTES_PER_ELEMENT;

/** Numbers as they are kept: 64-bit, little-endian, deflated; NaN for a gap. */
export function packColumn(values: ArrayLike<number>): Buffer {
  const bytes = Buffer.alloc(values.length * BYTES);
  for (let i = 0; i < values.length; i += 1) {
    bytes.writeDoubleLE(values[i] ?? Number.NaN, i * BYTES);
  }
  return deflateRawSync(bytes);
}

/** @throws Error when it is none, was cut off, or would be more than a piece of a log */
export function unpackColumn(packed: Buffer): Float64Array {
  const bytes = inflateRawSync(packed, { maxOutputLength: LOG_PIECE_SAMPLES * BYTES });
  return Float64Array.from({ length: bytes.length / BYTES }, (_, i) =>
    bytes.readDoubleLE(i * BYTES),
  );
}
