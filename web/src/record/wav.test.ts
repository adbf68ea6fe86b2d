// @vitest-environment node
import { describe, expect, it } from 'vitest';
import { decibels, later, packed, wavOf } from './wav';

describe('a recorded take as a file', () => {
  it('holds its samples behind a head that tells rate and length', async () => {
    const blob = wavOf([packed(new Float32Array([0, 1, -1])), packed(new Float32Array([0.5]))], 48000);
    const data = new DataView(await blob.arrayBuffer());
    const text = (at: number) => String.fromCharCode(...[0, 1, 2, 3].map((i) => data.getUint8(at + i)));
    expect([text(0), text(8), text(12), text(36)]).toEqual(['RIFF', 'WAVE', 'fmt ', 'data']);
    expect(data.byteLength).toBe(44 + 8);
    expect(data.getUint32(4, true)).toBe(44 + 8 - 8);
    expect(data.getUint32(24, true)).toBe(48000);
    expect(data.getUint32(40, true)).toBe(8);
    expect([44, 46, 48, 50].map((at) => data.getInt16(at, true))).toEqual([0, 32767, -32767, 16384]);
  });

  it('is cut off where it is louder than a sample can say', () => {
    expect([...packed(new Float32Array([1.7, -3, Number.NaN]))]).toEqual([32767, -32767, 0]);
  });

  it('is moved along: later by silence, earlier by leaving out its beginning', () => {
    const pieces = [new Int16Array([1, 2, 3]), new Int16Array([4, 5])];
    const all = (moved: Int16Array[]) => moved.flatMap((p) => [...p]);
    expect(all(later(pieces, 2))).toEqual([0, 0, 1, 2, 3, 4, 5]);
    expect(all(later(pieces, 0))).toEqual([1, 2, 3, 4, 5]);
    expect(all(later(pieces, -2))).toEqual([3, 4, 5]);
    expect(all(later(pieces, -4))).toEqual([5]);
    expect(all(later(pieces, -9))).toEqual([]);
  });

  it('tells how loud it is in decibels', () => {
    expect(decibels(1)).toBe(0);
    expect(decibels(0.5)).toBeCloseTo(-6.02, 2);
    expect(decibels(0)).toBe(-60);
  });
});
