interface Props {
  learners: number;
  finished: number;
  /** Who have begun and not finished. */
  begun: number;
}

/** How far the learners of a release are. It is drawn only: words stand beside it. */
export function ProgressBar({ learners, finished, begun }: Props) {
  const share = (n: number) => `${learners === 0 ? 0 : Math.min(100, (n / learners) * 100)}%`;
  return (
    <span className="flex h-2.5 bg-sheet border border-rule max-sm:hidden" aria-hidden>
      <span className="bg-verdigris" style={{ width: share(finished) }} />
      <span className="bg-brass-wash" style={{ width: share(begun) }} />
    </span>
  );
}
