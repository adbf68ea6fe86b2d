import { type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useDesk } from '../state/desk';

/** One room of the page: a fault in it is told there, and what lies beside it goes on. */
export function Guarded({ what, children }: { what: string; children: ReactNode }) {
  // another bench, character or line may well be drawn where this one was not
  const bench = useDesk((s) => s.bench);
  const character = useDesk((s) => s.character);
  const line = useDesk((s) => s.line);
  return (
    <ErrorBoundary
      resetKeys={[bench, character, line]}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <div role="alert" className="min-w-0 overflow-auto bg-wrong-soft p-4 text-[13.5px] text-wrong">
          <p className="font-bold">{what} could not be drawn.</p>
          <p className="mt-1">
            Everything that was accepted is stored; the rest of the page goes on.{' '}
            <span className="break-words">{error instanceof Error ? error.message : String(error)}</span>
          </p>
          <p className="mt-2 flex gap-2">
            <button className="btn" onClick={resetErrorBoundary}>
              Draw it again
            </button>
            <button className="btn" onClick={() => location.reload()}>
              Reload the page
            </button>
          </p>
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
