import { useMemo, useRef, useState } from 'react';
import type { Dial, Shot } from '../api/client';
import { usePlayer } from '../line/player';
import { SoundWave } from '../line/SoundWave';
import { spans } from '../line/spans';
import { useActed } from '../state/acted';
import { useDesk } from '../state/desk';
import { useStudio } from '../state/studio';
import { arm, trackOf, useLive } from './liveState';
import { idOf } from './performer/usePerformer';
import { NAMES, Row, Way } from './TrackRow';

interface TrackLine {
  key: string;
  name: string;
  dial: Dial | null;
  /** What it holds now, for one that is no dial. */
  items: { from: number; to: number; name: string }[];
}

/** The tracks while a shot is played live: which are written, what stands on them, and what earlier takes did. */
export function LiveTracks({ shot }: { shot: Shot }) {
  const { view, line } = useStudio();
  const { stepTo } = usePlayer();
  const takes = useLive((s) => s.takes);
  const running = useLive((s) => (s.phase.is === 'recording' ? s.phase : null));
  const disarmed = useLive((s) => s.disarmed);
  const source = useLive((s) => s.source);
  const mouths = useActed((s) => s.mouths);
  const loop = useDesk((s) => s.loop);
  const numbers = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<number | null>(null);
  const { frames, tracks } = shot;
  const { character } = view;
  const names = useMemo(() => {
    const done = new Set(takes.flatMap((t) => Object.keys(t.take.dials)));
    const linked = new Set(character.controls.links.map((l) => idOf(l.drives)));
    const lines: TrackLine[] = character.controls.dials
      .filter(
        (d) =>
          d.id in tracks.dials ||
          done.has(d.id) ||
          (source === 'hands' ? d.purpose !== 'ACTION_UNIT' : linked.has(d.id)),
      )
      .map((d) => ({ key: trackOf('dial', d.id), name: d.name, dial: d, items: [] }));
    const looks = new Map(character.library.looks.map((l) => [l.id, l.name]));
    const played = (of: 'looks' | 'cues') => takes.flatMap((t) => Object.keys(t.take[of] ?? {}));
    for (const id of new Set([...tracks.looks.map((l) => l.look), ...played('looks')]))
      lines.push({
        key: trackOf('look', id),
        name: looks.get(id) ?? id,
        dial: null,
        items: tracks.looks.filter((l) => l.look === id).map((l) => ({ from: l.from, to: l.to, name: '' })),
      });
    const cues = new Map(character.library.cues.map((c) => [c.id, c]));
    for (const id of new Set([...tracks.cues.map((c) => c.cue), ...played('cues')])) {
      const cue = cues.get(id);
      const last = Math.max(
        0,
        ...Object.values(cue?.tracks ?? {}).flatMap((keys) => keys.map((k) => k.frame)),
      );
      lines.push({
        key: trackOf('cue', id),
        name: cue?.name ?? id,
        dial: null,
        items: tracks.cues
          .filter((c) => c.cue === id)
          .map((c) => ({ from: c.frame, to: c.frame + (c.frames || last + 1) * c.times, name: '' })),
      });
    }
    for (const [part, held] of Object.entries(tracks.drawings)) {
      const p = character.rig.parts.find((x) => x.id === part);
      lines.push({
        key: trackOf('drawings', part),
        name: p?.name ?? part,
        dial: null,
        items: held.map((h) => ({
          from: h.from,
          to: h.to,
          name: p?.drawings.find((d) => d.id === h.drawing)?.name ?? h.drawing,
        })),
      });
    }
    return lines;
  }, [takes, character, tracks, source]);
  const armed = names.filter((n) => !disarmed.includes(n.key)).length;
  const at = (x: number) => {
    const r = numbers.current!.getBoundingClientRect();
    return Math.max(0, Math.min(frames, Math.round(((x - r.left) / r.width) * frames)));
  };
  const step = [12, 24, 48, 96, 240, 480].find((s) => frames / s <= 9) ?? 960;
  return (
    <div className="flex min-h-0 flex-1 flex-col text-[12.5px]" data-testid="live-tracks">
      <div className="flex items-baseline gap-2 pb-1">
        <b className="text-[14px]">Tracks</b>
        <span className="text-faint">
          {armed} armed, {names.length - armed} as they are
        </span>
        <span className="ml-auto text-faint">
          {loop ? `punch in ${loop[0] + 1}–${loop[1]}` : 'drag over the numbers to punch in'}
        </span>
      </div>
      <div className="relative min-h-0 flex-1 overflow-y-auto border-t border-line will-change-transform">
        <div className="relative">
          <div className="sticky top-0 z-10 flex bg-paper">
            <span className="shrink-0" style={{ width: NAMES }} />
            <div
              ref={numbers}
              role="slider"
              tabIndex={0}
              aria-label="Frames to punch in"
              aria-valuemin={1}
              aria-valuemax={frames}
              aria-valuenow={loop ? loop[0] + 1 : 1}
              aria-valuetext={loop ? `from ${loop[0] + 1} to ${loop[1]}` : 'no range'}
              className="relative h-[18px] min-w-0 flex-1 cursor-text touch-none overflow-hidden select-none"
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                useDesk.getState().play(false);
                setDragged(at(e.clientX));
                stepTo(Math.min(frames - 1, at(e.clientX)));
              }}
              onPointerMove={(e) => {
                if (dragged === null) return;
                const to = at(e.clientX);
                if (Math.abs(to - dragged) >= 2)
                  useDesk.setState({ loop: [Math.min(to, dragged), Math.max(to, dragged)] });
              }}
              onPointerUp={(e) => {
                if (dragged !== null && Math.abs(at(e.clientX) - dragged) < 2)
                  useDesk.setState({ loop: null });
                setDragged(null);
              }}
              onPointerCancel={() => setDragged(null)}
              onKeyDown={(e) => {
                const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
                if (by === undefined) return;
                e.preventDefault();
                e.stopPropagation();
                const { frame } = useDesk.getState();
                const [from, to] = loop ?? [frame, Math.min(frames, frame + 1)];
                if (e.shiftKey)
                  useDesk.setState({ loop: [from, Math.max(from + 2, Math.min(frames, to + by))] });
                else stepTo(frame + by);
              }}
            >
              {Array.from({ length: Math.ceil(frames / step) }, (_, i) => (
                <span
                  key={i}
                  className="absolute top-0.5 leading-none text-faint tabular-nums"
                  style={{ left: `${((i * step) / frames) * 100}%` }}
                >
                  {i * step + 1}
                </span>
              ))}
              {loop && (
                <span
                  className="absolute bottom-0 h-[4px] rounded bg-recording"
                  style={{
                    left: `${(loop[0] / frames) * 100}%`,
                    width: `${((loop[1] - loop[0]) / frames) * 100}%`,
                  }}
                />
              )}
            </div>
          </div>
          <Playhead frames={frames} />
          {shot.lines.length > 0 && (
            <Row name="sound" frames={frames}>
              <SoundWave line={line!} className="h-full w-full" />
            </Row>
          )}
          {names.map((n) => {
            const on = !disarmed.includes(n.key);
            return (
              <Row
                key={n.key}
                name={n.name}
                frames={frames}
                on={on}
                arm={running ? null : () => arm(n.key, !on)}
                writtenFrom={running && on ? running.from : null}
                track={n.key}
                punch={loop && on ? loop : null}
              >
                {n.dial ? (
                  <Way dial={n.dial} shot={shot} takes={takes} />
                ) : (
                  n.items.map((i) => (
                    <span
                      key={i.from}
                      className="absolute inset-y-[3px] truncate rounded-[3px] bg-drawn px-1 text-[11px] leading-[16px]"
                      style={{
                        left: `${(i.from / frames) * 100}%`,
                        width: `${((i.to - i.from) / frames) * 100}%`,
                      }}
                    >
                      {i.name}
                    </span>
                  ))
                )}
              </Row>
            );
          })}
          {mouths.length > 0 && (
            <Row name="Mouth" frames={frames}>
              {spans(mouths).map((m, i) => (
                <span
                  key={m.from}
                  className={`absolute inset-y-[3px] ${i % 2 ? 'bg-drawn' : 'bg-tide'}`}
                  style={{
                    left: `${(m.from / frames) * 100}%`,
                    width: `${((m.to - m.from) / frames) * 100}%`,
                  }}
                />
              ))}
            </Row>
          )}
          {tracks.blinks.length > 0 && (
            <Row name="Blinks" frames={frames}>
              {tracks.blinks.map((b) => (
                <span
                  key={b.frame}
                  className="absolute top-[5px] h-0 w-0 -translate-x-1/2 border-x-[6px] border-t-[9px] border-x-transparent border-t-faint"
                  style={{ left: `${((b.frame + b.down) / frames) * 100}%` }}
                />
              ))}
            </Row>
          )}
        </div>
      </div>
    </div>
  );
}

/** The frame on the stage, over all tracks at once. */
function Playhead({ frames }: { frames: number }) {
  const frame = useDesk((s) => s.frame);
  return (
    <div className="pointer-events-none absolute top-0 right-0 bottom-0 z-20" style={{ left: NAMES }}>
      <div
        className="h-full will-change-transform"
        style={{ transform: `translateX(${((frame + 0.5) / frames) * 100}%)` }}
      >
        <div className="h-full w-[1.5px] bg-recording" />
      </div>
    </div>
  );
}
