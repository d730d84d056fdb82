import { afterEach, expect, it, vi } from 'vitest';
import {
  forget,
  keep,
  keptKeys,
  readKept,
  readKeptAs,
  rememberedWord,
} from '../../src/ui/browser/browserStore';

afterEach(() => vi.unstubAllGlobals());

it('goes on in a browser that keeps nothing, and says that it did not keep', () => {
  const refuses = new Proxy(
    {},
    {
      get: () => {
        throw new Error('denied');
      },
      ownKeys: () => {
        throw new Error('denied');
      },
    },
  );
  vi.stubGlobal('localStorage', refuses);
  expect(keep('a', 'b')).toBe(false);
  expect(readKept('a')).toBeNull();
  expect(readKeptAs('a', String)).toBeNull();
  expect(keptKeys('')).toEqual([]);
  expect(() => forget('a')).not.toThrow();
});

it('reads what cannot be read as nothing, and tells whoever watches a word', () => {
  const kept = new Map<string, string>();
  const getItem = (key: string) => kept.get(key) ?? null;
  vi.stubGlobal('localStorage', { getItem, setItem: kept.set.bind(kept) });
  keep('broken', '{');
  keep('odd', '{"a":1}');
  expect(readKeptAs('broken', (value) => value)).toBeNull();
  expect(
    readKeptAs('odd', () => {
      throw new TypeError('no such value');
    }),
  ).toBeNull();
  expect(readKeptAs('odd', (value) => value)).toEqual({ a: 1 });
  const word = rememberedWord('source');
  const heard = vi.fn();
  const leave = word.watch(heard);
  word.set('file');
  leave();
  word.set('serial');
  expect(word.read()).toBe('serial');
  expect(heard).toHaveBeenCalledTimes(1);
});
