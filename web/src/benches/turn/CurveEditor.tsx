import { useRef, useState } from 'react';

export interface Handles {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

const held = (v: number) => Math.max(0, Math.min(1, v));
const tidy = (v: number) => Math.round(v * 100) / 100;

/** A small curve with two handles: how far the way has come against how far the dial has. */
export function CurveEditor({ curve, keep }: { curve: Handles; keep: (curve: Handles) => void }) {
  const [draft, setDraft] = useState<Handles | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const now = draft ?? curve;
  const grab = (which: 1 | 2) => (e: React.PointerEvent) => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const move = (m: PointerEvent) => {
      const p = new DOMPoint(m.clientX, m.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
      const x = tidy(held(p.x / 100));
      const y = tidy(Math.max(-0.3, Math.min(1.3, 1 - p.y / 100)));
      setDraft((d) => {
        const from = d ?? curve;
        return which === 1 ? { ...from, x1: x, y1: y } : { ...from, x2: x, y2: y };
      });
    };
    const end = (keepIt: boolean) => () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('keydown', key, true);
      setDraft((d) => {
        if (keepIt && d) queueMicrotask(() => keep(d));
        return null;
      });
    };
    const up = end(true);
    const key = (k: KeyboardEvent) => {
      if (k.key !== 'Escape') return;
      k.stopPropagation();
      end(false)();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('keydown', key, true);
  };
  const nudge = (which: 1 | 2) => (e: React.KeyboardEvent) => {
    if (!e.key.startsWith('Arrow')) return;
    e.preventDefault();
    e.stopPropagation();
    const dx = e.key === 'ArrowLeft' ? -0.05 : e.key === 'ArrowRight' ? 0.05 : 0;
    const dy = e.key === 'ArrowDown' ? -0.05 : e.key === 'ArrowUp' ? 0.05 : 0;
    keep(
      which === 1
        ? { ...curve, x1: tidy(held(curve.x1 + dx)), y1: tidy(curve.y1 + dy) }
        : { ...curve, x2: tidy(held(curve.x2 + dx)), y2: tidy(curve.y2 + dy) },
    );
  };
  const handle = (which: 1 | 2) => {
    const [x, y] = which === 1 ? [now.x1, now.y1] : [now.x2, now.y2];
    const [ax, ay] = which === 1 ? [0, 100] : [100, 0];
    return (
      <>
        <line x1={ax} y1={ay} x2={x * 100} y2={100 - y * 100} stroke="var(--doing)" strokeWidth={1.5} />
        <circle
          role="slider"
          tabIndex={0}
          aria-label={which === 1 ? 'Leaving' : 'Arriving'}
          aria-valuenow={Math.round(y * 100)}
          aria-valuetext={`${tidy(x)} across, ${tidy(y)} up`}
          cx={x * 100}
          cy={100 - y * 100}
          r={7}
          fill="var(--doing)"
          className="cursor-move touch-none"
          onPointerDown={grab(which)}
          onKeyDown={nudge(which)}
        />
      </>
    );
  };
  return (
    <svg
      ref={svg}
      viewBox="-12 -34 124 168"
      className="h-[92px] w-[70px] shrink-0 rounded-lg border border-line bg-card"
      data-testid="curve"
    >
      <rect x={0} y={0} width={100} height={100} fill="none" stroke="var(--line)" strokeWidth={1.5} />
      <path
        d={`M0 100C${now.x1 * 100} ${100 - now.y1 * 100} ${now.x2 * 100} ${100 - now.y2 * 100} 100 0`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={3}
      />
      {handle(1)}
      {handle(2)}
    </svg>
  );
}
