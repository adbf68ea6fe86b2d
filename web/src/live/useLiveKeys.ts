import { useEffect, useState } from 'react';
import type { Character } from '../api/client';
import { useDesk } from '../state/desk';
import { heldKeys } from '../state/held';
import { usePlayCue } from '../state/usePlayCue';
import { typing } from '../ui/typing';
import { type LiveKey, liveKeys, rigKeys } from './liveKeys';
import { useLive } from './liveState';

/** A look comes, and how it goes again. Null when it was there and went. */
export function press(key: LiveKey, playCue: (cue: string) => void): (() => void) | null {
  if (key.kind === 'cue') {
    const { cued } = useLive.getState();
    if (cued) cued(key.id);
    else playCue(key.id);
    return null;
  }
  const desk = useDesk.getState();
  if (desk.looks[key.id]) {
    desk.look(key.id, 0);
    return null;
  }
  desk.look(key.id, 1);
  return () => useDesk.getState().look(key.id, 0);
}

/** Looks and cues by the keyboard, while a shot is played live or about to be. */
export function useLiveKeys(character: Character): void {
  const on = useLive((s) => s.panel || s.phase.is !== 'idle');
  const [held] = useState(heldKeys);
  const playCue = usePlayCue();
  useEffect(() => {
    if (!on) return;
    const keys = liveKeys(character);
    const own = rigKeys(character);
    const down = (e: KeyboardEvent) => {
      if (typing(e) || e.ctrlKey || e.metaKey || e.altKey || own.has(e.key)) return;
      const key = keys.find((k) => k.code === e.code && k.shift === e.shiftKey);
      if (!key) return;
      e.preventDefault();
      e.stopPropagation();
      if (e.repeat) return;
      const letGo = press(key, playCue);
      if (letGo) held.press(e.code, letGo, e.timeStamp);
    };
    const up = (e: KeyboardEvent) => held.release(e.code, e.timeStamp);
    const away = () => held.releaseAll();
    window.addEventListener('keydown', down, true);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', away);
    return () => {
      window.removeEventListener('keydown', down, true);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', away);
    };
  });
  // whoever goes on to another bench leaves nothing held
  useEffect(() => () => held.releaseAll(), [held]);
}
