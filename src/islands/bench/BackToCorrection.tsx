import type { Aim } from './aim';

/** Whoever came from the results of a release is told how what they change here gets there. */
export function BackToCorrection({ release: { id, question } }: { release: NonNullable<Aim['release']> }) {
  const search = new URLSearchParams({ question, from: 'vault' });
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 bg-brass-wash border-b border-rule px-4 py-1.5">
      <span>
        You came from the results of a release. It stays as it is until you take this question into a correction.
      </span>
      <a className="link-brass font-semibold" href={`/releases/${id}/editions?${search}`}>
        To the correction
      </a>
    </p>
  );
}
