import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/**
 * A part that is loaded when it is needed. If it cannot be loaded (offline), it says so, and the rest of the Bench
 * works on.
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
