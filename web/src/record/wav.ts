/** Samples from -1 to 1 as 16 bits each. */
export function packed(samples: Float32Array): Int16Array {
  const out = new Int16Array(samples.length);
  for (let i = 0; i < samples.length; i++) {
    out[i] = Math.round(Math.max(-1, Math.min(1, samples[i]!)) * 32767);
  }
  return out;
}

/** The same sound so many samples later, with silence before it; or, below 0, without its first ones. */
export function later(pieces: Int16Array[], samples: number): Int16Array[] {
  if (samples > 0) return [new Int16Array(samples), ...pieces];
  let cut = -samples;
  const left: Int16Array[] = [];
  for (const p of pieces) {
    if (cut < p.length) left.push(p.subarray(cut));
    cut = Math.max(0, cut - p.length);
  }
  return left;
}

/** A WAV file of one channel, 16 bits a sample, as RIFF has it. */
export function wavOf(pieces: Int16Array[], rate: number): Blob {
  const bytes = pieces.reduce((sum, p) => sum + p.byteLength, 0);
  const head = new DataView(new ArrayBuffer(44));
  const text = (at: number, letters: string) =>
    [...letters].forEach((c, i) => head.setUint8(at + i, c.charCodeAt(0)));
  text(0, 'RIFF');
  head.setUint32(4, 36 + bytes, true);
  text(8, 'WAVEfmt ');
  head.setUint32(16, 16, true);
  head.setUint16(20, 1, true);
  head.setUint16(22, 1, true);
  head.setUint32(24, rate, true);
  head.setUint32(28, rate * 2, true);
  head.setUint16(32, 2, true);
  head.setUint16(34, 16, true);
  text(36, 'data');
  head.setUint32(40, bytes, true);
  return new Blob([head, ...pieces.map((p) => p.slice().buffer)], { type: 'audio/wav' });
}

/** A level from 0 to 1 in decibels below the loudest there is; -60 for silence. */
export const decibels = (level: number) => Math.max(-60, 20 * Math.log10(Math.max(1e-6, level)));
