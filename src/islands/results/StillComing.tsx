/** Says that figures are being worked out anew. Its room is kept, so that nothing moves under a press when they are there. */
export function StillComing({ isCurrent }: { isCurrent: boolean }) {
  return (
    <p role="status" className="min-h-12 sm:min-h-6 mb-3">
      {!isCurrent && 'Answers have come in since: they are being worked out.'}
    </p>
  );
}
