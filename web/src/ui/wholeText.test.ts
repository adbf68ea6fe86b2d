// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { watchShortened } from './wholeText';

describe('shortened text', () => {
  let stop: () => void;
  let e: HTMLElement;
  const room = (shown: number, whole: number) => {
    Object.defineProperty(e, 'clientWidth', { value: shown, configurable: true });
    Object.defineProperty(e, 'scrollWidth', { value: whole, configurable: true });
  };
  const come = (to: Element) => to.dispatchEvent(new Event('pointerover', { bubbles: true }));
  beforeEach(() => {
    document.body.innerHTML = '<p style="text-overflow: ellipsis">A  long <b>name</b></p>';
    e = document.querySelector('p')!;
    stop = watchShortened();
  });
  afterEach(() => stop());

  it('tells its whole text when the pointer comes, also over what is in it', () => {
    room(20, 90);
    come(document.querySelector('b')!);
    expect(e.title).toBe('A long name');
  });
  it('has nothing to tell any more once there is room', () => {
    room(20, 90);
    come(e);
    room(90, 90);
    come(e);
    expect(e.hasAttribute('title')).toBe(false);
  });
  it('leaves a title that says more alone', () => {
    room(20, 90);
    e.title = 'Rename';
    come(e);
    expect(e.title).toBe('Rename');
  });
});
