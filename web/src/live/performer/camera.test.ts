import { describe, expect, it } from 'vitest';
import { nearest, whyNobody, whyNoCamera } from './camera';

describe('the camera', () => {
  const face = (from: number, to: number) => [
    { x: from, y: 0.4 },
    { x: to, y: 0.6 },
  ];
  const grey = (v: number) => Uint8ClampedArray.from({ length: 64 }, (_, i) => (i % 4 === 3 ? 255 : v));

  it('follows the face that is nearest', () => {
    expect(nearest([face(0.1, 0.2), face(0.5, 0.9), face(0.3, 0.4)])).toEqual(face(0.5, 0.9));
    expect(nearest([])).toBeNull();
  });

  it('tells a dark room from an empty one', () => {
    expect(whyNobody(grey(8))).toBe('it is too dark');
    expect(whyNobody(grey(120))).toBe('no face is seen');
  });

  it('says why it cannot be had', () => {
    expect(whyNoCamera(new DOMException('', 'NotAllowedError'))).toContain('does not let this page');
    expect(whyNoCamera(new DOMException('', 'NotFoundError'))).toBe('no camera is connected');
    expect(whyNoCamera(new DOMException('', 'NotReadableError'))).toContain('another program');
  });
});
