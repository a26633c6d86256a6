import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/**
 * A part that comes when it is asked for. When it cannot (the line is down), it says so, and the rest of the Bench goes
 * on.
 */
export function Later({
  waiting = null,
  onGiveUp,
  children,
}: {
  waiting?: ReactNode;
  onGiveUp?: () => void;
  children: ReactNode;
}) {
  return (
    <ErrorBoundary
      fallback={
        <p role="alert" className="bg-brick-wash border border-brick px-3 py-2">
          This part could not be loaded. Your changes are safe. Reload the page when you are online again.{' '}
          {onGiveUp && (
            <button type="button" className="link-brass cursor-pointer" onClick={onGiveUp}>
              Close
            </button>
          )}
        </p>
      }
    >
      <Suspense fallback={waiting}>{children}</Suspense>
    </ErrorBoundary>
  );
}
